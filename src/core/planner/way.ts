import type { Drawing } from './survey'

/** A stretch of the way of the head, mm: points in order, and whether the beam is on along it. */
export interface Stretch {
  readonly x: readonly number[]
  readonly y: readonly number[]
  readonly lit: boolean
}

/** Points of one line that are handed out: more cannot be told apart on a drawing. */
const MOST_POINTS = 2000

/**
 * The way that one line of a program makes, from where the line before left the head.
 * @param line From 1. @returns null for a line that does not move the head.
 * Valid: a drawing in the order of the program's lines.
 */
export function wayOfLine(drawing: Drawing, line: number): Stretch | null {
  return wayOfLines(drawing, line, line)
}

/**
 * The way that some lines make, from where the one before left the head; of lines that are carried out several times, the first.
 * @param from From 1. @param to As much or more. @returns null where none of them moves the head. Valid: any drawing of a program. Source: by definition.
 */
export function wayOfLines(drawing: Drawing, from: number, to: number): Stretch | null {
  const isAmong = (i: number): boolean => (drawing.line[i] as number) >= from && (drawing.line[i] as number) <= to
  const first = drawing.isInOrder ? lowerBound(drawing.line, from) : drawing.line.findIndex((_, i) => i > 0 && isAmong(i))
  let end = Math.max(0, first)
  while (end < drawing.line.length && isAmong(end)) end++
  if (first === end || first <= 0) return null
  const step = Math.ceil((end - first) / MOST_POINTS)
  const points: number[] = [first - 1]
  for (let i = first; i < end - 1; i += step) points.push(i)
  points.push(end - 1)
  const along = (of: Float32Array): number[] => points.map((i) => of[i] as number)
  return { x: along(drawing.x), y: along(drawing.y), lit: drawing.lit[end - 1] === 1 }
}

/** The first place in a rising row that is not below a value. */
function lowerBound(row: Uint32Array, value: number): number {
  let [from, to] = [0, row.length]
  while (from < to) {
    const middle = (from + to) >>> 1
    if ((row[middle] as number) < value) from = middle + 1
    else to = middle
  }
  return from
}

/**
 * The line of a program whose way passes nearest to a place; burning ways go before dark ones that are as near.
 * @param x mm. @param y mm. @param within How near it must pass, mm; more than 0. @returns null where none does.
 * Valid: any drawing. Source: distance from a point to a segment.
 * @example lineNear({ x: new Float32Array([0, 9]), y: new Float32Array(2), lit: new Uint8Array(2), line: new Uint32Array([0, 3]), end: new Uint32Array([1]), isInOrder: true }, 5, 1, 2) // 3
 */
export function lineNear(drawing: Drawing, x: number, y: number, within: number): number | null {
  let best = within * within
  let found: number | null = null
  let foundLit = 0
  for (let i = 1; i < drawing.x.length; i++) {
    const d = squaredDistance(drawing, i, x, y)
    const lit = drawing.lit[i] as number
    if (d > within * within || (found !== null && (lit < foundLit || (lit === foundLit && d >= best)))) continue
    best = d
    found = drawing.line[i] as number
    foundLit = lit
  }
  return found
}

/** From a place to the segment that ends in a point, mm². */
function squaredDistance({ x: xs, y: ys }: Drawing, i: number, x: number, y: number): number {
  const [x0, y0, x1, y1] = [xs[i - 1] as number, ys[i - 1] as number, xs[i] as number, ys[i] as number]
  const [dx, dy] = [x1 - x0, y1 - y0]
  const square = dx * dx + dy * dy
  const share = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / square))
  const [px, py] = [x0 + share * dx - x, y0 + share * dy - y]
  return px * px + py * py
}
