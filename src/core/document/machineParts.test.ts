import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt, type Path } from '../bench'
import { KINEMATICS, type Kinematics } from '../motion'
import { exactly } from '../../../tests/facts'
import { emptyBench, engineFor, judgeAll, readBench, wantedParts, type Bench } from '.'

const kinematics = fc.constantFrom(...(Object.keys(KINEMATICS) as Kinematics[]))
const machines = fc
  .record({
    kinematics,
    guides: fc.constantFrom('wheels', 'rails', 'shafts'),
    drives: fc.tuple(fc.constantFrom('belt', 'screw', 'reducedBelt'), fc.constantFrom('belt', 'rack')),
    motors: fc.constantFrom(1, 2),
    travel: fc.tuple(fc.integer({ min: 60, max: 900 }), fc.integer({ min: 60, max: 900 })),
    units: fc.constantFrom<'metric' | 'inch'>('metric', 'inch'),
  })
  .map((it): Bench => {
    const set: readonly (readonly [Path, unknown])[] = [
      ['motion.kinematics.chosen', it.kinematics],
      ['motion.frame.guides.chosen', it.guides],
      ['motion.axes.x.drive.chosen', it.drives[0]],
      ['motion.axes.y.drive.chosen', it.drives[1]],
      ['motion.axes.y.motors', exactly(it.motors)],
      ['motion.axes.x.travel', exactly(it.travel[0])],
      ['motion.axes.y.travel', exactly(it.travel[1])],
      // Known to the letter, so that what is asked for leaves nothing open.
      ...['carriageWidth', 'carriageDepth', 'barWidth', 'guideOver'].map((key) => [`motion.frame.${key}.doubt`, EXACT] as const),
      ...['x', 'y'].flatMap((id) =>
        ['pulleyTeeth', 'beltPitch'].map((key) => [`motion.axes.${id}.${key}.doubt`, EXACT] as const),
      ),
      ['motion.crossed.motorAside.doubt', EXACT],
      ['motion.crossed.idlerDiameter.doubt', EXACT],
    ]
    const blank = { ...emptyBench('b', 'Dunlin', '2026-01-01T00:00:00.000Z'), units: it.units }
    return set.reduce<Bench>((bench, [path, value]) => setAt(bench, path, value), blank)
  })
const EXACT = { kind: 'exact' }

function taken(bench: Bench): Bench {
  const parts = wantedParts(engineFor(bench)).map((part, i) => [`p${i}`, { ...part, order: i + 1 }] as const)
  return setAt(bench, 'plan.parts', Object.fromEntries(parts))
}

describe('what a machine asks for', () => {
  it('once taken is asked for no more, and is judged to be enough, whatever the machine (seed 71)', () => {
    fc.assert(
      fc.property(machines, (bench) => {
        const full = taken(bench)
        expect(readBench(full).ok).toBe(true)
        expect(wantedParts(engineFor(full))).toEqual([])
        const marks = judgeAll(engineFor(full), 'plan').map((it) => [it.def.id, it.mark] as const)
        for (const [id, mark] of marks.filter(([it]) => /stockEnough|beltReaches/.test(it))) expect(mark, id).toBe('good')
        const belts = Object.values(full.plan.parts).filter((it) => it.covers === 'belt')
        expect(marks.some(([id]) => id === 'plan.beltReaches')).toBe(belts.length > 0)
      }),
      { seed: 71, numRuns: 80 },
    )
  })

  it('is too little when the machine grows: a belt taken for less does not reach, and says so by as much', () => {
    const small = setAt(
      setAt(emptyBench('b', 'Dunlin', '2026-01-01T00:00:00.000Z'), 'motion.axes.x.travel', exactly(300)),
      'motion.axes.y.travel',
      exactly(200),
    )
    const grown = setAt(taken(small), 'motion.axes.x.travel', exactly(420))
    const mark = (bench: Bench) => judgeAll(engineFor(bench)).find((it) => it.def.id === 'plan.beltReaches')?.mark
    // Its pitch is a guess, so a hand's width may be a little less; then twice 120 mm more belt, and 100 mm were left.
    expect([mark(taken(small)), mark(grown)]).toEqual(['look', 'stop'])
  })

  it('in inches is rounded up to hundredths, and in millimetres to whole ones: never shorter than it must be', () => {
    fc.assert(
      fc.property(machines, (bench) => {
        const engine = engineFor(bench)
        for (const { covers, lengthMm } of wantedParts(engine).filter((it) => it.covers === 'belt')) {
          const needed = Object.keys(bench.motion.axes).map((id) => engine.byId('plan.beltToOrder', [id]).result)
          const off = needed.map((it) => lengthMm - (it.known ? Number(it.value) : Number.NaN))
          const step = bench.units === 'metric' ? 1 : 0.254
          expect(
            off.some((it) => it > -1e-5 && it < step),
            `${covers} ${lengthMm}`,
          ).toBe(true)
          expect(Math.abs(lengthMm / step - Math.round(lengthMm / step))).toBeLessThan(1e-6)
        }
      }),
      { seed: 72, numRuns: 60 },
    )
  })
})
