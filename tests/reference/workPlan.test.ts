import { describe, expect, it } from 'vitest'
import type { Outline, Point } from '../../src/core/artwork'
import { PLAIN_CARD, readProgram, writeProgram, type OutputCard, type Step } from '../../src/core/gcode'
import { axisLimits, isLit } from '../../src/core/planner'
import type { ScanMachine } from '../../src/core/scan'
import { planWork, type OutlineTask, type PictureTask, type Task, type WorkJob } from '../../src/core/work'
import { between, seeded } from '../../src/core/workshop'
import { polygons } from '../../src/data/polygons'

const axis = { speed: 300, acceleration: 1500 }
const MACHINE: ScanMachine = {
  limits: axisLimits({ x: axis, y: axis, z: axis }, 0.01),
  onDelay: 0.001,
  offDelay: 0.0005,
  bothWays: true,
  backShift: 0,
}
const SETTING = { power: 0.8, speed: 20, pitch: 0.2, passes: 1, focus: 0 }
const base: Omit<OutlineTask, 'outlines' | 'does' | 'name' | 'of'> = {
  copy: 'one',
  turn: 0,
  fillRule: 'nonzero',
  setting: SETTING,
  side: 'part',
  tabs: 0,
  tabWidth: 1,
  lead: 0,
  drop: 0,
  angleRad: null,
}
const polygon = (...places: readonly (readonly [number, number])[]): Outline => {
  const [start, ...more] = places.map(([x, y]) => ({ x, y }))
  return { start: start!, segments: [...more, start!].map((to) => ({ kind: 'line', to })), isClosed: true }
}
const box = (x: number, y: number, w: number, h: number) => polygon([x, y], [x + w, y], [x + w, y + h], [x, y + h])
const circle = (x: number, y: number, r: number): Outline => ({
  start: { x: x + r, y },
  isClosed: true,
  segments: [
    { kind: 'arc', centre: { x, y }, u: { x: r, y: 0 }, v: { x: 0, y: r }, start: 0, sweep: 2 * Math.PI, to: { x: x + r, y } },
  ],
})
const line = (...places: readonly (readonly [number, number])[]): Outline => ({
  ...polygon(...places),
  segments: polygon(...places).segments.slice(0, -1),
  isClosed: false,
})
const task = (does: OutlineTask['does'], outlines: readonly Outline[], more: Partial<OutlineTask> = {}): OutlineTask => ({
  ...base,
  does,
  name: does,
  of: does,
  outlines,
  ...more,
})
const planOf = (tasks: readonly Task[], more: Partial<WorkJob> = {}) =>
  planWork({ tasks, machine: MACHINE, kerf: 0.16, within: 0.005, start: { x: 0, y: 0 }, hasZ: false, ...more }, polygons)

/** Ways of a plan under their remarks: lit pieces, from where to where. */
function litOf(steps: readonly Step[]) {
  let at: Point = { x: 0, y: 0 }
  let remark = ''
  return steps.flatMap((step) => {
    if (step.kind === 'remark') remark = step.text
    if (!('x' in step)) return []
    const from = at
    at = { x: step.x, y: step.y }
    return 'power' in step && step.power > 0 ? [{ remark, from, to: at, step }] : []
  })
}

