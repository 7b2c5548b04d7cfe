import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt, shownNumber } from '../../src/core/bench'
import { emptyBench, engineFor, type Bench } from '../../src/core/document'
import { behindDriver, cornerSpeedOfWinding, headFor, motorsFor, pullsFor, torqueNeeded } from '../../src/core/motion'
import { exactly, MOTOR, within } from '../facts'

describe('two motors on one driver (Kirchhoff)', () => {
  it('in parallel split its current: 1.5 A gives each half of its torque, 3 A all of it, and no more than it is made for', () => {
    expect(behindDriver(MOTOR, { drivers: 'parallel', driverCurrent: 1.5 })).toMatchObject({
      holdingTorque: 0.225,
      ratedCurrent: 0.75,
      voltage: 24,
    })
    expect(behindDriver(MOTOR, { drivers: 'parallel', driverCurrent: 3 })).toEqual(MOTOR)
    expect(behindDriver(MOTOR, { drivers: 'parallel', driverCurrent: 5 })).toEqual(MOTOR)
    expect(behindDriver(MOTOR, { drivers: 'each', driverCurrent: 0.1 })).toEqual(MOTOR)
  })

  it('in series carry it both, on twice the winding: alone on half of the supply, as one phasor balance over both says', () => {
    const each = behindDriver(MOTOR, { drivers: 'series', driverCurrent: 1.5 })
    const corner = cornerSpeedOfWinding(each)
    const K = 0.45 / (Math.SQRT2 * 1.5)
    // Both windings in one loop: twice R, twice the back-EMF, twice L, the whole supply.
    expect(Math.hypot(2 * 1.5 * 1.65 + 2 * K * corner, 2 * 50 * corner * 2.8e-3 * 1.5)).toBeCloseTo(24, 9)
    expect(corner).toBeLessThan(cornerSpeedOfWinding(MOTOR))
  })
})

describe('crossed belts under load', () => {
  it('do the work that the head does, whichever way it goes (virtual work, seed 8)', () => {
    const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true })
    fc.assert(
      fc.property(angle, angle, (push, go) => {
        const pulls = pullsFor({ x: 3 * Math.cos(push), y: 3 * Math.sin(push) })
        const belts = motorsFor({ x: Math.cos(go), y: Math.sin(go) })
        expect(pulls.a * belts.a + pulls.b * belts.b).toBeCloseTo(Math.cos(push - go), 12)
      }),
      { seed: 8 },
    )
    expect(pullsFor({ x: 5, y: 5 })).toEqual({ a: expect.closeTo(Math.SQRT1_2, 12), b: 0 })
    expect(pullsFor({ x: 0, y: 0 })).toEqual({ a: 0, b: 0 })
  })

  it('ask a motor for most at 45°, where the path force of an axis falls to 1/√2 (handbook)', () => {
    const load = { mass: 0.5, friction: 2, acceleration: 1000, travelPerRotorTurnMm: 40, rotorInertia: 0, motors: 1 }
    const radius = 40 / 1000 / (2 * Math.PI)
    const worst = Math.max(
      ...Array.from({ length: 720 }, (_, i) => (i * Math.PI) / 360).map((at) => {
        const { a, b } = pullsFor({ x: Math.cos(at), y: Math.sin(at) })
        return 2.5 * radius * Math.max(Math.abs(a), Math.abs(b))
      }),
    )
    expect(torqueNeeded({ ...load, crossed: true })).toBeCloseTo(worst, 9)
    // Both motors share a push along an axis; so the same torque gives a path at 45° 1/√2 of that push.
    expect(torqueNeeded({ ...load, motors: 2 }) / torqueNeeded({ ...load, crossed: true })).toBeCloseTo(1 / Math.SQRT2, 12)
    // Nothing but the rotor: it turns √2 as fast as the path.
    const rotor = { ...load, mass: 0, friction: 0, rotorInertia: 5.4e-6 }
    const turned = motorsFor({ x: Math.SQRT1_2, y: Math.SQRT1_2 }).a
    expect(torqueNeeded({ ...rotor, crossed: true })).toBeCloseTo(turned * torqueNeeded(rotor), 12)
  })

  it('give out at a path speed that is slower by √2 than one motor an axis', () => {
    const blank = emptyBench('b', 'Swift', '2026-01-01T00:00:00.000Z')
    const crossed = setAt(blank, 'motion.kinematics.chosen', 'crossed')
    const of = (bench: Bench, id: string): number => shownNumber(engineFor(bench).byId(id, ['x']).result) ?? Number.NaN
    for (const id of ['motion.topSpeedByStepRate', 'motion.windingSpeed'])
      expect(of(crossed, id), id).toBeCloseTo(of(blank, id) / Math.SQRT2, 9)
    expect(headFor({ a: 1, b: 0 })).toEqual({ x: 0.5, y: 0.5 })
  })
})

