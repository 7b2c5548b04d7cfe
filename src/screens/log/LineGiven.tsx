import { useState } from 'react'
import { LANES, type Happening } from '../../core/log'
import { addEntry, DONE, isDone, removeEntry, useBenchStore } from '../../state'
import { Findings, LongList, Panel, PicturesField, TakeAway } from '../../ui'
import { askFor, LANE_WORDS, toggleLane, useAsked } from './asked'
import { amountOf, blankNote, draftNote, useDrafts } from './drafts'
import { PicturesOf } from './PicturesOf'
import { useHappenings } from './useHappenings'

/** The rows of the time line, searched; and a note to add. */
export function LineGiven() {
  const words = useAsked((it) => it.words)
  const lanes = useAsked((it) => it.lanes)
  const { all, shown } = useHappenings()
  return (
    <div className="mt-3 grid gap-4">
      <Panel
        title="What happened"
        aside={<span className="num text-[12px] text-second">{`${shown.length} of ${all.length}`}</span>}
      >
        <div className="no-print flex flex-wrap items-end gap-x-4 gap-y-2 py-2">
          <label className="text-[12px] text-second">
            Words that it holds
            <input
              className="input block w-64 text-[13.5px] text-ink"
              type="search"
              value={words}
              onChange={(event) => askFor(event.target.value)}
            />
          </label>
          <fieldset className="flex flex-wrap gap-x-3 gap-y-1 text-[13.5px]">
            <legend className="sr-only">Kinds that are shown</legend>
            {LANES.map((lane) => (
              <label key={lane} className="flex min-h-8 items-center gap-1.5">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-[var(--teal)]"
                  checked={lanes.has(lane)}
                  onChange={() => toggleLane(lane)}
                />
                {LANE_WORDS[lane]}
              </label>
            ))}
          </fieldset>
        </div>
        {shown.length === 0 && all.length > 0 && (
          <p className="py-1.5 text-[14px] text-second">Nothing holds all of these words. Take one away, or show more kinds.</p>
        )}
        <LongList of={shown} keyOf={(it) => it.id} row={(it) => <Row key={it.id} row={it} />} height={44} what="entries" />
      </Panel>
      <Note />
    </div>
  )
}

function Row({ row }: { readonly row: Happening }) {
  const isEntry = useBenchStore(({ bench }) => bench?.log.entries[row.id] !== undefined)
  return (
    <li className="keep-together border-b border-rule py-2">
      <div className="flex items-baseline gap-3">
        <span className="num shrink-0 text-[12px] text-second">{row.at.slice(0, 10)}</span>
        <span className="min-w-0">
          {row.title}{' '}
          <span className="text-[12px] text-second">
            {[LANE_WORDS[row.lane], row.stage].filter((it) => it !== '').join(', ')}
          </span>
        </span>
        {isEntry && <TakeAway what={`Take “${row.title}” away`} act={() => removeEntry(row.id)} />}
      </div>
      {row.text !== '' && <p className="text-[13px] text-second">{row.text}</p>}
      <PicturesOf id={row.id} />
    </li>
  )
}

function Note() {
  const { kind, title, text, cost, pictures } = useDrafts().note
  const [told, setTold] = useState(DONE)
  const keep = async (): Promise<void> => {
    const price = amountOf(cost)
    if (Number.isNaN(price)) {
      setTold([{ code: 'price', severity: 'error', message: `“${cost}” is no price: write it as 12.50, or leave it blank.` }])
      return
    }
    const said = await addEntry({ kind, title, text, touched: '', minutes: null, cost: price, pictures })
    setTold(said)
    if (isDone(said)) blankNote()
  }
  return (
    <Panel title="Write something down" className="no-print">
      <div className="grid max-w-[46rem] gap-2 py-2 text-[14px]">
        <div className="flex flex-wrap gap-3">
          {(['note', 'bought', 'job'] as const).map((it) => (
            <label key={it} className="flex min-h-8 items-center gap-1.5">
              <input type="radio" name="entry-kind" checked={kind === it} onChange={() => draftNote({ kind: it })} />
              {it === 'note' ? 'a note' : it === 'bought' ? 'something bought' : 'a job done'}
            </label>
          ))}
        </div>
        <label className="text-[12px] text-second">
          What happened, in a line
          <input
            className="input block w-full text-[13.5px] text-ink"
            value={title}
            maxLength={120}
            onChange={(event) => draftNote({ title: event.target.value })}
          />
        </label>
        <label className="text-[12px] text-second">
          More of it
          <textarea
            className="input block w-full text-[13.5px] text-ink"
            rows={2}
            maxLength={4000}
            value={text}
            onChange={(event) => draftNote({ text: event.target.value })}
          />
        </label>
        <label className="text-[12px] text-second">
          What it cost, blank for nothing
          <input
            className="input num block w-32 text-[13.5px] text-ink"
            inputMode="decimal"
            value={cost}
            onChange={(event) => draftNote({ cost: event.target.value })}
          />
        </label>
        <PicturesField label="Add pictures" pictures={pictures} change={(chosen) => draftNote({ pictures: chosen })} />
        <div>
          <button type="button" className="button button-first" onClick={() => void keep()}>
            Write it down
          </button>
        </div>
        <Findings findings={told} />
      </div>
    </Panel>
  )
}
