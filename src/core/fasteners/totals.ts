import type { CountedJoint } from './bag'
import { screwFor } from './screw'
import { THREADS, THREAD_NAMES, type ThreadName } from './threads'

/** What all joints together take. */
export interface Totals {
  /** By thread and length, in that order. */
  readonly screws: readonly { readonly thread: ThreadName; readonly lengthMm: number; readonly count: number }[]
  /** Hexagon nuts, and nuts that go into the slot before it is closed. */
  readonly nuts: readonly { readonly thread: ThreadName; readonly slot: boolean; readonly count: number }[]
  /** Drills for clearance holes and for tapping, and hexagon keys, mm, each once. */
  readonly drillsMm: readonly number[]
  readonly keysMm: readonly number[]
}

/**
 * What to have at hand for some joints; those that no standard screw fits are left out.
 * @throws {RangeError} for a stack that is not more than 0.
 * Source: by addition; ISO 4762 for the keys.
 */
export function totalsOf(joints: readonly CountedJoint[]): Totals {
  const fits = joints.flatMap((joint) => {
    const fit = screwFor(joint)
    return fit.ok && joint.count > 0 ? [{ ...joint, ...fit.value }] : []
  })
  const screws = [...groupBy(fits, (it) => `${it.thread} ${it.lengthMm}`)].map(([{ thread, lengthMm }, count]) => {
    return { thread, lengthMm, count }
  })
  const nutted = fits.filter(({ into }) => into === 'nut' || into === 'slotNut')
  const nuts = [...groupBy(nutted, (it) => `${it.thread} ${it.into}`)].map(([{ thread, into }, count]) => {
    return { thread, slot: into === 'slotNut', count }
  })
  const rank = (thread: ThreadName): number => THREAD_NAMES.indexOf(thread)
  return {
    screws: screws.sort((p, q) => rank(p.thread) - rank(q.thread) || p.lengthMm - q.lengthMm),
    nuts: nuts.sort((p, q) => rank(p.thread) - rank(q.thread) || Number(q.slot) - Number(p.slot)),
    drillsMm: once(fits.flatMap((it) => [it.clearanceHoleMm, it.tapDrillMm ?? it.clearanceHoleMm])),
    keysMm: once(fits.map((it) => THREADS[it.thread].key)),
  }
}

/** The first joint of each kind with how many screws all of that kind take. */
function groupBy<J extends { readonly count: number }>(joints: readonly J[], kindOf: (joint: J) => string): Map<J, number> {
  const first = new Map<string, J>()
  const counts = new Map<J, number>()
  for (const joint of joints) {
    const head = first.get(kindOf(joint)) ?? joint
    first.set(kindOf(joint), head)
    counts.set(head, (counts.get(head) ?? 0) + joint.count)
  }
  return counts
}

function once(sizes: readonly number[]): readonly number[] {
  return [...new Set(sizes)].sort((p, q) => p - q)
}
