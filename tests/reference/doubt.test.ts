import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import jstat from 'jstat'
import { standardDeviation } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import {
  coverageFactor,
  createEngine,
  figureOf,
  findRoot,
  type AnyFigure,
  type Fact,
  type FigureDef,
  type Instruments,
} from '../../src/core/bench'
import { outOfSquare } from '../../src/core/motion'
import { instrument } from '../../src/core/document'
import { exactly, measured, within } from '../facts'

type Facts = Readonly<Record<string, Fact>>
const about = { label: 't', quantity: 'length', formula: '', symbols: {}, source: 'test', doubt: 'nudge' } as const

function doubtOf<B extends object>(bench: B, work: FigureDef<B, []>['work'], range?: { min: number; max: number }) {
  const def = figureOf<B>()<[], number>({ ...about, id: 'it', work })
  return createEngine(bench, { figures: [def as AnyFigure], specAt: () => range }).withDoubt(def)
}

describe('JCGM 100:2008', () => {
  it('H.1, end gauge: 50 000 838 nm with u 32 nm, 16 degrees of freedom (from memory)', () => {
    const facts: Facts = {
      standard: measured(50_000_623, 25, { doubt: { kind: 'standard', u: 25, dof: 18 } }),
      difference: measured(215, 9.7, { doubt: { kind: 'standard', u: 9.7, dof: 25.6 } }),
      expansion: within(11.5e-6, 2e-6),
      expansionDifference: measured(0, 0.58e-6, { doubt: { kind: 'standard', u: 0.58e-6, dof: 50 } }),
      temperature: measured(-0.1, 0.41),
      temperatureDifference: measured(0, 0.029, { doubt: { kind: 'standard', u: 0.029, dof: 2 } }),
    }
    const it = doubtOf(facts, ({ bench: b }) => {
      const [ls, d, as, da] = [b['standard']!, b['difference']!, b['expansion']!, b['expansionDifference']!]
      return ls + d - ls * (da * b['temperature']! + as * b['temperatureDifference']!)
    })
    expect(it.result).toEqual({ known: true, value: 50_000_838 })
    expect(it.doubt?.u).toBeGreaterThan(31.5)
    expect(it.doubt?.u).toBeLessThan(32.5)
    expect(Math.floor(it.doubt?.dof ?? 0)).toBe(16)
  })

  it('G.2, coverage factors at 95.45 % (from memory), and every other against a statistics library', () => {
    const table = { 1: 13.97, 2: 4.53, 3: 3.31, 5: 2.65, 10: 2.28, 20: 2.13 }
    for (const [dof, k] of Object.entries(table)) expect(coverageFactor(Number(dof))).toBeCloseTo(k, 2)
    for (let dof = 1; dof < 30; dof++) {
      expect(coverageFactor(dof)).toBeCloseTo(jstat.studentt.inv(0.5 + 0.954499736 / 2, dof), 5)
    }
    expect(coverageFactor(30)).toBe(2)
    expect(coverageFactor(10.9)).toBe(coverageFactor(10))
  })

  it('4.3.7, a rectangle of half-width a has u = a/√3', () => {
    expect(doubtOf({ x: within(7, 0.3) }, ({ bench }) => bench.x).doubt?.u).toBeCloseTo(0.173205, 6)
  })
})

