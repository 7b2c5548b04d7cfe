import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { sayUnknown, setAt, shownNumber, templateOf, type AnyFigure, type Fact } from '../../src/core/bench'
import {
  boxMass,
  enclosureOf,
  handForce,
  holdForce,
  housingShape,
  insideSize,
  innerFaces,
  insertPlates,
  labelForce,
  lidCentre,
  lidMass,
  lightRoom,
  needed,
  onWall,
  outsideSize,
  paintNeeded,
  panelBlocks,
  panelDrawings,
  panelMaterial,
  portShape,
  screwsAlong,
  sheetShape,
  staysShut,
  staysUp,
  strokeRoom,
  wayThrough,
  baffleShape,
  type EnclosureAsked,
  type Housing,
  type PortFacts,
} from '../../src/core/housing'
import { cutRows, sheetMass, sheetPlan, sheetsToBuy } from '../../src/core/nesting'
import { emptyBench, engineFor, type Bench } from '../../src/core/document'
import { flattened } from '../../src/core/artwork'
import { plainly } from '../../src/core/bench'

const exactly = (value: number, typedUnit: Fact['typedUnit'] = 'mm'): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})
const chosen = <C extends string>(it: C) => ({ chosen: it, origin: 'stated', doubt: { kind: 'exact' } }) as const

const blank = templateOf(housingShape)
const SHEET = { nine: templateOf(sheetShape, { order: 1, kind: chosen('birch'), thickness: exactly(9), price: exactly(60) }) }

function benchWith(housing: Partial<Housing>): Bench {
  const bench = emptyBench('b', 'Test', '2026-11-28T00:00:00.000Z')
  const moved = setAt(setAt(bench, 'motion.axes.x.travel', exactly(400)), 'motion.axes.y.travel', exactly(300))
  return setAt(moved, 'housing', { ...blank, sheets: SHEET, sheet: 'nine', ...housing })
}

const NEEDS = {
  ...blank.needs,
  machineX: exactly(500),
  machineY: exactly(450),
  machineZ: exactly(260),
  bedOver: exactly(40),
  headTall: exactly(120),
  loopAbove: exactly(40),
  loopBehind: exactly(50),
  handsSide: exactly(60),
  handsFront: exactly(80),
}

const number = (bench: Bench, def: AnyFigure, ...args: string[]): number => {
  const found = shownNumber(engineFor(bench).value(def, ...(args as [])).result)
  if (found === null) throw new Error(`${def.id} is not known`)
  return found
}

describe('a box from its needs', () => {
  const bench = benchWith({ needs: NEEDS })
  it('is as large as the largest of what asks for room', () => {
    // Sums by hand: 500 + 2 × 60; 450 + 50 + 80; 260 + 40.
    expect(number(bench, needed, 'x')).toBe(620)
    expect(number(bench, needed, 'y')).toBe(580)
    expect(number(bench, needed, 'z')).toBe(300)
  })
  it('is taller for a camera that must see 400 mm at 60°: 346.4 mm over the bed (handbook of the trade)', () => {
    const seen = {
      ...NEEDS,
      camera: chosen('yes'),
      cameraSees: exactly(400),
      cameraField: exactly(Math.PI / 3, 'rad'),
      cameraBody: exactly(25),
    }
    expect(number(benchWith({ needs: seen }), needed, 'z')).toBeCloseTo(40 + 346.41 + 25, 2)
  })
  it('takes its size from the frame of a window that must not be cut', () => {
    const window = {
      ...blank.window,
      kept: chosen('yes'),
      decides: chosen('yes'),
      x: exactly(600),
      y: exactly(500),
      thick: exactly(6),
      weighs: chosen('acrylic'),
      bar: exactly(45),
      groove: exactly(10),
      play: exactly(1),
      tongue: exactly(15),
    }
    const framed = benchWith({ needs: NEEDS, window })
    // 600 − 2 × 9 stand open, 2 × 45 of bars about it, 2 × 9 of walls under it.
    expect(number(framed, insideSize, 'x')).toBeCloseTo(600 - 18 + 90 - 18, 9)
    expect(number(framed, outsideSize, 'y')).toBeCloseTo(500 - 18 + 90, 9)
  })
})

