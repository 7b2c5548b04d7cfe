import { figureOf, type View } from '../bench'
import { frameDepth, frameWidth, pulleyRadius, travelOf, type MotionBench } from '../motion'
import { cutBars, type BarPart, type CutPlan } from '../nesting'
import type { Outcome } from '../units'
import { BARS, cutListOf, GUIDES_OF, type CutList, type PlateId } from './cutList'
import type { PlanBench } from './slice'

type CutBench = PlanBench & MotionBench
const figure = figureOf<CutBench>()

/** Belt left over to pull and clamp by, mm (common practice). */
const HOLD = 100

function listOf({ bench: { motion } }: View<CutBench>): CutList {
  return cutListOf(motion.kinematics, motion.frame.guides)
}

/** How many bars a cut plan takes; 0 where nothing is cut. */
function countOf(cuts: Outcome<CutPlan>, what: string): number {
  if (!cuts.ok) throw new RangeError((cuts.findings[0]?.message ?? `the ${what} cannot be cut`).replace(/\.$/, ''))
  return cuts.value.bars.length
}

export const barLength = figure({
  id: 'plan.barLength',
  label: 'Length of a bar',
  quantity: 'length',
  formula: 'l = W\\ \\text{(front, back, gantry)},\\quad l = \\v{D} - 2\\cdot \\v{t} + a\\ \\text{(sides)}',
  symbols: { D: '=motion.frameDepth', t: 'motion.frame.barWidth' },
  source: 'Dimension chain of the frame; what is left long is added.',
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
    return cutBars(parts, { lengthMm: length, trimMm: trim, kerfMm: kerf })
  },
})

export const barsNeeded = figure({
  id: 'plan.barsNeeded',
  label: 'Stock bars needed',
  quantity: 'count',
  formula: 'n = \\text{bars of the cut plan}',
  symbols: {},
  source: 'The cut plan.',
  doubt: { none: 'A whole number; the lengths it rests on have their ±.' },
  work: (view): number => countOf(view.figure(barCuts), 'bars'),
})

export const guideLength = figure({
  id: 'plan.guideLength',
  label: 'Length of a rail or shaft',
  quantity: 'length',
  formula: 'l = T + c + 2\\cdot \\v{o}',
  symbols: { o: 'motion.frame.guideOver' },
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
    return cutBars(parts, { lengthMm: length, trimMm: trim, kerfMm: kerf })
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
  label: 'Plate, one side',
  quantity: 'length',
  formula: 'w = \\text{carriage, gantry or frame}',
  symbols: {},
  source: 'Dimension chain; the bed lies between the bars.',
  doubt: 'nudge',
  work: (view, plate: string): number => sidesOf(view, plate as PlateId)[0],
})

export const plateDepth = figure({
  id: 'plan.plateDepth',
  label: 'Plate, other side',
  quantity: 'length',
  formula: 'd = \\text{carriage, gantry or frame}',
  symbols: {},
  source: 'Dimension chain; the bed lies between the bars.',
  doubt: 'nudge',
  work: (view, plate: string): number => sidesOf(view, plate as PlateId)[1],
})

/** How much more of a stock the parts list has than the machine asks for; below 0 it is short. */
export const stockLeft = figure({
  id: 'plan.stockLeft',
  label: 'Stock listed beyond what is needed',
  quantity: 'count',
  formula: 'm = \\sum n - \\text{needed}',
  symbols: {},
  source: 'The parts list against the cut plan; 0 is the limit.',
  doubt: { none: 'A count.' },
  work(view, stock: string): number {
    const listed = Object.values(view.bench.plan.parts).filter((it) => it.covers === stock)
    const needed = stock === 'bars' ? view.figure(barsNeeded) : view.figure(guidesNeeded)
    return listed.reduce((sum, it) => sum + it.count, 0) - needed
  },
})

export const beltToOrder = figure({
  id: 'plan.beltToOrder',
  label: 'Belt to order',
  quantity: 'length',
  formula: 'B = 2\\cdot C + 2\\pi\\cdot \\v{R} + h',
  symbols: { R: '=motion.pulleyRadius|{0}' },
  source: 'Once round both pulleys at the distance of the bars’ middles, and a hand’s width to hold by.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { frame, axes } = view.bench.motion
    const across = axes[axisId]?.letter === 'X' ? view.figure(frameWidth) : view.figure(frameDepth)
    return 2 * (across - frame.barWidth) + 2 * Math.PI * view.figure(pulleyRadius, axisId) + HOLD
  },
})

export const cutFigures = [
  barLength,
  barCuts,
  barsNeeded,
  guideLength,
  guideCuts,
  guidesNeeded,
  plateWidth,
  plateDepth,
  stockLeft,
  beltToOrder,
] as const
