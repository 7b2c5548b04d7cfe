import { partOf, sharesAt, type Piece } from './shape'

/** An upright rectangle, mm. */
export interface Zone {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

/** A part of a piece that lies in a zone, or outside of it. */
export interface ZonePart {
  readonly piece: Piece
  readonly isInside: boolean
}

/** Parts shorter than this share of a piece are rounding. */
const NOTHING = 1e-9

/**
 * Parts a piece where it crosses the sides of a zone. @returns In order, neighbours never alike; the sides belong to the zone. Valid: any piece.
 * Source: the line's and the circle's own equations.
 */
export function partsByZone(piece: Piece, zone: Zone): readonly ZonePart[] {
  const shares = [0, ...crossings(piece, zone), 1].sort((p, q) => p - q)
  const parts: { from: number; to: number; isInside: boolean }[] = []
  for (let k = 1; k < shares.length; k++) {
    const [from, to] = [shares[k - 1] as number, shares[k] as number]
    if (to - from < NOTHING) continue
    const isInside = holds(zone, partOf(piece, 0, (from + to) / 2).to)
    const last = parts.at(-1)
    if (last?.isInside === isInside) last.to = to
    else parts.push({ from: last?.to ?? from, to, isInside })
  }
  const [only] = parts
  if (parts.length <= 1) return [{ piece, isInside: only?.isInside ?? holds(zone, piece.to) }]
  return parts.map(({ from, to, isInside }, k) => ({
    piece: partOf(piece, k === 0 ? 0 : from, k === parts.length - 1 ? 1 : to),
    isInside,
  }))
}

/** Whether a place lies in a zone, its sides included. Valid: any. Source: by definition. */
function holds({ left, right, bottom, top }: Zone, [x, y]: Piece['to']): boolean {
  return x >= left - NOTHING && x <= right + NOTHING && y >= bottom - NOTHING && y <= top + NOTHING
}

/** Shares of a piece at which it comes to the lines along the sides. */
function crossings({ from, to, arc }: Piece, { left, right, bottom, top }: Zone): readonly number[] {
  const sides = [
    [0, left],
    [0, right],
    [1, bottom],
    [1, top],
  ] as const
  if (arc === null) {
    return sides
      .map(([axis, at]) => (at - from[axis]) / (to[axis] - from[axis]))
      .filter((it) => Number.isFinite(it) && it > 0 && it < 1)
  }
  const radius = Math.hypot(from[0] - arc.x, from[1] - arc.y)
  const start = Math.atan2(from[1] - arc.y, from[0] - arc.x)
  return sides.flatMap(([axis, at]) => {
    const height = (at - (axis === 0 ? arc.x : arc.y)) / radius
    if (!(Math.abs(height) < 1)) return []
    const angle = axis === 0 ? Math.acos(height) : Math.asin(height)
    const angles = axis === 0 ? [angle, -angle] : [angle, Math.PI - angle]
    return angles.flatMap((it) => sharesAt(it, start, arc.swept))
  })
}
