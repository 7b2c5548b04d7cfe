/** What is practised, in the order of the course. */
export const LESSON_IDS = ['steps', 'focus', 'eyewear', 'card', 'square', 'delay', 'mug', 'head', 'fan', 'wrong'] as const
export type LessonId = (typeof LESSON_IDS)[number]

/** The lesson and number of a bench by its id; null for every other bench. */
export function lessonOf(benchId: string): { readonly lesson: LessonId; readonly number: number } | null {
  const found = /^practice-lesson-([a-z]+)-(\d{1,6})$/.exec(benchId)
  const lesson = LESSON_IDS.find((it) => it === found?.[1])
  return lesson === undefined ? null : { lesson, number: Number(found?.[2]) }
}

/** The id of the bench of a lesson and a number: a bench of practice, never one of a real machine. */
export function lessonBenchId(lesson: LessonId, number: number): string {
  return `practice-lesson-${lesson}-${number}`
}
