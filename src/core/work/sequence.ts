import type { Box } from '../artwork'
import { tourOf, type Stop, type Visit } from './tour'

/** What an order of lines has to keep besides what comes first. */
export interface Wanted {
  /** Turn of each stop in a list: all of a lower one come before those of a higher one; null: the quickest order. */
  readonly turns: readonly number[] | null
  /** The next line is to begin no nearer than this to the one before, where there is a choice, mm; 0: it does not matter. */
  readonly apart: number
  /** Box around each stop. */
  readonly boxes: readonly Box[]
}

/** An order, and how many of its lines lie nearer to the one before than was wanted. */
export interface Sequence {
  readonly visits: readonly Visit[]
  readonly near: number
}

/** Of more stops than this heat is not kept apart: every one is held against every other. */
const MOST_APART = 4000

/**
 * An order for stops as it is wanted: the quickest, or turn by turn of a list; each next one away from the one before, where that is asked.
 * What has to come first comes first whatever the list says. @param start Where the head comes from, mm.
 * @returns Every stop once. @throws {RangeError} never. Valid: what has to come before is no ring. Source: `tourOf`; away from heat: the nearest of those that lie far
 * enough, else the farthest (common practice).
 */
export function sequenceOf(stops: readonly Stop[], start: { readonly x: number; readonly y: number }, wanted: Wanted): Sequence {
  const { turns, apart, boxes } = wanted
  const isApart = apart > 0 && stops.length <= MOST_APART
  const turnAt = (i: number): number => turns?.[i] ?? 0
  const visits: Visit[] = []
  let at = start
  for (const turn of [...new Set(stops.map((_, i) => turnAt(i)))].sort((p, q) => p - q)) {
    const own = stops.flatMap((_, i) => (turnAt(i) === turn ? [i] : []))
    const index = new Map(own.map((it, k) => [it, k]))
    const among = own.map((it): Stop => {
      const stop = stops[it] as Stop
      return { ...stop, before: index.get(stop.before) ?? -1 }
    })
    const found = isApart
      ? awayFromHeat(
          among,
          at,
          apart,
          own.map((it) => boxes[it] as Box),
        )
      : tourOf(among, at)
    visits.push(...found.map(({ stop, turned }) => ({ stop: own[stop] as number, turned })))
    at = leaves(stops, visits.at(-1)) ?? at
  }
  const kept = innerFirst(stops, visits)
  return { visits: kept, near: apart > 0 ? nearOnes(kept, boxes, apart) : 0 }
}

function leaves(stops: readonly Stop[], visit: Visit | undefined) {
  if (visit === undefined) return null
  const it = stops[visit.stop] as Stop
  return visit.turned ? it.from : it.to
}

/** From one to the nearest of those that may be done and lie far enough from it; where none does, to the farthest. */
function awayFromHeat(
  stops: readonly Stop[],
  start: { readonly x: number; readonly y: number },
  apart: number,
  boxes: readonly Box[],
): readonly Visit[] {
  const waits = stops.map(() => 0)
  for (const { before } of stops) if (before >= 0) waits[before] = (waits[before] as number) + 1
  const left = new Set(stops.keys())
  const visits: Visit[] = []
  let at = start
  while (left.size > 0) {
    const last = visits.at(-1)
    let best: { visit: Visit; far: number; cool: number } | null = null
    for (const stop of left) {
      if ((waits[stop] as number) > 0) continue
      const cool = last === undefined ? Infinity : between(boxes[last.stop] as Box, boxes[stop] as Box)
      for (const turned of (stops[stop] as Stop).turns ? [false, true] : [false]) {
        const { from, to } = stops[stop] as Stop
        const enter = turned ? to : from
        const far = Math.hypot(enter.x - at.x, enter.y - at.y)
        if (best === null || isBetter({ far, cool }, best, apart)) best = { visit: { stop, turned }, far, cool }
      }
    }
    const visit = best?.visit ?? { stop: left.values().next().value as number, turned: false }
    left.delete(visit.stop)
    visits.push(visit)
    at = leaves(stops, visit) ?? at
    const { before } = stops[visit.stop] as Stop
    if (before >= 0) waits[before] = (waits[before] as number) - 1
  }
  return visits
}

function isBetter(
  one: { readonly far: number; readonly cool: number },
  other: { readonly far: number; readonly cool: number },
  apart: number,
): boolean {
  const [p, q] = [Math.min(one.cool, apart), Math.min(other.cool, apart)]
  return p !== q ? p > q : one.far < other.far
}

/** Distance of two boxes, mm. */
function between(p: Box, q: Box): number {
  return Math.hypot(Math.max(0, p.left - q.right, q.left - p.right), Math.max(0, p.bottom - q.top, q.bottom - p.top))
}

function nearOnes(visits: readonly Visit[], boxes: readonly Box[], apart: number): number {
  return visits.filter((it, k) => {
    const before = visits[k - 1]
    return before !== undefined && between(boxes[before.stop] as Box, boxes[it.stop] as Box) < apart - 1e-9
  }).length
}

/** The same order, but what has to come before a stop is drawn forward to it. */
function innerFirst(stops: readonly Stop[], visits: readonly Visit[]): readonly Visit[] {
  const inner = new Map<number, Visit[]>()
  for (const it of visits) {
    const { before } = stops[it.stop] as Stop
    if (before >= 0) inner.set(before, [...(inner.get(before) ?? []), it])
  }
  const done = new Set<number>()
  const kept: Visit[] = []
  for (const outermost of visits) {
    // Deep nests must not fill the stack: what is inside is laid on top, and taken when nothing inside it is left.
    const open = [outermost]
    while (open.length > 0) {
      const it = open.at(-1) as Visit
      const waiting = (inner.get(it.stop) ?? []).filter(({ stop }) => !done.has(stop) && !open.some((that) => that.stop === stop))
      if (done.has(it.stop) || waiting.length === 0) {
        open.pop()
        if (!done.has(it.stop)) kept.push(it)
        done.add(it.stop)
      } else open.push(waiting[0] as Visit)
    }
  }
  return kept
}