describe('panels of every form', () => {
  const draw = (seed: number) => {
    const source = randomLcg(seed)
    return (low: number, high: number): number => randomUniform.source(source)(low, high)()
  }
  it('have the material of what lies outside less what lies inside, over 200 drawn boxes', () => {
    const at = draw(91)
    for (let k = 0; k < 200; k++) {
      const t = at(4, 18)
      const form = (['top', 'front', 'angled'] as const)[k % 3] ?? 'top'
      const inside = { x: at(200, 900), y: at(200, 900), z: at(150, 700) }
      const hasFloor = k % 2 === 0
      const asked: EnclosureAsked = {
        inside,
        thickness: t,
        joint: k % 5 === 0 ? { kind: 'butt' } : { kind: 'rebate', depth: at(0.2, 0.5) * t },
        hasFloor,
        form,
        frontHeight: at(0.3, 0.7) * inside.z,
        roofDepth: t + at(0.2, 0.6) * inside.y,
        window: null,
      }
      const made = enclosureOf(asked)
      if (!made.ok) throw new Error(made.findings[0]?.message)
      const { outside, panels, lid } = made.value
      const material = panelMaterial(panels, t)
      const whole = (x: number, y: number, z: number): number => x * y * z
      if (form !== 'angled') {
        // Under a hood the inside ends at the foot of its walls.
        const hollow = whole(inside.x, inside.y, inside.z)
        expect(material / (whole(outside.x, outside.y, outside.z) - hollow)).toBeCloseTo(1, 9)
        continue
      }
      // A slanted front: the prism of its side, less the prism within; the lid lies on top of that.
      const [deep, high] = [outside.y - asked.roofDepth, outside.z - asked.frontHeight]
      const side = outside.y * outside.z - (deep * high) / 2
      const walls =
        2 * t * side +
        inside.x * (t * asked.frontHeight + t * outside.z + (asked.roofDepth - t) * t + (hasFloor ? inside.y * t : 0))
      expect((material - lid.long * lid.wide * t) / walls).toBeCloseTo(1, 9)
    }
  })
  it('lie beside one another without a gap or an overlap: a place of the wall is in one block, of the inside in none', () => {
    const at = draw(17)
    for (const form of ['top', 'front'] as const) {
      const made = enclosureOf({
        inside: { x: 400, y: 300, z: 250 },
        thickness: 12,
        joint: { kind: 'butt' },
        hasFloor: true,
        form,
        frontHeight: 0,
        roofDepth: 0,
        window: null,
      })
      if (!made.ok) throw new Error('no box')
      const blocks = panelBlocks(made.value, 12)
      for (let k = 0; k < 3000; k++) {
        const p = [at(-12, 412), at(-12, 312), at(-12, 262)] as const
        const isInside = p[0] > 0 && p[0] < 400 && p[1] > 0 && p[1] < 300 && p[2] > 0 && p[2] < 250
        const holding = blocks.filter((it) => p.every((v, i) => v > it.low[i]! && v < it.high[i]!))
        expect(holding.length, `${form} ${p.join()}`).toBe(isInside ? 0 : 1)
      }
    }
  })
  it.each([
    [{ frontHeight: 900 }, 'no-slant'],
    [{ thickness: 0 }, 'no-size'],
    [{ joint: { kind: 'groove', depth: 20 } } as const, 'joint-through'],
    [
      { window: { sheet: { width: 2000, height: 500 }, bar: 45, groove: 10, play: 1, tongue: 15, isLid: false } },
      'frame-too-large',
    ],
  ])('say what contradicts', (change, code) => {
    const asked: EnclosureAsked = {
      inside: { x: 500, y: 400, z: 300 },
      thickness: 9,
      joint: { kind: 'butt' },
      hasFloor: true,
      form: 'angled',
      frontHeight: 150,
      roofDepth: 150,
      window: null,
    }
    expect(enclosureOf({ ...asked, ...change }).findings.map((it) => it.code)).toContain(code)
  })
})

