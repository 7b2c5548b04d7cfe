import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Point } from '../../src/core/artwork'
import { PLAIN_CARD, readProgram, writeProgram, type Step } from '../../src/core/gcode'
import { axisLimits, planMoves } from '../../src/core/planner'
import {
  anglesFor,
  areaLines,
  burntLength,
  dotLines,
  greyLines,
  limitsAlong,
  partedScan,
  quickestFill,
  scanGrid,
  scanSteps,
  sectionsOf,
  toFrame,
  whiteWorth,
  type Picture,
  type Scan,
  type ScanMachine,
} from '../../src/core/scan'
import { seeded } from '../../src/core/workshop'

const axis = { speed: 300, acceleration: 1000 }
const LIMITS = axisLimits({ x: axis, y: axis, z: axis }, 0.01)
const MACHINE: ScanMachine = { limits: LIMITS, onDelay: 0, offDelay: 0, bothWays: true, backShift: 0 }

const box = (x: number, y: number, w: number, h: number): readonly Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
  { x, y },
]
const circle = (x: number, y: number, r: number, n = 2000): readonly Point[] =>
  Array.from({ length: n }, (_, i) => ({
    x: x + r * Math.cos((2 * Math.PI * i) / n),
    y: y + r * Math.sin((2 * Math.PI * i) / n),
  }))
/** Seconds that the planner needs for some steps, written and read back. */
function planned(steps: readonly Step[]): number {
  const written = writeProgram(steps, PLAIN_CARD)
  if (!written.ok) throw new Error(written.findings[0]?.message)
  return planMoves(readProgram(written.value).moves, LIMITS).totalSeconds
}
const areaOfScan = (scan: Scan): number => burntLength(scan) * scan.pitch

/** Whether a place lies inside by the even-odd rule: a ray upwards, edges half open in x; written apart from the scan. */
function isPainted(rings: readonly (readonly Point[])[], { x, y }: Point): boolean {
  let inside = false
  for (const ring of rings)
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] as Point
      if (p.x > x !== q.x > x && y < p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x)) inside = !inside
    })
  return inside
}

describe('a line through a corner is neither lost nor burnt across a hole (even-odd painter, written apart)', () => {
  const ngon = (x: number, y: number, r: number, n: number, by = 0): readonly Point[] =>
    Array.from({ length: n }, (_, i) => ({
      x: x + r * Math.cos(by + (2 * Math.PI * i) / n),
      y: y + r * Math.sin(by + (2 * Math.PI * i) / n),
    }))
  const KINDS: Readonly<Record<string, (x: number, y: number) => readonly (readonly Point[])[]>> = {
    'a square with a diamond': (x, y) => [box(x, y, 34, 34), ngon(x + 17, y + 17, 10, 4)],
    rings: (x, y) => [ngon(x, y, 17, 64), ngon(x, y, 9, 32)],
    hexagons: (x, y) => [ngon(x, y, 12, 6, Math.PI / 6)],
  }
  const random = seeded(34)
  const places = Array.from({ length: 667 }, () => [20 + 100 * random(), 20 + 100 * random()] as const)

  it.each(Object.keys(KINDS))('%s, at 667 places', (kind) => {
    for (const [x, y] of [[42.162, 91.691] as const, ...places]) {
      const rings = KINDS[kind]?.(x, y) ?? []
      const { lines } = areaLines(rings, 'evenodd', 0.15, 0, 1)
      const heights = rings.flat().map((it) => it.y)
      const high = Math.max(...heights) - Math.min(...heights)
      // As many lines as pitches fit: a convex outline has no height without one.
      expect(lines.length, `${x} ${y}`).toBe(Math.round(high / 0.15))
      for (const { v, from, to } of lines) {
        const cuts = Array.from(from).flatMap((it, k) => [it, to[k] as number])
        cuts.slice(1).forEach((cut, k) => {
          const a = cuts[k] as number
          // Not the middle: there a corner of what lies beside the line may stand.
          const middle = a + 0.37 * (cut - a)
          // A sliver beside a corner says nothing of its neighbours.
          if (cut - a > 1e-6) expect(isPainted(rings, { x: middle, y: v + 1e-9 }), `${x} ${y} at ${v}`).toBe(k % 2 === 0)
        })
      }
    }
  })
})

