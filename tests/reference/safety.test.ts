import { describe, expect, it } from 'vitest'
import { emptyBench, engineFor, judgeAll, type Bench } from '../../src/core/document'
import { setAt, templateOf } from '../../src/core/bench'
import { heron } from '../../src/data/heron'
import {
  correctionFactors,
  densityToAskFor,
  exposureLimit,
  glassesShape,
  requiredDensity,
  scaleNumber,
  scaleReached,
  skinLimit,
} from '../../src/core/safety'

describe('exposure limits, IEC 60825-1:2014 tables A.1 and A.2 (from memory)', () => {
  it.each([
    [455, 0.25, 25.46],
    [455, 9.999999, 10.12], // the formula below 10 s
    [455, 10, 10.0],
    [455, 100, 1.259],
    [455, 1000, 1.259], // C₃ from 100 s on
    [450, 100, 1.0],
    [532, 0.25, 25.46], // a 1 mW pointer through 7 mm is 25.98 W/m²: the class 2 limit (common practice)
    [633, 100, 10.0], // thermal only above 600 nm
    [808, 10, 16.44],
    [1064, 10, 50.0],
    [1064, 1, 90.0],
  ])('%d nm for %d s: %d W/m²', (wavelength, seconds, limit) => {
    expect(exposureLimit(wavelength, seconds) / limit).toBeCloseTo(1, 3)
  })

  it('falls or stays with time, at every wavelength it covers, but for the joint of the tables at 10 s', () => {
    for (let wavelength = 400; wavelength <= 1400; wavelength += 25) {
      const limits = [0.25, 1, 5, 9.9].map((t) => exposureLimit(wavelength, t))
      const long = [10, 30, 100, 1000, 30_000].map((t) => exposureLimit(wavelength, t))
      for (const series of [limits, long]) expect([...series].sort((p, q) => q - p)).toEqual(series)
    }
  })

  it('factors join at their limits: C₃ at 450 nm, C₄ at 700 and 1050 nm, C₇ at 1150 and 1200 nm', () => {
    expect(correctionFactors(450).c3).toBeCloseTo(correctionFactors(450.001).c3, 3)
    expect(correctionFactors(700).c4).toBeCloseTo(correctionFactors(700.001).c4, 3)
    expect(correctionFactors(1050).c4).toBeCloseTo(5.01, 2)
    expect(correctionFactors(1150).c7).toBeCloseTo(1, 9)
    expect(correctionFactors(1200).c7).toBeCloseTo(7.94, 2)
    expect(correctionFactors(1300).c7).toBeCloseTo(108, 9)
  })

  it.each([
    [399, 100],
    [1401, 10],
    [455, 0.1],
  ])('is not known at %d nm for %d s', (wavelength, seconds) => {
    expect(() => exposureLimit(wavelength, seconds)).toThrow(RangeError)
  })
})

describe('optical density to watch and to glance (7 mm pupil)', () => {
  it.each([
    [5.5, 455, 0.25, 3.75],
    [5.5, 455, 10, 4.16],
    [5.5, 455, 100, 5.06],
    [10, 450, 100, 5.42],
    [2, 808, 10, 3.5],
    [5.5, 520, 100, 4.16],
    [2, 1064, 10, 3.02],
  ])('%d W at %d nm, %d s: %d', (power, wavelength, seconds, density) => {
    const needed = requiredDensity(power, exposureLimit(wavelength, seconds))
    // The table's densities are rounded up to two places.
    expect(Math.ceil(needed * 100 - 1e-6) / 100).toBeCloseTo(density, 9)
  })

  it('asks for a density on the protective side: up to the next tenth, its doubt added', () => {
    expect(densityToAskFor(5.055, 0)).toBe(5.1)
    expect(densityToAskFor(5.055, 0.1)).toBe(5.2)
    expect(densityToAskFor(5.1, 0)).toBe(5.1)
    expect(densityToAskFor(-0.3, 0)).toBe(0)
  })

  it('EN 207: 5.5 W in a beam of 2 mm needs LB6 (from memory)', () => {
    expect(scaleNumber(5.5, 0.002, 'plastic')).toBe(6)
    expect(scaleNumber(0.0001, 0.007, 'glass')).toBe(1)
  })

  // EN 207:2009, annex B (from memory): the power density times d^1.7 on glass, d^1.17 on polycarbonate, d in mm.
  it('EN 207: 10 W on 5 mm need LB6, for a wide beam counts more; up to 1 mm nothing changes', () => {
    expect([scaleNumber(10, 0.005, 'plastic'), scaleNumber(10, 0.005, 'glass')]).toEqual([6, 6])
    expect(10 ** (scaleReached(10, 0.005, 'plastic') + 1)).toBeCloseTo((40 / (Math.PI * 25e-6)) * 5 ** 1.17, 0)
    expect(scaleReached(3, 0.0008, 'glass')).toBe(scaleReached(3, 0.0008, 'plastic'))
  })

  // IEC 60825-1, notes to table A.1, and ICNIRP 2013 (from memory): 10⁴ W/m² from 10 s where the eye alone would stand more.
  it('allows the eye never more than the skin', () => {
    for (const wavelength of [1310, 1320, 1350, 1400]) expect(exposureLimit(wavelength, 100), String(wavelength)).toBe(10_000)
    expect(exposureLimit(1300, 100)).toBeCloseTo(50 * 108, 6)
    for (let wavelength = 400; wavelength <= 1400; wavelength += 10)
      for (const seconds of [0.25, 1, 9, 10, 100])
        expect(exposureLimit(wavelength, seconds)).toBeLessThanOrEqual(skinLimit(wavelength, seconds))
  })
})

