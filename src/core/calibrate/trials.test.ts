import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { burnTrial, machineWith, trialShape } from '../../../tests/trialMachine'
import { MOVE, PLAIN_CARD, readProgram, SPINDLE, writeProgram } from '../gcode'
import {
  AXIS_CAUSES,
  bandSpeeds,
  evenly,
  FURTHER,
  layoutOf,
  newestTrial,
  readingOfMarks,
  runUp,
  sameLine,
  sayCause,
  sayFurther,
  TRIAL_KINDS,
  trialChart,
  TRIALS,
  type Trial,
  type TrialKindId,
  type TrialSpan,
} from '.'

/** Places of strokes that a span names. */
function named(span: TrialSpan): readonly number[] {
  if ('outline' in span) return span.outline
  if ('beyond' in span) return [span.beyond, span.end.line]
  if ('first' in span) return [span.first.line, span.last.line]
  if ('width' in span) return [span.width]
  if ('pointer' in span) return [span.beside]
  if ('cut' in span) return [span.cut]
  if ('stack' in span) return span.stack
  if ('opening' in span) return span.opening
  if ('seen' in span) return span.seen
  return 'board' in span ? [] : [...span.from, ...span.to]
}

const isLit = (moves: ReturnType<typeof readProgram>['moves'], i: number): boolean =>
  moves.kind[i] === MOVE.feed && moves.spindle[i] !== SPINDLE.off && (moves.s[i] ?? 0) > 0

describe.each(TRIAL_KINDS)('the trial “%s”', (kind) => {
  const layout = layoutOf(kind, trialShape(kind))

  it('burns its strokes and nothing else, in their order, each where it is drawn', () => {
    const written = writeProgram(layout.steps, PLAIN_CARD)
    const { moves, findings } = readProgram(written.ok ? written.value : '')
    expect(findings.filter((it) => it.severity === 'error')).toEqual([])
    const lit = Array.from({ length: moves.count }, (_, i) => i).filter((i) => isLit(moves, i))
    expect(lit).toHaveLength(layout.strokes.length)
    lit.forEach((move, i) => {
      const stroke = layout.strokes[i]!
      const before = [moves.x[move - 1], moves.y[move - 1]]
      // To the card's three decimals.
      expect(Math.hypot(moves.x[move]! - stroke.x1, moves.y[move]! - stroke.y1)).toBeLessThan(1e-3)
      expect(Math.hypot(before[0]! - stroke.x0, before[1]! - stroke.y0)).toBeLessThan(1e-3)
    })
  })

  it('names its readings apart, and every span stands between strokes that there are', () => {
    const ids = layout.readings.map((it) => it.id)
    expect(new Set(ids).size).toBe(ids.length)
    for (const { span, words, group } of layout.readings) {
      expect(words + group).not.toBe('')
      for (const at of named(span)) expect(layout.strokes[at]).toBeDefined()
    }
    for (const { strokes } of layout.picks) for (const at of strokes) expect(layout.strokes[at]).toBeDefined()
    expect(layout.readings.length + layout.picks.length).toBeGreaterThan(0)
  })

  it('is laid out from any numbers, with powers from 0 to 1, and says which number is missing', () => {
    const names = Object.keys(TRIALS[kind].facts)
    const numbers = fc.record(
      Object.fromEntries([...names, 'acceleration'].map((it) => [it, fc.double({ min: 5, max: 400, noNaN: true })])),
    )
    fc.assert(
      fc.property(numbers, fc.double({ min: 0.01, max: 1, noNaN: true }), (given, power) => {
        const { steps } = layoutOf(kind, { origin: { x: 20, y: 20 }, power, speed: 20, numbers: given })
        return steps.every(
          (it) => it.kind !== 'line' || (it.power >= 0 && it.power <= 1 && it.feed > 0 && Number.isFinite(it.x + it.y)),
        )
      }),
      { seed: 4, numRuns: 60 },
    )
    if (names.length === 0) return
    expect(() => layoutOf(kind, { origin: { x: 0, y: 0 }, power: 0.3, speed: 20, numbers: {} })).toThrow(
      'the trial has no number',
    )
  })
})

