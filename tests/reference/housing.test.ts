import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import {
  cameraHeight,
  deciding,
  forceToHold,
  gasForce,
  hingeLoad,
  lidTravel,
  lidWeight,
  panelMaterial,
  mountsThatHold,
  SHEET_DENSITY,
  sightByMirror,
  sightOut,
  springAt,
  windowFrame,
  type Lid,
  type LineOut,
  type Rect,
  type WayOut,
} from '../../src/core/housing'

const rad = (degrees: number): number => (degrees * Math.PI) / 180
const drawn = (seed: number) => {
  const source = randomLcg(seed)
  return (low: number, high: number): number => randomUniform.source(source)(low, high)()
}

describe('a lid on springs', () => {
  const lid: Lid = { mass: 4, centre: 250, above: 0, onLid: 150, onLidAbove: 0, boxX: 60, boxY: -250, count: 2 }

  it.each([
    // Worked example of the trade. (common practice)
    [0, 265.7, 34.7],
    [40, null, 38.2],
    [75, 395.5, 27.3],
  ])('at %d° is as worked by hand', (degrees, length, force) => {
    expect(Math.abs(forceToHold(lid, rad(degrees)) - force)).toBeLessThan(0.06)
    if (length !== null) expect(springAt(lid, rad(degrees)).length).toBeCloseTo(length, 1)
  })

  it('needs what virtual work says: n F dL = m g dh, whatever its shape', () => {
    const draw = drawn(5)
    for (let round = 0; round < 200; round++) {
      const any: Lid = {
        mass: draw(0.5, 12),
        centre: draw(100, 400),
        above: draw(-20, 60),
        onLid: draw(60, 300),
        onLidAbove: draw(-30, 30),
        boxX: draw(-40, 200),
        boxY: draw(-400, -60),
        count: round % 2 === 0 ? 2 : 1,
      }
      const angle = draw(0, 1.3)
      const h = 1e-5
      const height = (at: number): number => any.centre * Math.sin(at) + any.above * Math.cos(at)
      const dHeight = (height(angle + h) - height(angle - h)) / (2 * h)
      const dLength = (springAt(any, angle + h).length - springAt(any, angle - h).length) / (2 * h)
      const wanted = (any.mass * 9.80665 * dHeight) / (any.count * dLength)
      expect(forceToHold(any, angle) / wanted).toBeCloseTo(1, 5)
      expect(lidWeight(any, angle)).toBeCloseTo((any.mass * 9.80665 * dHeight) / 1000, 6)
    }
  })

  it('falls in the cold what holds in the warm, and opens by itself with springs that are too strong', () => {
    const spring = { force: 36, progression: 1, stretched: 396, stroke: 135 }
    const travel = (force: number, celsius: number) =>
      lidTravel(lid, { ...spring, force }, { to: rad(75), friction: 0.5, celsius, edge: 500 })
    expect(gasForce(spring, 396, -10) / gasForce(spring, 396, 20)).toBeCloseTo(1 - 0.0034 * 30, 9)
    const warm = travel(36, 20)
    expect(new Set(warm.filter((it) => it.angle < rad(45)).map((it) => it.does))).toEqual(new Set(['holds']))
    expect(new Set(travel(36, -20).map((it) => it.does))).toContain('falls')
    expect(new Set(travel(60, 20).map((it) => it.does))).toEqual(new Set(['opens']))
    // What the hand feels at the edge is the moment over its way from the hinge.
    for (const it of warm) expect(it.hand * 0.5).toBeCloseTo(-it.moment, 9)
  })

  it('has places for its springs that keep it up cold too, within their stroke: no place of a finer search does better by much', () => {
    const spring = { force: 60, progression: 1.3, stretched: 285, stroke: 90 }
    const room = {
      onLid: [60, 300],
      boxX: [20, 200],
      boxY: [-260, -60],
      to: rad(80),
      coldest: 5,
      warmest: 35,
    } as const
    const found = mountsThatHold(lid, spring, room)
    expect(found).toHaveLength(5)
    for (const it of found) {
      const hung = { ...lid, ...it }
      const travel = (celsius: number) => lidTravel(hung, spring, { to: room.to, friction: 0, celsius, edge: 500 })
      // Each is looked at again through the whole travel; a spring beyond its stroke would be refused there.
      expect(travel(5).at(-1)!.moment).toBeGreaterThan(0)
      expect(travel(5).at(-1)!.moment).toBeCloseTo(-it.shutsOpen, 9)
      const hand = [...travel(5), ...travel(35)].map(({ moment }) => Math.abs(moment))
      expect(Math.max(...hand)).toBeGreaterThanOrEqual(it.byHand - 1e-9)
      expect(Math.max(...hand)).toBeLessThan(it.byHand * 1.02 + 0.01)
    }
    // 300 places at random.
    const draw = drawn(9)
    const byChance = Array.from({ length: 300 }, () => {
      const at = draw(60, 300)
      const [x, y] = [draw(20, 200), draw(-260, -60)]
      return mountsThatHold(lid, spring, { ...room, onLid: [at, at], boxX: [x, x], boxY: [y, y] }, 1)[0]?.byHand ?? Infinity
    })
    expect(found[0]!.byHand).toBeLessThan(Math.min(...byChance) * 1.15)
    // Springs that are far too weak hold it nowhere.
    expect(mountsThatHold(lid, { ...spring, force: 8 }, room)).toEqual([])
  })

  it('loads its hinge with all that springs and weight do not carry of each other', () => {
    // Held by springs that push straight up through the middle of its mass the hinge carries nothing.
    const plumb: Lid = { mass: 5, centre: 200, above: 0, onLid: 200, onLidAbove: 0, boxX: 200, boxY: -300, count: 2 }
    expect(hingeLoad(plumb, 0, forceToHold(plumb, 0))).toBeCloseTo(0, 9)
    expect(hingeLoad(plumb, 0, 0)).toBeCloseTo(5 * 9.80665, 9)
  })
})

