import { sayMinutes } from '../../core/schedule'
import type { Bench } from '../../core/document'
import { tickTask, useSession, type PlannedNow, type Told } from '../../state'
import { Panel } from '../../ui'
import { taskStanding } from './taskWords'

/** The other steps: which could be taken instead, what the rest waits for, and what is done and can be opened again. */
export function OtherSteps(props: {
  readonly bench: Bench
  readonly planned: PlannedNow
  readonly inHand: string | null
  readonly refused: (said: Told) => void
}) {
  const { bench, planned, inHand, refused } = props
  const rows = Object.entries(bench.plan.tasks)
    .sort(([, p], [, q]) => p.order - q.order)
    .map(([id, task]) => ({ id, task, standing: taskStanding(id, task, planned) }))
  const open = rows.filter(({ id, standing }) => !standing.done && id !== inHand)
  const done = rows.filter(({ standing }) => standing.done)
  if (rows.length === 0) return null
  return (
    <div className="mt-6 grid gap-4">
      {open.length > 0 && (
        <Panel title={inHand === null ? 'What waits, and for what' : 'After that, or instead'}>
          <ul className="m-0 list-none p-0">
            {open.map(({ id, task, standing }) => (
              <li key={id} className="flex min-h-10 flex-wrap items-center gap-x-3 border-b border-rule py-1.5">
                <span className="min-w-0 flex-1">{task.name}</span>
                {standing.doable ? (
                  <button
                    type="button"
                    className="link min-h-8"
                    aria-label={`Take “${task.name}” instead`}
                    onClick={() => useSession.setState({ stepId: id })}
                  >
                    take it instead
                  </button>
                ) : (
                  <span className="text-[13px] text-second">{standing.words}</span>
                )}
                <span className="num w-16 text-right text-[12.5px] text-second">{sayMinutes(task.workMin)}</span>
              </li>
            ))}
          </ul>
        </Panel>
      )}
      {done.length > 0 && (
        <details>
          <summary className="cursor-pointer py-1 text-[13px] text-second">{done.length} done</summary>
          <ul className="m-0 list-none p-0">
            {done.map(({ id, task }) => (
              <li key={id} className="flex min-h-10 flex-wrap items-center gap-x-3 border-b border-rule py-1.5">
                <span className="min-w-0 flex-1 text-second">{task.name}</span>
                <button
                  type="button"
                  className="link no-print min-h-8"
                  aria-label={`Open “${task.name}” again`}
                  onClick={() => void tickTask(id, '').then(refused)}
                >
                  open again
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}
