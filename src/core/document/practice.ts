import { layoutOf, newestRun, newestTrial, powerForLight, type TrialShape } from '../calibrate'
import { shownNumber, type Engine } from '../bench'
import { writeProgram } from '../gcode'
import {
  createStandIn,
  hiddenShareFor,
  mended,
  mendsAnything,
  type Hidden,
  type Mend,
  type PracticeMachine,
  type StandInSpec,
} from '../workshop'
import type { Bench } from './bench'
import { cardOf } from './settings'

/** What a practice machine is scored on. */
export const ASPECTS = ['scale', 'square', 'backlash', 'power', 'delay', 'closure'] as const
export type Aspect = (typeof ASPECTS)[number]

/** How one aspect of a practice machine came out. */
export interface AspectScore {
  readonly aspect: Aspect
  /** How far the machine really is from the ideal: a share, rad, mm or s; null where nothing was done about it. */
  readonly off: number | null
  /** What counts as good, in the same unit. */
  readonly good: number
  /** 0…100. */
  readonly points: number
  /** Whether something was measured that shows it, after the last thing that was done to it. */
  readonly isProved: boolean
}

export interface PracticeScore {
  readonly aspects: readonly AspectScore[]
  /** Mean of the points, 0…100. */
  readonly points: number
  /** What was done with a spanner and mended nothing. */
  readonly inVain: readonly Mend[]
  /** Patterns and runs that were burnt and never read. */
  readonly unread: number
}

/** Something that was done to a practice machine, and when. */
export type MendDone = Mend & { readonly at: string }

/** What is hidden in a practice machine after all that was done to it. */
export function afterMends(machine: PracticeMachine, mends: readonly Mend[]): Hidden {
  return mends.reduce(mended, machine.hidden)
}

/** Good, and how many times as far off gives no points at all (common practice of marking). */
const GOOD: Readonly<Record<Aspect, number>> = {
  scale: 5e-4,
  square: 1.75e-3,
  backlash: 0.06,
  power: 0.03,
  delay: 0.004,
  closure: 0.12,
}
const NOTHING = 20

/**
 * Points for how far off something is: all up to the good, none from twenty times that on, evenly by ratio between.
 * @param off 0 or more. @param good More than 0. @returns 0…100. Valid: any. Source: by definition.
 * @example pointsFor(0.1, 0.1) // 100
 */
export function pointsFor(off: number, good: number): number {
  if (off <= good) return 100
  return Math.max(0, 100 * (1 - Math.log(off / good) / Math.log(NOTHING)))
}

interface Practised {
  readonly machine: PracticeMachine
  readonly number: number
  readonly spec: StandInSpec
  /** As the machine is set now. */
  readonly settings: Readonly<Record<string, string>>
  readonly mends: readonly MendDone[]
  readonly bench: Bench
  readonly engine: Engine<Bench>
}

/**
 * How far a practice machine's true behaviour is from the ideal, what was done in vain and what is unproved.
 * @param it What is scored. @param wanted On what; all that there is, if nothing is said.
 * @throws {RangeError} where the bench's card cannot write the outlines that closure is tried with.
 */
