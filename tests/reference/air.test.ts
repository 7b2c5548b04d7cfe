import { lusolve } from 'mathjs'
import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import {
  AIR,
  bendLoss,
  changesThatHelp,
  clearTime,
  ductNeeds,
  faceVelocity,
  fanAtSpeed,
  fanCurve,
  fanFlow,
  fanPressure,
  fansBeside,
  fansInSeries,
  frictionFactor,
  frictionPerMetre,
  gapFlow,
  grilleLoss,
  guardedArea,
  levelsTogether,
  narrowingLoss,
  openHoodFlow,
  reynolds,
  slackFactor,
  solveAir,
  wideningLoss,
  type AirNetwork,
  type AirPart,
  type FanCurve,
} from '../../src/core/air'

const H = 3600

/** Colebrook and White's equation by halving in f itself: another way to its root. */
function byHalving(re: number, relative: number): number {
  const off = (f: number): number => 1 / Math.sqrt(f) + 2 * Math.log10(relative / 3.7 + 2.51 / (re * Math.sqrt(f)))
  let [low, high] = [1e-4, 1]
  for (let k = 0; k < 80; k++) {
    const middle = (low + high) / 2
    if (off(middle) > 0) low = middle
    else high = middle
  }
  return low
}

describe('friction in ducts', () => {
  it.each([
    // Readings of Moody's chart (Trans. ASME 66, 1944; from memory), to a hundredth.
    [1e4, 0, 0.0309],
    [1e5, 0, 0.018],
    [1e5, 0.001, 0.0222],
    [1e6, 0.0001, 0.0134],
    [1e7, 0.05, 0.0716],
  ])('at Re %d and ε/D %d the chart gives %d', (re, relative, chart) => {
    expect(Math.abs(frictionFactor(re, relative) / chart - 1)).toBeLessThan(0.01)
  })

  it('is the root that halving finds, over the whole chart', () => {
    for (let re = 4000; re < 1e8; re *= 1.7)
      for (const relative of [0, 1e-6, 1e-4, 0.0009, 0.003, 0.03, 0.1])
        expect(frictionFactor(re, relative) / byHalving(re, relative)).toBeCloseTo(1, 10)
  })

  it('is Hagen and Poiseuille’s when laminar, and between the laws the pressure never falls with the flow', () => {
    const [diameter, flow] = [100, 1e-4]
    const poiseuille = (128 * AIR.viscosity * flow) / (Math.PI * 0.1 ** 4)
    expect(frictionPerMetre(flow, diameter, 0.09)).toBeCloseTo(poiseuille, 12)
    let before = 0
    for (let q = 1e-5; q < 0.05; q *= 1.02) {
      const now = frictionPerMetre(q, diameter, 3)
      expect(now).toBeGreaterThan(before)
      before = now
    }
  })

  it('of a worked duct: Ø100, 200 m³/h, in sheet and in hose, and a hose 15 % short (handbook of the trade)', () => {
    expect(reynolds(7.07355, 100)).toBeCloseTo(46666, -1)
    expect(frictionPerMetre(200 / H, 100, 0.09)).toBeCloseTo(7.22, 2)
    expect(frictionPerMetre(200 / H, 100, 3)).toBeCloseTo(17.42, 2)
    expect(slackFactor(100, 0.15)).toBeCloseTo(6.3, 1)
  })
})

describe('fittings, openings and hoods', () => {
  it('come to what tables give (ASHRAE and ACGIH, from memory)', () => {
    expect(grilleLoss(0.5)).toBeCloseTo(5.2, 1)
    expect(wideningLoss(100, 1e3)).toBeCloseTo(0.98, 2)
    expect(narrowingLoss(1e3, 100)).toBeCloseTo(0.495, 3)
    expect(bendLoss(1.2, Math.PI / 2)).toBeCloseTo(1.2, 12)
    expect(guardedArea(150 / H, 0.5)).toBeCloseTo(833, 0)
    expect(faceVelocity(150 / H, 833.33)).toBeCloseTo(0.5, 4)
    expect(openHoodFlow(0.5, 150, 100, false) * H).toBeCloseTo(423, 0)
    expect(openHoodFlow(0.5, 150, 100, true) * H).toBeCloseTo(317, 0)
    expect(levelsTogether([50, 50, 50])).toBeCloseTo(54.77, 2)
  })

  it('a box clears as its own dilution does, step by step', () => {
    const [volume, flow] = [0.12, 150 / H]
    let [left, t] = [1, 0]
    const step = 1e-3
    for (; left > 0.01; t += step) {
      // Runge and Kutta's rule of the second order on dc/dt = −Qc/V.
      const half = left - (step / 2) * (flow / volume) * left
      left -= step * (flow / volume) * half
    }
    expect(clearTime(volume, flow, 1, 0.01)).toBeCloseTo(t, 2)
    expect(clearTime(volume, flow, 3, 0.01)).toBeCloseTo(39.8, 1)
  })

  it('an orifice lets through what Bernoulli says, contracted', () => {
    expect(gapFlow(100, 5)).toBeCloseTo(0.61 * 0.01 * Math.sqrt(10 / AIR.density), 12)
    expect(gapFlow(100, -5)).toBeCloseTo(-gapFlow(100, 5), 12)
  })
})

