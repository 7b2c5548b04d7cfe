import { requireInRange } from '../units'

/**
 * Steps per millimetre that make the machine move what it is told: old / slope, the slope being millimetres moved for
 * each one commanded.
 * @param old Steps per millimetre in force when the spans were burnt; more than 0. @param slope 0.5…2.
 * @returns steps/mm, not rounded.
 * @throws {RangeError} naming the value and its range.
 * Valid: the machine's error is a scale; an offset (line width, backlash) belongs to the intercept.
 * Source: by definition; for one pair it is old × commanded / measured.
 * @example calibratedSteps(80, 0.9949) // 80.41
 */
export function calibratedSteps(old: number, slope: number): number {
  requireInRange('old', old, Number.MIN_VALUE, Number.MAX_VALUE, 'steps/mm')
  requireInRange('slope', slope, 0.5, 2)
  return old / slope
}

/**
 * Span that must be measured so that its scale is good to a share r at about 95 %: 2·u·√2 / r.
 * @param u Standard uncertainty of one reading, mm; more than 0. @param share r, such as 0.0005; more than 0.
 * @param readings Two where a span is the difference of two readings (√2), one where it is read at once.
 * @returns mm.
 * @throws {RangeError} naming the value and its range.
 * Valid: no scale error of the instrument itself; that one no span makes smaller.
 * Source: JCGM 100:2008, 5.1.2 for a difference of two readings; expanded by 2.
 * @example spanNeeded(0.02, 0.0005, 2) // 113
 */
export function spanNeeded(u: number, share: number, readings: 1 | 2): number {
  requireInRange('u', u, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('share', share, Number.MIN_VALUE, 1)
  return (2 * u * Math.sqrt(readings)) / share
}
