import { figureOf, NotYet, valuesOf, type View } from '../bench'
import {
  BARS,
  beltsOf,
  crossedBeltLength,
  cutListOf,
  frameDepth,
  frameWidth,
  GUIDES_OF,
  pulleyRadius,
  travelOf,
  type CutList,
  type MotionBench,
  type PlateId,
} from '../motion'
import { cutBars, type BarPart, type CutPlan, type OtherLength } from '../nesting'
import type { Outcome } from '../units'
import { holdOfBelts } from './beltCuts'
import type { PlanBench, Stock } from './slice'
import { aBar, aCutBelt, aGuide, aPlate, aStock } from './subjects'

type CutBench = PlanBench & MotionBench
const figure = figureOf<CutBench>()

/** Belt left over to pull and clamp by, mm (common practice). */
export const HOLD = 100

function listOf({ bench: { motion } }: View<CutBench>): CutList {
  return cutListOf(motion.kinematics, motion.frame.guides)
}

/** How many bars a cut plan takes; 0 where nothing is cut. */
function countOf(cuts: Outcome<CutPlan>, what: string): number {
  if (!cuts.ok) throw new RangeError((cuts.findings[0]?.message ?? `the ${what} cannot be cut`).replace(/\.$/, ''))
  return cuts.value.toBuy
}

/** Pieces of one's own that are cut from a stock besides the machine's. */
function ownPieces(view: View<CutBench>, stock: Stock): readonly BarPart[] {
  const rows = Object.entries(view.rows((it) => it.plan.pieces))
  return rows.filter(([, it]) => it.of === stock).map(([id, { name, count, lengthMm }]) => ({ id, name, count, lengthMm }))
}

/** What is there to cut from besides the stock that is bought. */
function otherLengths(view: View<CutBench>, stock: Stock): readonly OtherLength[] {
  return valuesOf(view.rows((it) => it.plan.lengths)).filter((it) => it.of === stock)
}

export const barLength = figure({
  id: 'plan.barLength',
  of: aBar,
  label: 'Length of a bar',
  quantity: 'length',
  formula: 'l = \\v{W} + \\v{a} \\quad\\text{or}\\quad l = \\v{D} - 2\\cdot \\v{t} + \\v{a}',
  forms: { by: '{0}', of: { side: 1 } },
  symbols: { W: '=motion.frameWidth', D: '=motion.frameDepth', t: 'motion.frame.barWidth', a: 'plan.stock.leaveLong' },
  source: 'Dimension chain of the frame; the sides stand between front and back, what is left long is added.',
  doubt: 'nudge',
  work(view, bar: string): number {
    const { barWidth } = view.bench.motion.frame
    const net = bar === 'side' ? view.figure(frameDepth) - 2 * barWidth : view.figure(frameWidth)
    return net + view.bench.plan.stock.leaveLong
  },
})

export const barCuts = figure({
  id: 'plan.barCuts',
  label: 'Cut plan of the bars',
  quantity: 'count',
  formula: '\\min\\ \\text{bars}',
  symbols: {},
  source: 'Branch and bound over how each bar is filled; bound: sum of lengths over the bar.',
  doubt: { none: 'A plan; the number of bars is a figure of its own.' },
  work(view): Outcome<CutPlan> {
    const { length, trim, kerf } = view.bench.plan.stock
    const parts = listOf(view).bars.map((id): BarPart => ({ id, ...BARS[id], lengthMm: view.figure(barLength, id) }))
    return cutBars(
      [...parts, ...ownPieces(view, 'bars')],
      { lengthMm: length, trimMm: trim, kerfMm: kerf },
      otherLengths(view, 'bars'),
    )
  },
})

export const barsNeeded = figure({
  id: 'plan.barsNeeded',
  label: 'Stock bars needed',
  quantity: 'count',
  formula: 'n = \\text{bars of the stock in the cut plan}',
  symbols: {},
  source: 'The cut plan.',
  doubt: { none: 'A whole number; the lengths it rests on have their ±.' },
  work: (view): number => countOf(view.figure(barCuts), 'bars'),
})

