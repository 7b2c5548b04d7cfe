import { solveLinear } from '../calibrate'
import type { Spot } from './layout'

/** A plane seen in perspective: nine numbers in rows, the last one 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number]

/**
 * Where a place comes to lie. Valid: in front of the eye. Source: Hartley and Zisserman, 2nd ed., 2.3 (from memory).
 * @example project([100, 0, 0, 0, 80, 0, 0, 0, 1], { x: 0.5, y: 0.5 }) // { x: 50, y: 40 }
 */
export function project(h: Homography, { x, y }: Spot): Spot {
  const w = h[6] * x + h[7] * y + h[8]
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w }
}

/**
 * The perspective that takes places to others, by least squares where there are more than four.
 * @returns Null where three of four lie in a line, or the places are too few.
 * Valid: four places or more. Source: normalised direct linear transform, Hartley and Zisserman, 2nd ed., algorithm 4.2 (from memory),
 * with the last number held at 1 after the places were brought about their middles.
 */
export function fitHomography(from: readonly Spot[], to: readonly Spot[]): Homography | null {
  if (from.length < 4 || from.length !== to.length) return null
  const [a, b] = [normalising(from), normalising(to)]
  if (a === null || b === null) return null
  const matrix = Array.from({ length: 8 }, () => new Array<number>(8).fill(0))
  const right = new Array<number>(8).fill(0)
  from.forEach((p, i) => {
    const [x, y] = [(p.x - a.x) * a.scale, (p.y - a.y) * a.scale]
    const q = to[i] as Spot
    const [u, v] = [(q.x - b.x) * b.scale, (q.y - b.y) * b.scale]
    addRow(matrix, right, [x, y, 1, 0, 0, 0, -u * x, -u * y], u)
    addRow(matrix, right, [0, 0, 0, x, y, 1, -v * x, -v * y], v)
  })
  const h = solveLinear(matrix, right)
  if (h === null) return null
  const [h0 = 0, h1 = 0, h2 = 0, h3 = 0, h4 = 0, h5 = 0, h6 = 0, h7 = 0] = h
  // Back from the normalised places: T_to⁻¹ · H · T_from.
  const inner = [
    [h0 * a.scale, h1 * a.scale, h2 - (h0 * a.x + h1 * a.y) * a.scale],
    [h3 * a.scale, h4 * a.scale, h5 - (h3 * a.x + h4 * a.y) * a.scale],
    [h6 * a.scale, h7 * a.scale, 1 - (h6 * a.x + h7 * a.y) * a.scale],
  ] as const
  const row = (k: 0 | 1, middle: number): number[] =>
    [0, 1, 2].map((j) => (inner[k][j] ?? 0) / b.scale + middle * (inner[2][j] ?? 0))
  const all = [...row(0, b.x), ...row(1, b.y), ...inner[2]]
  const last = all[8] ?? 0
  if (!(Math.abs(last) > 1e-12)) return null
  return all.map((it) => it / last) as unknown as Homography
}

/** Adds one equation to the normal equations. */
function addRow(matrix: number[][], right: number[], row: readonly number[], value: number): void {
  row.forEach((p, i) => {
    if (p === 0) return
    const to = matrix[i] as number[]
    row.forEach((q, j) => (to[j] = (to[j] as number) + p * q))
    right[i] = (right[i] as number) + p * value
  })
}

/** Middle of places, and what brings their distance from it to √2 in the mean; null where they are one place. */
function normalising(places: readonly Spot[]): (Spot & { readonly scale: number }) | null {
  const n = places.length
  const [x, y] = [places.reduce((sum, it) => sum + it.x, 0) / n, places.reduce((sum, it) => sum + it.y, 0) / n]
  const mean = places.reduce((sum, it) => sum + Math.hypot(it.x - x, it.y - y), 0) / n
  return mean > 0 ? { x, y, scale: Math.SQRT2 / mean } : null
}

/**
 * The other way round. @returns Null where it has none. Valid: a perspective with an inverse. Source: the adjugate.
 * @example inverseOf([2, 0, 0, 0, 4, 0, 0, 0, 1]) // [0.5, 0, 0, 0, 0.25, 0, 0, 0, 1]
 */
export function inverseOf([a, b, c, d, e, f, g, h, i]: Homography): Homography | null {
  const adjugate = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ]
  const last = adjugate[8] ?? 0
  return Math.abs(last) > 1e-300 ? (adjugate.map((it) => it / last) as unknown as Homography) : null
}
