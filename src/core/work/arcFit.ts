import type { Point } from '../artwork'
import { requireInRange } from '../units'

/** A piece of a way, from where the last one ended. */
export type WayPiece =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'arc'; readonly to: Point; readonly centre: Point; readonly clockwise: boolean }

/** Places that an arc stands for at least. */
const LEAST = 5
/** A larger radius than this is a line, mm. */
const STRAIGHT = 10_000
/** An arc turns by no more than this, rad: what is read back must know which way it went. */
const MOST_TURN = 1.9 * Math.PI

/**
 * A way through places as lines and arcs, no further from the chords between them than a tolerance.
 * @param within mm, more than 0. @returns Pieces from the first place on. @throws {RangeError} where the tolerance is not more than 0.
 * Valid: any places. Source: the circle through the first, a middle and the last of as many places as it fits.
 */
export function fitArcs(places: readonly Point[], within: number): readonly WayPiece[] {
  requireInRange('within', within, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const pieces: WayPiece[] = []
  let from = 0
  while (from < places.length - 1) {
    let best: { end: number; arc: WayPiece } | null = null
    let [reach, step] = [LEAST - 1, 1]
    // As far as it goes: twice as far each time, then half the way back.
    while (from + reach < places.length) {
      const arc = arcThrough(places, from, from + reach, within)
      if (arc === null) break
      best = { end: from + reach, arc }
      reach += step
      step *= 2
    }
    for (let back = step; best !== null && back >= 1; back = Math.floor(back / 2)) {
      const end = best.end + back
      const arc = end < places.length ? arcThrough(places, from, end, within) : null
      if (arc !== null) best = { end, arc }
    }
    if (best === null) {
      from++
      pieces.push({ kind: 'line', to: places[from] as Point })
    } else {
      from = best.end
      pieces.push(best.arc)
    }
  }
  return pieces
}

function arcThrough(places: readonly Point[], from: number, end: number, within: number): WayPiece | null {
  const [p, m, q] = [places[from] as Point, places[(from + end) >> 1] as Point, places[end] as Point]
  const centre = circumcentre(p, m, q)
  if (centre === null) return null
  const radius = Math.hypot(p.x - centre.x, p.y - centre.y)
  if (radius > STRAIGHT) return null
  const clockwise = cross(p, m, q) < 0
  let turned = 0
  for (let i = from + 1; i <= end; i++) {
    const [a, b] = [places[i - 1] as Point, places[i] as Point]
    const off = Math.abs(Math.hypot(b.x - centre.x, b.y - centre.y) - radius)
    // Between two places the chord lies inside of the arc.
    const middle = radius - Math.hypot((a.x + b.x) / 2 - centre.x, (a.y + b.y) / 2 - centre.y)
    const turn = angleBetween(a, b, centre) * (clockwise ? -1 : 1)
    if (off > within || Math.abs(middle) > within || turn <= 0) return null
    turned += turn
  }
  return turned > MOST_TURN ? null : { kind: 'arc', to: q, centre, clockwise }
}

function cross(p: Point, m: Point, q: Point): number {
  return (m.x - p.x) * (q.y - p.y) - (m.y - p.y) * (q.x - p.x)
}

function circumcentre(p: Point, m: Point, q: Point): Point | null {
  const [ax, ay, bx, by] = [m.x - p.x, m.y - p.y, q.x - p.x, q.y - p.y]
  const d = 2 * (ax * by - ay * bx)
  if (Math.abs(d) < 1e-12) return null
  const [a, b] = [ax * ax + ay * ay, bx * bx + by * by]
  return { x: p.x + (by * a - ay * b) / d, y: p.y + (ax * b - bx * a) / d }
}

/** Angle from one place to another about a third, −π…π. */
function angleBetween(a: Point, b: Point, { x, y }: Point): number {
  const [ax, ay, bx, by] = [a.x - x, a.y - y, b.x - x, b.y - y]
  return Math.atan2(ax * by - ay * bx, ax * bx + ay * by)
}
