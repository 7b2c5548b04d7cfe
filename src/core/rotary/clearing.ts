import { requireInRange } from '../units'

/** A handle as it goes round. Lengths in mm, angles in rad. */
export interface Handle {
  /** Radius of the object where it sits, and how far it stands out. */
  readonly radius: number
  readonly out: number
  /** Its middle from the middle of the work, 0 to π. */
  readonly at: number
  /** How far the object turns to either side. */
  readonly turn: number
}

/** Steps in which a turn is looked at. */
const STEPS = 720

/**
 * The highest that a handle comes under a head in a turn. @param handle The handle. @param reach How far the head's body reaches from the beam to either side across the axis, mm.
 * @returns mm above the axis; the object's own radius where no part of the handle comes under the head. @throws {RangeError} where a size is out of range.
 * Valid: a handle thin against the radius. Source: a place r from the axis at θ from the top lies r cos θ high and r sin θ aside.
 * @example handleTop({ radius: 40, out: 30, at: Math.PI, turn: Math.PI }, 20) // 70
 */
export function handleTop({ radius, out, at, turn }: Handle, reach: number): number {
  requireInRange('radius', radius, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('out', out, 0, 1e4, 'mm')
  requireInRange('reach', reach, 0, 1e4, 'mm')
  const [first, last] = [Math.max(0, at - turn), Math.min(Math.PI, at + turn)]
  let top = radius
  for (let k = 0; k <= STEPS; k++) {
    const angle = first + ((last - first) * k) / STEPS
    const aside = Math.sin(angle)
    if (Math.cos(angle) <= 0) break
    // Of the handle, from the object to its tip, the outermost place that is under the head.
    const outermost = Math.min(radius + out, aside < 1e-9 ? Infinity : reach / aside)
    if (outermost >= radius) top = Math.max(top, outermost * Math.cos(angle))
  }
  return top
}

/**
 * Height of an object's axis over that of the rollers it lies on. @param object Its diameter there, mm. @param roller Of a roller, mm. @param gap From roller axis to roller axis, mm.
 * @returns mm. @throws {RangeError} where it falls through. Valid: rollers alike. Source: √((R + r)² − (g/2)²). @example heightOnRollers(60, 30, 40) // 40.31
 */
export function heightOnRollers(object: number, roller: number, gap: number): number {
  requireInRange('roller', roller, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('object', object, Number.MIN_VALUE, 1e4, 'mm')
  const reach = (object + roller) / 2
  if (!(reach > gap / 2)) throw new RangeError(`an object of ${object} mm falls through rollers ${gap} mm apart`)
  return Math.sqrt(reach * reach - (gap * gap) / 4)
}

/**
 * The force along the surface that rollers pass on before they slip. @param weight N. @param object Diameter, mm. @param roller mm. @param gap Axis to axis, mm. @param friction Coefficient. @param driven How many of the two are driven.
 * @returns N. @throws {RangeError} where it falls through. Valid: rigid, the object lies in the middle. Source: N = W/(2 cos β), sin β = (g/2)/(R + r); Coulomb friction μN at each that is driven.
 * @example gripOfRollers(9.81, 60, 30, 40, 0.5, 1) // 2.738
 */
export function gripOfRollers(
  weight: number,
  object: number,
  roller: number,
  gap: number,
  friction: number,
  driven: number,
): number {
  const cosine = heightOnRollers(object, roller, gap) / ((object + roller) / 2)
  return (driven * friction * weight) / (2 * cosine)
}
