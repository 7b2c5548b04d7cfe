import { figureOf, NotYet, subjectOf, type Plain, type View } from '../bench'
import type { ControllerBench } from '../controller'
import { outOfSquare, smallestStep, type MotionBench } from '../motion'
import type { OutputCard } from '../gcode'
import { fitCircles, type CircleFit } from './circleFit'
import { diagnoseClosure, type Diagnosis } from './closureModel'
import { fitLine } from './fit'
import { newestTrial } from './newestTrial'
import type { CalibrateBench } from './slice'
import { alternateSpeeds } from './trialAlternate'
import { bandSpeeds } from './trialBands'
import { circleReadingsOf } from './trialCircle'
import { delaySpeeds } from './trialDelay'
import { outlinesOf } from './trialOutline'
import type { Trial, TrialKindId } from './trialSlice'

/** @property output The output card, of which only the wait behind “on” is read. */
export type TrialBench = CalibrateBench &
  ControllerBench &
  MotionBench & { readonly output: { readonly card: Pick<OutputCard, 'afterOn'> } }
const figure = figureOf<TrialBench>()
const MS = { metric: 'ms', inch: 'ms' } as const
const PERCENT = { metric: 'percent', inch: 'percent' } as const
const LEAST_SQUARES = 'JCGM 100:2008, H.3: least squares.'

/** Trials of a kind: their ids. */
const ofKind = (kind: TrialKindId) =>
  subjectOf<TrialBench>()(`${kind} trial`, ({ calibrate }): [trialId: string][] =>
    Object.keys(calibrate.trials[kind]).map((id) => [id]),
  )
const ofKindAlong = (kind: TrialKindId) =>
  subjectOf<TrialBench>()(`${kind} trial along`, (bench): [trialId: string, axis: string][] =>
    ofKind(kind)
      .each(bench)
      .flatMap(([id]): [string, string][] => [
        [id, 'x'],
        [id, 'y'],
      ]),
  )
const aDelay = ofKind('delay')
const anOutline = ofKind('outline')
const aCircle = ofKind('circle')
const aCircleAlong = ofKindAlong('circle')
const aRectangle = ofKind('rectangle')
const anAlternate = ofKind('alternate')
const aMoves = ofKind('moves')
const aBands = ofKind('bands')

function trialOf(view: View<TrialBench>, kind: TrialKindId, id: string): Plain<Trial> {
  const trial = view.bench.calibrate.trials[kind][id]
  if (trial === undefined) throw new NotYet('burn the pattern and read it')
  return trial
}

/** What of a trial is read, by the name of the reading; only what was. */
function readOf(
  trial: Plain<Trial>,
  ids: readonly string[],
): readonly { readonly id: string; readonly at: number; readonly value: number }[] {
  const there = new Set(Object.keys(trial.readings))
  return ids.flatMap((id, at) => (there.has(id) ? [{ id, at, value: trial.readings[id] ?? Number.NaN }] : []))
}

/** Slope and intercept of what was read over a speed. */
function overSpeed(trial: Plain<Trial>, speeds: readonly number[], idOf: (n: number) => string, what: string) {
  const read = readOf(
    trial,
    speeds.map((_, i) => idOf(i + 1)),
  )
  if (read.length < 3) throw new NotYet(`read ${what} at three speeds or more`)
  return fitLine(read.map(({ at, value }) => ({ commanded: speeds[at] ?? 0, measured: value })))
}

export const onDelay = figure({
  id: 'calibrate.onDelay',
  of: aDelay,
  label: 'Light comes behind the word “on” by',
  quantity: 'time',
  show: MS,
  formula: '\\tau = \\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Missing length is speed times delay; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number =>
    overSpeed(trialOf(view, 'delay', id), delaySpeeds(trialOf(view, 'delay', id)), (n) => `start-${n}`, 'where lines begin')
      .slope,
})

export const offDelay = figure({
  id: 'calibrate.offDelay',
  of: aDelay,
  label: 'Light goes behind the word “off” by',
  quantity: 'time',
  show: MS,
  formula: '\\tau = \\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Extra length is speed times delay; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number =>
    overSpeed(trialOf(view, 'delay', id), delaySpeeds(trialOf(view, 'delay', id)), (n) => `end-${n}`, 'where lines end').slope,
})

