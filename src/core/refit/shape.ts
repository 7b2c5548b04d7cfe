import { MOVE, PLANE_AXES, sweptAngle, type Moves } from '../gcode'

type Place = readonly [x: number, y: number, z: number]

/** A piece of a move that is straight or an arc in the plane XY: from here to there, Z changing evenly along it. */
export interface Piece {
  readonly from: Place
  readonly to: Place
  /** Centre and sense of an arc; null where it is straight. */
  readonly arc: { readonly x: number; readonly y: number; readonly swept: number } | null
}

/** Largest angle between two chords of an arc that stands upright, rad. */
const CHORD = Math.PI / 90

/**
 * A move as pieces along which Z changes evenly: a straight one and an arc of the plane XY are one each; arcs of the other planes, seen from
 * above, go along short lines that break where they turn back and where they come to a level. @param from Where the head is, mm.
 * @param level Height at which they are broken too, mm. @param toZ Where it ends along Z. Valid: any move but a dwell. Source: NISTIR 6556, 3.5.3; the circle's own equation.
 */
export function piecesOf(moves: Moves, i: number, from: Place, level: number, toZ = moves.z[i] as number): readonly Piece[] {
  const to: Place = [moves.x[i] as number, moves.y[i] as number, toZ]
  const kind = moves.kind[i]
  if (kind !== MOVE.clockwise && kind !== MOVE.counterClockwise) return [{ from, to, arc: null }]
  const plane = moves.plane[i] as 17 | 18 | 19
  const [a, b] = PLANE_AXES[plane]
  const [ca, cb] = [moves.centreA[i] as number, moves.centreB[i] as number]
  const isClockwise = kind === MOVE.clockwise
  const swept = sweptAngle([from[a], from[b]], [to[a], to[b]], [ca, cb], isClockwise) * (isClockwise ? -1 : 1)
  if (plane === 17) return [{ from, to, arc: { x: ca, y: cb, swept } }]
  const radius = Math.hypot(from[a] - ca, from[b] - cb)
  const start = Math.atan2(from[b] - cb, from[a] - ca)
  const third = (3 - a - b) as 0 | 1 | 2
  const at = (share: number): Place => {
    if (share === 0) return from
    if (share === 1) return to
    const angle = start + swept * share
    const place: [number, number, number] = [0, 0, 0]
    place[a] = ca + radius * Math.cos(angle)
    place[b] = cb + radius * Math.sin(angle)
    place[third] = from[third] + (to[third] - from[third]) * share
    return place
  }
  const isZFirst = a === 2
  // Where the circle turns back along the axis that is seen from above, and where it comes to the level.
  const turns = isZFirst ? [Math.PI / 2, -Math.PI / 2] : [0, Math.PI]
  const height = (level - (isZFirst ? ca : cb)) / radius
  const crossings =
    Math.abs(height) >= 1
      ? []
      : isZFirst
        ? [Math.acos(height), -Math.acos(height)]
        : [Math.asin(height), Math.PI - Math.asin(height)]
  const even = Math.ceil(Math.abs(swept) / CHORD)
  const shares = [
    ...Array.from({ length: even + 1 }, (_, k) => k / even),
    ...[...turns, ...crossings].flatMap((angle) => sharesAt(angle, start, swept)),
  ].sort((p, q) => p - q)
  const broken = shares.filter((it, k) => k === 0 || it - (shares[k - 1] as number) > 1e-12)
  return broken.slice(1).map((it, k) => ({ from: at(broken[k] as number), to: at(it), arc: null }))
}

/** Shares of a sweep at which it passes an angle, rad; its beginning is one, its end is not. Valid: any angles. Source: by definition. */
export function sharesAt(angle: number, start: number, swept: number): readonly number[] {
  const turn = 2 * Math.PI
  const way = swept < 0 ? -1 : 1
  const first = ((((angle - start) * way) % turn) + turn) % turn
  return [first, first + turn].filter((it) => it < Math.abs(swept)).map((it) => it / Math.abs(swept))
}

/** Part of a piece between two shares of it. Valid: 0 ≤ from < to ≤ 1. Source: Z changes evenly along it. */
export function partOf(piece: Piece, from: number, to: number): Piece {
  const at = (share: number): Place => {
    if (share === 0) return piece.from
    if (share === 1) return piece.to
    const z = piece.from[2] + (piece.to[2] - piece.from[2]) * share
    if (piece.arc === null) {
      const [x, y] = [0, 1].map((k) => (piece.from[k] as number) + ((piece.to[k] as number) - (piece.from[k] as number)) * share)
      return [x as number, y as number, z]
    }
    const { x, y, swept } = piece.arc
    const radius = Math.hypot(piece.from[0] - x, piece.from[1] - y)
    const angle = Math.atan2(piece.from[1] - y, piece.from[0] - x) + swept * share
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle), z]
  }
  return { from: at(from), to: at(to), arc: piece.arc === null ? null : { ...piece.arc, swept: piece.arc.swept * (to - from) } }
}

/**
 * Length of a piece as it is seen from above, mm. Valid: any. Source: by definition.
 * @example lengthFromAbove({ from: [0, 0, 5], to: [3, 4, 0], arc: null }) // 5
 */
export function lengthFromAbove({ from, to, arc }: Piece): number {
  return arc === null
    ? Math.hypot(to[0] - from[0], to[1] - from[1])
    : Math.hypot(from[0] - arc.x, from[1] - arc.y) * Math.abs(arc.swept)
}
