import { figureOf, NotYet, type OwnDoubt, type Plain, type View } from '../bench'
import type { ControllerBench } from '../controller'
import { nominalStepsOf, outOfSquare, steps, type MotionBench } from '../motion'
import { fitLine, type LineFit, type Span } from './fit'
import { readingDefs } from './layout'
import { calibratedSteps } from './scale'
import type { ScaleRun } from './runSlice'
import type { CalibrateBench } from './slice'
import { anAxisBySpans, aRun, aRunAlong, aRunAxis } from './subjects'
import { anAxis } from '../motion'

export type CalibrateView = CalibrateBench & ControllerBench & MotionBench
const figure = figureOf<CalibrateView>()
const LINE = 'JCGM 100:2008, H.3: least squares of read on commanded, one slope, an intercept for each way of reading.'
const MICRO = { metric: 'um', inch: 'mil' } as const
const PERCENT = { metric: 'percent', inch: 'percent' } as const

/** Which of a run's two directions an axis is. */
export type Direction = 'x' | 'y'

function runOf(view: View<CalibrateView>, runId: string): Plain<ScaleRun> {
  const run = view.bench.calibrate.runs[runId]
  if (run === undefined) throw new NotYet('burn a scale run and read it')
  return run
}

/** What was read of one direction, as spans. */
function spansOf(run: Plain<ScaleRun>, axis: Direction): Span[] {
  const read = new Set(Object.keys(run.readings))
  return readingDefs(run)
    .filter((it) => it.axis === axis && read.has(it.id))
    .map(({ id, commanded, edges }) => ({ commanded, measured: run.readings[id] ?? Number.NaN, series: edges }))
}

/** Id of the run made last; null where there is none. */
export function newestRun(calibrate: { readonly runs: Readonly<Record<string, { readonly order: number }>> }): string | null {
  const ids = Object.keys(calibrate.runs)
  return ids.reduce<string | null>(
    (best, id) => (best === null || (calibrate.runs[id]?.order ?? 0) > (calibrate.runs[best]?.order ?? 0) ? id : best),
    null,
  )
}

/** How a size that is off is said. */
const SIZE = { above: 'too large by', below: 'too small by' } as const

export const lineFit = figure({
  id: 'calibrate.lineFit',
  of: aRunAlong,
  label: 'Line through the readings',
  quantity: 'ratio',
  formula: 'r = c + b\\cdot \\ell',
  symbols: {},
  source: LINE,
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view, runId: string, axis: string): LineFit {
    const spans = spansOf(runOf(view, runId), axis as Direction)
    const like = new Set(spans.filter((it) => it.series === 'like').map((it) => it.commanded))
    if (like.size < 2) throw new NotYet(`read two different spans of ${axis.toUpperCase()}`)
    return fitLine(spans)
  },
})

/** Fewer degrees of freedom than this say too little; the instrument's own uncertainty stands for the scatter then. */
const LEAST_DOF = 3

export const scatter = figure({
  id: 'calibrate.scatter',
  of: aRun,
  label: 'Scatter of the readings',
  quantity: 'length',
  show: MICRO,
  formula: 's = \\sqrt{\\dfrac{\\sum e^2}{\\nu}}',
  symbols: {},
  source: 'JCGM 100:2008, 4.2 and H.3: residuals of both directions about their lines; u of s is s/√(2ν) (E.4.3).',
  doubt: { own: 'It is itself what the readings’ doubt is worked from.' },
  work(view, runId: string): OwnDoubt {
    const run = runOf(view, runId)
    const fits = (['x', 'y'] as const).flatMap((axis) => {
      const spans = spansOf(run, axis)
      return new Set(spans.map((it) => it.commanded)).size < 2 ? [] : [fitLine(spans)]
    })
    const dof = fits.reduce((sum, it) => sum + Math.max(0, it.dof), 0)
    if (dof < LEAST_DOF) throw new NotYet('read more spans, so that their scatter is known')
    const squares = fits.reduce((sum, it) => sum + it.residuals.reduce((total, e) => total + e * e, 0), 0)
    const value = Math.sqrt(squares / dof)
    return { value, u: value / Math.sqrt(2 * dof), dof }
  },
})

export const scale = figure({
  id: 'calibrate.scale',
  of: aRunAlong,
  label: 'Millimetres moved for one commanded',
  quantity: 'ratio',
  formula: 'b = \\dfrac{\\sum (\\ell - \\bar\\ell)(r - \\bar r)}{\\sum (\\ell - \\bar\\ell)^2}',
  symbols: {},
  source: LINE,
  doubt: 'nudge',
  work: (view, runId: string, axis: string): number => view.figure(lineFit, runId, axis).slope,
})

export const sizeError = figure({
  id: 'calibrate.sizeError',
  of: aRunAlong,
  label: 'Size of the work',
  signs: SIZE,
  quantity: 'ratio',
  show: PERCENT,
  formula: 'e = \\v{b} - 1',
  symbols: { b: '=calibrate.scale|{0}|{1}' },
  source: 'By definition; below 0 the work is too small.',
  doubt: 'nudge',
  work: (view, runId: string, axis: string): number => view.figure(scale, runId, axis) - 1,
})

