import { MOVE, type Moves } from '../gcode'
import { isLit, type TimedPlan } from '../planner'
import { requireInRange } from '../units'

/** So many times the light of a line at its ends and corners is seen (common practice). */
export const SEEN = 2

/** The head on one side of a place: its speed there and further on, mm/s; mm/s². */
export interface Beside {
  /** u at the place; 0 or more. */
  readonly through: number
  /** v further on; more than 0. */
  readonly speed: number
  /** a; more than 0. */
  readonly acceleration: number
  /** Way until it is dark or turns again, mm; more than 0. */
  readonly length: number
}

/** Places along the line that are tried for the darkest, in radii, and slices of way about each. */
const TRIED = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1] as const
const [SLICES, REACH] = [48, 2.5]

/**
 * How many times the light of a line falls about a place where it begins, ends or turns, at constant power: the largest of
 * r(s) = v·(t₀·g(s) + ∫ g(s − x)/u(x) dx), u = √(u₀² + 2·a·x) up to v, with the spot's profile g = √(2/π)/w·exp(−2·x²/w²).
 * @param begins Behind the place; null: the line ends there. @param ends Before it; null: the line begins there.
 * @param radius w of the spot, mm; more than 0. @param speed v that was commanded, mm/s; more than 0.
 * @param waits t₀ that the light stands there, s; 0 or more. @throws {RangeError} naming the value and its range.
 * Valid: a turn counts as straight, so that what lies within the spot on both sides adds up. Source: energy is power times time; uniformly
 * accelerated motion; the profile of ISO 11146-1.
 * @example lightAtPlace({ through: 10, speed: 10, acceleration: 1000, length: 9 }, { through: 10, speed: 10, acceleration: 1000, length: 9 }, { radius: 0.05, speed: 10 }) // 1
 */
