import { randomLcg, randomInt } from 'd3-random'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt, shownNumber, templateOf, type Fact } from '../../src/core/bench'
import { emptyBench, engineFor, judgeAll, passportOf, type Bench } from '../../src/core/document'
import {
  alikeTo,
  doneShape,
  entryShape,
  gathered,
  LANES,
  searched,
  upkeepShape,
  type Happening,
  type Upkeep,
} from '../../src/core/log'
import { heron } from '../../src/data/heron'
import { writePassport } from '../../src/data/passportCsv'

const exactly = (value: number, typedUnit: Fact['typedUnit'], typed = String(value)): Fact => ({
  value,
  typed,
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})
const HOUR = 3600
const DAY = 86_400
const START = '2026-01-01T00:00:00.000Z'
const NOW = Date.parse('2026-03-12T00:00:00.000Z') // 70 days on

const base = emptyBench('l', 'Log', START)
const benchWith = (upkeep: Partial<Upkeep>, hours = 35): Bench => ({
  ...base,
  optics: { ...base.optics, power: exactly(5, 'W') },
  calibrate: { ...base.calibrate, hours: exactly(hours * HOUR, 'h') },
  log: { ...base.log, upkeep: { u: templateOf(upkeepShape, { order: 1, name: 'Lens', since: START, ...upkeep }) } },
})
function worked(bench: Bench, id: string, ...args: string[]): number | null {
  const engine = engineFor(bench)
  engine.setNow(NOW)
  return shownNumber(engine.byId(id, args).result)
}
function mark(bench: Bench): string | undefined {
  const engine = engineFor(bench)
  engine.setNow(NOW)
  return judgeAll(engine, 'log').find((it) => it.def.id === 'log.upkeepDone')?.mark
}

describe('upkeep', () => {
  it('is due by hours, by days or by light, whichever comes first', () => {
    // 35 h of 50, 70 days of 100, 5 W · 35 h = 630 kJ of 700 kJ.
    const all = benchWith({ every: exactly(50 * HOUR, 'h'), days: exactly(100 * DAY, 'd'), dose: exactly(7e5, 'MJ') })
    expect(worked(all, 'log.upkeepLeft', 'u')).toBeCloseTo(1 - 0.9, 9)
    expect(worked(benchWith({ every: exactly(50 * HOUR, 'h') }), 'log.upkeepLeft', 'u')).toBeCloseTo(0.3, 9)
    expect(worked(benchWith({ days: exactly(60 * DAY, 'd') }), 'log.upkeepLeft', 'u')).toBeCloseTo(1 - 70 / 60, 9)
    expect(mark(all)).toBe('good')
    expect(mark(benchWith({ days: exactly(60 * DAY, 'd') }))).toBe('look')
  })

  it('counts from when it was last done, by the hours run then', () => {
    const done = {
      a: templateOf(doneShape, { order: 1, at: '2026-02-10T00:00:00.000Z', run: 20 * HOUR }),
      b: templateOf(doneShape, { order: 2, at: '2026-03-02T00:00:00.000Z', run: 30 * HOUR }),
    }
    const bench = benchWith({ every: exactly(10 * HOUR, 'h'), days: exactly(100 * DAY, 'd'), done })
    expect(worked(bench, 'log.upkeepLeft', 'u')).toBeCloseTo(0.5, 9)
    // Half an hour a day: five hours are ten days away.
    expect((worked(bench, 'log.dueIn', 'u') ?? 0) / DAY).toBeCloseTo(10, 9)
    expect((worked(bench, 'log.pace') ?? 0) / HOUR).toBeCloseTo(3.5, 9)
  })

  it('asks how often where nobody said, and for the hours where they count', () => {
    expect(mark(benchWith({}))).toBe('unknown')
    const blank = { ...benchWith({ every: exactly(50 * HOUR, 'h') }), calibrate: base.calibrate }
    expect(mark(blank)).toBe('unknown')
  })

  it('a clock that was set back makes nothing less due, and is said where the pace is asked for', () => {
    const later = benchWith({ days: exactly(60 * DAY, 'd'), since: '2026-05-01T00:00:00.000Z' })
    expect(worked(later, 'log.upkeepLeft', 'u')).toBe(1)
    expect(worked({ ...later, createdAt: '2026-05-01T00:00:00.000Z' }, 'log.pace')).toBeNull()
  })
})

