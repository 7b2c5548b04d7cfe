import { describe, expect, it } from 'vitest'
import { setAt, type Fact } from '../../src/core/bench'
import {
  delaySpeeds,
  diagnoseClosure,
  fitLine,
  outlinesOf,
  planScaleRun,
  readingDefs,
  runSquareness,
  scale,
  scaleRunSteps,
  type ScaleRun,
} from '../../src/core/calibrate'
import { afterMends, engineFor, pointsFor, scorePractice, type Bench, type MendDone } from '../../src/core/document'
import { PLAIN_CARD, writeProgram } from '../../src/core/gcode'
import { drawPractice, GRADES, mended, mendsAnything, PRACTICE_CALIPERS, type Grade, type Mend } from '../../src/core/workshop'
import { practiceBench } from '../../src/data/practiceBench'
import { HERON_SETTINGS } from '../../src/data/standIn'
import { HandMachine, HERON_SPEC } from '../handMachine'
import { burnTrial, trialShape } from '../trialMachine'

const AT = '2026-11-14T12:00:00.000Z'
const NUMBERS = 1000
const MOST_TURNS = 6

const planned = planScaleRun({
  origin: { x: 12, y: 12 },
  travel: { x: 430, y: 310 },
  step: { x: 0.0125, y: 0.0125 },
  wantedShare: 0.001,
  instrument: { name: 'Calipers', min: 0, max: 150, u: PRACTICE_CALIPERS.noise, uScale: PRACTICE_CALIPERS.uScale },
  system: 'metric',
})
if (!planned.ok) throw new Error('the run cannot be planned')
const { shape } = planned.value
const written = writeProgram(scaleRunSteps(shape, 0.5, 20), PLAIN_CARD)
const runProgram = written.ok ? written.value : ''
const blank = practiceBench(1, 1, AT).bench

function reading(value: number): Fact {
  const doubt = { kind: 'pooled', u: PRACTICE_CALIPERS.noise, figure: 'calibrate.scatter', args: ['run'] } as const
  return { value, typed: value.toFixed(2), typedUnit: 'mm', origin: 'measured', doubt, instrument: 'calipers', at: AT }
}

/** The bench of practice with a run of this machine, read with its calipers. */
function withRun(machine: HandMachine, steps: { readonly x: number; readonly y: number }): Bench {
  machine.ask('sheet')
  machine.run(runProgram)
  const readings = readingDefs(shape).map((def) => [
    def.id,
    reading(machine.read({ from: def.from, to: def.to, over: def.edges === 'over' })),
  ])
  const run: ScaleRun = {
    order: 1,
    at: AT,
    axes: { x: 'x', y: 'y' },
    instrument: 'calipers',
    inForce: steps,
    nominal: { x: 80, y: 80 },
    power: 0.5,
    speed: 20,
    ...shape,
    readings: Object.fromEntries(readings) as Record<string, Fact>,
  }
  return setAt(blank, 'calibrate.runs', { run })
}

/** Commissions a practice machine by what its outlines and its run say, and by nothing else. */
function commission(number: number, grade: Grade) {
  const drawn = drawPractice(number, grade, HERON_SPEC)
  const mends: Mend[] = []
  let [acceleration, afterOn] = [500, 0]
  const machineNow = (): HandMachine => {
    const hidden = mends.reduce(mended, drawn.hidden)
    // The wait behind “on” passes while nothing moves: what is left of the delay is what shows.
    const left = { ...hidden, delay: { ...hidden.delay, on: Math.max(0, hidden.delay.on - afterOn) } }
    const machine = new HandMachine(number, null, HERON_SPEC, left)
    for (const axis of ['x', 'y']) machine.ask(`set ${axis}/acceleration ${acceleration}`)
    return machine
  }
  let inVain = 0
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const read = burnTrial(machineNow(), 'outline')
    const gaps = outlinesOf(trialShape('outline')).map(({ id, side, first }) => ({
      x: read[`${id}-x`]!,
      y: read[`${id}-y`]!,
      side,
      first,
    }))
    const { named } = diagnoseClosure(gaps, { u: 0.03, cycle: { x: 0.8, y: 0.8 } })
    if (named === null) break
    const axis = named.axis === 'y' ? 'y' : 'x'
    if (named.cause === 'late') {
      const late = burnTrial(machineNow(), 'delay', trialShape('delay', { acceleration }))
      const speeds = delaySpeeds(trialShape('delay'))
      afterOn += Math.max(0, fitLine(speeds.map((commanded, i) => ({ commanded, measured: late[`start-${i + 1}`]! }))).slope)
    } else if (named.cause === 'misses') {
      acceleration /= 2
    } else {
      const mend: Mend = { act: named.cause === 'play' ? 'snug' : named.cause === 'loose' ? 'belt' : 'pulley', axis }
      if (!mendsAnything(mends.reduce(mended, drawn.hidden), mend)) inVain++
      mends.push(mend)
    }
  }
  const machine = machineNow()
  const engine = engineFor(withRun(machine, { x: 80, y: 80 }))
  const found = engine.withDoubt(scale, 'run', 'x')
  const square = engine.withDoubt(runSquareness, 'run')
  const trueScale = 1 + machine.sizeError('x')
  const value = found.result.known ? found.result.value : Number.NaN
  return {
    drawn,
    inVain,
    covers: Math.abs(value - trueScale) <= (found.doubt?.expanded ?? 0),
    squareCovers:
      square.result.known && Math.abs(square.result.value - machine.machine.hidden.skewRad) <= (square.doubt?.expanded ?? 0),
    // What is written is rounded as the machine keeps it.
    residual: Math.abs(Number((80 / value).toFixed(3)) * machine.machine.hidden.mmPerStep.x - 1),
    mends,
    left: mends.reduce(mended, drawn.hidden),
    acceleration,
    afterOn,
  }
}

