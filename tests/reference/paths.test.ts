import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, flattened, lengthOf, type Point } from '../../src/core/artwork'
import { beamWay, darkWay, fitArcs, forestOf, oneTreeBound, tourOf, type Ring, type Stop, type Visit } from '../../src/core/work'
import { seeded } from '../../src/core/workshop'
import { polygons } from '../../src/data/polygons'

const box = (x: number, y: number, w: number, h: number): Ring => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
  { x, y },
]
const circle = (x: number, y: number, r: number, n = 720): Ring =>
  Array.from({ length: n + 1 }, (_, i) => ({
    x: x + r * Math.cos((2 * Math.PI * (i % n)) / n),
    y: y + r * Math.sin((2 * Math.PI * (i % n)) / n),
  }))

describe('outlines in one another', () => {
  it('are a forest: a plate with two holes, a plug in one of them, a piece beside', () => {
    const rings = [circle(8, 8, 3), box(0, 0, 40, 20), circle(30, 10, 4), circle(30, 10, 2), box(50, 0, 5, 5)]
    expect(forestOf(rings)).toEqual({ parents: [1, -1, 1, 2, -1], depths: [1, 0, 1, 2, 0] })
  })
  it('touching ones side by side are not in one another', () => {
    expect(forestOf([box(0, 0, 10, 10), box(10, 0, 10, 10), box(0, 10, 5, 5)]).parents).toEqual([-1, -1, -1])
  })
})

describe('the kerf', () => {
  const way = (rings: readonly Ring[], kerf: number, side: Parameters<typeof beamWay>[3] = 'part') =>
    beamWay(rings, forestOf(rings), kerf, side, polygons, 0.001)
  it('a rectangle of 40 × 20 by 0.075 has A + P·d + π·d² (handbook: 809.018 mm²)', () => {
    expect(Math.abs(areaOf(way([box(0, 0, 40, 20)], 0.15).ways[0]!.ring))).toBeCloseTo(809.018, 2)
  })
  it('a disc grows by the whole kerf across, its hole shrinks by it (handbook: drawn hole = wanted − kerf)', () => {
    const { ways } = way([circle(0, 0, 20), circle(0, 0, 5)], 0.2)
    const across = (ring: Ring) => 2 * Math.sqrt(Math.abs(areaOf(ring)) / Math.PI)
    expect(across(ways[0]!.ring)).toBeCloseTo(40.2, 2)
    expect(across(ways[1]!.ring)).toBeCloseTo(9.8, 2)
  })
  it('a slot narrower than the kerf is lost, and named; on the line nothing moves', () => {
    expect(way([box(0, 0, 40, 20), box(5, 5, 10, 0.1)], 0.15).lost).toEqual([1])
    expect(way([box(0, 0, 40, 20)], 0.15, 'line').ways[0]!.ring).toEqual(box(0, 0, 40, 20))
  })
  it('a hook whose mouth closes up keeps its area by the rule of Minkowski (A − P·d + reflex corners; elementary geometry)', () => {
    // Inwards a right corner stays sharp: area A − P·d + 4·d² for a rectangle.
    const inner = way([box(0, 0, 40, 20)], 2, 'inside').ways[0]!.ring
    expect(Math.abs(areaOf(inner))).toBeCloseTo(38 * 18, 6)
  })
})

describe('arcs', () => {
  it('are found again in their chords, ends and centre; what is straight stays so', () => {
    const slot: Point[] = [
      ...circle(20, 0, 5, 200).slice(150),
      ...circle(20, 0, 5, 200).slice(1, 51),
      ...circle(0, 0, 5, 200).slice(50, 151),
      { x: 20, y: -5 },
    ]
    const pieces = fitArcs(slot, 0.002)
    expect(pieces.map((it) => it.kind)).toEqual(['arc', 'line', 'arc', 'line'])
    const [first] = pieces
    expect(first).toMatchObject({ kind: 'arc', clockwise: false })
    if (first?.kind === 'arc') expect(Math.hypot(first.centre.x - 20, first.centre.y)).toBeLessThan(0.01)
  })
  it('of an ellipse keep within the tolerance, and are few', () => {
    const ellipse = flattened(
      {
        start: { x: 30, y: 0 },
        isClosed: true,
        segments: [
          {
            kind: 'arc',
            centre: { x: 0, y: 0 },
            u: { x: 30, y: 0 },
            v: { x: 0, y: 12 },
            start: 0,
            sweep: 2 * Math.PI,
            to: { x: 30, y: 0 },
          },
        ],
      },
      0.0005,
    )
    const pieces = fitArcs(ellipse, 0.005)
    expect(pieces.length).toBeLessThan(ellipse.length / 5)
    let from: Point = ellipse[0]!
    for (const it of pieces) {
      if (it.kind === 'arc') {
        const radius = Math.hypot(from.x - it.centre.x, from.y - it.centre.y)
        const start = Math.atan2(from.y - it.centre.y, from.x - it.centre.x)
        const end = Math.atan2(it.to.y - it.centre.y, it.to.x - it.centre.x)
        const turn = it.clockwise
          ? -((((start - end) % 6.283185307) + 6.283185307) % 6.283185307)
          : (((end - start) % 6.283185307) + 6.283185307) % 6.283185307
        for (const share of [0.25, 0.5, 0.75]) {
          const t = start + turn * share
          const [x, y] = [it.centre.x + radius * Math.cos(t), it.centre.y + radius * Math.sin(t)]
          // To first order the distance from the ellipse is its equation over the slope.
          const f = (x / 30) ** 2 + (y / 12) ** 2 - 1
          expect(Math.abs(f) / Math.hypot((2 * x) / 900, (2 * y) / 144)).toBeLessThan(0.0065)
        }
      }
      from = it.to
    }
  })
})

