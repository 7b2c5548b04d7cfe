import type { Outline, Point, Segment } from './geometry'

/** Numbers of a shape, resolved: what is not there is null. */
export type ShapeNumbers = Readonly<Record<string, number | null>>

/** A rectangle, its corners rounded where it has radii. @returns Null where it is empty. Valid: SVG 2, 10.2. Source: SVG 2, 10.2. */
export function rectangle({ x, y, width, height, rx, ry }: ShapeNumbers): Outline | null {
  const [left, top, w, h] = [x ?? 0, y ?? 0, width ?? 0, height ?? 0]
  if (!(w > 0 && h > 0)) return null
  const a = Math.min(rx ?? ry ?? 0, w / 2)
  const b = Math.min(ry ?? rx ?? 0, h / 2)
  const corner = (cx: number, cy: number, from: number, to: Point): Segment => ({
    kind: 'arc',
    centre: { x: cx, y: cy },
    u: { x: a, y: 0 },
    v: { x: 0, y: b },
    start: from,
    sweep: Math.PI / 2,
    to,
  })
  const line = (px: number, py: number): Segment => ({ kind: 'line', to: { x: px, y: py } })
  const [right, bottom] = [left + w, top + h]
  if (!(a > 0 && b > 0)) {
    return { start: { x: left, y: top }, segments: [line(right, top), line(right, bottom), line(left, bottom)], isClosed: true }
  }
  const quarter = Math.PI / 2
  return {
    start: { x: left + a, y: top },
    segments: [
      line(right - a, top),
      corner(right - a, top + b, -quarter, { x: right, y: top + b }),
      line(right, bottom - b),
      corner(right - a, bottom - b, 0, { x: right - a, y: bottom }),
      line(left + a, bottom),
      corner(left + a, bottom - b, quarter, { x: left, y: bottom - b }),
      line(left, top + b),
      corner(left + a, top + b, 2 * quarter, { x: left + a, y: top }),
    ],
    isClosed: true,
  }
}

/** An ellipse from its right end on, as y goes down with the clock. @returns Null where it is empty. Valid: SVG 2, 10.4. Source: SVG 2, 10.4. */
export function ellipse({ cx, cy, rx, ry }: ShapeNumbers): Outline | null {
  const [a, b] = [rx ?? ry ?? 0, ry ?? rx ?? 0]
  if (!(a > 0 && b > 0)) return null
  const centre = { x: cx ?? 0, y: cy ?? 0 }
  const start = { x: centre.x + a, y: centre.y }
  const whole: Segment = { kind: 'arc', centre, u: { x: a, y: 0 }, v: { x: 0, y: b }, start: 0, sweep: 2 * Math.PI, to: start }
  return { start, segments: [whole], isClosed: true }
}

/** Lines from place to place. @returns Null with fewer than two. Valid: any places. Source: SVG 2, 10.5 to 10.7. */
export function polyline(places: readonly Point[], isClosed: boolean): Outline | null {
  const [start, ...rest] = places
  if (start === undefined || rest.length === 0) return null
  return { start, segments: rest.map((to) => ({ kind: 'line', to })), isClosed }
}
