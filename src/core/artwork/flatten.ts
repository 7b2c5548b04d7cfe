import { requireInRange } from '../units'
import { pointOnArc, type Outline, type Point, type Segment } from './geometry'

/** Steps into which a piece is cut at most. */
const MOST = 4096

/**
 * An outline as places, no further from it than a tolerance. @param within In the outline's unit, more than 0.
 * @returns The start first; a closed one ends where it began. @throws {RangeError} where the tolerance is not more than 0.
 * Valid: any outline. Source: equal steps of the parameter; of a cubic so many that the second difference allows (Wang 1984, from
 * memory), of an arc by its sagitta r(1 − cos(α/2)).
 */
export function flattened({ start, segments, isClosed }: Outline, within: number): readonly Point[] {
  requireInRange('within', within, Number.MIN_VALUE, Number.MAX_VALUE)
  const places = [start]
  let from = start
  for (const segment of segments) {
    places.push(...stepsOf(from, segment, within))
    from = segment.to
  }
  if (isClosed && (from.x !== start.x || from.y !== start.y)) places.push(start)
  return places
}

function stepsOf(from: Point, segment: Segment, within: number): readonly Point[] {
  if (segment.kind === 'line') return [segment.to]
  const count = Math.min(
    MOST,
    Math.max(1, segment.kind === 'cubic' ? cubicSteps(from, segment, within) : arcSteps(segment, within)),
  )
  return Array.from({ length: count }, (_, k): Point => {
    if (k + 1 === count) return segment.to
    const t = (k + 1) / count
    return segment.kind === 'cubic' ? pointOnCubic(from, segment, t) : pointOnArc(segment, segment.start + segment.sweep * t)
  })
}

type Cubic = Extract<Segment, { kind: 'cubic' }>

/** A place on a cubic. Valid: t 0…1. Source: Bernstein polynomials. */
export function pointOnCubic(from: Point, { first, second, to }: Cubic, t: number): Point {
  const s = 1 - t
  const [a, b, c, d] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t]
  return { x: a * from.x + b * first.x + c * second.x + d * to.x, y: a * from.y + b * first.y + c * second.y + d * to.y }
}

function cubicSteps(from: Point, { first, second, to }: Cubic, within: number): number {
  const bend = (p: Point, q: Point, r: Point): number => Math.hypot(p.x - 2 * q.x + r.x, p.y - 2 * q.y + r.y)
  const most = Math.max(bend(from, first, second), bend(first, second, to))
  return Math.ceil(Math.sqrt((6 * most) / (8 * within)))
}

function arcSteps({ u, v, sweep }: Extract<Segment, { kind: 'arc' }>, within: number): number {
  // The larger half axis: largest singular value of (u v).
  const [p, q] = [u.x * u.x + u.y * u.y + v.x * v.x + v.y * v.y, 2 * Math.abs(u.x * v.y - u.y * v.x)]
  const radius = (Math.sqrt(p + q) + Math.sqrt(Math.max(0, p - q))) / 2
  return within >= radius
    ? Math.ceil(Math.abs(sweep) / Math.PI)
    : Math.ceil(Math.abs(sweep) / (2 * Math.acos(1 - within / radius)))
}

/**
 * Length of places one after the other. Valid: any. Source: by definition.
 * @example lengthOf([{ x: 0, y: 0 }, { x: 3, y: 4 }]) // 5
 */
export function lengthOf(places: readonly Point[]): number {
  return places.slice(1).reduce((sum, it, i) => sum + Math.hypot(it.x - (places[i] as Point).x, it.y - (places[i] as Point).y), 0)
}

/**
 * Area that places go around, more than 0 against the clock where y goes up. Valid: closed ones. Source: the shoelace formula.
 * @example areaOf([{ x: 0, y: 0 }, { x: 2, y: 0 }, { x: 2, y: 3 }, { x: 0, y: 0 }]) // 3
 */
export function areaOf(places: readonly Point[]): number {
  return places.slice(1).reduce((sum, q, i) => sum + ((places[i] as Point).x * q.y - (places[i] as Point).y * q.x) / 2, 0)
}

/** A box around something. */
export interface Box {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

/** The box around an outline, to rounding. @returns Null for one without a piece. Valid: any. Source: ends, and where a curve turns back. */
export function boxOfOutline({ start, segments }: Outline): Box | null {
  if (segments.length === 0) return null
  const box = { left: start.x, bottom: start.y, right: start.x, top: start.y }
  const take = ({ x, y }: Point): void => {
    box.left = Math.min(box.left, x)
    box.right = Math.max(box.right, x)
    box.bottom = Math.min(box.bottom, y)
    box.top = Math.max(box.top, y)
  }
  let from = start
  for (const it of segments) {
    take(it.to)
    if (it.kind === 'cubic') for (const t of turnsOfCubic(from, it)) take(pointOnCubic(from, it, t))
    if (it.kind === 'arc') for (const t of turnsOfArc(it)) take(pointOnArc(it, t))
    from = it.to
  }
  return box
}

/** Where x or y of a cubic turns back: roots of its derivative within 0…1. */
function turnsOfCubic(from: Point, { first, second, to }: Cubic): readonly number[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const [p, q, r, s] = [from[axis], first[axis], second[axis], to[axis]]
    const [a, b, c] = [s - 3 * r + 3 * q - p, 2 * (r - 2 * q + p), q - p]
    const roots = Math.abs(a) < 1e-12 ? (b === 0 ? [] : [-c / b]) : quadratic(a, b, c)
    return roots.filter((t) => t > 0 && t < 1)
  })
}

function quadratic(a: number, b: number, c: number): readonly number[] {
  const under = b * b - 4 * a * c
  if (under < 0) return []
  const root = Math.sqrt(under)
  return [(-b + root) / (2 * a), (-b - root) / (2 * a)]
}

/** Where x or y of an arc turns back, within its sweep. */
function turnsOfArc({ u, v, start, sweep }: Extract<Segment, { kind: 'arc' }>): readonly number[] {
  const full = 2 * Math.PI
  return [Math.atan2(v.x, u.x), Math.atan2(v.y, u.y)]
    .flatMap((t) => [t, t + Math.PI])
    .flatMap((t) => {
      const along = sweep > 0 ? (((t - start) % full) + full) % full : -((((start - t) % full) + full) % full)
      return Math.abs(along) < Math.abs(sweep) ? [start + along] : []
    })
}
