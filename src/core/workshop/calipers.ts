import { readingNoise, type Hidden } from './hidden'
import type { Random } from './random'

/** A line as it was really burnt, mm. */
export interface Mark {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
  readonly width: number
  /** How dark it is, 0…1. */
  readonly tone: number
}

/** What is read between: the same edge of both, the outside of both, or the crossings of two pairs of lines. */
export interface Reading {
  readonly from: readonly number[]
  readonly to: readonly number[]
  readonly over: boolean
}

export interface Calipers {
  /** Reach, mm. */
  readonly max: number
  /** Smallest division, mm. */
  readonly resolution: number
}

/** A reading, or why there is none. */
export type ReadOut = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly why: string }

/** Reads between burnt lines as calipers would: with their own scale, noise, range and resolution. */
export function readCalipers(
  marks: readonly (Mark | null)[],
  { from, to, over }: Reading,
  { max, resolution }: Calipers,
  hidden: Hidden['calipers'],
  random: Random,
): ReadOut {
  const [first, second] = [from.map((it) => marks[it] ?? null), to.map((it) => marks[it] ?? null)]
  if ([...first, ...second].includes(null)) {
    return { ok: false, why: 'One of the two marks cannot be seen. Burn the run again with more power.' }
  }
  const [a, b] = [first as Mark[], second as Mark[]]
  const [p, q] = [a[0], b[0]]
  if (p === undefined || q === undefined) return { ok: false, why: 'There is no mark to read from.' }
  const true_ = a.length === 1 ? acrossLines(p, q) + (over ? (p.width + q.width) / 2 : 0) : betweenCrossings(a, b)
  const shown = Math.round((true_ / (1 + hidden.scale) + readingNoise(random, hidden)) / resolution) * resolution
  if (shown > max) return { ok: false, why: `The calipers open to ${max} mm only; this is more.` }
  return { ok: true, value: Number(shown.toFixed(6)) }
}

/** Distance of the second line's middle from the first line, at a right angle to it. */
function acrossLines(p: Mark, q: Mark): number {
  const [dx, dy] = [p.x1 - p.x0, p.y1 - p.y0]
  const [mx, my] = [(q.x0 + q.x1) / 2 - p.x0, (q.y0 + q.y1) / 2 - p.y0]
  return Math.abs(dx * my - dy * mx) / Math.hypot(dx, dy)
}

function betweenCrossings(a: readonly Mark[], b: readonly Mark[]): number {
  const [p, q] = [crossing(a), crossing(b)]
  return Math.hypot(q.x - p.x, q.y - p.y)
}

/** Where two lines meet, drawn out if need be. */
function crossing([p, q]: readonly Mark[]): { x: number; y: number } {
  if (p === undefined || q === undefined) return { x: Number.NaN, y: Number.NaN }
  const [ax, ay, bx, by] = [p.x1 - p.x0, p.y1 - p.y0, q.x1 - q.x0, q.y1 - q.y0]
  const t = ((q.x0 - p.x0) * by - (q.y0 - p.y0) * bx) / (ax * by - ay * bx)
  return { x: p.x0 + t * ax, y: p.y0 + t * ay }
}
