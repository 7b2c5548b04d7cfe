import { mean } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import {
  ablationDepth,
  burnDose,
  cutChance,
  depthOfPass,
  doseForTone,
  energyForChance,
  heightAt,
  Lamp,
  pulsedSeconds,
  stampOf,
  tilesOf,
  toneAfter,
  wattsAt,
  type BurningBeam,
  type BurnJob,
  type DoseGrid,
  type DoseMap,
  type LightLaw,
} from '../../src/core/burn'
import { readProgram } from '../../src/core/gcode'
import { burntWidth, linePeak, radiusAt } from '../../src/core/optics'
import { axisLimits, planMoves } from '../../src/core/planner'

const GAUSS: BurningBeam = {
  x: { radius: 0.08, rayleigh: 2, order: 2 },
  y: { radius: 0.05, rayleigh: 2, order: 2 },
  turnRad: 0,
}
const RECTANGLE: BurningBeam = { ...GAUSS, x: { radius: 0.08, rayleigh: 2, order: 6 } }
const EVEN: LightLaw = { fullS: 1000, shares: [0, 1], watts: [0, 5], pulsesHz: null, onDelay: 0, offDelay: 0 }
const LIMITS = axisLimits(
  { x: { speed: 100, acceleration: 500 }, y: { speed: 100, acceleration: 500 }, z: { speed: 10, acceleration: 100 } },
  0.02,
)

function job(program: string, more: Partial<BurnJob> = {}): BurnJob {
  const { moves, errorCount } = readProgram(program)
  if (errorCount > 0) throw new Error('the program of this test is wrong')
  return { moves, plan: planMoves(moves, LIMITS), light: EVEN, beam: GAUSS, surface: 0, passes: 1, ...more }
}

function grid(left: number, bottom: number, right: number, top: number, pitch = 0.02): DoseGrid {
  return { left, bottom, pitch, columns: Math.round((right - left) / pitch), rows: Math.round((top - bottom) / pitch) }
}

function burnt(of: BurnJob, on: DoseGrid): DoseMap {
  const map = burnDose(of, on)
  if (map === null) throw new Error('it was given up')
  return map
}

/** Energy on a map, J. */
const energyOf = ({ dose, pitch }: DoseMap): number => dose.reduce((sum, it) => sum + it, 0) * pitch * pitch

/** Dose across a level line through the middle of a map, from below to above. */
const across = ({ dose, columns, rows }: DoseMap, column = Math.floor(columns / 2)): readonly number[] =>
  Array.from({ length: rows }, (_, j) => dose[j * columns + column] as number)

describe('energy is kept', () => {
  const programs: readonly (readonly [name: string, program: string, seconds: (of: BurnJob) => number])[] = [
    ['a line from rest to rest', 'G21 G90\nM3 S1000\nG1 X8 F1200\nM5\nM2', (of) => of.plan.totalSeconds],
    ['a square with its corners', 'G21 G90\nM3 S1000\nG1 X8 F3000\nG1 Y6\nG1 X0\nG1 Y0\nM2', (of) => of.plan.totalSeconds],
    ['a circle', 'G21 G90\nM3 S1000\nG3 X0 Y0 I3 J0 F1500\nM2', (of) => of.plan.totalSeconds],
  ]

  it.each(programs.map(([name, program, seconds]) => ({ name, program, seconds })))(
    'of $name: power times time, to 0.1 %',
    ({ program, seconds }) => {
      for (const beam of [GAUSS, RECTANGLE, { ...RECTANGLE, turnRad: 0.6 }]) {
        for (const surface of [0, 3]) {
          const of = job(program, { beam, surface })
          const total = energyOf(burnt(of, grid(-4, -4, 12, 10, 0.04)))
          expect(total / (5 * seconds(of))).toBeCloseTo(1, 3)
        }
      }
    },
  )

  it('with half of the power as pulses, with delays, and over several passes', () => {
    const program = 'G21 G90\nM3 S500\nG1 X8 F1200\nM5\nG1 X12\nM2'
    const lit = (of: BurnJob): number => of.plan.seconds[0]! + of.plan.seconds[1]!
    const pulsed = job(program, { light: { ...EVEN, pulsesHz: 2000 } })
    expect(energyOf(burnt(pulsed, grid(-2, -2, 14, 2))) / (2.5 * pulsed.plan.seconds[0]!)).toBeCloseTo(1, 2)
    const late = job(program, { light: { ...EVEN, onDelay: 0.05, offDelay: 0.02 } })
    expect(energyOf(burnt(late, grid(-2, -2, 14, 2))) / (2.5 * (late.plan.seconds[0]! - 0.03))).toBeCloseTo(1, 3)
    const thrice = job(program, { passes: 3 })
    expect(energyOf(burnt(thrice, grid(-2, -2, 14, 2))) / (7.5 * thrice.plan.seconds[0]!)).toBeCloseTo(1, 3)
    expect(lit(late)).toBeGreaterThan(0)
  })

  it('whatever the tiles: they add up to the whole, and one that nothing reaches is empty', () => {
    const of = job('G21 G90\nM3 S1000\nG1 X8 Y5 F2000\nM2')
    const whole = energyOf(burnt(of, grid(-2, -2, 10, 8, 0.04)))
    const tiles = tilesOf({ left: -2, bottom: -2, right: 10, top: 8 }, 0.04, 70)
    expect(tiles).toHaveLength(20)
    const parts = tiles.map((it) => energyOf(burnt(of, it)))
    expect(parts.reduce((sum, it) => sum + it, 0) / whole).toBeCloseTo(1, 5)
    expect(energyOf(burnt(of, grid(20, 20, 22, 22)))).toBe(0)
  })

  it('can be given up on the way, and refuses a grid without cells', () => {
    const of = job('G21 G90\nM3 S1000\nG1 X8 F2000\nM2')
    expect(burnDose(of, grid(0, 0, 1, 1), () => false)).toBeNull()
    expect(() => burnDose(of, { ...grid(0, 0, 1, 1), columns: 0 })).toThrow(RangeError)
  })
})

