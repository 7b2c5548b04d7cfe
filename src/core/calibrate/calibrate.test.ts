import { randomLcg, randomNormal } from 'd3-random'
import fc from 'fast-check'
import { lusolve, matrix, multiply, transpose } from 'mathjs'
import { linearRegression } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { asCommanded, MOVE, PLAIN_CARD, readProgram, writeProgram } from '../gcode'
import {
  calibratedSteps,
  checkReadings,
  closingSentence,
  fitLine,
  planScaleRun,
  RAMP,
  rampPowers,
  reachOf,
  readingDefs,
  roundedRun,
  scaleRunSteps,
  spanNeeded,
  strokesOf,
  type RunWish,
  type Span,
} from '.'

describe('a straight line through readings', () => {
  it('JCGM 100:2008, H.3: thermometer, −0.1712 ± 0.0029 and 0.00218 ± 0.00067, r −0.930, s 0.0035 (from memory)', () => {
    const t = [21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.01, 26.511]
    const b = [-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.16]
    const fit = fitLine(t.map((it, i) => ({ commanded: it - 20, measured: b[i]! })))
    expect(fit.intercept).toBeCloseTo(-0.1712, 4)
    expect(fit.uIntercept).toBeCloseTo(0.0029, 4)
    expect(fit.slope).toBeCloseTo(0.00218, 5)
    expect(fit.uSlope).toBeCloseTo(0.00067, 5)
    expect(fit.correlation).toBeCloseTo(-0.93, 3)
    expect(fit.scatter).toBeCloseTo(0.0035, 4)
    expect(fit.dof).toBe(9)
  })

  it('agrees with a general statistics library', () => {
    const next = randomNormal.source(randomLcg(41))(0, 3)
    const spans: Span[] = Array.from({ length: 40 }, (_, i) => ({ commanded: i * 7, measured: i * 7.1 + next() }))
    const { m, b } = linearRegression(spans.map((it) => [it.commanded, it.measured]))
    expect(fitLine(spans).slope).toBeCloseTo(m, 10)
    expect(fitLine(spans).intercept).toBeCloseTo(b, 8)
  })

  it('gives no uncertainty where two spans leave nothing to scatter, and refuses less', () => {
    expect(
      fitLine([
        { commanded: 10, measured: 10.1 },
        { commanded: 110, measured: 110.6 },
      ]),
    ).toMatchObject({ uSlope: null, dof: 0 })
    expect(() => fitLine([{ commanded: 10, measured: 10 }])).toThrow('spans')
    expect(() =>
      fitLine([
        { commanded: 10, measured: 10 },
        { commanded: 10, measured: 11 },
      ]),
    ).toThrow('variance')
  })
})

describe('a line with an intercept for each way of reading', () => {
  const like = [15, 15, 80, 144, 144].map((it, i) => ({ commanded: it, measured: 0.995 * it + 0.01 * (-1) ** i, series: 'like' }))
  const over = [15, 144].map((it) => ({ commanded: it, measured: 0.995 * it + 0.09, series: 'over' }))
  const beyond = [{ commanded: 144, measured: 0.995 * 144 + 0.05, series: 'beyond' }]
  const spans: Span[] = [...like, ...over, ...beyond]

  it('agrees with the normal equations solved by a linear algebra library', () => {
    const series = ['like', 'over', 'beyond']
    const rows = spans.map((it) => [it.commanded, ...series.map((name) => (name === it.series ? 1 : 0))])
    const A = matrix(rows)
    const solved = lusolve(multiply(transpose(A), A), multiply(transpose(A), matrix(spans.map((it) => [it.measured]))))
    const [slope, ...intercepts] = (solved as unknown as { toArray(): number[][] }).toArray().map((row) => row[0]!)
    const fit = fitLine(spans)
    expect(fit.slope).toBeCloseTo(slope!, 10)
    expect(series.map((it) => fit.intercepts[it])).toEqual(intercepts.map((it) => expect.closeTo(it, 9)))
    expect(fit.dof).toBe(spans.length - 4)
  })

  it('takes no slope from a way of reading that has one span only', () => {
    const moved = spans.map((it) => (it.series === 'beyond' ? { ...it, measured: it.measured + 5 } : it))
    expect(fitLine(moved).slope).toBe(fitLine(spans).slope)
    expect(fitLine(moved).intercepts['beyond']).toBeCloseTo(fitLine(spans).intercepts['beyond']! + 5, 9)
  })
})

const spans = { short: 15, middle: 61, long: 118.3 }

