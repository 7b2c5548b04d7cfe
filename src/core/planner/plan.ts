import { MOVE, type Moves } from '../gcode'
import { requireInRange } from '../units'
import { pathsOf, type Paths } from './geometry'
import { cornerSpeedOf } from './single'

/** What one motor may do, and what a move asks of it. */
export interface MotorLimits {
  /** What it is called where it is named: `x`, or `left belt`. */
  readonly name: string
  /** How far it goes for 1 mm of X, Y and Z. */
  readonly per: readonly [x: number, y: number, z: number]
  /** mm/s of its belt, screw or rack; more than 0. */
  readonly speed: number
  /** mm/s²; more than 0. */
  readonly acceleration: number
}

export interface Limits {
  /** At least one; a direction that none of them moves is not held back. */
  readonly motors: readonly MotorLimits[]
  /** How far the machine may leave the path at a corner, mm; 0 or more. */
  readonly deviation: number
}

/** Limits of a machine whose axes have a motor each. Source: by definition. */
export function axisLimits(
  axes: Readonly<Record<'x' | 'y' | 'z', Pick<MotorLimits, 'speed' | 'acceleration'>>>,
  deviation: number,
): Limits {
  return {
    motors: [
      { name: 'x', per: [1, 0, 0], ...axes.x },
      { name: 'y', per: [0, 1, 0], ...axes.y },
      { name: 'z', per: [0, 0, 1], ...axes.z },
    ],
    deviation,
  }
}

/** A program in time, as columns beside its moves. */
export interface TimedPlan {
  readonly count: number
  /** Length of each move, mm. */
  readonly length: Float64Array
  /** Speeds at its beginning, in its middle and at its end, mm/s. */
  readonly entry: Float64Array
  readonly peak: Float64Array
  readonly exit: Float64Array
  /** Acceleration along the path, mm/s². */
  readonly acceleration: Float64Array
  readonly seconds: Float64Array
  readonly totalSeconds: number
}

/** Speed and acceleration of a direction that no motor holds back, mm/s and mm/s². */
const FREE = 1e6

/** On an arc the limit is shared: this much of it holds the curve, the rest changes the speed (squares add to 1). */
const HOLDING = 0.9
const CHANGING = Math.sqrt(1 - HOLDING * HOLDING)

/**
 * Plans a program in time: trapezoids, with look-ahead over the whole of it, every motor within its own speed and
 * acceleration, corners at the speed that the allowed deviation gives.
 * @param moves From `readProgram`; the machine starts at rest at the origin.
 * @throws {RangeError} where a limit is not more than 0.
 * Source: uniformly accelerated motion; the corner's tangent circle (`cornerSpeed`); a backward and a forward pass make
 * every entry speed reachable and every exit speed stoppable.
 */
export function planMoves(moves: Moves, limits: Limits): TimedPlan {
  checkLimits(limits)
  const paths = pathsOf(moves)
  const n = moves.count
  const columns = () => new Float64Array(n)
  const plan = {
    length: paths.length,
    entry: columns(),
    peak: columns(),
    exit: columns(),
    acceleration: columns(),
    seconds: columns(),
  }
  for (let i = 0; i < n; i++) limitMove(moves, paths, limits, i, plan.peak, plan.acceleration)
  enterCorners(moves, paths, limits, plan.peak, plan.entry)
  lookAhead(paths.length, plan.acceleration, plan.entry)
  let totalSeconds = 0
  for (let i = 0; i < n; i++) {
    plan.exit[i] = i + 1 < n ? (plan.entry[i + 1] as number) : 0
    totalSeconds += timeMove(moves, i, plan)
  }
  return { count: n, ...plan, totalSeconds }
}