export function lightAtPlace(
  begins: Beside | null,
  ends: Beside | null,
  { radius, speed, waits = 0 }: { readonly radius: number; readonly speed: number; readonly waits?: number },
): number {
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  requireInRange('radius', radius, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  let most = 0
  for (const tried of TRIED) {
    for (const s of tried === 0 ? [0] : [tried * radius, -tried * radius]) {
      const seconds = waits * profile(s, radius) + slowness(begins, s, radius) + slowness(ends, -s, radius)
      most = Math.max(most, speed * seconds)
    }
  }
  return most
}

function profile(x: number, w: number): number {
  return (Math.sqrt(2 / Math.PI) / w) * Math.exp((-2 * x * x) / (w * w))
}

/** ∫ g(s − x)/u(x) dx over one side, by slices that are the thinner the nearer to the place. */
function slowness(side: Beside | null, s: number, radius: number): number {
  if (side === null) return 0
  const { through, speed, acceleration, length } = side
  const reach = Math.sqrt(Math.min(length, REACH * radius))
  let sum = 0
  for (let k = 0; k < SLICES; k++) {
    const root = (reach * (k + 0.5)) / SLICES
    const x = root * root
    const u = Math.min(speed, Math.sqrt(through * through + 2 * acceleration * x))
    sum += (profile(s - x, radius) * 2 * root * reach) / SLICES / u
  }
  return sum
}

/**
 * How many times the light of a line falls where it begins from rest: `lightAtPlace` with nothing before it.
 * @param line speed, mm/s; acceleration, mm/s²; radius of the spot, mm; each more than 0; waits in the light, s. @throws {RangeError} as there.
 * Valid: a line longer than the spot. Source: `lightAtPlace`.
 * @example lightAtEnd({ speed: 20, acceleration: 1000, radius: 0.05, waits: 0 }) // 2.89
 */
export function lightAtEnd(line: {
  readonly speed: number
  readonly acceleration: number
  readonly radius: number
  readonly waits: number
}): number {
  return lightAtPlace({ through: 0, length: Infinity, ...line }, null, line)
}

/** r of a line that begins from rest is this much of v/√(a·w): the largest of ∫ √(2/π)·exp(−2(s − x)²)/√(2x) dx over s. */
const FROM_REST = 1.018

/**
 * The speed up to which a line that begins from rest gets no more than `SEEN` times its light there.
 * @throws {RangeError} never for numbers. Valid: while speed is come to behind the spot, v² > 3·a·w, as it is. Source: `lightAtPlace`, solved.
 * @example evenSpeed(1000, 0.05) // 13.9
 */
export function evenSpeed(acceleration: number, radius: number): number {
  return (SEEN / FROM_REST) * Math.sqrt(acceleration * radius)
}

/** A place that gets more light than the line it lies on. */
export interface DarkPlace {
  readonly x: number
  readonly y: number
  /** So many times the light of the line. */
  readonly times: number
}

/** Places nearer than this many radii are one. */
const ONE_PLACE = 4

/** How late the light of a machine comes behind its word, s; 0 or more. */
interface Lateness {
  readonly onDelay: number
}

/**
 * Where a program leaves more than `SEEN` times the light of its lines, at constant power: ends and corners of lit ways, and places where
 * it waits in the light. @param radius Of the spot, mm; more than 0. @returns The worst first. @throws {RangeError} where the radius is not
 * more than 0. Valid: a planned program. Source: seconds within one radius of the place, against those at the speed of the line.
 */
export function darkPlaces(moves: Moves, plan: TimedPlan, radius: number, { onDelay }: Lateness): readonly DarkPlace[] {
  requireInRange('radius', radius, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const found: DarkPlace[] = []
  let [standing, last] = [0, -1]
  const side = (i: number, through: Float64Array): Beside | null =>
    i < 0
      ? null
      : {
          through: through[i] as number,
          speed: plan.peak[i] as number,
          acceleration: plan.acceleration[i] as number,
          length: plan.length[i] as number,
        }
  /** Light about the place between two lit moves; −1: none on that side. */
  const look = (before: number, after: number): void => {
    const speed = Math.max(...[before, after].map((i) => (i < 0 ? 0 : (moves.feed[i] as number))))
    const slowest = Math.min(
      ...[before, after].map((i, k) => (i < 0 ? Infinity : ((k === 0 ? plan.exit : plan.entry)[i] as number))),
    )
    const waits = Math.max(0, standing - onDelay)
    // Who goes through at more than half of the speed leaves no more than twice the light.
    if (slowest * SEEN >= speed && waits === 0) return
    const times = lightAtPlace(side(after, plan.entry), side(before, plan.exit), { radius, speed, waits })
    const at = before >= 0 ? before : after - 1
    if (times > SEEN) found.push({ x: at < 0 ? 0 : (moves.x[at] as number), y: at < 0 ? 0 : (moves.y[at] as number), times })
  }
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) {
      standing += isLitWait(moves, i) ? (plan.seconds[i] as number) : 0
      continue
    }
    if (!((plan.length[i] as number) > 0)) continue
    const lit = isLit(moves, i)
    if (lit || last >= 0) look(last, lit ? i : -1)
    ;[standing, last] = [0, lit ? i : -1]
  }
  if (last >= 0) look(last, -1)
  return apartBy(found, ONE_PLACE * radius)
}

function isLitWait(moves: Moves, i: number): boolean {
  return moves.spindle[i] !== 0 && (moves.s[i] as number) > 0
}

/** Of places that lie near one another the worst only; the worst first. */
function apartBy(found: readonly DarkPlace[], apart: number): readonly DarkPlace[] {
  const kept = new Map<string, DarkPlace>()
  for (const it of [...found].sort((p, q) => q.times - p.times)) {
    const [u, v] = [Math.round(it.x / apart), Math.round(it.y / apart)]
    const near = [-1, 0, 1].flatMap((i) => [-1, 0, 1].map((j) => kept.get(`${u + i} ${v + j}`)))
    if (!near.some((that) => that !== undefined && Math.hypot(that.x - it.x, that.y - it.y) < apart)) kept.set(`${u} ${v}`, it)
  }
  return [...kept.values()]
}
