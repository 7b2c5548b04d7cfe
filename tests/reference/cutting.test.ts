import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt, shownNumber, type Path } from '../../src/core/bench'
import { emptyBench, engineFor, judgeAll, type Bench } from '../../src/core/document'
import { cutListOf, KINEMATICS, type Kinematics } from '../../src/core/motion'
import { cutBars, type CutPlan } from '../../src/core/nesting'
import { holdOfBelts, type PlanPart } from '../../src/core/schedule'
import type { Outcome } from '../../src/core/units'
import { exactly } from '../facts'

/** Fewest bars by dynamic programming over subsets: exact, and written without the solver's bounds or order. */
function fewest(lengths: readonly number[], stock: number, kerf: number): number {
  const all = 1 << lengths.length
  const fits = Array.from({ length: all }, (_, set) => {
    const inside = lengths.filter((__, i) => (set >> i) & 1)
    return inside.reduce((sum, it) => sum + it, 0) + Math.max(0, inside.length - 1) * kerf <= stock + 1e-9
  })
  const best = new Array<number>(all).fill(Infinity)
  best[0] = 0
  for (let set = 1; set < all; set++) {
    for (let part = set; part > 0; part = (part - 1) & set) {
      if (fits[part]) best[set] = Math.min(best[set]!, best[set ^ part]! + 1)
    }
  }
  return best[all - 1]!
}

describe('bars cut from stock', () => {
  it('are as few as an exact dynamic program over all subsets finds, and each can be sawn (seed 21)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 100 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 0, max: 4 }),
        (lengths, kerfMm) => {
          const parts = lengths.map((lengthMm, i) => ({ id: `${i}`, name: `${i}`, lengthMm, count: 1 }))
          const cut = cutBars(parts, { lengthMm: 100, trimMm: 0, kerfMm })
          if (!cut.ok) throw new Error(cut.findings[0]?.message)
          const { bars, proved, wasteMm } = cut.value
          expect([bars.length, proved]).toEqual([fewest(lengths, 100, kerfMm), true])
          for (const { parts: own, leftMm } of bars) {
            // The saw takes its kerf behind each part; behind the last only where something is left of the bar.
            const used = own.reduce((sum, it) => sum + it.lengthMm + kerfMm, 0)
            expect(Math.abs(Math.max(0, 100 + kerfMm - used) - leftMm)).toBeLessThan(1e-9)
            expect(used - kerfMm).toBeLessThanOrEqual(100 + 1e-9)
          }
          expect(wasteMm).toBeCloseTo(bars.length * 100 - lengths.reduce((sum, it) => sum + it, 0), 9)
        },
      ),
      { seed: 21, numRuns: 150 },
    )
  })

  it('of many pieces say the bound they are held against where the search is cut off', () => {
    // 60 pieces that hardly pack: the sum asks for at least 31 bars of 1,000 mm, and no plan may claim fewer.
    const parts = Array.from({ length: 60 }, (_, i) => ({
      id: `${i}`,
      name: `${i}`,
      lengthMm: 333 + ((i * 7919) % 401),
      count: 1,
    }))
    const cut = cutBars(parts, { lengthMm: 1000, trimMm: 5, kerfMm: 2.5 })
    if (!cut.ok) throw new Error('no plan')
    const least = Math.ceil(parts.reduce((sum, it) => sum + it.lengthMm, 0) / 1000)
    expect(cut.value.atLeast).toBeGreaterThanOrEqual(least)
    expect(cut.value.bars.length).toBeGreaterThanOrEqual(cut.value.atLeast)
    expect(cut.value.bars.flatMap((it) => it.parts)).toHaveLength(60)
  })
})

describe('belts cut from what is on the list', () => {
  it('have as much to hold by as the best of all ways to share them out, counted through one by one (seed 22)', () => {
    const lengths = fc.integer({ min: 500, max: 3000 })
    const cases = [fc.array(lengths, { minLength: 1, maxLength: 4 }), fc.array(lengths, { minLength: 1, maxLength: 5 })] as const
    fc.assert(
      fc.property(...cases, (belts, pieces) => {
        const ways = Array.from({ length: pieces.length ** belts.length }, (_, way) =>
          belts.map((__, i) => Math.floor(way / pieces.length ** i) % pieces.length),
        )
        const hold = (way: readonly number[], piece: number): number => {
          const own = belts.filter((_, i) => way[i] === piece)
          return own.length === 0 ? Infinity : (pieces[piece]! - own.reduce((sum, it) => sum + it, 0)) / own.length
        }
        const best = Math.max(...ways.map((way) => Math.min(...pieces.map((_, piece) => hold(way, piece)))))
        expect(holdOfBelts(belts, pieces)).toBeCloseTo(best, 9)
      }),
      { seed: 22, numRuns: 200 },
    )
  })
})