function checkLimits({ motors, deviation }: Limits): void {
  for (const { name, speed, acceleration } of motors) {
    requireInRange(`${name}.speed`, speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
    requireInRange(`${name}.acceleration`, acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  }
  requireInRange('deviation', deviation, 0, Number.MAX_VALUE, 'mm')
}

/** Speed and acceleration that a move may have along its own way. */
function limitMove(
  moves: Moves,
  { first, radius, length }: Paths,
  { motors }: Limits,
  i: number,
  peak: Float64Array,
  acceleration: Float64Array,
): void {
  if (length[i] === 0) return
  const r = radius[i] as number
  const flat = r > 0
  const plane = moves.plane[i] as number
  const at = 3 * i
  const [dx, dy, dz] = [first[at] as number, first[at + 1] as number, first[at + 2] as number]
  let speed = FREE
  let a = FREE
  for (const motor of motors) {
    const share = flat ? shareOnArc(motor, plane, dx, dy, dz) : Math.abs(shareOf(motor, dx, dy, dz))
    if (share === 0) continue
    speed = Math.min(speed, motor.speed / share)
    a = Math.min(a, motor.acceleration / share)
  }
  const commanded = moves.kind[i] === MOVE.rapid ? Infinity : (moves.feed[i] as number)
  peak[i] = Math.min(commanded, speed, flat ? Math.sqrt(HOLDING * a * r) : Infinity)
  acceleration[i] = flat ? CHANGING * a : a
}

/** How far a motor goes for 1 mm along a direction. */
function shareOf({ per }: MotorLimits, dx: number, dy: number, dz: number): number {
  return per[0] * dx + per[1] * dy + per[2] * dz
}

/** The most of a motor over an arc: every direction of its plane comes by, together with the rise of a helix. */
function shareOnArc({ per: [x, y, z] }: MotorLimits, plane: number, dx: number, dy: number, dz: number): number {
  if (plane === 18) return Math.hypot(x, z) + Math.abs(y * dy)
  return plane === 19 ? Math.hypot(y, z) + Math.abs(x * dx) : Math.hypot(x, y) + Math.abs(z * dz)
}

/** Highest speed into each move from the one before. */
function enterCorners(
  moves: Moves,
  { length, first, last, radius }: Paths,
  limits: Limits,
  peak: Float64Array,
  entry: Float64Array,
): void {
  let before = -1
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) before = -1
    if (length[i] === 0) continue
    if (before >= 0) entry[i] = Math.min(peak[before] as number, peak[i] as number, corner(before, i))
    before = i
  }

  function corner(p: number, q: number): number {
    const [a, b] = [3 * p, 3 * q]
    const cosine =
      (last[a] as number) * (first[b] as number) +
      (last[a + 1] as number) * (first[b + 1] as number) +
      (last[a + 2] as number) * (first[b + 2] as number)
    // The angle between the segments is a straight one less the turn: half of it has these sine and cosine.
    const sinHalf = Math.sqrt(Math.max(0, (1 + cosine) / 2))
    const cosHalf = Math.sqrt(Math.max(0, (1 - cosine) / 2))
    if (cosHalf < 1e-7) return Infinity
    const acceleration = turning(a, b, cosine)
    const shorter = Math.min(
      (radius[p] as number) > 0 ? Infinity : (length[p] as number),
      (radius[q] as number) > 0 ? Infinity : (length[q] as number),
    )
    return cornerSpeedOf(acceleration, limits.deviation, sinHalf, cosHalf, shorter)
  }

  /** Acceleration that every motor allows in any direction of the plane in which the way turns. */
  function turning(a: number, b: number, cosine: number): number {
    const [ex, ey, ez] = [last[a] as number, last[a + 1] as number, last[a + 2] as number]
    // The second direction of that plane: what the way out has that the way in has not. Straight back it has none.
    const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine)) || Infinity
    const fx = ((first[b] as number) - cosine * ex) / sine
    const fy = ((first[b + 1] as number) - cosine * ey) / sine
    const fz = ((first[b + 2] as number) - cosine * ez) / sine
    let acceleration = FREE
    for (const motor of limits.motors) {
      const [along, across] = [shareOf(motor, ex, ey, ez), shareOf(motor, fx, fy, fz)]
      const share = Math.sqrt(along * along + across * across)
      if (share > 1e-12) acceleration = Math.min(acceleration, motor.acceleration / share)
    }
    return acceleration
  }
}

/** Lowers entry speeds until each can be reached from the one before and stopped from into the one behind. */
function lookAhead(length: Float64Array, acceleration: Float64Array, entry: Float64Array): void {
  const n = entry.length
  for (let i = n - 1; i >= 0; i--) {
    const exit = i + 1 < n ? (entry[i + 1] as number) : 0
    if (length[i] === 0) {
      // Nothing moves here: a wait stands still, an empty move passes its speed on.
      entry[i] = exit
      continue
    }
    const stoppable = Math.sqrt(exit * exit + 2 * (acceleration[i] as number) * (length[i] as number))
    if (stoppable < (entry[i] as number)) entry[i] = stoppable
  }
  if (n > 0) entry[0] = 0
  for (let i = 0; i + 1 < n; i++) {
    const reached = Math.sqrt(
      (entry[i] as number) * (entry[i] as number) + 2 * (acceleration[i] as number) * (length[i] as number),
    )
    if (reached < (entry[i + 1] as number)) entry[i + 1] = reached
  }
}

type Columns = Pick<TimedPlan, 'length' | 'entry' | 'peak' | 'exit' | 'acceleration' | 'seconds'>

/** Time of one move from its entry over its peak to its exit; lowers the peak to what is reached. */
function timeMove(moves: Moves, i: number, plan: Columns): number {
  const d = plan.length[i] as number
  if (moves.kind[i] === MOVE.dwell) return (plan.seconds[i] = moves.feed[i] as number)
  if (d === 0) return 0
  const [u, w, a] = [plan.entry[i] as number, plan.exit[i] as number, plan.acceleration[i] as number]
  // Highest speed from which the exit can still be met: (v² − u²)/2a + (v² − w²)/2a = d.
  const v = Math.min(plan.peak[i] as number, Math.sqrt(a * d + (u * u + w * w) / 2))
  plan.peak[i] = Math.max(v, u, w)
  const coasting = d - (v * v - u * u) / (2 * a) - (v * v - w * w) / (2 * a)
  const seconds = (v - u) / a + (v - w) / a + Math.max(0, coasting) / v
  plan.seconds[i] = seconds
  return seconds
}
