import type { Mark } from '../bench'
import type { Survey } from './survey'

type Letter = 'X' | 'Y' | 'Z'

/** What of a machine a program is held against. */
export interface ProgramMachine {
  /** Travel, mm, with its ± (about 95 %); null where it is not known, nothing where there is no such axis. */
  readonly travel: Readonly<Partial<Record<Letter, { readonly value: number; readonly expanded: number } | null>>>
  /** The S of full power; null where it is not known, `sure` where somebody read or typed it. */
  readonly fullPower: { readonly value: number; readonly sure: boolean } | null
}

/** One thing that is judged of a program before its time is shown. */
export type ProgramVerdict =
  | { readonly id: 'read'; readonly mark: 'good' | 'look' | 'stop' }
  | {
      readonly id: 'travel'
      readonly letter: Letter
      readonly mark: Mark
      /** mm of the work's coordinates. */
      readonly min: number
      readonly max: number
      /** The line that goes furthest: below 0 where one does, else to the other end. */
      readonly line: number
      /** Why it is not known; null where it is. */
      readonly open: 'travel' | 'refused lines' | 'no axis' | 'too close' | null
    }
  | { readonly id: 'power'; readonly mark: 'good' | 'stop' | 'unknown'; readonly highest: number; readonly line: number }
  | {
      readonly id: 'beam left on'
      readonly mark: 'look'
      readonly count: number
      readonly line: number
      readonly endsOn: boolean
    }
  | {
      readonly id: 'light stands'
      readonly mark: 'look' | 'stop'
      readonly count: number
      readonly line: number
      readonly seconds: number
    }
  | { readonly id: 'z with the beam on'; readonly mark: 'look' | 'stop'; readonly line: number }

const WORST: readonly Mark[] = ['stop', 'unknown', 'look', 'good']

/**
 * Holds a program against a machine: whether every line was read, whether it stays within the travel, whether S stays
 * under full power, whether Z moves with the beam on. Lines that were refused may go anywhere, so that nothing is good
 * of where a program goes while there are any.
 * @returns Worst first, and of those alike the limits of the machine before the words. Valid: after `surveyProgram`.
 */
export function judgeProgram(survey: Survey | Omit<Survey, 'drawing'>, machine: ProgramMachine): readonly ProgramVerdict[] {
  const verdicts = [...travelOf(survey, machine), ...powerOf(survey, machine), ...zOf(survey), ...beamOf(survey), readOf(survey)]
  return verdicts.sort((p, q) => WORST.indexOf(p.mark) - WORST.indexOf(q.mark))
}

type Summary = Omit<Survey, 'drawing'>

function readOf({ errorCount, findingCount }: Summary): ProgramVerdict {
  return { id: 'read', mark: errorCount > 0 ? 'stop' : findingCount > 0 ? 'look' : 'good' }
}

function powerOf({ highestS, highestSLine }: Summary, { fullPower }: ProgramMachine): ProgramVerdict[] {
  if (highestS === 0) return []
  const known = fullPower !== null && fullPower.sure
  const mark = !known ? 'unknown' : highestS > fullPower.value ? 'stop' : 'good'
  return [{ id: 'power', mark, highest: highestS, line: highestSLine }]
}

function zOf({ zLit }: Summary): ProgramVerdict[] {
  return zLit === null ? [] : [{ id: 'z with the beam on', mark: zLit.still ? 'stop' : 'look', line: zLit.line }]
}

/** Longer than this no light stands on one place, s: wood burns by then (common practice). */
export const LONGEST_STAND = 5

function beamOf({ leftOn, endsOn, standing }: Summary): ProgramVerdict[] {
  const isLeft = leftOn !== null || endsOn
  return [
    ...(isLeft
      ? [{ id: 'beam left on', mark: 'look', count: leftOn?.count ?? 0, line: leftOn?.line ?? 0, endsOn } as const]
      : []),
    ...(standing === null
      ? []
      : [{ id: 'light stands', mark: standing.seconds > LONGEST_STAND ? 'stop' : 'look', ...standing } as const]),
  ]
}

function travelOf({ bounds, errorCount, reachedIn }: Summary, { travel }: ProgramMachine): ProgramVerdict[] {
  if (bounds === null) return []
  const reach = {
    X: [bounds.minX, bounds.maxX],
    Y: [bounds.minY, bounds.maxY],
    Z: [bounds.minZ, bounds.maxZ],
  } as const
  return (['X', 'Y', 'Z'] as const).flatMap((letter): ProgramVerdict[] => {
    const [min, max] = reach[letter]
    if (letter === 'Z' && max - min < 1e-9) return []
    const verdict = (mark: Mark, open: Extract<ProgramVerdict, { id: 'travel' }>['open']): ProgramVerdict[] => [
      {
        id: 'travel',
        letter,
        mark,
        min,
        max,
        line: reachedIn[min < -1e-9 ? (`min${letter}` as const) : (`max${letter}` as const)],
        open,
      },
    ]
    const room = travel[letter]
    if (room === undefined) return verdict('stop', 'no axis')
    if (room === null) return verdict('unknown', 'travel')
    // Where the zero of Z stands in its travel is the person's to say: its way is held against it, not its ends.
    const fits =
      letter === 'Z' ? fitsTravel(0, max - min, room.value, room.expanded) : fitsTravel(min, max, room.value, room.expanded)
    if (fits === 'stop') return verdict('stop', null)
    if (errorCount > 0) return verdict('unknown', 'refused lines')
    if (fits === 'unknown') return verdict('unknown', 'too close')
    return verdict(letter === 'Z' ? 'look' : 'good', null)
  })
}

/** Whether a stretch from `min` to `max` stays within a travel that is known to ± `expanded`. */
export function fitsTravel(min: number, max: number, travel: number, expanded: number): 'good' | 'stop' | 'unknown' {
  const over = max - travel
  if (min < -1e-9 || over > expanded) return 'stop'
  return over <= -expanded ? 'good' : 'unknown'
}
