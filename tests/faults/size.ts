/** Whether the fault trials run in full (`npm run faults`), or the quick share of them that is part of `npm test`. */
export const ALL = process.env['FAULTS'] === 'all'

/** All of a list in full trials; else so many of them, evenly over the list. */
export function every<T>(list: readonly T[], quick: number): readonly T[] {
  if (ALL || list.length <= quick) return list
  return Array.from({ length: quick }, (_, i) => list[Math.floor((i * list.length) / quick)] as T)
}
