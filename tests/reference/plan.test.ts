import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  allotBag,
  drawnHole,
  nearestPatterns,
  screwFor,
  THREADS,
  type Counted,
  type CountedJoint,
  type Joint,
} from '../../src/core/fasteners'
import { cutBars } from '../../src/core/nesting'
import {
  planCalendar,
  timeNetwork,
  whatNow,
  writeCalendarFile,
  type CalendarTask,
  type FreeTime,
  type Task,
} from '../../src/core/schedule'

describe('screws', () => {
  it('have the holes of ISO 273 and 261: M5 clears 5.5, is tapped 4.2; M8 9.0 and 6.8', () => {
    expect([THREADS.M5.clearance, THREADS.M5.tapDrill, THREADS.M8.clearance, THREADS.M8.tapDrill]).toEqual([5.5, 4.2, 9, 6.8])
    for (const { diameter, pitch, tapDrill } of Object.values(THREADS))
      expect(Math.abs(diameter - pitch - tapDrill)).toBeLessThanOrEqual(0.05)
  })

  const joint = (over: Partial<Joint>): Joint => ({ thread: 'M5', stackMm: 6, into: 'nut', holeDepthMm: null, ...over })
  it.each<[string, Partial<Joint>, number]>([
    ['through 6 mm and a nut: 6 + 4.7 + 2 · 0.8 = 12.3', {}, 16],
    ['6 mm into steel: 6 + 5', { into: 'steel' }, 12],
    ['6 mm into aluminium: 6 + 7.5', { into: 'aluminium' }, 16],
    ['6 mm into plastic: 6 + 10', { into: 'plastic' }, 16],
    ['3 mm of M3 into a slot nut: 3 + 3', { thread: 'M3', stackMm: 3, into: 'slotNut', holeDepthMm: 6 }, 6],
  ])('%s', (_, over, length) => {
    const fit = screwFor(joint(over))
    expect(fit.ok && fit.value.lengthMm).toBe(length)
  })

  it('says why none fits: too shallow, too long, between two lengths', () => {
    const code = (over: Partial<Joint>) => {
      const fit = screwFor(joint(over))
      return fit.ok ? '' : fit.findings[0]?.code
    }
    expect(code({ into: 'steel', holeDepthMm: 4 })).toBe('hole-too-shallow')
    expect(code({ stackMm: 90 })).toBe('too-long')
    expect(code({ stackMm: 12, into: 'steel', holeDepthMm: 6.5 })).toBe('between-lengths') // 17 to 17.5
  })

  it('from a bag go to as many joints as an exhaustive search finds (seed 5)', () => {
    const anyJoint = fc.record({ stackMm: fc.constantFrom(2, 5, 9, 14), holeDepthMm: fc.constantFrom(6, 8, 12, null) })
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(8, 10, 12, 16, 20), { maxLength: 5 }),
        fc.array(anyJoint, { minLength: 1, maxLength: 4 }),
        (lengths, shapes) => {
          const joints: CountedJoint[] = shapes.map((it, i) => ({ id: `j${i}`, thread: 'M4', into: 'steel', count: 1, ...it }))
          const bag: Counted[] = lengths.map((lengthMm) => ({ thread: 'M4', lengthMm, count: 1 }))
          const fits = (screw: number, at: CountedJoint): boolean => {
            const { given } = allotBag([{ thread: 'M4', lengthMm: screw, count: 1 }], [at])
            return given.length === 1
          }
          const most = (i: number, free: readonly number[]): number =>
            i === joints.length
              ? 0
              : Math.max(
                  most(i + 1, free),
                  ...free.map((screw, k) =>
                    fits(screw, joints[i]!)
                      ? 1 +
                        most(
                          i + 1,
                          free.filter((__, n) => n !== k),
                        )
                      : 0,
                  ),
                )
          const placed = allotBag(bag, joints).given.reduce((sum, it) => sum + it.count, 0)
          expect(placed).toBe(most(0, lengths))
        },
      ),
      { seed: 5, numRuns: 120 },
    )
  })
})

it('a shaft of 8.00 with 0.1 of play wants 8.1: drawn 8.3 where printing takes 0.2, 7.95 where the kerf gives 0.15', () => {
  expect(drawnHole(8.1, 'printed', 0.2)).toBeCloseTo(8.3, 12)
  expect(drawnHole(8.1, 'cut', 0.15)).toBeCloseTo(7.95, 12)
  // Frame 17 has its holes 31.0 apart, 43.84 corner to corner (NEMA ICS 16, from memory).
  expect(nearestPatterns(31.05, false)[0]?.pattern.name).toBe('frame 17')
  expect(nearestPatterns(43.8, true)[0]).toMatchObject({ pattern: { name: 'frame 17' }, offMm: expect.closeTo(-0.03, 1) })
})