describe('the box of a sheet', () => {
  const bench = benchWith({ needs: NEEDS, size: { ...blank.size, x: exactly(620), y: exactly(580), z: exactly(300) } })
  const outside = [638, 598, 318] as const
  const material = outside[0] * outside[1] * outside[2] - 620 * 580 * 300
  it('weighs what its material weighs', () => {
    expect(number(bench, sheetMass, 'nine')).toBeCloseTo((material * 680) / 1e9, 6)
    expect(number(bench, boxMass)).toBeCloseTo((material * 680) / 1e9 + 0.3, 6)
    expect(number(bench, lidMass)).toBeCloseTo((638 * 598 * 9 * 680) / 1e9 + 0.3, 6)
    expect(number(bench, lidCentre)).toBeCloseTo(299, 6)
  })
  it('takes paint for both faces twice, a litre for 9 m² once', () => {
    expect(number(bench, paintNeeded) * 1000).toBeCloseTo(((2 * material) / 9 / 1e6) * 2 * (1 / 9), 6)
  })
  it('takes one sheet; its cuts come in their order', () => {
    expect(number(bench, sheetsToBuy, 'nine')).toBe(1)
    const found = engineFor(bench).value(sheetPlan, 'nine').result
    if (!found.known || found.value === null) throw new Error('no plan')
    const depths = cutRows(found.value).map((it) => it.depth)
    expect(depths).toEqual([...depths].sort((p, q) => p - q))
    expect(found.value.sheets[0]?.panels).toHaveLength(6)
  })
  it('has braces in its corners, two sawn from a square', () => {
    const make = { ...blank.make, braces: chosen('yes'), brace: exactly(80) }
    const braced = setAt(bench, 'housing.make', make)
    const more = (4 * 80 * 80 * 9 * 680) / 1e9
    expect(number(braced, sheetMass, 'nine') - number(bench, sheetMass, 'nine')).toBeCloseTo(more, 9)
    expect(number(braced, boxMass) - number(bench, boxMass)).toBeCloseTo(more, 9)
    expect(number(braced, sheetsToBuy, 'nine')).toBe(1)
  })
  it('refuses a panel that is larger than the sheet, in words', () => {
    const small = setAt(bench, 'housing.sheets.nine.along', exactly(600))
    const { result } = engineFor(small).value(sheetPlan, 'nine')
    expect(result.known ? '' : sayUnknown(result.why, (it) => it).message).toMatch(/does not fit on a sheet/)
  })
  it('has screws every 150 mm at most: by hand 4 corners of 3, 2 × (2 × 5 + 2 × 5) round the floor', () => {
    // (300 − 50)/150 → 2 gaps; (580 − 50)/150 → 4; (620 − 50)/150 → 4. The lid lies on top, unscrewed.
    expect(number(bench, screwsAlong)).toBe(4 * 3 + 2 * 5 + 2 * 5)
  })
})

describe('a lid on gas springs', () => {
  const lid = {
    ...blank.lid,
    extra: exactly(0, 'kg'),
    springs: chosen('gas'),
    count: exactly(2),
    force: exactly(45, 'N'),
    progression: exactly(1.3, 'one'),
    stretched: exactly(396),
    stroke: exactly(150),
    onLid: exactly(150),
    boxOut: exactly(60),
    boxDown: exactly(250),
    opensTo: exactly((75 * Math.PI) / 180, 'rad'),
    coldest: exactly(5, 'degC'),
    warmest: exactly(35, 'degC'),
    friction: exactly(0.5, 'Nm'),
  }
  const bench = benchWith({ needs: NEEDS, size: { ...blank.size, x: exactly(620), y: exactly(482), z: exactly(300) }, lid })
  // Lid 638 × 500 × 9 of birch; everything below by virtual work: dL/dθ by differences.
  const mass = (638 * 500 * 9 * 680) / 1e9
  const long = (a: number): number => Math.hypot(150 * Math.cos(a) - 60, 150 * Math.sin(a) + 250)
  const dLong = (a: number): number => (long(a + 1e-6) - long(a - 1e-6)) / 2e-6
  const weight = (a: number): number => (mass * 9.80665 * 250 * Math.cos(a)) / 1000
  const push = (a: number, celsius: number): number => 45 * (1 + 0.3 * ((396 - long(a)) / 150)) * (1 + 0.0034 * (celsius - 20))
  const opens = (a: number, celsius: number): number => (2 * push(a, celsius) * dLong(a)) / 1000 - weight(a)
  const wide = (75 * Math.PI) / 180
  it('needs, holds and leaves to a hand what virtual work says', () => {
    const angles = Array.from({ length: 25 }, (_, k) => (wide * k) / 24)
    const most = Math.max(...angles.map((a) => (1000 * weight(a)) / (2 * dLong(a))))
    expect(number(bench, holdForce)).toBeCloseTo(most, 4)
    expect(number(bench, labelForce)).toBeCloseTo((1.1 * most) / (1 - 0.0034 * 15), 4)
    expect(number(bench, staysUp)).toBeCloseTo(opens(wide, 5), 4)
    expect(number(bench, staysShut)).toBeCloseTo(0.5 - opens(0, 35), 4)
    const hand = Math.max(...angles.flatMap((a) => [5, 35].map((c) => Math.abs(opens(a, c)))))
    expect(number(bench, handForce)).toBeCloseTo((1000 * hand) / 500, 3)
    expect(number(bench, strokeRoom)).toBeCloseTo(Math.min(396 - long(wide), long(0) - 246), 6)
  })
})

