import { sayMinutes } from '../../core/schedule'
import { useState } from 'react'
import type { Bench } from '../../core/document'
import type { PlanTask } from '../../core/schedule'
import {
  addRow,
  calendarFile,
  planNow,
  takeUsualTasks,
  takeWayBack,
  tickTask,
  useBenchStore,
  useNow,
  useRows,
  type PlannedNow,
} from '../../state'
import { download, LongList, Panel } from '../../ui'
import { TaskEditor } from './TaskEditor'
import { sayPlace, taskStanding } from './taskWords'

/** The tasks: what can be done now first in sight, each with its length, wait, noise and what it waits for. */
export function TaskList() {
  const bench = useBenchStore((it) => it.bench)
  const tasks = useRows('tasks')
  const now = useNow()
  if (bench === null) return null
  const planned = planNow(bench, now)
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
      <Tasks of={open} bench={bench} planned={planned} />
      {done.length > 0 && (
        <details className="mt-1">
          <summary className="cursor-pointer py-1 text-[13px] text-second">{done.length} done</summary>
          <Tasks of={done} bench={bench} planned={planned} />
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
  begun: '',
  done: '',
  kind: '',
}

/** Height of a task that is not opened, px. */
const ROW = 36

function Tasks(props: {
  readonly of: readonly (readonly [string, PlanTask])[]
  readonly bench: Bench
  readonly planned: PlannedNow
}) {
  const { of, bench, planned } = props
  return (
    <LongList
      of={of}
      keyOf={([id]) => id}
      row={([id, task]) => <TaskRow key={id} id={id} task={task} bench={bench} planned={planned} />}
      height={ROW}
      what="tasks"
    />
  )
}

function TaskRow(props: { readonly id: string; readonly task: PlanTask; readonly bench: Bench; readonly planned: PlannedNow }) {
  const { id, task, bench, planned } = props
  const [open, setOpen] = useState(false)
  const { done, doable, words } = taskStanding(id, task, planned)
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
        <span className={`text-[12.5px] ${doable ? 'font-[650] text-teal' : 'text-second'}`}>{words}</span>
        <span className="num w-28 text-right text-[12.5px] text-second">
          {sayMinutes(task.workMin)}
          {task.waitMin > 0 && ` + ${sayMinutes(task.waitMin)}`}
        </span>
      </div>
      <p className="m-0 ml-7 hidden text-[12px] text-second print:block">
        {[sayPlace(id, planned), task.check === '' ? '' : `Check: ${task.check}`].filter(Boolean).join(' · ')}
      </p>
      {open && <TaskEditor id={id} task={task} bench={bench} planned={planned} />}
    </li>
  )
}
