import { requireInRange } from '../units'

/**
 * One side of a spot: its cross-profile falls as exp(−2|s/radius|^order). Order 2 is a Gaussian, the fast axis of a diode; the
 * slow axis is near flat, of order 4 to 10 (common practice).
 */
export interface SpotSide {
  /** Where the profile is down to 1/e², mm. */
  readonly radius: number
  readonly order: number
}

/** A beam through focus in one axis. */
export interface Waist {
  /** Radius at focus, mm. */
  readonly radius: number
  /** Height at which the area is twice that at focus, mm. */
  readonly rayleigh: number
}

const MM_OF_NM = 1e-6

/**
 * Rayleigh length, mm. @param radius Waist at 1/e², mm. @param m2 Beam quality, 1 or more. @param wavelength nm.
 * @throws {RangeError} naming the value and its range.
 * Valid: paraxial beams. Source: ISO 11146-1.
 * @example rayleighLength(0.04, 4, 455) // 2.762
 */
export function rayleighLength(radius: number, m2: number, wavelength: number): number {
  requireInRange('radius', radius, Number.MIN_VALUE, 100, 'mm')
  requireInRange('m2', m2, 1, 1e6)
  requireInRange('wavelength', wavelength, 100, 20_000, 'nm')
  return (Math.PI * radius * radius) / (m2 * wavelength * MM_OF_NM)
}

/**
 * Beam quality M² from waist and Rayleigh length. @param wavelength nm.
 * Valid: paraxial beams; under 1 the readings contradict themselves. Source: ISO 11146-1.
 * @example beamQuality({ radius: 0.04, rayleigh: 2.762 }, 455) // 4
 */
export function beamQuality({ radius, rayleigh }: Waist, wavelength: number): number {
  return (Math.PI * radius * radius) / (rayleigh * wavelength * MM_OF_NM)
}

/**
 * Radius at a height away from focus, mm. @param height mm, either way.
 * Valid: paraxial beams. Source: ISO 11146-1.
 * @example radiusAt({ radius: 0.04, rayleigh: 2.762 }, 2.762) // 0.05657
 */
export function radiusAt({ radius, rayleigh }: Waist, height: number): number {
  return radius * Math.sqrt(1 + (height / rayleigh) ** 2)
}

/**
 * How far from focus a beam has grown by a share, mm. @param growth More than 0. @throws {RangeError} where it is less.
 * Valid: paraxial beams. Source: ISO 11146-1, solved for the height.
 * @example heightOfGrowth(2.762, 0.1) // 1.2657
 */
export function heightOfGrowth(rayleigh: number, growth: number): number {
  requireInRange('growth', growth, 0, Number.MAX_VALUE)
  return rayleigh * Math.sqrt((1 + growth) ** 2 - 1)
}

/**
 * Peak of a side's profile whose area is 1: peak dose of a line for its energy of 1 J/mm, 1/mm.
 * @param side The one that lies across the move. @throws {RangeError} where the radius is not more than 0 or the order below 2.
 * Valid: order 2 (√(2/π)/w) up to flat (1/2w). Source: integral of exp(−2|s/w|^n), 2w·Γ(1 + 1/n)/2^(1/n).
 * @example linePeak({ radius: 0.04, order: 2 }) // 19.947
 */
export function linePeak({ radius, order }: SpotSide): number {
  requireInRange('radius', radius, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('order', order, 2, Number.MAX_VALUE)
  return 2 ** (1 / order) / (2 * radius * gammaAbove(1 / order))
}

/**
 * Γ(1 + x). @param x 0…1. Valid: to 3e-7. Source: Abramowitz and Stegun 6.1.36 (from memory).
 * @example gammaAbove(0.5) // 0.886227
 */
export function gammaAbove(x: number): number {
  const terms = [-0.577191652, 0.988205891, -0.897056937, 0.918206857, -0.756704078, 0.482199394, -0.193527818, 0.035868343]
  return 1 + terms.reduceRight((sum, it) => (sum + it) * x, 0)
}

/**
 * Peak irradiance, W/mm². @param power W. @throws {RangeError} for a side without a radius.
 * Valid: a spot with its own axes along both sides. Source: power over the integral of the profile.
 * @example peakIrradiance(5, { radius: 0.05, order: 2 }, { radius: 0.05, order: 2 }) // 1273.2
 */
export function peakIrradiance(power: number, fast: SpotSide, slow: SpotSide): number {
  return power * linePeak(fast) * linePeak(slow)
}

/**
 * Width of a line as burnt, mm; 0 where it leaves no mark.
 * @param over Peak dose over the dose from which it marks. @param side The one across the move.
 * Valid: a sharp threshold. Source: Liu (1982) for order 2 (from memory), the profile solved for the threshold.
 * @example burntWidth(Math.exp(2), { radius: 0.05, order: 2 }) // 0.1
 */
export function burntWidth(over: number, { radius, order }: SpotSide): number {
  return over > 1 ? 2 * radius * (Math.log(over) / 2) ** (1 / order) : 0
}
