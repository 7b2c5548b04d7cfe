import type { PracticeFault } from '../workshop'
import type { LessonId } from './lessonId'

const FAULTS: Readonly<Partial<Record<LessonId, readonly PracticeFault[]>>> = { square: ['skew'], delay: ['late'] }

/** What the machine of a lesson is given besides what every machine has. */
export function faultsOfLesson(lesson: LessonId): readonly PracticeFault[] {
  return FAULTS[lesson] ?? []
}
