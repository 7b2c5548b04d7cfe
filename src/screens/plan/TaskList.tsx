import { useState } from 'react'
import { setAt } from '../../core/bench'
import type { Bench } from '../../core/document'
import { WEEKDAYS, type Hindrance, type PlanTask } from '../../core/schedule'
import {
  addRow,
  calendarFile,
  editBench,
  editRow,
  moveRow,
  planNow,
  removeRow,
  takeUsualTasks,
  takeWayBack,
  tickTask,
  useBenchStore,
  useNow,
} from '../../state'
import { download, Findings, Panel, PlainField } from '../../ui'

const HINDERED: Readonly<Record<Hindrance, string>> = {
  task: 'waits for a task',
  wait: 'something dries',
  parcel: 'waits for a parcel',
  putOff: 'put off',
  noise: 'quiet hours',
}

/** The tasks: what can be done now first in sight, each with its length, wait, noise and what it waits for. */
export function TaskList() {
  const bench = useBenchStore((it) => it.bench)
  const now = useNow()
  if (bench === null) return null
  const { hindrances } = planNow(bench, now)
  const tasks = Object.entries(bench.plan.tasks).sort(([, p], [, q]) => p.order - q.order)
  const open = tasks.filter(([, it]) => it.done === '')
  const done = tasks.filter(([, it]) => it.done !== '')
  const file = (): void => {
    const text = calendarFile(bench, now)
    if (text !== null) download('plan.ics', new TextEncoder().encode(text), 'text/calendar')
  }
  return (
    <Panel
      title="Tasks"
      aside={
        <span className="num text-[12px] text-second">
          {done.length} of {tasks.length} done
        </span>
      }
    >
      <ul className="m-0 list-none p-0">
        {open.map(([id, task]) => (
          <TaskRow key={id} id={id} task={task} bench={bench} hindrances={hindrances.get(id) ?? []} />
        ))}
      </ul>
      {done.length > 0 && (
        <details className="mt-1">
          <summary className="cursor-pointer py-1 text-[13px] text-second">{done.length} done</summary>
          <ul className="m-0 list-none p-0">
            {done.map(([id, task]) => (
              <TaskRow key={id} id={id} task={task} bench={bench} hindrances={[]} />
            ))}
          </ul>
        </details>
      )}
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => addRow('tasks', NEW_TASK, 'a task')}>
          Add a task
        </button>
        {tasks.length === 0 && (
          <button type="button" className="button button-first" onClick={() => takeUsualTasks()}>
            Take the usual tasks for this machine
          </button>
        )}
        {bench.motion.kinematics.chosen === 'retrofit' && tasks.length > 0 && (
          <button type="button" className="button" onClick={() => takeWayBack()}>
            Add the way back
          </button>
        )}
        {tasks.length > 0 && (
          <button type="button" className="button" onClick={file}>
            Calendar file
          </button>
        )}
      </div>
    </Panel>
  )
}

const NEW_TASK: Omit<PlanTask, 'order'> = {
  name: 'A new task',
  check: '',
  workMin: 30,
  waitMin: 0,
  noisy: false,
  needs: {},
  parts: {},
  notBefore: '',
  done: '',
}

function TaskRow(props: {
  readonly id: string
  readonly task: PlanTask
  readonly bench: Bench
  readonly hindrances: readonly Hindrance[]
}) {
  const { id, task, bench, hindrances } = props
  const [open, setOpen] = useState(false)
  const done = task.done !== ''
  const words = done ? 'done' : hindrances.length === 0 ? 'can be done now' : hindrances.map((it) => HINDERED[it]).join(', ')
  return (
    <li className="border-b border-rule py-1.5" data-task={task.name}>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <input
          type="checkbox"
          className="h-4 w-4 translate-y-0.5 accent-[var(--teal)]"
          checked={done}
          aria-label={`“${task.name}” is done`}
          onChange={() => void tickTask(id, '')}
        />
        <button
          type="button"
          aria-expanded={open}
          className={`min-w-0 flex-1 text-left hover:text-teal ${done ? 'text-second line-through' : ''}`}
          onClick={() => setOpen(!open)}
        >
          {task.name}
        </button>
        <span className={`text-[12.5px] ${!done && hindrances.length === 0 ? 'font-[650] text-teal' : 'text-second'}`}>
          {words}
        </span>
        <span className="num w-28 text-right text-[12.5px] text-second">
          {sayMinutes(task.workMin)}
          {task.waitMin > 0 && ` + ${sayMinutes(task.waitMin)}`}
        </span>
      </div>
      {open && <TaskEditor id={id} task={task} bench={bench} />}
    </li>
  )
}

