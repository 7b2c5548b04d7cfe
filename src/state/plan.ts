import { useEffect, useState } from 'react'
import { setAt } from '../core/bench'
import { setUpBench, withChangeOver, withTasks, type Bench, type Wish } from '../core/document'
import {
  calendarTasks,
  freeTimeOf,
  localAfter,
  minutesSince,
  planCalendar,
  untilQuiet,
  usualTasks,
  wayBack,
  weekdayOf,
  whatNow,
  writeCalendarFile,
  type Calendar,
  type CalendarTask,
  type Hindrance,
  type Plan,
  type PlanTask,
} from '../core/schedule'
import type { Outcome } from '../core/units'
import { editBench, useBenchStore } from './benchStore'
import { newId } from '../data/ids'
import { keepRecord } from './library'
import { isDone, told, type Told } from './told'

/** The local clock as it reads, `YYYY-MM-DDTHH:MM`. */
function localNow(): string {
  const now = new Date()
  const two = (it: number): string => String(it).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}T${two(now.getHours())}:${two(now.getMinutes())}`
}

/** The present minute; a component that uses it is drawn again when it turns. */
export function useNow(): string {
  const [now, setNow] = useState(localNow)
  useEffect(() => {
    const timer = setInterval(() => setNow(localNow()), 20_000)
    return () => clearInterval(timer)
  }, [])
  return now
}

/** A plan put into the calendar, counted from midnight of today. */
export interface PlannedNow {
  /** Today, `YYYY-MM-DD`: minute 0 is its midnight. */
  readonly first: string
  readonly nowMin: number
  readonly tasks: readonly CalendarTask[]
  readonly calendar: Outcome<Calendar>
  readonly hindrances: ReadonlyMap<string, readonly Hindrance[]>
  /** Minutes until noise must stop; 0 while it is quiet, Infinity where it never is. */
  readonly quietInMin: number
}

/** Plans the open tasks from now on. */
export function planNow({ plan }: Bench, now: string): PlannedNow {
  const first = now.slice(0, 10)
  const nowMin = minutesSince(first, now)
  const tasks = calendarTasks(plan, first)
  const time = freeTimeOf(plan)
  return {
    first,
    nowMin,
    tasks,
    calendar: planCalendar(tasks, time, weekdayOf(first), nowMin),
    hindrances: whatNow(tasks, time, nowMin),
    quietInMin: untilQuiet(time, nowMin),
  }
}

/** The lists of the plan whose rows are edited one by one. */
export type RowList = 'parts' | 'joints' | 'bag' | 'tasks' | 'plugs' | 'pieces' | 'lengths' | 'counted'

/** The rows of a list, by id; all that is the same for every list is their order. */
function rowsOf(bench: Bench, list: RowList): Readonly<Record<string, { readonly order: number }>> {
  return bench.plan[list]
}

const sorted = new WeakMap<object, readonly (readonly [string, unknown])[]>()

/** The rows of a list in their order; thousands of them are put in order once. */
export function useRows<L extends RowList>(list: L): readonly (readonly [string, Plan[L][string]])[] {
  type Rows = readonly (readonly [string, Plan[L][string]])[]
  return useBenchStore(({ bench }): Rows => {
    if (bench === null) return NO_ROWS
    const rows = rowsOf(bench, list)
    const known = sorted.get(rows) ?? Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)
    sorted.set(rows, known)
    return known as Rows
  })
}

const NO_ROWS: readonly never[] = []

/** Changes one row of the plan. @returns What stands in the way. */
export function editRow<L extends RowList>(list: L, id: string, patch: Partial<Plan[L][string]>, words: string): Told {
  return editBench(words, (bench) => {
    const row = bench.plan[list][id]
    return row === undefined ? bench : setAt(bench, `plan.${list}.${id}`, { ...row, ...patch })
  })
}

/** Adds a row behind the others. */
export function addRow<L extends RowList>(list: L, row: Omit<Plan[L][string], 'order'>, words: string): Told {
  return editBench(words, (bench) => {
    const order = 1 + Math.max(0, ...Object.values(rowsOf(bench, list)).map((it) => it.order))
    return setAt(bench, `plan.${list}.${newId()}`, { ...row, order })
  })
}

/** Takes a row away; what waited for it waits no longer. */
export function removeRow(list: RowList, id: string, words: string): Told {
  return editBench(words, (bench) => {
    const without = setAt(bench, `plan.${list}.${id}`, undefined)
    if (list !== 'tasks' && list !== 'parts') return without
    const link = list === 'tasks' ? 'needs' : 'parts'
    const tasks = Object.entries(without.plan.tasks).map(([key, task]): [string, PlanTask] => [
      key,
      { ...task, [link]: Object.fromEntries(Object.entries(task[link]).filter(([it]) => it !== id)) },
    ])
    return setAt(without, 'plan.tasks', Object.fromEntries(tasks))
  })
}

/** Moves a row before or behind its neighbour. */
export function moveRow(list: RowList, id: string, by: 1 | -1, words: string): Told {
  return editBench(words, (bench) => {
    const rows = Object.entries(rowsOf(bench, list)).sort(([, p], [, q]) => p.order - q.order)
    const at = rows.findIndex(([key]) => key === id)
    const [own, other] = [rows[at], rows[at + by]]
    if (own === undefined || other === undefined) return bench
    const swapped = setAt(bench, `plan.${list}.${own[0]}.order`, other[1].order)
    return setAt(swapped, `plan.${list}.${other[0]}.order`, own[1].order)
  })
}

/** Fills an empty plan with the tasks that are usual for the machine, each behind what must come before. */
export function takeUsualTasks(): Told {
  return editBench('the usual tasks', (bench) => {
    const { kinematics } = bench.motion
    const { rotary, portable } = bench.plan.goals
    const wanted = {
      rotary: rotary.chosen === 'yes',
      portable: portable.chosen === 'yes',
      kit: bench.plan.build.chosen === 'kit',
    }
    const planned = withTasks(bench, usualTasks(kinematics.chosen, wanted), newId)
    return kinematics.chosen === 'retrofit' ? withChangeOver(planned, newId, new Date().toISOString()) : planned
  })
}

/** Sets an empty bench up from what is to be built, one undo step. @returns What stands in the way. */
export function setUp(wish: Wish): Told {
  return editBench('what is to be built', (bench) => setUpBench(bench, wish, newId, new Date().toISOString()))
}

/** Lists the plugs, clips and hoses that a change-over usually has. */
export function takeUsualPlugs(): Told {
  return editBench('the usual plugs', (bench) => withChangeOver(bench, newId, new Date().toISOString()))
}

/** Adds the way back from a change-over behind the tasks that are there. */
export function takeWayBack(): Told {
  return editBench('the way back', (bench) => withTasks(bench, wayBack(), newId))
}

/** Notes that a task is begun now: its clock runs. @returns What stands in the way. */
export function beginTask(id: string): Told {
  const name = useBenchStore.getState().bench?.plan.tasks[id]?.name ?? ''
  return editRow('tasks', id, { begun: `${localNow()}:00` }, `“${name}” begun`)
}

/** Ticks a task as done now, with its record and pictures; or opens it again. @returns What stands in the way. */
export async function tickTask(id: string, note: string, pictures: readonly File[] = []): Promise<Told> {
  const task = useBenchStore.getState().bench?.plan.tasks[id]
  if (task === undefined) return told('This task is gone.')
  if (task.done !== '') return editRow('tasks', id, { done: '', begun: '' }, `“${task.name}” opened again`)
  const edited = editRow('tasks', id, { done: `${localNow()}:00` }, `“${task.name}” done`)
  if (!isDone(edited)) return edited
  const about = { stage: 'plan', title: task.name, note: note === '' ? task.check : note, redo: '', beneath: [] }
  return keepRecord(about, [], pictures)
}

/** The plan as a calendar file. */
export function calendarFile(bench: Bench, now: string): string | null {
  const { first, calendar } = planNow(bench, now)
  if (!calendar.ok) return null
  const plain = (minutes: number): string => `${localAfter(first, minutes).replace(/[-:]/g, '')}00`
  const events = [...calendar.value.placed].flatMap(([id, { pieces }]) => {
    const task = bench.plan.tasks[id]
    return task === undefined || task.done !== ''
      ? []
      : pieces.map(([from, to], i) => ({
          id: `${bench.id}-${id}-${i}`,
          title: `${bench.name}: ${task.name}`,
          note: task.check,
          start: plain(from),
          end: plain(to),
        }))
  })
  return writeCalendarFile(events, `${new Date().toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`)
}
