import { fits, type Issue } from '../core/bench'
import { benchShape, type Bench } from '../core/document'

type Check = (before: Bench, after: Bench) => readonly Issue[]

let check: Check | null = null

/** Fetches the schema and all that checks by it. */
export async function loadChecking(): Promise<typeof import('../data/checking')> {
  const checking = await import('../data/checking')
  check = (before, after) => checking.issuesOfChange(benchShape, before, after)
  return checking
}

/** Whether changes are checked by the schema yet. */
export const isCheckingHere = (): boolean => check !== null

/** Documents that the schema has passed, and those made from one by changes that it passed. */
const sound = new WeakSet<Bench>()

/** Whether the schema has nothing left to say about a document. */
export const isSound = (bench: Bench): boolean => sound.has(bench)

/** Notes that the schema has passed a document. */
export const noteSound = (bench: Bench): void => void sound.add(bench)

/**
 * What is wrong with a changed bench, where it has changed. Until the schema is here, in the first second, its shape alone
 * is looked at; the whole is checked by the schema as soon as that comes.
 */
export function issuesOf(before: Bench, after: Bench): readonly Issue[] {
  if (check !== null) return check(before, after)
  return fits(benchShape, after) ? [] : [{ path: [], message: 'This cannot stand on a bench.' }]
}