function interceptBeyond(view: View<CalibrateView>, runId: string, axis: string, series: 'over' | 'beyond'): number {
  const { intercepts } = view.figure(lineFit, runId, axis)
  const own = intercepts[series]
  if (own === undefined) {
    const what = series === 'over' ? 'a span over the outside' : 'the span to the line approached from beyond'
    throw new NotYet(`read ${what} of ${axis.toUpperCase()}`)
  }
  return own - (intercepts['like'] ?? 0)
}

export const lineWidth = figure({
  id: 'calibrate.lineWidth',
  of: aRunAlong,
  label: 'Width of the line',
  quantity: 'length',
  formula: 'w = c_{\\mathrm{over}} - c_{\\mathrm{like}}',
  symbols: {},
  source: 'Read over the outside, a span is longer by one line.',
  doubt: 'nudge',
  work: (view, runId: string, axis: string): number => interceptBeyond(view, runId, axis, 'over'),
})

export const backlash = figure({
  id: 'calibrate.backlash',
  of: aRunAlong,
  label: 'Backlash',
  quantity: 'length',
  formula: 'k = c_{\\mathrm{back}} - c_{\\mathrm{like}}',
  symbols: {},
  source: 'The same place approached from beyond stands further by the play of the drive.',
  doubt: 'nudge',
  work: (view, runId: string, axis: string): number => interceptBeyond(view, runId, axis, 'beyond'),
})

export const runSquareness = figure({
  id: 'calibrate.outOfSquare',
  of: aRun,
  label: 'Out of square, by the run',
  quantity: 'angle',
  formula: '\\delta = \\arcsin\\dfrac{p^2 - q^2}{4\\cdot a b_x\\cdot b\\, b_y}',
  symbols: {},
  source: 'Law of cosines on both diagonals; the sides are the commanded ones times the scales found.',
  doubt: 'nudge',
  work(view, runId: string): number {
    const run = runOf(view, runId)
    const read = Object.keys(run.readings)
    if (!read.includes('diagonal-origin') || !read.includes('diagonal-across')) throw new NotYet('read both diagonals')
    return outOfSquare({
      widthMm: run.corner.x * view.figure(scale, runId, 'x'),
      depthMm: run.corner.y * view.figure(scale, runId, 'y'),
      fromOriginMm: run.readings['diagonal-origin'] ?? Number.NaN,
      acrossMm: run.readings['diagonal-across'] ?? Number.NaN,
    })
  },
})

export const runSquareMargin = figure({
  id: 'calibrate.squareMargin',
  of: aRun,
  label: 'Angle left within the accepted one, by the run',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=calibrate.outOfSquare|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, runId: string): number => view.bench.motion.squareWithin - Math.abs(view.figure(runSquareness, runId)),
})

/** The axis's direction in a run; a run of other axes cannot speak for it. */
function directionIn(run: Plain<ScaleRun>, axisId: string): Direction {
  if (run.axes.x === axisId) return 'x'
  if (run.axes.y === axisId) return 'y'
  throw new NotYet('burn a scale run of this axis and read it')
}

/** A drive train whose nominal steps moved by more than this is another one; by less, it is only better known. */
const ANOTHER_DRIVE = 0.01

export const driveFactor = figure({
  id: 'calibrate.driveFactor',
  of: aRunAxis,
  label: 'Drive train now, to that of the run',
  quantity: 'ratio',
  formula: 'q = \\dfrac{\\v{n}}{n_{\\mathrm{then}}}\\ \\text{where the drive is another, else}\\ 1',
  symbols: { n: '=motion.stepsPerMm|{1}' },
  source: 'By definition: a run keeps what it found for one drive train; another one scales it.',
  doubt: 'nudge',
  work(view, runId: string, axisId: string): number {
    const then = runOf(view, runId).nominal[directionIn(runOf(view, runId), axisId)]
    const same = Math.abs(nominalStepsOf(view.asEntered.motion, axisId) / then - 1) <= ANOTHER_DRIVE
    return same ? 1 : view.figure(steps, axisId) / then
  },
})

export const stepsFound = figure({
  id: 'calibrate.stepsFound',
  of: aRunAxis,
  label: 'Steps that the run asks for',
  quantity: 'stepsPerLength',
  formula: 's = \\dfrac{s_{\\mathrm{then}}}{b}\\cdot \\v{q}',
  symbols: { q: '=calibrate.driveFactor|{0}|{1}' },
  source: 'By definition: new = old / slope.',
  doubt: 'nudge',
  work(view, runId: string, axisId: string): number {
    const run = runOf(view, runId)
    const axis = directionIn(run, axisId)
    return calibratedSteps(run.inForce[axis], view.figure(scale, runId, axis)) * view.figure(driveFactor, runId, axisId)
  },
})

/** In place of a run's id where an axis's steps follow its spans. */
export const BY_SPANS = 'spans'

