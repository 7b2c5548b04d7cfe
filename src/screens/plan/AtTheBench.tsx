import { useState } from 'react'
import type { Bench } from '../../core/document'
import { localAfter, runTime, type CalendarTask } from '../../core/schedule'
import { planNow, tickTask, useBenchStore, useNow } from '../../state'
import { Findings } from '../../ui'
import { sayDay } from './SchedulePlate'
import { sayMinutes } from './TaskList'

/** One step at a time, large enough for a tablet at the machine: what to do, and the check that closes it. */
export function AtTheBench() {
  const bench = useBenchStore((it) => it.bench)
  const now = useNow()
  if (bench === null) return null
  const { hindrances, tasks, first, nowMin } = planNow(bench, now)
  const next = tasks.find((it) => hindrances.get(it.id)?.length === 0)
  const waits = tasks
    .filter((it) => it.doneAt !== null && it.waitMin > 0 && it.doneAt + it.waitMin > nowMin)
    .map((it) => ({ name: it.name, until: (it.doneAt ?? 0) + it.waitMin }))
  const open = tasks.filter((it) => it.doneAt === null)
  return (
    <div className="mt-4 max-w-[46rem]" data-plate="At the bench">
      {bench.motion.kinematics.chosen === 'retrofit' && <RunClock tasks={tasks} first={first} nowMin={nowMin} />}
      {waits.map(({ name, until }) => (
        <p key={name} className="mb-2 border-l-2 border-second pl-3" role="status">
          {name}: wait until <span className="num">{localAfter(first, until).slice(11)}</span> on{' '}
          {sayDay(localAfter(first, until).slice(0, 10))}, another {sayMinutes(Math.ceil(until - nowMin))}.
        </p>
      ))}
      {next !== undefined && (
        <Step key={next.id} id={next.id} bench={bench} at={tasks.length - open.length + 1} of={tasks.length} />
      )}
      {next === undefined && open.length > 0 && (
        <p className="text-[17px]">
          Nothing can be begun at this moment: each open task waits for a task, for drying, for a parcel, or for the end of the
          quiet hours.
        </p>
      )}
      {open.length === 0 && (
        <p className="text-[17px]">
          {tasks.length === 0 ? 'No task yet. Take the usual ones on Schedule.' : 'Every task is done.'}
        </p>
      )}
    </div>
  )
}

/** A change-over is timed: from its first step to its last, against what was planned. */
function RunClock(props: { readonly tasks: readonly CalendarTask[]; readonly first: string; readonly nowMin: number }) {
  const run = runTime(props.tasks, props.nowMin)
  if (run === null) return null
  const { begun, tookMin, plannedMin, done } = run
  return (
    <p className="mb-2" role="status">
      {done ? 'The change-over took' : `Begun at ${localAfter(props.first, begun).slice(11)}; so far`}{' '}
      <span className="num">{sayMinutes(Math.round(tookMin))}</span>, planned were{' '}
      <span className="num">{sayMinutes(plannedMin)}</span>.
    </p>
  )
}

function Step({ id, bench, at, of }: { readonly id: string; readonly bench: Bench; readonly at: number; readonly of: number }) {
  const [note, setNote] = useState('')
  const [pictures, setPictures] = useState<readonly File[]>([])
  const [begun] = useState(() => Date.now())
  const [refusal, setRefusal] = useState<string | null>(null)
  const task = bench.plan.tasks[id]
  if (task === undefined) return null
  return (
    <section aria-label="The step in hand">
      <p className="num text-[13px] text-second">
        step {at} of {of}, {sayMinutes(task.workMin)}
        {task.noisy ? ', noisy' : ''}
      </p>
      <h2 className="mt-1 text-[26px] font-[680] leading-tight">{task.name}</h2>
      {task.check !== '' && (
        <p className="mt-3 text-[18px]">
          <span className="text-second">Done when: </span>
          {task.check}
        </p>
      )}
      {task.waitMin > 0 && <p className="mt-2">Then wait {sayMinutes(task.waitMin)} before what follows.</p>}
      <label className="no-print mt-4 grid gap-1 text-[13px]">
        What you measured or saw
        <input className="input text-[16px]" value={note} onChange={(event) => setNote(event.target.value)} maxLength={400} />
      </label>
      <label className="no-print mt-3 grid gap-1 text-[13px]">
        A picture of it
        <input
          type="file"
          accept="image/png,image/jpeg,image/webp"
          capture="environment"
          multiple
          onChange={(event) => setPictures([...(event.target.files ?? [])])}
        />
      </label>
      <button
        type="button"
        className="button button-first no-print mt-3 min-h-12 px-6 text-[17px]"
        onClick={() => void tickTask(id, noteOf(note, task.check, begun), pictures).then(setRefusal)}
      >
        It is done
      </button>
      {refusal !== null && <Findings findings={[{ code: 'refused', severity: 'error', message: refusal }]} />}
    </section>
  )
}

/** What is written down of a step: what was seen, else the check; and how long it took where that was minutes. */
function noteOf(note: string, check: string, begun: number): string {
  const minutes = Math.round((Date.now() - begun) / 60_000)
  const words = note.trim() === '' ? check : note.trim()
  return minutes < 1 ? words : `${words}${words === '' ? '' : '; '}took ${sayMinutes(minutes)}`
}