/** A duration: 45 min, 2 h, 1 h 30, 24 h. */
export function sayMinutes(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  const rest = minutes % 60
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`
}

function TaskEditor({ id, task, bench }: { readonly id: string; readonly task: PlanTask; readonly bench: Bench }) {
  const patch = (change: Partial<PlanTask>): string | null => editRow('tasks', id, change, `“${task.name}”`)
  const minutes = (key: 'workMin' | 'waitMin', unit: number) => (text: string) => {
    const value = Math.round(Number(text.replace(',', '.')) * unit)
    return text.trim() !== '' && value >= 0 ? patch({ [key]: value }) : 'Type a number, 0 or more.'
  }
  const { tasks, parts } = bench.plan
  const others = Object.entries(tasks).filter(([it]) => it !== id)
  return (
    <div className="no-print ml-7 mt-1 grid gap-2 pb-2 text-[13px]">
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <PlainField label="Name" value={task.name} className="w-64" keep={(name) => patch({ name: name.trim() })} />
        <PlainField label="Work, min" value={String(task.workMin)} className="w-20" keep={minutes('workMin', 1)} />
        <PlainField label="Then wait, h" value={String(task.waitMin / 60)} className="w-20" keep={minutes('waitMin', 60)} />
        <label className="flex flex-col text-[12px] text-second">
          Not before
          <input
            type="date"
            className="input min-h-8 py-0.5 text-[13.5px]"
            value={task.notBefore}
            onChange={(event) => patch({ notBefore: event.target.value })}
          />
        </label>
        <PlainField label="Done when" value={task.check} className="w-64" keep={(check) => patch({ check: check.trim() })} />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-[var(--teal)]"
          checked={task.noisy}
          onChange={() => patch({ noisy: !task.noisy })}
        />
        It is noisy
      </label>
      <Links
        words="It waits for"
        all={others.map(([key, it]) => [key, it.name])}
        taken={task.needs}
        change={(needs) => patch({ needs })}
      />
      <Links
        words="It needs the parts"
        all={Object.entries(parts).map(([key, it]) => [key, it.name])}
        taken={task.parts}
        change={(taken) => patch({ parts: taken })}
      />
      <div className="flex gap-3">
        <button type="button" className="link" onClick={() => moveRow('tasks', id, -1, `“${task.name}” moved up`)}>
          Up
        </button>
        <button type="button" className="link" onClick={() => moveRow('tasks', id, 1, `“${task.name}” moved down`)}>
          Down
        </button>
        <button type="button" className="link" onClick={() => removeRow('tasks', id, `“${task.name}” taken away`)}>
          Take it away
        </button>
      </div>
    </div>
  )
}

/** What a task is linked to: taken ones with a way to let go, and one more to take. */
function Links(props: {
  readonly words: string
  readonly all: readonly (readonly [string, string])[]
  readonly taken: Readonly<Record<string, true>>
  readonly change: (taken: Record<string, true>) => string | null
}) {
  const { words, all, taken, change } = props
  const left = all.filter(([key]) => taken[key] === undefined)
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span>{words}</span>
      {all
        .filter(([key]) => taken[key] !== undefined)
        .map(([key, name]) => (
          <span key={key} className="border-b border-rule">
            {name}{' '}
            <button
              type="button"
              className="link"
              aria-label={`${words} “${name}” no longer`}
              onClick={() => change(Object.fromEntries(Object.entries(taken).filter(([it]) => it !== key)))}
            >
              ×
            </button>
          </span>
        ))}
      {left.length > 0 && (
        <select
          className="input min-h-8 max-w-56 py-0.5"
          aria-label={`${words}, one more`}
          value=""
          onChange={(event) => event.target.value !== '' && change({ ...taken, [event.target.value]: true })}
        >
          <option value="">one more …</option>
          {left.map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      )}
    </div>
  )
}

/** When there is time, and when it must be quiet. */
export function FreeTime() {
  const bench = useBenchStore((it) => it.bench)
  const [refusal, setRefusal] = useState<string | null>(null)
  if (bench === null) return null
  const change = (path: string, value: string): void =>
    setRefusal(editBench('the free time', (it) => setAt(it, `plan.${path}`, value)))
  const pair = (path: string, { from, to }: { readonly from: string; readonly to: string }, name: string) => (
    <span className="flex items-center gap-2">
      <input
        type="time"
        className="input min-h-8 py-0.5"
        aria-label={`${name} from`}
        value={from}
        onChange={(event) => change(`${path}.from`, event.target.value)}
      />
      <span>to</span>
      <input
        type="time"
        className="input min-h-8 py-0.5"
        aria-label={`${name} to`}
        value={to}
        onChange={(event) => change(`${path}.to`, event.target.value)}
      />
    </span>
  )
  return (
    <Panel title="Given, your time">
      <div className="no-print mt-2 grid gap-x-8 gap-y-1 text-[13px] sm:grid-cols-2">
        {WEEKDAYS.map((day) => (
          <div key={day} className="flex items-center justify-between gap-3">
            <span className="capitalize">{day}</span>
            {pair(`free.${day}`, bench.plan.free[day], day)}
          </div>
        ))}
        <div className="flex items-center justify-between gap-3">
          <span>Quiet</span>
          {pair('quiet', bench.plan.quiet, 'quiet hours')}
        </div>
      </div>
      {refusal !== null && <Findings findings={[{ code: 'refused', severity: 'error', message: refusal }]} />}
    </Panel>
  )
}