/** 400 × 300 of travel, bars of 20, a carriage of 60 × 70: the template's own frame. */
function machine(kinematics: Kinematics, guides: string, more: readonly (readonly [Path, unknown])[] = []): Bench {
  const blank = emptyBench('b', 'Siskin', '2026-01-01T00:00:00.000Z')
  const set: readonly (readonly [Path, unknown])[] = [
    ['motion.axes.x.travel', exactly(400)],
    ['motion.axes.y.travel', exactly(300)],
    ['motion.kinematics.chosen', kinematics],
    ['motion.frame.guides.chosen', guides],
    ...more,
  ]
  return set.reduce((bench, [path, value]) => setAt(bench, path, value), blank)
}

describe('what a machine is cut from', () => {
  const number = (bench: Bench, id: string, ...args: string[]): number | null =>
    shownNumber(engineFor(bench).byId(id, args).result)

  it('rails: travel, carriage and 10 mm over at each end, one along X and two along Y; shafts are pairs', () => {
    const rails = machine('gantry', 'rails')
    expect(number(rails, 'plan.guideLength', 'x')).toBe(400 + 60 + 20)
    expect(number(rails, 'plan.guideLength', 'y')).toBe(300 + 70 + 20)
    // 480 and 390 with a cut of 1.5 between go into one metre, the second 390 takes another.
    expect(number(rails, 'plan.guidesNeeded')).toBe(2)
    // Two of 480 with a cut between: 961.5; two of 390: 781.5. No third part fits either.
    expect(number(machine('gantry', 'shafts'), 'plan.guidesNeeded')).toBe(2)
    expect(number(machine('gantry', 'wheels'), 'plan.guidesNeeded')).toBe(0)
  })

  it('plates: the carriage, two ends of the gantry, and a bed that lies between the bars', () => {
    const bench = machine('gantry', 'wheels')
    const sides = (id: string) => [number(bench, 'plan.plateWidth', id), number(bench, 'plan.plateDepth', id)]
    expect([sides('carriage'), sides('end'), sides('bed')]).toEqual([
      [60, 70],
      [70, 90],
      [400 + 60, 300 + 70],
    ])
    // With a moving bed the frame is a travel deeper.
    expect(number(machine('bed', 'wheels'), 'plan.plateDepth', 'bed')).toBe(600 + 70)
  })

  it('a machine that is there, and two mirrors, are cut no bar and no rail', () => {
    for (const kinematics of Object.keys(KINEMATICS) as Kinematics[]) {
      const bare = kinematics === 'retrofit' || kinematics === 'mirrors'
      for (const guides of ['wheels', 'rails', 'shafts'] as const) {
        const list = cutListOf(kinematics, guides)
        expect([list.bars.length === 0, list.plates.includes('head')], kinematics).toEqual([bare, bare])
        expect(list.guides.length > 0, kinematics).toBe(!bare && guides !== 'wheels')
        const cuts = engineFor(machine(kinematics, guides)).byId('plan.barCuts', []).result
        expect(cuts.known && (cuts.value as Outcome<CutPlan>).ok, kinematics).toBe(true)
      }
    }
  })

  const part = (over: Partial<PlanPart>): PlanPart => ({
    order: 1,
    name: 'Bar',
    where: 'frame',
    count: 1,
    state: 'needed',
    price: 0,
    arrives: '',
    covers: '',
    lengthMm: 0,
    ...over,
  })

  it('a list with fewer bars than are cut is judged, and follows the machine', () => {
    // 500 front, back and beam, sides of 370: three bars of a metre, as 500 + 370 + 2.5 fill one.
    const listed = (count: number, travel = 400) =>
      machine('gantry', 'wheels', [
        ['plan.parts', { a: part({ count, covers: 'bars' }), b: part({ count: 9 }) }],
        ['motion.axes.x.travel', exactly(travel)],
      ])
    const mark = (bench: Bench) => judgeAll(engineFor(bench)).find((it) => it.def.id === 'plan.stockEnough')?.mark
    expect([number(listed(3), 'plan.stockLeft', 'bars'), mark(listed(3))]).toEqual([0, 'good'])
    expect([number(listed(2), 'plan.stockLeft', 'bars'), mark(listed(2))]).toEqual([-1, 'look'])
    // 700 front, back and beam leave no room for a side: five bars.
    expect(number(listed(3, 600), 'plan.stockLeft', 'bars')).toBe(-1)
    expect(mark(machine('gantry', 'wheels'))).toBeUndefined()
  })

  it('a belt on the list reaches, hardly, or not, as the machine grows; without a length it is asked for', () => {
    // 480 and 390 between the pulleys, 40 mm round both: 1000 along X, 820 along Y, one or two of it.
    const listed = (lengthMm: number, travel = 400, count = 1) =>
      machine('gantry', 'wheels', [
        ['plan.parts', { a: part({ count, covers: 'belt', lengthMm }), b: part({ lengthMm: 9000 }) }],
        ['motion.axes.x.travel', exactly(travel)],
        ['motion.axes.y.motors', exactly(2)],
        ...FRAME.map((it): [Path, unknown] => [`motion.frame.${it}.doubt`, { kind: 'exact' }]),
        ...['x', 'y'].map((it): [Path, unknown] => [`motion.axes.${it}.pulleyTeeth.doubt`, { kind: 'exact' }]),
      ])
    const judged = (bench: Bench) => [
      number(bench, 'plan.beltHold'),
      judgeAll(engineFor(bench)).find((it) => it.def.id === 'plan.beltReaches')?.mark,
    ]
    expect(judged(listed(3000))).toEqual([120, 'good'])
    expect(judged(listed(3000, 450))).toEqual([(360 - 100) / 3, 'look'])
    expect(judged(listed(3000, 600))).toEqual([-40 / 3, 'stop'])
    // Three pieces: each belt has one of its own, and the one along X is the tightest.
    expect(judged(listed(1050, 400, 3))).toEqual([50, 'look'])
    expect(judged(listed(0))).toEqual([null, 'unknown'])
    const retrofit = machine('retrofit', 'rails', [['plan.parts', { a: part({ covers: 'belt', lengthMm: 100 }) }]])
    expect(judged(retrofit)[1]).toBeUndefined()
  })

  it('the critical path is of open tasks alone, drying included; a ring has none', () => {
    const path = (tasks: object) => engineFor(machine('gantry', 'wheels', [['plan.tasks', tasks]])).byId('plan.criticalPath', [])
    const [a, b, c] = [
      { ...TASK, workMin: 60, waitMin: 120 },
      { ...TASK, workMin: 30, needs: { a: true } },
      { ...TASK, workMin: 100 },
    ]
    expect(path({ a, b, c }).result).toMatchObject({ known: true, value: 210 * 60 })
    expect(path({ a: { ...a, done: '2026-11-08T19:30:00' }, b, c }).result).toMatchObject({ known: true, value: 100 * 60 })
    expect(path({ a: { ...a, needs: { b: true } }, b, c }).result).toMatchObject({ known: false, why: { kind: 'waiting' } })
  })

  it('money: 310 spent and 12.50 to spend of 520, over 13 h 55 of work, is 14.19 an hour', () => {
    const bench = machine('gantry', 'wheels', [
      ['plan.parts', { a: part({ count: 4, price: 77.5, state: 'here' }), b: part({ price: 12.5 }) }],
      ['plan.readyPrice', exactly(520)],
      ['plan.goals.budget', exactly(300)],
      ['plan.tasks', { a: { ...TASK, workMin: 800, done: '2026-11-08T19:30:00' }, b: { ...TASK, workMin: 35 } }],
    ])
    expect(number(bench, 'plan.saved')).toBeCloseTo(197.5, 9)
    expect((number(bench, 'plan.breakEven') ?? 0) * 3600).toBeCloseTo((197.5 * 60) / 835, 9)
    expect(number(bench, 'plan.budgetLeft')).toBeCloseTo(-22.5, 9)
    const { result } = engineFor(setAt(bench, 'plan.tasks', {})).byId('plan.breakEven', [])
    expect(result).toMatchObject({ known: false, why: { kind: 'waiting' } })
  })
})

const FRAME = ['carriageWidth', 'carriageDepth', 'barWidth']
const TASK = { order: 1, name: 'Build', check: '', waitMin: 0, noisy: false, needs: {}, parts: {}, notBefore: '', done: '' }
