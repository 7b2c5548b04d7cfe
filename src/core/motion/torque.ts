import { requireInRange } from '../units'

/** A stepper as its data sheet gives it. */
export interface Winding {
  /** Holding torque, N·m; more than 0. */
  readonly holdingTorque: number
  /** Rated current of a phase, A; more than 0. */
  readonly ratedCurrent: number
  /** Of a phase, Ω; 0 or more. */
  readonly resistance: number
  /** Of a phase, H; more than 0. */
  readonly inductance: number
  /** Supply of the driver, V; more than 0. */
  readonly voltage: number
  /** A turn of the rotor; 4…1000. */
  readonly fullSteps: number
  /** What the driver's setting means: the peak of its sine, or its effective value (peak/√2). */
  readonly setting: DriverSetting
}

/** What a driver's current setting means. */
export type DriverSetting = 'peak' | 'effective'

/**
 * Amplitude of the sine that a driver set to the rated current sends through a phase: I where the setting is the peak,
 * √2·I where it is the effective value.
 * @returns A.
 * Valid: microstepping, both phases in quadrature. Source: definition of the effective value of a sine.
 * @example amplitudeOf({ ratedCurrent: 1.5, setting: 'effective' }) // 2.121
 */
export function amplitudeOf({ ratedCurrent, setting }: Pick<Winding, 'ratedCurrent' | 'setting'>): number {
  return setting === 'effective' ? Math.SQRT2 * ratedCurrent : ratedCurrent
}

/**
 * Torque of a microstepped motor whose supply can drive its current: T = K·Î with K = T_hold/(√2·I), since a data
 * sheet's holding torque is read with both phases at the rated current. T_hold/√2 or T_hold, after the setting.
 * @returns N·m.
 * @throws {RangeError} for a current that is not more than 0.
 * Valid: below saturation. Source: torque constant of a two-phase stepper, both phases added at right angles.
 * @example runningTorque({ holdingTorque: 0.45, ratedCurrent: 1.5, setting: 'peak' }) // 0.318
 */
export function runningTorque(winding: Pick<Winding, 'holdingTorque' | 'ratedCurrent' | 'setting'>): number {
  return torqueConstant(winding) * amplitudeOf(winding)
}

/** N·m for an ampere of amplitude. */
function torqueConstant({ holdingTorque, ratedCurrent }: Pick<Winding, 'holdingTorque' | 'ratedCurrent'>): number {
  requireInRange('ratedCurrent', ratedCurrent, Number.MIN_VALUE, Number.MAX_VALUE, 'A')
  return holdingTorque / (Math.SQRT2 * ratedCurrent)
}

/** How two motors share a driver; `each` has its own. */
export interface SharedDriver {
  readonly drivers: 'each' | 'parallel' | 'series'
  /** Current that a shared driver gives, A; more than 0. */
  readonly driverCurrent: number
}

/**
 * One motor of two as it stands behind its driver. In parallel both split the driver's current, so each may get less
 * than it is made for; in series both carry it, and each sees half of the supply.
 * @returns The motor with the current it gets, its torque in proportion, and the supply it sees.
 * @throws {RangeError} for a current that is not more than 0.
 * Valid: two like motors on one load, below saturation, where torque follows current. Source: Kirchhoff's laws; torque
 * constant of a stepper.
 * @example behindDriver({ holdingTorque: 0.45, ratedCurrent: 1.5, voltage: 24 }, { drivers: 'parallel', driverCurrent: 1.5 }) // { holdingTorque: 0.225, ratedCurrent: 0.75, voltage: 24 }
 */
export function behindDriver(winding: Winding, { drivers, driverCurrent }: SharedDriver): Winding {
  if (drivers === 'each') return winding
  requireInRange('driverCurrent', driverCurrent, Number.MIN_VALUE, Number.MAX_VALUE, 'A')
  const own = drivers === 'parallel' ? driverCurrent / 2 : driverCurrent
  const share = Math.min(1, own / winding.ratedCurrent)
  return {
    ...winding,
    ratedCurrent: winding.ratedCurrent * share,
    holdingTorque: winding.holdingTorque * share,
    voltage: drivers === 'series' ? winding.voltage / 2 : winding.voltage,
  }
}

/**
 * Speed from which the supply no longer drives the current through the winding:
 * V² = (Î·R + K·ω)² + (p·ω·L·Î)², with K = T_hold/(√2·I), Î as in `amplitudeOf` and p rotor teeth = full steps / 4.
 * @returns rad/s of the rotor; 0 where the supply does not even hold the current at rest.
 * @throws {RangeError} naming the value and its range.
 * Valid: sine currents in phase with the back-EMF, two phases; above it the torque falls. Source: phasor balance of one
 * phase; the mechanical power K·Î·ω is what the back-EMF takes of it.
 * @example cornerSpeedOfWinding({ holdingTorque: 0.45, ratedCurrent: 1.5, resistance: 1.65, inductance: 2.8e-3, voltage: 24, fullSteps: 200, setting: 'peak' }) // 74.3
 */
