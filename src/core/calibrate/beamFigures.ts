import { figureOf, NotYet, type View } from '../bench'
import { bedRange, travelOf } from '../motion'
import { heightOfGrowth, peakIrradiance, radiusAt, rayleighLength } from '../optics'
import { aSide, focusOfRamp, isWhole, rampRayleigh, rampWaist, type FocusBench } from './focusFigures'

const figure = figureOf<FocusBench>()
const THOUSAND = { metric: 'W/mm2', inch: 'W/mm2' } as const

/** Growth of the spot that still counts as in focus (common practice). */
const STILL_FOCUS = 0.1

/** The ramp that the beam follows; null: none, or it is gone. */
function followed(view: View<FocusBench>): string | null {
  const { focusBy, trials } = view.bench.calibrate
  return focusBy !== '' && Object.keys(trials.focus).includes(focusBy) ? focusBy : null
}

/** The same, where it gives radius and Rayleigh length of a side. */
function wholeFor(view: View<FocusBench>, axis: string): string | null {
  const id = followed(view)
  return id !== null && isWhole(view, id, axis) ? id : null
}

export const gapAtFocus = figure({
  id: 'calibrate.gapAtFocus',
  label: 'Gap at focus',
  quantity: 'length',
  formula: 'g_f',
  symbols: {},
  source: 'By the ramp that is followed, else as stated.',
  doubt: 'nudge',
  work(view): number {
    const id = followed(view)
    return id === null ? view.bench.optics.focusGap : view.figure(focusOfRamp, id)
  },
})

export const waist = figure({
  id: 'calibrate.waist',
  of: aSide,
  label: 'Radius at focus',
  quantity: 'length',
  formula: 'w_0',
  symbols: {},
  source: 'By the ramp that is followed; else half of the spot as it was measured.',
  doubt: 'nudge',
  work(view, axis: string): number {
    const id = wholeFor(view, axis)
    if (id !== null) return view.figure(rampWaist, id, axis)
    return (axis === 'x' ? view.bench.optics.spotX : view.bench.optics.spotY) / 2
  },
})

export const rayleigh = figure({
  id: 'calibrate.rayleigh',
  of: aSide,
  label: 'Rayleigh length',
  quantity: 'length',
  formula: 'z_R = \\dfrac{\\pi w_0^2}{M^2 \\lambda}',
  symbols: {},
  source: 'By the ramp that is followed; else ISO 11146-1 with the beam quality as entered.',
  doubt: 'nudge',
  work(view, axis: string): number {
    const id = wholeFor(view, axis)
    if (id !== null) return view.figure(rampRayleigh, id, axis)
    const { m2X, m2Y, wavelength } = view.bench.optics
    return rayleighLength(view.figure(waist, axis), axis === 'x' ? m2X : m2Y, wavelength)
  },
})

export const outOfFocus = figure({
  id: 'calibrate.outOfFocus',
  label: 'Head too far from the material by',
  quantity: 'length',
  formula: 'z = \\v{g} - \\v{g_f}',
  symbols: { g: 'optics.gap', g_f: '=calibrate.gapAtFocus' },
  source: 'By definition; below 0 it is too near.',
  doubt: 'nudge',
  work: (view): number => view.bench.optics.gap - view.figure(gapAtFocus),
})

export const depthOfFocus = figure({
  id: 'calibrate.depthOfFocus',
  label: 'Depth of focus',
  quantity: 'length',
  formula: 'd = 2\\sqrt{1.1^2 - 1}\\,\\min z_R',
  symbols: {},
  source: 'ISO 11146-1; a tenth of growth either way still counts as focus (common practice).',
  doubt: 'nudge',
  work: (view): number => 2 * Math.min(...['x', 'y'].map((axis) => heightOfGrowth(view.figure(rayleigh, axis), STILL_FOCUS))),
})