const dots = (count: number, seed: number): Stop[] => {
  const random = seeded(seed)
  return Array.from({ length: count }, () => {
    const place = { x: 200 * random(), y: 200 * random() }
    return { from: place, to: place, turns: false, before: -1 }
  })
}
/** The best order of all, by trying them all. */
function best(stops: readonly Stop[], start: Point): number {
  let least = Infinity
  const go = (at: Point, left: readonly number[], sum: number): void => {
    if (sum >= least) return
    if (left.length === 0) least = Math.min(least, sum + Math.hypot(at.x - start.x, at.y - start.y))
    for (const i of left) {
      const { from, to } = stops[i]!
      go(
        to,
        left.filter((k) => k !== i),
        sum + Math.hypot(from.x - at.x, from.y - at.y),
      )
    }
  }
  go(
    start,
    stops.map((_, i) => i),
    0,
  )
  return least
}

describe('the order of paths', () => {
  const home = { x: 0, y: 0 }
  it('of few is the best there is, or nearly (all orders tried)', () => {
    const shares = Array.from({ length: 20 }, (_, seed) => {
      const stops = dots(8, seed)
      return darkWay(stops, home, tourOf(stops, home)) / best(stops, home)
    })
    expect(Math.min(...shares)).toBeGreaterThan(0.999999)
    expect(shares.reduce((sum, it) => sum + it, 0) / 20).toBeLessThan(1.02)
  })
  it('the bound by 1-trees is below the best closed way, and near to it (Held and Karp; all orders tried)', () => {
    const shares = Array.from({ length: 20 }, (_, seed) => {
      const [first, ...rest] = dots(9, 100 + seed)
      return oneTreeBound([first!.from, ...rest.map((it) => it.from)]) / best(rest, first!.from)
    })
    expect(Math.max(...shares)).toBeLessThanOrEqual(1 + 1e-9)
    expect(shares.reduce((sum, it) => sum + it, 0) / 20).toBeGreaterThan(0.98)
  })
  it('of 500 pieces is within 8 % of its bound', () => {
    const stops = dots(500, 7)
    expect(darkWay(stops, home, tourOf(stops, home)) / oneTreeBound([home, ...stops.map((it) => it.from)])).toBeLessThan(1.08)
  })
  it('has every stop once, and none before what it waits for; what may not be turned is not', () => {
    const place = fc.record({ x: fc.integer({ min: 0, max: 100 }), y: fc.integer({ min: 0, max: 100 }) })
    const stop = fc.record({ from: place, to: place, turns: fc.boolean(), waits: fc.nat(60) })
    fc.assert(
      fc.property(fc.array(stop, { minLength: 1, maxLength: 40 }), (drawn) => {
        // Each may be waited for by one that stands before it in the list: no rings.
        const stops = drawn.map(({ waits, ...it }, i): Stop => ({ ...it, before: waits < i ? waits : -1 }))
        const visits: readonly Visit[] = tourOf(stops, home)
        expect([...visits.map((it) => it.stop)].sort((p, q) => p - q)).toEqual(stops.map((_, i) => i))
        const placeOf = new Map(visits.map((it, i) => [it.stop, i]))
        stops.forEach((it, i) => {
          if (it.before >= 0) expect(placeOf.get(i)!).toBeLessThan(placeOf.get(it.before)!)
        })
        for (const it of visits) if (it.turned) expect(stops[it.stop]!.turns).toBe(true)
      }),
      { seed: 14, numRuns: 300 },
    )
  })
  it('lines that may be gone either way cost no more than those that may not', () => {
    const random = seeded(3)
    const lines = Array.from({ length: 60 }, () => {
      const at = (): Point => ({ x: 100 * random(), y: 100 * random() })
      return { from: at(), to: at(), before: -1 }
    })
    const way = (turns: boolean) => {
      const stops = lines.map((it) => ({ ...it, turns }))
      return darkWay(stops, home, tourOf(stops, home))
    }
    expect(way(true)).toBeLessThan(way(false))
    expect(lengthOf([home, lines[0]!.from])).toBeGreaterThan(0)
  })
})
