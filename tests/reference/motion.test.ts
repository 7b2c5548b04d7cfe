import { describe, expect, it } from 'vitest'
import {
  closure,
  outOfSquare,
  pitchRadius,
  runOut,
  screwLead,
  speedByStepRate,
  stepsPerMm,
  turnAt,
  wander,
  beltTravelPerTurn,
} from '../../src/core/motion'

const DEGREE = Math.PI / 180
const motor = { fullSteps: 200, microsteps: 16 }

describe('drive trains (definitions; the values are facts of the trade, common practice)', () => {
  it.each([
    ['20 teeth of 2 mm', 1, beltTravelPerTurn({ beltPitchMm: 2, pulleyTeeth: 20 }), 80],
    ['the same through 20:40', 2, beltTravelPerTurn({ beltPitchMm: 2, pulleyTeeth: 20 }), 160],
    ['16 teeth of 2 mm', 1, beltTravelPerTurn({ beltPitchMm: 2, pulleyTeeth: 16 }), 100],
    ['screw of 2 mm pitch, 2 starts', 1, screwLead({ screwPitchMm: 2, screwStarts: 2 }), 800],
    ['screw of 2 mm pitch, 4 starts', 1, screwLead({ screwPitchMm: 2, screwStarts: 4 }), 400],
  ])('%s', (_, reduction, travelPerTurnMm, steps) => {
    expect(stepsPerMm({ ...motor, reduction, travelPerTurnMm })).toBeCloseTo(steps, 9)
  })

  it('a pulley turns once while its belt goes once round its pitch circle', () => {
    const drive = { beltPitchMm: 2, pulleyTeeth: 20 }
    expect(2 * Math.PI * pitchRadius(drive)).toBeCloseTo(beltTravelPerTurn(drive), 12)
    expect(turnAt(beltTravelPerTurn(drive), 40)).toBeCloseTo(2 * Math.PI, 12)
  })

  it('30 kHz at 80 steps/mm is 375 mm/s; 100 mm/s at 1000 mm/s² needs 5 mm (v² = 2as)', () => {
    expect(speedByStepRate(30_000, 80)).toBe(375)
    expect(runOut(100, 1000)).toBe(5)
  })

  it('names the field, its value and its range', () => {
    expect(() => beltTravelPerTurn({ beltPitchMm: Number.NaN, pulleyTeeth: 20 })).toThrow(
      'beltPitchMm must be 0.5…10 mm, got NaN',
    )
    expect(() => stepsPerMm({ ...motor, fullSteps: 200.5, reduction: 1, travelPerTurnMm: 40 })).toThrow(
      'fullSteps must be a whole number',
    )
    expect(() => runOut(100, 0)).toThrow(RangeError)
  })
})

describe('squareness (law of cosines)', () => {
  const slanted = (degreesOut: number, a = 400, b = 300) => {
    // Corners drawn by coordinates, then measured: independent of the formula under test.
    const lean = degreesOut * DEGREE
    const [c, d] = [
      { x: a + b * Math.sin(lean), y: b * Math.cos(lean) },
      { x: b * Math.sin(lean), y: b * Math.cos(lean) },
    ]
    return { widthMm: a, depthMm: b, fromOriginMm: Math.hypot(c.x, c.y), acrossMm: Math.hypot(d.x - a, d.y) }
  }

  it('400 × 300 with diagonals 500.8 and 499.2 is 0.191° out: 1.333 mm over 400, 1.000 mm over 300', () => {
    const angle = outOfSquare({ widthMm: 400, depthMm: 300, fromOriginMm: 500.8, acrossMm: 499.2 })
    expect(angle / DEGREE).toBeCloseTo(0.191, 3)
    expect(wander(angle, 400)).toBeCloseTo(1.333, 3)
    expect(wander(angle, 300)).toBeCloseTo(1, 3)
  })

  it.each([-20, -3, -0.1, 0, 0.05, 2, 30])('recovers %d° from coordinates', (degrees) => {
    expect(outOfSquare(slanted(degrees)) / DEGREE).toBeCloseTo(degrees, 9)
    expect(closure(slanted(degrees))).toBeCloseTo(0, 9)
  })

  it('is not blurred by a scale that all four readings share', () => {
    const { widthMm, depthMm, fromOriginMm, acrossMm } = slanted(1)
    const by = (k: number) =>
      outOfSquare({ widthMm: k * widthMm, depthMm: k * depthMm, fromOriginMm: k * fromOriginMm, acrossMm: k * acrossMm })
    expect(by(1.01)).toBeCloseTo(by(1), 12)
  })

  it('refuses lengths that close no parallelogram', () => {
    expect(() => outOfSquare({ widthMm: 10, depthMm: 10, fromOriginMm: 50, acrossMm: 1 })).toThrow(RangeError)
  })
})