export const lateLength = figure({
  id: 'calibrate.lateLength',
  of: aDelay,
  label: 'Missing at the start of a line',
  quantity: 'length',
  formula: 'm = \\v{v}\\cdot(\\v{\\tau} - t_w)',
  symbols: { v: 'calibrate.markSpeed', '\\tau': '=calibrate.onDelay|{0}' },
  source: 'Speed times delay, less what the output card waits behind “on”.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.bench.calibrate.markSpeed * Math.max(0, view.figure(onDelay, id) - view.rows((it) => it.output.card.afterOn)),
})

export const lateRoom = figure({
  id: 'calibrate.lateRoom',
  of: aDelay,
  label: 'Missing length within the accepted gap by',
  quantity: 'length',
  formula: 'r = \\v{g} - \\v{m}',
  symbols: { g: 'calibrate.gapAllowed', m: '=calibrate.lateLength|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - view.figure(lateLength, id),
})

/** The gaps of a closure trial, of the outlines that were read along both axes. */
function gapsOf(trial: Plain<Trial>) {
  const read = new Map(Object.entries(trial.readings))
  return outlinesOf(trial).flatMap(({ id, side, first }) => {
    const [x, y] = [read.get(`${id}-x`), read.get(`${id}-y`)]
    return x === undefined || y === undefined ? [] : [{ x, y, side, first }]
  })
}

export const worstGap = figure({
  id: 'calibrate.worstGap',
  of: anOutline,
  label: 'Gap of the outlines, on average',
  quantity: 'length',
  formula: 'g = \\dfrac{1}{n}\\sum \\sqrt{g_x^2 + g_y^2}',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view, id: string): number {
    const gaps = gapsOf(trialOf(view, 'outline', id))
    if (gaps.length === 0) throw new NotYet('read where the outlines end')
    return gaps.reduce((sum, it) => sum + Math.hypot(it.x, it.y), 0) / gaps.length
  },
})

export const gapRoom = figure({
  id: 'calibrate.gapRoom',
  of: anOutline,
  label: 'Gap within the accepted one by',
  quantity: 'length',
  formula: 'r = \\v{a} - \\v{g}',
  symbols: { a: 'calibrate.gapAllowed', g: '=calibrate.worstGap|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - view.figure(worstGap, id),
})

/** Outlines that a diagnosis wants: both sizes, both ways round. */
const LEAST_OUTLINES = 4
const FULL_STEPS_A_CYCLE = 4

export const closureDiagnosis = figure({
  id: 'calibrate.closureDiagnosis',
  of: anOutline,
  label: 'What the gaps say',
  quantity: 'ratio',
  formula: 'P(\\text{cause} \\mid \\text{gaps})',
  symbols: {},
  source: 'Bayes’ rule over play, slip, missed steps, a sagging belt and late light; priors of common practice.',
  doubt: { none: 'Probabilities already say how sure they are.' },
  work(view, id: string): Diagnosis {
    const trial = trialOf(view, 'outline', id)
    const gaps = gapsOf(trial)
    if (gaps.length < LEAST_OUTLINES || new Set(gaps.map((it) => it.side)).size < 2) {
      throw new NotYet('read four outlines or more, of both sizes')
    }
    const cycle = (axisId: string): number => {
      const axis = view.bench.motion.axes[axisId]
      if (axis === undefined) throw new NotYet('an axis of this trial is gone')
      return FULL_STEPS_A_CYCLE * axis.microsteps * view.figure(smallestStep, axisId)
    }
    return diagnoseClosure(gaps, { u: READ_GAP, cycle: { x: cycle(trial.axes.x), y: cycle(trial.axes.y) } })
  },
})
/** Standard uncertainty of a gap that is read with calipers or a scale under a lens, mm. (common practice) */
const READ_GAP = 0.03

export const circleFit = figure({
  id: 'calibrate.circleFit',
  of: aCircle,
  label: 'Ellipses through the readings',
  quantity: 'length',
  formula: 'd(u) = D\\,|A^{\\mathsf T}u| + \\text{play} \\pm w',
  symbols: {},
  source: `Width of the image of a circle under a linear map; ${LEAST_SQUARES}`,
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view, id: string): CircleFit {
    const trial = trialOf(view, 'circle', id)
    const defs = circleReadingsOf(trial)
    const read = readOf(
      trial,
      defs.map((it) => it.id),
    ).flatMap(({ at, value }) => {
      const def = defs[at]
      return def === undefined ? [] : [{ ...def, measured: value }]
    })
    const fit = fitCircles(read)
    if (fit === null) throw new NotYet('read both sizes, both ways round, outside and inside')
    return fit
  },
})

