import { NotYet, subjectOf, type Plain, type View } from '../bench'
import type { ControllerBench } from '../controller'
import type { OutputCard } from '../gcode'
import type { MotionBench } from '../motion'
import { fitLine } from './fit'
import { newestTrial } from './newestTrial'
import type { CalibrateBench } from './slice'
import type { Trial, TrialKindId } from './trialSlice'

/** @property output The output card, of which only the wait behind “on” is read. */
export type TrialBench = CalibrateBench &
  ControllerBench &
  MotionBench & { readonly output: { readonly card: Pick<OutputCard, 'afterOn'> } }
export const MS = { metric: 'ms', inch: 'ms' } as const
export const PERCENT = { metric: 'percent', inch: 'percent' } as const
export const LEAST_SQUARES = 'JCGM 100:2008, H.3: least squares.'

/** Trials of a kind: their ids. */
export const ofKind = (kind: TrialKindId) =>
  subjectOf<TrialBench>()(`${kind} trial`, ({ calibrate }): [trialId: string][] =>
    Object.keys(calibrate.trials[kind]).map((id) => [id]),
  )
export const ofKindAlong = (kind: TrialKindId) =>
  subjectOf<TrialBench>()(`${kind} trial along`, (bench): [trialId: string, axis: string][] =>
    ofKind(kind)
      .each(bench)
      .flatMap(([id]): [string, string][] => [
        [id, 'x'],
        [id, 'y'],
      ]),
  )

/** A trial of a bench. @throws {NotYet} where it is gone. */
export function trialOf(view: View<TrialBench>, kind: TrialKindId, id: string): Plain<Trial> {
  const trial = view.bench.calibrate.trials[kind][id]
  if (trial === undefined) throw new NotYet('burn the pattern and read it')
  return trial
}

/** What of a trial is read, by the name of the reading; only what was. */
export function readOf(
  trial: Plain<Trial>,
  ids: readonly string[],
): readonly { readonly id: string; readonly at: number; readonly value: number }[] {
  const there = new Set(Object.keys(trial.readings))
  return ids.flatMap((id, at) => (there.has(id) ? [{ id, at, value: trial.readings[id] ?? Number.NaN }] : []))
}

/** Slope and intercept of what was read over a speed. @throws {NotYet} with fewer than three readings. */
export function overSpeed(trial: Plain<Trial>, speeds: readonly number[], idOf: (n: number) => string, what: string) {
  const read = readOf(
    trial,
    speeds.map((_, i) => idOf(i + 1)),
  )
  if (read.length < 3) throw new NotYet(`read ${what} at three speeds or more`)
  return fitLine(read.map(({ at, value }) => ({ commanded: speeds[at] ?? 0, measured: value })))
}

/** Whether a trial is the newest of its kind. */
export function isNewest(kind: TrialKindId): (bench: TrialBench, id: string) => boolean {
  return ({ calibrate }, id) => newestTrial(calibrate.trials, kind) === id
}