describe('a line in full motion, against closed forms', () => {
  const LINE = 'G21 G90\nG0 X-10 Y0.005\nM3 S1000\nG1 X10 F1200\nM2'

  it('peaks at (P/v)√(2/π)/w where a Gaussian lies across it, and falls as one', () => {
    // 5 W at 20 mm/s: 0.25 J/mm; w 0.05 mm.
    const map = burnt(job(LINE), grid(-0.5, -0.5, 0.5, 0.52, 0.01))
    const row = across(map)
    const peak = (0.25 * Math.sqrt(2 / Math.PI)) / 0.05
    expect(Math.abs(Math.max(...row) / peak - 1)).toBeLessThan(0.015)
    row.forEach((dose, j) => {
      const y = -0.5 + (j + 0.5) * 0.01 - 0.005
      expect(Math.abs(dose - peak * Math.exp(-2 * (y / 0.05) ** 2))).toBeLessThan(0.02 * peak)
    })
  })

  it('upright it peaks at (P/v)·p of the flat side, 1.6 times lower for order 6, and as wide as its edges say', () => {
    const upright = 'G21 G90\nG0 X0.005 Y-10\nM3 S1000\nG1 Y10 F1200\nM2'
    const map = burnt(job(upright, { beam: RECTANGLE }), grid(-0.3, -0.3, 0.32, 0.3, 0.01))
    const row = Array.from(map.dose.slice(Math.floor(map.rows / 2) * map.columns, (Math.floor(map.rows / 2) + 1) * map.columns))
    const peak = 0.25 * linePeak({ radius: 0.08, order: 6 })
    expect(Math.abs(Math.max(...row) / peak - 1)).toBeLessThan(0.015)
    // Where the dose is a third of its peak: the closed form of the burnt width.
    const wide = row.filter((it) => it > peak / 3).length * 0.01
    expect(wide).toBeCloseTo(burntWidth(3, { radius: 0.08, order: 6 }), 1)
  })

  it('below focus it is wider and weaker by the growth of its radius', () => {
    const peak = (surface: BurnJob['surface']): number =>
      Math.max(...across(burnt(job(LINE, { surface }), grid(-0.5, -0.8, 0.5, 0.82, 0.01))))
    expect(peak(0) / peak(2) / radiusAt({ radius: 1, rayleigh: 2 }, 2)).toBeCloseTo(1, 1.6)
    const ramp = { left: -20, bottom: -20, step: 40, columns: 2, rows: 2, heights: new Float32Array([2, 2, 2, 2]) }
    expect(peak(ramp)).toBeCloseTo(peak(2), 1)
    expect(heightAt({ ...ramp, heights: new Float32Array([0, 4, 0, 4]) }, 0, 3)).toBeCloseTo(2, 9)
  })

  it('a scanned area takes P/(v × pitch) on average: 5 W, 1000 mm/min, 0.1 mm → 3.0 J/mm²', () => {
    const rows = Array.from({ length: 30 }, (_, i) => `G0 X-8 Y${(i * 0.1).toFixed(2)}\nG1 X8 F1000`).join('\n')
    const map = burnt(job(`G21 G90\nM3 S1000\n${rows}\nM2`), grid(-1, 1, 1, 2, 0.02))
    expect(mean(Array.from(map.dose))).toBeCloseTo(3, 1)
  })

  it('begins where the light is there: half a second behind its word, what the head has gone until then is missing', () => {
    const of = job('G21 G90\nM3 S1000\nG1 X20 F1200\nM2', { light: { ...EVEN, onDelay: 0.5 } })
    const map = burnt(of, grid(0, -0.1, 20, 0.12, 0.02))
    const middle = Array.from(map.dose.slice(5 * map.columns, 6 * map.columns))
    const first = middle.findIndex((it) => it > (middle[750] as number) / 2) * 0.02
    // 500 mm/s² up to 20 mm/s: 0.04 s and 0.4 mm, then 0.46 s even.
    expect(first).toBeCloseTo(0.4 + 0.46 * 20, 1)
  })

  it('pulses that lie apart stand apart, and melt together where they lie close', () => {
    const depth = (pulsesHz: number): number => {
      const map = burnt(job(LINE.replace('S1000', 'S500'), { light: { ...EVEN, pulsesHz } }), grid(-2, -0.1, 2, 0.12, 0.02))
      const along = Array.from(map.dose.slice(5 * map.columns, 6 * map.columns))
      return Math.min(...along) / Math.max(...along)
    }
    // 20 mm/s: 0.5 mm from pulse to pulse at 40 Hz, 0.02 mm at 1 kHz, against a spot of 0.16 mm along.
    expect(depth(40)).toBeLessThan(0.35)
    expect(depth(1000)).toBeGreaterThan(0.97)
  })
})

