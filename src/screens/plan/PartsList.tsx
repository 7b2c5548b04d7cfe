import { useRef, useState } from 'react'
import { PART_STATES, type PlanPart } from '../../core/schedule'
import type { Finding } from '../../core/units'
import { addMachineParts, addRow, editRow, machineParts, partsFromCsv, partsToCsv, removeRow, useBenchStore } from '../../state'
import { download, Findings, Panel, PlainField } from '../../ui'

const NEW_PART: Omit<PlanPart, 'order'> = {
  name: 'A new part',
  where: '',
  count: 1,
  state: 'needed',
  price: 0,
  arrives: '',
  covers: '',
}

/** Everything that is bought: how many, where it goes, whether it is here, what it costs. */
export function PartsList() {
  const bench = useBenchStore((it) => it.bench)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const input = useRef<HTMLInputElement>(null)
  if (bench === null) return null
  const parts = Object.entries(bench.plan.parts).sort(([, p], [, q]) => p.order - q.order)
  const wanted = machineParts(bench)
  return (
    <Panel title="Parts">
      <ul className="m-0 list-none p-0">
        {parts.map(([id, part]) => (
          <Row key={id} id={id} part={part} />
        ))}
      </ul>
      {parts.length === 0 && (
        <p className="py-2 text-second">No part yet. Add one, or take a list from a table program as CSV.</p>
      )}
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => addRow('parts', NEW_PART, 'a part')}>
          Add a part
        </button>
        <button type="button" className="button" disabled={wanted.length === 0} onClick={() => addMachineParts(wanted)}>
          Take what the machine asks for
        </button>
        <button type="button" className="button" onClick={() => input.current?.click()}>
          Parts from CSV
        </button>
        <button
          type="button"
          className="button"
          disabled={parts.length === 0}
          onClick={() => void partsToCsv().then((text) => download('parts.csv', new TextEncoder().encode(text), 'text/csv'))}
        >
          Parts as CSV
        </button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          className="hidden"
          aria-label="Parts file"
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file !== undefined) void file.text().then(partsFromCsv).then(setFindings)
          }}
        />
      </div>
      <Findings findings={findings} />
    </Panel>
  )
}

const SAID = { needed: 'not ordered', ordered: 'ordered', here: 'here' } as const

function Row({ id, part }: { readonly id: string; readonly part: PlanPart }) {
  const patch = (change: Partial<PlanPart>): string | null => editRow('parts', id, change, `“${part.name}”`)
  const number = (key: 'count' | 'price') => (text: string) => {
    const value = Number(text.replace(',', '.'))
    return text.trim() !== '' && Number.isFinite(value) ? patch({ [key]: value }) : 'Type a number.'
  }
  return (
    <li
      className="keep-together flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]"
      data-part={part.name}
    >
      <PlainField
        label={`Name of ${part.name}`}
        hideLabel
        value={part.name}
        className="w-[17rem]"
        keep={(name) => patch({ name: name.trim() })}
      />
      <PlainField
        label={`Where ${part.name} goes`}
        hideLabel
        value={part.where}
        className="w-24"
        keep={(where) => patch({ where: where.trim() })}
      />
      <PlainField
        label={`How many of ${part.name}`}
        hideLabel
        value={String(part.count)}
        className="w-14 text-right"
        keep={number('count')}
      />
      <span className="pb-1.5 text-second">at</span>
      <PlainField
        label={`Price of ${part.name}`}
        hideLabel
        value={String(part.price)}
        className="w-20 text-right"
        keep={number('price')}
      />
      <select
        className="input min-h-8 py-0.5"
        aria-label={`State of ${part.name}`}
        value={part.state}
        onChange={(event) => patch({ state: event.target.value as PlanPart['state'] })}
      >
        {PART_STATES.map((it) => (
          <option key={it} value={it}>
            {SAID[it]}
          </option>
        ))}
      </select>
      {part.state === 'ordered' && (
        <input
          type="date"
          className="input min-h-8 py-0.5"
          aria-label={`Day ${part.name} arrives`}
          value={part.arrives}
          onChange={(event) => patch({ arrives: event.target.value })}
        />
      )}
      <button
        type="button"
        className="link no-print ml-auto pb-1.5"
        onClick={() => removeRow('parts', id, `“${part.name}” taken away`)}
      >
        Take away
      </button>
    </li>
  )
}