export const guideLength = figure({
  id: 'plan.guideLength',
  of: aGuide,
  label: 'Length of a rail or shaft',
  quantity: 'length',
  formula: 'l = \\v{X} + \\v{c} + 2\\cdot \\v{o} \\quad\\text{or}\\quad l = \\v{Y} + \\v{d} + 2\\cdot \\v{o}',
  forms: { by: '{0}', of: { y: 1 } },
  symbols: {
    X: '=motion.travelOf|X',
    c: 'motion.frame.carriageWidth',
    Y: '=motion.travelOf|Y',
    d: 'motion.frame.carriageDepth',
    o: 'motion.frame.guideOver',
  },
  source: 'Dimension chain: travel, carriage or depth of the gantry, what stands over at both ends.',
  doubt: 'nudge',
  work(view, guide: string): number {
    const { carriageWidth, carriageDepth, guideOver } = view.bench.motion.frame
    const run = guide === 'x' ? view.figure(travelOf, 'X') + carriageWidth : view.figure(travelOf, 'Y') + carriageDepth
    return run + 2 * guideOver
  },
})

export const guideCuts = figure({
  id: 'plan.guideCuts',
  label: 'Cut plan of rails or shafts',
  quantity: 'count',
  formula: '\\min\\ \\text{pieces}',
  symbols: {},
  source: 'As the bars are cut.',
  doubt: { none: 'A plan; the number of pieces is a figure of its own.' },
  work(view): Outcome<CutPlan> {
    const { length, trim, kerf } = view.bench.plan.guideStock
    const word = view.bench.motion.frame.guides === 'shafts' ? 'Shaft' : 'Rail'
    const parts = listOf(view).guides.map(({ id, count }): BarPart => {
      return { id, name: `${word} ${GUIDES_OF[id]}`, count, lengthMm: view.figure(guideLength, id) }
    })
    return cutBars(
      [...parts, ...ownPieces(view, 'guides')],
      { lengthMm: length, trimMm: trim, kerfMm: kerf },
      otherLengths(view, 'guides'),
    )
  },
})

export const guidesNeeded = figure({
  id: 'plan.guidesNeeded',
  label: 'Stock rails or shafts needed',
  quantity: 'count',
  formula: 'n = \\text{pieces of the cut plan}',
  symbols: {},
  source: 'The cut plan.',
  doubt: { none: 'A whole number; the lengths it rests on have their ±.' },
  work: (view): number => countOf(view.figure(guideCuts), 'rails or shafts'),
})

/** Both sides of a plate, mm. */
function sidesOf(view: View<CutBench>, plate: PlateId): readonly [number, number] {
  const { carriageWidth, carriageDepth, endHeight, barWidth } = view.bench.motion.frame
  switch (plate) {
    case 'carriage':
    case 'head':
      return [carriageWidth, carriageDepth]
    case 'end':
      return [carriageDepth, endHeight]
    case 'bed':
      return [view.figure(frameWidth) - 2 * barWidth, view.figure(frameDepth) - 2 * barWidth]
  }
}

export const plateWidth = figure({
  id: 'plan.plateWidth',
  of: aPlate,
  label: 'Plate, one side',
  quantity: 'length',
  formula: 'w = \\v{c} \\quad\\text{or}\\quad w = \\v{d} \\quad\\text{or}\\quad w = \\v{W} - 2\\cdot \\v{t}',
  forms: { by: '{0}', of: { end: 1, bed: 2 } },
  symbols: {
    c: 'motion.frame.carriageWidth',
    d: 'motion.frame.carriageDepth',
    W: '=motion.frameWidth',
    t: 'motion.frame.barWidth',
  },
  source: 'Dimension chain; the bed lies between the bars.',
  doubt: 'nudge',
  work: (view, plate: string): number => sidesOf(view, plate as PlateId)[0],
})

export const plateDepth = figure({
  id: 'plan.plateDepth',
  of: aPlate,
  label: 'Plate, other side',
  quantity: 'length',
  formula: 'w = \\v{d} \\quad\\text{or}\\quad w = \\v{h} \\quad\\text{or}\\quad w = \\v{D} - 2\\cdot \\v{t}',
  forms: { by: '{0}', of: { end: 1, bed: 2 } },
  symbols: {
    d: 'motion.frame.carriageDepth',
    h: 'motion.frame.endHeight',
    D: '=motion.frameDepth',
    t: 'motion.frame.barWidth',
  },
  source: 'Dimension chain; the bed lies between the bars.',
  doubt: 'nudge',
  work: (view, plate: string): number => sidesOf(view, plate as PlateId)[1],
})