describe('bars', () => {
  const plain = { lengthMm: 100, trimMm: 0, kerfMm: 0 }
  const of = (lengths: readonly number[], stock = plain) => {
    const plan = cutBars(
      lengths.map((lengthMm, i) => ({ id: `${i}`, name: `${lengthMm}`, lengthMm, count: 1 })),
      stock,
    )
    if (!plan.ok) throw new Error(plan.findings[0]?.message)
    return plan.value
  }

  // Instances with a known optimum: triples that fill a bar exactly (the “triplet” construction), and hard small ones.
  it.each([
    [[50, 30, 20, 45, 35, 20, 60, 25, 15], 3],
    [[44, 33, 23, 41, 32, 27, 47, 29, 24, 38, 36, 26], 4],
    [[60, 60, 60, 40, 40, 40], 3],
    [[51, 51, 51, 51], 4],
    [[34, 34, 34, 33, 33, 33, 33, 33, 33], 3],
    [[34, 34, 34, 34, 34, 34, 34], 4], // 238 mm would go into three, but no bar holds three of them
  ])('%j take %d', (lengths, bars) => {
    const plan = of(lengths)
    expect([plan.bars.length, plan.proved]).toEqual([bars, true])
    for (const { parts } of plan.bars) expect(parts.reduce((sum, it) => sum + it.lengthMm, 0)).toBeLessThanOrEqual(100)
    expect(plan.bars.flatMap((it) => it.parts)).toHaveLength(lengths.length)
  })

  it('count a kerf between parts and none behind the last; a trim is cut off first', () => {
    expect(of([48, 50], { ...plain, kerfMm: 2 }).bars).toHaveLength(1)
    expect(of([49, 50], { ...plain, kerfMm: 2 }).bars).toHaveLength(2)
    expect(of([46, 44], { lengthMm: 100, trimMm: 6, kerfMm: 2 }).bars).toHaveLength(1)
    expect(of([47, 44], { lengthMm: 100, trimMm: 6, kerfMm: 2 }).bars).toHaveLength(2)
  })

  it('use up what is there first, and buy as few as any way does (by trying all ways, seed 5)', () => {
    const some = (most: number) => fc.array(fc.integer({ min: 10, max: 95 }), { maxLength: most })
    fc.assert(
      fc.property(some(6), some(2), (lengths, others) => {
        const parts = lengths.map((lengthMm, i) => ({ id: `${i}`, name: `${lengthMm}`, lengthMm, count: 1 }))
        const plan = cutBars(
          parts,
          plain,
          others.map((lengthMm) => ({ lengthMm, count: 1 })),
        )
        if (!plan.ok) throw new Error(plan.findings[0]?.message)
        const fewest = (at: number, rooms: readonly number[]): number => {
          const size = lengths[at]
          if (size === undefined) return 0
          const into = rooms.flatMap((room, i) =>
            size <= room
              ? [
                  fewest(
                    at + 1,
                    rooms.map((it, k) => (k === i ? it - size : it)),
                  ),
                ]
              : [],
          )
          return Math.min(...into, 1 + fewest(at + 1, [...rooms, 100 - size]))
        }
        expect([plan.value.toBuy, plan.value.proved]).toEqual([fewest(0, others), true])
        expect(plan.value.bars.flatMap((it) => it.parts)).toHaveLength(lengths.length)
        for (const { parts: own, lengthMm } of plan.value.bars)
          expect(own.reduce((sum, it) => sum + it.lengthMm, 0)).toBeLessThanOrEqual(lengthMm)
      }),
      { seed: 5, numRuns: 60 },
    )
  })

  it('that are longer than the stock come from what is there, or are refused', () => {
    const long = [{ id: 'a', name: 'Beam', lengthMm: 130, count: 1 }]
    expect(cutBars(long, plain, [{ lengthMm: 140, count: 1 }])).toMatchObject({ ok: true, value: { toBuy: 0 } })
    const two = [{ ...long[0]!, count: 2 }]
    expect(cutBars(two, plain, [{ lengthMm: 140, count: 1 }])).toMatchObject({ ok: false, findings: [{ code: 'no-room' }] })
  })

  it('never take fewer than the bound, nor more than first fit longest first would (seed 3)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 95 }), { minLength: 1, maxLength: 14 }), (lengths) => {
        const plan = of(lengths)
        expect(plan.bars.length).toBeGreaterThanOrEqual(Math.ceil(lengths.reduce((sum, it) => sum + it, 0) / 100))
        const rooms: number[] = []
        for (const size of [...lengths].sort((p, q) => q - p)) {
          const i = rooms.findIndex((room) => room >= size)
          if (i < 0) rooms.push(100 - size)
          else rooms[i]! -= size
        }
        expect(plan.bars.length).toBeLessThanOrEqual(rooms.length)
      }),
      { seed: 3, numRuns: 100 },
    )
  })

  it('refuse a part that no bar gives, and a chain that leaves nothing', () => {
    const bad = (lengthMm: number) => cutBars([{ id: 'a', name: 'Side bar', lengthMm, count: 1 }], plain)
    expect(bad(101).ok ? '' : bad(101).findings[0]?.message).toContain('a bar gives 100.0 mm')
    expect(bad(-4).ok ? '' : bad(-4).findings[0]?.message).toContain('leaves nothing')
  })
})

