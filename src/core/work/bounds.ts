import type { Point } from '../artwork'
import type { Step } from '../gcode'

/**
 * The outline that a thread around places would take, against the clock. @returns Fewer than three where they lie on one line.
 * Valid: any places. Source: monotone chain (Andrew 1979, from memory).
 */
export function hullOf(places: readonly Point[]): readonly Point[] {
  const sorted = [...places].sort((p, q) => p.x - q.x || p.y - q.y)
  const half = (them: readonly Point[]): readonly Point[] => {
    const chain: Point[] = []
    for (const it of them) {
      while (chain.length > 1 && turn(chain[chain.length - 2] as Point, chain[chain.length - 1] as Point, it) <= 0) chain.pop()
      chain.push(it)
    }
    return chain.slice(0, -1)
  }
  return [...half(sorted), ...half([...sorted].reverse())]
}

/** The box around places, corner by corner against the clock; none around none. Valid: any places. Source: by definition. */
export function boxAround(places: readonly Point[]): readonly Point[] {
  if (places.length === 0) return []
  const [xs, ys] = [places.map((it) => it.x), places.map((it) => it.y)]
  const [left, right, bottom, top] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ]
}

function turn(p: Point, q: Point, r: Point): number {
  return (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)
}

/**
 * Steps that walk around places, with the beam at a power or, at 0, dark, and back to where they began. Valid: two places or more.
 * Source: by definition.
 */
export function boundsSteps(hull: readonly Point[], power: number, feed: number): readonly Step[] {
  const [start, ...more] = hull
  if (start === undefined) return []
  const lines = [...more, start].map(({ x, y }): Step => ({ kind: 'line', x, y, feed, power }))
  return [{ kind: 'remark', text: 'Walk the bounds' }, { kind: 'rapid', x: start.x, y: start.y }, ...lines]
}
