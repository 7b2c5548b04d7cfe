import fc from 'fast-check'
import { expect, it } from 'vitest'
import { planCalendar, untilQuiet, type CalendarTask, type FreeTime } from '.'

const DAY = 24 * 60

const stretch = fc
  .record({ from: fc.integer({ min: 0, max: 20 }), long: fc.integer({ min: 1, max: 8 }) })
  .map(({ from, long }) => ({ from: from * 60, to: (from + long > 24 ? from + long - 24 : from + long) * 60 }))
const time = fc.record({
  free: fc.array(fc.option(stretch, { freq: 4 }), { minLength: 7, maxLength: 7 }),
  quiet: fc.option(fc.record({ from: fc.integer({ min: 0, max: 23 }), to: fc.integer({ min: 0, max: 23 }) })),
})
const row = fc.record({
  work: fc.integer({ min: 0, max: 500 }),
  wait: fc.integer({ min: 0, max: 2000 }),
  noisy: fc.boolean(),
  mask: fc.nat(255),
  partsAt: fc.integer({ min: 0, max: 6 * DAY }),
  notBefore: fc.integer({ min: 0, max: 6 * DAY }),
  done: fc.boolean(),
})

function tasksOf(rows: readonly (typeof row extends fc.Arbitrary<infer T> ? T : never)[]): readonly CalendarTask[] {
  return rows.map((it, i) => ({
    id: `t${i}`,
    name: `t${i}`,
    workMin: it.work,
    waitMin: it.wait,
    noisy: it.noisy,
    needs: rows.slice(0, i).flatMap((_, k) => ((it.mask >> k) & 1 ? [`t${k}`] : [])),
    partsAt: it.partsAt,
    notBefore: it.notBefore,
    // What is done has all that it needed behind it, or the network would not be one.
    doneAt: it.done && it.mask === 0 ? 0 : null,
  }))
}

/** Whether a minute of the week is free, and quiet: written anew, minute by minute. */
function minuteIs({ free, quiet }: FreeTime, weekday: number, minute: number) {
  const day = weekday + Math.floor(minute / DAY)
  const at = minute % DAY
  const [own, before] = [free[day % 7], free[(day + 6) % 7]]
  // Free time over midnight belongs to the day on which it begins.
  const isFree =
    (own != null && at >= own.from && (at < own.to || own.to < own.from)) ||
    (before != null && before.to < before.from && at < before.to)
  const isQuiet =
    quiet !== null && (quiet.from <= quiet.to ? at >= quiet.from && at < quiet.to : at >= quiet.from || at < quiet.to)
  return { isFree, isQuiet }
}

it('whatever the week and the network: one thing at a time, in free time, quiet kept, nothing before what it waits for (seed 17)', () => {
  fc.assert(
    fc.property(
      fc.array(row, { minLength: 1, maxLength: 7 }),
      time,
      fc.integer({ min: 0, max: 6 }),
      fc.integer({ min: 0, max: 2 * DAY }),
      (rows, hours, weekday, now) => {
        const tasks = tasksOf(rows)
        const quiet = hours.quiet === null ? null : { from: hours.quiet.from * 60, to: hours.quiet.to * 60 }
        const week = { free: hours.free, quiet }
        const calendar = planCalendar(tasks, week, weekday, now)
        if (!calendar.ok) {
          expect(['no-free-time', 'ring']).toContain(calendar.findings[0]?.code)
          return
        }
        const { placed, finish } = calendar.value
        const taken = new Set<number>()
        for (const task of tasks) {
          const at = placed.get(task.id)!
          if (task.doneAt !== null) continue
          expect(at.pieces.reduce((sum, [from, to]) => sum + to - from, 0)).toBe(task.workMin)
          expect(at.start).toBeGreaterThanOrEqual(Math.max(now, task.partsAt, task.notBefore))
          for (const need of task.needs) expect(at.start).toBeGreaterThanOrEqual(placed.get(need)!.readyAt)
          expect(at.readyAt).toBe(at.end + task.waitMin)
          expect(finish).toBeGreaterThanOrEqual(at.readyAt)
          for (const [from, to] of at.pieces) {
            for (let minute = from; minute < to; minute += 1) {
              const { isFree, isQuiet } = minuteIs(week, weekday, minute)
              if (!isFree || (task.noisy && isQuiet) || taken.has(minute)) {
                throw new Error(`${task.id} stands at ${minute}: free ${isFree}, quiet ${isQuiet}, taken ${taken.has(minute)}`)
              }
              taken.add(minute)
            }
          }
        }
      },
    ),
    { seed: 17, numRuns: 150 },
  )
})

it('a task that is put off lets another go before it, and moves what waits for it', () => {
  const free = Array.from({ length: 7 }, () => ({ from: 18 * 60, to: 21 * 60 }))
  const task = (id: string, needs: readonly string[], notBefore = 0): CalendarTask => ({
    id,
    name: id,
    workMin: 60,
    waitMin: 0,
    noisy: false,
    needs,
    partsAt: 0,
    notBefore,
    doneAt: null,
  })
  const plan = (late: number) => {
    const calendar = planCalendar([task('saw', [], late), task('drill', ['saw']), task('sort', [])], { free, quiet: null }, 0, 0)
    if (!calendar.ok) throw new Error('no calendar')
    return Object.fromEntries([...calendar.value.placed].map(([id, it]) => [id, [it.start / 60, it.heldBy]]))
  }
  expect(plan(0)).toEqual({ saw: [18, 'time'], drill: [19, 'task'], sort: [20, 'task'] })
  expect(plan(2 * DAY)).toEqual({ saw: [2 * 24 + 18, 'time'], drill: [2 * 24 + 19, 'task'], sort: [18, 'time'] })
  expect(plan(19 * 60)).toMatchObject({ sort: [18, 'time'], saw: [19, 'putOff'] })
})

it('noise may last until the first minute that is quiet, found by walking there (seed 19)', () => {
  const minute = fc.integer({ min: 0, max: DAY - 1 })
  fc.assert(
    fc.property(fc.record({ from: minute, to: minute }), fc.integer({ min: -DAY, max: 3 * DAY }), (quiet, now) => {
      const isQuiet = (at: number): boolean => minuteIs({ free: [], quiet }, 0, ((at % DAY) + DAY) % DAY).isQuiet
      const walked = Array.from({ length: DAY }, (_, i) => i).find((i) => isQuiet(now + i)) ?? Infinity
      expect(untilQuiet({ quiet }, now)).toBe(walked)
    }),
    { seed: 19, numRuns: 200 },
  )
})