// EN 207:2017, table 1 (from memory): LB 6 is tested with 10⁷ W/m², LB 5 with 10⁶; 5.5 W over 2 mm are 1.75·10⁶ W/m².
it('the scale number lies between those whose test beams are weaker and stronger; a label without one is a stop', () => {
  const bench = emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z')
  const exact = { typed: '', typedUnit: 'W', origin: 'stated', doubt: { kind: 'exact' } } as const
  const lit = (scale: number): Bench => ({
    ...bench,
    optics: { ...bench.optics, power: { ...exact, value: 5.5 }, wavelength: { ...exact, value: 455 } },
    safety: {
      ...bench.safety,
      glasses: { a: templateOf(glassesShape, { order: 1, name: 'A', label: scale === 0 ? '' : `D 400-500 LB${scale}` }) },
      worn: 'a',
      beamAtEyewear: { ...exact, value: 1 },
    },
  })
  const needed = engineFor(lit(0)).byId('safety.scaleNeeded', []).result
  expect(needed).toEqual({ known: true, value: expect.closeTo(5 + Math.log10(7.0028), 4) as number })
  const marks = [0, 5, 6].map(
    (scale) => judgeAll(engineFor(lit(scale)), 'safety').find((it) => it.def.id === 'safety.eyewearWithstands')?.mark,
  )
  expect(marks).toEqual(['stop', 'stop', 'good'])
})

describe('eyewear and window follow the wavelength, with its ±', () => {
  const demo = heron().bench
  const at = (nm: number, a: number): Bench => ({
    ...demo,
    optics: {
      ...demo.optics,
      wavelength: { value: nm, typed: String(nm), typedUnit: 'nm', origin: 'stated', doubt: { kind: 'halfWidth', a } },
    },
  })
  const marks = (bench: Bench) =>
    Object.fromEntries(
      judgeAll(engineFor(bench))
        .filter((it) => /eyewear(Dense|Withstands)|windowDense/.test(it.def.id))
        .map((it) => [it.def.id, it.mark]),
    )
  const all = (mark: string) => ({
    'safety.eyewearDense': mark,
    'safety.eyewearWithstands': mark,
    'safety.windowDense': mark,
  })

  it('passes within the label, and is a stop beyond it, or where its ± leaves the label', () => {
    expect(marks(at(455, 5))).toEqual(all('good'))
    expect(marks(at(1064, 5))).toEqual(all('stop'))
    expect(marks(at(462, 10))).toEqual(all('stop'))
  })

  it('what a seller prints leaves it open, and what nobody wears is a stop', () => {
    const listed = setAt(demo, 'safety.glasses.narrow.label', 'OD6+ 190-540nm')
    expect(marks(listed)['safety.eyewearDense']).toBe('unknown')
    expect(marks(setAt(demo, 'safety.worn', ''))['safety.eyewearDense']).toBe('stop')
    // A pair that is taken away is not worn any more.
    expect(marks(setAt(demo, 'safety.glasses.narrow', undefined))['safety.eyewearDense']).toBe('stop')
  })
})
