import { requireInRange } from '../units'

/**
 * Time of a move from rest to rest with one speed and one acceleration limit: d/v + v/a where the speed is reached
 * (d ≥ v²/a), else 2·√(d/a).
 * @param length mm; 0 or more. @param speed mm/s; more than 0. @param acceleration mm/s²; more than 0.
 * @returns s.
 * @throws {RangeError} naming the value and its range.
 * Valid: constant acceleration, no jerk limit. Source: uniformly accelerated motion.
 * @example moveTime(100, 100, 1000) // 1.1
 */
export function moveTime(length: number, speed: number, acceleration: number): number {
  requireInRange('length', length, 0, Number.MAX_VALUE, 'mm')
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  requireInRange('acceleration', acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  return length >= (speed * speed) / acceleration ? length / speed + speed / acceleration : 2 * Math.sqrt(length / acceleration)
}

/**
 * Speed through a corner that a path may leave by a small distance: the arc tangent to both segments at distance δ from
 * the corner has the radius r = δ·sin(θ/2) / (1 − sin(θ/2)), and v = √(a·r).
 * @param acceleration a, mm/s²; more than 0. @param deviation δ, mm; 0 or more.
 * @param angleRad θ between the segments; π is straight on, 0 is straight back.
 * @param shorter Length of the shorter segment, mm: the arc may use half of it, so that r ≤ shorter / (2·cot(θ/2)).
 * @returns mm/s; Infinity straight on.
 * @throws {RangeError} where acceleration is not more than 0.
 * Valid: the arc is not driven, it stands for what the machine's own give does. Source: geometry of the tangent circle.
 * @example cornerSpeed(1000, 0.01, Math.PI / 2, Infinity) // 4.91
 */
export function cornerSpeed(acceleration: number, deviation: number, angleRad: number, shorter: number): number {
  requireInRange('acceleration', acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  return cornerSpeedOf(acceleration, deviation, Math.sin(angleRad / 2), Math.cos(angleRad / 2), shorter)
}

/**
 * The same from sine and cosine of half the angle, unchecked, for the planner's inner loop.
 * Valid: as `cornerSpeed`. Source: as `cornerSpeed`.
 * @example cornerSpeedOf(1000, 0.01, Math.SQRT1_2, Math.SQRT1_2, Infinity) // 4.91
 */
export function cornerSpeedOf(a: number, deviation: number, sinHalf: number, cosHalf: number, shorter: number): number {
  if (cosHalf < 1e-9) return Infinity
  const byDeviation = (deviation * sinHalf) / (1 - sinHalf)
  const byLength = ((shorter / 2) * sinHalf) / cosHalf
  return Math.sqrt(a * Math.min(byDeviation, byLength))
}

/**
 * Time of a scan over many lines there and back, with run-out at both ends of each.
 * lines × (w/v + 2·v/a) and a step between each two lines.
 * @param scan lines: whole, 1 or more; width w, mm; speed v, mm/s; acceleration a, mm/s²; stepSeconds between lines.
 * @returns s.
 * @throws {RangeError} where speed or acceleration is not more than 0.
 * Valid: run-out of v²/2a at both ends, at full speed over the whole width. Source: uniformly accelerated motion.
 * @example scanTime({ lines: 1000, width: 100, speed: 100, acceleration: 1000, stepSeconds: 0 }) // 1200
 */
export function scanTime(scan: {
  readonly lines: number
  readonly width: number
  readonly speed: number
  readonly acceleration: number
  readonly stepSeconds: number
}): number {
  const { lines, width, speed, acceleration, stepSeconds } = scan
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  requireInRange('acceleration', acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  return lines * (width / speed + (2 * speed) / acceleration) + Math.max(0, lines - 1) * stepSeconds
}
