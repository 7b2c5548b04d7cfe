import { requireInRange } from '../units'

/** A wheel that a belt runs round, or a clamp (radius 0), in a plane; lengths in mm. */
export interface Wheel {
  readonly x: number
  readonly y: number
  /** Pitch radius; 0 for a clamp. */
  readonly r: number
  /** Which way the belt turns on it along its run: 1 counter-clockwise, −1 clockwise. */
  readonly turn: 1 | -1
}

/** A straight run between two wheels. */
export interface BeltRun {
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  readonly length: number
}

/** The belt on one wheel. */
export interface BeltWrap {
  readonly wheel: Wheel
  readonly start: readonly [number, number]
  readonly end: readonly [number, number]
  /** Angle that the belt lies on it, rad; 0 or more. */
  readonly angleRad: number
}

export interface BeltRoute {
  readonly runs: readonly BeltRun[]
  /** One for each wheel but the ends of an open belt. */
  readonly wraps: readonly BeltWrap[]
  /** mm. */
  readonly length: number
}

const TURN = 2 * Math.PI

/**
 * The way of a belt round wheels in their order: tangents between them, arcs on them.
 * With s the turn of a wheel, its centre lies s·r to the left of the belt, so that between two wheels the belt runs
 * √(D² − (s₂r₂ − s₁r₁)²) and is turned from the line of centres by the angle whose sine is (s₂r₂ − s₁r₁)/D.
 * @param closed Whether the last wheel leads back to the first.
 * @throws {RangeError} naming the two wheels that overlap, so that no tangent goes between them.
 * Source: geometry of common tangents.
 */
export function routeBelt(wheels: readonly Wheel[], closed = false): BeltRoute {
  const count = closed ? wheels.length : wheels.length - 1
  const tangents = Array.from({ length: count }, (_, i) => tangent(wheels, i, (i + 1) % wheels.length))
  const runs = tangents.map(({ from, to, length }) => ({ from, to, length }))
  const wraps: BeltWrap[] = []
  wheels.forEach((wheel, i) => {
    const before = tangents[closed ? (i + count - 1) % count : i - 1]
    const after = tangents[i]
    if (before === undefined || after === undefined) return
    const turned = wheel.turn * (after.headingRad - before.headingRad)
    const angleRad = ((turned % TURN) + TURN) % TURN
    // A belt that only touches a wheel does not go round it.
    const lies = TURN - angleRad < 1e-9 ? 0 : angleRad
    wraps.push({ wheel, start: before.to, end: after.from, angleRad: lies })
  })
  const straight = runs.reduce((sum, it) => sum + it.length, 0)
  return { runs, wraps, length: straight + wraps.reduce((sum, it) => sum + it.angleRad * it.wheel.r, 0) }
}

function tangent(wheels: readonly Wheel[], i: number, j: number): BeltRun & { readonly headingRad: number } {
  const [a, b] = [wheels[i], wheels[j]]
  if (a === undefined || b === undefined) throw new RangeError('a belt needs two wheels at least')
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const apart = Math.hypot(dx, dy)
  const aside = b.turn * b.r - a.turn * a.r
  if (!(apart > Math.abs(aside))) {
    throw new RangeError(`wheels ${i + 1} and ${j + 1} overlap: their centres are ${apart.toFixed(2)} mm apart`)
  }
  const length = Math.sqrt(apart * apart - aside * aside)
  const headingRad = Math.atan2(dy, dx) - Math.atan2(aside, length)
  const [nx, ny] = [-Math.sin(headingRad), Math.cos(headingRad)]
  const touch = (wheel: Wheel): readonly [number, number] => [
    wheel.x - wheel.turn * wheel.r * nx,
    wheel.y - wheel.turn * wheel.r * ny,
  ]
  return { from: touch(a), to: touch(b), length, headingRad }
}

/**
 * Length of a closed belt over two wheels: 2·C·cos φ + π(d₁ + d₂)/2 + φ(d₂ − d₁), sin φ = (d₂ − d₁)/2C.
 * @param centresMm C, mm. @param d1Mm @param d2Mm Pitch diameters, mm; more than 0.
 * @returns mm.
 * @throws {RangeError} where the wheels would overlap.
 * Valid: taut belt in one plane. Source: geometry of the open belt drive (ISO 5296 for the pitch line).
 * @example closedBeltLength(69.71, 40 / Math.PI, 80 / Math.PI) // 200.00
 */
export function closedBeltLength(centresMm: number, d1Mm: number, d2Mm: number): number {
  requireInRange('centresMm', centresMm, (d1Mm + d2Mm) / 2, Number.MAX_VALUE, 'mm')
  const phi = Math.asin((d2Mm - d1Mm) / (2 * centresMm))
  return 2 * centresMm * Math.cos(phi) + (Math.PI * (d1Mm + d2Mm)) / 2 + phi * (d2Mm - d1Mm)
}

/** Parts of a belt that runs from a motor to an idler and back, one run of it clamped to what it moves. */
export interface PullingParts {
  /** The clamped run between the motor and the clamp. */
  readonly near: boolean
  /** The clamped run between the clamp and the idler. */
  readonly far: boolean
  /** The other run, all of it. */
  readonly back: boolean
}

/**
 * Which parts of a belt loop pull: towards the motor the short way; away from it the other run does, round the idler.
 * @param away More than 0: what is clamped goes away from the motor; less: towards it; 0: nothing pulls.
 * Valid: a belt under tension, so that no part goes slack. Source: the motor pulls on one of its two sides only.
 * @example pullingParts(1) // { near: false, far: true, back: true }
 */
export function pullingParts(away: number): PullingParts {
  return { near: away < 0, far: away > 0, back: away > 0 }
}
