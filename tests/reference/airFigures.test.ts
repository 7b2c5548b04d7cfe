import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { setAt, shownNumber, sayUnknown, templateOf, type AnyFigure, type Fact } from '../../src/core/bench'
import {
  airPartShape,
  airShape,
  airWayShape,
  below,
  clears,
  ductPlate,
  fanGives,
  flowOfWay,
  goesOut,
  helps,
  inward,
  joints,
  partTakes,
  screwLength,
  shareLeft,
  type Air,
  type AirKind,
  type AirPartFacts,
  type AirPlace,
} from '../../src/core/air'
import { emptyBench, engineFor, type Bench } from '../../src/core/document'
import { flattened } from '../../src/core/artwork'

// Figures of Air over benches of our own, held against sums that share nothing with the core: one flow, found by halving,
// with Colebrook by halving as well. Formulas: Darcy–Weisbach, Colebrook (1939), ASHRAE and ACGIH (from memory).

const exactly = (value: number, typedUnit: Fact['typedUnit'] = 'mm'): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})
const chosen = <C extends string>(it: C) => ({ chosen: it, origin: 'stated', doubt: { kind: 'exact' } }) as const

type Given = readonly (readonly [AirKind, Partial<AirPartFacts>])[]

function wayOf(order: number, from: AirPlace, to: AirPlace, parts: Given) {
  const rows = parts.map(([kind, given], k) => [`p${k + 1}`, templateOf(airPartShape, { order: k + 1, kind, ...given })] as const)
  return templateOf(airWayShape, { order, name: `Way ${order}`, from, to, parts: Object.fromEntries(rows) })
}

function benchWith(air: Partial<Air>): Bench {
  return setAt(emptyBench('b', 'Test', '2026-11-28T00:00:00.000Z'), 'air', { ...templateOf(airShape), ...air })
}

const blank = templateOf(airShape)
const BOX = { ...blank.box, caught: chosen('box'), gaps: exactly(30), inlet: exactly(0), volume: exactly(0.12, 'm3') }
const ROOM = { appliance: chosen('none'), supply: exactly(1e4) }
const FAN = { freeFlow: exactly(331.3 / 3600), shutOff: exactly(300), speed: exactly(1), beside: exactly(1) }

/** Root by halving of something that falls. */
function fallsTo(off: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high]
  for (let k = 0; k < 200; k++) {
    const middle = (a + b) / 2
    if (off(middle) > 0) a = middle
    else b = middle
  }
  return (a + b) / 2
}

const RHO = 1.204
const area = (mm: number): number => (Math.PI * (mm / 1000) ** 2) / 4
const velocityPressure = (q: number, mm: number): number => (RHO * (q / area(mm)) ** 2) / 2
function friction(q: number, mm: number, metres: number, rough: number): number {
  const re = (RHO * (q / area(mm)) * mm) / 1000 / 1.825e-5
  const x = fallsTo((it) => -(it + 2 * Math.log10(rough / mm / 3.7 + (2.51 * it) / re)), 1, 30)
  return ((metres * 1000) / mm / (x * x)) * velocityPressure(q, mm)
}
const orifice = (q: number, cm2: number): number => (RHO / 2) * (q / (0.61 * cm2 * 1e-4)) ** 2

const number = (bench: Bench, def: AnyFigure, ...args: string[]): number => {
  const found = shownNumber(engineFor(bench).value(def, ...(args as [])).result)
  if (found === null) throw new Error(`${def.id} is not known`)
  return found
}

const OUT: Given = [
  ['end', { end: chosen('flanged'), diameter: exactly(100) }],
  ['duct', { wall: chosen('hose'), diameter: exactly(100), length: exactly(3000), ribs: exactly(3), slack: exactly(0) }],
  ['bend', { bend: chosen('pleated'), diameter: exactly(100), angle: exactly(Math.PI / 2) }],
  ['fan', FAN],
  ['end', { end: chosen('out'), diameter: exactly(100) }],
]

