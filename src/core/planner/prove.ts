import { MOVE, type Moves } from '../gcode'
import { pathsOf } from './geometry'
import type { Limits, TimedPlan } from './plan'

/** A place where a plan is beyond a limit; there are none in a plan of `planMoves`. */
export interface Breach {
  readonly move: number
  readonly what: 'speed' | 'acceleration' | 'jump'
  readonly axis: 'x' | 'y' | 'z'
  readonly value: number
  readonly limit: number
}

/** Numbers that differ by less than this share are the same: rounding of a few operations. */
const ROUNDING = 1e-6

/**
 * Proves a plan: every axis within its speed and acceleration in every move, and every speed continued where it was
 * left. Worked from the plan's own columns and the moves, not from how it was made.
 * @returns Every breach; none proves the plan.
 */
export function provePlan(moves: Moves, plan: TimedPlan, limits: Limits): readonly Breach[] {
  const { first, last, radius } = pathsOf(moves)
  const breaches: Breach[] = []
  const check = (move: number, what: Breach['what'], axis: Breach['axis'], value: number, limit: number): void => {
    if (value > limit * (1 + ROUNDING) + 1e-12) breaches.push({ move, what, axis, value, limit })
  }
  let left = 0
  for (let i = 0; i < plan.count; i++) {
    if (moves.kind[i] === MOVE.dwell) left = 0
    if (plan.length[i] === 0) continue
    check(i, 'jump', 'x', Math.abs((plan.entry[i] as number) - left), 1e-9)
    left = plan.exit[i] as number
    const [u, v, w] = [plan.entry[i] as number, plan.peak[i] as number, plan.exit[i] as number]
    const along = Math.max(u, v, w) === v && v > Math.min(u, w) ? (plan.acceleration[i] as number) : 0
    const curve = (radius[i] as number) > 0 ? (v * v) / (radius[i] as number) : 0
    for (const [k, axis] of (['x', 'y', 'z'] as const).entries()) {
      const inPlane = (radius[i] as number) > 0 && moves.plane[i] !== [19, 18, 17][k]
      const part = inPlane ? 1 : Math.max(Math.abs(first[3 * i + k] as number), Math.abs(last[3 * i + k] as number))
      check(i, 'speed', axis, v * part, limits[axis].speed)
      check(i, 'acceleration', axis, inPlane ? Math.hypot(along, curve) : along * part, limits[axis].acceleration)
    }
  }
  return breaches
}
