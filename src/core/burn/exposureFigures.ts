import { figureOf } from '../bench'
import { lightByPower, type CutBench } from './figures'

const figure = figureOf<CutBench>()

export const exposureDose = figure({
  id: 'burn.exposureDose',
  label: 'Dose of the exposure',
  quantity: 'radiantExposure',
  show: { metric: 'mJ/cm2', inch: 'mJ/cm2' },
  formula: 'H = \\dfrac{P(s)}{\\v{v}\\,\\v{p}}',
  symbols: { v: 'burns.exposure.speed', p: 'burns.exposure.pitch' },
  source: 'Handbook of the trade: P/(v·pitch), 1 J/mm² = 100 J/cm². P(s) by the power curve where it was read.',
  doubt: 'nudge',
  work(view): number {
    const { power, speed, pitch } = view.bench.burns.exposure
    return (view.bench.optics.power * lightByPower(view).at(power)) / (speed * pitch)
  },
})

export const boardNeeds = figure({
  id: 'burn.boardNeeds',
  label: 'Dose that the board wants, by the wedge',
  quantity: 'radiantExposure',
  show: { metric: 'mJ/cm2', inch: 'mJ/cm2' },
  formula: 'H_0 = \\v{H}\\cdot 10^{-\\v{n}\\,\\v{d}}',
  symbols: { H: '=burn.exposureDose', n: 'burns.exposure.held', d: 'burns.exposure.wedgeStep' },
  source: 'A step of density ΔD lets 10^−ΔD through; the last step that held got just enough.',
  doubt: 'nudge',
  work(view): number {
    const { held, wedgeStep } = view.bench.burns.exposure
    return view.figure(exposureDose) * 10 ** (-held * wedgeStep)
  },
})

export const exposureSpeed = figure({
  id: 'burn.exposureSpeed',
  label: 'Speed at which the wanted step holds',
  quantity: 'speed',
  formula: 'v = \\v{v}\\cdot 10^{(\\v{n} - \\v{m})\\,\\v{d}}',
  symbols: {
    v: 'burns.exposure.speed',
    n: 'burns.exposure.held',
    m: 'burns.exposure.heldWanted',
    d: 'burns.exposure.wedgeStep',
  },
  source: 'The dose goes with 1/v; a step more needs 10^ΔD times as much.',
  doubt: 'nudge',
  work(view): number {
    const { speed, held, heldWanted, wedgeStep } = view.bench.burns.exposure
    return speed * 10 ** ((held - heldWanted) * wedgeStep)
  },
})

export const exposureRatio = figure({
  id: 'burn.exposureRatio',
  label: 'Dose against what the board is said to want',
  quantity: 'ratio',
  formula: '\\v{H}/\\v{B}',
  symbols: { H: '=burn.exposureDose', B: 'burns.exposure.board' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(exposureDose) / view.bench.burns.exposure.board,
})

/** A board takes this many times its dose before thin lines close (common practice). */
const MOST = 2

export const exposureRoom = figure({
  id: 'burn.exposureRoom',
  label: 'Dose within once and twice the board’s own by',
  quantity: 'ratio',
  formula: 'm = \\min(r - 1,\\ 2 - r)',
  symbols: {},
  source: 'Once to twice the dose that a board is sold with (common practice); 0 is the limit.',
  doubt: 'nudge',
  work(view): number {
    const ratio = view.figure(exposureRatio)
    return Math.min(ratio - 1, MOST - ratio)
  },
})