/** Spans of an axis that were moved with the steps that the newest of them was moved with. */
function spansByHand(view: View<CalibrateView>, axisId: string) {
  const own = Object.values(view.bench.calibrate.spans).filter((it) => it.axis === axisId)
  const newest = own.reduce<(typeof own)[number] | null>((last, it) => (last === null || it.order > last.order ? it : last), null)
  const alike = own.filter((it) => it.inForce === newest?.inForce)
  if (newest === null || new Set(alike.map((it) => it.commanded)).size < 2)
    throw new NotYet('measure two different spans of this axis')
  return { inForce: newest.inForce, spans: alike.map(({ commanded, measured }) => ({ commanded, measured })) }
}

export const spanScale = figure({
  id: 'calibrate.spanScale',
  of: anAxisBySpans,
  label: 'Millimetres moved for one commanded, by hand',
  quantity: 'ratio',
  formula: 'b = \\dfrac{\\sum (\\ell - \\bar\\ell)(r - \\bar r)}{\\sum (\\ell - \\bar\\ell)^2}',
  symbols: {},
  source: LINE,
  doubt: 'nudge',
  work: (view, axisId: string): number => fitLine(spansByHand(view, axisId).spans).slope,
})

export const spanSteps = figure({
  id: 'calibrate.spanSteps',
  of: anAxisBySpans,
  label: 'Steps that the spans ask for',
  quantity: 'stepsPerLength',
  formula: 's = \\dfrac{s_{\\mathrm{then}}}{\\v{b}}',
  symbols: { b: '=calibrate.spanScale|{0}' },
  source: 'By definition: new = old / slope.',
  doubt: 'nudge',
  work: (view, axisId: string): number => calibratedSteps(spansByHand(view, axisId).inForce, view.figure(spanScale, axisId)),
})

export const calibratedStepsOf = figure({
  id: 'calibrate.steps',
  of: anAxis,
  label: 'Steps by the bench',
  quantity: 'stepsPerLength',
  formula: 's = \\text{those that the applied run or the spans ask for, else the nominal ones}',
  symbols: {},
  source: 'The scale run that is applied to the axis; without one, the drive train.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const runId = view.bench.calibrate.applied[axisId]
    if (runId === BY_SPANS) return view.figure(spanSteps, axisId)
    return runId === undefined ? view.figure(steps, axisId) : view.figure(stepsFound, runId, axisId)
  },
})

export const sizeErrorNow = figure({
  id: 'calibrate.sizeErrorNow',
  of: anAxis,
  label: 'Size now',
  signs: SIZE,
  quantity: 'ratio',
  show: PERCENT,
  formula: 'e = \\dfrac{\\v{s_m}}{s} - 1',
  symbols: { s_m: 'controller.axes.{0}.steps' },
  source: 'By definition: steps in the machine over those that the newest scale run asks for.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const runId = newestRun(view.bench.calibrate)
    if (runId === null) throw new NotYet('burn a scale run and read it')
    const machine = view.bench.controller.axes[axisId]
    if (machine === undefined) throw new RangeError(`there is no axis ${axisId} on this bench`)
    return machine.steps / view.figure(stepsFound, runId, axisId) - 1
  },
})

export const sizeMargin = figure({
  id: 'calibrate.sizeMargin',
  of: anAxis,
  label: 'Share left within the wanted accuracy',
  quantity: 'ratio',
  show: PERCENT,
  formula: 'm = \\v{w} - |\\v{e}|',
  symbols: { w: 'calibrate.wantedShare', e: '=calibrate.sizeErrorNow|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.bench.calibrate.wantedShare - Math.abs(view.figure(sizeErrorNow, axisId)),
})

/** Steps that differ by less than this share burn alike. */
export const SAME_STEPS = 5e-5

export const stepsDiffer = figure({
  id: 'calibrate.stepsDiffer',
  of: anAxis,
  label: 'Steps in the machine, off the bench’s by',
  quantity: 'ratio',
  show: PERCENT,
  formula: 'd = \\left|\\dfrac{\\v{s_m}}{\\v{s}} - 1\\right|',
  symbols: { s_m: 'controller.axes.{0}.steps', s: '=calibrate.steps|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const machine = view.bench.controller.axes[axisId]
    if (machine === undefined) throw new RangeError(`there is no axis ${axisId} on this bench`)
    return Math.abs(machine.steps / view.figure(calibratedStepsOf, axisId) - 1)
  },
})

export const stepsMargin = figure({
  id: 'calibrate.stepsMargin',
  of: anAxis,
  label: 'Share left until steps differ',
  quantity: 'ratio',
  show: PERCENT,
  formula: 'm = 0.005\\,\\% - \\v{d}',
  symbols: { d: '=calibrate.stepsDiffer|{0}' },
  source: 'By definition; 0.005 % is 0.02 mm over 400 mm.',
  doubt: 'nudge',
  work: (view, axisId: string): number => SAME_STEPS - view.figure(stepsDiffer, axisId),
})
