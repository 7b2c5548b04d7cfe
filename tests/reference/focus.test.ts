import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { describe, expect, it } from 'vitest'
import { setAt, type AnyFigure, type Fact } from '../../src/core/bench'
import {
  fitFocus,
  focusLines,
  kerf,
  focusOfRamp,
  middleOfWidths,
  rampRayleigh,
  rampWaist,
  wedgeLight,
  WEDGE_PERCENTS,
  WEDGE_PIECE_U,
  readingOfMarks,
  speedAtEdge,
  type FocusWidth,
  type Trial,
  type TrialKindId,
} from '../../src/core/calibrate'
import { engineFor, type Bench } from '../../src/core/document'
import {
  beamQuality,
  burntWidth,
  heightOfGrowth,
  linePeak,
  peakIrradiance,
  radiusAt,
  rayleighLength,
} from '../../src/core/optics'
import { lightShare, LOUPE } from '../../src/core/workshop'
import { heron } from '../../src/data/heron'
import type { HandMachine } from '../handMachine'
import { burnTrial, machineWith, trialShape } from '../trialMachine'

describe('a beam through focus', () => {
  it('ISO 11146-1: 0.04 mm at 455 nm with M² 4 is 2.762 mm long, a tenth wider at 1.266 mm, and M² comes back', () => {
    const length = rayleighLength(0.04, 4, 455)
    expect([length, heightOfGrowth(length, 0.1), radiusAt({ radius: 0.04, rayleigh: length }, length)]).toEqual([
      expect.closeTo(2.762, 3),
      expect.closeTo(1.266, 3),
      expect.closeTo(0.04 * Math.SQRT2, 9),
    ])
    expect(beamQuality({ radius: 0.04, rayleigh: length }, 455)).toBeCloseTo(4, 9)
  })

  it('a line of 0.3 J/mm peaks at 5.98 J/mm² across a Gaussian of 0.04 mm, and at 2.00 across a flat side of 0.15 mm', () => {
    // √(2/π)/w and 1/a, closed forms.
    expect(0.3 * linePeak({ radius: 0.04, order: 2 })).toBeCloseTo(5.984, 3)
    expect(0.3 * linePeak({ radius: 0.075, order: 4000 })).toBeCloseTo(2, 2)
    expect(peakIrradiance(5, { radius: 0.05, order: 2 }, { radius: 0.05, order: 2 })).toBeCloseTo(1273.2, 1)
  })

  it.each([2, 3, 5.5, 8])('a profile of order %s has the area 1, by summing it', (order) => {
    let area = 0
    for (let s = -0.4; s < 0.4; s += 1e-5) area += Math.exp(-2 * Math.abs(s / 0.1) ** order) * 1e-5
    expect(linePeak({ radius: 0.1, order }) * area).toBeCloseTo(1, 5)
  })

  it('at twice the threshold a Gaussian burns 1.177 of its radius wide (Liu 1982, from memory)', () => {
    expect(burntWidth(2, { radius: 1, order: 2 })).toBeCloseTo(1.1774, 4)
    expect(burntWidth(0.99, { radius: 1, order: 2 })).toBe(0)
  })
})

/** Lines over a beam, in the law of their widths as it stands in the papers: D² = 2w²·ln(E·√(2/π)/(w·F)). */
function linesOver(noise: (i: number) => number): readonly FocusWidth[] {
  const law = ([gap, waist, length, threshold]: readonly number[], at: number, energy: number): number => {
    const w = waist! * Math.sqrt(1 + ((at - gap!) / length!) ** 2)
    return Math.sqrt(2 * w * w * Math.log((energy * Math.sqrt(2 / Math.PI)) / (w * threshold!)))
  }
  return Array.from({ length: 27 }, (_, i) => {
    const [gap, energy] = [4 + Math.floor(i / 3) * 0.7, [0.4, 0.8, 2][i % 3]!]
    return { gap, energy, width: law([6.9, 0.08, 2.1, 0.25], gap, energy) + noise(i) }
  })
}