function curveOf(...points: readonly (readonly [hourly: number, pascal: number])[]): FanCurve {
  const made = fanCurve(points.map(([flow, pressure]) => ({ flow: flow / H, pressure })))
  if (!made.ok) throw new Error(made.findings[0]?.message)
  return made.value
}

describe('fans', () => {
  const inline = curveOf([0, 300], [331.3, 0])
  const other = curveOf([0, 180], [150, 140], [260, 60], [300, 0])

  it('by the fan laws: at 0.8 of the speed 0.8 of the flow and 0.64 of the pressure', () => {
    const slow = fanAtSpeed(other, 0.8)
    for (const flow of [0, 0.03, 0.06]) expect(fanPressure(slow, 0.8 * flow)).toBeCloseTo(0.64 * fanPressure(other, flow), 9)
  })

  it('in series and side by side are what adding pressures, or flows, gives', () => {
    const series = fansInSeries(inline, other)
    const beside = fansBeside(inline, other)
    for (let k = 0; k <= 20; k++) {
      const flow = (0.08 * k) / 20
      expect(fanPressure(series, flow)).toBeCloseTo(fanPressure(inline, flow) + fanPressure(other, flow), 9)
      const pressure = (180 * k) / 20
      expect(fanFlow(beside, pressure)).toBeCloseTo(fanFlow(inline, pressure) + fanFlow(other, pressure), 9)
      expect(fanPressure(beside, fanFlow(beside, pressure))).toBeCloseTo(pressure, 9)
    }
  })

  it.each([
    ['one flow on a label', [[195, 0]], 'one-point'],
    [
      'a curve that rises',
      [
        [0, 100],
        [100, 120],
        [200, 0],
      ],
      'rising',
    ],
    [
      'a pressure below 0',
      [
        [0, 100],
        [100, -5],
      ],
      'negative',
    ],
    [
      'two pressures at one flow',
      [
        [0, 100],
        [100, 50],
        [100, 40],
      ],
      'twice',
    ],
  ] as const)('%s is refused in words', (_, points, code) => {
    const made = fanCurve(points.map(([flow, pressure]) => ({ flow: flow / H, pressure })))
    expect(made).toMatchObject({ ok: false, findings: [{ code }] })
  })
})

/** What a part adds at a flow, and how steeply, written apart: a + b·Q about the flow. */
function lineOf(part: AirPart, flow: number): readonly [a: number, b: number] {
  const size = Math.max(Math.abs(flow), 1e-9)
  const bore = (diameter: number): number => (Math.PI / 4) * (diameter / 1000) ** 2
  switch (part.kind) {
    case 'duct': {
      const d = part.diameter / 1000
      const v = size / bore(part.diameter)
      const re = (1.204 * v * d) / 1.825e-5
      const rel = part.roughness / part.diameter
      const [laminar, turbulent] = [64 / 2300, byHalving(Math.max(4000, re), rel)]
      const mid = laminar + ((re - 2300) / 1700) * (byHalving(4000, rel) - laminar)
      const f = re <= 2300 ? 64 / re : re >= 4000 ? turbulent : mid
      return [0, (-part.slack * f * (part.length / 1000 / d) * 0.602 * v * v) / size]
    }
    case 'fitting':
      return [0, (-part.k * 0.602 * (size / bore(part.diameter)) ** 2) / size]
    case 'gap':
      return [0, (-0.602 * (size / (0.61 * part.area * 1e-4)) ** 2) / size]
    case 'stated':
      return [0, (-part.pressure * (size / part.flow) ** part.power) / size]
    case 'fan': {
      const points = part.curve
      const k = Math.max(
        1,
        points.findIndex((it) => it.flow >= flow) < 0 ? points.length - 1 : points.findIndex((it) => it.flow >= flow),
      )
      const [p, q] = [points[k - 1]!, points[k]!]
      const b = (q.pressure - p.pressure) / (q.flow - p.flow)
      return [p.pressure - b * p.flow, b]
    }
  }
}