const task = (id: string, workMin: number, needs: readonly string[] = [], waitMin = 0): Task => ({
  id,
  name: id,
  workMin,
  waitMin,
  needs,
})

describe('the critical path', () => {
  // A network as textbooks have it (activities A to H, hand-worked; from memory): A-C-E-G-H is critical, 26 long.
  const textbook = [
    task('A', 3),
    task('B', 5),
    task('C', 7, ['A']),
    task('D', 8, ['B']),
    task('E', 6, ['C', 'B']),
    task('F', 4, ['D']),
    task('G', 7, ['E']),
    task('H', 3, ['F', 'G']),
  ]

  it('of a textbook network is A-C-E-G-H, 26 long; D may wait 6, F too', () => {
    const network = timeNetwork(textbook)
    if (!network.ok) throw new Error('no network')
    expect(network.value.path).toEqual(['A', 'C', 'E', 'G', 'H'])
    expect(network.value.totalMin).toBe(26)
    expect([network.value.times.get('D')?.float, network.value.times.get('F')?.float]).toEqual([6, 6])
  })

  it('is as long as the longest of all paths, found by walking every one (seed 6)', () => {
    const network = fc.array(
      fc.record({ work: fc.integer({ min: 0, max: 20 }), wait: fc.integer({ min: 0, max: 9 }), mask: fc.nat(255) }),
      {
        minLength: 1,
        maxLength: 8,
      },
    )
    fc.assert(
      fc.property(network, (rows) => {
        const tasks = rows.map(({ work, wait, mask }, i) =>
          task(
            `t${i}`,
            work,
            rows.slice(0, i).flatMap((__, k) => ((mask >> k) & 1 ? [`t${k}`] : [])),
            wait,
          ),
        )
        const longest = (id: string): number => {
          const at = tasks.find((it) => it.id === id)!
          return at.workMin + at.waitMin + Math.max(0, ...at.needs.map(longest))
        }
        const timed = timeNetwork(tasks)
        expect(timed.ok && timed.value.totalMin).toBe(Math.max(...tasks.map((it) => longest(it.id))))
      }),
      { seed: 6 },
    )
  })

  it('names a ring, and a wait for what is gone', () => {
    const ring = timeNetwork([task('paint', 1, ['dry']), task('dry', 1, ['glaze']), task('glaze', 1, ['paint'])])
    expect(ring.ok ? '' : ring.findings[0]?.message).toMatch(/paint.*dry|dry.*glaze/)
    expect(timeNetwork([task('glaze', 1, ['sand'])])).toMatchObject({ ok: false, findings: [{ code: 'no-such-task' }] })
  })
})

