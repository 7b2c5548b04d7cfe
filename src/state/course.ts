import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import {
  LESSONS,
  lessonOf,
  readWrong,
  scoreLesson,
  switchOn,
  type Lesson,
  type LessonId,
  type LessonScored,
  type LessonTry,
} from '../core/course'
import type { Bench } from '../core/document'
import { HOW_READ, type Culprit, type Reading } from '../core/faults'
import { seeded } from '../core/workshop'
import { setFact, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { specOf, standInSettings } from './machine'
import { keepPractised, mendsOf, practisedOn } from './mends'
import { NO_BENCH, told, type Told } from './told'

/** How a lesson was last handed in, and the best of all times. */
export interface LessonKept {
  readonly best: number
  readonly last: number
  readonly times: number
  readonly at: string
  /** What the person wants to remember of it. */
  readonly note: string
}

/** What was learnt in this browser, by lesson. It outlives the benches of the lessons. */
export const useCourse = create<{ readonly kept: Readonly<Partial<Record<LessonId, LessonKept>>> }>()(
  persist(() => ({ kept: {} }), { name: 'fine-kerf.course' }),
)

/** The lesson of a bench as it stands now. */
export interface LessonNow {
  readonly id: LessonId
  readonly number: number
  readonly lesson: Lesson
  readonly score: LessonScored
}

/** The lesson of a bench, scored; null for another bench, words where it cannot be scored yet. */
export function lessonNow(bench: Bench): LessonNow | string | null {
  const found = lessonOf(bench.id)
  if (found === null) return null
  const spec = specOf(bench)
  if (typeof spec === 'string') return spec
  const { lesson, number } = found
  const score = scoreLesson({
    lesson,
    number,
    spec,
    settings: standInSettings(bench.id),
    mends: mendsOf(bench.id),
    tries: practisedOn(bench.id).tries,
    bench,
    engine: engineOf(bench),
  })
  return { id: lesson, number, lesson: LESSONS[lesson], score }
}

/** Hands the lesson in: its score is kept, and from then on the truth is shown. Handed in again, it counts no more. */
export function handIn(bench: Bench): Told {
  const now = lessonNow(bench)
  if (now === null) return NO_BENCH
  if (typeof now === 'string') return told(now)
  if (practisedOn(bench.id).isShown) return []
  keepPractised(bench.id, { isShown: true })
  const points = Math.round(now.score.points)
  useCourse.setState(({ kept }) => {
    const { best = 0, times = 0, note = '' } = kept[now.id] ?? {}
    const after: LessonKept = { best: Math.max(best, points), last: points, times: times + 1, at: new Date().toISOString(), note }
    return { kept: { ...kept, [now.id]: after } }
  })
  return []
}

/** Longest note of a lesson. */
const LONGEST = 400

/** Keeps what somebody wants to remember of a lesson that was handed in. @returns What stands in the way. */
export function keepLearnt(lesson: LessonId, note: string): Told {
  if (note.length > LONGEST) return told(`A note holds ${LONGEST} characters; this one has ${note.length}. Shorten it.`)
  useCourse.setState(({ kept }) => {
    const before = kept[lesson]
    return before === undefined ? { kept } : { kept: { ...kept, [lesson]: { ...before, note } } }
  })
  return []
}

function keepTry(benchId: string, one: LessonTry): void {
  keepPractised(benchId, { tries: [...practisedOn(benchId).tries, one] })
}

/** Switches the head of the wiring lesson on. @returns What happened, in words, or what stands in the way. */
export function switchHeadOn(bench: Bench): Told {
  const found = lessonOf(bench.id)
  if (found?.lesson !== 'head') return told('There is no head to be switched on in this lesson.')
  const on = switchOn({ number: found.number, bench, engine: engineOf(bench) })
  if (typeof on === 'string') return told(on)
  keepTry(bench.id, { kind: 'on', at: new Date().toISOString(), ...on })
  return []
}

/** Names what is wrong. */
export function nameCause(bench: Bench, culprit: Culprit): void {
  keepTry(bench.id, { kind: 'named', at: new Date().toISOString(), culprit })
}

/** Takes one reading of the burn of the lesson's machine, and enters it. @returns What stands in the way. */
export function readForLesson(reading: Reading): Told {
  const { bench } = useBenchStore.getState()
  const found = bench === null ? null : lessonOf(bench.id)
  if (bench === null || found === null) return NO_BENCH
  // The same reading of the same burn gives the same again.
  const random = seeded(found.number * 31 + Object.keys(HOW_READ).indexOf(reading))
  const value = readWrong(found.number, reading, random)
  const isLength = HOW_READ[reading].unit === 'mm'
  return setFact(
    `faults.read.${reading}`,
    {
      value,
      typed: isLength ? value.toFixed(2) : String(Math.round(value * 100)),
      typedUnit: isLength ? 'mm' : 'percent',
      origin: 'measured',
      doubt: { kind: 'standard', u: HOW_READ[reading].noise },
      at: new Date().toISOString(),
    },
    HOW_READ[reading].name,
  )
}

/** A number for a machine that was not drawn before. */
export function drawNumber(): number {
  return 1 + ((crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) % 99_999)
}
