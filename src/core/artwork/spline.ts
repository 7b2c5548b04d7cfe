import { requireInRange } from '../units'
import type { Point } from './geometry'

/** A spline as drawing files have it: places that pull it, their weights, and where its pieces meet in the parameter. */
export interface Spline {
  /** 1…11. */
  readonly degree: number
  readonly controls: readonly Point[]
  /** As many as controls and degree together and one more, none smaller than the one before. */
  readonly knots: readonly number[]
  /** As many as controls, more than 0; without them all alike. */
  readonly weights?: readonly number[]
}

/** Whether the numbers of a spline make one. Source: Piegl and Tiller, The NURBS Book, 2nd ed., 2.2 and 4.2 (from memory). */
export function isSpline({ degree, controls, knots, weights }: Spline): boolean {
  const isRising = knots.every((it, i) => Number.isFinite(it) && (i === 0 || it >= (knots[i - 1] as number)))
  const arePulling = weights === undefined || (weights.length === controls.length && weights.every((it) => it > 0))
  const isEnough = controls.length > degree && knots.length === controls.length + degree + 1
  const [first = 0, last = 0] = [knots[degree], knots[controls.length]]
  return Number.isInteger(degree) && degree >= 1 && degree <= 11 && isEnough && isRising && arePulling && last > first
}

/**
 * A place on a spline. @param t Between the first and the last knot that counts; beyond them the end.
 * Valid: what `isSpline` says yes to. Source: de Boor's recursion, in homogeneous places where there are weights (Piegl and Tiller,
 * The NURBS Book, 2nd ed., A4.1, from memory).
 */
export function pointOnSpline({ degree, controls, knots, weights }: Spline, t: number): Point {
  const last = controls.length - 1
  const at = Math.min(knots[last + 1] as number, Math.max(knots[degree] as number, t))
  let span = degree
  while (span < last && at >= (knots[span + 1] as number)) span++
  const places = Array.from({ length: degree + 1 }, (_, j): [number, number, number] => {
    const k = span - degree + j
    const { x, y } = controls[k] as Point
    const w = weights?.[k] ?? 1
    return [x * w, y * w, w]
  })
  for (let round = 1; round <= degree; round++) {
    for (let j = degree; j >= round; j--) {
      const [low, high] = [knots[span - degree + j] as number, knots[span + 1 + j - round] as number]
      const share = high > low ? (at - low) / (high - low) : 0
      const [p, q] = [places[j - 1] as readonly number[], places[j] as readonly number[]]
      places[j] = [0, 1, 2].map((k) => (1 - share) * (p[k] as number) + share * (q[k] as number)) as [number, number, number]
    }
  }
  const [x, y, w] = places[degree] as [number, number, number]
  return { x: x / w, y: y / w }
}

/** Pieces of one span at most; and of a span with weights at least, for which there is no bound as simple. */
const [MOST, LEAST_WEIGHED] = [4096, 64]

/**
 * A spline as places, no further from it than a tolerance. @param within More than 0. @throws {RangeError} where it is not.
 * @returns The start first. Valid: what `isSpline` says yes to; with weights as far as 64 steps of a span and more resolve it.
 * Source: a chord over a step h lies within h²·M/8, M the largest second derivative, which lies within its own control places
 * (Piegl and Tiller, The NURBS Book, 2nd ed., 3.3, from memory).
 */
export function flattenedSpline(spline: Spline, within: number): readonly Point[] {
  requireInRange('within', within, Number.MIN_VALUE, Number.MAX_VALUE)
  const { degree, controls, knots, weights } = spline
  const inner = knots.slice(degree, controls.length + 1)
  const ends = inner.filter((it, i) => i === 0 || it > (inner[i - 1] as number))
  const bend = largestBend(spline)
  const least = weights === undefined ? 1 : LEAST_WEIGHED
  return [
    pointOnSpline(spline, ends[0] as number),
    ...ends.slice(1).flatMap((to, i) => {
      const from = ends[i] as number
      const count = Math.min(MOST, Math.max(least, Math.ceil((to - from) * Math.sqrt(bend / (8 * within)))))
      return Array.from({ length: count }, (_, k) => pointOnSpline(spline, from + ((to - from) * (k + 1)) / count))
    }),
  ]
}

/** Largest second derivative of a spline as if it had no weights. */
function largestBend({ degree, controls, knots }: Spline): number {
  if (degree < 2) return 0
  const slopes = derived(controls, knots, degree)
  const bends = derived(slopes, knots.slice(1, -1), degree - 1)
  return Math.max(0, ...bends.map((it) => Math.hypot(it.x, it.y)))
}

/** Control places of a derivative. */
function derived(places: readonly Point[], knots: readonly number[], degree: number): readonly Point[] {
  return places.slice(1).map((q, i) => {
    const p = places[i] as Point
    const span = (knots[i + degree + 1] as number) - (knots[i + 1] as number)
    const share = span > 0 ? degree / span : 0
    return { x: (q.x - p.x) * share, y: (q.y - p.y) * share }
  })
}
