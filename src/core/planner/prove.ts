import { MOVE, type Moves } from '../gcode'
import { pathsOf } from './geometry'
import type { Limits, TimedPlan } from './plan'

/** A place where a plan is beyond a limit; there are none in a plan of `planMoves`. */
export interface Breach {
  readonly move: number
  readonly what: 'speed' | 'acceleration' | 'jump'
  /** Name of the motor. */
  readonly motor: string
  readonly value: number
  readonly limit: number
}

/** Numbers that differ by less than this share are the same: rounding of a few operations. */
const ROUNDING = 1e-6

/**
 * Proves a plan: every motor within its speed and acceleration in every move, and every speed continued where it was
 * left. Worked from the plan's own columns and the moves, not from how it was made.
 * @returns Every breach; none proves the plan.
 */
export function provePlan(moves: Moves, plan: TimedPlan, { motors }: Limits): readonly Breach[] {
  const { first, last, radius } = pathsOf(moves)
  const breaches: Breach[] = []
  const check = (move: number, what: Breach['what'], motor: string, value: number, limit: number): void => {
    if (value > limit * (1 + ROUNDING) + 1e-12) breaches.push({ move, what, motor, value, limit })
  }
  let left = 0
  for (let i = 0; i < plan.count; i++) {
    if (moves.kind[i] === MOVE.dwell) left = 0
    if (plan.length[i] === 0) continue
    check(i, 'jump', '', Math.abs((plan.entry[i] as number) - left), 1e-9)
    left = plan.exit[i] as number
    const [u, v, w] = [plan.entry[i] as number, plan.peak[i] as number, plan.exit[i] as number]
    const along = Math.max(u, v, w) === v && v > Math.min(u, w) ? (plan.acceleration[i] as number) : 0
    const r = radius[i] as number
    for (const { name, per, speed, acceleration } of motors) {
      const ends = [share(per, first, 3 * i), share(per, last, 3 * i)]
      // On an arc the motor meets every direction of the plane: its own part of it is the length of `per` there.
      const plane = [19, 18, 17].indexOf(moves.plane[i] as number)
      const inPlane = r > 0 ? Math.hypot(...per.filter((_, k) => k !== plane)) : 0
      const most = Math.max(...ends, inPlane)
      check(i, 'speed', name, v * most, speed)
      const curve = r > 0 ? (v * v * inPlane) / r : 0
      check(i, 'acceleration', name, Math.hypot(along * most, curve), acceleration)
    }
  }
  return breaches
}

function share(per: readonly [number, number, number], way: Float64Array, at: number): number {
  return Math.abs(per[0] * (way[at] as number) + per[1] * (way[at + 1] as number) + per[2] * (way[at + 2] as number))
}
