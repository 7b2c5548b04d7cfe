import { useState } from 'react'
import { addEntry, DONE, isDone, touchables, useBenchStore, type Told } from '../../state'
import { Findings, Panel, PicturesField } from '../../ui'
import { amountOf, blankRepair, draftRepair, useDrafts } from './drafts'

/** What was done, which wires and parts, pictures before and after, the time. */
export function RepairsGiven() {
  const bench = useBenchStore((it) => it.bench)
  const draft = useDrafts().repair
  const [told, setTold] = useState<Told>(DONE)
  if (bench === null) return null
  const names = touchables(bench)
  const touched = draft.touched.split('; ').filter((it) => it !== '')
  const toggle = (name: string): void =>
    draftRepair({ touched: (touched.includes(name) ? touched.filter((it) => it !== name) : [...touched, name]).join('; ') })
  const keep = async (): Promise<void> => {
    const [minutes, cost] = [amountOf(draft.minutes), amountOf(draft.cost)]
    const wrong = [
      ...(Number.isNaN(minutes) ? [`“${draft.minutes}” are no minutes: write a number, or leave it blank.`] : []),
      ...(Number.isNaN(cost) ? [`“${draft.cost}” is no price: write it as 12.50, or leave it blank.`] : []),
    ]
    if (wrong.length > 0) {
      setTold(wrong.map((message) => ({ code: 'number', severity: 'error', message })))
      return
    }
    const named = [
      ...draft.before.map((it) => new File([it], `before ${it.name}`, { type: it.type })),
      ...draft.after.map((it) => new File([it], `after ${it.name}`, { type: it.type })),
    ]
    const said = await addEntry({
      kind: 'repair',
      title: draft.title,
      text: draft.text,
      touched: draft.touched,
      minutes,
      cost,
      pictures: named,
    })
    setTold(said)
    if (isDone(said)) blankRepair()
  }
  return (
    <Panel title="Write a repair down" className="no-print mt-4">
      <div className="grid max-w-[46rem] gap-2.5 py-2 text-[14px]">
        <Line
          label="1  What was wrong, or what was done"
          value={draft.title}
          most={120}
          change={(title) => draftRepair({ title })}
        />
        <PicturesField label="2  Pictures before" pictures={draft.before} change={(before) => draftRepair({ before })} />
        <fieldset>
          <legend className="text-[12px] text-second">3 Wires and parts that were touched</legend>
          {names.length === 0 ? (
            <p className="text-[13px] text-second">The wiring and the parts list hold none yet; write them into the text.</p>
          ) : (
            <div className="max-h-44 overflow-y-auto border border-rule px-2 py-1">
              {[...new Set(names)].map((name) => (
                <label key={name} className="flex min-h-7 items-center gap-2 text-[13.5px]">
                  <input
                    type="checkbox"
                    className="h-4 w-4 accent-[var(--teal)]"
                    checked={touched.includes(name)}
                    onChange={() => toggle(name)}
                  />
                  {name}
                </label>
              ))}
            </div>
          )}
        </fieldset>
        <label className="text-[12px] text-second">
          4 What was done, so that it can be done again
          <textarea
            className="input block w-full text-[13.5px] text-ink"
            rows={3}
            maxLength={4000}
            value={draft.text}
            onChange={(event) => draftRepair({ text: event.target.value })}
          />
        </label>
        <div className="flex flex-wrap gap-4">
          <Line label="5  Minutes it took" narrow value={draft.minutes} most={8} change={(minutes) => draftRepair({ minutes })} />
          <Line label="6  What it cost" narrow value={draft.cost} most={12} change={(cost) => draftRepair({ cost })} />
        </div>
        <PicturesField label="7  Pictures after" pictures={draft.after} change={(after) => draftRepair({ after })} />
        <div>
          <button type="button" className="button button-first" onClick={() => void keep()}>
            Write the repair down
          </button>
        </div>
        <Findings findings={told} />
      </div>
    </Panel>
  )
}

function Line(props: {
  readonly label: string
  readonly value: string
  readonly most: number
  readonly narrow?: boolean
  readonly change: (text: string) => void
}) {
  const { label, value, most, narrow = false, change } = props
  return (
    <label className="text-[12px] text-second">
      {label}
      <input
        className={`input block text-[13.5px] text-ink ${narrow ? 'num w-32' : 'w-full'}`}
        value={value}
        maxLength={most}
        inputMode={narrow ? 'decimal' : 'text'}
        onChange={(event) => change(event.target.value)}
      />
    </label>
  )
}
