import { readingNoise, type Hidden } from './hidden'
import type { Place } from './mechanics'
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
  /** Whether the pulses of the power signal stand apart in it. */
  readonly dotted?: boolean
  /** How wide it is cut at both faces, mm; nothing where it is not cut through. */
  readonly cut?: { readonly top: number; readonly bottom: number }
  /** Where the pointing aid lies beside it, mm, with the head over its middle. */
  readonly pointer?: Place
}

/**
 * What is read between: two lines (the same edge of both, or the outside), or the crossings of two pairs of lines; how far
 * an end of a line stands beyond another line, or beyond another end, with its sign; the width of a closed outline, or of one
 * line by a loupe; how far a row of lines can be seen; how the sheet lies.
 */
export type Reading =
  | { readonly from: readonly number[]; readonly to: readonly number[]; readonly over: boolean }
  | { readonly beyond: number; readonly end: LineEnd }
  | { readonly first: LineEnd; readonly last: LineEnd; readonly axis: 'x' | 'y' }
  | { readonly pointer: 'x' | 'y'; readonly beside: number }
  | { readonly stack: readonly [first: number, last: number] }
  | { readonly opening: readonly [first: number, last: number] }
  | { readonly cut: number; readonly face: 'top' | 'bottom' }
  | { readonly width: number }
  | { readonly seen: readonly [first: number, last: number] }
  | { readonly board: 'gap' | 'lift' | 'run' }
  | { readonly outline: readonly [first: number, last: number]; readonly angleRad: number; readonly inside: boolean }

/** Where a burnt line begins or ends. */
export interface LineEnd {
  readonly line: number
  readonly at: 'start' | 'end'
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
  reading: Reading,
  { max, resolution }: Calipers,
  hidden: Hidden['calipers'],
  random: Random,
): ReadOut {
  const there = trueLength(marks, reading)
  if (there === null && ('stack' in reading || 'opening' in reading || 'cut' in reading)) {
    return { ok: false, why: 'The pieces do not come out: not every line is cut through. Cut slower, or with more power.' }
  }
  if ('seen' in reading && there === 0) return { ok: true, value: 0 }
  if ('width' in reading) return readLoupe(there, random)
  if (there === null) return { ok: false, why: 'One of the two marks cannot be seen. Burn the run again with more power.' }
  const shown = Math.round((there / (1 + hidden.scale) + readingNoise(random, hidden)) / resolution) * resolution
  if (shown > max) return { ok: false, why: `The calipers open to ${max} mm only; this is more.` }
  return { ok: true, value: Number(shown.toFixed(6)) }
}

/** Standard deviation of one reading by the loupe, mm, and its divisions as they are shared by eye. */
export const LOUPE = { noise: 0.006, division: 0.005 } as const

/** Reads how the sheet lies with the calipers' depth rod. @param there mm; null where there is no such thing. */
export function readBoard(there: number | null, { resolution }: Calipers, hidden: Hidden['calipers'], random: Random): ReadOut {
  if (there === null) return { ok: false, why: 'No board lies on a block: burn the ramp first.' }
  const shown = Math.round((there / (1 + hidden.scale) + readingNoise(random, hidden)) / resolution) * resolution
  return { ok: true, value: Number(shown.toFixed(6)) }
}

function readLoupe(there: number | null, random: Random): ReadOut {
  if (there === null) return { ok: true, value: 0 }
  const shown = there + readingNoise(random, { scale: 0, noise: LOUPE.noise })
  return { ok: true, value: Number((Math.max(1, Math.round(shown / LOUPE.division)) * LOUPE.division).toFixed(6)) }
}