describe('a work order as a way of the head', () => {
  it('pictures and fills first, then marks, then cuts; what lies inside before what lies around it', () => {
    const steps = planOf([
      task('cut', [box(0, 0, 60, 40)], { name: 'outside' }),
      task('cut', [circle(20, 20, 6)], { name: 'hole' }),
      task('mark', [line([5, 5], [30, 5])], { name: 'line' }),
      task('fill', [box(40, 10, 10, 10)], { name: 'fill' }),
    ]).steps
    const order = [...new Set(litOf(steps).map((it) => it.remark))]
    expect(order).toEqual(['fill', 'line', 'hole', 'outside'])
  })
  it('a disc in a hole: the disc grows by the kerf, the hole around it shrinks by it, each by the whole kerf (handbook)', () => {
    const steps = planOf([task('cut', [box(0, 0, 60, 60), circle(30, 30, 20), circle(30, 30, 10)])]).steps
    const radii = litOf(steps).flatMap(({ step, from }) =>
      step.kind === 'arc' ? [Math.hypot(from.x - step.centreX, from.y - step.centreY)] : [],
    )
    const about = (r: number) => radii.filter((it) => Math.abs(it - r) < 0.006)
    expect(about(10.08).length).toBeGreaterThan(0)
    expect(about(19.92).length).toBeGreaterThan(0)
    // The corners of the plate are rounded by half a kerf; nothing else is an arc.
    expect(about(10.08).length + about(19.92).length + about(0.08).length).toBe(radii.length)
  })
  it('tabs leave bars of their width: the beam stands off by half a kerf on both sides', () => {
    const [width, tabs, kerf] = [2, 3, 0.16]
    const plain = litOf(planOf([task('cut', [box(0, 0, 60, 40)])]).steps)
    const held = litOf(planOf([task('cut', [box(0, 0, 60, 40)], { tabs, tabWidth: width })]).steps)
    const long = (pieces: ReturnType<typeof litOf>) =>
      pieces.reduce((sum, { from, to, step }) => {
        const chord = Math.hypot(to.x - from.x, to.y - from.y)
        if (step.kind !== 'arc') return sum + chord
        const r = Math.hypot(from.x - step.centreX, from.y - step.centreY)
        return sum + 2 * r * Math.asin(Math.min(1, chord / 2 / r))
      }, 0)
    expect(long(plain) - long(held)).toBeCloseTo(tabs * (width + kerf), 2)
  })
  it('a lead comes from off the part: from outside for an outer outline, from inside for a hole; none where it does not fit', () => {
    const first = (outlines: readonly Outline[], lead = 3) => litOf(planOf([task('cut', outlines, { lead })]).steps)[0]!
    const outer = first([box(20, 20, 30, 30)])
    expect(outer.from.x < 19.9 || outer.from.y < 19.9).toBe(true)
    const hole = litOf(planOf([task('cut', [box(0, 0, 60, 60), circle(30, 30, 10)], { lead: 3 })]).steps)[0]!
    expect(Math.hypot(hole.from.x - 30, hole.from.y - 30)).toBeCloseTo(10 - 0.08 - 3, 1)
    const tight = first(
      [box(20, 20, 30, 30), box(51, 20, 30, 30), box(20, 51, 30, 30), box(-11, 20, 30, 30), box(20, -11, 30, 30)],
      5,
    )
    expect(Math.hypot(tight.to.x - tight.from.x, tight.to.y - tight.from.y)).not.toBeCloseTo(5, 1)
  })
  it('passes go lower by their step, where the head moves by program', () => {
    const cut = task('cut', [box(0, 0, 20, 20)], { setting: { ...SETTING, passes: 3, focus: 1 }, drop: 0.5 })
    const heights = planOf([cut], { hasZ: true }).steps.flatMap((it) => (it.kind === 'rapid' && it.z !== undefined ? [it.z] : []))
    expect(heights).toEqual([1, 0.5, 0])
    expect(planOf([cut]).steps.every((it) => it.kind !== 'rapid' || it.z === undefined)).toBe(true)
  })
  it('what is drawn twice, open where it should close, without length, too small, too narrow is said', () => {
    const codes = (outlines: readonly Outline[]) => planOf([task('cut', outlines)]).findings.map((it) => it.code)
    expect(codes([box(0, 0, 20, 20), polygon([20, 20], [0, 20], [0, 0], [20, 0])])).toEqual(['doubles'])
    expect(codes([line([0, 0], [20, 0], [20, 20])])).toEqual(['open-cut'])
    expect(codes([box(0, 0, 40, 20), polygon([5, 5], [5, 5])])).toEqual(['no-length'])
    expect(codes([box(0, 0, 5, 5)])).toEqual(['light'])
    expect(codes([box(0, 0, 40, 20), box(5, 5, 20, 0.1)])).toEqual(['narrow'])
  })
  it('what has the same corners is not the same line: Z and N, square and bow tie, an open U and its square', () => {
    const codes = (does: 'mark' | 'cut', outlines: readonly Outline[]) =>
      planOf([task(does, outlines)]).findings.map((it) => it.code)
    const z = line([0, 20], [20, 20], [0, 0], [20, 0])
    const n = line([0, 0], [0, 20], [20, 0], [20, 20])
    const u = line([0, 20], [0, 0], [20, 0], [20, 20])
    for (const pair of [
      [z, n],
      [u, box(0, 0, 20, 20)],
      [box(0, 0, 20, 20), polygon([0, 0], [20, 20], [20, 0], [0, 20])],
    ])
      expect(codes('mark', pair)).toEqual([])
    // The same line the other way round is one.
    expect(codes('mark', [z, line([20, 0], [0, 0], [20, 20], [0, 20])])).toEqual(['doubles'])
    expect(codes('mark', [box(0, 0, 20, 20), polygon([20, 0], [0, 0], [0, 20], [20, 20])])).toEqual(['doubles'])
  })
  it('a fill of two islands lying crosswise is burnt each along itself, and quicker so', () => {
    const fill = planOf([task('fill', [box(20, 0, 120, 1.5), box(20, 20, 1.5, 120)], { setting: { ...SETTING, speed: 100 } })])
      .fills[0]!
    expect(fill.isParted).toBe(true)
    expect(fill.compared.length).toBeGreaterThanOrEqual(4)
  })
})

const CARDS: readonly OutputCard[] = [
  PLAIN_CARD,
  { ...PLAIN_CARD, units: 'inch', decimals: 5 },
  { ...PLAIN_CARD, manner: 'inMove', inMove: 'S{power}' },
  { ...PLAIN_CARD, arcs: 'lines' },
]

