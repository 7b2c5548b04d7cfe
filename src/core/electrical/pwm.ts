import { requireInRange } from '../units'

/**
 * Steps of power that a timer can make: f_c / f.
 * @param clockHz f_c, Hz; more than 0. @param frequencyHz f, Hz; more than 0.
 * @returns Steps in one period, not rounded: the timer has the whole ones.
 * @throws {RangeError} naming the value and its range.
 * Valid: the timer counts every tick of its clock. Source: by definition.
 * @example powerSteps(16e6, 5000) // 3200
 */
export function powerSteps(clockHz: number, frequencyHz: number): number {
  requireInRange('clockHz', clockHz, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  requireInRange('frequencyHz', frequencyHz, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  return clockHz / frequencyHz
}

/**
 * Periods of the power signal while the beam crosses one dot: f·d / v.
 * @param frequencyHz f, Hz; more than 0. @param dotMm d along the move, mm; more than 0. @param speed v, mm/s; more than 0.
 * @returns Periods; at 4 or more the dots are alike, under 2 they show as bands (common practice).
 * @throws {RangeError} naming the value and its range.
 * Valid: constant speed. Source: by definition.
 * @example periodsPerDot(1000, 0.1, 100) // 1
 */
export function periodsPerDot(frequencyHz: number, dotMm: number, speed: number): number {
  requireInRange('frequencyHz', frequencyHz, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  requireInRange('dotMm', dotMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  return (frequencyHz * dotMm) / speed
}
