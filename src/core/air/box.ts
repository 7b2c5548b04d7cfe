import { requireInRange } from '../units'
import { AIR } from './duct'

/** Air inwards at every opening of an enclosing hood, m/s. (ACGIH, from memory) */
export const INWARD = { least: 0.4, wanted: 0.5, most: 0.6 } as const

/** Velocity in a duct that carries smoke, m/s: slower lets it settle, faster only takes pressure. (common practice) */
export const SMOKE_DUCT = { least: 5, most: 10 } as const

/** What of a sharp-edged opening's area a jet fills. (from memory) */
const CONTRACTS = 0.61

/**
 * Mean velocity through openings, m/s. @param flow m³/s. @param area All of them together, cm². @throws {RangeError} for an area that is not above 0.
 * Valid: any flow. Source: continuity. @example faceVelocity(150 / 3600, 833) // 0.5002
 */
export function faceVelocity(flow: number, area: number): number {
  requireInRange('area', area, 1e-9, 1e6, 'cm²')
  return flow / (area / 1e4)
}

/** Openings that a flow can guard at a velocity, cm². @param flow m³/s. @param velocity m/s. @throws {RangeError} for a velocity that is not above 0. Valid: any flow. Source: continuity. @example guardedArea(150 / 3600, 0.5) // 833.3 */
export function guardedArea(flow: number, velocity: number): number {
  requireInRange('velocity', velocity, 1e-6, 100, 'm/s')
  return (flow / velocity) * 1e4
}

/**
 * Air that goes through a gap, m³/s, towards the lower pressure. @param area cm². @param drop Pa over it. Valid: sharp edges; cracks of long walls let less through.
 * Source: orifice, C A √(2Δp/ρ) with C 0.61 (from memory). @example gapFlow(100, 5) // 0.01758
 */
export function gapFlow(area: number, drop: number): number {
  return Math.sign(drop) * CONTRACTS * (area / 1e4) * Math.sqrt((2 * Math.abs(drop)) / AIR.density)
}

/** Pressure that stands over a gap, Pa, when air goes through it. @param area cm². @param flow m³/s. @throws {RangeError} for an area that is not above 0. Valid: sharp edges. Source: the inverse of `gapFlow`. @example gapDrop(100, 0.01758) // 5 */
export function gapDrop(area: number, flow: number): number {
  requireInRange('area', area, 1e-9, 1e6, 'cm²')
  const velocity = flow / (CONTRACTS * (area / 1e4))
  return (Math.sign(flow) * AIR.density * velocity * velocity) / 2
}

/**
 * Time until a share of the smoke is left, s. @param volume m³. @param flow m³/s. @param mixing 1 where all of it mixes, 3 to 10 where corners do not. @param left Share that may be left.
 * @throws {RangeError} for a flow that is not above 0, or a share that is not between 0 and 1. Valid: no smoke is made meanwhile. Source: dilution, K V ln(1/left)/Q (ACGIH, from memory).
 * @example clearTime(0.12, 150 / 3600, 1, 0.01) // 13.26
 */
export function clearTime(volume: number, flow: number, mixing: number, left: number): number {
  requireInRange('flow', flow, Number.MIN_VALUE, 1e3, 'm³/s')
  requireInRange('left', left, Number.MIN_VALUE, 1)
  return (mixing * volume * Math.log(1 / left)) / flow
}

/** Share of the smoke that is left, of the time that it takes down to another share. @param part Of that time. @param down The share it is down to then. Valid: 0 or more. Source: dilution, exponential. @example leftAfter(0.5, 0.01) // 0.1 */
export function leftAfter(part: number, down: number): number {
  return down ** part
}

/**
 * Air that an open hood takes to draw at a distance, m³/s. @param velocity Wanted there, m/s. @param distance From its mouth, mm. @param area Of its mouth, cm². @param flanged A rim keeps air from behind away.
 * Valid: distances to 1.5 diameters, nothing in the way. Source: Dalla Valle, v(10x² + A), × 0.75 with a rim (ACGIH, from memory). @example openHoodFlow(0.5, 150, 100, false) // 0.1175
 */
export function openHoodFlow(velocity: number, distance: number, area: number, flanged: boolean): number {
  return velocity * (10 * (distance / 1000) ** 2 + area / 1e4) * (flanged ? 0.75 : 1)
}

/** Sound of several sources together, dB. @throws {RangeError} for none. Valid: sources that know nothing of each other. Source: energies add, 10 log₁₀ Σ 10^(L/10). @example levelsTogether([40, 40]) // 43.01 */
export function levelsTogether(levels: readonly number[]): number {
  if (levels.length === 0) throw new RangeError('levelsTogether needs a level')
  return 10 * Math.log10(levels.reduce((sum, it) => sum + 10 ** (it / 10), 0))
}
