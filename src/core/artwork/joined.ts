import { requireInRange } from '../units'
import type { Outline, Point, Segment } from './geometry'

/** The same outline, gone the other way. Valid: any. Source: by definition. */
export function reversed({ start, segments, isClosed }: Outline): Outline {
  const ends = [start, ...segments.map((it) => it.to)]
  const back = segments.map((it, i): Segment => {
    const to = ends[i] as Point
    if (it.kind === 'line') return { kind: 'line', to }
    if (it.kind === 'cubic') return { kind: 'cubic', first: it.second, second: it.first, to }
    return { ...it, start: it.start + it.sweep, sweep: -it.sweep, to }
  })
  return { start: ends.at(-1) as Point, segments: back.reverse(), isClosed }
}

/** Where an outline ends. Valid: any. Source: by definition. */
export function endOf({ start, segments }: Outline): Point {
  return segments.at(-1)?.to ?? start
}

/**
 * Joins open outlines whose ends meet; drawing tools often give a contour as single lines and arcs. Closed ones stay as they are.
 * @param within Ends no further apart than this are one place, mm; more than 0.
 * @returns As many as are left, in the order of the first of each. @throws {RangeError} where the distance is not more than 0.
 * Valid: any outlines; where more than two ends meet, the nearest are joined. Source: by definition.
 */
export function joined(outlines: readonly Outline[], within: number): readonly Outline[] {
  requireInRange('within', within, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const ends = new Ends(outlines, within)
  const all: Outline[] = []
  outlines.forEach((it, i) => {
    if (it.isClosed) return void all.push(it)
    if (!ends.take(i)) return
    let chain = grown(it, ends)
    if (!chain.isClosed) chain = reversed(grown(reversed(chain), ends))
    all.push(chain)
  })
  return all
}

/** An outline with all that goes on from its end. */
function grown(first: Outline, ends: Ends): Outline {
  const segments = [...first.segments]
  let at = endOf(first)
  for (;;) {
    if (ends.meet(at, first.start) && segments.length > 1) return { start: first.start, segments, isClosed: true }
    const next = ends.nextFrom(at)
    if (next === null) return { start: first.start, segments, isClosed: false }
    for (const it of next.segments) segments.push(it)
    at = endOf(next)
  }
}

/** The ends of open outlines, found by place. */
class Ends {
  private readonly cells = new Map<string, number[]>()
  private readonly used: boolean[]

  constructor(
    private readonly outlines: readonly Outline[],
    private readonly within: number,
  ) {
    this.used = outlines.map((it) => it.isClosed)
    outlines.forEach((it, i) => {
      if (it.isClosed) return
      this.put(it.start, 2 * i)
      this.put(endOf(it), 2 * i + 1)
    })
  }

  meet(p: Point, q: Point): boolean {
    return Math.hypot(p.x - q.x, p.y - q.y) <= this.within
  }

  /** Takes one out; false where it was taken before. */
  take(i: number): boolean {
    if (this.used[i] === true) return false
    this.used[i] = true
    return true
  }

  /** The outline that goes on from a place, turned so that it begins there; it is taken. */
  nextFrom(at: Point): Outline | null {
    let best: { end: number; apart: number } | null = null
    const [column, row] = [Math.floor(at.x / this.within), Math.floor(at.y / this.within)]
    for (let i = column - 1; i <= column + 1; i++) {
      for (let j = row - 1; j <= row + 1; j++) {
        for (const end of this.cells.get(`${i} ${j}`) ?? []) {
          if (this.used[end >> 1] === true) continue
          const place = this.placeOf(end)
          const apart = Math.hypot(place.x - at.x, place.y - at.y)
          if (apart <= this.within && (best === null || apart < best.apart)) best = { end, apart }
        }
      }
    }
    if (best === null) return null
    this.used[best.end >> 1] = true
    const found = this.outlines[best.end >> 1] as Outline
    return best.end % 2 === 0 ? found : reversed(found)
  }

  private placeOf(end: number): Point {
    const outline = this.outlines[end >> 1] as Outline
    return end % 2 === 0 ? outline.start : endOf(outline)
  }

  private put(at: Point, end: number): void {
    const key = `${Math.floor(at.x / this.within)} ${Math.floor(at.y / this.within)}`
    const there = this.cells.get(key)
    if (there === undefined) this.cells.set(key, [end])
    else there.push(end)
  }
}
