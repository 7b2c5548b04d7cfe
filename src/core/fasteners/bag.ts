import { screwFor, type Joint } from './screw'
import type { ThreadName } from './threads'

/** Screws of one kind that were counted in the bag. */
export interface Counted {
  readonly thread: ThreadName
  readonly lengthMm: number
  readonly count: number
}

/** A joint with how many screws it takes. */
export interface CountedJoint extends Joint {
  readonly id: string
  readonly count: number
}

/** Which joints the bag's screws can belong to. */
export interface Allotment {
  /** Screws given to each joint, by kind. */
  readonly given: readonly { readonly jointId: string; readonly lengthMm: number; readonly count: number }[]
  /** Screws each joint lacks. */
  readonly missing: readonly { readonly jointId: string; readonly count: number }[]
  /** Screws that no joint took. */
  readonly left: readonly Counted[]
}

/**
 * Gives the screws of a bag to joints: each joint takes the shortest that fits, and the joints with the narrowest choice
 * come first, so that a screw that fits two is left for the one that has no other.
 * @returns What was given, what is missing, what is left over.
 * @throws {RangeError} for a joint whose stack or hole is outside its range.
 * Source: the largest number of screws is placed when intervals are served by their nearer end (greedy interval
 * matching); held against an exhaustive search in the tests.
 */
export function allotBag(bag: readonly Counted[], joints: readonly CountedJoint[]): Allotment {
  const stock = bag.map((it) => ({ ...it })).sort((p, q) => p.lengthMm - q.lengthMm)
  const given: { jointId: string; lengthMm: number; count: number }[] = []
  const missing: { jointId: string; count: number }[] = []
  const reach = joints.map((joint) => ({ joint, ...intervalOf(joint) })).sort((p, q) => p.most - q.most || p.least - q.least)
  for (const { joint, least, most } of reach) {
    let wanted = joint.count
    for (const kind of stock) {
      if (wanted === 0) break
      if (kind.thread !== joint.thread || kind.lengthMm < least || kind.lengthMm > most || kind.count === 0) continue
      const taken = Math.min(wanted, kind.count)
      kind.count -= taken
      wanted -= taken
      given.push({ jointId: joint.id, lengthMm: kind.lengthMm, count: taken })
    }
    if (wanted > 0) missing.push({ jointId: joint.id, count: wanted })
  }
  return { given, missing, left: stock.filter((it) => it.count > 0) }
}

/** How far past the next standard length a screw may still stick out where nothing stops it, mm. */
const MAY_STICK_OUT = 10

/** Lengths that do for a joint, standard or not. */
function intervalOf(joint: Joint): { readonly least: number; readonly most: number } {
  const fit = screwFor({ ...joint, holeDepthMm: null })
  if (!fit.ok) return { least: Infinity, most: -Infinity }
  const bottom = joint.holeDepthMm === null ? Infinity : joint.stackMm + joint.holeDepthMm - 1
  return { least: fit.value.leastMm, most: Math.min(bottom, fit.value.lengthMm + MAY_STICK_OUT) }
}
