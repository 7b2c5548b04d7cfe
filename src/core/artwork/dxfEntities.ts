import { mappedOutline, type Affine } from './affine'
import { bulged } from './bulge'
import { isNumbers } from './drawing'
import { groupNumber, groupNumbers, groupText, type Entity, type Group } from './dxfGroups'
import type { Outline, Point, Segment } from './geometry'
import { flattenedSpline, isSpline, type Spline } from './spline'

/** Splines are taken as lines that keep this near to them, in the unit of the drawing divided by its size. */
const SPLINE_SHARE = 2e-6
const DEGREE = Math.PI / 180

/** An outline that a thing of the drawing stands for; null where its numbers make none; a word where it lies tilted in space. */
export type Read = readonly Outline[] | null | 'tilted'

/**
 * The outlines of one thing of a drawing file, in its units. @param vertices Of an old polyline, which follow it in the file.
 * @returns Undefined for a kind of thing that is not read here. @throws never: what a spline is flattened by is more than 0.
 * Valid: LINE, ARC, CIRCLE, ELLIPSE, LWPOLYLINE, POLYLINE, SPLINE, SOLID, TRACE. Source: DXF reference, ENTITIES (from memory).
 */
export function outlinesOfEntity(entity: Entity, vertices: readonly Entity[]): Read | undefined {
  switch (entity.type) {
    case 'LINE':
      return finite(straight(place(entity, 10), place(entity, 11)))
    case 'CIRCLE':
      return inPlane(entity, () => arcOf(entity, 0, 360))
    case 'ARC':
      return inPlane(entity, () => arcOf(entity, groupNumber(entity, 50), groupNumber(entity, 51)))
    case 'ELLIPSE':
      return planeOf(entity) === 'tilted' ? 'tilted' : finite(ellipseOf(entity))
    case 'LWPOLYLINE':
      return inPlane(entity, () => polylineOf(corners(entity.groups), isClosedBy(entity)))
    case 'POLYLINE':
      return oldPolyline(entity, vertices)
    case 'SPLINE':
      return splineOf(entity)
    case 'SOLID':
    case 'TRACE':
      return inPlane(entity, () => solidOf(entity))
    default:
      return undefined
  }
}

/** Half a turn about Y: what the drawing's own axes do where its normal points down (arbitrary axis algorithm). */
const FLIPPED: Affine = [-1, 0, 0, 1, 0, 0]

/**
 * How the plane of a thing lies. @returns Null as drawn, a map where it is seen from below, a word where it is tilted.
 * Valid: any thing. Source: DXF reference, arbitrary axis algorithm (from memory).
 */
export function planeOf(entity: Entity): Affine | null | 'tilted' {
  const [x, y, z] = [groupNumber(entity, 210, 0), groupNumber(entity, 220, 0), groupNumber(entity, 230, 1)]
  const length = Math.hypot(x, y, z)
  if (!(length > 0) || Math.hypot(x, y) > 1e-6 * length) return 'tilted'
  return z > 0 ? null : FLIPPED
}

function inPlane(entity: Entity, make: () => Outline | null): Read {
  const plane = planeOf(entity)
  if (plane === 'tilted') return plane
  const made = make()
  return finite(made === null || plane === null ? made : mappedOutline(plane, made))
}

function finite(outline: Outline | null): readonly Outline[] | null {
  return outline !== null && isNumbers(outline) ? [outline] : null
}

function place(entity: Entity, code: number): Point {
  return { x: groupNumber(entity, code), y: groupNumber(entity, code + 10) }
}

function straight(start: Point, to: Point): Outline {
  return { start, segments: [{ kind: 'line', to }], isClosed: false }
}

/** Against the clock from one angle to the other, degrees. */
function arcOf(entity: Entity, from: number, to: number): Outline | null {
  const [centre, radius] = [place(entity, 10), groupNumber(entity, 40)]
  if (!(radius > 0)) return null
  const turn = (((to - from) % 360) + 360) % 360 || 360
  return ellipticArc(centre, { x: radius, y: 0 }, { x: 0, y: radius }, from * DEGREE, turn * DEGREE)
}

function ellipticArc(centre: Point, u: Point, v: Point, start: number, sweep: number): Outline {
  const at = (t: number): Point => ({
    x: centre.x + u.x * Math.cos(t) + v.x * Math.sin(t),
    y: centre.y + u.y * Math.cos(t) + v.y * Math.sin(t),
  })
  const isClosed = Math.abs(Math.abs(sweep) - 2 * Math.PI) < 1e-9
  const from = at(start)
  return {
    start: from,
    segments: [{ kind: 'arc', centre, u, v, start, sweep, to: isClosed ? from : at(start + sweep) }],
    isClosed,
  }
}

function ellipseOf(entity: Entity): Outline | null {
  const [centre, u, ratio] = [place(entity, 10), place(entity, 11), groupNumber(entity, 40)]
  const [from, to] = [groupNumber(entity, 41, 0), groupNumber(entity, 42, 2 * Math.PI)]
  if (!(Math.hypot(u.x, u.y) > 0 && ratio > 0)) return null
  const side = planeOf(entity) === null ? 1 : -1
  const full = 2 * Math.PI
  const sweep = (((to - from) % full) + full) % full || full
  return ellipticArc(centre, u, { x: -u.y * ratio * side, y: u.x * ratio * side }, from, sweep)
}