describe('what trials are laid out with', () => {
  it('comes up to speed by v²/2a, a tenth more and 2 mm; the same energy at another speed; by hand', () => {
    expect(runUp(60, 500)).toBeCloseTo(1.1 * 3.6 + 2, 12)
    expect([sameLine(0.1, 20, 60), sameLine(0.5, 20, 60)]).toEqual([expect.closeTo(0.3, 12), 1])
    expect(evenly(10, 60, 6)).toEqual([10, 20, 30, 40, 50, 60])
    // Two marks, each anywhere within its step: 0.0125² / 12, twice.
    expect(readingOfMarks(0, 0.0125) ** 2).toBeCloseTo((2 * 0.0125 ** 2) / 12, 15)
    const speeds = bandSpeeds(trialShape('bands'))
    expect([speeds.length, speeds.at(-1), speeds.at(-2)]).toEqual([10, 200, expect.closeTo(140, 9)])
  })

  it('knows the newest of a kind by its order, not by its place', () => {
    const none = Object.fromEntries(TRIAL_KINDS.map((it) => [it, {}])) as Record<TrialKindId, Record<string, { order: number }>>
    expect(newestTrial(none, 'delay')).toBeNull()
    expect(newestTrial({ ...none, delay: { b: { order: 3 }, a: { order: 1 } }, bands: { c: { order: 9 } } }, 'delay')).toBe('b')
  })

  it('has words for every cause and for every further measurement', () => {
    for (const cause of [...AXIS_CAUSES, 'late'] as const)
      expect(sayCause({ cause, axis: 'x', probability: 1 }).name).toMatch(/ in X$/)
    expect(sayCause({ cause: 'late', axis: '', probability: 1 }).name).toBe('Light comes late')
    expect(new Set(FURTHER.map(sayFurther)).size).toBe(FURTHER.length)
  })
})

describe('the chart of a trial', () => {
  const trial = (kind: TrialKindId, readings: Readonly<Record<string, number>>): Pick<Trial, 'numbers' | 'readings'> => ({
    numbers: trialShape(kind).numbers,
    readings: Object.fromEntries(
      Object.entries(readings).map(([id, value]) => [
        id,
        { value, typed: String(value), typedUnit: 'mm' as const, origin: 'measured' as const, doubt: { kind: 'exact' as const } },
      ]),
    ),
  })

  it('of a delay has missing length over speed, and its line through the axis where nothing is missing at rest', () => {
    // 10 ms: 0.1 mm at 10 mm/s, 0.2 at 20, 0.3 at 30.
    const chart = trialChart('delay', trial('delay', { 'start-1': 0.1, 'start-2': 0.2, 'start-3': 0.3, 'end-1': 0.02 }))!
    const [begins, ends] = chart.series
    expect(begins!.points).toEqual([
      [10, 0.1],
      [20, 0.2],
      [30, 0.3],
    ])
    expect(begins!.line).toEqual([
      [0, expect.closeTo(0, 12)],
      [60, expect.closeTo(0.6, 12)],
    ])
    expect([ends!.points, ends!.line]).toEqual([[[10, 0.02]], null])
  })

  it('of outlines has a point where both axes were read, by size and way round; of others what says most, or none', () => {
    const chart = trialChart('outline', trial('outline', { '1-x': 0.1, '1-y': 0.2, '2-x': 0.3 }))!
    expect(chart.series.map((it) => [it.name, it.points])).toEqual([
      ['small, X first', [[0.1, 0.2]]],
      ['small, Y first', []],
      ['large, X first', []],
      ['large, Y first', []],
    ])
    expect(trialChart('circle', trial('circle', { 'A-45': 80.25 }))!.series[0]!.points).toEqual([[45, 0.25]])
    expect(trialChart('alternate', trial('alternate', { '4-left': -0.9 }))!.series[0]!.points).toEqual([[60, -0.9]])
    expect(['rectangle', 'moves', 'bands'].map((it) => trialChart(it as TrialKindId, trial('bands', {})))).toEqual([
      null,
      null,
      null,
    ])
  })
})

describe('on the stand-in', () => {
  it('a thousand moves lose nothing below what a motor holds, and whole cycles of its winding above', () => {
    const held = burnTrial(machineWith(11, { holds: { x: 600, y: 600 } }), 'moves')
    expect(Math.hypot(held['x']!, held['y']!)).toBeLessThan(0.15)
    const lost = burnTrial(machineWith(11, { holds: { x: 400, y: 4000 } }), 'moves')
    const cycle = 64 * machineWith(11).machine.hidden.mmPerStep.x
    expect(Math.abs(lost['x']!)).toBeGreaterThan(cycle / 2)
    // To the noise of the calipers and the play.
    const left = Math.abs(lost['x']!) / cycle
    expect(Math.abs(left - Math.round(left)) * cycle).toBeLessThan(0.15)
  })

  it('dots show where pulses lie further apart than most of the spot: the faster or the slower the signal, the sooner', () => {
    const dotted = (frequency: number): number => {
      const machine = machineWith(11, { threshold: 0.006 })
      machine.ask(`set beam/frequency ${frequency}`)
      burnTrial(machine, 'bands')
      return machine.machine.marks.filter((it) => it?.dotted === true).length
    }
    const [slow, plain, fast] = [dotted(300), dotted(1000), dotted(5000)]
    expect([slow > plain, plain > fast, fast]).toEqual([true, true, 0])
  })
})