describe('money', () => {
  const job = {
    ...base.log.job,
    beam: exactly(2 * HOUR, 'h'),
    hands: exactly(0.5 * HOUR, 'h'),
    material: exactly(3, 'money'),
    spoilt: exactly(0.2, 'percent', '20'),
    hour: exactly(16, 'money'),
    draws: exactly(200, 'W'),
    kilowattHour: exactly(0.25, 'money'),
    headPrice: exactly(120, 'money'),
    headLife: exactly(2000 * HOUR, 'h'),
    filterPrice: exactly(20, 'money'),
    filterLife: exactly(100 * HOUR, 'h'),
    profit: exactly(0.25, 'percent', '25'),
  }
  const bench: Bench = { ...benchWith({}), log: { ...base.log, job } }

  it('a piece costs material, wear, current and hands, and pays for what is spoilt', () => {
    // By hand: 2 h · (120/2000 + 20/100 + 0.2 kW · 0.25) = 0.12 + 0.40 + 0.10 = 0.62; (3 + 0.62 + 8)/0.8 = 14.525; · 1.25 = 18.15625.
    expect(worked(bench, 'log.jobHands')).toBeCloseTo(8, 9)
    expect(worked(bench, 'log.jobWear')).toBeCloseTo(0.62, 9)
    expect(worked(bench, 'log.jobCost')).toBeCloseTo(14.525, 9)
    expect(worked(bench, 'log.jobPrice')).toBeCloseTo(18.156_25, 9)
  })

  it('what was spent is the parts list and the log, for each hour run', () => {
    const entry = (cost: number | null) =>
      templateOf(entryShape, { order: 1, at: START, title: 'Bought', minutes: null, run: null, cost })
    const spent = setAt(bench, 'log.entries', { a: entry(12.5), b: entry(null), c: entry(7.5) })
    expect(worked(spent, 'log.runningCost')).toBe(20)
    expect((worked(spent, 'log.perHour') ?? 0) * HOUR).toBeCloseTo(20 / 35, 9)
  })
})

