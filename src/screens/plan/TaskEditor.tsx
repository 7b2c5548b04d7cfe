import type { Bench } from '../../core/document'
import type { PlanTask } from '../../core/schedule'
import { editRow, moveRow, removeRow, type PlannedNow, type Told, told } from '../../state'
import { PlainField } from '../../ui'
import { sayPlanned } from './taskWords'

/** A task opened: when it is planned, its lengths, its check, what it waits for, its place in the list. */
export function TaskEditor(props: {
  readonly id: string
  readonly task: PlanTask
  readonly bench: Bench
  readonly planned: PlannedNow
}) {
  const { id, task, bench, planned } = props
  const standing = sayPlanned(id, planned)
  const patch = (change: Partial<PlanTask>): Told => editRow('tasks', id, change, `“${task.name}”`)
  const minutes = (key: 'workMin' | 'waitMin', unit: number) => (text: string) => {
    const value = Math.round(Number(text.replace(',', '.')) * unit)
    return text.trim() !== '' && value >= 0 ? patch({ [key]: value }) : told('Type a number, 0 or more.')
  }
  const { tasks, parts } = bench.plan
  const others = Object.entries(tasks).filter(([it]) => it !== id)
  return (
    <div className="no-print ml-7 mt-1 grid gap-2 pb-2 text-[13px]">
      {standing !== null && <p>{standing}</p>}
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <PlainField label="Name" words value={task.name} className="w-64" keep={(name) => patch({ name: name.trim() })} />
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
        <PlainField
          label="Check"
          words
          value={task.check}
          className="w-96 max-w-full"
          keep={(check) => patch({ check: check.trim() })}
        />
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
  readonly change: (taken: Record<string, true>) => Told
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
