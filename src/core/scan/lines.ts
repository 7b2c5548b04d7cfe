import type { Point } from '../artwork'

/** A scan line: pieces that are burnt, from the left; columns, for a picture has millions of them. */
export interface ScanLine {
  /** Where it lies across the scan, mm. */
  readonly v: number
  /** Where each piece begins and ends along the scan, mm, and its share of full power. */
  readonly from: ArrayLike<number>
  readonly to: ArrayLike<number>
  readonly power: ArrayLike<number>
}

/** Scan lines of one thing in a frame of their own: u along them, v across, turned against the machine. */
export interface Scan {
  readonly angleRad: number
  /** Between two lines, mm. */
  readonly pitch: number
  readonly lines: readonly ScanLine[]
}

/** A place of the scan's frame on the machine. Valid: any. Source: a turn about the origin. */
export function fromFrame(u: number, v: number, angleRad: number): Point {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  return { x: u * c - v * s, y: u * s + v * c }
}

/** A place of the machine in the scan's frame: x is u, y is v. Valid: any. Source: a turn about the origin. */
export function toFrame({ x, y }: Point, angleRad: number): Point {
  return fromFrame(x, y, -angleRad)
}

/**
 * Length that a scan burns, mm. Valid: any scan. Source: by definition.
 * @example burntLength({ angleRad: 0, pitch: 1, lines: [{ v: 0, from: [0, 5], to: [2, 6], power: [1, 1] }] }) // 3
 */
export function burntLength({ lines }: Scan): number {
  let sum = 0
  for (const { from, to } of lines) for (let k = 0; k < from.length; k++) sum += (to[k] as number) - (from[k] as number)
  return sum
}
