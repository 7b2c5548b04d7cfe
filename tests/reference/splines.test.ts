import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  bulged,
  flattened,
  flattenedSpline,
  isSpline,
  lengthOf,
  pointOnArc,
  pointOnCubic,
  pointOnSpline,
  type Spline,
} from '../../src/core/artwork'

const P = (x: number, y: number) => ({ x, y })

describe('splines', () => {
  it('of one piece with knots 0 and 1 are the cubic of the same places', () => {
    const [a, b, c, d] = [P(0, 0), P(1, 3), P(4, 3), P(5, -1)]
    const spline: Spline = { degree: 3, controls: [a, b, c, d], knots: [0, 0, 0, 0, 1, 1, 1, 1] }
    for (const t of [0, 0.2, 0.5, 0.9, 1]) {
      const [p, q] = [pointOnSpline(spline, t), pointOnCubic(a, { kind: 'cubic', first: b, second: c, to: d }, t)]
      expect([p.x, p.y]).toEqual([expect.closeTo(q.x, 12), expect.closeTo(q.y, 12)])
    }
  })
  it('of degree 2 with weights 1, √½, 1 are a quarter of a circle (Piegl and Tiller, from memory)', () => {
    const weights = [1, Math.SQRT1_2, 1]
    const quarter: Spline = { degree: 2, controls: [P(10, 0), P(10, 10), P(0, 10)], knots: [0, 0, 0, 1, 1, 1], weights }
    for (let t = 0; t <= 1; t += 0.125)
      expect(Math.hypot(pointOnSpline(quarter, t).x, pointOnSpline(quarter, t).y)).toBeCloseTo(10, 10)
    const places = flattenedSpline(quarter, 0.001)
    expect(lengthOf(places)).toBeCloseTo(5 * Math.PI, 2)
    for (const { x, y } of places) expect(Math.hypot(x, y)).toBeCloseTo(10, 9)
  })
  it('that are linear go through their places; an evenly knotted cubic begins at (p + 4q + r)/6', () => {
    const line: Spline = { degree: 1, controls: [P(0, 0), P(4, 0), P(4, 3)], knots: [0, 0, 1, 2, 2] }
    expect(lengthOf(flattenedSpline(line, 0.01))).toBeCloseTo(7, 12)
    const even: Spline = { degree: 3, controls: [P(0, 0), P(6, 0), P(6, 6), P(0, 6)], knots: [0, 1, 2, 3, 4, 5, 6, 7] }
    const first = pointOnSpline(even, 3)
    expect([first.x, first.y]).toEqual([expect.closeTo(5, 12), expect.closeTo(1, 12)])
  })
  it('whose numbers do not fit are none', () => {
    const good: Spline = { degree: 2, controls: [P(0, 0), P(1, 1), P(2, 0)], knots: [0, 0, 0, 1, 1, 1] }
    expect(isSpline(good)).toBe(true)
    for (const bad of [
      { degree: 0 },
      { knots: [0, 0, 0, 1, 1] },
      { knots: [0, 0, 1, 0, 1, 1] },
      { knots: [1, 1, 1, 1, 1, 1] },
      { weights: [1, -1, 1] },
    ]) {
      expect(isSpline({ ...good, ...bad }), JSON.stringify(bad)).toBe(false)
    }
  })
  it('are flattened within the tolerance, whatever they are', () => {
    const coordinate = fc.double({ min: -100, max: 100, noNaN: true })
    fc.assert(
      fc.property(fc.array(fc.tuple(coordinate, coordinate), { minLength: 4, maxLength: 9 }), (places) => {
        const count = places.length
        const knots = Array.from({ length: count + 4 }, (_, i) => Math.min(count - 3, Math.max(0, i - 3)))
        const spline: Spline = { degree: 3, controls: places.map(([x, y]) => P(x, y)), knots }
        expect(isSpline(spline)).toBe(true)
        const flat = flattenedSpline(spline, 0.05)
        for (let k = 0; k <= 60; k++) {
          const p = pointOnSpline(spline, ((count - 3) * k) / 60)
          const off = Math.min(...flat.slice(1).map((b, i) => toPiece(p, flat[i]!, b)))
          expect(off).toBeLessThan(0.0501)
        }
      }),
      { numRuns: 100, seed: 4 },
    )
  })
})

function toPiece(p: { x: number; y: number }, a: { x: number; y: number }, b: { x: number; y: number }): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const squared = dx * dx + dy * dy
  const t = squared > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / squared)) : 0
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy)
}

describe('bulges', () => {
  it('1 is half a circle against the clock, tan(π/8) a quarter, less than 0 with the clock, 0 a line', () => {
    const half = bulged(P(0, 0), P(10, 0), 1)
    if (half.kind !== 'arc') throw new Error('no arc')
    expect(half.centre).toEqual({ x: 5, y: 0 })
    // Against the clock from the left end: below the chord.
    expect(pointOnArc(half, half.start + half.sweep / 2).y).toBeCloseTo(-5, 12)
    const quarter = bulged(P(10, 0), P(0, 10), Math.tan(Math.PI / 8))
    if (quarter.kind !== 'arc') throw new Error('no arc')
    expect(Math.hypot(quarter.centre.x, quarter.centre.y)).toBeCloseTo(0, 9)
    expect(quarter.sweep).toBeCloseTo(Math.PI / 2, 12)
    const back = bulged(P(0, 0), P(10, 0), -1)
    expect(back.kind === 'arc' && pointOnArc(back, back.start + back.sweep / 2).y).toBeCloseTo(5, 12)
    expect(bulged(P(0, 0), P(1, 0), 0).kind).toBe('line')
  })
  it('end where they say, whatever they are, and are as long as their angle and radius', () => {
    const coordinate = fc.double({ min: -50, max: 50, noNaN: true })
    fc.assert(
      fc.property(coordinate, coordinate, fc.double({ min: -4, max: 4, noNaN: true }), (x, y, bulge) => {
        if (Math.hypot(x, y) < 0.1 || Math.abs(bulge) < 0.01) return
        const arc = bulged(P(0, 0), P(x, y), bulge)
        if (arc.kind !== 'arc') throw new Error('no arc')
        const end = pointOnArc(arc, arc.start + arc.sweep)
        expect(Math.hypot(end.x - x, end.y - y)).toBeLessThan(1e-6 * (1 + arc.u.x))
        const length = lengthOf(flattened({ start: P(0, 0), segments: [arc], isClosed: false }, 1e-4))
        expect(length / (arc.u.x * Math.abs(arc.sweep))).toBeCloseTo(1, 2)
      }),
      { numRuns: 200, seed: 5 },
    )
  })
})