describe('the fit of a focus ramp', () => {
  it('finds what lines were drawn with, to 1e-7, and their middle from one set alone', () => {
    const lines = linesOver(() => 0)
    expect(fitFocus(lines, 2)).toMatchObject({
      gap: expect.closeTo(6.9, 7) as number,
      radius: expect.closeTo(0.08, 7) as number,
      rayleigh: expect.closeTo(2.1, 6) as number,
      threshold: expect.closeTo(0.25, 6) as number,
    })
    expect(middleOfWidths(lines.filter((it) => it.energy === 0.8))).toBeCloseTo(6.9, 2)
  })

  it('lies where a general least-squares library lies, with noise', () => {
    const lines = linesOver((i) => 0.006 * Math.sin(i * 2.3 + 1))
    const own = fitFocus(lines, 2)!
    const width =
      ([gap, waist, length, threshold]: number[]) =>
      (i: number): number => {
        const { gap: at, energy, width: read } = lines[i]!
        const w = waist! * Math.sqrt(1 + ((at - gap!) / length!) ** 2)
        // Squared width over twice the one that was read: its difference from half of it is that of the widths.
        return (2 * w * w * Math.log((energy * Math.sqrt(2 / Math.PI)) / (w * threshold!))) / (2 * read)
      }
    const data = { x: lines.map((_, i) => i), y: lines.map((it) => it.width / 2) }
    const other = levenbergMarquardt(data, width, {
      initialValues: [6.5, 0.09, 2.4, 0.3],
      improvementThreshold: 1e-12,
      damping: 0.01,
      maxIterations: 500,
      errorTolerance: 1e-16,
      centralDifference: true,
      gradientDifference: 1e-5,
    }).parameterValues
    ;[own.gap, own.radius, own.rayleigh, own.threshold].forEach((it, i) => expect(it / other[i]!).toBeCloseTo(1, 5))
  })

  it('says nothing of too few lines, of one energy, or where all lie on one side', () => {
    const lines = linesOver(() => 0)
    expect(fitFocus(lines.slice(0, 5), 2)).toBeNull()
    expect(
      fitFocus(
        lines.filter((it) => it.energy === 2),
        2,
      ),
    ).toBeNull()
    expect(middleOfWidths(lines.filter((it) => it.energy === 2 && it.gap < 6.5))).toBeNull()
    expect(middleOfWidths([])).toBeNull()
  })
})

const AT = '2026-11-14T12:00:00.000Z'
function reading(value: number, u: number): Fact {
  return { value, typed: value.toFixed(3), typedUnit: 'mm', origin: 'measured', doubt: { kind: 'standard', u }, at: AT }
}

/** The demo with a trial of this machine, read as it was burnt, by instruments that are said to be as good as they are. */
function withTrial(machine: HandMachine, kind: TrialKindId, uOf: (id: string) => number): Bench {
  const shape = { ...trialShape(kind), power: kind === 'focus' ? 0.4 : 0.3 }
  const readings = Object.fromEntries(
    Object.entries(burnTrial(machine, kind, shape)).map(([id, it]) => [id, reading(it, uOf(id))]),
  )
  const trial: Trial = { ...shape, order: 1, at: AT, axes: { x: 'x', y: 'y' }, instrument: '', hours: null, readings, picks: {} }
  const bench = setAt(heron().bench, `calibrate.trials.${kind}`, { t: trial })
  return setAt(bench, 'optics.flatAlong', { chosen: 'x', origin: 'measured', doubt: { kind: 'exact' } })
}

/** A machine in order: what is tried is its beam. */
function squared(number: number): HandMachine {
  return machineWith(number, {
    mmPerStep: { x: 1 / 80, y: 1 / 80 },
    play: { x: 0, y: 0 },
    skewRad: 0,
    calipers: { scale: 0, noise: 0.02 },
  })
}

describe('hidden beams, their ramps burnt and read through the whole product', () => {
  const truths: readonly (readonly [string, AnyFigure, readonly string[], (it: HandMachine) => number])[] = [
    ['gap at focus', focusOfRamp, [], (it) => it.machine.hidden.beam.gap],
    ['radius across Y', rampWaist, ['y'], (it) => it.machine.hidden.beam.y.waist],
    ['radius across X', rampWaist, ['x'], (it) => it.machine.hidden.beam.x.waist],
    ['Rayleigh length across Y', rampRayleigh, ['y'], (it) => it.machine.hidden.beam.y.rayleigh],
  ]
  const BEAMS = process.env['FAULTS'] === 'all' ? 300 : 90

  // 90 of them with `npm test`, 300 with `npm run faults`.
  it('what says 95 in 100 covers in 93 to 97, or as far from it as chance lets fewer be', () => {
    const [least, most] = BEAMS < 300 ? [0.89, 0.995] : [0.93, 0.97]
    const hits = new Map<string, number>()
    const unknown: string[] = []
    for (let number = 1; number <= BEAMS; number++) {
      const machine = squared(number)
      const u = (id: string): number => (/^[xy]-/.test(id) ? Math.hypot(LOUPE.noise, LOUPE.division / Math.sqrt(12)) : 0.0202)
      const engine = engineFor(withTrial(machine, 'focus', u))
      for (const [name, figure, args, truth] of truths) {
        const { result, doubt } = engine.withDoubt(figure, 't', ...args)
        if (!result.known) unknown.push(`${name} of ${number}: ${JSON.stringify(result.why)}`)
        else {
          const isCovered = Math.abs(Number(result.value) - truth(machine)) <= (doubt?.expanded ?? 0)
          hits.set(name, (hits.get(name) ?? 0) + (isCovered ? 1 : 0))
        }
      }
    }
    if (process.env['SHOW']) console.log(Object.fromEntries(hits), unknown)
    expect(unknown).toEqual([])
    for (const [name, count] of hits) {
      expect(count / BEAMS, name).toBeGreaterThanOrEqual(least)
      // The Rayleigh length bends with what it is worked from: its interval is the wider side's.
      expect(count / BEAMS, name).toBeLessThanOrEqual(name.startsWith('Rayleigh') ? 1 : most)
    }
  }, 240_000)
})

