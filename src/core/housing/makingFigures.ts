import { figureOf, subjectOf } from '../bench'
import { begunBox, boxIn, isBegun, sheetThickness, type HousingView } from './boxFigures'
import { paintedArea } from './enclosure'
import type { HousingBench } from './slice'

const figure = figureOf<HousingView>()

export const paintArea = figure({
  id: 'housing.paintArea',
  of: begunBox,
  label: 'To be painted, both faces',
  quantity: 'area',
  show: { metric: 'm2', inch: 'ft2' },
  formula: 'A = 2\\sum l\\,b',
  symbols: {},
  source: 'Both faces of all panels; edges left aside.',
  doubt: 'nudge',
  work: (view): number => paintedArea(boxIn(view).panels, view.figure(sheetThickness)) / 100,
})

/** Of what a can sprays, so much stays on the work. (common practice) */
const STAYS = { brush: 1, can: 0.6 } as const
/** Time for a square metre, s, by brush or by can. (common practice) */
const SECONDS_A_M2 = { brush: 600, can: 240 } as const

export const paintNeeded = figure({
  id: 'housing.paint',
  of: begunBox,
  label: 'Paint',
  quantity: 'volume',
  formula: 'V = \\dfrac{n\\,A}{a\\,s}',
  symbols: {},
  source: 'Area times coats over what a litre covers; of what a can sprays six tenths stay (common practice).',
  doubt: 'nudge',
  work(view): number {
    const { coats, covers, bySpray } = view.bench.housing.make
    return (view.figure(paintArea) * coats) / covers / STAYS[bySpray] / 1000
  },
})

export const paintTime = figure({
  id: 'housing.paintTime',
  of: begunBox,
  label: 'Time to paint, waits left aside',
  quantity: 'time',
  show: { metric: 'min', inch: 'min' },
  formula: 't = n\\,A\\,t_1',
  symbols: {},
  source: 'Ten minutes a square metre by brush, four by can, for each coat (common practice).',
  doubt: 'nudge',
  work(view): number {
    const { coats, bySpray } = view.bench.housing.make
    return (view.figure(paintArea) / 1e4) * coats * SECONDS_A_M2[bySpray]
  },
})

export const paintCost = figure({
  id: 'housing.paintCost',
  of: begunBox,
  label: 'Price of the paint',
  quantity: 'money',
  formula: 'c = \\v{V}\\,\\v{p}',
  symbols: { V: '=housing.paint', p: 'housing.make.paintPrice' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(paintNeeded) * 1000 * view.bench.housing.make.paintPrice,
})

/** From the end of an edge to its first screw, mm. (common practice) */
const FIRST = 25

/** Screws along an edge, its ends left free. @param length mm. @param most Apart, mm. Valid: above 0. Source: evenly spread, no further apart than asked. @example screwsOn(700, 150) // 6 */
export function screwsOn(length: number, most: number): number {
  return Math.max(2, Math.ceil((length - 2 * FIRST) / most - 1e-9) + 1)
}

export const screwsAlong = figure({
  id: 'housing.screws',
  of: begunBox,
  label: 'Screws of the box',
  quantity: 'count',
  formula: 'n = \\sum\\left(\\left\\lceil\\dfrac{l - 50\\,\\text{mm}}{s}\\right\\rceil + 1\\right)',
  symbols: {},
  source: 'Along every edge where two panels meet, 25 mm from its ends, evenly, no further apart than asked (common practice).',
  doubt: { none: 'a whole number' },
  work(view): number {
    const { inside, panels } = boxIn(view)
    const { spacing } = view.bench.housing.make
    const has = (name: string): boolean => panels.some((it) => it.name === name)
    const corners = [has('front'), has('front'), true, true].filter(Boolean).length
    const levels = [has('roof'), has('floor')].filter(Boolean).length
    const around = 2 * screwsOn(inside.y, spacing) + (has('front') ? 2 : 1) * screwsOn(inside.x, spacing)
    return corners * screwsOn(inside.z, spacing) + levels * around
  },
})

/** A screw may be so thick, of the sheet whose edge it goes into. (common practice) */
const OF_EDGE = 1 / 3

export const edgeRoom = figure({
  id: 'housing.edgeRoom',
  of: begunBox,
  label: 'What the edge of the sheet takes, against the screw',
  quantity: 'length',
  signs: { above: 'thicker by', below: 'thinner by' },
  formula: 'm = \\dfrac{\\v{t}}{3} - \\v{d}',
  symbols: { t: '=housing.thickness', d: 'housing.make.screw' },
  source: 'A screw into an edge is no thicker than a third of the sheet (common practice).',
  doubt: 'nudge',
  work: (view): number => view.figure(sheetThickness) * OF_EDGE - view.bench.housing.make.screw,
})

/** A box whose window sits in a frame. */
export const framedBox = subjectOf<HousingBench>()('box with a framed window', ({ housing }): readonly [][] =>
  isBegun(housing) && housing.window.kept.chosen === 'yes' ? [[]] : [],
)

export const frameUpright = figure({
  id: 'housing.frameUpright',
  of: framedBox,
  label: 'Upright bars of the frame, two of',
  quantity: 'length',
  formula: 'l = \\v{y} - 2(\\v{g} - \\v{p}) + 2\\,\\v{b}',
  symbols: { y: 'housing.window.y', g: 'housing.window.groove', p: 'housing.window.play', b: 'housing.window.bar' },
  source: 'As a framed door: the sheet stands in a groove all round.',
  doubt: 'nudge',
  work: (view): number => boxIn(view).frame?.upright ?? Number.NaN,
})

export const frameLevel = figure({
  id: 'housing.frameLevel',
  of: framedBox,
  label: 'Level bars of the frame, two of',
  quantity: 'length',
  formula: 'l = \\v{x} - 2(\\v{g} - \\v{p}) + 2\\,\\v{z}',
  symbols: { x: 'housing.window.x', g: 'housing.window.groove', p: 'housing.window.play', z: 'housing.window.tongue' },
  source: 'As a framed door: with a tongue at each end.',
  doubt: 'nudge',
  work: (view): number => boxIn(view).frame?.level ?? Number.NaN,
})
