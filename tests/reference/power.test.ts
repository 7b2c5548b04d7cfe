import fc from 'fast-check'
import { lusolve, matrix } from 'mathjs'
import { describe, expect, it } from 'vitest'
import {
  carries,
  chainTemperature,
  cornerFrequency,
  dewPoint,
  gaugeDiameter,
  levelMargin,
  lifeFactor,
  reservoir,
  ripple,
  sectionOf,
  solveRail,
  wireResistance,
  type Gauge,
  type Rail,
} from '../../src/core/electrical'

describe('copper wire', () => {
  // ASTM B258, solid wire: diameter in mm; IEC 60028 for its resistance at 20 °C, mΩ/m.
  it.each([
    [26, 0.4049, 133.9],
    [24, 0.5106, 84.2],
    [22, 0.6438, 52.96],
    [20, 0.8118, 33.31],
    [18, 1.0237, 20.95],
    [16, 1.2908, 13.17],
    [14, 1.6277, 8.286],
  ])('of AWG %d measures %f mm and has %f mΩ a metre', (gauge, diameter, milliohms) => {
    expect(gaugeDiameter(gauge)).toBeCloseTo(diameter, 3)
    expect(wireResistance(1000, (Math.PI / 4) * diameter ** 2) * 1000).toBeCloseTo(milliohms, milliohms > 50 ? 0 : 1)
  })

  it('drops 0.636 V on 2 m of AWG 22 at 3 A, there and back; 0.393 % more for each kelvin', () => {
    const there = wireResistance(2000, sectionOf('awg22'))
    expect(2 * there * 3).toBeCloseTo(0.636, 3)
    expect(wireResistance(2000, sectionOf('awg22'), 21) / there).toBeCloseTo(1.00393, 6)
  })

  it('carries 3 A of AWG 22 and 7 A of AWG 18 (common practice), 8.6 to 18.3 A of 0.75 to 2.5 mm² (IEC 60204-1 table 6, from memory)', () => {
    expect(['awg22', 'awg18', 'mm075', 'mm100', 'mm150', 'mm250'].map((it) => carries(it as Gauge))).toEqual([
      3, 7, 8.6, 10.3, 13.5, 18.3,
    ])
  })
})

it('3.3 V logic drives TTL levels and not 5 V CMOS (JESD8C, JESD7-A, from memory)', () => {
  expect(levelMargin('lvttl', 'lvttl')).toBeCloseTo(0.4, 12)
  expect(levelMargin('lvttl', 'ttl')).toBeGreaterThan(0)
  expect(levelMargin('lvttl', 'cmos5')).toBeCloseTo(-1.1, 12)
  expect(levelMargin('cmos5', 'cmos5')).toBeGreaterThan(0)
})

describe('filter and reservoir', () => {
  it('10 kΩ and 1 µF at 5 kHz, half on: 15.9 Hz, 25 mV; a simulated step agrees', () => {
    expect(cornerFrequency(10_000, 1e-6)).toBeCloseTo(15.915, 3)
    const signal = { volts: 5, duty: 0.5, frequency: 5000, ohms: 10_000, farads: 1e-6 }
    expect(ripple(signal)).toBeCloseTo(0.025, 6)
    // The exact charge over one half period from the steady state: V/2 · tanh(T / 4RC), both ways.
    expect(ripple(signal)).toBeCloseTo(5 * Math.tanh(1 / 5000 / 4 / 0.01), 5)
  })

  it('2 A over a half wave of 60 Hz and 50 Hz with half a volt of sag: 33 and 40 mF', () => {
    expect(reservoir(2, 1 / 120, 0.5)).toBeCloseTo(0.0333, 4)
    expect(reservoir(2, 1 / 100, 0.5)).toBeCloseTo(0.04, 12)
  })
})

describe('heat', () => {
  it('14 W through 1.5 + 0.5 + 2.5 K/W at 25 °C: 88 °C', () => {
    expect(chainTemperature(25, 14, [1.5, 0.5, 2.5])).toBe(88)
  })

  // Psychrometric tables: 25 °C at 50 % condenses at 13.9 °C, 30 °C at 80 % at 26.2 °C, at 100 % at its own temperature.
  it.each([
    [25, 0.5, 13.9],
    [30, 0.8, 26.2],
    [20, 0.4, 6],
    [18, 1, 18],
  ])('air of %d °C at %f condenses at %f °C', (air, humidity, dew) => {
    expect(dewPoint(air, humidity)).toBeCloseTo(dew, 1)
  })

  it('ten kelvin less at 0.6 eV doubles a diode’s life (Arrhenius): 2.03', () => {
    expect(lifeFactor(0.6, 45, 35)).toBeCloseTo(2.03, 2)
    expect(lifeFactor(0.6, 35, 45) * lifeFactor(0.6, 45, 35)).toBeCloseTo(1, 12)
  })
})

const pair = (ohms: number, watts: number, amps = 0): Rail => ({
  source: 's',
  volts: 24,
  wires: [{ id: 'w', from: 's', to: 'a', ohms }],
  loads: [{ node: 'a', name: 'head', watts, amps }],
})

