import type { Arc, Point } from './geometry'

/** An arc as path data has it: radii, turn of its axes in degrees, which of four. */
export interface PathArc {
  readonly rx: number
  readonly ry: number
  readonly degrees: number
  readonly isLarge: boolean
  readonly isSweep: boolean
}

/**
 * Centre and angles of an arc between two places. Radii that are too small are enlarged until they reach.
 * @returns Null where it is a straight line (a radius of none), or nothing (both ends one place).
 * Valid: any numbers. Source: SVG 2, appendix B.2.4 and B.2.5.
 */
export function arcBetween(from: Point, to: Point, { rx: rx0, ry: ry0, degrees, isLarge, isSweep }: PathArc): Arc | null {
  if ((from.x === to.x && from.y === to.y) || rx0 === 0 || ry0 === 0) return null
  const turn = ((degrees % 360) * Math.PI) / 180
  const [cosine, sine] = [Math.cos(turn), Math.sin(turn)]
  const [dx, dy] = [(from.x - to.x) / 2, (from.y - to.y) / 2]
  // Step 1: the middle of the ends as origin, the axes of the ellipse as axes (B.5.1).
  const [x, y] = [cosine * dx + sine * dy, -sine * dx + cosine * dy]
  const short = Math.sqrt((x / rx0) ** 2 + (y / ry0) ** 2)
  const grow = Math.max(1, short)
  const [rx, ry] = [Math.abs(rx0) * grow, Math.abs(ry0) * grow]
  // Step 2: the centre there (B.5.2).
  const under = (rx * rx * ry * ry - rx * rx * y * y - ry * ry * x * x) / (rx * rx * y * y + ry * ry * x * x)
  const root = (isLarge === isSweep ? -1 : 1) * Math.sqrt(Math.max(0, under))
  const [cx, cy] = [(root * rx * y) / ry, (-root * ry * x) / rx]
  // Step 3: back (B.5.3); step 4: its angles (B.5.4 to B.5.6).
  const centre = { x: cosine * cx - sine * cy + (from.x + to.x) / 2, y: sine * cx + cosine * cy + (from.y + to.y) / 2 }
  const start = Math.atan2((y - cy) / ry, (x - cx) / rx)
  const end = Math.atan2((-y - cy) / ry, (-x - cx) / rx)
  const swept = end - start
  const full = 2 * Math.PI
  const sweep = isSweep ? (swept < 0 ? swept + full : swept) : swept > 0 ? swept - full : swept
  return { centre, u: { x: rx * cosine, y: rx * sine }, v: { x: -ry * sine, y: ry * cosine }, start, sweep }
}