describe('panels of a box', () => {
  it('a lid of birch 600 × 500 × 6 weighs 1.224 kg; a camera of 60° sees 400 mm from 346 (worked examples of the trade)', () => {
    const volume = panelMaterial([{ name: 'lid', along: 600, across: 500, taken: 0, outline: null }], 6)
    expect((volume * SHEET_DENSITY.birch) / 1e9).toBeCloseTo(1.224, 6)
    expect(cameraHeight(400, rad(60))).toBeCloseTo(346, 0)
  })

  it('the largest need decides, the first of two alike', () => {
    const needs = [
      { id: 'head', label: 'head', size: 210 },
      { id: 'rotary', label: 'rotary', size: 260 },
      { id: 'camera', label: 'camera', size: 260 },
    ]
    expect(deciding(needs)?.id).toBe('rotary')
    expect(deciding([])).toBeNull()
  })

  it('a window’s frame closes about the sheet as it is: sheet and play between the grooves’ grounds', () => {
    const sheet = { width: 300, height: 200 }
    const made = windowFrame(sheet, { bar: 40, groove: 10, play: 1, tongue: 12 })
    if (!made.ok) throw new Error(made.findings[0]?.message)
    const { open, outside, upright, level } = made.value
    // From ground to ground of the grooves: what stands open and two grooves.
    expect(open.width + 2 * 10).toBeCloseTo(sheet.width + 2 * 1, 9)
    expect(outside.width).toBeCloseTo(level - 2 * 12 + 2 * 40, 9)
    expect(upright).toBe(outside.height)
    expect(windowFrame(sheet, { bar: 40, groove: 10, play: 10, tongue: 12 })).toMatchObject({
      ok: false,
      findings: [{ code: 'falls-out' }],
    })
    expect(windowFrame(sheet, { bar: 10, groove: 10, play: 1, tongue: 3 })).toMatchObject({
      ok: false,
      findings: [{ code: 'groove-through' }],
    })
  })
})

/** Whether a line goes out, by walking along it and asking at every plane: written apart. */
function goesOut({ from, to }: LineOut, { edges, baffles }: WayOut): boolean {
  const meets = (rect: Rect): boolean | null => {
    const [p, q] = [from[rect.axis], to[rect.axis]]
    if (p === q || (rect.at - p) / (q - p) < 0 || (rect.at - p) / (q - p) > 1) return null
    const t = (rect.at - p) / (q - p)
    const others = [0, 1, 2].filter((it) => it !== rect.axis)
    return others.every((axis, k) => {
      const at = from[axis]! + (to[axis]! - from[axis]!) * t
      return at >= rect.low[k]! && at <= rect.high[k]!
    })
  }
  return edges.every((it) => meets(it) !== false) && !baffles.some((it) => meets(it) === true)
}

