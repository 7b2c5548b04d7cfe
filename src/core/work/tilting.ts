import { areaOf, type Point } from '../artwork'
import { requireInRange } from '../units'
import type { Bars } from './bars'
import { hullOf } from './bounds'
import type { Contour } from './contours'
import { apartFrom, forestOf, holds, type Ring } from './rings'

/** A piece that a cut frees: its outline, and the holes that are cut out of it; mm. */
export interface Freed {
  readonly outline: Ring
  readonly holes: readonly Ring[]
  /** Whether it is kept; what falls out of a hole is not. */
  readonly isPart: boolean
}

/** A freed piece that does not stay as it lies: where its middle is, mm. */
export interface Unsteady {
  readonly x: number
  readonly y: number
  /** It goes down between the bars whole, or tips up over one. */
  readonly how: 'falls' | 'tilts'
}

/** A middle that lies no further than this within its support, mm, is not steady: the burn itself moves it. */
const WITHIN = 0.5
/** Less than this on a bar holds nothing, mm². */
const HOLDS = 0.5

/** Pieces that cuts free: closed ones without tabs. Valid: contours of one job. Source: by definition; containment is a forest. */
export function freedBy(contours: readonly Contour[]): readonly Freed[] {
  const cuts = contours.filter((it) => it.task.does === 'cut' && it.isClosed)
  const { parents, depths } = forestOf(cuts.map((it) => it.drawn))
  return cuts.flatMap((it, i): Freed[] => {
    const holes = cuts.filter((_, k) => parents[k] === i).map((that) => that.drawn)
    return it.task.tabs > 0 ? [] : [{ outline: it.drawn, holes, isPart: (depths[i] as number) % 2 === 0 }]
  })
}

/**
 * Freed pieces that bars do not hold level: a piece lies steady where its centre of gravity is over the outline around what lies on bars.
 * What falls out of a hole whole is no harm and left out. @param bars mm, as the pieces. @throws {RangeError} where the step of the bars is
 * not more than 0. Valid: flat sheets of even thickness. Source: statics; areas by the shoelace formula; cut to bars after Sutherland and
 * Hodgman 1974 (from memory).
 */
export function unsteadyOn(bars: Bars, freed: readonly Freed[]): readonly Unsteady[] {
  requireInRange('step', bars.step, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return freed.flatMap(({ outline, holes, isPart }): Unsteady[] => {
    const middle = centreOf(outline, holes)
    const lying = barsUnder(bars, outline).flatMap((strip) => {
      const on = clipped(outline, bars.along, strip)
      const area = Math.abs(areaOf(on)) - holes.reduce((sum, it) => sum + Math.abs(areaOf(clipped(it, bars.along, strip))), 0)
      return area > HOLDS ? on : []
    })
    if (lying.length === 0) return isPart ? [{ ...middle, how: 'falls' }] : []
    const hull = hullOf(lying)
    const ring = [...hull, hull[0] as Point]
    const isSteady =
      hull.length > 2 &&
      holds(ring, middle) &&
      ring.every((q, k) => k === 0 || apartFrom(middle, ring[k - 1] as Point, q) > WITHIN)
    return isSteady ? [] : [{ ...middle, how: 'tilts' }]
  })
}

type Strip = readonly [low: number, high: number]

/** Edges of the bars that lie under a ring. */
function barsUnder({ along, first, step, width }: Bars, ring: Ring): readonly Strip[] {
  const across = ring.map((it) => (along === 'x' ? it.y : it.x))
  const [low, high] = [Math.min(...across), Math.max(...across)]
  const from = Math.max(0, Math.ceil((low - width / 2 - first) / step))
  const to = Math.floor((high + width / 2 - first) / step)
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, k): Strip => {
    const at = first + (from + k) * step
    return [at - width / 2, at + width / 2]
  })
}

/** What of a ring lies between two lines along X or Y. */
function clipped(ring: Ring, along: Bars['along'], [low, high]: Strip): Ring {
  const across = along === 'x' ? (p: Point): number => p.y : (p: Point): number => p.x
  return half(
    half(ring, (p) => across(p) - low),
    (p) => high - across(p),
  )
}

/** What of a ring lies where a measure is 0 or more. */
function half(ring: Ring, measure: (p: Point) => number): Ring {
  const kept = ring.slice(1).flatMap((q, i): Point[] => {
    const p = ring[i] as Point
    const [a, b] = [measure(p), measure(q)]
    const crossing = a < 0 !== b < 0 ? [{ x: p.x + ((q.x - p.x) * a) / (a - b), y: p.y + ((q.y - p.y) * a) / (a - b) }] : []
    return b < 0 ? crossing : [...crossing, q]
  })
  return kept.length === 0 ? [] : [kept.at(-1) as Point, ...kept]
}

/** Centre of gravity of a ring with holes. */
function centreOf(outline: Ring, holes: readonly Ring[]): Point {
  const all = [momentsOf(outline), ...holes.map((it) => momentsOf(it)).map((it) => ({ area: -it.area, x: -it.x, y: -it.y }))]
  const area = all.reduce((sum, it) => sum + it.area, 0)
  return area === 0
    ? (outline[0] ?? { x: 0, y: 0 })
    : { x: all.reduce((sum, it) => sum + it.x, 0) / area, y: all.reduce((sum, it) => sum + it.y, 0) / area }
}

/** Area of a ring, and its first moments, whatever its sense. */
function momentsOf(ring: Ring): { readonly area: number; readonly x: number; readonly y: number } {
  let [area, x, y] = [0, 0, 0]
  for (let i = 1; i < ring.length; i++) {
    const [p, q] = [ring[i - 1] as Point, ring[i] as Point]
    const cross = p.x * q.y - q.x * p.y
    area += cross / 2
    x += ((p.x + q.x) * cross) / 6
    y += ((p.y + q.y) * cross) / 6
  }
  return area < 0 ? { area: -area, x: -x, y: -y } : { area, x, y }
}
