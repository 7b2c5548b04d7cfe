import { findRoot } from '../bench'
import { requireInRange } from '../units'

/** Two turning mirrors over the work; lengths in mm. */
export interface MirrorPair {
  /** From the second mirror's axis down to the work, h. */
  readonly heightMm: number
  /** Between the axes of both mirrors, e. */
  readonly apartMm: number
  /** The mirror that the beam meets last. */
  readonly last: 'x' | 'y'
}

/** Turns of the beam, rad: twice those of the mirrors. */
export interface BeamTurns {
  readonly x: number
  readonly y: number
}

const STEEPEST = 1.2

/**
 * Where the beam meets the work: with the y mirror last x = (√(h² + y²) + e)·tan θx, y = h·tan θy; with the x mirror
 * last both change places.
 * @param turns θ of the beam, rad; −1.2…1.2.
 * @returns mm from the middle of the field.
 * @throws {RangeError} naming the value and its range.
 * Source: reflection at two plane mirrors whose axes are square to each other; tested against ray tracing.
 */
export function mirrorSpot({ heightMm: h, apartMm: e, last }: MirrorPair, turns: BeamTurns): { x: number; y: number } {
  requireInRange('heightMm', h, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('apartMm', e, 0, Number.MAX_VALUE, 'mm')
  requireInRange('turns.x', turns.x, -STEEPEST, STEEPEST, 'rad')
  requireInRange('turns.y', turns.y, -STEEPEST, STEEPEST, 'rad')
  if (last === 'y') {
    const y = h * Math.tan(turns.y)
    return { x: (Math.hypot(h, y) + e) * Math.tan(turns.x), y }
  }
  const x = h * Math.tan(turns.x)
  return { x, y: (Math.hypot(h, x) + e) * Math.tan(turns.y) }
}

/**
 * The turns that put the beam on a place of the work: the inverse of `mirrorSpot`, and the warp of artwork.
 * @param spot mm from the middle of the field.
 * @returns rad.
 * @throws {RangeError} where height or distance is out of range.
 * Source: as `mirrorSpot`, solved for the angles.
 */
export function mirrorTurns({ heightMm: h, apartMm: e, last }: MirrorPair, spot: { x: number; y: number }): BeamTurns {
  requireInRange('heightMm', h, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('apartMm', e, 0, Number.MAX_VALUE, 'mm')
  return last === 'y'
    ? { x: Math.atan(spot.x / (Math.hypot(h, spot.y) + e)), y: Math.atan(spot.y / h) }
    : { x: Math.atan(spot.x / h), y: Math.atan(spot.y / (Math.hypot(h, spot.x) + e)) }
}

/** A grid of the field: as it would come out if both angles simply followed the coordinates, and as it should. */
export interface FieldGrid {
  readonly bent: readonly (readonly (readonly [number, number])[])[]
  readonly straight: readonly (readonly (readonly [number, number])[])[]
}

/**
 * What the mirrors make of a square grid that nobody has warped, beside the grid itself.
 * @param widthMm @param depthMm The field about its middle, mm; more than 0.
 * @throws {RangeError} where the field is so wide that an angle leaves ±1.2 rad.
 */
export function fieldGrid(pair: MirrorPair, widthMm: number, depthMm: number): FieldGrid {
  const { heightMm: h, apartMm: e, last } = pair
  const lines = 6
  const points = 24
  const unwarped = (x: number, y: number): readonly [number, number] => {
    const turns = last === 'y' ? { x: x / (h + e), y: y / h } : { x: x / h, y: y / (h + e) }
    const spot = mirrorSpot(pair, turns)
    return [spot.x, spot.y]
  }
  const across = Array.from({ length: lines + 1 }, (_, i) => i / lines - 0.5)
  const along = Array.from({ length: points + 1 }, (_, i) => i / points - 0.5)
  const grid = (map: (x: number, y: number) => readonly [number, number]) => [
    ...across.map((u) => along.map((v) => map(u * widthMm, v * depthMm))),
    ...across.map((v) => along.map((u) => map(u * widthMm, v * depthMm))),
  ]
  return { bent: grid(unwarped), straight: grid((x, y) => [x, y]) }
}

/** What one place of the field is like. */
export interface FieldPlace {
  /** Motor steps for a millimetre along X and along Y. */
  readonly stepsX: number
  readonly stepsY: number
  /** Length of the beam from the last mirror, over that to the middle, mm. */
  readonly focusErrorMm: number
  /** How much longer and wider the spot is than in the middle. */
  readonly growthAlong: number
  readonly growthAcross: number
}

/**
 * Steps, focus and spot at a place of the field.
 * @param stepsPerRad Motor steps for one radian of a mirror's own turn; the beam turns twice as far.
 * @returns Local steps/mm from the slopes of `mirrorTurns`; spot growth 1/cos² along the tilt and 1/cos across it, for
 * a beam whose divergence behind focus is kept; the longer way to the work as focus error.
 * @throws {RangeError} where height or distance is out of range.
 * Source: derivatives of `mirrorTurns`; projection of a cone on a tilted plane.
 */
export function fieldPlace(pair: MirrorPair, stepsPerRad: number, spot: { x: number; y: number }): FieldPlace {
  const d = 1e-3
  const slope = (axis: 'x' | 'y'): number => {
    const before = mirrorTurns(pair, { ...spot, [axis]: spot[axis] - d })
    const after = mirrorTurns(pair, { ...spot, [axis]: spot[axis] + d })
    return (after[axis] - before[axis]) / (2 * d)
  }
  const { heightMm: h, apartMm: e, last } = pair
  const [near, far] = last === 'y' ? [spot.y, spot.x] : [spot.x, spot.y]
  const way = Math.hypot(Math.hypot(h, near) + e, far) - e
  const turns = mirrorTurns(pair, spot)
  const cos = Math.cos(turns.x) * Math.cos(turns.y)
  return {
    stepsX: (stepsPerRad * slope('x')) / 2,
    stepsY: (stepsPerRad * slope('y')) / 2,
    focusErrorMm: way - h,
    growthAlong: 1 / cos ** 2,
    growthAcross: 1 / cos,
  }
}

/** Teeth that wheels of the registry of common sizes have. */
export const STANDARD_TEETH = [10, 12, 14, 15, 16, 18, 20, 24, 25, 28, 30, 32, 36, 40, 48, 50, 60, 72, 80, 96, 100, 120] as const

/**
 * The pair of standard wheels whose ratio is the smallest that reaches a wanted one.
 * @param wanted Turns of the motor for one of the mirror; more than 0.
 * @returns Teeth on the motor and on the mirror; null where even the largest pair does not reach it.
 * Source: search over common tooth counts (common practice).
 */
export function gearFor(wanted: number): { readonly motor: number; readonly driven: number; readonly ratio: number } | null {
  const pairs = STANDARD_TEETH.flatMap((motor) => STANDARD_TEETH.map((driven) => ({ motor, driven, ratio: driven / motor })))
  const fitting = pairs.filter((it) => it.ratio >= wanted * (1 - 1e-12)).sort((p, q) => p.ratio - q.ratio || p.driven - q.driven)
  return fitting[0] ?? null
}

/**
 * Largest half field that keeps the focus error within a depth, along an axis through the middle.
 * @param depthMm More than 0.
 * @returns mm.
 * @throws {RangeError} where depth or height is not more than 0.
 * Valid: up to a half field of ten times the height. Source: √(h² + s²) − h = depth, solved.
 * @example halfFieldInFocus(250, 1.2) // 24.52
 */
export function halfFieldInFocus(heightMm: number, depthMm: number): number {
  requireInRange('heightMm', heightMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('depthMm', depthMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const error = (s: number): number => Math.hypot(heightMm, s) - heightMm - depthMm
  return findRoot(error, 0, 10 * heightMm + depthMm)
}
