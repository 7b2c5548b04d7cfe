import fc from 'fast-check'
import { linearRegression } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { fitCurve, lightForShare, shareForLight, type CurvePoint } from '../../src/core/calibrate'

const at = (shares: readonly number[], light: (share: number) => number): readonly CurvePoint[] =>
  shares.map((share) => ({ share, watts: light(share) }))
const SHARES = [0, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 1]

describe('a power curve', () => {
  it('has the line of a general library through its readings with light (simple-statistics)', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 5, noNaN: true }), { minLength: 4, maxLength: 9 }), (noise) => {
        const points = noise.map((it, i) => ({ share: (i + 1) / 10, watts: 2 * (i + 1) + 0.01 * it }))
        const { m, b } = linearRegression(points.map((it) => [it.share, it.watts]))
        const fit = fitCurve(points)
        expect(fit?.slope).toBeCloseTo(m, 9)
        expect(fit?.threshold).toBeCloseTo(Math.min(1, Math.max(0, -b / m)), 9)
      }),
      { seed: 14 },
    )
  })

  it('read forwards and backwards is the same curve; half way up from 8 % is half of the light', () => {
    const points = at(SHARES, (s) => Math.max(0, 6 * (s - 0.08)))
    for (const share of [0.12, 0.3, 0.54, 0.9]) {
      expect(shareForLight(points, lightForShare(points, share) ?? 0)).toBeCloseTo(share, 9)
    }
    expect(lightForShare(points, 0.54)).toBeCloseTo(0.5, 9)
    expect([lightForShare(points, 0), lightForShare(points, 1), lightForShare(points.slice(0, 1), 0.5)]).toEqual([0, 1, null])
    // Less light than at the weakest reading is not known; the other way it goes to none at 0.
    expect(
      shareForLight(
        at([0.5, 1], (s) => s),
        0.25,
      ),
    ).toBeNull()
    expect(
      lightForShare(
        at([0.5, 1], (s) => s),
        0.25,
      ),
    ).toBeCloseTo(0.25, 9)
  })

  it('of a diode with a threshold at 8 % and 6 W beyond: found to the digit, dark readings aside', () => {
    const fit = fitCurve(at(SHARES, (s) => Math.max(0, 6 * (s - 0.08))))
    expect(fit?.threshold).toBeCloseTo(0.08, 12)
    expect(fit?.slope).toBeCloseTo(6, 12)
    expect(fit?.off).toBeCloseTo(0, 12)
    expect(fit?.bends).toBeNull()
  })

  it('that stays behind at the top is fitted below, and says from where', () => {
    const fit = fitCurve(at(SHARES, (s) => Math.max(0, 6 * (Math.min(s, 0.7) - 0.08))))
    expect(fit?.threshold).toBeCloseTo(0.08, 9)
    expect(fit?.bends).toBe(0.8)
  })

  it('is not there with two readings of light, or where light does not rise', () => {
    expect(fitCurve(at([0, 0.5, 1], (s) => 4 * s))).toBeNull()
    expect(fitCurve(at([0.2, 0.4, 0.6], () => 3))).toBeNull()
  })

  it('is read the other way round: the power for a share of the light, within the readings (seed 3)', () => {
    const light = (s: number): number => 5 * Math.max(0, s - 0.1) ** 1.2
    const points = at(SHARES, light)
    for (const fraction of [0.1, 0.25, 0.5, 0.9, 1]) {
      const share = shareForLight(points, fraction) ?? Number.NaN
      expect(light(share) / light(1)).toBeCloseTo(fraction, 1)
    }
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 3, maxLength: 9 }), (watts) => {
        const noisy = watts.map((it, i) => ({ share: i / (watts.length - 1), watts: it }))
        const found = [0.2, 0.4, 0.6, 0.8, 1].map((it) => shareForLight(noisy, it))
        const known = found.filter((it): it is number => it !== null)
        expect(known).toEqual([...known].sort((p, q) => p - q))
        for (const it of known) expect(it >= 0 && it <= 1).toBe(true)
      }),
      { seed: 3 },
    )
  })
})
