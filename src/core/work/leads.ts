import type { Point } from '../artwork'
import type { Contour } from './contours'
import { apartFrom, type Ring } from './rings'

/**
 * Where a lead to a place of a ring begins, off the part; null where it does not fit.
 * @param long mm. @param all Rings that it must not cross or come near to. Valid: closed contours. Source: by definition.
 */
export function leadTo({ places, scrap }: Contour, begin: number, long: number, all: readonly Ring[]): Point | null {
  if (scrap === 0 || long <= 0) return null
  const count = places.length - 1
  const [p, before, after] = [begin, begin + count - 1, begin + 1].map((i) => places[i % count] as Point) as [Point, Point, Point]
  const [dx, dy] = [after.x - before.x, after.y - before.y]
  const length = Math.hypot(dx, dy)
  if (length === 0) return null
  const outside = isAgainstClock(places) ? 1 : -1
  const side = scrap * outside
  const from = { x: p.x + ((dy * side) / length) * long, y: p.y - ((dx * side) / length) * long }
  const near = { x: p.x + (from.x - p.x) * 0.02, y: p.y + (from.y - p.y) * 0.02 }
  const isFree = all.every((ring) => ring.every((q, i) => i === 0 || !meet(from, near, ring[i - 1] as Point, q)))
  // It must end well away from other outlines: half its length.
  const isClear = all.every(
    (ring) => ring === places || ring.every((q, i) => i === 0 || apartFrom(from, ring[i - 1] as Point, q) > long / 2),
  )
  return isFree && isClear ? from : null
}

function isAgainstClock(ring: Ring): boolean {
  return ring.reduce((sum, q, i) => (i === 0 ? 0 : sum + (ring[i - 1] as Point).x * q.y - q.x * (ring[i - 1] as Point).y), 0) > 0
}

function meet(a: Point, b: Point, p: Point, q: Point): boolean {
  const side = (u: Point, v: Point, w: Point): number => (v.x - u.x) * (w.y - u.y) - (v.y - u.y) * (w.x - u.x)
  return side(a, b, p) * side(a, b, q) <= 0 && side(p, q, a) * side(p, q, b) <= 0
}
