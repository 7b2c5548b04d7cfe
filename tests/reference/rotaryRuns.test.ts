import { describe, expect, it } from 'vitest'
import { setAt, type Fact } from '../../src/core/bench'
import { emptyBench, engineFor, type Bench } from '../../src/core/document'
import { fitRoundness, turnRunShape, dialRunShape } from '../../src/core/rotary'
import { templateOf } from '../../src/core/bench'
import { dialOf, drawRotary, normal, overrunOf, seeded, type HiddenRotary } from '../../src/core/workshop'

// The stand-in's rotary has hidden errors of its own (`workshop/rotary.ts`, which knows nothing of the figures); what the
// bench works out of its readings is held against them. How often each rotary is read anew.
const TIMES = 10
const ROTARIES = 200
const DRIVE = 3200
const DIAMETER = 62

const read = (value: number, u: number, pool: string | null): Fact => ({
  value,
  typed: value.toFixed(3),
  typedUnit: 'mm',
  origin: 'measured',
  doubt: pool === null ? { kind: 'standard', u } : { kind: 'pooled', u, figure: 'rotary.turnScatter', args: [pool] },
  at: '2026-01-01T00:00:00.000Z',
})

/** A bench with one run of turns and one round of a dial, read on a rotary. */
function benchOf(rotary: HiddenRotary, noise: () => number): Bench {
  const names = [1, 5].flatMap((turns) => [1, 2, 3, 4].map((k) => [turns, `${turns}x${k}`] as const))
  const turning = { steps: DRIVE, drive: DRIVE, diameter: DIAMETER }
  const run = templateOf(turnRunShape, {
    order: 1,
    at: '2026-01-01T00:00:00.000Z',
    instrument: '',
    steps: DRIVE,
    nominal: DRIVE,
    diameter: read(DIAMETER + 0.03 * normal(noise), 0.03, null),
    readings: Object.fromEntries(
      names.map(([turns, name]) => [name, read(overrunOf(rotary, { ...turning, turns }, noise), rotary.loupe, 'r')]),
    ),
  })
  const dial = templateOf(dialRunShape, {
    order: 1,
    at: '2026-01-01T00:00:00.000Z',
    instrument: '',
    place: 40,
    readings: Object.fromEntries(
      Array.from({ length: 12 }, (_, k) => [String(30 * k), read(dialOf(rotary, (k * Math.PI) / 6, noise), rotary.dial, null)]),
    ),
  })
  const bench = emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z')
  return setAt(setAt(bench, 'rotary.turnRuns', { r: run }), 'rotary.dialRuns', { d: dial })
}

/** What each figure should come to. */
function truthOf(rotary: HiddenRotary): Readonly<Record<string, readonly [id: string, arg: string, value: number]>> {
  const aTurn = (1 / (1 + rotary.finer) - 1) * Math.PI * DIAMETER
  return {
    overrun: ['rotary.overrunATurn', 'r', aTurn],
    slip: ['rotary.slip', 'r', rotary.lost],
    steps: ['rotary.turnStepsOf', 'r', DRIVE * (1 + rotary.finer)],
    eccentricity: ['rotary.eccentricity', 'd', rotary.centreOff],
    ovality: ['rotary.ovality', 'd', rotary.longer],
  }
}

describe('rotaries with hidden errors, read by loupe and dial', () => {
  const covered: Record<string, number> = {}
  let toldApart = 0
  /** What matters: a tenth of a millimetre, as the gap that may stay. */
  const MATTERS = 0.1
  for (let number = 1; number <= ROTARIES; number++) {
    const rotary = drawRotary(number)
    for (let time = 0; time < TIMES; time++) {
      const engine = engineFor(benchOf(rotary, seeded(1000 * number + time)))
      const truth = truthOf(rotary)
      const found = Object.fromEntries(
        Object.entries(truth).map(([what, [id, arg]]) => {
          const { result, doubt } = engine.byId(id, [arg])
          const value = result.known
            ? typeof result.value === 'number'
              ? result.value
              : (result.value as { value: number }).value
            : NaN
          return [what, { value, low: doubt?.low ?? NaN, high: doubt?.high ?? NaN }]
        }),
      )
      for (const [what, [, , value]] of Object.entries(truth))
        if (value >= found[what]!.low && value <= found[what]!.high) covered[what] = (covered[what] ?? 0) + 1
      const says = [found['overrun']!.value, found['slip']!.value].map((it) => Math.abs(it) > MATTERS)
      const is = [truth['overrun']![2], truth['slip']![2]].map((it) => Math.abs(it) > MATTERS)
      if (says.join() === is.join()) toldApart++
    }
  }

  it.each(['overrun', 'slip', 'steps', 'eccentricity', 'ovality'])('the 95 %% of %s covers in 93 to 97 %%', (what) => {
    const share = (covered[what] ?? 0) / (ROTARIES * TIMES)
    expect(share).toBeGreaterThanOrEqual(0.93)
    expect(share).toBeLessThanOrEqual(0.97)
  })

  it('tells a wrong ratio from what is lost at a start', () => {
    expect(toldApart / (ROTARIES * TIMES)).toBeGreaterThanOrEqual(0.95)
  })

  it('wants several turns beside one, and a dial all round', () => {
    const bench = benchOf(drawRotary(1), seeded(1))
    const one = setAt(bench, 'rotary.turnRuns.r.readings', { '1x1': read(0.1, 0.02, 'r'), '1x2': read(0.1, 0.02, 'r') })
    expect(engineFor(one).byId('rotary.slip', ['r']).result).toMatchObject({ known: false, why: { kind: 'waiting' } })
    const half = Object.fromEntries(Array.from({ length: 9 }, (_, k) => [String(20 * k), read(0, 0.01, null)]))
    const result = engineFor(setAt(bench, 'rotary.dialRuns.d.readings', half)).byId('rotary.ovality', ['d']).result
    expect(result).toMatchObject({ known: false, why: { message: expect.stringContaining('all round') } })
    expect(() => fitRoundness([])).toThrow(RangeError)
  })
})
