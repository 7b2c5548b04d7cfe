import type { Point } from '../artwork'
import { requireInRange } from '../units'
import { toFrame, type Scan, type ScanLine } from './lines'

/** More lines than this are no scan: something is out of all proportion. */
const MOST_LINES = 200_000

/**
 * Scan lines that fill an area, so many pitches apart, as even over it as they go.
 * @param rings Its outlines as places, each ending where it began (an open one is closed). @param rule Which of it is inside where outlines
 * cross: `evenodd` or `nonzero`. @param power Share of full power.
 * @throws {RangeError} where the pitch is not more than 0, or makes more lines than any scan has.
 * Valid: any outlines. Source: crossings of a line with the edges, half open in v; fill rules after SVG 2, 13.4.2.
 */
export function areaLines(
  rings: readonly (readonly Point[])[],
  rule: 'nonzero' | 'evenodd',
  pitch: number,
  angleRad: number,
  power: number,
): Scan {
  requireInRange('pitch', pitch, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const turned = rings.map((ring) => ring.map((it) => toFrame(it, angleRad)))
  let [bottom, top] = [Infinity, -Infinity]
  for (const ring of turned) {
    for (const { y } of ring) {
      bottom = Math.min(bottom, y)
      top = Math.max(top, y)
    }
  }
  const high = top - bottom
  if (!(high > 0)) return { angleRad, pitch, lines: [] }
  const count = Math.max(1, Math.round(high / pitch))
  if (count > MOST_LINES) throw new RangeError(`a scan of ${count} lines is beyond ${MOST_LINES}: take a coarser pitch`)
  const first = bottom + (high - (count - 1) * pitch) / 2
  const crossings = crossingsOf(turned, first, pitch, count)
  const lines = crossings.flatMap((them, k): ScanLine[] => {
    const runs = runsOf(them, rule)
    return runs.from.length === 0 ? [] : [{ v: first + k * pitch, ...runs, power: runs.from.map(() => power) }]
  })
  return { angleRad, pitch, lines }
}

interface Crossing {
  readonly u: number
  readonly up: 1 | -1
}

function crossingsOf(rings: readonly (readonly Point[])[], first: number, pitch: number, count: number): readonly Crossing[][] {
  const lines = Array.from({ length: count }, (): Crossing[] => [])
  for (const ring of rings) {
    for (let i = 0; i < ring.length; i++) {
      const [p, q] = [ring[i] as Point, ring[(i + 1) % ring.length] as Point]
      if (p.y === q.y) continue
      const [low, high] = p.y < q.y ? [p, q] : [q, p]
      const slope = (high.x - low.x) / (high.y - low.y)
      const end = firstFrom(high.y, first, pitch)
      for (let k = Math.max(0, firstFrom(low.y, first, pitch)); k < Math.min(count, end); k++)
        lines[k]?.push({ u: low.x + slope * (first + k * pitch - low.y), up: p.y < q.y ? 1 : -1 })
    }
  }
  return lines
}

/**
 * The first line that lies at a height or above it. A corner belongs to one of the two edges that meet there and to no other, so
 * the height itself decides, by the same sum that places the line: what a division rounds to is only where the search begins.
 */
function firstFrom(height: number, first: number, pitch: number): number {
  let k = Math.ceil((height - first) / pitch)
  while (first + (k - 1) * pitch >= height) k--
  while (first + k * pitch < height) k++
  return k
}

function runsOf(crossings: Crossing[], rule: 'nonzero' | 'evenodd') {
  crossings.sort((p, q) => p.u - q.u)
  const [from, to]: [number[], number[]] = [[], []]
  let winding = 0
  for (const { u, up } of crossings) {
    const before = isInside(winding, rule)
    winding += rule === 'evenodd' ? 1 : up
    const after = isInside(winding, rule)
    if (!before && after) {
      // What ends where the next begins is one piece.
      if (to.length > 0 && u - (to[to.length - 1] as number) < 1e-9) to.pop()
      else from.push(u)
    } else if (before && !after) to.push(u)
  }
  if (to.length < from.length) from.pop()
  const kept = from.map((_, k) => (to[k] as number) - (from[k] as number) > 1e-9)
  return { from: from.filter((_, k) => kept[k]), to: to.filter((_, k) => kept[k]) }
}

function isInside(winding: number, rule: 'nonzero' | 'evenodd'): boolean {
  return rule === 'evenodd' ? winding % 2 !== 0 : winding !== 0
}
