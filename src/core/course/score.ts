import type { Engine } from '../bench'
import { pointsFor, type Bench, type MendDone } from '../document'
import type { Culprit } from '../faults'
import type { StandInSpec } from '../workshop'
import type { LessonId } from './lessonId'
import { LESSONS, type LessonAim } from './lessons'

/** Something that was tried in a lesson and cannot be taken back: the head was switched on, or a cause was named. */
export type LessonTry =
  | { readonly kind: 'on'; readonly at: string; readonly volts: number; readonly died: boolean }
  | { readonly kind: 'named'; readonly at: string; readonly culprit: Culprit }

/** A lesson as it stands. */
export interface Lessoned {
  readonly lesson: LessonId
  readonly number: number
  readonly spec: StandInSpec
  /** What is set in its machine. */
  readonly settings: Readonly<Record<string, string>>
  readonly mends: readonly MendDone[]
  readonly tries: readonly LessonTry[]
  readonly bench: Bench
  readonly engine: Engine<Bench>
}

/** How one aim came out, before points: what it is off by in the core's unit, null where nothing was done; and whether it is proved. */
export interface CameOut {
  readonly off: number | null
  readonly isDone: boolean
}

/** What is worked of a lesson: each of its aims, and what was hidden, in words. */
export interface LessonWorked {
  readonly aims: Readonly<Record<string, CameOut>>
  readonly truth: readonly string[]
}

export interface LessonScored {
  readonly aims: readonly (LessonAim & CameOut & { readonly points: number })[]
  /** Mean of the points, 0…100. */
  readonly points: number
  readonly truth: readonly string[]
}

/** What is only half done counts half. */
const UNPROVED = 0.5

/** Gives points to what was worked. @param lesson Which lesson. @param worked How its aims came out. */
export function withPoints(lesson: LessonId, { aims, truth }: LessonWorked): LessonScored {
  const scored = LESSONS[lesson].aims.map((it) => {
    const { off, isDone } = aims[it.id] ?? { off: null, isDone: false }
    const points = off === null ? 0 : pointsFor(Math.abs(off), it.good) * (isDone ? 1 : UNPROVED)
    return { ...it, off, isDone, points }
  })
  return { aims: scored, points: scored.reduce((sum, it) => sum + it.points, 0) / scored.length, truth }
}

/** Nothing was done for it yet. */
export const NOT_BEGUN: CameOut = { off: null, isDone: false }
/** @param off What it is off by; null: not known. */
export const done = (off: number | null): CameOut => ({ off, isDone: off !== null })
