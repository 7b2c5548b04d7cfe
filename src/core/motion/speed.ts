import { requireInRange } from '../units'

/**
 * The speed at which the controller runs out of steps: f / s.
 * @param stepRateHz Highest step rate, Hz; more than 0. @param steps Steps per millimetre; more than 0.
 * @returns mm/s.
 * @throws {RangeError} where one of them is not more than 0.
 * Valid: one step rate for each axis on its own. Source: by definition.
 * @example speedByStepRate(30_000, 80) // 375
 */
export function speedByStepRate(stepRateHz: number, steps: number): number {
  requireInRange('stepRateHz', stepRateHz, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  requireInRange('steps', steps, Number.MIN_VALUE, Number.MAX_VALUE, 'steps/mm')
  return stepRateHz / steps
}

/**
 * Travel needed beyond a scan line's end to come to speed, or to rest: v² / 2a.
 * @param speed mm/s; 0 or more. @param acceleration mm/s²; more than 0.
 * @returns mm.
 * @throws {RangeError} where the speed is negative or the acceleration not more than 0.
 * Valid: constant acceleration. Source: uniformly accelerated motion, v² = 2·a·s.
 * @example runOut(100, 1000) // 5
 */
export function runOut(speed: number, acceleration: number): number {
  requireInRange('speed', speed, 0, Number.MAX_VALUE, 'mm/s')
  requireInRange('acceleration', acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  return (speed * speed) / (2 * acceleration)
}
