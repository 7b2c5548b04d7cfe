import { minutesSince, sayMinutes } from '../../core/schedule'
import { useEffect } from 'react'
import type { Bench } from '../../core/document'
import {
  beginTask,
  isDone,
  keepStepPictures,
  keptStepPictures,
  tickTask,
  useSession,
  type StepDraft,
  type Told,
} from '../../state'
import { PicturesField } from '../../ui'
import { StepAids } from './StepAids'

const NOTHING: StepDraft = { note: '', pictures: [] }

/** The step in hand. What is noted of it is kept while another one is looked at. */
export function Step(props: {
  readonly id: string
  readonly bench: Bench
  /** How far the run is, in words. */
  readonly place: string
  readonly quietInMin: number
  /** The present minute, local clock. */
  readonly now: string
  readonly refused: (said: Told) => void
}) {
  const { id, bench, place, quietInMin, now, refused } = props
  const key = `${bench.id} ${id}`
  const { note, pictures } = useSession((it) => it.stepDrafts[key]) ?? NOTHING
  const task = bench.plan.tasks[id]
  usePictures(key)
  if (task === undefined) return null
  const ran =
    task.begun === ''
      ? null
      : Math.max(0, minutesSince(task.begun.slice(0, 10), now) - minutesSince(task.begun.slice(0, 10), task.begun))
  const draft = (change: Partial<StepDraft>): void =>
    useSession.setState(({ stepDrafts }) => ({ stepDrafts: { ...stepDrafts, [key]: { note, pictures, ...change } } }))
  const finish = async (): Promise<void> => {
    const said = await tickTask(id, noteOf(note, task.check, ran), pictures)
    refused(
      said.map((it) => ({ ...it, message: `${it.message} What you noted is kept: open the step again, and it stands there.` })),
    )
    if (!isDone(said)) return
    draft(NOTHING)
    void keepStepPictures(key, [])
  }
  return (
    <section aria-label="The step in hand">
      <p className="num text-[13px] text-second">
        {place}, {sayMinutes(task.workMin)}
        {task.noisy ? ', noisy' : ''}
        {ran === null ? '' : `, begun ${task.begun.slice(11, 16)}, ${sayMinutes(ran)} so far`}
      </p>
      <h2 className="mt-1 text-[26px] font-[680] leading-tight">{task.name}</h2>
      {task.check !== '' && (
        <p className="mt-3 text-[18px]">
          <span className="text-second">Check: </span>
          {task.check}
        </p>
      )}
      {task.noisy && quietInMin < task.workMin && (
        <p className="mt-2">The quiet hours begin in {sayMinutes(quietInMin)}, before it can be done: make the noise first.</p>
      )}
      {task.waitMin > 0 && <p className="mt-2">Then wait {sayMinutes(task.waitMin)} before what follows.</p>}
      <StepAids kind={task.kind} bench={bench} />
      <label className="no-print mt-4 grid gap-1 text-[13px]">
        What you measured or saw
        <input
          className="input max-w-[46rem] text-[16px]"
          value={note}
          onChange={(event) => draft({ note: event.target.value })}
          maxLength={400}
        />
      </label>
      <div className="no-print mt-3 flex flex-wrap items-start gap-3">
        <button type="button" className="button button-first min-h-12 px-6 text-[17px]" onClick={() => void finish()}>
          It is done
        </button>
        {ran === null && (
          <button type="button" className="button min-h-12 px-4 text-[17px]" onClick={() => refused(beginTask(id))}>
            Begin: start its clock
          </button>
        )}
        <PicturesField
          label="Add a picture"
          pictures={pictures}
          change={(next) => {
            draft({ pictures: next })
            void keepStepPictures(key, next)
          }}
        />
      </div>
    </section>
  )
}

/** What is written down of a step: what was seen, else the check; and how long it took where that was minutes. */
function noteOf(note: string, check: string, minutes: number | null): string {
  const words = note.trim() === '' ? check : note.trim()
  return minutes === null || minutes < 1 ? words : `${words}${words === '' ? '' : '; '}took ${sayMinutes(minutes)}`
}

/** Pictures that were taken of the step before the page was loaded anew stand there again. */
function usePictures(key: string): void {
  useEffect(() => {
    const has = (): boolean => (useSession.getState().stepDrafts[key]?.pictures.length ?? 0) > 0
    if (has()) return
    void keptStepPictures(key).then((pictures) => {
      if (pictures.length === 0 || has()) return
      const { note } = useSession.getState().stepDrafts[key] ?? NOTHING
      useSession.setState(({ stepDrafts }) => ({ stepDrafts: { ...stepDrafts, [key]: { note, pictures } } }))
    })
  }, [key])
}
