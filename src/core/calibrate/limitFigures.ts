import { figureOf, NotYet } from '../bench'
import { bandSpeeds } from './trialBands'
import { anAxis, smallestStep } from '../motion'
import { ofKind, readOf, trialOf, type TrialBench } from './trialView'

const figure = figureOf<TrialBench>()
const aMoves = ofKind('moves')
const aBands = ofKind('bands')

const FULL_STEPS_A_CYCLE = 4

export const windingCycle = figure({
  id: 'calibrate.windingCycle',
  of: anAxis,
  label: 'Way for one cycle of the winding',
  quantity: 'length',
  formula: 'c = 4\\,\\v{m}\\,\\v{d}',
  symbols: { m: 'motion.axes.{0}.microsteps', d: '=motion.smallestStep|{0}' },
  source: 'A winding repeats after four full steps: what a motor loses when it misses.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const axis = view.bench.motion.axes[axisId]
    if (axis === undefined) throw new NotYet('an axis of this trial is gone')
    return FULL_STEPS_A_CYCLE * axis.microsteps * view.figure(smallestStep, axisId)
  },
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
    const cycle = Math.min(view.figure(windingCycle, axes.x), view.figure(windingCycle, axes.y))
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