/**
 * The linear theory method (Wood and Charles, J. Hydraul. Div. ASCE 98, 1972; from memory): all flows and pressures at
 * once from a linear system, solved by mathjs, its losses made straight about the last flows, which are averaged.
 */
function byLinearTheory({ rooms, branches }: AirNetwork): ReadonlyMap<string, number> {
  const places = [...new Set(branches.flatMap((it) => [it.from, it.to]))].filter((it) => rooms[it] === undefined)
  const [n, m] = [branches.length, places.length]
  let flows = branches.map(() => 0.02)
  for (let round = 0; round < 400; round++) {
    const matrix = Array.from({ length: n + m }, () => Array<number>(n + m).fill(0))
    const right = Array<number>(n + m).fill(0)
    branches.forEach((it, k) => {
      const lines = it.parts.map((part) => lineOf(part, flows[k]!))
      matrix[k]![k] = lines.reduce((sum, [, b]) => sum + b, 0)
      right[k] = -lines.reduce((sum, [a]) => sum + a, 0)
      for (const [place, sign] of [
        [it.from, 1],
        [it.to, -1],
      ] as const) {
        const j = places.indexOf(place)
        if (j < 0) right[k] -= sign * (rooms[place] ?? 0)
        else {
          matrix[k]![n + j] = sign
          matrix[n + j]![k] = sign
        }
      }
    })
    const solution = (lusolve(matrix, right) as number[][]).map(([it]) => it!)
    const next = flows.map((it, k) => (round === 0 ? solution[k]! : (it + solution[k]!) / 2))
    const moved = Math.hypot(...next.map((it, k) => it - flows[k]!))
    flows = next
    if (moved < 1e-12) break
  }
  return new Map(branches.map((it, k) => [it.id, flows[k]!]))
}

const duct = (length: number, diameter = 100, roughness = 0.09, slack = 1): AirPart => ({
  kind: 'duct',
  diameter,
  length,
  roughness,
  slack,
})
const k = (loss: number, diameter = 100): AirPart => ({ kind: 'fitting', diameter, k: loss })
const gap = (area: number): AirPart => ({ kind: 'gap', area })
const fan = (...points: readonly (readonly [number, number])[]): AirPart => ({ kind: 'fan', curve: curveOf(...points) })
const way = (id: string, from: string, to: string, ...parts: readonly AirPart[]) => ({ id, from, to, parts })
const ROOMS = { room: 0, outside: 0 }
const FAN = fan([0, 300], [331.3, 0])
const HUMPED = fan([0, 250], [120, 210], [240, 90], [290, 0])
const FILTER: AirPart = { kind: 'stated', flow: 200 / H, pressure: 60, power: 1 }
const FLAP: AirPart = { kind: 'stated', flow: 200 / H, pressure: 15, power: 2 }

