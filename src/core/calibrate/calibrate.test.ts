import { randomLcg, randomNormal } from 'd3-random'
import { linearRegression } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { coverageFactor, effectiveDof } from '../bench'
import { calibratedSteps, checkReadings, fitLine, spanNeeded, type Span } from '.'

describe('a straight line through readings', () => {
  it('JCGM 100:2008, H.3: thermometer, −0.1712 ± 0.0029 and 0.00218 ± 0.00067, r −0.930, s 0.0035 (from memory)', () => {
    const t = [21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.01, 26.511]
    const b = [-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.16]
    const fit = fitLine(t.map((it, i) => ({ commanded: it - 20, measured: b[i]! })))
    expect(fit.intercept).toBeCloseTo(-0.1712, 4)
    expect(fit.uIntercept).toBeCloseTo(0.0029, 4)
    expect(fit.slope).toBeCloseTo(0.00218, 5)
    expect(fit.uSlope).toBeCloseTo(0.00067, 5)
    expect(fit.correlation).toBeCloseTo(-0.93, 3)
    expect(fit.scatter).toBeCloseTo(0.0035, 4)
    expect(fit.dof).toBe(9)
  })

  it('agrees with a general statistics library', () => {
    const next = randomNormal.source(randomLcg(41))(0, 3)
    const spans: Span[] = Array.from({ length: 40 }, (_, i) => ({ commanded: i * 7, measured: i * 7.1 + next() }))
    const { m, b } = linearRegression(spans.map((it) => [it.commanded, it.measured]))
    expect(fitLine(spans).slope).toBeCloseTo(m, 10)
    expect(fitLine(spans).intercept).toBeCloseTo(b, 8)
  })

  it('gives no uncertainty where two spans leave nothing to scatter, and refuses less', () => {
    expect(
      fitLine([
        { commanded: 10, measured: 10.1 },
        { commanded: 110, measured: 110.6 },
      ]),
    ).toMatchObject({ uSlope: null, dof: 0 })
    expect(() => fitLine([{ commanded: 10, measured: 10 }])).toThrow('spans')
    expect(() =>
      fitLine([
        { commanded: 10, measured: 10 },
        { commanded: 10, measured: 11 },
      ]),
    ).toThrow('variance')
  })
})

describe('1,000 machines with a hidden scale, calipers with a hidden scale of 0.1 % and 0.02 mm of noise (seed 42)', () => {
  const source = randomLcg(42)
  const uniform = (a: number): number => (2 * source() - 1) * a
  const gauss = randomNormal.source(source)
  const COMMANDED = [10, 40, 70, 100, 130, 25, 55, 85, 115, 145]
  const NOISE = 0.02
  const CALIPER = 0.001
  const runs = Array.from({ length: 1000 }, () => {
    const scale = 1 + uniform(0.03)
    const width = 0.1 + uniform(0.05)
    const caliper = 1 + gauss(0, CALIPER)()
    const read = gauss(0, NOISE)
    // What is burnt and read, written down without the model: a span is its scaled length and a line's width wider.
    const spans = COMMANDED.map((commanded) => ({ commanded, measured: (commanded * scale + width) * caliper + read() }))
    return { scale, fit: fitLine(spans) }
  })
  const covered = runs.filter(({ scale, fit }) => {
    const scatter = fit.uSlope ?? Number.NaN
    const parts = [
      { c: scatter, dof: fit.dof },
      { c: CALIPER * fit.slope, dof: Infinity },
    ]
    const u = Math.hypot(scatter, CALIPER * fit.slope)
    return Math.abs(fit.slope - scale) <= coverageFactor(effectiveDof(parts)) * u
  }).length

  it('the 95 % intervals of the scale cover the truth in 930 to 970 of them', () => {
    expect(covered).toBeGreaterThanOrEqual(930)
    expect(covered).toBeLessThanOrEqual(970)
  })

  it('their scatter is that of theory within 15 %, and 150 mm calipers give u ≤ 0.03 % before their own scale', () => {
    const us = runs.map(({ fit }) => fit.uSlope ?? Number.NaN).sort((p, q) => p - q)
    const mean = COMMANDED.reduce((total, it) => total + it, 0) / COMMANDED.length
    const theory = NOISE / Math.sqrt(COMMANDED.reduce((total, it) => total + (it - mean) ** 2, 0))
    expect((us[500] ?? 0) / theory).toBeGreaterThan(0.85)
    expect((us[500] ?? 0) / theory).toBeLessThan(1.15)
    expect(us[500]).toBeLessThanOrEqual(0.0003)
  })
})

describe('what follows', () => {
  it('work 0.51 % small at 80 steps/mm wants 80.41; 0.02 mm and 0.05 % want 113 mm', () => {
    expect(calibratedSteps(80, 1 - 0.0051)).toBeCloseTo(80.41, 2)
    expect(spanNeeded(0.02, 0.0005, 2)).toBeCloseTo(113.1, 1)
    expect(spanNeeded(0.02, 0.0005, 1)).toBeCloseTo(80, 9)
    expect(() => calibratedSteps(80, 0)).toThrow('slope')
  })

  it.each([
    [-3, 'not-positive'],
    [0, 'not-positive'],
    [160, 'beyond-instrument'],
    [50, 'far-off'],
    [30.2, 'swapped'],
  ])('a reading of %d mm for 100 mm is found: %s', (measured, code) => {
    const context = { travel: 430, range: { min: 0, max: 150 }, other: [30, 60] }
    expect(checkReadings([{ commanded: 100, measured }], context).map((it) => it.code)).toEqual([code])
    expect(checkReadings([{ commanded: 100, measured: 99.4 }], context)).toEqual([])
    expect(checkReadings([{ commanded: 100, measured: 1000 }], { ...context, range: null })[0]?.code).toBe('beyond-travel')
  })
})