/** A work order drawn by chance: parts with holes, marks, fills, now and then a picture, turned and anywhere. */
function drawn(seed: number): readonly Task[] {
  const random = seeded(seed)
  const some = (most: number): number => Math.floor(random() * (most + 1))
  const tasks: Task[] = []
  for (let k = 0; k <= some(3); k++) {
    const [x, y] = [between(random, 30, 200), between(random, 10, 200)]
    const [w, h] = [between(random, 8, 60), between(random, 8, 60)]
    const setting = {
      power: between(random, 0.1, 1),
      speed: between(random, 3, 150),
      pitch: between(random, 0.15, 0.6),
      passes: 1 + some(2),
      focus: 0,
    }
    const holes = Array.from({ length: some(3) }, (_, i) => circle(x + (w * (i + 1)) / 5, y + h / 2, Math.min(w, h) / 12))
    const more = { copy: `${k}`, setting, tabs: some(2), tabWidth: between(random, 0.3, 2), lead: some(1) * 1.5 }
    const shape: Outline =
      some(1) === 0
        ? box(x, y, w, h)
        : {
            start: { x, y },
            isClosed: true,
            segments: [
              { kind: 'line', to: { x: x + w, y } },
              {
                kind: 'cubic',
                first: { x: x + 1.3 * w, y: y + h / 3 },
                second: { x: x + w, y: y + h },
                to: { x: x + w / 2, y: y + h },
              },
              { kind: 'line', to: { x, y } },
            ],
          }
    tasks.push(task(some(2) === 0 ? 'part' : 'cut', [shape, ...holes], { ...more, name: `cut ${k}` }))
    if (some(1) === 0) tasks.push(task('mark', [line([x, y], [x + w, y + h / 2], [x, y + h])], { ...more, name: `mark ${k}` }))
    if (some(1) === 0)
      tasks.push(
        task('fill', [box(x + 1, y + 1, w / 3, h / 3)], { ...more, setting: { ...setting, passes: 1 }, name: `fill ${k}` }),
      )
  }
  if (some(3) === 0) {
    const picture: PictureTask = {
      does: 'picture',
      name: 'picture',
      of: 'picture',
      picture: { width: 12, height: 8, luminance: Float32Array.from({ length: 96 }, () => random()) },
      isMirrored: some(1) === 0,
      width: 24,
      height: 16,
      x: 60,
      y: 60,
      turnRad: between(random, -3, 3),
      setting: { power: 0.6, speed: 80, pitch: 0.5, passes: 1, focus: 0 },
      toning: some(1) === 0 ? { kind: 'grey', powers: [1, 0.7, 0.4, 0] } : { kind: 'twelve', shares: [1, 0] },
      angleRad: null,
    }
    tasks.push(picture)
  }
  return tasks
}

describe('500 work orders through output cards', () => {
  it('are read back as they were planned: within 2 µm, dark where they should be, inside the power that was asked for', () => {
    let longest = 0
    for (let seed = 0; seed < 500; seed++) {
      const tasks = drawn(seed)
      const { steps } = planOf(tasks)
      const card = CARDS[seed % CARDS.length]!
      const written = writeProgram(steps, card)
      if (!written.ok) throw new Error(`seed ${seed}: ${written.findings[0]?.message}`)
      const { moves, findings } = readProgram(written.value)
      expect(findings.filter((it) => it.severity === 'error')).toEqual([])
      const wanted = steps.filter((it) => 'x' in it)
      let [k, from] = [0, { x: 0, y: 0 } as Point]
      for (let i = 0; i < moves.count; i++) {
        const to = { x: moves.x[i]!, y: moves.y[i]! }
        const moved = Math.hypot(to.x - from.x, to.y - from.y) > 1e-9
        const step = wanted[k]
        if (step === undefined || !('x' in step)) {
          expect(moved, `seed ${seed}, move ${i}: beyond the plan`).toBe(false)
          continue
        }
        const asked = 'power' in step ? step.power : 0
        if (moved && isLit(moves, i)) {
          expect(asked, `seed ${seed}, move ${i} is lit`).toBeGreaterThan(0)
          expect(Math.abs(moves.s[i]! / card.fullPower - asked)).toBeLessThan(
            (0.5 * 10 ** -card.powerDecimals) / card.fullPower + 1e-9,
          )
        } else if (moved) expect(asked, `seed ${seed}, move ${i} is dark`).toBe(0)
        from = to
        const apart = Math.hypot(to.x - step.x, to.y - step.y)
        // Chords of an arc lie on its way; only their last end is that of the step.
        if (apart < 0.002) {
          longest = Math.max(longest, apart)
          k++
        } else expect(step.kind, `seed ${seed}, move ${i}`).toBe('arc')
      }
      expect(k, `seed ${seed}`).toBe(wanted.length)
    }
    expect(longest).toBeLessThan(0.002)
  })
  it('burn inside before outside, and nothing that is marked behind what is cut', () => {
    for (let seed = 0; seed < 100; seed++) {
      const { steps } = planOf(drawn(seed))
      const names = litOf(steps).map((it) => it.remark)
      const first = names.findIndex((it) => it.startsWith('cut'))
      const marked = names.findLastIndex((it) => it.startsWith('mark') || it.startsWith('fill') || it.startsWith('picture'))
      if (first >= 0 && marked >= 0) {
        const task = drawn(seed).find((it) => it.name === names[first])
        if (task?.does === 'cut') expect(marked, `seed ${seed}`).toBeLessThan(first)
      }
    }
  })
})