export function scorePractice(it: Practised, wanted: readonly Aspect[] = ASPECTS): PracticeScore {
  const { machine, number, settings, mends, bench, engine } = it
  const hidden = afterMends(machine, mends)
  const { calibrate } = bench
  const half = shownNumber(engine.value(powerForLight, '50').result)
  const { slip, loose } = hidden.faults
  const offs: Readonly<Record<Aspect, () => number | null>> = {
    scale: () =>
      Math.max(...(['x', 'y'] as const).map((axis) => Math.abs(Number(settings[`${axis}/steps`]) * hidden.mmPerStep[axis] - 1))),
    square: () => Math.abs(hidden.skewRad),
    backlash: () =>
      Math.max(
        hidden.play.x + (loose?.axis === 'x' ? loose.mm : 0),
        hidden.play.y + (loose?.axis === 'y' ? loose.mm : 0),
        slip === undefined ? 0 : slip.share * 100,
      ),
    power: () => (half === null ? null : Math.abs(half - hiddenShareFor(0.5, number))),
    delay: () => Math.abs(hidden.delay.on - bench.output.card.afterOn),
    closure: () => trueGap(it, hidden),
  }
  const last = (acts: readonly Mend['act'][]): string =>
    mends
      .filter((one) => acts.includes(one.act))
      .map((one) => one.at)
      .at(-1) ?? ''
  const since = (at: string | undefined, acts: readonly Mend['act'][]): boolean => at !== undefined && at > last(acts)
  const trialAt = (kind: keyof typeof calibrate.trials): string | undefined => {
    const id = newestTrial(calibrate.trials, kind)
    const trial = id === null ? undefined : calibrate.trials[kind][id]
    return trial !== undefined && Object.keys(trial.readings).length > 0 ? trial.at : undefined
  }
  const runId = newestRun(calibrate)
  const run = runId === null ? undefined : calibrate.runs[runId]
  const runAt = run !== undefined && Object.keys(run.readings).length > 0 ? run.at : undefined
  const isRunOfNow =
    run !== undefined &&
    (['x', 'y'] as const).every((axis) => Math.abs(run.inForce[axis] / Number(settings[`${axis}/steps`]) - 1) < 5e-5)
  const proved: Readonly<Record<Aspect, boolean>> = {
    scale: runAt !== undefined && isRunOfNow,
    square: [runAt, trialAt('circle'), trialAt('rectangle')].some((at) => since(at, ['square'])),
    backlash: [runAt, trialAt('circle'), trialAt('alternate'), trialAt('outline')].some((at) =>
      since(at, ['snug', 'belt', 'pulley']),
    ),
    power: Object.values(calibrate.curve).filter((one) => one.light.value !== null).length >= 3,
    delay: trialAt('delay') !== undefined,
    closure: since(trialAt('outline'), ['snug', 'belt', 'pulley', 'square']),
  }
  const aspects = wanted.map((aspect): AspectScore => {
    const off = offs[aspect]()
    const good = GOOD[aspect]
    return { aspect, off, good, points: off === null ? 0 : pointsFor(off, good), isProved: proved[aspect] }
  })
  const unread = [
    ...Object.values(calibrate.runs),
    ...Object.values(calibrate.trials).flatMap((kind) => Object.values(kind)),
  ].filter((one) => Object.keys(one.readings).length === 0 && !('picks' in one && Object.keys(one.picks).length > 0)).length
  const inVain = mends.filter((mend, i) => !mendsAnything(afterMends(machine, mends.slice(0, i)), mend))
  return { aspects, points: aspects.reduce((sum, one) => sum + one.points, 0) / aspects.length, inVain, unread }
}

const OUTLINES: TrialShape = { origin: { x: 12, y: 12 }, power: 1, speed: 20, numbers: { small: 20, large: 80 } }

/** Mean gap of outlines that the machine burns as it stands now, mm: seen without an instrument. */
function trueGap({ spec, number, settings, bench }: Practised, hidden: Hidden): number {
  const { steps, readings } = layoutOf('outline', OUTLINES)
  const card = cardOf(bench)
  const written = card === null ? null : writeProgram(steps, { ...card, fullPower: Number(settings['beam/full']) })
  if (written?.ok !== true) throw new RangeError('the outlines cannot be written through the output card of this bench')
  const standIn = createStandIn({ spec, number, settings, hidden, say: () => undefined })
  written.value.split('\n').forEach((line, i) => standIn.receive(`${i + 1} load ${line}`))
  standIn.receive('9999 run')
  standIn.advance(Infinity)
  const gaps = readings.flatMap(({ span }) => {
    if (!('first' in span)) return []
    const [a, b] = [standIn.marks[span.first.line], standIn.marks[span.last.line]]
    if (a == null || b == null) return []
    return [span.axis === 'x' ? b.x1 - a.x0 : b.y1 - a.y0]
  })
  if (gaps.length < readings.length) return Infinity
  const pairs = gaps.flatMap((gap, i) => (i % 2 === 0 ? [Math.hypot(gap, gaps[i + 1] ?? 0)] : []))
  return pairs.reduce((sum, one) => sum + one, 0) / pairs.length
}