export function cornerSpeedOfWinding(winding: Winding): number {
  const { holdingTorque, resistance: R, inductance: L, voltage: V, fullSteps } = winding
  requireInRange('holdingTorque', holdingTorque, Number.MIN_VALUE, Number.MAX_VALUE, 'N·m')
  requireInRange('inductance', L, Number.MIN_VALUE, Number.MAX_VALUE, 'H')
  requireInRange('voltage', V, Number.MIN_VALUE, Number.MAX_VALUE, 'V')
  requireInRange('fullSteps', fullSteps, 4, 1000)
  const K = torqueConstant(winding)
  const I = amplitudeOf(winding)
  if (V <= I * R) return 0
  const p = fullSteps / 4
  // a·ω² + b·ω + c = 0 from the balance above.
  const a = K * K + (p * L * I) ** 2
  const b = 2 * I * R * K
  const c = (I * R) ** 2 - V * V
  return (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a)
}

/**
 * Torque that a stepper still has at a speed: its running torque up to the corner speed, from there as the power is
 * kept, T·ω₁/ω.
 * @param speedRadPerS ω of the rotor; 0 or more.
 * @returns N·m; never more power than the supply gives at the corner.
 * @throws {RangeError} naming the value and its range.
 * Valid: a first guess for choosing; a motor's own curve is better. Source: constant power above the corner (common
 * practice).
 * @example torqueAt({ holdingTorque: 0.45, ratedCurrent: 1.5, resistance: 1.65, inductance: 2.8e-3, voltage: 24, fullSteps: 200, setting: 'peak' }, 148.6) // 0.159
 */
export function torqueAt(winding: Winding, speedRadPerS: number): number {
  requireInRange('speedRadPerS', speedRadPerS, 0, Number.MAX_VALUE, 'rad/s')
  const corner = cornerSpeedOfWinding(winding)
  const torque = runningTorque(winding)
  return speedRadPerS <= corner ? torque : (torque * corner) / speedRadPerS
}

/** Torque over speed, as points for a chart. */
export interface TorqueCurve {
  /** mm/s of the axis. */
  readonly speeds: readonly number[]
  /** N·m of one motor. */
  readonly torques: readonly number[]
}

/**
 * Torque that a motor has over the speed of its axis.
 * @param travelPerRotorTurnMm More than 0. @param topSpeed Last speed of the curve, mm/s; more than 0.
 * @throws {RangeError} naming the value and its range.
 */
export function torqueCurve(winding: Winding, travelPerRotorTurnMm: number, topSpeed: number): TorqueCurve {
  requireInRange('travelPerRotorTurnMm', travelPerRotorTurnMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('topSpeed', topSpeed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  const corner = (cornerSpeedOfWinding(winding) / (2 * Math.PI)) * travelPerRotorTurnMm
  const even = Array.from({ length: 61 }, (_, i) => (topSpeed * i) / 60)
  const speeds = corner > 0 && corner < topSpeed ? [...even, corner].sort((p, q) => p - q) : even
  return { speeds, torques: speeds.map((v) => torqueAt(winding, (v / travelPerRotorTurnMm) * 2 * Math.PI)) }
}

/** What an axis has to move. */
export interface AxisLoad {
  /** kg; 0 or more. */
  readonly mass: number
  /** N along the axis; 0 or more. */
  readonly friction: number
  /** mm/s². */
  readonly acceleration: number
  /** mm of the axis for a turn of the rotor; more than 0. */
  readonly travelPerRotorTurnMm: number
  /** kg·m²; 0 or more. */
  readonly rotorInertia: number
  /** Motors that share it; 1 or 2. */
  readonly motors: number
  /** Crossed belts, on the path that asks most of a motor: 45°, where one does all at √2 times the path's speed. */
  readonly crossed?: boolean
}

/**
 * Torque that one motor must give to speed an axis up: (m·a + F)·r/n + J·α, r = travel a rotor turn / 2π, α = a/r;
 * for crossed belts (m·a + F)·r/√2 + √2·J·α.
 * @returns N·m.
 * @throws {RangeError} naming the value and its range.
 * Valid: stiff drive, efficiency 1. Source: Newton's second law for translation and rotation; virtual work
 * for crossed belts.
 * @example torqueNeeded({ mass: 0.5, friction: 3, acceleration: 1000, travelPerRotorTurnMm: 40, rotorInertia: 5.4e-6, motors: 1 }) // 0.0231
 */
export function torqueNeeded({ mass, friction, acceleration, ...rest }: AxisLoad): number {
  const { travelPerRotorTurnMm, rotorInertia, motors, crossed = false } = rest
  requireInRange('travelPerRotorTurnMm', travelPerRotorTurnMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('motors', motors, 1, 2)
  const r = travelPerRotorTurnMm / 1000 / (2 * Math.PI)
  const a = acceleration / 1000
  // Virtual work at 45°: the motor's belt goes √2 as far as the head, and so pulls with 1/√2 of its force.
  if (crossed) return ((mass * a + friction) * r) / Math.SQRT2 + (rotorInertia * a * Math.SQRT2) / r
  return ((mass * a + friction) * r) / motors + (rotorInertia * a) / r
}

/**
 * Torque that moves a microstepped rotor by one microstep, as a share of the holding torque: sin(90°/m).
 * @param microsteps m; 1…256.
 * @returns 0…1.
 * @throws {RangeError} naming the value and its range.
 * Valid: sine torque curve. Source: the torque of a two-phase stepper is a sine of its load angle.
 * @example microstepTorque(16) // 0.098
 */
export function microstepTorque(microsteps: number): number {
  requireInRange('microsteps', microsteps, 1, 256)
  return Math.sin(Math.PI / 2 / microsteps)
}
