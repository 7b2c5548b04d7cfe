import { figureOf } from '../bench'
import { drawnHole } from '../fasteners'
import { frameDepth, frameWidth, pulleyRadius, type MotionBench } from '../motion'
import { cutBars, type BarPart, type CutPlan } from '../nesting'
import type { Outcome } from '../units'
import type { PlanBench } from './slice'

const figure = figureOf<PlanBench & MotionBench>()

/** Belt left over to pull and clamp by, mm (common practice). */
const HOLD = 100

/** The bars that the machine itself asks for: name, how many. */
export const BARS = {
  front: { name: 'Front and back bar', count: 2 },
  side: { name: 'Side bar', count: 2 },
  gantry: { name: 'Gantry beam', count: 1 },
} as const
export type BarId = keyof typeof BARS

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
    const parts = (Object.keys(BARS) as BarId[]).map((id): BarPart => ({ id, ...BARS[id], lengthMm: view.figure(barLength, id) }))
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
  work(view): number {
    const cuts = view.figure(barCuts)
    if (!cuts.ok) throw new RangeError((cuts.findings[0]?.message ?? 'the bars cannot be cut').replace(/\.$/, ''))
    return cuts.value.bars.length
  },
})

const sumOf =
  (states: readonly string[]) =>
  ({
    bench,
  }: {
    readonly bench: {
      readonly plan: { readonly parts: Readonly<Record<string, { count: number; price: number; state: string }>> }
    }
  }): number =>
    Object.values(bench.plan.parts)
      .filter((it) => states.includes(it.state))
      .reduce((sum, it) => sum + it.count * it.price, 0)

export const spent = figure({
  id: 'plan.spent',
  label: 'Spent: ordered and here',
  quantity: 'money',
  formula: '\\sum n\\cdot p',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'Prices are as written.' },
  work: sumOf(['ordered', 'here']),
})

export const toSpend = figure({
  id: 'plan.toSpend',
  label: 'Still to spend',
  quantity: 'money',
  formula: '\\sum n\\cdot p',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'Prices are as written.' },
  work: sumOf(['needed']),
})

export const saved = figure({
  id: 'plan.saved',
  label: 'Less than a ready-made one by',
  quantity: 'money',
  formula: 's = \\v{r} - \\v{a} - \\v{b}',
  symbols: { r: 'plan.readyPrice', a: '=plan.spent', b: '=plan.toSpend' },
  source: 'By definition; own hours are not counted as money.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => view.bench.plan.readyPrice - view.figure(spent) - view.figure(toSpend),
})

export const unordered = figure({
  id: 'plan.unordered',
  label: 'Parts that nobody has ordered',
  quantity: 'count',
  formula: 'n = \\#\\{\\text{needed}\\}',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'A count.' },
  work: (view): number => Object.values(view.bench.plan.parts).filter((it) => it.state === 'needed').length,
})

export const orderedMargin = figure({
  id: 'plan.orderedMargin',
  label: 'Parts ordered, short by',
  quantity: 'count',
  formula: 'm = -\\v{n}',
  symbols: { n: '=plan.unordered' },
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'A count.' },
  work: (view): number => -view.figure(unordered),
})

export const openWork = figure({
  id: 'plan.openWork',
  label: 'Work still to do',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: '\\sum w',
  symbols: {},
  source: 'The tasks that are open.',
  doubt: { none: 'Durations are as written.' },
  work: (view): number =>
    Object.values(view.bench.plan.tasks)
      .filter((it) => it.done === '')
      .reduce((sum, it) => sum + it.workMin * 60, 0),
})

export const runningHole = figure({
  id: 'plan.runningHole',
  label: 'Hole to draw, shaft running',
  quantity: 'length',
  formula: 'h = \\v{d} + \\v{p} + \\v{a} \\quad\\text{or}\\quad h = \\v{d} + \\v{p} - \\v{a}',
  forms: { by: 'plan.fits.making', of: { cut: 1 } },
  symbols: { d: 'plan.fits.shaft', p: 'plan.fits.play', a: 'plan.fits.allowance' },
  source: 'By definition: a printed hole shrinks by its allowance, a cut one grows by its kerf.',
  doubt: 'nudge',
  work(view): number {
    const { shaft, play, making, allowance } = view.bench.plan.fits
    return Number.isNaN(shaft) ? Number.NaN : drawnHole(shaft + play, making, allowance)
  },
})

export const pressedHole = figure({
  id: 'plan.pressedHole',
  label: 'Hole to draw, bush pressed in',
  quantity: 'length',
  formula: 'h = \\v{D} - \\v{s} + \\v{a} \\quad\\text{or}\\quad h = \\v{D} - \\v{s} - \\v{a}',
  forms: { by: 'plan.fits.making', of: { cut: 1 } },
  symbols: { D: 'plan.fits.bush', s: 'plan.fits.press', a: 'plan.fits.allowance' },
  source: 'The same, with the squeeze taken off.',
  doubt: 'nudge',
  work(view): number {
    const { bush, press, making, allowance } = view.bench.plan.fits
    return Number.isNaN(bush) ? Number.NaN : drawnHole(bush - press, making, allowance)
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

export const planFigures = [
  runningHole,
  pressedHole,
  beltToOrder,
  barLength,
  barCuts,
  barsNeeded,
  spent,
  toSpend,
  saved,
  unordered,
  orderedMargin,
  openWork,
] as const