describe('lines over an area', () => {
  it('cover it: a square, a circle, a ring; at any angle (elementary geometry)', () => {
    for (const angle of [0, 0.3, Math.PI / 2, -1]) {
      expect(areaOfScan(areaLines([box(3, 4, 20, 10)], 'nonzero', 0.1, angle, 1))).toBeCloseTo(200, 0)
      expect(areaOfScan(areaLines([circle(0, 0, 10)], 'nonzero', 0.05, angle, 1))).toBeCloseTo(Math.PI * 100, 0)
      expect(areaOfScan(areaLines([circle(0, 0, 10), circle(0, 0, 6)], 'evenodd', 0.05, angle, 1))).toBeCloseTo(Math.PI * 64, 0)
    }
  })
  it('fill rules differ where outlines cross: the middle of a star of five (SVG 2, 13.4.2)', () => {
    const at = (k: number): Point => ({ x: 10 * Math.sin((4 * Math.PI * k) / 5), y: 10 * Math.cos((4 * Math.PI * k) / 5) })
    const star = [0, 1, 2, 3, 4].map(at)
    // The middle is a pentagon of circumradius R/φ², φ the golden ratio (elementary geometry).
    const golden = (1 + Math.sqrt(5)) / 2
    const r = 10 / (golden * golden)
    const middle = 2.5 * r * r * Math.sin((2 * Math.PI) / 5)
    const [all, odd] = (['nonzero', 'evenodd'] as const).map((rule) => areaOfScan(areaLines([star], rule, 0.02, 0, 1)))
    expect(all! - odd!).toBeCloseTo(middle, 0)
    expect(all! - odd!).toBeGreaterThan(middle * 0.99)
  })
  it('lie a pitch apart, the first and the last as far from the edge', () => {
    const { lines } = areaLines([box(0, 0, 10, 1)], 'nonzero', 0.2, 0, 0.5)
    expect(lines.map((it) => Number(it.v.toFixed(6)))).toEqual([0.1, 0.3, 0.5, 0.7, 0.9])
  })
})

describe('time', () => {
  it('1,000 lines of 100 mm at 100 mm/s with 1,000 mm/s² are 1,200 s (handbook), and the planner says so of the program', () => {
    const parted = partedScan(areaLines([box(10, 0, 100, 100)], 'nonzero', 0.1, 0, 1), 100, MACHINE)
    expect(parted.seconds).toBeCloseTo(1200, 0)
    // The step across is made on the way out and back: the planner finds nothing on top but the way from zero.
    const share = planned(scanSteps(parted, MACHINE, { x: 5, y: 0 })) / 1200
    expect(share).toBeGreaterThan(0.995)
    expect(share).toBeLessThan(1.005)
    // One way only, each line has a way back and a step.
    const oneWay = { ...MACHINE, bothWays: false }
    const single = partedScan(parted.scan, 100, oneWay)
    const back = 999 * (110 / 300 + 300 / 1000)
    expect(single.seconds / (1200 + back)).toBeCloseTo(1, 3)
    expect(planned(scanSteps(single, oneWay, { x: 5, y: 0 })) / single.seconds).toBeCloseTo(1, 2)
  })
  it('white is worth parting from about 2v²/a on: what is parted is quicker there, by the planner, and slower before', () => {
    const { way } = partedScan(areaLines([box(0, 0, 5, 5)], 'nonzero', 0.1, 0, 1), 100, MACHINE).runUp
    const worth = whiteWorth({ speed: 100, acceleration: 1000, way }, 0.1)
    for (const [gap, isParted] of [
      [worth - 4, false],
      [worth + 4, true],
    ] as const) {
      const scan = areaLines([box(20, 0, 8, 8), box(28 + gap, 0, 8, 8)], 'nonzero', 0.1, 0, 1)
      const own = partedScan(scan, 100, MACHINE)
      expect(own.sections.length).toBe(isParted ? 2 : 1)
      const seconds = (parted: boolean) => {
        const sections = sectionsOf(scan, parted ? 0 : 1e9)
        return planned(scanSteps({ ...own, sections }, MACHINE, { x: 0, y: 0 }))
      }
      expect(seconds(isParted)).toBeLessThan(seconds(!isParted))
    }
  })
  it('the quickest direction of a long thin strip is along it, whichever way it lies; a slow axis counts', () => {
    const turned = box(0, 0, 80, 2).map((it) => toFrame(it, -0.5))
    const found = quickestFill([turned], 'nonzero', { speed: 100, power: 1, pitch: 0.1 }, MACHINE, anglesFor([turned]))
    expect(found.best.scan.angleRad).toBeCloseTo(0.5, 6)
    expect(found.compared.length).toBe(5)
    const heavy = { ...MACHINE, limits: axisLimits({ x: axis, y: { speed: 300, acceleration: 60 }, z: axis }, 0.01) }
    const square = quickestFill([box(0, 0, 20, 20)], 'nonzero', { speed: 100, power: 1, pitch: 0.1 }, heavy, [Math.PI / 2, 0])
    expect(square.best.scan.angleRad).toBe(0)
    // Crossed at 45°, two like axes give √2 of either (elementary geometry).
    expect(limitsAlong(LIMITS, Math.PI / 4).acceleration).toBeCloseTo(1000 * Math.SQRT2, 6)
  })
})