describe('the time line', () => {
  const draw = randomLcg(0.31)
  const int = (most: number): number => randomInt.source(draw)(most)()
  const rows: readonly Happening[] = Array.from({ length: 10_000 }, (_, k) => ({
    id: `r${k}`,
    at: new Date(Date.parse(START) + int(400 * 24) * 3_600_000).toISOString(),
    lane: LANES[int(LANES.length)] ?? 'note',
    title: `Entry ${k}`,
    text: k % 100 === 0 ? 'Café crumbs, Riemen geprüft' : '',
    stage: 'plan',
    run: null,
  }))

  it('gathers ten thousand rows into columns without losing one', () => {
    const found = gathered(rows, 90)
    expect(found?.columns.reduce((sum, it) => sum + it.count, 0)).toBe(10_000)
    expect(Math.max(...(found?.columns ?? []).map((it) => it.to))).toBeLessThanOrEqual(1)
    expect(found?.columns.length).toBeLessThanOrEqual(90 * LANES.length)
    expect(gathered([], 90)).toBeNull()
    expect(gathered([{ ...(rows[0] as Happening), at: 'never' }], 90)).toBeNull()
  })

  it('finds every word without case and accents, newest first, and only in the kinds that are shown', () => {
    const all = new Set(LANES)
    const found = searched(rows, '  CAFE   geprüft ', all)
    expect(found).toHaveLength(100)
    expect([...found].sort((p, q) => q.at.localeCompare(p.at)).map((it) => it.at)).toEqual(found.map((it) => it.at))
    expect(searched(rows, 'cafe nowhere', all)).toEqual([])
    expect(searched(rows, '', new Set(['repair'])).every((it) => it.lane === 'repair')).toBe(true)
    expect(searched(rows, '', all)).toHaveLength(10_000)
  })

  it('what is alike shares a longer word, without case and accents, the most shared first', () => {
    const row = (id: string, title: string, at = START): Happening => ({ ...(rows[0] as Happening), id, title, text: '', at })
    const all = [
      row('a', 'Lüfter stopped'),
      row('b', 'Lufter stopped by a wire'),
      row('c', 'Belt of X'),
      row('d', 'Wire', '2026-02-01T00:00:00.000Z'),
    ]
    expect(alikeTo(all, 'LUFTER wire stopped').map((it) => it.id)).toEqual(['b', 'a', 'd'])
    expect(alikeTo(all, 'of X')).toEqual([])
    expect(alikeTo(all, '')).toEqual([])
  })

  it('any search gives some of the rows, each holding what was asked for (property)', () => {
    const few = rows.slice(0, 300)
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (words) => {
        const found = searched(few, words, new Set(LANES))
        expect(found.length).toBeLessThanOrEqual(few.length)
        expect(new Set(found.map((it) => it.id)).size).toBe(found.length)
      }),
      { seed: 3, numRuns: 100 },
    )
  })
})

describe('the passport', () => {
  const { bench, records } = heron()
  const sections = passportOf(bench, records)

  it('holds what was measured and stated, wires, parts and calibrations with their days, and no guess', () => {
    const rows = sections.flatMap((it) => it.rows)
    const travel = rows.find((it) => it.label === 'Travel, X')
    expect(travel).toMatchObject({ known: 'measured', day: '2026-11-14' })
    expect(travel?.value).toMatch(/^430 ± [\d.]+ mm$/)
    expect(rows.some((it) => it.known === 'assumed')).toBe(false)
    const titles = sections.map((it) => it.title)
    for (const title of ['Motion', 'Power and wiring', 'Beam and focus', 'Wires', 'Upkeep']) expect(titles).toContain(title)
    expect(sections.find((it) => it.title === 'Wires')?.rows).toHaveLength(Object.keys(bench.electrical.wires).length)
    expect(passportOf(base, [])).toEqual([])
  })

  it('keeps of several calibrations of one thing the newest', () => {
    const record = (id: string, at: string, title: string) => ({
      id,
      at,
      title,
      benchId: bench.id,
      stage: 'controller',
      note: '',
      redo: 'Burn the run again.',
      read: [],
      gave: [{ figure: 'motion.stepsPerMm', args: ['x'], value: 80, same: 0.1 }],
      beneath: [],
    })
    const found = passportOf(base, [
      record('b', '2026-02-01T00:00:00.000Z', 'New'),
      record('a', '2026-01-01T00:00:00.000Z', 'Old'),
    ])
    expect(found.flatMap((it) => it.rows.map((row) => [row.label, row.day]))).toEqual([['New', '2026-02-01']])
  })

  it('goes out as a table that a general reader takes apart again, formulas as text', async () => {
    const { parse } = (await import('papaparse')).default
    const tricky = [{ title: 'A, "b"', rows: [{ label: '=1+1', value: '3\n4', known: '', day: '' }] }]
    const read = parse<Record<string, string>>(await writePassport([...sections, ...tricky]), {
      header: true,
      skipEmptyLines: true,
    })
    expect(read.errors).toEqual([])
    expect(read.data).toHaveLength(sections.reduce((sum, it) => sum + it.rows.length, 0) + 1)
    expect(read.data.at(-1)).toMatchObject({ section: 'A, "b"', what: "'=1+1", value: '3\n4' })
  })
})