const CIRCLE_SOURCE = `Least squares over all diameters; ${LEAST_SQUARES}`
const along = (axis: string): 'X' | 'Y' => (axis === 'x' ? 'X' : 'Y')

export const circleScale = figure({
  id: 'calibrate.circleScale',
  of: aCircleAlong,
  label: 'Millimetres moved for one commanded, by circles',
  quantity: 'ratio',
  formula: 'b',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string, axis: string): number => view.figure(circleFit, id)[`scale${along(axis)}`],
})

export const circlePlay = figure({
  id: 'calibrate.circlePlay',
  of: aCircleAlong,
  label: 'Backlash, by circles',
  quantity: 'length',
  formula: 'k',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string, axis: string): number => view.figure(circleFit, id)[`play${along(axis)}`],
})

export const circleSkew = figure({
  id: 'calibrate.circleSkew',
  of: aCircle,
  label: 'Out of square, by circles',
  quantity: 'angle',
  formula: '\\delta',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(circleFit, id).skewRad,
})

export const circleSquareRoom = figure({
  id: 'calibrate.circleSquareRoom',
  of: aCircle,
  label: 'Angle left within the accepted one, by circles',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=calibrate.circleSkew|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.motion.squareWithin - Math.abs(view.figure(circleSkew, id)),
})

export const circleRoom = figure({
  id: 'calibrate.circleRoom',
  of: aCircle,
  label: 'Circles rounder than the wanted accuracy by',
  quantity: 'ratio',
  show: PERCENT,
  formula: 'm = \\v{w} - |\\v{b_x} - \\v{b_y}|',
  symbols: { w: 'calibrate.wantedShare', b_x: '=calibrate.circleScale|{0}|x', b_y: '=calibrate.circleScale|{0}|y' },
  source: 'By definition: the calipers’ own scale cancels.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.bench.calibrate.wantedShare - Math.abs(view.figure(circleScale, id, 'x') - view.figure(circleScale, id, 'y')),
})

export const rectangleSkew = figure({
  id: 'calibrate.rectangleSkew',
  of: aRectangle,
  label: 'Out of square, by the rectangle',
  quantity: 'angle',
  formula: '\\delta = \\arcsin\\dfrac{p^2 - q^2}{4ab}',
  symbols: {},
  source: 'Law of cosines on both diagonals; the scale of the calipers cancels.',
  doubt: 'nudge',
  work(view, id: string): number {
    const read = readOf(trialOf(view, 'rectangle', id), ['width', 'depth', 'from', 'across'])
    if (read.length < 4) throw new NotYet('read both sides and both diagonals')
    const [a, b, p, q] = read.map((it) => it.value) as [number, number, number, number]
    return outOfSquare({ widthMm: a, depthMm: b, fromOriginMm: p, acrossMm: q })
  },
})

export const rectangleRoom = figure({
  id: 'calibrate.rectangleRoom',
  of: aRectangle,
  label: 'Angle left within the accepted one, by the rectangle',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=calibrate.rectangleSkew|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.motion.squareWithin - Math.abs(view.figure(rectangleSkew, id)),
})

