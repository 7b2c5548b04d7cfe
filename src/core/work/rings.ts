import { areaOf, type Point } from '../artwork'

/** A closed outline as places, ending where it began. */
export type Ring = readonly Point[]

/** How rings lie in one another. */
export interface Forest {
  /** The smallest ring around each; −1 where there is none. */
  readonly parents: readonly number[]
  /** How many lie around each: even ones bound material, odd ones holes. */
  readonly depths: readonly number[]
}

/**
 * Which ring lies in which. Valid: rings that do not cross; of those that do, the one that holds the other's first place counts as around it.
 * Source: by definition; containment is a forest.
 */
export function forestOf(rings: readonly Ring[]): Forest {
  const known = rings.map((ring, index) => ({ index, ring, area: Math.abs(areaOf(ring)), box: boxOfRing(ring) }))
  const byArea = [...known].sort((p, q) => p.area - q.area || p.index - q.index)
  const parents = rings.map(() => -1)
  byArea.forEach(({ index, ring, box, area }, k) => {
    const inside = ring[0]
    if (inside === undefined) return
    const around = byArea
      .slice(k + 1)
      .find((it) => it.area > area && holdsBox(it.box, box) && holds(it.ring, placeWithin(ring, it.ring)))
    if (around !== undefined) parents[index] = around.index
  })
  const depths = rings.map((_, i) => {
    let depth = 0
    for (let at = parents[i] as number; at >= 0; at = parents[at] as number) depth++
    return depth
  })
  return { parents, depths }
}

/** A place of a ring that does not lie on the other one, as far as there is any. */
function placeWithin(ring: Ring, other: Ring): Point {
  const on = (p: Point): boolean => other.some((q, i) => i > 0 && apartFrom(p, other[i - 1] as Point, q) < 1e-6)
  return ring.slice(0, 8).find((it) => !on(it)) ?? (ring[0] as Point)
}

interface RingBox {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

function boxOfRing(ring: Ring): RingBox {
  const box = { left: Infinity, bottom: Infinity, right: -Infinity, top: -Infinity }
  for (const { x, y } of ring) {
    box.left = Math.min(box.left, x)
    box.right = Math.max(box.right, x)
    box.bottom = Math.min(box.bottom, y)
    box.top = Math.max(box.top, y)
  }
  return box
}

function holdsBox(p: RingBox, q: RingBox): boolean {
  const near = 1e-6
  return p.left <= q.left + near && p.right >= q.right - near && p.bottom <= q.bottom + near && p.top >= q.top - near
}

/** Whether a ring goes around a place. Valid: any ring, by the even-odd rule. Source: crossings of a ray (Shimrat 1962, from memory). */
export function holds(ring: Ring, { x, y }: Point): boolean {
  let inside = false
  for (let i = 1; i < ring.length; i++) {
    const [p, q] = [ring[i - 1] as Point, ring[i] as Point]
    if (p.y > y !== q.y > y && x < p.x + ((q.x - p.x) * (y - p.y)) / (q.y - p.y)) inside = !inside
  }
  return inside
}

/**
 * How far a place lies from a line between two others, mm. Valid: any. Source: projection onto it, no further than its ends.
 * @example apartFrom({ x: 5, y: 3 }, { x: 0, y: 0 }, { x: 10, y: 0 }) // 3
 */
export function apartFrom({ x, y }: Point, p: Point, q: Point): number {
  const [dx, dy] = [q.x - p.x, q.y - p.y]
  const whole = dx * dx + dy * dy
  const t = whole === 0 ? 0 : Math.min(1, Math.max(0, ((x - p.x) * dx + (y - p.y) * dy) / whole))
  return Math.hypot(x - p.x - t * dx, y - p.y - t * dy)
}
