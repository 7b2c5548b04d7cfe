import { changesBetween, getAt, withChanges, type Change } from '../core/bench'
import type { Bench } from '../core/document'
import type { Left } from '../data/left'
import { loadChecking } from './checking'

// What was edited and is not saved yet, kept at once in the browser's small synchronous store, so that a page that is
// killed, closed or loaded anew in the moment of an edit loses nothing. One for each bench and window.

const PREFIX = 'fine-kerf.left.'

const keyOf = (benchId: string, window: string): string => `${PREFIX}${benchId}.${window}`

function store(): Storage | null {
  try {
    return typeof localStorage === 'undefined' ? null : localStorage
  } catch {
    return null
  }
}

/** Keeps what differs from what is saved. @returns Whether it could be kept. */
export function keepLeft(saved: Bench, bench: Bench, about: Omit<Left, 'benchId' | 'changes'>): boolean {
  const changes = changesBetween(saved, bench)
  const entry = { benchId: bench.id, ...about, changes }
  try {
    store()?.setItem(keyOf(bench.id, about.window), JSON.stringify(entry))
    return store() !== null
  } catch {
    return false
  }
}

/** Forgets what was kept: it is saved now. */
export function dropLeft(benchId: string, window: string): void {
  try {
    store()?.removeItem(keyOf(benchId, window))
  } catch {
    // A store that cannot be written holds nothing either.
  }
}

/** What windows left unsaved of a bench, oldest first. What cannot be read is left where it is. */
export async function leftOf(benchId: string): Promise<readonly Left[]> {
  const kept = store()
  if (kept === null) return []
  const keys = keysOf(kept).filter((key) => key.startsWith(`${PREFIX}${benchId}.`))
  if (keys.length === 0) return []
  const { leftSchema } = await loadChecking()
  return keys
    .flatMap((key) => {
      try {
        const read = leftSchema.safeParse(JSON.parse(kept.getItem(key) ?? 'null'))
        return read.success ? [read.data] : []
      } catch {
        return []
      }
    })
    .sort((p, q) => p.at.localeCompare(q.at))
}

function keysOf(kept: Storage): string[] {
  return typeof kept.key === 'function'
    ? Array.from({ length: kept.length }, (_, i) => kept.key(i) ?? '')
    : Object.keys(kept as unknown as Record<string, unknown>)
}

/**
 * A bench with what was left unsaved taken up again.
 * @returns `clean`: what it changes stands as it stood before the change, or as after it; else something else has
 * changed it since.
 * Null where it makes no bench any more.
 */
export async function takeUp(
  bench: Bench,
  { changes }: Left,
): Promise<{ readonly bench: Bench; readonly clean: boolean } | null> {
  const list = changes as readonly Change[]
  const clean = list.every(({ path, before, after }) => {
    const there = getAt(bench, path)
    return same(there, before) || same(there, after)
  })
  const { readBench } = await loadChecking()
  const read = readBench(withChanges(bench, list))
  return read.ok ? { bench: read.value, clean } : null
}

function same(p: unknown, q: unknown): boolean {
  return JSON.stringify(p ?? null) === JSON.stringify(q ?? null)
}
