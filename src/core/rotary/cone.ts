import { requireInRange } from '../units'

/** A frustum that is unrolled: the ring sector that its side becomes. Lengths in mm, the angle in rad. */
export interface FlatCone {
  /** Along the slope. */
  readonly slant: number
  /** Of the wide and the narrow end. */
  readonly outer: number
  readonly inner: number
  readonly angle: number
}

/**
 * Unrolls a frustum. @param wide Diameter of its wide end, mm. @param narrow Of its narrow end, mm; more than 0 and less than the wide one.
 * @param length Along its axis, mm. @throws {RangeError} where a size is not more than 0, or the ends are not wide and narrow.
 * Valid: D₁ > D₂ > 0, L > 0; a cylinder is no ring sector: it is a rectangle. Source: development of a cone, s = √(L² + ((D₁−D₂)/2)²), R₁ = s D₁/(D₁−D₂) (handbook of the trade).
 * @example unrollCone(90, 70, 150).outer // 676.5
 */
export function unrollCone(wide: number, narrow: number, length: number): FlatCone {
  requireInRange('narrow', narrow, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('length', length, Number.MIN_VALUE, 1e5, 'mm')
  if (!(wide > narrow)) throw new RangeError('the wide end of a cone is wider than its narrow one')
  requireInRange('wide', wide, Number.MIN_VALUE, 1e4, 'mm')
  const slant = Math.hypot(length, (wide - narrow) / 2)
  const outer = (slant * wide) / (wide - narrow)
  return { slant, outer, inner: outer - slant, angle: (Math.PI * (wide - narrow)) / slant }
}

/**
 * Where a place on the side of a frustum lies on the flat: the sector stands upright about the middle of its angle, its apex at the origin.
 * @param down From the narrow end along the slope, mm. @param turn About the axis, rad; 0 in the middle of the flat. Valid: 0 to the slant, −π to π.
 * Source: lengths along the slope and along every circle stay as they are. @example flatPlace(unrollCone(90, 70, 150), 0, 0).y // 526.2
 */
export function flatPlace({ inner, angle }: FlatCone, down: number, turn: number): { readonly x: number; readonly y: number } {
  const at = (turn * angle) / (2 * Math.PI)
  return { x: (inner + down) * Math.sin(at), y: (inner + down) * Math.cos(at) }
}

/** The place on the side of a frustum that a place of the flat comes to lie on. Valid: any place but the apex. Source: the inverse of `flatPlace`. @example roundPlace(unrollCone(90, 70, 150), 0, 600).down // 73.83 */
export function roundPlace({ inner, angle }: FlatCone, x: number, y: number): { readonly down: number; readonly turn: number } {
  return { down: Math.hypot(x, y) - inner, turn: (Math.atan2(x, y) * 2 * Math.PI) / angle }
}
