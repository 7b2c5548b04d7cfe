import { NotConverged } from './figure'

/**
 * A root of a continuous function between two points of opposite sign, by bisection with secant steps.
 * @param f Any continuous function. @param low @param high Ends of the bracket.
 * @param relative Relative width at which the bracket counts as closed; 1e-10 after T8.
 * @returns The abscissa of the root.
 * @throws {NotConverged} where the ends have the same sign or 200 steps do not close the bracket.
 * Valid: one sign change in the bracket. Source: false position in the Illinois variant (Dowell and Jarratt, BIT 11,
 * 1971, from memory), with a bisection whenever it fails to halve the bracket in three steps.
 * @example findRoot((x) => x * x - 2, 0, 2) // 1.41421356
 */
export function findRoot(f: (x: number) => number, low: number, high: number, relative = 1e-10): number {
  let [a, b] = [low, high]
  let [fa, fb] = [f(a), f(b)]
  if (fa === 0) return a
  if (fb === 0) return b
  if (!(fa * fb < 0)) throw new NotConverged(`no sign change between ${low} and ${high}`)
  let widthThreeAgo = Math.abs(b - a)
  for (let step = 0; step < 200; step++) {
    const tired = step % 3 === 2 && Math.abs(b - a) > widthThreeAgo / 2
    if (step % 3 === 2) widthThreeAgo = Math.abs(b - a)
    const x = tired ? (a + b) / 2 : b - (fb * (b - a)) / (fb - fa)
    const fx = f(x)
    if (fx === 0) return x
    if (fx * fb < 0) [a, fa] = [b, fb]
    else fa /= 2
    ;[b, fb] = [x, fx]
    if (Math.abs(b - a) <= relative * Math.max(Math.abs(a), Math.abs(b)) || Math.abs(fb) < Number.MIN_VALUE) return b
  }
  throw new NotConverged(`not closed to ${relative} after 200 steps, between ${a} and ${b}`)
}
