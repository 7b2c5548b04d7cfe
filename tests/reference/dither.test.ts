import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { diffusedDots, DIFFUSIONS, dotShare, orderedDots, orderedThresholds, type Diffusion } from '../../src/core/burn'

const even = (value: number, side: number) => ({ width: side, height: side, values: new Float32Array(side * side).fill(value) })
const share = (dots: Uint8Array): number => dots.reduce((sum, it) => sum + it, 0) / dots.length

describe('dots for grey', () => {
  it('spread all of the error, by the weights of their papers', () => {
    for (const [way, sum, weights] of [
      ['four', 16, [7, 3, 5, 1]],
      ['twelve', 48, [7, 5, 3, 5, 7, 5, 3, 1, 3, 5, 3, 1]],
      ['twelveSharp', 42, [8, 4, 2, 4, 8, 4, 2, 1, 2, 4, 2, 1]],
    ] as const) {
      expect(DIFFUSIONS[way].map((it) => Math.round(it.share * sum))).toEqual([...weights])
      expect(DIFFUSIONS[way].reduce((total, it) => total + it.share, 0)).toBeCloseTo(1, 12)
    }
    // Floyd and Steinberg: 7 to the right, 3 5 1 beneath from the left.
    expect(DIFFUSIONS.four.map(({ right, down }) => [right, down])).toEqual([
      [1, 0],
      [-1, 1],
      [0, 1],
      [1, 1],
    ])
  })
  it('keep the mean of any even grey', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Diffusion>('four', 'twelve', 'twelveSharp'),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (way, grey) => {
          expect(Math.abs(share(diffusedDots(even(grey, 64), way)) - grey)).toBeLessThan(0.02)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('by thresholds: the 4 × 4 table of Bayer (1973), and exactly k of n dots for a grey of k/n', () => {
    expect(Array.from(orderedThresholds(2), (it) => it * 16 - 0.5)).toEqual([
      0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5,
    ])
    for (let k = 0; k <= 16; k++) expect(share(orderedDots(even(k / 16, 16), 2)) * 16).toBe(k)
    expect(() => orderedThresholds(0)).toThrow(RangeError)
  })
  it('cover an area by Murray and Davies: half of it for the middle luminance', () => {
    expect(dotShare(0.3, 0.5, 0.1)).toBeCloseTo(0.5, 12)
    expect(dotShare(0.6, 0.5, 0.1)).toBe(0)
    expect(dotShare(0.05, 0.5, 0.1)).toBe(1)
  })
})
