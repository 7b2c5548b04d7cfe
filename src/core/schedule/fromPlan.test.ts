import { describe, expect, it } from 'vitest'
import { heron } from '../../data/heron'
import { calendarTasks, freeTimeOf, localAfter, minutesSince, runTime, weekdayOf, type CalendarTask } from '.'

const DAY = 24 * 60

describe('times of the plan', () => {
  it('count minutes of the local clock as it reads, over the ends of months and the change of the clocks', () => {
    expect(minutesSince('2026-11-24', '2026-11-25T18:00')).toBe(DAY + 18 * 60)
    expect(minutesSince('2026-02-28', '2026-03-01')).toBe(DAY)
    expect(minutesSince('2028-02-28', '2028-03-01')).toBe(2 * DAY) // a leap year
    expect(minutesSince('2026-03-28', '2026-03-30')).toBe(2 * DAY) // clocks go forward between
    expect(minutesSince('2026-11-24', '2026-11-23T23:30')).toBe(-30)
    expect(minutesSince('2026-11-24', 'soon')).toBeNaN()
    for (const minutes of [0, 1, 59, 1440, 100_000]) {
      expect(minutesSince('2026-11-24', localAfter('2026-11-24', minutes))).toBe(minutes)
    }
  })

  it('know the day of the week: 24 November 2026 is a Tuesday, 1 January 2000 was a Saturday (calendar)', () => {
    expect([weekdayOf('2026-11-24'), weekdayOf('2000-01-01'), weekdayOf('2028-02-29')]).toEqual([1, 5, 1])
  })
})

describe('tasks as the calendar takes them', () => {
  const { plan } = heron().bench
  const tasks = calendarTasks(plan, '2026-11-24')
  const of = (id: string) => tasks.find((it) => it.id === id)

  it('wait for the last of their parcels, at noon of its day; for what nobody ordered they wait for ever', () => {
    expect(of('glaze')?.partsAt).toBe(minutesSince('2026-11-24', '2026-12-02T12:00'))
    expect(of('panels')?.partsAt).toBe(0)
    const both = { ...plan.tasks['glaze']!, parts: { window: true as const, switch: true as const } }
    const late = calendarTasks({ ...plan, tasks: { glaze: both } }, '2026-11-24')
    expect(late[0]?.partsAt).toBe(minutesSince('2026-11-24', '2026-12-02T12:00'))
    const never = { ...plan.parts, window: { ...plan.parts['window']!, arrives: '' } }
    expect(calendarTasks({ ...plan, parts: never, tasks: { glaze: both } }, '2026-11-24')[0]?.partsAt).toBe(Infinity)
    const gone = { ...both, parts: { 'no such part': true as const } }
    expect(calendarTasks({ ...plan, tasks: { glaze: gone } }, '2026-11-24')[0]?.partsAt).toBe(0)
  })

  it('keep the day they are put off to, and when they were done', () => {
    const put = calendarTasks({ ...plan, tasks: { a: { ...plan.tasks['panels']!, notBefore: '2026-11-26' } } }, '2026-11-24')
    expect(put[0]?.notBefore).toBe(2 * DAY)
    expect([of('panels')?.doneAt, of('cut')?.doneAt]).toEqual([null, minutesSince('2026-11-24', '2026-11-08T19:30')])
  })

  it('have a week with a free Friday left out, and an end at midnight', () => {
    const { free, quiet } = freeTimeOf({ ...plan, quiet: { from: '22:00', to: '00:00' } })
    expect([free[4], free[0]]).toEqual([null, { from: 18 * 60, to: 21 * 60 }])
    expect(quiet).toEqual({ from: 22 * 60, to: DAY })
    expect(freeTimeOf({ ...plan, quiet: { from: '', to: '08:00' } }).quiet).toBeNull()
  })
})

describe('a change-over that is timed', () => {
  const task = (workMin: number, doneAt: number | null, begunAt: number | null = null): CalendarTask => ({
    id: `${workMin}`,
    name: 'x',
    workMin,
    waitMin: 0,
    needs: [],
    noisy: false,
    partsAt: 0,
    notBefore: 0,
    doneAt,
    begunAt,
  })

  it('runs by the clock from where its first step was begun, done or not', () => {
    expect(runTime([task(5, null, 590), task(10, null)], 600)?.tookMin).toBe(10)
    expect(runTime([task(5, 640, 600), task(10, 655, 645)], 900)).toEqual({ begun: 600, tookMin: 55, plannedMin: 15, done: true })
  })

  it('runs from before its first tick to now, and stands still with its last', () => {
    expect(runTime([task(5, null), task(10, null)], 600)).toBeNull()
    expect(runTime([task(5, 605), task(10, null)], 630)).toEqual({ begun: 600, tookMin: 30, plannedMin: 15, done: false })
    expect(runTime([task(5, 605), task(10, 622)], 900)).toEqual({ begun: 600, tookMin: 22, plannedMin: 15, done: true })
  })
})
