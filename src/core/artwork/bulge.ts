import type { Point, Segment } from './geometry'

/**
 * A piece of a polyline with a bulge: the tangent of a quarter of its angle, more than 0 against the clock.
 * Valid: any bulge; none is a line. Source: half angle formulas; the drawing format's own definition of bulge (from memory).
 */
export function bulged(from: Point, to: Point, bulge: number): Segment {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const chord = Math.hypot(dx, dy)
  if (Math.abs(bulge) < 1e-9 || chord === 0) return { kind: 'line', to }
  const sweep = 4 * Math.atan(bulge)
  // From the middle of the chord to the centre, to the left of the way.
  const off = (chord * (1 - bulge * bulge)) / (4 * bulge)
  const centre = { x: (from.x + to.x) / 2 - (dy / chord) * off, y: (from.y + to.y) / 2 + (dx / chord) * off }
  const radius = Math.hypot(from.x - centre.x, from.y - centre.y)
  const start = Math.atan2(from.y - centre.y, from.x - centre.x)
  return { kind: 'arc', to, centre, u: { x: radius, y: 0 }, v: { x: 0, y: radius }, start, sweep }
}