describe('sections', () => {
  it('have every piece once, and no white wider than is worth it', () => {
    const rings = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 30 }),
      ),
      { minLength: 1, maxLength: 8 },
    )
    fc.assert(
      fc.property(rings, fc.integer({ min: 0, max: 50 }), (boxes, gap) => {
        const scan = areaLines(
          boxes.map((it) => box(...it)),
          'evenodd',
          1,
          0,
          1,
        )
        const seen = new Set<string>()
        for (const section of sectionsOf(scan, gap)) {
          for (const { line, first, end } of section) {
            for (let k = first; k < end; k++) {
              expect(seen.has(`${line} ${k}`)).toBe(false)
              seen.add(`${line} ${k}`)
              if (k > first) expect(scan.lines[line]!.from[k]! - scan.lines[line]!.to[k - 1]!).toBeLessThanOrEqual(gap)
            }
          }
        }
        expect(seen.size).toBe(scan.lines.reduce((sum, it) => sum + it.from.length, 0))
      }),
      { seed: 14 },
    )
  })
})

describe('the way of the head', () => {
  const parted = partedScan(areaLines([box(20, 5, 10, 1)], 'nonzero', 0.5, 0, 0.4), 100, MACHINE)
  it('is lit on the pieces only, at full speed before each: the run-up is v²/2a (handbook: 5 mm)', () => {
    const steps = scanSteps(parted, MACHINE, { x: 0, y: 0 })
    expect(steps[0]).toMatchObject({ kind: 'rapid', x: 15, y: 5.25 })
    expect(steps.filter((it) => it.kind === 'line' && it.power > 0)).toMatchObject([
      { x: 30, y: 5.25, feed: 100, power: 0.4 },
      { x: 20, y: 5.75, feed: 100, power: 0.4 },
    ])
  })
  it('a delay of 0.5 ms at 100 mm/s would part lines by 0.10 mm (handbook): the words come that much earlier, each way', () => {
    const late = { ...MACHINE, onDelay: 0.0005, offDelay: 0.0005 }
    const lit = scanSteps(parted, late, { x: 0, y: 0 }).filter((it) => it.kind === 'line' && it.power > 0)
    const [there, back] = lit.map((it) => ({ x: 'x' in it ? it.x : 0 })) as [{ x: number }, { x: number }]
    expect(there.x).toBeCloseTo(29.95, 9)
    expect(back.x).toBeCloseTo(20.05, 9)
    expect(back.x - 20 + (30 - there.x)).toBeCloseTo(0.1, 9)
  })
  it('one way only, all lines go alike', () => {
    const lit = scanSteps(parted, { ...MACHINE, bothWays: false }, { x: 0, y: 0 }).filter(
      (it) => it.kind === 'line' && it.power > 0,
    )
    expect(lit.map((it) => ('x' in it ? it.x : 0))).toEqual([30, 30])
  })
})

describe('pictures', () => {
  const random = seeded(14)
  const picture: Picture = { width: 60, height: 40, luminance: Float32Array.from({ length: 2400 }, () => random()) }
  const mean = (values: ArrayLike<number>): number => {
    const known = Array.from(values).filter((it) => !Number.isNaN(it))
    return known.reduce((sum, it) => sum + it, 0) / known.length
  }
  it('at their own pitch are themselves, upside up', () => {
    const grid = scanGrid(picture, { width: 6, height: 4 }, 0.1, 0)
    expect([grid.columns, grid.rows]).toEqual([60, 40])
    expect(grid.luminance[39 * 60]).toBe(picture.luminance[0])
    expect(grid.luminance[59]).toBe(picture.luminance[39 * 60 + 59])
  })
  it('keep their mean light, at coarser pitches and turned', () => {
    for (const angle of [0, Math.PI / 2, Math.PI / 4, 0.3]) {
      const grid = scanGrid(picture, { width: 60, height: 40 }, 2, angle)
      expect(mean(grid.luminance)).toBeCloseTo(mean(picture.luminance), 1)
    }
  })
  it('in greys give the powers of the table, in dots the share of dots', () => {
    const grid = scanGrid(picture, { width: 6, height: 4 }, 0.1, 0)
    const grey = greyLines(grid, { powers: [1, 0.5, 0] })
    const expected = Array.from(picture.luminance).reduce((sum, y) => sum + [1, 0.5, 0][Math.round(y * 2)]!, 0) * 0.1
    const given = grey.lines.reduce(
      (sum, line) => sum + Array.from(line.from).reduce((all, from, k) => all + (line.to[k]! - from) * line.power[k]!, 0),
      0,
    )
    expect(given).toBeCloseTo(expected, 6)
    const dots = dotLines(grid, (y) => 1 - y, 'four', 0.8)
    expect(burntLength(dots) / 240).toBeCloseTo(1 - mean(picture.luminance), 1)
  })
  it('too large a one is refused with what to do', () => {
    expect(() => scanGrid(picture, { width: 6000, height: 4000 }, 0.1, 0)).toThrow(/coarser pitch/)
  })
})
