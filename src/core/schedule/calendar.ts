import { accepted, refused, type Outcome } from '../units'
import { timeNetwork, type Network, type Task } from './network'

/** A stretch of a day, minutes from midnight. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

/** When somebody has time. Weekdays 0 (Monday) to 6. */
export interface FreeTime {
  /** Over midnight where `from` is later than `to`: it belongs to the day on which it begins. */
  readonly free: readonly (Stretch | null)[]
  /** When nothing noisy may be done, each day; over midnight where `from` is later than `to`. Null: never. */
  readonly quiet: Stretch | null
}

/** A task with what the calendar needs of it. Times are minutes from midnight of the first day, by the local clock. */
export interface CalendarTask extends Task {
  readonly noisy: boolean
  /** When its last parcel arrives; 0 or less: it is there. Infinity: not ordered. */
  readonly partsAt: number
  /** Put off until then; 0 or less: it may begin as soon as it can. */
  readonly notBefore: number
  /** When it was done; null while it is open. */
  readonly doneAt: number | null
  /** When it was begun at the bench; null where nobody noted it. */
  readonly begunAt?: number | null
}

/** Where a task stands in the calendar. */
export interface Placed {
  readonly pieces: readonly (readonly [number, number])[]
  readonly start: number
  readonly end: number
  /** When what waits for it may begin. */
  readonly readyAt: number
  /** What held it back last: an earlier task, a parcel, being put off, or free time. */
  readonly heldBy: 'task' | 'parcel' | 'putOff' | 'time' | 'done'
}

export interface Calendar {
  readonly network: Network
  readonly placed: ReadonlyMap<string, Placed>
  /** When the last task and its wait are over; Infinity while a parcel is not ordered. */
  readonly finish: number
  /** Tasks that wait for a parcel nobody has ordered, by name. */
  readonly unordered: readonly string[]
}

const DAY = 24 * 60
/** Days that are looked ahead for free time. */
const HORIZON = 730

/**
 * Puts every open task into somebody's free time, one after the other, as early as what it waits for allows; of those
 * that could begin alike the one with the least float first.
 * @param weekday Of the first day, 0 (Monday) to 6. @param now Nothing begins before it, minutes.
 * @returns The calendar; refused where tasks wait for one another in a ring or where there is no free time for them.
 * Source: list scheduling with the latest start as priority.
 */
export function planCalendar(tasks: readonly CalendarTask[], time: FreeTime, weekday: number, now: number): Outcome<Calendar> {
  const network = timeNetwork(tasks)
  if (!network.ok) return network
  const windows = windowsOf(time, weekday)
  const placed = new Map<string, Placed>()
  for (const task of tasks) {
    if (task.doneAt === null) continue
    const { doneAt, waitMin } = task
    placed.set(task.id, { pieces: [], start: doneAt, end: doneAt, readyAt: doneAt + waitMin, heldBy: 'done' })
  }
  const unordered = new Set<string>()
  let busyUntil = now
  for (;;) {
    const ready = tasks.filter((it) => !placed.has(it.id) && !unordered.has(it.id) && it.needs.every((id) => placed.has(id)))
    const options: { readonly task: CalendarTask; readonly at: Placed }[] = []
    for (const task of ready) {
      if (task.partsAt === Infinity) {
        unordered.add(task.id)
        continue
      }
      const before = Math.max(0, ...task.needs.map((id) => placed.get(id)?.readyAt ?? 0))
      const from = Math.max(busyUntil, before, task.partsAt, task.notBefore)
      const pieces = windows.place(from, task.workMin, task.noisy)
      if (pieces === null) {
        return refused(
          'no-free-time',
          `There is no free time for “${task.name}”${task.noisy ? ', which is noisy, outside the quiet hours' : ''}. Give a weekday some hours${task.noisy ? ' in which noise is allowed' : ''}.`,
          { path: task.id },
        )
      }
      const start = pieces[0]?.[0] ?? from
      const end = pieces.at(-1)?.[1] ?? from
      const heldBy = start > from ? 'time' : from > before ? lastOf(from, task) : 'task'
      options.push({ task, at: { pieces, start, end, readyAt: end + task.waitMin, heldBy } })
    }
    const lateness = (id: string): number => network.value.times.get(id)?.latestStart ?? Infinity
    const [next] = options.sort((p, q) => p.at.start - q.at.start || lateness(p.task.id) - lateness(q.task.id))
    if (next === undefined) break
    placed.set(next.task.id, next.at)
    busyUntil = Math.max(busyUntil, next.at.end)
  }
  const open = tasks.filter((it) => !placed.has(it.id))
  const finish = open.length > 0 ? Infinity : Math.max(now, ...[...placed.values()].map((it) => it.readyAt))
  const names = tasks.filter((it) => unordered.has(it.id)).map((it) => it.name)
  return accepted({ network: network.value, placed, finish, unordered: names })
}