const NETWORKS: Readonly<Record<string, AirNetwork>> = {
  'a fan, a hose and its ends': { rooms: ROOMS, branches: [way('duct', 'room', 'outside', FAN, duct(3000, 100, 3), k(2.4))] },
  'a box with leaks, inlet, filter and flap': {
    rooms: ROOMS,
    branches: [
      way('leaks', 'room', 'box', gap(25)),
      way('inlet', 'room', 'box', gap(80), k(5.2, 120)),
      way('duct', 'box', 'outside', FILTER, HUMPED, FLAP, duct(4000)),
    ],
  },
  'a tight box with a supply fan': {
    rooms: ROOMS,
    branches: [
      way('leaks', 'room', 'box', gap(8)),
      way('supply', 'room', 'box', fan([0, 80], [160, 0]), duct(1500, 80)),
      way('duct', 'box', 'outside', FAN, duct(4000)),
    ],
  },
  'a loop of two unlike ducts': {
    rooms: ROOMS,
    branches: [
      way('hood', 'room', 'tee', k(1)),
      way('long', 'tee', 'far', duct(9000, 80)),
      way('short', 'tee', 'far', duct(2000, 63, 3), k(3, 63)),
      way('out', 'far', 'outside', FAN, k(1)),
    ],
  },
  'a bridge: two loops with a way across': {
    rooms: ROOMS,
    branches: [
      way('in', 'room', 'a', gap(90)),
      way('ab', 'a', 'b', duct(2000, 80)),
      way('ac', 'a', 'c', duct(6000, 63)),
      way('bc', 'b', 'c', duct(1000, 50, 3)),
      way('bd', 'b', 'd', duct(5000, 63)),
      way('cd', 'c', 'd', duct(2500, 80)),
      way('out', 'd', 'outside', HUMPED, k(1.3)),
    ],
  },
  'two places with gates on one fan': {
    rooms: ROOMS,
    branches: [
      way('box', 'room', 'tee', gap(70), duct(1500, 100, 3, 2), { kind: 'stated', flow: 200 / H, pressure: 20, power: 2 }),
      way('soldering', 'room', 'tee', k(1, 63), duct(2500, 63, 3), { kind: 'stated', flow: 50 / H, pressure: 200, power: 2 }),
      way('out', 'tee', 'outside', FAN, duct(5000), k(2.1)),
    ],
  },
  'two fans, one after the other, with a leak between': {
    rooms: ROOMS,
    branches: [
      way('first', 'room', 'mid', FAN, duct(6000, 80)),
      way('leak', 'mid', 'room', gap(6)),
      way('second', 'mid', 'outside', HUMPED, duct(3000), k(1)),
    ],
  },
  'two fans beside one another, one of them weaker': {
    rooms: ROOMS,
    branches: [
      way('in', 'room', 'box', gap(60)),
      way('strong', 'box', 'tee', FAN),
      way('weak', 'box', 'tee', fan([0, 40], [200, 0]), FLAP),
      way('out', 'tee', 'outside', duct(8000, 80), k(2, 80)),
    ],
  },
  'a workshop under pressure, wind on the outlet': {
    rooms: { room: -4, outside: 12, loft: 0 },
    branches: [
      way('leaks', 'room', 'box', gap(40)),
      way('up', 'box', 'loft', gap(15)),
      way('duct', 'box', 'outside', HUMPED, duct(3000, 100, 3)),
    ],
  },
}