describe('a box, a hose and a fan', () => {
  const bench = benchWith({ box: BOX, room: ROOM, ways: { out: wayOf(1, 'box', 'outdoors', OUT) } })
  const gives = (q: number): number => 300 * (1 - q / (331.3 / 3600))
  const takes = (q: number): number =>
    orifice(q, 1e4) + orifice(q, 30) + (0.5 + 0.57 + 1) * velocityPressure(q, 100) + friction(q, 100, 3, 3)
  const q = fallsTo((it) => gives(it) - takes(it), 1e-6, 331.3 / 3600)

  it('settles where fan and duct meet', () => {
    expect(number(bench, flowOfWay, 'out') / q).toBeCloseTo(1, 6)
    expect(number(bench, fanGives, 'out') / gives(q)).toBeCloseTo(1, 6)
    expect(number(bench, shareLeft, 'out')).toBeCloseTo(q / (331.3 / 3600), 6)
  })
  it('draws in at its gaps, below the room, and clears by dilution', () => {
    expect(number(bench, inward, 'gaps') / 1000).toBeCloseTo(q / 30e-4, 5)
    expect(number(bench, below)).toBeCloseTo(orifice(q, 30), 4)
    expect(number(bench, clears)).toBeCloseTo((5 * 0.12 * Math.log(100)) / q, 4)
  })
  it('loses at each part what its formula says; behind the last it is outdoors', () => {
    expect(number(bench, partTakes, 'out', 'p2')).toBeCloseTo(friction(q, 100, 3, 3), 4)
    expect(number(bench, partTakes, 'out', 'p3')).toBeCloseTo(0.57 * velocityPressure(q, 100), 5)
    const found = engineFor(bench).value(joints, 'out').result
    if (!found.known) throw new Error('no joints')
    expect(found.value[0]?.before).toBeCloseTo(-orifice(q, 30) - orifice(q, 1e4), 4)
    expect(found.value[4]?.behind).toBeCloseTo(0, 6)
    expect(found.value[1]?.velocity).toBeCloseTo(q / area(100), 6)
  })
  it('would be helped most by what takes most', () => {
    const found = engineFor(bench).value(helps, 'out').result
    if (!found.known) throw new Error('no changes')
    expect(found.value[0]).toMatchObject({ partId: 'p2', kind: 'wider' })
    const wider = (it: number): number => takes(it) - friction(it, 100, 3, 3) + friction(it, 125, 3, 3)
    expect(found.value[0]?.flow).toBeCloseTo(
      fallsTo((it) => gives(it) - wider(it), 1e-6, 331.3 / 3600),
      6,
    )
  })
  it('takes a step between two diameters as a sudden one, and two fans side by side as twice the flow', () => {
    const wider = benchWith({
      box: BOX,
      room: ROOM,
      ways: {
        out: wayOf(1, 'box', 'outdoors', [
          ['duct', { wall: chosen('metal'), diameter: exactly(100), length: exactly(2000) }],
          ['duct', { wall: chosen('metal'), diameter: exactly(125), length: exactly(1000) }],
          ['fan', { ...FAN, beside: exactly(2) }],
        ]),
      },
    })
    const step = (it: number): number => (1 - (100 / 125) ** 2) ** 2 * velocityPressure(it, 100)
    const all = (it: number): number =>
      orifice(it, 1e4) + orifice(it, 30) + friction(it, 100, 2, 0.09) + step(it) + friction(it, 125, 1, 0.09)
    const found = fallsTo((it) => 300 * (1 - it / 2 / (331.3 / 3600)) - all(it), 1e-6, 0.18)
    expect(number(wider, flowOfWay, 'out') / found).toBeCloseTo(1, 6)
  })
})

it('air that is blown into the room from outdoors is not smoke that is let go there; smoke is', () => {
  const ways = (from: AirPlace) => ({ out: wayOf(1, 'box', 'outdoors', OUT), more: wayOf(2, from, 'room', OUT) })
  expect(number(benchWith({ box: BOX, room: ROOM, ways: ways('outdoors') }), goesOut)).toBe(1)
  expect(number(benchWith({ box: BOX, room: ROOM, ways: ways('box') }), goesOut)).toBe(-1)
})

