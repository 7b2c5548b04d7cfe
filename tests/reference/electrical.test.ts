import { expect, it } from 'vitest'
import { periodsPerDot, powerSteps } from '../../src/core/electrical'

it('a 16 MHz timer at 5 kHz has 3,200 steps (definition); at 1 kHz a 16-bit one would just not overflow', () => {
  expect(powerSteps(16e6, 5000)).toBe(3200)
  expect(powerSteps(16e6, 1000)).toBeLessThan(2 ** 16)
})

it('1 kHz, 0.1 mm, 100 mm/s: one period for each dot, which bands; 4 kHz gives the four of common practice', () => {
  expect(periodsPerDot(1000, 0.1, 100)).toBeCloseTo(1, 12)
  expect(periodsPerDot(4000, 0.1, 100)).toBeCloseTo(4, 12)
  expect(() => periodsPerDot(1000, 0.1, 0)).toThrow('speed')
})
