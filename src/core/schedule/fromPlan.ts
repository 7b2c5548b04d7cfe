import type { CalendarTask, FreeTime, Stretch } from './calendar'
import { WEEKDAYS, type Plan } from './slice'

const MINUTE = 60_000
const DAY = 24 * 60

/**
 * Minutes between midnight of a first day and a local time; the local clock is taken as it reads, without shifts.
 * @param first `YYYY-MM-DD`. @param local `YYYY-MM-DD` or `YYYY-MM-DDTHH:MM…`.
 * @returns Minutes; NaN where one of them is no date.
 * Valid: dates of the Gregorian calendar. Source: by definition.
 * @example minutesSince('2026-11-24', '2026-11-25T18:00') // 2520
 */
export function minutesSince(first: string, local: string): number {
  const time = local.includes('T') ? local.slice(0, 16) : `${local}T00:00`
  return (Date.parse(`${time}:00Z`) - Date.parse(`${first}T00:00:00Z`)) / MINUTE
}

/** The inverse: the local time, `YYYY-MM-DDTHH:MM`, so many minutes after midnight of a first day. */
export function localAfter(first: string, minutes: number): string {
  return new Date(Date.parse(`${first}T00:00:00Z`) + minutes * MINUTE).toISOString().slice(0, 16)
}

/**
 * Weekday of a day, 0 (Monday) to 6. @param day `YYYY-MM-DD`. Valid: as `minutesSince`. Source: by definition.
 * @example weekdayOf('2026-11-26') // 3: a Thursday
 */
export function weekdayOf(day: string): number {
  return (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7
}

/** The tasks of a plan as the calendar takes them, times counted from midnight of a first day. */
export function calendarTasks({ tasks, parts }: Plan, first: string): readonly CalendarTask[] {
  return Object.entries(tasks)
    .sort(([, p], [, q]) => p.order - q.order)
    .map(([id, task]) => ({
      id,
      name: task.name,
      workMin: task.workMin,
      waitMin: task.waitMin,
      noisy: task.noisy,
      needs: Object.keys(task.needs),
      partsAt: Math.max(
        0,
        ...Object.keys(task.parts).map((part) => {
          const { state, arrives } = parts[part] ?? { state: 'here' as const, arrives: '' }
          if (state === 'here') return 0
          // A parcel comes in the course of its day; what is ordered without a day, or not at all, is not planned for.
          return state === 'ordered' && arrives !== '' ? minutesSince(first, arrives) + 12 * 60 : Infinity
        }),
      ),
      notBefore: task.notBefore === '' ? 0 : minutesSince(first, task.notBefore),
      doneAt: task.done === '' ? null : minutesSince(first, task.done),
      begunAt: task.begun === '' ? null : minutesSince(first, task.begun),
    }))
}

/** Free time and quiet hours of a plan. */
export function freeTimeOf({ free, quiet }: Pick<Plan, 'free' | 'quiet'>): FreeTime {
  return { free: WEEKDAYS.map((day) => stretchOf(free[day])), quiet: stretchOf(quiet) }
}

function stretchOf({ from, to }: { readonly from: string; readonly to: string }): Stretch | null {
  if (from === '' || to === '') return null
  const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))
  return { from: minutes(from), to: to === '00:00' ? DAY : minutes(to) }
}

/** A run of tasks that was begun: when, and how long from its first tick to its last or to now. Minutes as given. */
export interface RunTime {
  readonly begun: number
  readonly tookMin: number
  /** Work of its tasks as planned, min. */
  readonly plannedMin: number
  readonly done: boolean
}

/**
 * How long a run of tasks has taken, by the clock: from the first that was begun to the last tick, or to now while one is
 * open. Where nobody noted when it was begun, its own work before its tick stands for that.
 * @param tasks With the times at which they were begun and done. @param now As those times.
 * @returns Null where none is begun yet.
 * Valid: by the clock, breaks counted. Source: by definition.
 */
export function runTime(tasks: readonly CalendarTask[], now: number): RunTime | null {
  const ticked = tasks.filter((it): it is CalendarTask & { doneAt: number } => it.doneAt !== null)
  const begins = tasks.flatMap(({ begunAt, doneAt, workMin }) => begunAt ?? (doneAt === null ? [] : doneAt - workMin))
  if (begins.length === 0) return null
  const begun = Math.min(...begins)
  const done = ticked.length === tasks.length
  const end = done ? Math.max(...ticked.map((it) => it.doneAt)) : now
  const plannedMin = tasks.reduce((sum, it) => sum + it.workMin, 0)
  return { begun, tookMin: Math.max(0, end - begun), plannedMin, done }
}