describe('networks of air against an independent solver', () => {
  it.each(Object.entries(NETWORKS))('%s', (_, network) => {
    const found = solveAir(network)
    if (!found.ok) throw new Error(found.findings[0]?.message)
    for (const [id, flow] of byLinearTheory(network)) expect(found.value.flows[id]! * H).toBeCloseTo(flow * H, 4)
  })

  it('as worked by hand: p = 300 (1 − Q/331.3) against 3 m of hose of Ø100 and ΣK 2.4 (handbook of the trade)', () => {
    const found = solveAir(NETWORKS['a fan, a hose and its ends']!)
    const flow = found.ok ? found.value.flows['duct']! : 0
    expect(flow * H).toBeCloseTo(197.4, 1)
    expect(300 * (1 - (flow * H) / 331.3)).toBeCloseTo(121.3, 1)
  })

  it('that are drawn: 60 boxes with leaks, branches and loops', () => {
    const source = randomLcg(17)
    const drawn = (low: number, high: number): number => randomUniform.source(source)(low, high)()
    for (let round = 0; round < 60; round++) {
      const network: AirNetwork = {
        rooms: ROOMS,
        branches: [
          way('leaks', 'room', 'box', gap(drawn(2, 60))),
          way('inlet', 'room', 'box', gap(drawn(10, 150)), k(drawn(0.5, 8), 120)),
          way('hood', 'box', 'tee', k(drawn(0, 2)), duct(drawn(500, 5000), drawn(60, 160), 3, drawn(1, 6))),
          way('bypass', 'box', 'tee', duct(drawn(300, 3000), drawn(40, 100), drawn(0.01, 3))),
          way('bench', 'room', 'tee', gap(drawn(5, 60)), FLAP),
          way(
            'out',
            'tee',
            'outside',
            fan([0, drawn(80, 400)], [drawn(120, 500), 0]),
            duct(drawn(1000, 9000), drawn(80, 160)),
            k(drawn(1, 4)),
          ),
        ],
      }
      const found = solveAir(network)
      if (!found.ok) throw new Error(found.findings[0]?.message)
      for (const [id, flow] of byLinearTheory(network)) expect(found.value.flows[id]! * H).toBeCloseTo(flow * H, 3)
    }
  })

  it('the duct’s own curve goes through the place where the fan works, and rises', () => {
    const network = NETWORKS['a box with leaks, inlet, filter and flap']!
    const found = solveAir(network)
    const flow = found.ok ? found.value.flows['duct']! : 0
    const needs = (at: number): number => {
      const it = ductNeeds(network, 'duct', at)
      if (!it.ok) throw new Error(it.findings[0]?.message)
      return it.value
    }
    const curve = curveOf([0, 250], [120, 210], [240, 90], [290, 0])
    expect(needs(flow)).toBeCloseTo(fanPressure(curve, flow), 1)
    expect([0.02, 0.04, 0.06].map(needs)).toEqual([0.02, 0.04, 0.06].map(needs).toSorted((p, q) => p - q))
  })

  it.each([
    ['no fan', [way('a', 'room', 'outside', duct(1000))], 'no-fan'],
    ['pieces', [way('a', 'room', 'outside', FAN), way('b', 'box', 'tee', duct(1000))], 'in-pieces'],
    ['a way with nothing on it', [way('a', 'room', 'outside', FAN), way('b', 'room', 'outside')], 'no-resistance'],
    ['a name twice', [way('a', 'room', 'outside', FAN), way('a', 'room', 'outside', duct(10))], 'twice'],
    ['no room at all', [way('a', 'box', 'tee', FAN), way('b', 'tee', 'box', duct(100))], 'in-pieces'],
  ] as const)('with %s are refused in words', (_, branches, code) => {
    expect(solveAir({ rooms: ROOMS, branches })).toMatchObject({ ok: false, findings: [{ code }] })
  })

  it('of all changes to one part the one that helps most comes first, and each is what solving anew gives', () => {
    const network: AirNetwork = {
      rooms: ROOMS,
      branches: [
        way('leaks', 'room', 'box', gap(20)),
        way('inlet', 'room', 'box', gap(60)),
        way('duct', 'box', 'outside', FAN, duct(3000, 100, 3, 4), k(1.2), k(0.3), FILTER),
      ],
    }
    const now = byLinearTheory(network).get('duct')!
    const found = changesThatHelp(network, 'duct', ['leaks'])
    expect(found.map((it) => it.gain)).toEqual(found.map((it) => it.gain).toSorted((p, q) => q - p))
    // Whatever lets more through on the way of all the air lets more through in all.
    for (const it of found) expect(it.gain).toBeGreaterThan(0)
    expect(found.some((it) => it.branch === 'leaks')).toBe(false)
    const stretched = found.find((it) => it.kind === 'stretch')!
    const parts = [FAN, duct(3000, 100, 3), k(1.2), k(0.3), FILTER]
    const anew = byLinearTheory({
      ...network,
      branches: [...network.branches.slice(0, 2), way('duct', 'box', 'outside', ...parts)],
    })
    expect((now + stretched.gain) * H).toBeCloseTo(anew.get('duct')! * H, 3)
    // A slack hose is what most is lost by; half a bend least. (common practice)
    expect(['wider', 'smooth', 'stretch']).toContain(found[0]!.kind)
    expect(found.at(-1)).toMatchObject({ kind: 'gentler', part: 3 })
  })

  it('a loop without a fan stands still, and a fan that is blown backwards is named', () => {
    const still = solveAir({
      rooms: ROOMS,
      branches: [
        way('duct', 'room', 'outside', FAN, duct(1000)),
        way('there', 'room', 'far', duct(1000)),
        way('back', 'far', 'room', gap(20)),
      ],
    })
    expect(still.ok && Math.abs(still.value.flows['there']!)).toBeLessThan(1e-9)
    const blown = solveAir({
      rooms: ROOMS,
      branches: [
        way('in', 'room', 'box', FAN),
        way('weak', 'room', 'box', fan([0, 20], [100, 0])),
        way('out', 'box', 'outside', duct(9000, 50)),
      ],
    })
    expect(blown).toMatchObject({ ok: true, findings: [{ code: 'blown-back' }] })
  })
})