describe('a planned run', () => {
  const calipers = { name: 'Calipers', min: 0, max: 150, u: 0.02, uScale: 0.0005 / Math.sqrt(3) }
  const wish: RunWish = {
    origin: { x: 12, y: 12 },
    travel: { x: 430, y: 310 },
    step: { x: 0.0125, y: 0.0125 },
    wantedShare: 0.001,
    instrument: calipers,
    system: 'metric',
  }
  const planned = (over: Partial<RunWish>) => {
    const plan = planScaleRun({ ...wish, ...over })
    if (!plan.ok) throw new Error(plan.findings[0]?.message)
    return plan.value
  }

  it('stays within the instrument, though the machine may be 3.5 % too large, and within the travel', () => {
    fc.assert(
      fc.property(
        fc.record({ x: fc.integer({ min: 60, max: 900 }), y: fc.integer({ min: 60, max: 900 }) }),
        fc.integer({ min: 60, max: 600 }),
        (travel, max) => {
          const plan = planScaleRun({ ...wish, travel, instrument: { ...calipers, max } })
          if (!plan.ok) return
          const { shape } = plan.value
          for (const def of readingDefs(shape)) expect(def.commanded * 1.035).toBeLessThanOrEqual(max)
          const reach = reachOf(shape)
          expect(reach.maxX).toBeLessThanOrEqual(travel.x)
          expect(reach.maxY).toBeLessThanOrEqual(travel.y)
          expect(Math.min(reach.minX, reach.minY)).toBeGreaterThanOrEqual(0)
        },
      ),
      { seed: 31 },
    )
  })

  it('reads more often where more is wanted, and says so where no number of readings would do', () => {
    const exact = { ...calipers, uScale: 0.00005 }
    expect(planned({ instrument: exact, wantedShare: 0.001 }).shape.repeats).toBe(2)
    expect(planned({ instrument: exact, wantedShare: 0.0003 }).shape.repeats).toBeGreaterThan(2)
    expect(planned({ wantedShare: 0.001 }).decides).toBe(true)
    const beyond = planned({ wantedShare: 0.0003 })
    expect(beyond.decides).toBe(false)
    expect(beyond.why.join(' ')).toContain('cannot decide the wanted 0.03%')
    expect(beyond.expected.byInstrument).toBeCloseTo(0.000577, 6) // 2·a/√3 of ± 0.05 %
  })

  it('refuses a travel without room for two unlike spans, and says what would help', () => {
    const plan = planScaleRun({ ...wish, travel: { x: 430, y: 40 } })
    expect(plan.ok ? '' : plan.findings[0]?.message).toMatch(/^Y leaves spans of at most 18 mm.*choose another instrument/)
  })

  it('approaches every mark from below but the two that show the backlash, in the dark', () => {
    const { shape } = planned({})
    const steps = scaleRunSteps(shape, 0.5, 20)
    const strokes = strokesOf(shape)
    const rapids = steps.filter((it) => it.kind === 'rapid')
    strokes.forEach(({ marks, x0, y0, label }, i) => {
      const before = rapids[2 * i]!
      expect(Math.sign(marks === 'x' ? x0 - before.x : y0 - before.y), label).toBe(label.endsWith('back') ? -1 : 1)
      expect(rapids[2 * i + 1]).toMatchObject({ x: x0, y: y0 })
    })
    expect(steps.filter((it) => it.kind === 'line')).toHaveLength(strokes.length)
  })

  it.each([
    ['mm', 1],
    ['mm', 3],
    ['inch', 2],
    ['inch', 3],
  ] as const)('stands where the rounded program burns it: %s, %d decimals', (units, decimals) => {
    const card = { ...PLAIN_CARD, units, decimals }
    const asked = { origin: { x: 10.13, y: 12.77 }, ticks: { x: spans, y: spans }, repeats: 2, corner: { x: 90.3, y: 77.7 } }
    const shape = roundedRun(asked, (mm) => asCommanded(mm, card))
    const written = writeProgram(scaleRunSteps(shape, 0.5, 10), card)
    const { moves } = readProgram(written.ok ? written.value : '')
    const burnt = Array.from(moves.kind, (kind, i) => (kind === MOVE.feed ? i : -1)).filter((i) => i >= 0)
    strokesOf(shape).forEach(({ label, marks, x0, y0 }, k) => {
      const commanded = (marks === 'x' ? moves.x : moves.y)[burnt[k] ?? -1]
      expect(commanded, label).toBeCloseTo(marks === 'x' ? x0 : y0, 9)
    })
  })

  it('ramps from the sighting power upwards, each line the same share above the one before', () => {
    const powers = rampPowers(0.01, 0.3)
    expect([powers.length, powers[0], powers.at(-1)]).toEqual([RAMP.lines, 0.01, expect.closeTo(0.3, 12)])
    expect(powers[5]! / powers[4]!).toBeCloseTo(powers[1]! / powers[0]!, 12)
    expect(() => rampPowers(0.4, 0.3)).toThrow('to must be')
  })
})

describe('what follows', () => {
  it('work 0.51 % small at 80 steps/mm wants 80.41; 0.02 mm and 0.05 % want 113 mm', () => {
    expect(calibratedSteps(80, 1 - 0.0051)).toBeCloseTo(80.41, 2)
    expect(spanNeeded(0.02, 0.0005, 2)).toBeCloseTo(113.1, 1)
    expect(spanNeeded(0.02, 0.0005, 1)).toBeCloseTo(80, 9)
    expect(() => calibratedSteps(80, 0)).toThrow('slope')
  })

  it('ends with one sentence to be pinned up', () => {
    expect(closingSentence('X', 80.41, 0.023, -0.0051).replace(/\u00a0/g, ' ')).toBe(
      'X is now 80.410 ± 0.023 steps/mm; work was 0.51% small; repeat after a change of belt, pulley or microsteps.',
    )
  })

  it.each([
    [-3, 'not-positive'],
    [0, 'not-positive'],
    [160, 'beyond-instrument'],
    [50, 'far-off'],
    [30.2, 'swapped'],
  ])('a reading of %d mm for 100 mm is found: %s', (measured, code) => {
    const context = { travel: 430, range: { min: 0, max: 150 }, other: [30, 60] }
    expect(checkReadings([{ commanded: 100, measured }], context).map((it) => it.code)).toEqual([code])
    expect(checkReadings([{ commanded: 100, measured: 99.4 }], context)).toEqual([])
    expect(checkReadings([{ commanded: 100, measured: 1000 }], { ...context, range: null })[0]?.code).toBe('beyond-travel')
  })
})
