import type { Point } from '../artwork'

/** Rounds in which the bound is raised. */
const ROUNDS = 120

/** How far two of some things are apart, mm, by their numbers. */
export type Apart = (i: number, j: number) => number

/**
 * Length that no closed way through places can be shorter than, mm: the longest 1-tree that weights on the places make.
 * @param places At least three; of fewer it is there and back. @returns 0 for none.
 * Valid: any places; within about 1 % of the best way. Source: Held and Karp 1970 and 1971 (from memory), weights raised by subgradients.
 * @example oneTreeBound([{ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }, { x: 0, y: 1 }]) // 4
 */
export function oneTreeBound(places: readonly Point[]): number {
  return boundByApart(places.length, (i, j) => {
    const [p, q] = [places[i] as Point, places[j] as Point]
    return Math.hypot(p.x - q.x, p.y - q.y)
  })
}

/**
 * The same for things that are no places: each step of a way is at least as long as the two are apart, mm.
 * Valid: as `oneTreeBound`. Source: as `oneTreeBound`. @example boundByApart(3, () => 2) // 6
 */
export function boundByApart(n: number, apart: Apart): number {
  if (n < 3) return n < 2 ? 0 : 2 * apart(0, 1)
  const weights = new Float64Array(n)
  let best = 0
  let step = 0
  let before = new Float64Array(n)
  for (let round = 0; round < ROUNDS; round++) {
    const { length, degrees } = oneTree(n, apart, weights)
    const bound = length - 2 * weights.reduce((sum, it) => sum + it, 0)
    best = Math.max(best, bound)
    if (round === 0) step = bound / (2 * n)
    const slope = Float64Array.from(degrees, (it) => it - 2)
    if (slope.every((it) => it === 0)) return best
    for (let i = 0; i < n; i++)
      weights[i] = (weights[i] as number) + step * (0.7 * (slope[i] as number) + 0.3 * (before[i] as number))
    before = slope
    step *= 0.96
  }
  return best
}

/** The shortest tree over all places but the first, and the first's two shortest ways to it; lengths with both ends' weights added. */
function oneTree(n: number, apart: Apart, weights: Float64Array) {
  const degrees = new Int32Array(n)
  const cost = (i: number, j: number): number => apart(i, j) + (weights[i] as number) + (weights[j] as number)
  const nearest = new Float64Array(n).fill(Infinity)
  const via = new Int32Array(n).fill(1)
  const isIn = new Uint8Array(n)
  let length = 0
  let last = 1
  isIn[1] = 1
  for (let count = 2; count < n; count++) {
    let next = -1
    for (let j = 2; j < n; j++) {
      if (isIn[j] === 1) continue
      const far = cost(last, j)
      if (far < (nearest[j] as number)) {
        nearest[j] = far
        via[j] = last
      }
      if (next < 0 || (nearest[j] as number) < (nearest[next] as number)) next = j
    }
    isIn[next] = 1
    length += nearest[next] as number
    degrees[next] = (degrees[next] as number) + 1
    const from = via[next] as number
    degrees[from] = (degrees[from] as number) + 1
    last = next
  }
  let [first, second] = [-1, -1]
  for (let j = 1; j < n; j++) {
    if (first < 0 || cost(0, j) < cost(0, first)) [first, second] = [j, first]
    else if (second < 0 || cost(0, j) < cost(0, second)) second = j
  }
  degrees[0] = 2
  for (const j of [first, second]) degrees[j] = (degrees[j] as number) + 1
  return { length: length + cost(0, first) + cost(0, second), degrees }
}