describe('a ramp that is half read', () => {
  const machine = squared(7)
  const whole = withTrial(machine, 'focus', () => 0.0065)
  const read = (keep: (id: string) => boolean): Bench => {
    const { readings } = whole.calibrate.trials.focus['t']!
    const kept = Object.fromEntries(Object.entries(readings).filter(([id]) => /gap|lift|run/.test(id) || keep(id)))
    return setAt(whole, 'calibrate.trials.focus.t.readings', kept)
  }
  const gapOf = (bench: Bench): number | null => {
    const { result } = engineFor(bench).value(focusOfRamp, 't')
    return result.known ? result.value : null
  }

  it('says where focus is by the heavy lines of one axis, and goes on saying it while the first of the other are read', () => {
    const one = gapOf(read((id) => id.startsWith('y-3-')))
    expect(Math.abs(one! - machine.machine.hidden.beam.gap)).toBeLessThan(0.5)
    expect(gapOf(read((id) => id.startsWith('y-3-') || ['x-3-1', 'x-3-2'].includes(id)))).toBeCloseTo(one!, 9)
    // A line of another set makes enough of them for the whole beam: focus moves by a hundredth.
    expect(gapOf(read((id) => id.startsWith('y-3-') || ['x-3-1', 'x-3-2', 'y-2-1'].includes(id)))).toBeCloseTo(one!, 1)
    expect(gapOf(read((id) => ['y-3-1', 'y-3-2'].includes(id)))).toBeNull()
  })
})

describe('combs cut by 300 hidden machines', () => {
  it('95 % intervals of the kerf cover in 93 to 97, whatever the scale of the machine', () => {
    const hits = { x: 0, y: 0 }
    for (let number = 1; number <= 300; number++) {
      const machine = machineWith(number, { play: { x: 0, y: 0 }, calipers: { scale: 0, noise: 0.02 } })
      const engine = engineFor(withTrial(machine, 'kerf', () => 0.0202))
      const { cut } = machine.machine.hidden
      for (const axis of ['x', 'y'] as const) {
        const { result, doubt } = engine.withDoubt(kerf, 't', axis)
        if (!result.known) throw new Error(JSON.stringify(result.why))
        if (Math.abs(result.value - (cut[axis] - cut.taper)) <= (doubt?.expanded ?? 0)) hits[axis]++
      }
    }
    for (const count of Object.values(hits)) {
      expect(count).toBeGreaterThanOrEqual(279)
      expect(count).toBeLessThanOrEqual(291)
    }
  }, 60_000)
})

describe('step wedges of 100 hidden machines', () => {
  it('say how much light each power gives, within what they say', () => {
    let [tried, covered] = [0, 0]
    for (let number = 1; number <= 100; number++) {
      const machine = squared(number)
      const engine = engineFor(withTrial(machine, 'wedge', () => Math.hypot(readingOfMarks(0.0202, 0.0125), WEDGE_PIECE_U)))
      for (const percent of WEDGE_PERCENTS.slice(0, -1)) {
        const { result, doubt } = engine.withDoubt(wedgeLight, 't', String(percent))
        if (!result.known) continue
        tried++
        if (Math.abs(result.value - lightShare(percent / 100, number)) <= (doubt?.expanded ?? 0)) covered++
      }
    }
    if (process.env['SHOW']) console.log(tried, covered / tried)
    expect(tried).toBeGreaterThan(500)
    expect(covered / tried).toBeGreaterThan(0.93)
  }, 60_000)

  it('a row fades at its speed: half a piece back from where it ends', () => {
    const numbers = { slowest: 5, fastest: 5 * 2 ** 59 }
    expect(speedAtEdge({ numbers }, 3)).toBeCloseTo(5 * 2 ** 1.5, 9)
    expect([speedAtEdge({ numbers }, 0), speedAtEdge({ numbers }, 90)]).toEqual([null, null])
  })
})

it('lines of a ramp lie on the board, every place at a height of its own', () => {
  for (const across of ['x', 'y'] as const) {
    const lines = focusLines({ numbers: { run: 150, lift: 12 } }, across)
    expect(lines.every((it) => it.along > 5 && it.along < 145)).toBe(true)
    expect(new Set(lines.map((it) => it.id)).size).toBe(27)
  }
})