it('a coil of steel pushes alike in the cold and in the warm', () => {
  const lid = {
    ...blank.lid,
    springs: chosen('coil'),
    force: exactly(45, 'N'),
    stretched: exactly(396),
    stroke: exactly(150),
    onLid: exactly(150),
    boxOut: exactly(60),
    boxDown: exactly(250),
  }
  const at = (coldest: number): number =>
    number(benchWith({ needs: NEEDS, lid: { ...lid, coldest: exactly(coldest, 'degC') } }), staysUp)
  expect(at(-10)).toBe(at(20))
})

describe('openings', () => {
  const made = enclosureOf({
    inside: { x: 600, y: 500, z: 400 },
    thickness: 9,
    joint: { kind: 'rebate', depth: 4 },
    hasFloor: true,
    form: 'top',
    frontHeight: 0,
    roofDepth: 0,
    window: null,
  })
  if (!made.ok) throw new Error('no box')
  const box = made.value
  it('lie where they are measured from outside, whichever wall', () => {
    // 109 mm from the left edge and 59 from below, walked by hand round the box.
    expect(onWall('front', 109, 59, box, 9)).toEqual([100, 50])
    expect(onWall('back', 109, 59, box, 9)).toEqual([500, 50])
    expect(onWall('right', 109, 59, box, 9)).toEqual([100, 50])
    expect(onWall('left', 109, 59, box, 9)).toEqual([400, 50])
    expect(onWall('roof', 109, 59, box, 9)).toEqual([100, 50])
  })
  const port = templateOf(portShape, {
    order: 1,
    name: 'Vent',
    wall: 'back',
    x: exactly(309),
    y: exactly(209),
    width: exactly(80),
    height: exactly(60),
    round: chosen('no'),
    filled: chosen('no'),
  })
  it('are cut in their panel, behind the one that it stands between', () => {
    const back = panelDrawings(box, [plainly(port)]).find((it) => it.panel.name === 'back')
    const ring = flattened(back!.holes[0]!.outline, 0.01)
    // The panel is 608 wide and begins 5 mm in.
    expect(Math.min(...ring.map((it) => it.x))).toBeCloseTo(309 - 5 - 40, 9)
    expect(Math.max(...ring.map((it) => it.y))).toBeCloseTo(209 + 30, 9)
  })
  it('get plates over them: a rim of 15 mm, a hole as large as they are; labels carry their words within', () => {
    const cable = plainly({ ...port, kind: 'cable' as const, round: chosen('yes') })
    const label = plainly({ ...port, kind: 'label' as const, name: 'Eyewear on' })
    const [cover, plaque] = insertPlates([cable, label])
    expect(cover).toMatchObject({ width: 110, height: 110 })
    const hole = flattened(cover!.cut[0]!, 0.01)
    expect(Math.max(...hole.map((it) => it.x)) - Math.min(...hole.map((it) => it.x))).toBeCloseTo(80, 1)
    const letters = plaque!.mark.flatMap((it) => flattened(it, 0.1))
    expect(letters.length).toBeGreaterThan(20)
    expect(letters.every((it) => it.x > 0 && it.x < 80 && it.y > 0 && it.y < 60)).toBe(true)
  })
  const lit = (ports: Readonly<Record<string, PortFacts>>, inside: 'black' | 'bright'): number =>
    number(
      benchWith({
        needs: NEEDS,
        size: { ...blank.size, x: exactly(620), y: exactly(580), z: exactly(300), inside: chosen(inside) },
        ports,
      }),
      lightRoom,
      'vent',
    )
  const baffle = templateOf(baffleShape, { order: 1, away: exactly(20), over: exactly(260) })
  it('let a line out until a baffle stands before them; by way of a bright wall all the same', () => {
    expect(lit({ vent: port }, 'black')).toBe(-1)
    const shut = (away: number, over: number) => ({
      vent: { ...port, baffles: { plate: { ...baffle, away: exactly(away), over: exactly(over) } } },
    })
    expect(lit(shut(40, 80), 'black')).toBe(1)
    expect(lit(shut(40, 80), 'bright')).toBe(-1)
    expect(lit(shut(20, 160), 'bright')).toBe(1)
  })
  it('are taken wider than they are, and baffles smaller', () => {
    const { edges, baffles } = wayThrough(plainly({ ...port, baffles: { plate: baffle } }), box, 9)
    expect(edges[0]!.high[0] - edges[0]!.low[0]).toBeGreaterThan(80)
    expect(baffles[0]!.high[0] - baffles[0]!.low[0]).toBeLessThan(80 + 2 * 260)
    expect(innerFaces(box)).toHaveLength(6)
  })
})
