import { requireInRange } from '../units'
import { solveLinear } from './linear'

/** A diameter of a burnt circle, as calipers read it. */
export interface CircleReading {
  /** As commanded, mm. */
  readonly diameter: number
  readonly clockwise: boolean
  /** From X to Y; 0, 45°, 90° or 135°. */
  readonly angleRad: number
  /** Between the inner edges of the line, or over its outside. */
  readonly inside: boolean
  readonly measured: number
}

/** What diameters say of a machine. */
export interface CircleFit {
  /** Millimetres moved for one commanded. */
  readonly scaleX: number
  readonly scaleY: number
  /** By how much the angle at the origin is smaller than a right one, rad. */
  readonly skewRad: number
  readonly playX: number
  readonly playY: number
  /** Width of the line, mm. */
  readonly width: number
  /** Read less fitted, mm, in the order of the readings. */
  readonly residuals: readonly number[]
  readonly dof: number
}

const UNKNOWNS = 6
const ROUNDS = 12
/** A step smaller than this, mm or a share, changes nothing that could be read. */
const SETTLED = 1e-10

type Six = readonly [scaleX: number, scaleY: number, skewRad: number, playX: number, playY: number, width: number]

/**
 * The diameter that a machine burns. Its axes turn a circle into an ellipse, whose width along u is D·|Aᵀu|; each axis lags
 * by half of its play on either side of a turn, which is one play less across the turns and ± (px − py)/√2 on the diagonals,
 * by the way round; the line adds its width outside and takes it inside.
 * @returns mm. Valid: play small beside the circle. Source: width of the image of a circle under a linear map; geometry.
 * @example circleWidth({ diameter: 80, clockwise: false, angleRad: 0, inside: false }, [1.01, 1, 0, 0.1, 0, 0.2]) // 80.9
 */
export function circleWidth(of: Omit<CircleReading, 'measured'>, [sx, sy, skew, px, py, w]: Six): number {
  const [c, s] = [Math.cos(of.angleRad), Math.sin(of.angleRad)]
  const width = of.diameter * Math.hypot(sx * c, sy * (Math.sin(skew) * c + Math.cos(skew) * s))
  return width + leanWhileHeld(of, [sx, skew, px]) + playShare(of, 'x') * px + playShare(of, 'y') * py + (of.inside ? -w : w)
}

/**
 * Along X the play holds the head at each turn while the leaning Y axis goes on, for √(px·D) at most: with the lean, the
 * circle grows by that on both sides.
 */
function leanWhileHeld(
  { angleRad, clockwise, diameter }: Omit<CircleReading, 'measured'>,
  [sx, skew, px]: readonly [number, number, number],
): number {
  const leans = (clockwise ? -1 : 1) * skew > 0
  if (Math.abs(Math.sin(angleRad)) > 1e-9 || !leans || !(px > 0)) return 0
  const still = diameter * (Math.hypot(sx, Math.sin(skew)) - sx)
  return Math.max(0, 2 * Math.sin(Math.abs(skew)) * Math.sqrt(px * diameter) - still)
}

/** By how many plays of an axis a diameter is longer. */
function playShare({ angleRad, clockwise }: Omit<CircleReading, 'measured'>, axis: 'x' | 'y'): number {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  if (Math.abs(s) < 1e-9) return axis === 'x' ? -1 : 0
  if (Math.abs(c) < 1e-9) return axis === 'y' ? -1 : 0
  const way = (clockwise ? -1 : 1) * Math.sign(c * s)
  return way * (axis === 'x' ? Math.abs(c) : -Math.abs(s))
}

/**
 * Scales, squareness, plays and line width from diameters, by least squares.
 * @param readings Six or more, of two sizes, both ways round, outside and inside. @returns Null where they do not settle
 * all six.
 * @throws {RangeError} naming the value and its range.
 * Valid: scales within a tenth of 1. Source: Gauss–Newton on `circleWidth`, normal equations.
 */
export function fitCircles(readings: readonly CircleReading[]): CircleFit | null {
  for (const { diameter } of readings) requireInRange('diameter', diameter, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  if (readings.length < UNKNOWNS) return null
  let at: Six = [1, 1, 0, 0, 0, 0.1]
  for (let round = 0; round < ROUNDS; round++) {
    const rows = readings.map((it) => gradient(it, at))
    const off = readings.map((it) => it.measured - circleWidth(it, at))
    const normal = at.map((_, i) => at.map((__, j) => rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0)))
    const right = at.map((_, i) => rows.reduce((sum, row, k) => sum + (row[i] ?? 0) * (off[k] ?? 0), 0))
    const step = solveLinear(normal, right)
    if (step === null) return null
    at = at.map((it, i) => it + (step[i] ?? 0)) as unknown as Six
    if (step.every((it) => Math.abs(it) < SETTLED)) break
  }
  const [scaleX, scaleY, skewRad, playX, playY, width] = at
  const residuals = readings.map((it) => it.measured - circleWidth(it, at))
  return { scaleX, scaleY, skewRad, playX, playY, width, residuals, dof: readings.length - UNKNOWNS }
}

/** How a diameter moves with each unknown; steps wide enough that the root in `leanWhileHeld` does no harm. */
function gradient(of: CircleReading, at: Six): readonly number[] {
  const h = 1e-3
  const moved = (i: number, by: number): Six => at.map((it, j) => (i === j ? it + by : it)) as unknown as Six
  return at.map((_, i) => (circleWidth(of, moved(i, h)) - circleWidth(of, moved(i, -h))) / (2 * h))
}