describe('1,000 practice machines of all grades, commissioned by what they show', () => {
  const done = Array.from({ length: NUMBERS }, (_, i) => commission(i + 1, GRADES[i % GRADES.length] ?? 1))

  it('95 % intervals of their scale cover in 930 to 970; squareness as often', () => {
    for (const covered of [done.filter((it) => it.covers).length, done.filter((it) => it.squareCovers).length]) {
      expect(covered).toBeGreaterThanOrEqual(930)
      expect(covered).toBeLessThanOrEqual(970)
    }
  })

  it('the median residual scale error is under 0.03 %', () => {
    const residuals = done.map((it) => it.residual).sort((p, q) => p - q)
    expect(residuals[NUMBERS / 2]).toBeLessThan(0.0003)
  })

  it('what was wrong is mended in 95 of 100, and little is done in vain', () => {
    const isMended = done.filter(({ left, acceleration, afterOn, drawn }) => {
      const isSnug = Math.max(left.play.x, left.play.y) < 0.18
      const isTight = left.faults.slip === undefined && left.faults.loose === undefined
      const holds = Math.min(left.holds.x, left.holds.y) >= acceleration
      return isSnug && isTight && holds && Math.abs(drawn.hidden.delay.on - afterOn) < 0.02
    }).length
    expect(isMended / NUMBERS).toBeGreaterThanOrEqual(0.95)
    expect(done.reduce((sum, it) => sum + it.inVain, 0) / NUMBERS).toBeLessThan(0.05)
  })

  it('every kind of fault is drawn, and none in the first grade', () => {
    const drawn = new Set(done.flatMap((it) => it.drawn.faults.map((one) => one.fault)))
    expect([...drawn].sort()).toEqual(['late', 'loose', 'misses', 'play', 'skew', 'slip'])
    expect(done.filter((_, i) => i % 3 === 0).every((it) => it.drawn.faults.length === 0)).toBe(true)
  })
})

describe('the score', () => {
  const machine = drawPractice(421, 3, HERON_SPEC)
  const settings = { ...HERON_SETTINGS, 'x/steps': '80.000' }
  const bench = practiceBench(3, 421, AT).bench
  const scoreOf = (mends: readonly MendDone[], steps = settings, of = bench) =>
    scorePractice({ machine, number: 421, spec: HERON_SPEC, settings: steps, mends, bench: of, engine: engineFor(of) })
  const at = (aspect: string, score: ReturnType<typeof scoreOf>) => score.aspects.find((it) => it.aspect === aspect)!

  it('is all within the good, nothing from twenty times on, and even by ratio between', () => {
    expect([pointsFor(0, 1), pointsFor(1, 1), pointsFor(20, 1), pointsFor(100, 1)]).toEqual([100, 100, 0, 0])
    expect(pointsFor(Math.sqrt(20), 1)).toBeCloseTo(50, 9)
  })

  it('goes by the truth of the machine, whatever the bench believes', () => {
    const before = scoreOf([])
    expect(at('scale', before).off).toBeCloseTo(
      Math.max(Math.abs(80 * machine.hidden.mmPerStep.x - 1), Math.abs(80 * machine.hidden.mmPerStep.y - 1)),
      12,
    )
    expect(at('square', before).off).toBeCloseTo(Math.abs(machine.hidden.skewRad), 12)
    const right = {
      ...settings,
      'x/steps': (1 / machine.hidden.mmPerStep.x).toFixed(3),
      'y/steps': (1 / machine.hidden.mmPerStep.y).toFixed(3),
    }
    expect(at('scale', scoreOf([], right)).points).toBe(100)
    // 421 of the third grade leans, and its Y belt sags.
    const mends: MendDone[] = [
      { act: 'belt', axis: 'y', at: AT },
      { act: 'square', byRad: machine.hidden.skewRad, at: AT },
    ]
    const after = scoreOf(mends)
    expect(at('square', after).off).toBeCloseTo(0, 12)
    expect(at('closure', after).off!).toBeLessThan(at('closure', before).off! / 2)
    expect([before.inVain.length, after.inVain.length]).toEqual([0, 0])
    expect(afterMends(machine, mends).faults.loose).toBeUndefined()
  })

  it('counts what was done in vain, what was burnt and not read, and proves nothing that was not read since', () => {
    const vain: MendDone = { act: 'pulley', axis: 'x', at: AT }
    const trial = {
      ...trialShape('outline'),
      order: 1,
      at: AT,
      axes: { x: 'x', y: 'y' },
      instrument: '',
      hours: null,
      readings: {},
      picks: {},
    }
    const burnt = setAt(bench, 'calibrate.trials.outline', { t: trial })
    const score = scoreOf([vain], settings, burnt)
    expect(score.inVain).toEqual([vain])
    expect(score.unread).toBe(1)
    expect(score.aspects.filter((it) => it.isProved)).toEqual([])
    const read = setAt(burnt, 'calibrate.trials.outline.t', {
      ...trial,
      at: '2026-11-14T12:30:00.000Z',
      readings: { '1-x': reading(0.02) },
    })
    expect(at('closure', scoreOf([vain], settings, read)).isProved).toBe(true)
    expect(at('closure', scoreOf([{ ...vain, at: '2026-11-14T12:40:00.000Z' }], settings, read)).isProved).toBe(false)
  })
})
