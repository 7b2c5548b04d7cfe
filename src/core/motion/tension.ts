import { requireInRange } from '../units'

/**
 * Tension of a belt from the tone of a plucked span: T = 4·m·L²·f².
 * @param massPerMetreKg m, kg/m; more than 0. @param spanMm L, mm; more than 0. @param toneHz f, Hz; more than 0.
 * @returns N.
 * @throws {RangeError} naming the value and its range.
 * Valid: span free at both ends, belt still, its own stiffness small. Source: fundamental of the ideal string.
 * @example tensionFromTone(0.0084, 300, 60) // 10.89
 */
export function tensionFromTone(massPerMetreKg: number, spanMm: number, toneHz: number): number {
  requireInRange('massPerMetreKg', massPerMetreKg, Number.MIN_VALUE, Number.MAX_VALUE, 'kg/m')
  requireInRange('spanMm', spanMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('toneHz', toneHz, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  return 4 * massPerMetreKg * (spanMm / 1000) ** 2 * toneHz ** 2
}

/**
 * The tone that a span should have at a wanted tension: √(T/m) / 2L; the inverse of `tensionFromTone`.
 * @param tension N; more than 0.
 * @returns Hz.
 * @throws {RangeError} naming the value and its range.
 * Valid: as `tensionFromTone`. Source: the same.
 * @example toneForTension(0.0084, 300, 25) // 90.9
 */
export function toneForTension(massPerMetreKg: number, spanMm: number, tension: number): number {
  requireInRange('tension', tension, Number.MIN_VALUE, Number.MAX_VALUE, 'N')
  return Math.sqrt(tension / massPerMetreKg) / ((2 * spanMm) / 1000)
}
