import { figureOf, NotYet, type OwnDoubt, type View } from '../bench'
import { aMaterial, lightByPower, speedKept, type CutBench } from '../burn'
import { isInPlace, patchesOf, type Patch } from './patches'

const figure = figureOf<CutBench>()
const SOURCE =
  'Energy balance: each pass takes away c·(H − H₀) (common practice), fitted to the depths read of this material by least squares.'

export const depthPatches = figure({
  id: 'testcard.depthPatches',
  of: aMaterial,
  label: 'Cells that were read for their depth',
  quantity: 'length',
  formula: '(H_i, d_i)',
  symbols: {},
  source: 'Depths of the cells of all cards of this material.',
  doubt: { none: 'A list.' },
  work: (view, id: string): readonly Patch[] => patchesOf(view, id).filter((it) => it.depth !== null && isInPlace(it)),
})

/** A line through depth a pass over dose a pass. */
export interface DepthLaw {
  /** mm for J/mm². */
  readonly slope: number
  /** Dose that takes nothing away yet, J/mm². */
  readonly from: number
  /** Largest dose a pass that was tried, J/mm². */
  readonly most: number
  /** Scatter of a cell about the line, mm a pass. */
  readonly scatter: number
  readonly count: number
}

/** Cells with a depth that are needed. */
const LEAST = 3
/** Least scatter: what a ruler or a depth rod tells apart, mm. */
const RULER = 0.03

function sums(points: readonly { readonly x: number; readonly y: number }[]): number {
  return points.reduce((sum, it) => sum + it.x * it.y, 0)
}

function lawOf(view: View<CutBench>, id: string): DepthLaw {
  const points = view
    .figure(depthPatches, id)
    .filter((it) => (it.depth as number) > 0)
    .map((it) => ({ x: it.dose / it.passes, y: (it.depth as number) / it.passes }))
  if (points.length < LEAST) throw new NotYet('enter the depth of three cells or more')
  const n = points.length
  const [mx, my] = [points.reduce((sum, it) => sum + it.x, 0) / n, points.reduce((sum, it) => sum + it.y, 0) / n]
  const sxx = points.reduce((sum, it) => sum + (it.x - mx) ** 2, 0)
  const slope = points.reduce((sum, it) => sum + (it.x - mx) * (it.y - my), 0) / sxx
  if (!(sxx > 0) || !(slope > 0)) throw new NotYet('the depths do not grow with the dose: look at what was entered')
  const from = mx - my / slope
  // Light does not take away before there is any: then the line goes through the origin.
  const line = from > 0 ? { slope, from } : { slope: sums(points) / points.reduce((sum, it) => sum + it.x * it.x, 0), from: 0 }
  const left = points.reduce((sum, it) => sum + (it.y - line.slope * (it.x - line.from)) ** 2, 0)
  return {
    ...line,
    most: Math.max(...points.map((it) => it.x)),
    scatter: Math.max(RULER, Math.sqrt(left / (n - 2))),
    count: n,
  }
}

export const depthLaw = figure({
  id: 'testcard.depthLaw',
  of: aMaterial,
  label: 'How deep a pass goes',
  quantity: 'length',
  formula: 'd = c\\,(H - H_0)',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'A law; each number that is shown is a figure of its own.' },
  work: (view, id: string): DepthLaw => lawOf(view, id),
})

/** Passes, speed and dose for a depth. */
export interface DepthSetting {
  readonly passes: number
  readonly power: number
  /** mm/s. */
  readonly speed: number
  /** Of a pass, J/mm². */
  readonly dose: number
}

export const depthSetting = figure({
  id: 'testcard.depthSetting',
  of: aMaterial,
  label: 'Setting for the wanted depth',
  quantity: 'length',
  formula: 'n = \\lceil d/d_1\\rceil,\\ H = d/(n\\,c) + H_0',
  symbols: {},
  source: `${SOURCE} No pass with more than was tried; as few as will do; speed to two digits, never faster.`,
  doubt: { none: 'A setting; its ± is that of the depth.' },
  work(view, id: string): DepthSetting {
    const { slope, from, most } = view.figure(depthLaw, id)
    const { pitch } = view.rows(({ burns }) => burns.card)
    const wanted = view.bench.burns.depthWanted
    const powers = view.figure(depthPatches, id).map((it) => it.power)
    const light = lightByPower(view).at(Math.max(...powers))
    const passes = Math.max(1, Math.ceil(wanted / (slope * (most - from)) - 1e-9))
    const dose = wanted / (passes * slope) + from
    const speed = speedKept((light * view.bench.optics.power) / (dose * pitch))
    return { passes, power: lightByPower(view).shareFor(light), speed, dose }
  },
})

export const depthPasses = figure({
  id: 'testcard.depthPasses',
  of: aMaterial,
  label: 'Passes for the wanted depth',
  quantity: 'count',
  formula: 'n = \\lceil d/d_1\\rceil',
  symbols: {},
  source: 'Of the setting for the wanted depth.',
  doubt: { none: 'A whole number.' },
  work: (view, id: string): number => view.figure(depthSetting, id).passes,
})

export const depthSpeed = figure({
  id: 'testcard.depthSpeed',
  of: aMaterial,
  label: 'Speed for the wanted depth',
  quantity: 'speed',
  formula: 'v = P/(H\\,p)',
  symbols: {},
  source: 'Of the setting for the wanted depth.',
  doubt: { none: 'A choice; its ± is that of the depth.' },
  work: (view, id: string): number => view.figure(depthSetting, id).speed,
})

export const depthExpected = figure({
  id: 'testcard.depthExpected',
  of: aMaterial,
  label: 'Depth that it comes to',
  quantity: 'length',
  formula: 'd = n\\,c\\,(H - H_0)',
  symbols: {},
  source: `${SOURCE} ± by the scatter of the cells, a pass at a time.`,
  doubt: { own: 'The scatter of the cells about the line, and the line’s own: no fact to nudge.' },
  work(view, id: string): OwnDoubt {
    const { slope, from, scatter, count } = view.figure(depthLaw, id)
    const { passes, dose } = view.figure(depthSetting, id)
    return { value: passes * slope * (dose - from), u: passes * scatter * Math.sqrt(1 / passes + 1 / count) }
  },
})
