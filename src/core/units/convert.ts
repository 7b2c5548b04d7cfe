import { unitOf, type UnitId } from './table'

/**
 * A value typed in some unit, as the core keeps it.
 * @param value In `unit`. @returns In the core's unit of the same quantity.
 * Valid: any finite value. Source: SI Brochure and NIST SP 811 factors in `table.ts`.
 * @example toCore(1, 'in') // 25.4
 */
export function toCore(value: number, unit: UnitId): number {
  const { scale, offset = 0 } = unitOf(unit)
  return value * scale + offset
}

/**
 * A value of the core in some unit; the inverse of `toCore`.
 * Valid: any finite value. Source: as `toCore`.
 * @example fromCore(25.4, 'in') // 1
 */
export function fromCore(value: number, unit: UnitId): number {
  const { scale, offset = 0 } = unitOf(unit)
  return (value - offset) / scale
}

/**
 * A doubt (difference) typed in some unit, as the core keeps it: by scale only, never by offset.
 * Valid: any finite value. Source: JCGM 100:2008, 5.1.3 (a linear change of unit scales u by its factor).
 * @example doubtToCore(9, 'degF') // 5
 */
export function doubtToCore(doubt: number, unit: UnitId): number {
  return doubt * unitOf(unit).scale
}

/**
 * The inverse of `doubtToCore`. Valid: any finite value. Source: as `doubtToCore`.
 * @example doubtFromCore(5, 'degF') // 9
 */
export function doubtFromCore(doubt: number, unit: UnitId): number {
  return doubt / unitOf(unit).scale
}