interface Corner extends Point {
  readonly bulge: number
}

/** Corners of a polyline: each begins with its x. */
function corners(groups: readonly Group[]): readonly Corner[] {
  const found: { x: number; y: number; bulge: number }[] = []
  for (const { code, value } of groups) {
    const last = found.at(-1)
    if (code === 10) found.push({ x: Number(value), y: Number.NaN, bulge: 0 })
    else if (code === 20 && last !== undefined) last.y = Number(value)
    else if (code === 42 && last !== undefined) last.bulge = Number(value)
  }
  return found
}

function isClosedBy(entity: Entity): boolean {
  return (groupNumber(entity, 70, 0) & 1) === 1
}

function polylineOf(places: readonly Corner[], isClosed: boolean): Outline | null {
  const [start] = places
  if (start === undefined || places.length < 2) return null
  const ends = isClosed ? [...places.slice(1), start] : places.slice(1)
  const segments = ends.map((to, i): Segment => bulged(places[i] as Corner, to, (places[i] as Corner).bulge))
  return { start: pointOf(start), segments: segments.map((it) => ({ ...it, to: pointOf(it.to) })), isClosed }
}

function pointOf({ x, y }: Point): Point {
  return { x, y }
}

/** Meshes are no outlines; control places of a fitted curve are none of its own. */
const MESH = 16 | 64
const CONTROL = 16

function oldPolyline(entity: Entity, vertices: readonly Entity[]): Read {
  if ((groupNumber(entity, 70, 0) & MESH) !== 0) return null
  const own = vertices.filter((it) => (groupNumber(it, 70, 0) & CONTROL) === 0)
  const places = own.map((it): Corner => ({ ...place(it, 10), bulge: groupNumber(it, 42, 0) }))
  return inPlane(entity, () => polylineOf(places, isClosedBy(entity)))
}

/** Corners of a filled piece: the third and fourth stand crosswise. */
function solidOf(entity: Entity): Outline | null {
  const [a, b, c] = [place(entity, 10), place(entity, 11), place(entity, 12)]
  const d = { x: groupNumber(entity, 13, c.x), y: groupNumber(entity, 23, c.y) }
  const ends = d.x === c.x && d.y === c.y ? [b, c, a] : [b, d, c, a]
  return { start: a, segments: ends.map((to): Segment => ({ kind: 'line', to })), isClosed: true }
}

/** Splines of degree up to three without weights are curves of the third degree; others are taken as short lines. */
function splineOf(entity: Entity): Read {
  const degree = groupNumber(entity, 71, 3)
  const controls = pairs(groupNumbers(entity, 10), groupNumbers(entity, 20))
  const weights = groupNumbers(entity, 41)
  const spline: Spline = {
    degree,
    controls,
    knots: groupNumbers(entity, 40),
    ...(weights.length > 0 ? { weights } : {}),
  }
  if (!isSpline(spline)) return through(pairs(groupNumbers(entity, 11), groupNumbers(entity, 21)), isClosedBy(entity))
  const size = Math.max(
    ...controls.map(({ x, y }) => Math.max(Math.abs(x - (controls[0] as Point).x), Math.abs(y - (controls[0] as Point).y))),
  )
  if (!(size < 1e9)) return null
  const places = flattenedSpline(spline, Math.max(size * SPLINE_SHARE, 1e-9))
  const [start, end] = [places[0] as Point, places.at(-1) as Point]
  const meets = Math.hypot(start.x - end.x, start.y - end.y) <= 1e-6 * size
  return finite({ start, segments: places.slice(1).map((to): Segment => ({ kind: 'line', to })), isClosed: meets })
}

function pairs(xs: readonly number[], ys: readonly number[]): readonly Point[] {
  return xs.length === ys.length ? xs.map((x, i) => ({ x, y: ys[i] as number })) : []
}

/**
 * A curve through places, where a file gives nothing else: each piece a cubic whose ends run along the neighbours.
 * Source: Catmull and Rom 1974 (from memory); the file's own tool may have drawn another.
 */
function through(places: readonly Point[], isClosed: boolean): Read {
  const count = places.length
  if (count < 2) return null
  const at = (i: number): Point => places[isClosed ? ((i % count) + count) % count : Math.min(count - 1, Math.max(0, i))] as Point
  const last = isClosed ? count : count - 1
  const segments = Array.from({ length: last }, (_, i): Segment => {
    const [p, q, r, s] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    const first = { x: q.x + (r.x - p.x) / 6, y: q.y + (r.y - p.y) / 6 }
    const second = { x: r.x - (s.x - q.x) / 6, y: r.y - (s.y - q.y) / 6 }
    return { kind: 'cubic', first, second, to: r }
  })
  return finite({ start: at(0), segments, isClosed })
}

/** The layer of a thing. Source: DXF reference, group code 8. */
export function layerOf(entity: Entity): string {
  return groupText(entity, 8, '0')
}
