import { describe, expect, it } from 'vitest'
import { hiddenTone, pluckedSound, seeded } from '../core/workshop'
import { toneOf } from './tone'

const sound = (toneHz: number, noise: number, seed = 1) =>
  pluckedSound({ toneHz, sampleRateHz: 44_100, seconds: 2.2, noise }, seeded(seed))

describe('the tone of a plucked belt', () => {
  it.each([31, 60, 88.2, 131, 247])('%d Hz is found within 1 per cent, its partials sharp and the room noisy', (tone) => {
    for (const seed of [1, 2, 3]) {
      const found = toneOf(sound(tone, 0.2, seed), 44_100)
      expect(Math.abs((found?.hz ?? 0) / tone - 1)).toBeLessThan(0.01)
      expect(found?.u).toBeGreaterThanOrEqual((found?.hz ?? 0) * 0.002)
    }
  })

  it('is a pure sine to a tenth of a per cent', () => {
    const sine = Float32Array.from({ length: 60_000 }, (_, i) => 0.4 * Math.sin((2 * Math.PI * 73 * i) / 44_100))
    expect(toneOf(sine, 44_100)?.hz).toBeCloseTo(73, 1)
  })

  it('is not found in silence, in noise, or in a sound that is too short', () => {
    expect(toneOf(new Float32Array(90_000), 44_100)).toBeNull()
    expect(toneOf(sound(80, 1), 44_100)).toBeNull()
    expect(toneOf(sound(80, 0.1).subarray(0, 8_000), 44_100)).toBeNull()
  })

  it('of 10.89 N on 300 mm of 8.4 g/m is 60 Hz (ideal string, handbook value)', () => {
    expect(hiddenTone(10.89, 0.0084, 300)).toBeCloseTo(60, 1)
  })
})