describe('the calendar', () => {
  const evening = { from: 18 * 60, to: 21 * 60 }
  const week = { free: [evening, evening, evening, evening, evening, null, null], quiet: { from: 20 * 60, to: 8 * 60 } }
  const open = (it: Task, over: Partial<CalendarTask> = {}): CalendarTask => ({
    ...it,
    noisy: false,
    partsAt: 0,
    notBefore: 0,
    doneAt: null,
    ...over,
  })
  const at = (day: number, hour: number, minute = 0): number => (day * 24 + hour) * 60 + minute
  const plan = (tasks: readonly CalendarTask[], time = week, weekday = 0, now = 0) => {
    const calendar = planCalendar(tasks, time, weekday, now)
    if (!calendar.ok) throw new Error(calendar.findings[0]?.message)
    return calendar.value
  }

  it('lets glue dry by the clock, keeps noise out of quiet hours, waits for parcels and passes over the weekend', () => {
    const glued = open(task('glue', 60, [], 24 * 60))
    const sawn = open(task('saw', 90, []), { noisy: true })
    const fitted = open(task('fit', 60, ['glue']), { partsAt: at(2, 12) })
    const { placed, finish } = plan([glued, sawn, fitted])
    expect(placed.get('glue')).toMatchObject({ start: at(0, 18), readyAt: at(1, 19) }) // no float, so it goes first
    expect(placed.get('saw')?.start).toBe(at(1, 18)) // noise ends at 20 h, and an hour was left
    expect(placed.get('fit')).toMatchObject({ start: at(2, 18), heldBy: 'time' })
    expect(finish).toBe(at(2, 19))
    expect(plan([sawn], week, 5).placed.get('saw')?.start).toBe(at(2, 18)) // begun on a Saturday
  })

  it('splits what no evening holds, and nothing else', () => {
    const { placed } = plan([open(task('wire', 300)), open(task('test', 100, ['wire']))])
    expect(placed.get('wire')?.pieces).toEqual([
      [at(0, 18), at(0, 21)],
      [at(1, 18), at(1, 20)],
    ])
    expect(placed.get('test')?.start).toBe(at(2, 18)) // an hour was left, the task takes more
  })

  it('a late parcel moves the end; one that nobody ordered leaves it open', () => {
    const fit = open(task('fit', 30))
    expect(plan([{ ...fit, partsAt: at(3, 9) }]).finish).toBe(at(3, 18, 30))
    expect(plan([{ ...fit, partsAt: Infinity }])).toMatchObject({ finish: Infinity, unordered: ['fit'] })
  })

  it('refuses a week without free time, and noise that is never allowed', () => {
    const none = { free: [null, null, null, null, null, null, null], quiet: null }
    expect(planCalendar([open(task('saw', 10))], none, 0, 0)).toMatchObject({ ok: false, findings: [{ code: 'no-free-time' }] })
    const loud = open(task('saw', 10), { noisy: true })
    const hush = { ...week, quiet: { from: 17 * 60, to: 9 * 60 } }
    expect(planCalendar([loud], hush, 0, 0)).toMatchObject({ ok: false })
  })

  it('free time over midnight belongs to the day it begins on; noise ends where the quiet begins, on either side', () => {
    const night = { ...week, free: [{ from: 22 * 60, to: 2 * 60 }, null, null, null, null, null, null], quiet: null }
    const placed = (noisy: boolean, quiet: FreeTime['quiet']) => {
      const calendar = planCalendar([open(task('saw', 180), { noisy })], { ...night, quiet }, 0, 0)
      return calendar.ok ? calendar.value.placed.get('saw')?.pieces : calendar.findings[0]?.code
    }
    expect(placed(false, null)).toEqual([[at(0, 22), at(1, 1)]])
    // Quiet from 23 to 7: an hour each Monday night, three Mondays long.
    expect(placed(true, { from: 23 * 60, to: 7 * 60 })).toEqual([0, 7, 14].map((day) => [at(day, 22), at(day, 23)]))
  })

  it('says what can be done now, and what hinders the rest', () => {
    const tasks = [
      open(task('glue', 10, [], 600), { doneAt: at(0, 18) }),
      open(task('fit', 10, ['glue'])),
      open(task('saw', 10), { noisy: true }),
      open(task('sort', 10)),
      open(task('paint', 10, ['saw']), { partsAt: at(9, 0) }),
    ]
    const now = whatNow(tasks, week, at(0, 21))
    expect(Object.fromEntries(now)).toEqual({ fit: ['wait'], saw: ['noise'], sort: [], paint: ['task', 'parcel'] })
  })

  it('a task that was ticked a moment after the clock was last looked at holds nothing up', () => {
    const tasks = [open(task('off', 5), { doneAt: at(0, 18, 1) }), open(task('spindle', 10, ['off']))]
    expect(whatNow(tasks, week, at(0, 18)).get('spindle')).toEqual([])
  })

  it('is written as RFC 5545 asks: line ends, folding at 75 octets, escaped text', () => {
    const note = `${'Ä'.repeat(60)}, then; more`
    const text = writeCalendarFile(
      [{ id: 'a', title: 'Glue, clamp', note, start: '20261125T180000', end: '20261125T190000' }],
      '20261124T120000Z',
    )
    expect(text).toContain('SUMMARY:Glue\\, clamp\r\n')
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    expect(text.replace(/\r\n /g, '')).toContain(`DESCRIPTION:${'Ä'.repeat(60)}\\, then\\; more`)
  })
})