describe('what readings share', () => {
  const corners = (by: string, u: number): Facts => ({
    width: measured(400, u, { instrument: by }),
    depth: measured(300, u, { instrument: by }),
    fromOrigin: measured(500.8, u, { instrument: by }),
    across: measured(499.2, u, { instrument: by }),
  })
  const bench = (u: number, scalePercent: number) => {
    const instruments: Instruments = { it: instrument(1, 'Big calipers', 0, 600, 0.02, u, scalePercent) }
    return { instruments, corners: corners('it', u) }
  }
  const squareness: FigureDef<ReturnType<typeof bench>, []>['work'] = ({ bench: { corners: c } }) =>
    outOfSquare({ widthMm: c['width']!, depthMm: c['depth']!, fromOriginMm: c['fromOrigin']!, acrossMm: c['across']! })

  it('cancels: two diagonals by one caliper with 0.1 % scale error are not blurred by it', () => {
    const blurred = doubtOf(bench(0.02, 0.1), squareness)
    const plain = doubtOf(bench(0.02, 0), squareness)
    expect(blurred.leaves.has('instruments.it.scale')).toBe(true)
    expect(blurred.doubt?.u).toBeCloseTo(plain.doubt?.u ?? 0, 9)
    // Had each reading its own 0.1 %, the diagonals alone would bring √2 × 500 × 0.001/√3 mm over 480 mm: 0.85 mrad.
    expect(blurred.doubt?.u).toBeLessThan(0.0001)
  })

  it('does not cancel in a length: 400 mm by the same caliper carries 0.1 %', () => {
    const it = doubtOf(bench(0.02, 0.1), ({ bench: b }) => b.corners['width']!)
    expect(it.doubt?.u).toBeCloseTo(Math.hypot(0.02, (400 * 0.001) / Math.sqrt(3)), 9)
  })

  it('corrects a reading by a known scale error', () => {
    const known = {
      ...bench(0.02, 0),
      instruments: { it: { ...instrument(1, 'c', 0, 600, 0.02, 0.02, 0), scale: exactly(0.01) } },
    }
    expect(doubtOf(known, ({ bench: b }) => b.corners['width']!).result).toEqual({ known: true, value: 404 })
  })
})

describe('responses that are not straight (T6)', () => {
  const how = (it: ReturnType<typeof doubtOf>) => it.doubt?.contributions.map((c) => c.how)

  it('takes the larger side of the smaller of two limits, and says so', () => {
    const it = doubtOf({ a: measured(10, 0.5), b: exactly(10.1) }, ({ bench }) => Math.min(bench.a, bench.b))
    expect(it.doubt?.u).toBeCloseTo(0.5, 12)
    expect(how(it)).toEqual(['larger side'])
  })

  it('does not lose |x| at 0, where the two sides would cancel', () => {
    const it = doubtOf({ x: measured(0, 0.3) }, ({ bench }) => Math.abs(bench.x))
    expect(it.doubt?.u).toBeCloseTo(0.3, 12)
    expect(how(it)).toEqual(['larger side'])
  })

  it('takes the side that moves at a ceiling, and a rounding up that a nudge crosses', () => {
    expect(doubtOf({ x: measured(5, 0.2) }, ({ bench }) => Math.min(bench.x, 5)).doubt?.u).toBeCloseTo(0.2, 12)
    // A step of 1 somewhere within ±2u: the interval reaches over it.
    expect(doubtOf({ x: measured(4.9, 0.2) }, ({ bench }) => Math.ceil(bench.x)).doubt).toMatchObject({ u: 0.5, low: 4, high: 6 })
  })

  it('uses the other side only where a nudge would leave the range of the fact', () => {
    const it = doubtOf({ x: measured(0.1, 0.2) }, ({ bench }) => 3 * bench.x, { min: 0, max: 1 })
    expect(it.doubt?.u).toBeCloseTo(0.6, 12)
    expect(how(it)).toEqual(['one side'])
  })

  it('widens the interval by discrete alternatives, which are never nudged', () => {
    const teeth: Fact = { ...exactly(20), doubt: { kind: 'alternatives', others: [16] } }
    const it = doubtOf({ teeth, pitch: measured(2, 0.01) }, ({ bench }) => 3200 / (bench.teeth * bench.pitch))
    expect(it.doubt?.u).toBeCloseTo(0.4, 3) // pitch alone: 80 × 0.5 %
    expect([it.doubt?.low, it.doubt?.high].map((x) => x?.toFixed(1))).toEqual(['79.0', '101.0']) // 1 % of 80 and of 100
  })

  it('covers every combination of doubtful counts: 200 or 400 steps, 8, 16 or 32 microsteps, 20 or 16 teeth', () => {
    const could = (value: number, ...others: number[]): Fact => ({ ...exactly(value), doubt: { kind: 'alternatives', others } })
    const counts = { full: could(200, 400), micro: could(16, 8, 32), teeth: could(20, 16) }
    const it = doubtOf(counts, ({ bench: b }) => (b.full * b.micro) / (b.teeth * 2))
    expect([it.doubt?.low, it.doubt?.high]).toEqual([(200 * 8) / (20 * 2), (400 * 32) / (16 * 2)])
  })

  it('varies what is read only under one alternative', () => {
    const choice = { chosen: 'own', origin: 'assumed', doubt: { kind: 'alternatives', others: ['shared'] } } as unknown as Fact
    const split: Fact = { ...exactly(2), doubt: { kind: 'alternatives', others: [4] } }
    const it = doubtOf({ choice, split, current: within(1.5, 0.3) }, ({ bench: b }) =>
      String(b.choice) === 'own' ? 2 : b.current / b.split,
    )
    expect(it.doubt?.low).toBeCloseTo(1.5 / 4 - (2 * 0.3) / Math.sqrt(3) / 4, 6)
    expect(it.doubt?.high).toBeGreaterThanOrEqual(2)
  })

  it('bounds more combinations than it works one by one', () => {
    const two: Fact = { ...exactly(1), doubt: { kind: 'alternatives', others: [2] } }
    const many: Facts = Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`n${i}`, two]))
    const product = doubtOf(many, ({ bench }) => Object.keys(many).reduce((times, key) => times * bench[key]!, 1))
    expect(product.doubt?.high).toBeGreaterThanOrEqual(2 ** 12)
    const sum = doubtOf(many, ({ bench }) => Object.keys(many).reduce((total, key) => total + bench[key]!, 0))
    expect(sum.doubt?.high).toBeGreaterThanOrEqual(24)
  })

  it('covers a figure at its extreme: one square, and the sum of five (95 % points of χ²: 3.84 and 11.07)', () => {
    const one = doubtOf({ x: measured(0, 0.3) }, ({ bench }) => bench.x ** 2)
    expect((one.doubt?.high ?? 0) / 0.09).toBeGreaterThan(3.84)
    const names = ['a', 'b', 'c', 'd', 'e']
    const five: Facts = Object.fromEntries(names.map((name) => [name, measured(0, 1)]))
    const sum = doubtOf(five, ({ bench }) => names.reduce((total, name) => total + bench[name]! ** 2, 0))
    expect(sum.doubt?.high).toBeGreaterThan(11.07)
    expect(sum.doubt?.expanded).toBe(sum.doubt?.high)
  })

  it('follows a solver through its root', () => {
    const it = doubtOf({ c: measured(2, 0.02) }, ({ bench }) => findRoot((x) => x ** 3 - bench.c, 0, 3))
    expect(it.result).toMatchObject({ value: expect.closeTo(Math.cbrt(2), 10) as number })
    expect(it.doubt?.u).toBeCloseTo(0.02 / (3 * Math.cbrt(4)), 6) // d∛c/dc = c^(−2/3)/3
  })
})

