import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Outline, Point } from '../../src/core/artwork'
import { programsApart, type Step } from '../../src/core/gcode'
import { axisLimits } from '../../src/core/planner'
import { areaLines, partedScan, scanSteps, type ScanMachine } from '../../src/core/scan'
import {
  burnLikeness,
  coarser,
  likeness,
  litWays,
  planWork,
  stepsAlong,
  type Contour,
  type OutlineTask,
} from '../../src/core/work'
import { between, fromAbove, seeded, type Surface } from '../../src/core/workshop'
import { polygons } from '../../src/data/polygons'

const axis = { speed: 300, acceleration: 1000 }
const MACHINE: ScanMachine = {
  limits: axisLimits({ x: axis, y: axis, z: axis }, 0.01),
  onDelay: 0,
  offDelay: 0,
  bothWays: true,
  backShift: 0,
}
const TASK: OutlineTask = {
  does: 'cut',
  name: 'part',
  of: 'part',
  copy: 'one',
  turn: 0,
  outlines: [],
  fillRule: 'nonzero',
  setting: { power: 0.8, speed: 20, pitch: 0.2, passes: 1, focus: 0 },
  side: 'part',
  tabs: 0,
  tabWidth: 1,
  lead: 0,
  drop: 0,
  angleRad: null,
}
const ring = (places: readonly (readonly [number, number])[]): readonly Point[] =>
  [...places, places[0]!].map(([x, y]) => ({ x, y }))
const outline = (places: readonly Point[]): Outline => ({
  start: places[0]!,
  segments: places.slice(1).map((to) => ({ kind: 'line', to })),
  isClosed: true,
})
const square = (x: number, y: number, side: number): readonly Point[] =>
  ring([
    [x, y],
    [x + side, y],
    [x + side, y + side],
    [x, y + side],
  ])
const planOf = (tasks: readonly OutlineTask[], hasZ = false) =>
  planWork({ tasks, machine: MACHINE, kerf: 0.15, within: 0.005, start: { x: 0, y: 0 }, hasZ }, polygons)

/** Whether two lines cross anywhere but at their ends. */
function cross([a, b]: readonly [Point, Point], [p, q]: readonly [Point, Point]): boolean {
  const side = (u: Point, v: Point, w: Point): number => (v.x - u.x) * (w.y - u.y) - (v.y - u.y) * (w.x - u.x)
  return side(a, b, p) * side(a, b, q) < -1e-9 && side(p, q, a) * side(p, q, b) < -1e-9
}

describe('leads', () => {
  it('of squares laid anyhow, some in one another, cross no outline and begin in what falls away', () => {
    let count = 0
    for (let seed = 0; seed < 60; seed++) {
      const random = seeded(seed)
      const squares = Array.from({ length: 6 }, (_, k) =>
        square(40 * (k % 3) + between(random, 0, 6), 45 * Math.floor(k / 3), between(random, 20, 32)),
      )
      const holes = squares.map(([corner]) => square(corner!.x + 6, corner!.y + 6, between(random, 3, 9)))
      const rings = [...squares, ...holes]
      const { steps } = planOf([{ ...TASK, lead: between(random, 0.5, 6), outlines: rings.map(outline) }])
      let at: Point = { x: 0, y: 0 }
      steps.forEach((step, i) => {
        const before = steps[i - 1]
        if (!('x' in step)) return
        const from = at
        at = { x: step.x, y: step.y }
        // The first lit way behind a rapid one is a lead where it does not run along a side.
        if (before?.kind !== 'rapid' || step.kind !== 'line' || step.power === 0) return
        const isSide = Math.abs(from.x - at.x) < 1e-6 || Math.abs(from.y - at.y) < 1e-6
        const drawn = rings.flatMap((it) => it.slice(1).map((q, k) => [it[k]!, q] as const))
        const length = Math.hypot(at.x - from.x, at.y - from.y)
        if (isSide && length > 7) return
        count++
        for (const line of drawn) expect(cross([from, at], line), `seed ${seed}`).toBe(false)
      })
    }
    expect(count).toBeGreaterThan(200)
  })
})

