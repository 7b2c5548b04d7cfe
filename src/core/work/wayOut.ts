import type { Point } from '../artwork'
import type { Step } from '../gcode'
import { fitArcs } from './arcFit'
import type { Contour } from './contours'
import type { Ring } from './rings'

/** A stretch of a ring, lit or not. */
interface Stretch {
  readonly places: readonly Point[]
  readonly isLit: boolean
}

/** How a contour is gone. */
export interface Going {
  /** It begins here: an index of its places. Open ones begin at their first, or turned at their last. */
  readonly begin: number
  readonly turned: boolean
  /** Where the lead begins; null without one. */
  readonly lead: Point | null
  /** How near arcs keep to the chords, mm. */
  readonly within: number
  readonly kerf: number
  /** Whether the head moves by program. */
  readonly hasZ: boolean
}

/**
 * The steps along a contour: a dark way there, its lead, its passes with tabs left out, lower with each pass.
 * @throws {RangeError} where the tolerance is not more than 0. Valid: any contour. Source: by definition.
 */
export function stepsAlong(contour: Contour, going: Going): readonly Step[] {
  const { setting, drop } = contour.task
  const places = begun(contour, going)
  const ways = contour.isClosed
    ? stretches(places, contour.task.tabs, contour.task.tabWidth + going.kerf)
    : [{ places, isLit: true }]
  const back = contour.isClosed ? ways : [{ places: [...places].reverse(), isLit: true }]
  const start = going.lead ?? (places[0] as Point)
  const steps: Step[] = []
  const height = (pass: number): number => setting.focus - pass * drop
  const lift = (at: Point, pass: number): Step =>
    going.hasZ ? { kind: 'rapid', ...xy(at), z: height(pass) } : { kind: 'rapid', ...xy(at) }
  steps.push(lift(start, 0))
  for (let pass = 0; pass < setting.passes; pass++) {
    const them = pass % 2 === 0 ? ways : back
    const first = them[0]?.places[0] as Point
    if (pass > 0 && going.hasZ && drop !== 0) steps.push(lift(first, pass))
    if (pass === 0 && going.lead !== null) steps.push({ kind: 'line', ...xy(first), feed: setting.speed, power: setting.power })
    for (const stretch of them) steps.push(...lit(stretch, contour, going.within))
  }
  return steps
}

/** What of a contour is burnt, as places: its lead, and what lies between its tabs. Valid: any contour. Source: by definition. */
export function litWays(contour: Contour, going: Going): readonly (readonly Point[])[] {
  const places = begun(contour, going)
  const { tabs, tabWidth } = contour.task
  const ways = contour.isClosed ? stretches(places, tabs, tabWidth + going.kerf) : [{ places, isLit: true }]
  const lead = going.lead === null ? [] : [[going.lead, places[0] as Point]]
  return [...lead, ...ways.filter((it) => it.isLit).map((it) => it.places)]
}

function xy({ x, y }: Point): Point {
  return { x, y }
}

function begun({ places, isClosed }: Contour, { begin, turned }: Going): Ring {
  if (!isClosed) return turned ? [...places].reverse() : places
  const open = places.slice(0, -1)
  const ring = [...open.slice(begin), ...open.slice(0, begin)]
  return [...ring, ring[0] as Point]
}

function lit({ places, isLit }: Stretch, { task }: Contour, within: number): readonly Step[] {
  const { speed: feed } = task.setting
  const power = isLit ? task.setting.power : 0
  return fitArcs(places, within).map((it): Step => {
    if (it.kind === 'line') return { kind: 'line', ...xy(it.to), feed, power }
    const { to, centre, clockwise } = it
    return { kind: 'arc', ...xy(to), centreX: centre.x, centreY: centre.y, clockwise, feed, power }
  })
}

/** A ring with so many gaps, evenly along it; the first half a space behind its beginning. */
function stretches(places: Ring, tabs: number, gap: number): readonly Stretch[] {
  if (tabs === 0) return [{ places, isLit: true }]
  const ends = [0]
  for (let i = 1; i < places.length; i++) {
    const [p, q] = [places[i - 1] as Point, places[i] as Point]
    ends.push((ends[i - 1] as number) + Math.hypot(q.x - p.x, q.y - p.y))
  }
  const whole = ends.at(-1) as number
  // Gaps that would meet leave nothing to cut: as many as leave half of it.
  const wide = Math.min(gap, whole / tabs / 2)
  const cuts = Array.from({ length: tabs }, (_, k) => (whole * (k + 0.5)) / tabs).flatMap((at) => [at - wide / 2, at + wide / 2])
  const bounds = [0, ...cuts, whole]
  return bounds.slice(1).map((to, k) => ({ places: between(places, ends, bounds[k] as number, to), isLit: k % 2 === 0 }))
}

function between(places: Ring, ends: readonly number[], from: number, to: number): readonly Point[] {
  const inner = places.filter((_, i) => (ends[i] as number) > from + 1e-9 && (ends[i] as number) < to - 1e-9)
  return [placeAt(places, ends, from), ...inner, placeAt(places, ends, to)]
}

function placeAt(places: Ring, ends: readonly number[], at: number): Point {
  const next = Math.max(
    1,
    ends.findIndex((it) => it >= at),
  )
  const [p, q] = [places[next - 1] as Point, places[next] as Point]
  const span = (ends[next] as number) - (ends[next - 1] as number)
  const t = span > 0 ? (at - (ends[next - 1] as number)) / span : 0
  return { x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t }
}