describe('against 100,000 draws of a general library', () => {
  const SEED = 20261124
  const draw = (fact: Fact, source: () => number): (() => number) => {
    if (fact.doubt.kind === 'standard') return randomNormal.source(source)(fact.value ?? 0, fact.doubt.u)
    const a = fact.doubt.kind === 'halfWidth' ? fact.doubt.a : 0
    return randomUniform.source(source)((fact.value ?? 0) - a, (fact.value ?? 0) + a)
  }

  it(`agrees within 2 % on steps, squareness and a logarithm (seed ${SEED})`, () => {
    const source = randomLcg(SEED)
    const bench: Facts = {
      p: measured(500.8, 0.05),
      q: measured(499.2, 0.05),
      a: within(400, 0.5),
      b: within(300, 0.5),
      w: within(5.5, 0.3),
      e: measured(1.26, 0.02),
    }
    const models: ((f: Record<string, number>) => number)[] = [
      (f) => Math.asin((f['p']! ** 2 - f['q']! ** 2) / (4 * f['a']! * f['b']!)),
      (f) => (200 * 16 * f['a']!) / f['p']! / f['e']!,
      (f) => Math.log10(f['w']! / f['e']!),
    ]
    const draws = Object.entries(bench).map(([name, fact]) => [name, draw(fact, source)] as const)
    const drawn = Array.from({ length: 100_000 }, () => Object.fromEntries(draws.map(([name, next]) => [name, next()])))
    for (const model of models) {
      const worked = doubtOf(bench, ({ bench: b }) => model(b)).doubt?.u ?? 0
      expect(worked / standardDeviation(drawn.map(model))).toBeCloseTo(1, 1.7) // within 0.01 = 10^−1.7 / 2
    }
  })
})
