import { figureOf } from '../bench'
import { lightFull } from '../electrical'
import type { OpticsView } from './figures'

const figure = figureOf<OpticsView>()
/** A filter has done 95 % of a step after three time constants: 1 − e⁻³. */
const SETTLED = 3

export const filterLag = figure({
  id: 'optics.filterLag',
  label: 'Way until a change of power has come',
  quantity: 'length',
  show: { metric: 'um', inch: 'mil' },
  formula: 'l = 3\\,\\v{R}\\cdot \\v{C}\\cdot \\v{v}',
  symbols: { R: 'electrical.driver.filterOhms', C: 'electrical.driver.filterFarads', v: 'motion.wantedSpeed' },
  source: 'First-order lag: 95 % of a step after three time constants.',
  doubt: 'nudge',
  work(view): number {
    const { filterOhms, filterFarads } = view.bench.electrical.driver
    return SETTLED * filterOhms * filterFarads * view.bench.motion.wantedSpeed
  },
})

export const lagRoom = figure({
  id: 'optics.lagRoom',
  label: 'That way below one dot by',
  quantity: 'length',
  show: { metric: 'um', inch: 'mil' },
  formula: 'm = \\v{d} - \\v{l}',
  symbols: { d: 'optics.spotX', l: '=optics.filterLag' },
  source: 'A change of power that takes longer than a dot blurs it.',
  doubt: 'nudge',
  work: (view): number => view.bench.optics.spotX - view.figure(filterLag),
})

/** Light that is a fifth off what the label says is worth a look. (common practice) */
const OFF = 0.2

export const lightRoom = figure({
  id: 'optics.lightRoom',
  label: 'Light of the diode against the label of the head, left of 20 %',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.2 - \\left|\\dfrac{\\v{P}}{\\v{P_n}} - 1\\right|',
  symbols: { P: '=electrical.lightFull', P_n: 'optics.power' },
  source: 'By definition; labels are off by as much (common practice).',
  doubt: 'nudge',
  work: (view): number => OFF - Math.abs(view.figure(lightFull) / view.bench.optics.power - 1),
})