describe('what cannot be worked is said in words', () => {
  const why = (bench: Bench): string => {
    const { result } = engineFor(bench).value(flowOfWay, 'out')
    return result.known ? 'known' : sayUnknown(result.why, (it) => it).message
  }
  const bent = (change: Partial<Air>): Bench =>
    benchWith({ box: BOX, room: ROOM, ways: { out: wayOf(1, 'box', 'outdoors', OUT) }, ...change })
  it.each([
    ['a way without a fan', bent({ ways: { out: wayOf(1, 'box', 'outdoors', OUT.slice(0, 2)) } }), /put a fan into one/],
    ['a way back to itself', bent({ ways: { out: wayOf(1, 'box', 'box', OUT) } }), /leads from the box back to it/],
    ['a way without parts', bent({ ways: { out: wayOf(1, 'box', 'outdoors', []) } }), /without any has no resistance/],
    ['a network in pieces', bent({ ways: { out: wayOf(1, 'joinA', 'joinB', OUT) } }), /in pieces/],
    [
      'a curve that rises',
      bent({
        ways: {
          out: wayOf(1, 'box', 'outdoors', [
            ['fan', { ...FAN, points: { a: { order: 1, flow: exactly(0.05, 'm3/s'), pressure: exactly(400, 'Pa') } } }],
          ]),
        },
      }),
      /does not fall/,
    ],
    ['what nobody has said', bent({ room: { ...ROOM, supply: { ...exactly(1), value: null } } }), /air\.room\.supply/],
  ])('%s', (_, bench, words) => {
    expect(why(bench)).toMatch(words)
  })
  it('a sealed box with one fan moves no air, and nothing says that it is drawn in', () => {
    const shut = bent({ box: { ...BOX, gaps: exactly(0) } })
    expect(number(shut, flowOfWay, 'out')).toBeCloseTo(0, 8)
    expect(number(shut, below)).toBeCloseTo(300, 3)
    expect(shownNumber(engineFor(shut).value(inward, 'gaps').result)).toBeNull()
  })
})

describe('plates for the duct', () => {
  const spec = {
    kind: 'flange',
    width: 140,
    height: 140,
    hole: 99.6,
    play: 0.4,
    bars: 2,
    between: 6,
    screws: 4,
    pitch: 112,
    screwHole: 4.5,
    notch: 0,
  } as const
  it('have open what a count of places over the hole finds open', () => {
    const made = ductPlate(spec)
    if (!made.ok) throw new Error('no plate')
    const rings = made.value.cut.map((it) => flattened(it, 0.01))
    const inside = (x: number, y: number): boolean =>
      rings.slice(0, -5).some((ring) => {
        let is = false
        for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
          const [p, q] = [ring[i]!, ring[j]!]
          if (p.y > y !== q.y > y && x < ((q.x - p.x) * (y - p.y)) / (q.y - p.y) + p.x) is = !is
        }
        return is
      })
    const draw = randomUniform.source(randomLcg(5))(-1, 1)
    let [hits, all] = [0, 0]
    for (let k = 0; k < 30_000; k++) {
      const [x, y] = [draw(), draw()]
      if (x * x + y * y > 1) continue
      all++
      if (inside(70 + 50 * x, 70 + 50 * y)) hits++
    }
    expect(hits / all).toBeCloseTo(made.value.free, 1.5)
  })
  it.each([
    [{ ...spec, hole: 138 }, 'hole-too-wide'],
    [{ ...spec, pitch: 70 }, 'screws-in-hole'],
    [{ ...spec, pitch: 136 }, 'screws-off-edge'],
    [{ ...spec, kind: 'bracket', between: 0, notch: 80 } as const, 'notch-too-wide'],
  ])('say what contradicts', (bad, code) => {
    expect(ductPlate(bad).findings.map((it) => it.code)).toContain(code)
  })
  it('are held by screws that are sold (ISO 4762 lengths, from memory)', () => {
    expect(screwLength(10, 4.5)).toBe(16)
    expect(screwLength(200, 4.5)).toBeNull()
  })
})