describe('stamps and light', () => {
  it('a stamp adds up to one joule wherever it lies, even where a cell is larger than the spot', () => {
    for (const [pitch, phase] of [
      [0.01, 0.3],
      [0.05, 0.9],
      [0.5, 0.1],
    ] as const) {
      const spot = { x: { radius: 0.08, order: 6 }, y: { radius: 0.05, order: 2 }, turnRad: 0.4 }
      const { values } = stampOf(spot, pitch, phase, 1 - phase)
      expect(values.reduce((sum, it) => sum + it, 0) * pitch * pitch).toBeCloseTo(1, 5)
    }
  })

  it('half of the time of a pulse is on at half duty; between the places of a curve light goes straight', () => {
    expect([pulsedSeconds(2.25, 1, 0.5), pulsedSeconds(2.75, 1, 0.5)]).toEqual([1.25, 1.5])
    const law = { ...EVEN, shares: [0, 0.1, 1], watts: [0, 0, 4.5] }
    expect([0, 0.1, 0.55, 1].map((it) => wattsAt(law, it))).toEqual([0, 0, expect.closeTo(2.25, 9), 4.5])
  })

  it('a lamp that is told off before its light came gives none; one that is told on again within its glow goes on', () => {
    const lamp = new Lamp({ ...EVEN, onDelay: 0.1, offDelay: 0.05 })
    expect(lamp.next(0.5, 0.08)).toBeNull()
    expect(lamp.next(0, 0.2)).toBeNull()
    expect(lamp.next(0.5, 0.3)).toEqual({ from: expect.closeTo(0.1, 9) as number, to: 0.3, share: 0.5 })
    expect(lamp.next(0, 0.02)).toEqual({ from: 0, to: expect.closeTo(0.02, 9) as number, share: 0.5 })
    expect(lamp.next(1, 0.1)).toEqual({ from: 0, to: 0.1, share: 1 })
  })
})

describe('how a material answers', () => {
  const law = { bare: 78, darkest: 22, from: 0.2, by: 0.9, bySpeed: 0 }

  it('tone: 78 to 22 from 0.2 J/mm², 0.9 J/mm² to a third: 45.02 after 1 J/mm², and back', () => {
    expect(toneAfter(law, 1)).toBeCloseTo(45.02, 2)
    expect(toneAfter(law, 0.1)).toBe(78)
    expect(doseForTone(law, 45.02)).toBeCloseTo(1, 3)
    expect([doseForTone(law, 20), doseForTone(law, 80)]).toEqual([null, null])
    // Twice as slow counts 2^k as much.
    expect(toneAfter({ ...law, bySpeed: 0.5 }, 1, 25)).toBeCloseTo(toneAfter(law, Math.SQRT2), 9)
    expect(doseForTone({ ...law, bySpeed: 0.5 }, toneAfter({ ...law, bySpeed: 0.5 }, 1, 25), 25)).toBeCloseTo(1, 9)
    expect(() => toneAfter(law, -1)).toThrow(RangeError)
  })

  it('depth: 0.8 of 5 W at 5 mm/s through 0.15 mm and 3 J/mm³ are 1.778 mm; ablation 50 µm at e times its threshold', () => {
    expect(depthOfPass({ power: 5, speed: 5, width: 0.15, volumetric: 3, used: 0.8 })).toBeCloseTo(1.778, 3)
    expect([ablationDepth(Math.E, 1, 0.05), ablationDepth(0.5, 1, 0.05)]).toEqual([expect.closeTo(0.05, 9), 0])
  })

  it('cut or not: a tenth above the half way, spread 0.08, is 0.767; and the energy for a chance comes back', () => {
    expect(cutChance(1.1, 1, 0.08)).toBeCloseTo(0.767, 3)
    expect(cutChance(0, 1, 0.08)).toBe(0)
    expect(cutChance(energyForChance(0.95, 0.3, 0.1), 0.3, 0.1)).toBeCloseTo(0.95, 9)
    expect(() => energyForChance(1, 1, 0.1)).toThrow(RangeError)
  })
})
