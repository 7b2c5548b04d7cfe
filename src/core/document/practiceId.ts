import type { Grade } from '../workshop'

/** The grade and number of a practice bench by its id; null for every other bench. */
export function practiceOf(benchId: string): { readonly grade: Grade; readonly number: number } | null {
  const found = /^practice-([123])-(\d{1,6})$/.exec(benchId)
  return found === null ? null : { grade: Number(found[1]) as Grade, number: Number(found[2]) }
}

/** The id of the practice bench of a grade and a number. */
export function practiceId(grade: Grade, number: number): string {
  return `practice-${grade}-${number}`
}

/** Whether a bench is one of practice. */
export function isPracticeId(benchId: string): boolean {
  return benchId.startsWith('practice-')
}