describe('tabs', () => {
  const contour = (places: readonly Point[], tabs: number, tabWidth: number): Contour => ({
    task: { ...TASK, tabs, tabWidth },
    places,
    isClosed: true,
    scrap: 1,
    drawn: places,
  })
  const GOING = { begin: 0, turned: false, lead: null, within: 0.005, kerf: 0.15, hasZ: false }
  const long = (ways: readonly (readonly Point[])[]): number =>
    ways.reduce((sum, way) => sum + way.slice(1).reduce((all, q, i) => all + Math.hypot(q.x - way[i]!.x, q.y - way[i]!.y), 0), 0)
  it('leave so many gaps, each of its width and a kerf, wherever the ring begins; the rest is burnt, once', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.nat(3),
        (tabs, width, begin) => {
          const it = contour(square(10, 10, 40), tabs, width)
          const ways = litWays(it, { ...GOING, begin })
          expect(160 - long(ways)).toBeCloseTo(tabs * (width + 0.15), 6)
          // A ring with n gaps is n pieces, of which the first and the last meet where it begins.
          expect(ways).toHaveLength(tabs + 1)
          const [first, last] = [ways[0]![0]!, ways.at(-1)!.at(-1)!]
          expect(Math.hypot(first.x - last.x, first.y - last.y)).toBeCloseTo(0, 9)
          const lit = stepsAlong(it, { ...GOING, begin }).filter((step) => 'power' in step && step.power > 0)
          expect(lit.length).toBeGreaterThanOrEqual(tabs)
        },
      ),
      { seed: 14 },
    )
  })
  it('that would meet are narrowed to half of the ring: a part is never without a cut', () => {
    expect(long(litWays(contour(square(0, 0, 5), 6, 10), GOING))).toBeCloseTo(10, 6)
  })
})

describe('heights that no program sets', () => {
  it('are said on a machine without Z, and driven on one with', () => {
    const high = {
      ...TASK,
      outlines: [outline(square(5, 5, 30))],
      setting: { ...TASK.setting, focus: 1.5, passes: 2 },
      drop: 0.5,
    }
    const { findings } = planOf([high])
    expect(findings.map((it) => it.code)).toEqual(['height'])
    expect(findings[0]!.message).toMatch(/1\.5\d*\smm above focus, and 0\.5\d*\smm lower/)
    const driven = planOf([high], true)
    expect(driven.findings).toEqual([])
    expect(driven.steps.filter((it) => it.kind === 'rapid' && it.z !== undefined).length).toBeGreaterThan(1)
    expect(planOf([{ ...high, setting: TASK.setting, drop: 0.5 }]).findings).toEqual([])
  })
})

describe('greys that follow one another', () => {
  const lineOf = (powers: readonly number[]) => ({
    angleRad: 0,
    pitch: 0.1,
    lines: [{ v: 5, from: powers.map((_, i) => 10 + i), to: powers.map((_, i) => 11 + i), power: powers }],
  })
  const lit = (steps: readonly Step[]) =>
    steps.filter((it) => it.kind === 'line' && it.power > 0) as Extract<Step, { kind: 'line' }>[]
  it('have no dark between them, whatever the delays of going on and off', () => {
    for (const [onDelay, offDelay] of [
      [0.002, 0.0005],
      [0.0005, 0.003],
    ] as const) {
      const machine = { ...MACHINE, onDelay, offDelay }
      const steps = scanSteps(partedScan(lineOf([0.2, 0.8, 0.5]), 100, machine), machine, { x: 0, y: 0 })
      const firstLit = steps.findIndex((it) => it.kind === 'line' && it.power > 0)
      expect(steps.slice(firstLit, firstLit + 3).map((it) => 'power' in it && it.power)).toEqual([0.2, 0.8, 0.5])
      // A change comes as early as a beginning; the end as early as an end.
      expect(lit(steps).map((it) => it.x)).toEqual(
        [11 - 100 * onDelay, 12 - 100 * onDelay, 13 - 100 * offDelay].map((it) => expect.closeTo(it, 9) as number),
      )
    }
  })
  it('a fill is burnt over its whole area, there and back, each line as long as it is drawn', () => {
    const scan = areaLines([square(20, 20, 10)], 'nonzero', 0.5, 0, 0.6)
    const steps = scanSteps(partedScan(scan, 80, MACHINE), MACHINE, { x: 0, y: 0 })
    let at: Point = { x: 0, y: 0 }
    const lengths = steps.flatMap((step) => {
      if (!('x' in step)) return []
      const from = at
      at = { x: step.x, y: step.y }
      return step.kind === 'line' && step.power > 0 ? [Math.hypot(at.x - from.x, at.y - from.y)] : []
    })
    expect(lengths).toHaveLength(20)
    for (const it of lengths) expect(it).toBeCloseTo(10, 9)
  })
})