function alternateFit(trial: Plain<Trial>) {
  const speeds = alternateSpeeds(trial)
  const spans = speeds.flatMap((commanded, i) =>
    readOf(trial, [`${i + 1}-left`, `${i + 1}-right`]).map(({ value }) => ({ commanded, measured: value })),
  )
  if (new Set(spans.map((it) => it.commanded)).size < 2 || spans.length < 3)
    throw new NotYet('read the alternate lines at two speeds or more')
  return fitLine(spans)
}

export const alternatePlay = figure({
  id: 'calibrate.alternatePlay',
  of: anAlternate,
  label: 'Backlash of X, by alternate lines',
  quantity: 'length',
  formula: 'k = \\bar\\ell - s\\,\\bar v',
  symbols: {},
  source: `What alternate lines would be apart at no speed; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number => alternateFit(trialOf(view, 'alternate', id)).intercept,
})

export const alternateDelay = figure({
  id: 'calibrate.alternateDelay',
  of: anAlternate,
  label: 'Delay on and off together, by alternate lines',
  quantity: 'time',
  show: MS,
  formula: '\\tau = -\\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Alternate lines part by speed times both delays; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number => -alternateFit(trialOf(view, 'alternate', id)).slope,
})

export const alternateRoom = figure({
  id: 'calibrate.alternateRoom',
  of: anAlternate,
  label: 'Backlash within the accepted gap by',
  quantity: 'length',
  formula: 'r = \\v{g} - |\\v{k}|',
  symbols: { g: 'calibrate.gapAllowed', k: '=calibrate.alternatePlay|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - Math.abs(view.figure(alternatePlay, id)),
})

export const lostWay = figure({
  id: 'calibrate.lostWay',
  of: aMoves,
  label: 'Lost over a thousand moves',
  quantity: 'length',
  formula: 'd = \\sqrt{d_x^2 + d_y^2}',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view, id: string): number {
    const read = readOf(trialOf(view, 'moves', id), ['x', 'y'])
    if (read.length < 2) throw new NotYet('read the ticks of both axes')
    return Math.hypot(...read.map((it) => it.value))
  },
})

export const lostRoom = figure({
  id: 'calibrate.lostRoom',
  of: aMoves,
  label: 'Lost less than half a winding’s cycle by',
  quantity: 'length',
  formula: 'r = \\tfrac12 c - \\v{d}',
  symbols: { d: '=calibrate.lostWay|{0}' },
  source: 'A motor that misses loses whole cycles of its winding, four full steps; less is play.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { axes } = trialOf(view, 'moves', id)
    const cycle = Math.min(
      ...[axes.x, axes.y].map((axisId) => {
        const axis = view.bench.motion.axes[axisId]
        if (axis === undefined) throw new NotYet('an axis of this trial is gone')
        return FULL_STEPS_A_CYCLE * axis.microsteps * view.figure(smallestStep, axisId)
      }),
    )
    return cycle / 2 - view.figure(lostWay, id)
  },
})

/** Set acceleration over what was tried, from which a motor has room for heat, wear and a heavier head. (common practice) */
const ACCELERATION_ROOM = 0.7

export const accelerationTried = figure({
  id: 'calibrate.accelerationTried',
  label: 'Highest acceleration that lost nothing',
  quantity: 'acceleration',
  formula: 'a = \\max a_i\\ \\text{without loss}',
  symbols: {},
  source: 'Of the trials with a thousand moves; one that lost at less does not count.',
  doubt: { none: 'One of the accelerations that were tried.' },
  work(view): number {
    const known = Object.entries(view.bench.calibrate.trials.moves).flatMap(([id, it]) => {
      const isRead = readOf(it, ['x', 'y']).length === 2
      return isRead ? [{ a: it.numbers['acceleration'] ?? 0, lost: view.figure(lostRoom, id) < 0 }] : []
    })
    const least = Math.min(...known.filter((it) => it.lost).map((it) => it.a))
    const held = known.filter((it) => !it.lost && it.a < least).map((it) => it.a)
    if (held.length === 0) throw new NotYet('burn a thousand moves that lose nothing, and read its ticks')
    return Math.max(...held)
  },
})

export const accelerationWise = figure({
  id: 'calibrate.accelerationWise',
  label: 'Acceleration that leaves room',
  quantity: 'acceleration',
  formula: 'a_w = 0.7\\,\\v{a}',
  symbols: { a: '=calibrate.accelerationTried' },
  source: 'A third of room for heat, wear and a heavier head (common practice).',
  doubt: { none: 'A share of one that was tried.' },
  work: (view): number => ACCELERATION_ROOM * view.figure(accelerationTried),
})

export const bandFree = figure({
  id: 'calibrate.bandFree',
  of: aBands,
  label: 'Fastest line without dots',
  quantity: 'speed',
  formula: 'v = \\max v_i\\ \\text{below the first with dots}',
  symbols: {},
  source: 'Picked by eye.',
  doubt: { none: 'One of the speeds of the pattern.' },
  work(view, id: string): number {
    const trial = trialOf(view, 'bands', id)
    const picked = Object.keys(trial.picks).includes('dotted') ? trial.picks['dotted'] : undefined
    if (picked === undefined) throw new NotYet('pick the first line with dots, or none')
    const speeds = bandSpeeds(trial)
    const free = picked === 0 ? speeds.at(-1) : speeds[picked - 2]
    if (free === undefined) throw new NotYet('even the slowest line has dots: burn the pattern slower, or raise the frequency')
    return free
  },
})

export const bandRoom = figure({
  id: 'calibrate.bandRoom',
  of: aBands,
  label: 'Marking speed below the fastest without dots by',
  quantity: 'speed',
  formula: 'r = \\v{v} - \\v{s}',
  symbols: { v: '=calibrate.bandFree|{0}', s: 'calibrate.markSpeed' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(bandFree, id) - view.bench.calibrate.markSpeed,
})

export const frequencyWise = figure({
  id: 'calibrate.frequencyWise',
  of: aBands,
  label: 'Frequency that lets the fastest scan go without dots',
  quantity: 'frequency',
  formula: 'f = f_{\\mathrm{then}}\\,\\dfrac{\\v{s}}{\\v{v}}',
  symbols: { s: 'calibrate.scanFastest', v: '=calibrate.bandFree|{0}' },
  source: 'Pulses a millimetre are frequency over speed: as many at the higher speed.',
  doubt: 'nudge',
  work(view, id: string): number {
    const then = trialOf(view, 'bands', id).numbers['frequency'] ?? 0
    if (!(then > 0)) throw new NotYet('read the frequency of the power signal in the machine before the pattern is burnt')
    return (then * view.bench.calibrate.scanFastest) / view.figure(bandFree, id)
  },
})

export const daysLeft = figure({
  id: 'calibrate.daysLeft',
  label: 'Until the scale run is due again, by the calendar',
  quantity: 'time',
  show: { metric: 'd', inch: 'd' },
  formula: 't = \\v{g} - (t_{\\mathrm{now}} - t_{\\mathrm{run}})',
  symbols: { g: 'calibrate.goodDays' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const runs = Object.values(view.rows((it) => it.calibrate.runs))
    const newest = Math.max(...runs.map((it) => Date.parse(it.at)))
    if (!Number.isFinite(newest)) throw new NotYet('burn a scale run and read it')
    return view.bench.calibrate.goodDays - (view.now - newest) / 1000
  },
})

export const hoursLeft = figure({
  id: 'calibrate.hoursLeft',
  label: 'Until the trials are due again, by hours run',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 't = \\v{g} - (\\v{h} - h_{\\mathrm{then}})',
  symbols: { g: 'calibrate.goodHours', h: 'calibrate.hours' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { trials } = view.bench.calibrate
    const then = Object.values(trials).flatMap((kind) =>
      Object.values(kind).flatMap((it) => (it.hours === null ? [] : [it.hours])),
    )
    if (then.length === 0) throw new NotYet('enter the hours the machine has run before a pattern is burnt')
    return view.bench.calibrate.goodHours - (view.bench.calibrate.hours - Math.max(...then))
  },
})

/** Whether a trial is the newest of its kind. */
export function isNewest(kind: TrialKindId): (bench: TrialBench, id: string) => boolean {
  return ({ calibrate }, id) => newestTrial(calibrate.trials, kind) === id
}
