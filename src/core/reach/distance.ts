import { requireInRange } from '../units'

const above0 = (name: string, value: number, unit: string): void =>
  requireInRange(name, value, Number.MIN_VALUE, Number.MAX_VALUE, unit)

/** The wide pupil that a beam is averaged over, m². Source: IEC 60825-1:2014, table 8 (from memory). */
const PUPIL = Math.PI * 3.5e-3 ** 2

/**
 * A width that a sheet gives, as the standard counts it: at 1/e of the middle.
 * @param width Width or angle, any unit; more than 0. @param at Where the sheet takes it.
 * @throws {RangeError} where the width is not more than 0.
 * Valid: beams that are bell-shaped. Source: IEC 60825-1:2014, 3.13 (63 % of the power); 1/e² widths are √2 wider.
 * @example widthAsCounted(4, 'e2') // 2.828
 */
export function widthAsCounted(width: number, at: 'e1' | 'e2'): number {
  above0('width', width, '')
  return at === 'e2' ? width / Math.SQRT2 : width
}

/**
 * How far beyond its focus a beam is above a limit: (f/b)·√(4P/(π·E)); 0 where all of it through a pupil is below.
 * A flat bright surface throws it back over the same way.
 * @param powerW W; 0 or more. @param limit E, W/m²; more than 0. @param focalM From lens to focus, m. @param acrossM Beam at the lens, at 1/e, m.
 * @returns m. @throws {RangeError} outside those ranges.
 * Valid: a point source, continuous; the beam opens beyond the focus as it closed before it.
 * Source: IEC 60825-1:2014, annex B and IEC/TR 60825-14, NOHD of a focused beam (from memory).
 * @example reachBeyondFocus(5.5, 1.259, 0.04, 0.005) // 18.87
 */
export function reachBeyondFocus(powerW: number, limit: number, focalM: number, acrossM: number): number {
  requireInRange('powerW', powerW, 0, Number.MAX_VALUE, 'W')
  above0('limit', limit, 'W/m²')
  above0('focalM', focalM, 'm')
  above0('acrossM', acrossM, 'm')
  if (powerW <= limit * PUPIL) return 0
  return (focalM / acrossM) * Math.sqrt((4 * powerW) / (Math.PI * limit))
}

/**
 * How far a beam that was never focused is above a limit: (√(4P/(π·E)) − a)/φ.
 * @param powerW W; 0 or more. @param limit E, W/m²; more than 0. @param acrossM a, width as it leaves, at 1/e, m. @param angle φ, full angle, at 1/e, rad.
 * @returns m. @throws {RangeError} outside those ranges.
 * Valid: a point source, continuous. Source: IEC 60825-1:2014, annex B, NOHD (from memory).
 * @example reachOfBeam(5.5, 1.259, 0.004, 0.0015) // 1570
 */
export function reachOfBeam(powerW: number, limit: number, acrossM: number, angle: number): number {
  requireInRange('powerW', powerW, 0, Number.MAX_VALUE, 'W')
  above0('limit', limit, 'W/m²')
  above0('acrossM', acrossM, 'm')
  above0('angle', angle, 'rad')
  if (powerW <= limit * PUPIL) return 0
  return Math.max(0, (Math.sqrt((4 * powerW) / (Math.PI * limit)) - acrossM) / angle)
}

/**
 * How far from a dull surface its glow is above a limit: √(ρ·P·cos θ/(π·E)).
 * @param powerW W; 0 or more. @param limit E, W/m²; more than 0. @param back ρ, share thrown back, 0…1. @param tilt θ from the surface's normal, rad, 0…π/2.
 * @returns m. @throws {RangeError} outside those ranges.
 * Valid: a surface that glows alike from every side, a spot that counts as a point. Source: Lambert’s law, as in IEC/TR 60825-14 (from memory).
 * @example reachOfGlow(5.5, 1.259, 1, 0) // 1.179
 */
export function reachOfGlow(powerW: number, limit: number, back: number, tilt: number): number {
  requireInRange('powerW', powerW, 0, Number.MAX_VALUE, 'W')
  above0('limit', limit, 'W/m²')
  requireInRange('back', back, 0, 1)
  requireInRange('tilt', tilt, 0, Math.PI / 2, 'rad')
  return Math.sqrt(Math.max(0, back * powerW * Math.cos(tilt)) / (Math.PI * limit))
}
