import { useState } from 'react'
import { CALLED_BY, type Upkeep, type UpkeepKind } from '../../core/log'
import {
  addUpkeep,
  addUsualUpkeep,
  doUpkeep,
  DONE,
  isDone,
  removeOfLog,
  renameUpkeep,
  upkeepCalendar,
  useBenchStore,
  useVerdicts,
} from '../../state'
import { download, FactField, Findings, Panel, PlainField, SelectOf, Sentence, TakeAway } from '../../ui'

const KINDS: Readonly<Record<UpkeepKind, string>> = {
  lens: 'lens',
  rails: 'rails and wheels',
  belts: 'belts',
  fan: 'fans',
  filter: 'filter',
  tray: 'crumb tray',
  wires: 'wires',
  window: 'window and eyewear',
  spare: 'a stopgap to be replaced',
  other: 'something else',
}

/** What is looked after, how often, and what was done. */
export function UpkeepGiven() {
  const upkeep = useBenchStore(({ bench }) => bench?.log.upkeep)
  const [kind, setKind] = useState<UpkeepKind>('spare')
  const [told, setTold] = useState(DONE)
  if (upkeep === undefined) return null
  const rows = Object.entries(upkeep).sort(([, p], [, q]) => p.order - q.order)
  const takeCalendar = (): void => {
    const { bench } = useBenchStore.getState()
    if (bench === null) return
    const text = upkeepCalendar(bench, Date.now())
    if (text === null) {
      setTold([
        { code: 'no-days', severity: 'error', message: 'No day is known yet: say how often in days, or enter the hours run.' },
      ])
      return
    }
    setTold(DONE)
    download(`${bench.name}-upkeep.ics`, new TextEncoder().encode(text), 'text/calendar')
  }
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Given, what is looked after">
        <Sentence>
          The machine has run <FactField path="calibrate.hours" />.
        </Sentence>
        <ul className="m-0 list-none p-0" aria-label="Upkeep">
          {rows.map(([id, it]) => (
            <Row key={id} id={id} upkeep={it} />
          ))}
        </ul>
        <div className="no-print flex flex-wrap items-center gap-2 py-2 text-[14px]">
          <button type="button" className="button" onClick={() => setTold(addUsualUpkeep())}>
            Add the usual things
          </button>
          <SelectOf label="What is looked after" of={KINDS} value={kind} choose={setKind} />
          <button type="button" className="button" onClick={() => setTold(addUpkeep(kind, KINDS[kind]))}>
            Add it
          </button>
          {rows.length > 0 && (
            <button type="button" className="button" onClick={takeCalendar}>
              Get the calendar
            </button>
          )}
        </div>
        <Findings findings={told} />
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          Plug drawn and beam off before a hand goes in; a lens is cleaned cold, with what its sheet names. A filter full of soot
          burns: outdoors with it, wetted, in metal.
        </p>
      </Panel>
    </div>
  )
}

function Row({ id, upkeep }: { readonly id: string; readonly upkeep: Upkeep }) {
  const at = `log.upkeep.${id}` as const
  const [note, setNote] = useState('')
  const verdicts = useVerdicts()
  const calling = verdicts.find(
    (it) => (CALLED_BY[upkeep.kind] ?? []).includes(it.def.id) && (it.mark === 'look' || it.mark === 'stop'),
  )
  const done = Object.entries(upkeep.done).sort(([, p], [, q]) => q.at.localeCompare(p.at))
  const [newest] = done
  return (
    <li className="border-b border-rule py-2 text-[14px]">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <PlainField
          label="What is done"
          words
          value={upkeep.name}
          className="w-72 max-w-full"
          keep={(it) => renameUpkeep(id, it)}
        />
        <TakeAway what={`Take “${upkeep.name}” away`} act={() => removeOfLog(at, 'upkeep taken away')} />
      </div>
      <p className="pt-1 leading-relaxed">
        Every <FactField path={`${at}.every`} /> of work, every <FactField path={`${at}.days`} />, or after{' '}
        <FactField path={`${at}.dose`} /> of light.{' '}
        <span className="text-second">
          {newest === undefined
            ? 'Not done yet.'
            : `Done ${newest[1].at.slice(0, 10)}${newest[1].note === '' ? '' : `: ${newest[1].note}`}.`}
        </span>
      </p>
      {calling !== undefined && (
        <p className="text-[13px] text-second">The bench calls for it, whatever its days say: see {calling.def.stage}.</p>
      )}
      <div className="no-print flex flex-wrap items-end gap-2 pt-1">
        <label className="text-[12px] text-second">
          What was seen
          <input
            className="input block w-56 text-[13.5px] text-ink"
            maxLength={1000}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        <button
          type="button"
          className="button"
          aria-label={`Done now: ${upkeep.name}`}
          onClick={() => {
            if (isDone(doUpkeep(id, note))) setNote('')
          }}
        >
          Done now
        </button>
      </div>
    </li>
  )
}