describe('pictures held against one another', () => {
  const random = seeded(5)
  const [width, height] = [96, 64]
  const burnt = (draw: (x: number, y: number) => number) => ({
    width,
    height,
    values: Float32Array.from(
      { length: width * height },
      (_, k) => 0.5 * draw(k % width, Math.floor(k / width)) + 0.004 * (random() - 0.5),
    ),
  })
  const disc = (cx: number, cy: number) => (x: number, y: number) => (Math.hypot(x - cx, y - cy) < 14 ? 0.3 : 1)
  it('are 1 where they are the same, and below where one is turned into its negative (Wang and others 2004: −1…1)', () => {
    const one = burnt(disc(30, 30)).values
    expect(likeness({ width, height, one, other: one }, 1)).toBeCloseTo(1, 9)
    const negative = Float32Array.from(one, (it) => 0.65 - it)
    expect(likeness({ width, height, one, other: negative }, 1)).toBeLessThan(
      likeness({ width, height, one, other: one }, 1) - 0.2,
    )
    expect(() => likeness({ width: 4, height: 4, one, other: one }, 1)).toThrow(/8 pixels/)
  })
  it('a burn that came out is alike, a missing one and one beside are not, however much bare sheet there is around', () => {
    const foretold = burnt(disc(30, 30))
    expect(burnLikeness(foretold, burnt(disc(30, 30)), 2)).toBeGreaterThan(0.9)
    // Another sheet, a little darker, is no other burn.
    const darker = burnt(disc(30, 30))
    expect(burnLikeness(foretold, { ...darker, values: darker.values.map((it) => it * 0.8) }, 2)).toBeGreaterThan(0.9)
    expect(
      burnLikeness(
        foretold,
        burnt(() => 1),
        2,
      ),
    ).toBeLessThan(0.6)
    expect(burnLikeness(foretold, burnt(disc(70, 34)), 2)).toBeLessThan(0.6)
    expect(
      burnLikeness(
        burnt(() => 1),
        burnt(() => 1),
        2,
      ),
    ).toBeNull()
  })
  it('in fewer pixels keep their mean', () => {
    const picture = burnt(disc(50, 30))
    const few = coarser(picture, 4)
    const mean = (values: ArrayLike<number>) => Array.from(values).reduce((sum, it) => sum + it, 0) / values.length
    expect([few.width, few.height]).toEqual([24, 16])
    expect(mean(few.values)).toBeCloseTo(mean(picture.values), 5)
  })
})

describe('the stand-in’s bed from above', () => {
  const surface: Surface = {
    left: 10,
    bottom: 20,
    pitch: 0.1,
    columns: 40,
    rows: 30,
    y: Float32Array.from({ length: 1200 }, (_, at) => (at % 40 < 20 ? 0.1 : 0.9)),
  }
  const box = { left: 8, bottom: 18, right: 16, top: 26 }
  it('shows each place where it lies, rows from the top, the mean of what is under a pixel, bare elsewhere', () => {
    const { columns, rows, luminance } = fromAbove(surface, 0.5, box, 0.5)
    expect([columns, rows]).toEqual([16, 16])
    const at = (x: number, y: number): number =>
      luminance[(rows - 1 - Math.floor((y - box.bottom) / 0.5)) * columns + Math.floor((x - box.left) / 0.5)]!
    expect(at(10.7, 21)).toBeCloseTo(0.1, 6)
    expect(at(13.2, 21)).toBeCloseTo(0.9, 6)
    expect(at(9, 19)).toBe(0.5)
    expect(at(12, 25.5)).toBe(0.5)
    expect(fromAbove(null, 0.42, box, 1).luminance.every((it) => Math.abs(it - 0.42) < 1e-6)).toBe(true)
  })
})

describe('two programs', () => {
  it('that are the same but for remarks and blanks are the same', () => {
    expect(programsApart('G1 X1\nG1 X2\n', '(now)\nG1 X1  \r\n\nG1 X2')).toMatchObject({ isSame: true, alike: 2 })
  })
  it('lines put into a program, taken out or changed are found between what is alike, wherever they stand', () => {
    const line = fc.integer({ min: 0, max: 9 }).map((it) => `G1 X${it}`)
    fc.assert(
      fc.property(
        fc.array(line, { maxLength: 20 }),
        fc.array(line, { maxLength: 6 }),
        fc.nat(20),
        fc.nat(5),
        (lines, put, at, out) => {
          const from = Math.min(at, lines.length)
          const later = [...lines.slice(0, from), ...put, ...lines.slice(from + out)]
          const apart = programsApart(lines.join('\n'), later.join('\n'))
          expect(apart.before - apart.now).toBe(lines.length - later.length)
          expect(apart.before).toBeLessThanOrEqual(Math.min(out, lines.length - from))
          expect(apart.isSame).toBe(lines.join() === later.join())
          expect(apart.alike + apart.now).toBe(later.length)
        },
      ),
      { seed: 14 },
    )
  })
})
