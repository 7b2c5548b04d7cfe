import { useState } from 'react'
import { sayMinutes, localAfter, runTime, type CalendarTask } from '../../core/schedule'
import { planNow, useBenchStore, useNow, useSession, DONE } from '../../state'
import { Findings } from '../../ui'
import { OtherSteps } from './OtherSteps'
import { Step } from './Step'
import { sayDay } from './taskWords'

/** One step at a time, large enough for a tablet at the machine: what to do, the check that closes it, what else there is. */
export function AtTheBench() {
  const bench = useBenchStore((it) => it.bench)
  const chosen = useSession((it) => it.stepId)
  const [refused, setRefused] = useState(DONE)
  const now = useNow()
  if (bench === null) return null
  const planned = planNow(bench, now)
  const { hindrances, tasks, first, nowMin } = planned
  const doable = tasks.filter((it) => hindrances.get(it.id)?.length === 0)
  const step = doable.find((it) => it.id === chosen) ?? doable[0]
  const waits = tasks
    .filter((it) => it.doneAt !== null && it.waitMin > 0 && it.doneAt + it.waitMin > nowMin)
    .map((it) => ({ name: it.name, until: (it.doneAt ?? 0) + it.waitMin }))
  const open = tasks.filter((it) => it.doneAt === null)
  return (
    <div className="mt-4" data-plate="At the bench">
      {bench.motion.kinematics.chosen === 'retrofit' && <RunClock tasks={tasks} first={first} nowMin={nowMin} />}
      {waits.map(({ name, until }) => (
        <p key={name} className="mb-2 border-l-2 border-second pl-3" role="status">
          {name}: wait until <span className="num">{localAfter(first, until).slice(11)}</span> on{' '}
          {sayDay(localAfter(first, until).slice(0, 10))}, another {sayMinutes(Math.ceil(until - nowMin))}.
        </p>
      ))}
      <Findings findings={refused} />
      {step !== undefined && (
        <Step
          key={step.id}
          id={step.id}
          bench={bench}
          place={`step ${tasks.length - open.length + 1} of ${tasks.length}`}
          quietInMin={planned.quietInMin}
          now={now}
          refused={setRefused}
        />
      )}
      {step === undefined && open.length > 0 && (
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
      <OtherSteps bench={bench} planned={planned} inHand={step?.id ?? null} refused={setRefused} />
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