describe('lines of sight out of a box', () => {
  it('none that casting rays finds is missed, over 200 drawn boxes; what is called a line is one', () => {
    const draw = drawn(2026)
    const kinds = { seen: 0, narrow: 0, shut: 0 }
    for (let round = 0; round < 200; round++) {
      // An inlet in the wall x = 500, 9 mm thick, and up to three plates before it.
      const [y, z] = [draw(40, 340), draw(20, 200)]
      const [wide, tall] = [draw(10, 80), draw(5, 60)]
      const hole = (at: number): Rect => ({ axis: 0, at, low: [y, z], high: [y + wide, z + tall] })
      const baffles = Array.from({ length: Math.floor(draw(1, 4)) }, (_, k): Rect => {
        const over = draw(-5, 60)
        return k === 2
          ? { axis: 2, at: z + tall + draw(0, 30), low: [draw(380, 460), y - 60], high: [500, y + wide + 60] }
          : { axis: 0, at: 500 - draw(15, 60), low: [y - over, z - over], high: [y + wide + over, z + tall + over] }
      })
      const way: WayOut = { edges: [hole(500), hole(509)], baffles }
      const work: Rect = { axis: 2, at: draw(0, 20), low: [60, 60], high: [400, 320] }
      const found = sightOut(work, way, 1)
      kinds[found.kind]++
      if (found.kind === 'seen') expect(goesOut(found.line, way)).toBe(true)
      if (found.kind !== 'shut') continue
      for (let ray = 0; ray < 800; ray++) {
        const line: LineOut = {
          from: [draw(60, 400), draw(60, 320), work.at],
          to: [509, draw(y, y + wide), draw(z, z + tall)],
        }
        expect(goesOut(line, way), `box ${round}, ray ${ray}`).toBe(false)
      }
    }
    // The draw must hold both kinds, else it says nothing.
    expect(kinds.seen).toBeGreaterThan(40)
    expect(kinds.shut).toBeGreaterThan(30)
  })

  it('by way of a bright wall none is missed that a ray finds which bounces there', () => {
    const draw = drawn(77)
    const kinds = { seen: 0, narrow: 0, shut: 0 }
    for (let round = 0; round < 60; round++) {
      const [y, z] = [draw(40, 300), draw(60, 200)]
      const [wide, tall] = [draw(10, 60), draw(5, 40)]
      const hole = (at: number): Rect => ({ axis: 0, at, low: [y, z], high: [y + wide, z + tall] })
      // The wall opposite is bright in a patch; a plate stands somewhere between.
      const patch: Rect = { axis: 0, at: 0, low: [draw(0, 200), draw(0, 150)], high: [draw(210, 400), draw(160, 300)] }
      const plate: Rect = {
        axis: 0,
        at: draw(60, 460),
        low: [draw(-50, 150), draw(-50, 60)],
        high: [draw(200, 400), draw(80, 260)],
      }
      const way: WayOut = { edges: [hole(500), hole(509)], baffles: [plate] }
      const work: Rect = { axis: 2, at: 5, low: [100, 60], high: [400, 320] }
      const found = sightByMirror(work, way, patch, 2)
      kinds[found.kind]++
      if (found.kind !== 'shut') continue
      for (let ray = 0; ray < 2000; ray++) {
        const from: [number, number, number] = [draw(100, 400), draw(60, 320), 5]
        const at: [number, number, number] = [0, draw(patch.low[0], patch.high[0]), draw(patch.low[1], patch.high[1])]
        // Off the wall with x turned about, on to the outer edge at 509.
        const on = at.map((it, k) => (k === 0 ? 509 : it + ((it - from[k]!) * 509) / from[0])) as [number, number, number]
        const free = goesOut({ from, to: at }, { edges: [], baffles: way.baffles }) && goesOut({ from: at, to: on }, way)
        expect(free, `box ${round}, ray ${ray}`).toBe(false)
      }
    }
    expect(kinds.seen).toBeGreaterThan(10)
    expect(kinds.shut).toBeGreaterThan(10)
  })

  it('a plate that is a hair too short lets one through; one that covers it does not', () => {
    const hole = (at: number): Rect => ({ axis: 0, at, low: [100, 100], high: [140, 120] })
    const plate = (high: number): Rect => ({ axis: 0, at: 470, low: [0, 0], high: [400, high] })
    const work: Rect = { axis: 2, at: 0, low: [60, 60], high: [400, 320] }
    const look = (high: number) => sightOut(work, { edges: [hole(500), hole(509)], baffles: [plate(high)] }, 0.5).kind
    // The highest line to the upper outer edge, from the far end of the work, passes the plate at 120·(470−60)/(509−60).
    const needed = (120 * (470 - 60)) / (509 - 60)
    expect(look(needed + 0.01)).toBe('shut')
    expect(look(needed - 0.5)).not.toBe('shut')
  })
})