describe('a rail', () => {
  it('with a constant power has the higher of its two voltages: 100 W behind 0.5 Ω at 24 V (by hand)', () => {
    const solved = solveRail(pair(0.5, 100))
    if (!solved.ok) throw new Error('refused')
    // V² − 24 V + 50 = 0: 21.695 and 2.305 V.
    expect(solved.value.volts.get('a')).toBeCloseTo((24 + Math.sqrt(24 * 24 - 4 * 50)) / 2, 9)
    expect(solved.value.given).toBeCloseTo(100 / 21.6954, 4)
  })

  it('that cannot carry its load is refused, and says up to where it could: 100 W behind 2 Ω (by hand: 72 W at most)', () => {
    const solved = solveRail(pair(2, 100))
    expect(solved).toMatchObject({ ok: false, findings: [{ code: 'no-solution' }] })
    expect(solved.ok ? '' : solved.findings[0]?.message).toContain('at 72 % of it')
    expect(solveRail(pair(2, 71.9)).ok).toBe(true)
  })

  it('with a constant current drops by Ohm’s law; a divider of two pairs adds up (by hand)', () => {
    const chain: Rail = {
      source: 's',
      volts: 12,
      wires: [
        { id: 'p', from: 's', to: 'a', ohms: 0.2 },
        { id: 'q', from: 'a', to: 'b', ohms: 0.3 },
      ],
      loads: [
        { node: 'a', name: 'fan', watts: 0, amps: 1 },
        { node: 'b', name: 'pump', watts: 0, amps: 2 },
      ],
    }
    const solved = solveRail(chain)
    if (!solved.ok) throw new Error('refused')
    expect([...solved.value.volts.values()].map((it) => Number(it.toFixed(9)))).toEqual([12, 11.4, 10.8])
    expect([solved.value.amps.get('p'), solved.value.given].map((it) => Number((it ?? 0).toFixed(6)))).toEqual([3, 3])
  })

  it('refuses a resistance below 0 and a source without a voltage', () => {
    expect(() => solveRail(pair(-1, 1))).toThrow(/ohms of w/)
    expect(() => solveRail({ ...pair(1, 1), volts: 0 })).toThrow(/volts/)
  })

  it('agrees with another solution on 240 random networks: nodal equations by mathjs, loads by repeated currents (seed 11)', () => {
    let solvedOnes = 0
    fc.assert(
      fc.property(networks(), (rail) => {
        const solved = solveRail(rail)
        const other = byMathjs(rail)
        if (other === null) return
        if (!solved.ok) throw new Error(`refused what mathjs solves: ${JSON.stringify(rail)}`)
        solvedOnes++
        for (const [node, volts] of other) expect(solved.value.volts.get(node)).toBeCloseTo(volts, 6)
      }),
      { seed: 11, numRuns: 240 },
    )
    expect(solvedOnes).toBeGreaterThan(200)
  })
})

/** Trees of pairs with a few more between them, loads of both kinds everywhere. */
function networks(): fc.Arbitrary<Rail> {
  const ohms = fc.double({ min: 0.005, max: 0.4, noNaN: true })
  return fc
    .record({
      size: fc.integer({ min: 1, max: 8 }),
      volts: fc.constantFrom(5, 12, 24, 48),
      parents: fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
      ohms: fc.array(ohms, { minLength: 12, maxLength: 12 }),
      loads: fc.array(fc.tuple(fc.double({ min: 0, max: 12, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true })), {
        minLength: 8,
        maxLength: 8,
      }),
      meshes: fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 3 }),
    })
    .map(({ size, volts, parents, ohms: all, loads, meshes }) => {
      const node = (i: number): string => (i === 0 ? 's' : `n${i}`)
      const tree = Array.from({ length: size }, (_, i) => ({
        id: `t${i}`,
        from: node((parents[i] ?? 0) % (i + 1)),
        to: node(i + 1),
        ohms: all[i] ?? 0.1,
      }))
      const more = meshes
        .map(([p, q], i) => ({ id: `m${i}`, from: node(p % (size + 1)), to: node(q % (size + 1)), ohms: all[8 + i] ?? 0.1 }))
        .filter((it) => it.from !== it.to)
      return {
        source: 's',
        volts,
        wires: [...tree, ...more],
        loads: Array.from({ length: size }, (_, i) => ({
          node: node(i + 1),
          name: `load ${i}`,
          watts: (loads[i]?.[0] ?? 0) * (volts / 24),
          amps: loads[i]?.[1] ?? 0,
        })),
      }
    })
}

/** The same by another way and a library: currents of the loads from the last voltages, until those stand; null where they do not. */
function byMathjs({ source, volts, wires, loads }: Rail): ReadonlyMap<string, number> | null {
  const nodes = [...new Set(wires.flatMap((it) => [it.from, it.to]))].filter((it) => it !== source)
  const at = (node: string): number => nodes.indexOf(node)
  const g = nodes.map(() => nodes.map(() => 0))
  const fed = nodes.map(() => 0)
  for (const { from, to, ohms } of wires) {
    for (const [own, other] of [
      [from, to],
      [to, from],
    ] as const) {
      if (own === source) continue
      g[at(own)]![at(own)]! += 1 / ohms
      if (other === source) fed[at(own)]! += volts / ohms
      else g[at(own)]![at(other)]! -= 1 / ohms
    }
  }
  let v = nodes.map(() => volts)
  for (let round = 0; round < 2000; round++) {
    const right = fed.map((it, i) => {
      const own = loads.filter((load) => load.node === nodes[i])
      return it - own.reduce((sum, load) => sum + load.watts / v[i]! + load.amps, 0)
    })
    const next = lusolve(matrix(g), right)
      .toArray()
      .map((row) => Number((row as number[])[0]))
    if (next.some((it) => !(it > 0.25 * volts))) return null
    const moved = Math.max(...next.map((it, i) => Math.abs(it - v[i]!)))
    v = next
    if (moved < 1e-12 * volts) return new Map(nodes.map((it, i) => [it, v[i]!]))
  }
  return null
}