/** How much more of a stock the parts list has than the machine asks for; below 0 it is short. */
export const stockLeft = figure({
  id: 'plan.stockLeft',
  of: aStock,
  label: 'Stock listed beyond what is needed',
  quantity: 'count',
  formula: 'm = \\sum n - \\text{needed}',
  symbols: {},
  source: 'The parts list against the cut plan; 0 is the limit.',
  doubt: { none: 'A count.' },
  work(view, stock: string): number {
    const listed = valuesOf(view.rows((it) => it.plan.parts)).filter((it) => it.covers === stock)
    const needed = stock === 'bars' ? view.figure(barsNeeded) : view.figure(guidesNeeded)
    return listed.reduce((sum, it) => sum + it.count, 0) - needed
  },
})

export const pulleysApart = figure({
  id: 'plan.pulleysApart',
  of: aCutBelt,
  label: 'Pulleys apart, along an axis',
  quantity: 'length',
  formula: 'C = \\v{W} - \\v{t} \\quad\\text{or}\\quad C = \\v{D} - \\v{t}',
  forms: { by: 'motion.axes.{0}.letter', of: { Y: 1 } },
  symbols: { W: '=motion.frameWidth', D: '=motion.frameDepth', t: 'motion.frame.barWidth' },
  source: 'Dimension chain: the pulleys stand on the middles of the bars.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { frame, axes } = view.bench.motion
    return view.figure(axes[axisId]?.letter === 'X' ? frameWidth : frameDepth) - frame.barWidth
  },
})

export const routedBelt = figure({
  id: 'plan.routedBelt',
  of: aCutBelt,
  label: 'Crossed belt of a motor, as it is routed',
  quantity: 'length',
  formula: 'c = \\text{length of the left belt under X, of the right one under Y}',
  symbols: {},
  source: 'The route of each crossed belt round its own motor.',
  doubt: 'nudge',
  work: (view, axisId: string): number =>
    view.figure(crossedBeltLength, view.bench.motion.axes[axisId]?.letter === 'Y' ? 'b' : 'a'),
})

export const beltLength = figure({
  id: 'plan.beltLength',
  of: aCutBelt,
  label: 'Belt, end to end',
  quantity: 'length',
  formula: 'B = 2\\cdot \\v{C} + 2\\pi\\cdot \\v{R} \\quad\\text{or}\\quad B = \\v{c}',
  forms: { by: 'motion.kinematics', of: { crossed: 1 } },
  symbols: { C: '=plan.pulleysApart|{0}', R: '=motion.pulleyRadius|{0}', c: '=plan.routedBelt|{0}' },
  source: 'Once round both pulleys; a crossed belt as it is routed round its own motor, left under X, right under Y.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    if (view.bench.motion.kinematics === 'crossed') return view.figure(routedBelt, axisId)
    return 2 * view.figure(pulleysApart, axisId) + 2 * Math.PI * view.figure(pulleyRadius, axisId)
  },
})

export const beltToOrder = figure({
  id: 'plan.beltToOrder',
  of: aCutBelt,
  label: 'Belt to order',
  quantity: 'length',
  formula: 'b = \\v{B} + 100\\,\\mathrm{mm}',
  symbols: { B: '=plan.beltLength|{0}' },
  source: 'And a hand’s width to pull and clamp by (common practice).',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.figure(beltLength, axisId) + HOLD,
})

export const beltHold = figure({
  id: 'plan.beltHold',
  label: 'Left to hold each belt by',
  quantity: 'length',
  formula: 'h = \\max\\min\\,(L - \\textstyle\\sum B)/k',
  symbols: {},
  source: 'Every way to cut the k belts of a piece from the listed lengths L, the best of them.',
  doubt: 'nudge',
  work(view): number {
    const { motion } = view.bench
    const isCrossed = motion.kinematics === 'crossed'
    const axes = Object.entries(motion.axes).map(([id, axis]) => {
      const { letter, drive } = axis
      return { id, letter, drive, motors: isCrossed ? 1 : axis.motors }
    })
    const belts = beltsOf(motion.kinematics, axes).flatMap(({ axis, count }) =>
      // How many motors nobody has said: the figure is not known then, whatever is counted.
      Array<number>(count || 1).fill(view.figure(beltLength, axis)),
    )
    const pieces = valuesOf(view.rows((it) => it.plan.parts)).flatMap(({ covers, lengthMm, count }) =>
      covers === 'belt' && lengthMm > 0 ? Array<number>(Math.min(count, belts.length)).fill(lengthMm) : [],
    )
    if (pieces.length === 0) throw new NotYet('say in the parts list how many belts there are, and how long one is')
    return holdOfBelts(belts, pieces)
  },
})