export const focusRoom = figure({
  id: 'calibrate.focusRoom',
  label: 'Within the depth of focus by',
  quantity: 'length',
  formula: 'r = \\tfrac12\\v{d} - |\\v{z}|',
  symbols: { d: '=calibrate.depthOfFocus', z: '=calibrate.outOfFocus' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.figure(depthOfFocus) / 2 - Math.abs(view.figure(outOfFocus)),
})

export const headTurns = figure({
  id: 'calibrate.headTurns',
  label: 'Turns of the knob that bring the head down to focus',
  quantity: 'ratio',
  formula: 'n = \\v{z} / \\v{h}',
  symbols: { z: '=calibrate.outOfFocus', h: 'optics.headTurn' },
  source: 'By definition; below 0 it goes up.',
  doubt: 'nudge',
  work: (view): number => view.figure(outOfFocus) / view.bench.optics.headTurn,
})

export const spotNow = figure({
  id: 'calibrate.spotNow',
  of: aSide,
  label: 'Spot on the material',
  quantity: 'length',
  formula: 'd = 2\\,\\v{w_0}\\sqrt{1 + (\\v{z}/\\v{z_R})^2}',
  symbols: { w_0: '=calibrate.waist|{0}', z: '=calibrate.outOfFocus', z_R: '=calibrate.rayleigh|{0}' },
  source: 'ISO 11146-1.',
  doubt: 'nudge',
  work: (view, axis: string): number => 2 * radiusOf(view, axis, view.figure(outOfFocus)),
})

export const spotBelow = figure({
  id: 'calibrate.spotBelow',
  of: aSide,
  label: 'Spot at the material’s underside',
  quantity: 'length',
  formula: 'd = 2\\,\\v{w_0}\\sqrt{1 + ((\\v{z} + \\v{t})/\\v{z_R})^2}',
  symbols: {
    w_0: '=calibrate.waist|{0}',
    z: '=calibrate.outOfFocus',
    t: 'optics.sheet',
    z_R: '=calibrate.rayleigh|{0}',
  },
  source: 'ISO 11146-1; what the material itself spreads is left out.',
  doubt: 'nudge',
  work: (view, axis: string): number => 2 * radiusOf(view, axis, view.figure(outOfFocus) + view.bench.optics.sheet),
})

function radiusOf(view: View<FocusBench>, axis: string, height: number): number {
  return radiusAt({ radius: view.figure(waist, axis), rayleigh: view.figure(rayleigh, axis) }, height)
}

export const peakAtFocus = figure({
  id: 'calibrate.peakAtFocus',
  label: 'Peak irradiance at focus',
  quantity: 'irradiance',
  show: THOUSAND,
  formula: 'I_0 = P\\,p_x\\,p_y,\\quad p = \\dfrac{2^{1/n}}{2 w\\,\\Gamma(1 + 1/n)}',
  symbols: {},
  source: 'Power over the integral of a profile exp(−2|s/w|^n) in both axes; n is 2 for a Gaussian.',
  doubt: 'nudge',
  work: (view): number => peakAt(view, 0),
})

export const peakNow = figure({
  id: 'calibrate.peakNow',
  label: 'Peak irradiance on the material',
  quantity: 'irradiance',
  show: THOUSAND,
  formula: 'I_0 = P\\,p_x\\,p_y,\\quad p = \\dfrac{2^{1/n}}{2 w\\,\\Gamma(1 + 1/n)}',
  symbols: {},
  source: 'The same, with the radii as they are on the material.',
  doubt: 'nudge',
  work: (view): number => peakAt(view, view.figure(outOfFocus)),
})

const PER_SQUARE_METRE = 1e6

function peakAt(view: View<FocusBench>, height: number): number {
  const { power, flatAlong, flatOrder } = view.bench.optics
  const side = (axis: 'x' | 'y') => ({ radius: radiusOf(view, axis, height), order: flatAlong === axis ? flatOrder : 2 })
  return PER_SQUARE_METRE * peakIrradiance(power, side('y'), side('x'))
}

export const gaugeOff = figure({
  id: 'calibrate.gaugeOff',
  label: 'Gauge block too thick by',
  quantity: 'length',
  formula: 'e = \\v{b} - \\v{g_f}',
  symbols: { b: 'optics.gauge', g_f: '=calibrate.gapAtFocus' },
  source: 'By definition; below 0 it is too thin.',
  doubt: 'nudge',
  work: (view): number => view.bench.optics.gauge - view.figure(gapAtFocus),
})

export const gaugeRoom = figure({
  id: 'calibrate.gaugeRoom',
  label: 'Gauge block within the depth of focus by',
  quantity: 'length',
  formula: 'r = \\tfrac12\\v{d} - |\\v{e}|',
  symbols: { d: '=calibrate.depthOfFocus', e: '=calibrate.gaugeOff' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.figure(depthOfFocus) / 2 - Math.abs(view.figure(gaugeOff)),
})

export const touchTravel = figure({
  id: 'calibrate.touchTravel',
  label: 'From the touch down to focus',
  quantity: 'length',
  formula: 's = \\v{t} + \\v{f} - \\v{g_f}',
  symbols: { t: 'optics.plate', f: 'optics.feeler', g_f: '=calibrate.gapAtFocus' },
  source: 'At the touch the gap to the material is the plate and what is left above it; repeats within 0.1 mm (common practice).',
  doubt: 'nudge',
  work: (view): number => view.bench.optics.plate + view.bench.optics.feeler - view.figure(gapAtFocus),
})

export const touchRoom = figure({
  id: 'calibrate.touchRoom',
  label: 'Touch plate known within the depth of focus by',
  quantity: 'length',
  formula: 'r = \\tfrac12\\v{d} - 0.1\\,\\mathrm{mm}',
  symbols: { d: '=calibrate.depthOfFocus' },
  source: 'A touch repeats within 0.1 mm (common practice).',
  doubt: 'nudge',
  work(view): number {
    // Only where a touch leads anywhere.
    view.figure(touchTravel)
    return view.figure(depthOfFocus) / 2 - TOUCH_REPEATS
  },
})
const TOUCH_REPEATS = 0.1

export const bedRoom = figure({
  id: 'calibrate.bedRoom',
  label: 'Bed within the depth of focus by',
  quantity: 'length',
  formula: 'r = \\v{d} - \\v{\\Delta}',
  symbols: { d: '=calibrate.depthOfFocus', '\\Delta': '=motion.bedRange' },
  source: 'Highest and lowest place both within a tenth of growth, with the head set for the middle.',
  doubt: 'nudge',
  work: (view): number => view.figure(depthOfFocus) - view.figure(bedRange),
})

export const bedGrowth = figure({
  id: 'calibrate.bedGrowth',
  of: aSide,
  label: 'Spot grows over the bed by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'e = \\sqrt{1 + (\\tfrac12\\v{\\Delta}/\\v{z_R})^2} - 1',
  symbols: { '\\Delta': '=motion.bedRange', z_R: '=calibrate.rayleigh|{0}' },
  source: 'ISO 11146-1, with the head set for the middle of the heights.',
  doubt: 'nudge',
  work(view, axis: string): number {
    const length = view.figure(rayleigh, axis)
    if (!(length > 0)) throw new NotYet('the Rayleigh length is none')
    return radiusAt({ radius: 1, rayleigh: length }, view.figure(bedRange) / 2) - 1
  },
})

/** A place of the bed, mm: how far it lies from the middle of the heights, and by which share the wider side of the spot grows there. */
export interface BedSpot {
  readonly x: number
  readonly y: number
  readonly height: number
  readonly growth: number
}

/** Columns and rows of the map. */
export const BED_GRID = { columns: 16, rows: 12 } as const

export const bedMap = figure({
  id: 'calibrate.bedMap',
  label: 'Growth of the spot over the bed',
  quantity: 'ratio',
  formula: 'e(x, y)',
  symbols: {},
  source:
    'Heights between those read weighed by 1/distance² (Shepard 1968, from memory); growth by ISO 11146-1, head set for the middle.',
  doubt: { none: 'A map; what is judged of it is a figure of its own.' },
  work(view): readonly BedSpot[] {
    const range = view.figure(bedRange)
    const heights = Object.values(view.bench.motion.heights)
    const least = Math.min(...heights.map((it) => it.height))
    const length = Math.min(...['x', 'y'].map((axis) => view.figure(rayleigh, axis)))
    const [wide, high] = [view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')]
    const { columns, rows } = BED_GRID
    return Array.from({ length: columns * rows }, (_, k): BedSpot => {
      const x = (((k % columns) + 0.5) * wide) / columns
      const y = ((Math.floor(k / columns) + 0.5) * high) / rows
      const weights = heights.map((it) => 1 / Math.max(1, (it.x - x) ** 2 + (it.y - y) ** 2))
      const sum = weights.reduce((total, it) => total + it, 0)
      const there = heights.reduce((total, it, i) => total + it.height * (weights[i] as number), 0) / sum
      const height = there - least - range / 2
      return { x, y, height, growth: radiusAt({ radius: 1, rayleigh: length }, height) - 1 }
    })
  },
})
