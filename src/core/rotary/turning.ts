import { requireInRange } from '../units'

/**
 * Steps of the motor for a turn of the object on rollers that do not slip. @param rollerSteps Steps for a turn of the roller. @param roller Its diameter, mm. @param object The object’s, mm.
 * @throws {RangeError} where one is not more than 0. Valid: any sizes. Source: the surfaces go the same way; handbook of the trade. @example stepsOnRollers(3200, 30, 60) // 6400
 */
export function stepsOnRollers(rollerSteps: number, roller: number, object: number): number {
  for (const [name, value] of [
    ['rollerSteps', rollerSteps],
    ['roller', roller],
    ['object', object],
  ] as const)
    requireInRange(name, value, Number.MIN_VALUE, 1e9)
  return (rollerSteps * object) / roller
}

/**
 * Steps for a millimetre of surface. @param turnSteps Steps for a turn of what has the diameter. @param diameter Of the roller, or of the object where it is held itself, mm.
 * @throws {RangeError} where one is not more than 0. Valid: any sizes. Source: a turn is π D of surface; handbook of the trade. @example surfaceSteps(3200, 60) // 16.98
 */
export function surfaceSteps(turnSteps: number, diameter: number): number {
  requireInRange('turnSteps', turnSteps, Number.MIN_VALUE, 1e9)
  requireInRange('diameter', diameter, Number.MIN_VALUE, 1e4, 'mm')
  return turnSteps / (Math.PI * diameter)
}

/**
 * Feed of a turn alone for a speed along the surface. @param speed mm/s. @param diameter mm, more than 0. @returns Degrees a second.
 * @throws {RangeError} where one is out of range. Valid: any. Source: F = 360 v/(π D); handbook of the trade. @example turnFeed(1000 / 60, 60) * 60 // 1910
 */
export function turnFeed(speed: number, diameter: number): number {
  requireInRange('speed', speed, 0, Number.MAX_VALUE, 'mm/s')
  requireInRange('diameter', diameter, Number.MIN_VALUE, 1e4, 'mm')
  return (360 * speed) / (Math.PI * diameter)
}

/** What is turned. SI but for the names that say otherwise. */
export interface Turned {
  /** kg·m². */
  readonly inertia: number
  /** kg, and how far its centre of mass lies off the axis, m. */
  readonly mass: number
  readonly offCentre: number
  /** N·m. */
  readonly friction: number
  /** rad/s². */
  readonly acceleration: number
}

const GRAVITY = 9.80665

/**
 * Torque of the motor for what it turns through a ratio. @param ratio Turns of the motor for one of the object, more than 0. @param rotor Its own inertia, kg·m².
 * @returns N·m. @throws {RangeError} where the ratio is not more than 0. Valid: any load. Source: T_m = (J/i² + J_m) i α + T_load/i, T_load = friction + m g e; handbook of the trade.
 * @example turningTorque({ inertia: 0.00045, mass: 1, offCentre: 0, friction: 0, acceleration: 16.667 }, 1, 0) // 0.0075
 */
export function turningTorque(
  { inertia, mass, offCentre, friction, acceleration }: Turned,
  ratio: number,
  rotor: number,
): number {
  requireInRange('ratio', ratio, Number.MIN_VALUE, 1e6)
  const load = friction + mass * GRAVITY * offCentre
  return (inertia / (ratio * ratio) + rotor) * ratio * acceleration + load / ratio
}

/**
 * Length of cord for a drive ring. @param groove Diameter at the bottom of its groove, mm. @param cord Diameter of the cord, mm. @param stretch Share by which it is stretched, 0 to 1.
 * @returns mm. @throws {RangeError} where one is out of range. Valid: any. Source: π (D + d)/(1 + ε); handbook of the trade. @example cordLength(60, 3, 0.08) // 183.3
 */
export function cordLength(groove: number, cord: number, stretch: number): number {
  requireInRange('groove', groove, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('cord', cord, Number.MIN_VALUE, 100, 'mm')
  requireInRange('stretch', stretch, 0, 1)
  return (Math.PI * (groove + cord)) / (1 + stretch)
}
