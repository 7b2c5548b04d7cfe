import { requireInRange } from '../units'

export interface Corners {
  /** Side along X, mm; more than 0. */
  readonly widthMm: number
  /** Side along Y, mm; more than 0. */
  readonly depthMm: number
  /** Diagonal through the corner whose angle is asked for, mm. */
  readonly fromOriginMm: number
  /** The other diagonal, mm. */
  readonly acrossMm: number
}

/**
 * Angle by which a parallelogram's corner departs from a right angle, from its sides and diagonals.
 * With θ the angle at the origin: p² − q² = 4·a·b·cos θ, so the departure π/2 − θ is asin((p² − q²) / 4ab).
 * @param corners a = widthMm, b = depthMm, p = fromOriginMm, q = acrossMm; one instrument for all, so that its
 * scale cancels.
 * @returns rad; above 0 where the angle at the origin is smaller than a right angle.
 * @throws {RangeError} where a side is not more than 0 or the four lengths close no parallelogram.
 * Valid: opposite sides alike. Source: law of cosines on both diagonals.
 * @example outOfSquare({ widthMm: 400, depthMm: 300, fromOriginMm: 500.8, acrossMm: 499.2 }) // 0.00333: rad, 0.191°
 */
export function outOfSquare({ widthMm: a, depthMm: b, fromOriginMm: p, acrossMm: q }: Corners): number {
  requireInRange('widthMm', a, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('depthMm', b, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('(p² − q²) / 4ab', (p * p - q * q) / (4 * a * b), -1, 1)
  return Math.asin((p * p - q * q) / (4 * a * b))
}

/**
 * How far a line that should be square has wandered at its end.
 * @param angleRad Departure from square, rad; −π/2…π/2. @param lengthMm mm.
 * @returns mm, signed like the angle.
 * @throws {RangeError} beyond a right angle.
 * Valid: straight axes. Source: definition of the sine.
 * @example wander(0.003333, 400) // 1.333
 */
export function wander(angleRad: number, lengthMm: number): number {
  requireInRange('angleRad', angleRad, -Math.PI / 2, Math.PI / 2, 'rad')
  return lengthMm * Math.sin(angleRad)
}

/**
 * How well four corners agree with being a parallelogram: p² + q² against 2(a² + b²), as a length.
 * @returns mm by which the diagonals, taken together, are too long; near 0 for true readings.
 * @throws {RangeError} where a side is not more than 0.
 * Valid: any quadrilateral whose opposite sides are alike. Source: parallelogram law.
 * @example closure({ widthMm: 400, depthMm: 300, fromOriginMm: 500, acrossMm: 500 }) // 0
 */
export function closure({ widthMm: a, depthMm: b, fromOriginMm: p, acrossMm: q }: Corners): number {
  requireInRange('widthMm', a, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('depthMm', b, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return Math.sqrt((p * p + q * q) / 2) - Math.sqrt(a * a + b * b)
}
