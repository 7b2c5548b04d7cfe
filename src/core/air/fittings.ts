import { requireInRange } from '../units'

/** Loss of a fitting in velocity pressures of its own duct. (ASHRAE, from memory) */
export const FITTINGS = {
  plainEnd: { label: 'plain end that air goes in by', k: 1 },
  flangedEnd: { label: 'flanged end that air goes in by', k: 0.5 },
  bellmouth: { label: 'bell mouth', k: 0.03 },
  out: { label: 'end that air leaves by', k: 1 },
  smoothBend: { label: 'smooth bend of 90°, radius 1.5 diameters', k: 0.3 },
  pleatedBend: { label: 'pleated bend of 90°', k: 0.57 },
  mitre: { label: 'mitred bend of 90°', k: 1.2 },
} as const
export type FittingKind = keyof typeof FITTINGS

/**
 * Loss where a duct widens at once, in velocity pressures of the narrow side. @param narrow Diameter before, mm. @param wide After, mm.
 * @throws {RangeError} where it does not widen. Valid: a sudden step. Source: Borda–Carnot, (1 − A₁/A₂)². @example wideningLoss(100, 125) // 0.1296
 */
export function wideningLoss(narrow: number, wide: number): number {
  requireInRange('narrow', narrow, 1e-3, wide, 'mm')
  return (1 - (narrow / wide) ** 2) ** 2
}

/**
 * Loss where a duct narrows at once, in velocity pressures of the narrow side. @param wide Diameter before, mm. @param narrow After, mm.
 * @throws {RangeError} where it does not narrow. Valid: a sudden step. Source: 0.5 (1 − A₂/A₁) (ASHRAE, from memory). @example narrowingLoss(125, 100) // 0.18
 */
export function narrowingLoss(wide: number, narrow: number): number {
  requireInRange('narrow', narrow, 1e-3, wide, 'mm')
  return 0.5 * (1 - (narrow / wide) ** 2)
}

/**
 * Loss of a plate with holes, a grille or a grate, in velocity pressures of the whole face. @param free Share of it that is open.
 * @throws {RangeError} for a share that is not above 0. Valid: thin bars, a face well above the free area. Source: (1/(0.61σ) − 1)² (ASHRAE, from memory).
 * @example grilleLoss(0.5) // 5.192
 */
export function grilleLoss(free: number): number {
  requireInRange('free', free, 1e-3, 1)
  return (1 / (0.61 * free) - 1) ** 2
}

/**
 * Loss of a bend of another angle. @param k Of its 90°. @param angle rad. @throws {RangeError} for an angle beyond a half turn.
 * Valid: bends of round ducts. Source: in proportion to the angle (common practice). @example bendLoss(0.3, Math.PI / 4) // 0.15
 */
export function bendLoss(k: number, angle: number): number {
  requireInRange('angle', angle, 0, Math.PI, 'rad')
  return (k * angle) / (Math.PI / 2)
}