/** What holds a task back until a time that no earlier task asks for. */
function lastOf(from: number, { partsAt, notBefore }: CalendarTask): Placed['heldBy'] {
  return from === partsAt ? 'parcel' : from === notBefore ? 'putOff' : 'task'
}

/** A stretch that ends later than it begins, in the next day if need be. */
export function overMidnight({ from, to }: Stretch): Stretch {
  return { from, to: to < from ? to + DAY : to }
}

function shifted({ from, to }: Stretch, by: number): Stretch {
  return { from: from + by, to: to + by }
}

/** Free stretches of the days, with or without what must be quiet. */
function windowsOf({ free, quiet }: FreeTime, weekday: number) {
  const ofDay = (day: number, noisy: boolean): Stretch[] => {
    const listed = free[(((weekday + day) % 7) + 7) % 7] ?? null
    if (listed === null || listed.to === listed.from) return []
    const own = overMidnight(listed)
    if (!noisy || quiet === null) return [own]
    // Of the day before, of the day itself, and of the next, into which free time may reach.
    const forbidden = [-DAY, 0, DAY].map((shift) => shifted(overMidnight(quiet), shift))
    return forbidden.reduce<Stretch[]>(
      (left, { from, to }) =>
        left.flatMap((it) => [
          ...(it.from < Math.min(it.to, from) ? [{ from: it.from, to: Math.min(it.to, from) }] : []),
          ...(Math.max(it.from, to) < it.to ? [{ from: Math.max(it.from, to), to: it.to }] : []),
        ]),
      [own],
    )
  }
  const longest = (noisy: boolean): number =>
    Math.max(0, ...[0, 1, 2, 3, 4, 5, 6].flatMap((day) => ofDay(day, noisy).map((it) => it.to - it.from)))
  return {
    /** The stretches that a task takes, from some time on; null where none ever does. */
    place(from: number, work: number, noisy: boolean): [number, number][] | null {
      if (work === 0) return [[from, from]]
      const whole = work <= longest(noisy)
      const pieces: [number, number][] = []
      let left = work
      // What began yesterday evening may still be going on.
      const first = Math.floor(from / DAY) - 1
      for (let day = first; day < first + HORIZON; day++) {
        for (const stretch of ofDay(day, noisy)) {
          const start = Math.max(from, pieces.at(-1)?.[1] ?? from, day * DAY + stretch.from)
          const room = day * DAY + stretch.to - start
          if (room <= 0 || (whole && room < work)) continue
          const taken = Math.min(room, left)
          pieces.push([start, start + taken])
          left -= taken
          if (left <= 1e-9) return pieces
        }
      }
      return null
    },
  }
}

/**
 * Minutes until the quiet hours begin; 0 within them, Infinity where there are none.
 * @param now Minutes from midnight of any day, by the local clock. Valid: quiet hours of less than a day.
 * Source: by definition.
 * @example untilQuiet({ quiet: { from: 20 * 60, to: 8 * 60 } }, 18 * 60) // 120
 */
export function untilQuiet({ quiet }: Pick<FreeTime, 'quiet'>, now: number): number {
  if (quiet === null || quiet.from === quiet.to) return Infinity
  const since = (time: number): number => (((now - time) % DAY) + DAY) % DAY
  const long = (((quiet.to - quiet.from) % DAY) + DAY) % DAY
  return since(quiet.from) < long ? 0 : DAY - since(quiet.from)
}

/** What stands in the way of a task at a moment; nothing: it can be done now. */
export type Hindrance = 'task' | 'wait' | 'parcel' | 'putOff' | 'noise'

/** The open tasks that can be begun at a moment, whether or not it is free time, and what hinders the others. */
export function whatNow(
  tasks: readonly CalendarTask[],
  { quiet }: Pick<FreeTime, 'quiet'>,
  now: number,
): ReadonlyMap<string, readonly Hindrance[]> {
  const byId = new Map(tasks.map((it) => [it.id, it]))
  const isQuiet = untilQuiet({ quiet }, now) === 0
  return new Map(
    tasks
      .filter((it) => it.doneAt === null)
      .map((task): [string, readonly Hindrance[]] => {
        const before = task.needs.map((id) => byId.get(id)).filter((it) => it !== undefined)
        const open = before.some((it) => it.doneAt === null)
        // What has no wait is over with its tick, even where the clock that is asked lags behind by a minute.
        const waiting = before.some((it) => it.doneAt !== null && it.waitMin > 0 && it.doneAt + it.waitMin > now)
        return [
          task.id,
          [
            ...(open ? (['task'] as const) : []),
            ...(waiting ? (['wait'] as const) : []),
            ...(task.partsAt > now ? (['parcel'] as const) : []),
            ...(task.notBefore > now ? (['putOff'] as const) : []),
            ...(task.noisy && isQuiet ? (['noise'] as const) : []),
          ],
        ]
      }),
  )
}
