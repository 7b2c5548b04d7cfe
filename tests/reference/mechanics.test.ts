import fc from 'fast-check'
import { lusolve, matrix, multiply, transpose } from 'mathjs'
import { expect, it } from 'vitest'
import {
  cornerSpeedOfWinding,
  fitPlane,
  microstepTorque,
  rockingAtSpot,
  runningTorque,
  shimsUnder,
  tensionFromTone,
  toneForTension,
  torqueAt,
  torqueNeeded,
} from '../../src/core/motion'
import { MOTOR } from '../facts'

const effective = { ...MOTOR, setting: 'effective' } as const

it('24 V, 1.5 A, 1.65 Ω, 2.8 mH, 0.45 N·m set to the peak: 74.3 rad/s, 473 mm/s at 40 mm a turn, 0.318 N·m (phasor balance)', () => {
  const corner = cornerSpeedOfWinding(MOTOR)
  expect(corner).toBeCloseTo(74.3, 1)
  expect((corner / (2 * Math.PI)) * 40).toBeCloseTo(473, 0)
  expect(runningTorque(MOTOR)).toBeCloseTo(0.318, 3)
  // The balance itself, put together again from its phasors.
  const K = 0.45 / (Math.SQRT2 * 1.5)
  expect(Math.hypot(1.5 * 1.65 + K * corner, 50 * corner * 2.8e-3 * 1.5)).toBeCloseTo(24, 9)
  expect(torqueAt(MOTOR, 2 * corner)).toBeCloseTo(0.318 / 2, 3)
  expect(cornerSpeedOfWinding({ ...MOTOR, voltage: 2 })).toBe(0)
})

it('the same set to the effective value: 59.7 rad/s, 9.505 rev/s, 380 mm/s, 0.450 N·m (phasor balance)', () => {
  const corner = cornerSpeedOfWinding(effective)
  expect(corner).toBeCloseTo(59.7, 1)
  expect(corner / (2 * Math.PI)).toBeCloseTo(9.505, 3)
  expect((corner / (2 * Math.PI)) * 40).toBeCloseTo(380, 0)
  expect(runningTorque(effective)).toBeCloseTo(0.45, 9)
})

it('no motor gives more power than its windings take from the supply (conservation of energy, seed 12)', () => {
  const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const any = fc.record({
    holdingTorque: positive(0.05, 5),
    ratedCurrent: positive(0.2, 6),
    resistance: positive(0.1, 30),
    inductance: positive(2e-4, 0.05),
    voltage: positive(5, 60),
    fullSteps: fc.constantFrom(48, 200, 400),
    setting: fc.constantFrom('peak' as const, 'effective' as const),
  })
  fc.assert(
    fc.property(any, positive(1e-3, 20), (winding, times) => {
      const corner = cornerSpeedOfWinding(winding)
      fc.pre(corner > 0)
      const [R, L] = [winding.resistance, winding.inductance]
      const peak = winding.ratedCurrent * (winding.setting === 'effective' ? Math.SQRT2 : 1)
      // Two phases, each ½·Re(V·Î*) of sines; V = (R + jpωL)·Î + what the rotor induces, which is the rest of the supply.
      const reactive = (winding.fullSteps / 4) * corner * L * peak
      const inPhase = Math.sqrt(winding.voltage ** 2 - reactive ** 2)
      const taken = 2 * 0.5 * inPhase * peak
      const heat = 2 * 0.5 * R * peak ** 2
      expect(torqueAt(winding, corner) * corner).toBeCloseTo(taken - heat, 6)
      expect(torqueAt(winding, corner * times) * corner * times).toBeLessThanOrEqual(taken * (1 + 1e-9))
    }),
    { seed: 12, numRuns: 500 },
  )
})

it('1/16 microsteps have 9.8 % of the holding torque each (sine of the load angle)', () => {
  expect(microstepTorque(16)).toBeCloseTo(0.098, 3)
})

it('0.5 kg at 1,000 mm/s² and 2 N on 40 mm a turn: 2.5 N on a radius of 6.366 mm (Newton)', () => {
  const load = { mass: 0.5, friction: 2, acceleration: 1000, travelPerRotorTurnMm: 40, rotorInertia: 0, motors: 1 }
  expect(torqueNeeded(load)).toBeCloseTo(2.5 * 0.0063662, 6)
  expect(torqueNeeded({ ...load, motors: 2 })).toBeCloseTo((2.5 * 0.0063662) / 2, 6)
  expect(torqueNeeded({ ...load, mass: 0, friction: 0, rotorInertia: 5.4e-6 })).toBeCloseTo(5.4e-6 * (1 / 0.0063662), 6)
})

it('8.4 g/m, 300 mm, 60 Hz is 10.89 N; 25 N is 90.9 Hz (ideal string, handbook values)', () => {
  expect(tensionFromTone(0.0084, 300, 60)).toBeCloseTo(10.89, 2)
  expect(toneForTension(0.0084, 300, 25)).toBeCloseTo(90.9, 1)
  expect(tensionFromTone(0.0084, 300, toneForTension(0.0084, 300, 25))).toBeCloseTo(25, 9)
})

it('a plane through heights agrees with a linear algebra library; shims lift every foot to the highest', () => {
  const places = [0, 100, 200].flatMap((x) => [0, 150, 300].map((y) => ({ x, y })))
  const heights = places.map(({ x, y }, i) => ({ x, y, height: 2 + 0.001 * x - 0.0005 * y + 0.02 * Math.sin(7 * i) }))
  const A = matrix(heights.map((it) => [it.x, it.y, 1]))
  const solved = lusolve(multiply(transpose(A), A), multiply(transpose(A), matrix(heights.map((it) => [it.height]))))
  const [a, b, c] = (solved as unknown as { toArray(): number[][] }).toArray().map((row) => row[0]!)
  const plane = fitPlane(heights)
  expect([plane.a, plane.b, plane.c]).toEqual([a!, b!, c!].map((it) => expect.closeTo(it, 10)))
  expect(plane.residuals.reduce((sum, it) => sum + it, 0)).toBeCloseTo(0, 10)
  const feet = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 0, y: 300 },
    { x: 200, y: 300 },
  ]
  expect(shimsUnder({ a: 0.001, b: -0.0005 }, feet)).toEqual([0.2, 0, 0.35, 0.15].map((it) => expect.closeTo(it, 12)))
  expect(() => fitPlane(heights.slice(0, 3))).toThrow('one line')
  expect(rockingAtSpot(0.05, 80, 40)).toBeCloseTo(0.1, 12)
})