/** What perfect calipers would show, mm; null where a mark is missing. */
function trueLength(marks: readonly (Mark | null)[], reading: Reading): number | null {
  const mark = (i: number | undefined): Mark | null => (i === undefined ? null : (marks[i] ?? null))
  if ('beyond' in reading) {
    const [tick, line] = [mark(reading.beyond), mark(reading.end.line)]
    return tick === null || line === null ? null : beyondLine(tick, endOf(line, reading.end))
  }
  if ('first' in reading) {
    const [a, b] = [mark(reading.first.line), mark(reading.last.line)]
    return a === null || b === null ? null : endOf(b, reading.last)[reading.axis] - endOf(a, reading.first)[reading.axis]
  }
  if ('width' in reading) return mark(reading.width)?.width ?? null
  if ('board' in reading) return null
  if ('pointer' in reading)
    return mark(reading.beside) === null ? null : (mark(reading.beside)?.pointer?.[reading.pointer] ?? null)
  if ('cut' in reading) return mark(reading.cut)?.cut?.[reading.face] ?? null
  if ('stack' in reading) return combOf(marks, reading.stack, -1)
  if ('opening' in reading) return combOf(marks, reading.opening, 1)
  if ('seen' in reading) return seenOf(marks.slice(reading.seen[0], reading.seen[1] + 1))
  if ('outline' in reading) return widthOf(marks.slice(reading.outline[0], reading.outline[1] + 1), reading)
  const [a, b] = [reading.from.map(mark), reading.to.map(mark)]
  const [p, q] = [a[0] ?? null, b[0] ?? null]
  if (p === null || q === null || [...a, ...b].includes(null)) return null
  if (a.length > 1) return betweenCrossings(a as Mark[], b as Mark[])
  return acrossLines(p, q) + (reading.over ? (p.width + q.width) / 2 : 0)
}

function endOf({ x0, y0, x1, y1 }: Mark, { at }: LineEnd): { readonly x: number; readonly y: number } {
  return at === 'start' ? { x: x0, y: y0 } : { x: x1, y: y1 }
}

/** How far a place lies to the right of an upright line, or above a level one. */
function beyondLine({ x0, y0, x1, y1 }: Mark, { x, y }: { readonly x: number; readonly y: number }): number {
  const [dx, dy] = [x1 - x0, y1 - y0]
  const isUpright = Math.abs(dy) > Math.abs(dx)
  const across = (dy * (x - x0) - dx * (y - y0)) / Math.hypot(dx, dy)
  return across * Math.sign(isUpright ? dy : -dx)
}

/** Pieces between the lines of a comb pressed together (way −1), or the opening that they left (1); null where one is not cut. */
function combOf(marks: readonly (Mark | null)[], [first, last]: readonly [number, number], way: 1 | -1): number | null {
  const lines = marks.slice(first, last + 1)
  const kerfs = lines.flatMap((it) => (it?.cut == null ? [] : [it.cut.bottom]))
  const [a, b] = [lines[0], lines.at(-1)]
  if (a == null || b == null || kerfs.length < lines.length) return null
  const kerf = kerfs.reduce((sum, it) => sum + it, 0) / kerfs.length
  // A cut narrows downwards: jaws meet the pieces, and the opening, at the bottom face.
  return acrossLines(a, b) + (way === 1 ? kerf : -(kerfs.length - 1) * kerf)
}

/** How far a row of lines goes on without a gap, mm. */
function seenOf(row: readonly (Mark | null)[]): number {
  const gone = row.indexOf(null)
  const last = row[(gone < 0 ? row.length : gone) - 1]
  const first = row[0]
  return first == null || last == null ? 0 : Math.hypot(last.x1 - first.x0, last.y1 - first.y0)
}

/** Distance of two parallel jaws about an outline, or of its inner edges. */
function widthOf(marks: readonly (Mark | null)[], { angleRad, inside }: { readonly angleRad: number; readonly inside: boolean }) {
  if (marks.length === 0 || marks.includes(null)) return null
  const lines = marks as readonly Mark[]
  const along = (x: number, y: number): number => x * Math.cos(angleRad) + y * Math.sin(angleRad)
  const reach = lines.flatMap((it) => [along(it.x0, it.y0), along(it.x1, it.y1)])
  const width = lines.reduce((sum, it) => sum + it.width, 0) / lines.length
  return Math.max(...reach) - Math.min(...reach) + (inside ? -width : width)
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