/** A bench whose four marks are the corners of a real parallelogram, slanted by an angle at the origin. */
function slanted(slantRad: number): Bench {
  const [a, b] = [400, 300]
  // X runs along the gantry, which leans to the back by the slant; Y is straight.
  const along = [a * Math.cos(slantRad), a * Math.sin(slantRad)] as const
  const fromOrigin = Math.hypot(along[0], along[1] + b)
  const across = Math.hypot(along[0], along[1] - b)
  const blank = emptyBench('b', 'Dunnock', '2026-01-01T00:00:00.000Z')
  const corners = { width: exactly(a), depth: exactly(b), fromOrigin: exactly(fromOrigin), across: exactly(across) }
  const withTravel = setAt(setAt(blank, 'motion.axes.x.travel', exactly(400)), 'motion.axes.y.travel', exactly(300))
  return setAt(withTravel, 'motion.corners', corners)
}

describe('bringing a gantry square', () => {
  const number = (bench: Bench, id: string): number => shownNumber(engineFor(bench).byId(id, []).result) ?? Number.NaN

  it.each([0.004, -0.002, 0.02])('a gantry that leans by %f rad is straight once its right end is moved by the shift', (lean) => {
    const bench = slanted(lean)
    const shift = number(bench, 'motion.squareShift')
    const span = number(bench, 'motion.frameWidth') - 20
    // The right rail end of the leaning gantry, moved to the front by the shift, stands level with the left one.
    expect(span * Math.tan(lean) - shift).toBeCloseTo(0, 6)
    expect(number(bench, 'motion.squareSteps')).toBeCloseTo(-80 * shift, 6) // 200 · 16 / (20 · 2)
  })

  it('ends that stand 41.2 and 40.0 from the front bar: the right one goes 1.2 mm, 96 steps, to the back', () => {
    const bench = setAt(slanted(0), 'motion.racking', { left: within(41.2, 0), right: within(40, 0) })
    expect(number(bench, 'motion.rackingShift')).toBeCloseTo(1.2, 9)
    expect(number(bench, 'motion.rackingSteps')).toBeCloseTo(96, 6)
  })

  it('how two motors share a driver is asked only where there are two, and blurs the torque until it is said', () => {
    const two = setAt(slanted(0), 'motion.axes.y.motors', exactly(2))
    const loaded = setAt(two, 'motion.axes.y.movingMass', exactly(1))
    const spread = (bench: Bench): number => {
      const { doubt } = engineFor(bench).byId('motion.torqueAtWanted', ['y'])
      return (doubt?.high ?? 0) - (doubt?.low ?? 0)
    }
    const said = setAt(loaded, 'motion.axes.y.drivers', { chosen: 'each', origin: 'stated', doubt: { kind: 'exact' } })
    expect(spread(loaded)).toBeGreaterThan(1.4 * spread(said))
    const one = setAt(loaded, 'motion.axes.y.motors', exactly(1))
    expect(engineFor(one).byId('motion.torqueAtWanted', ['y']).leaves.has('motion.axes.y.drivers')).toBe(false)
  })
})
