import { useState } from 'react'
import type { PlanPart } from '../../core/schedule'
import type { Finding } from '../../core/units'
import { addMachineParts, addRow, machineParts, partsFromCsv, partsToCsv, useBenchStore } from '../../state'
import { FileButton, download, Findings, Panel } from '../../ui'
import { LongPartsList } from './LongPartsList'
import { PartRow, PartsHead } from './PartRow'

const NEW_PART: Omit<PlanPart, 'order'> = {
  name: 'A new part',
  where: '',
  count: 1,
  state: 'needed',
  price: 0,
  arrives: '',
  covers: '',
  lengthMm: 0,
}

/** Lists up to this long are drawn whole; longer ones where they are looked at. */
const ALL_AT_ONCE = 60
/** Findings of a file that are shown. */
const SHOWN = 30

/** Everything that is bought: how many, where it goes, whether it is here, what it costs. */
export function PartsList() {
  const bench = useBenchStore((it) => it.bench)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  if (bench === null) return null
  const parts = inOrder(bench.plan.parts)
  const wanted = machineParts(bench)
  return (
    <Panel title="Parts">
      {parts.length > 0 && <PartsHead />}
      {parts.length <= ALL_AT_ONCE ? (
        <ul className="m-0 list-none p-0">
          {parts.map(([id, part]) => (
            <PartRow key={id} id={id} part={part} />
          ))}
        </ul>
      ) : (
        <LongPartsList parts={parts} />
      )}
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
        <FileButton label="Parts file" accept=".csv,text/csv" take={(file) => void partsFromCsv(file).then(setFindings)}>
          Parts from CSV
        </FileButton>
        <button
          type="button"
          className="button"
          disabled={parts.length === 0}
          onClick={() => void partsToCsv().then((text) => download('parts.csv', new TextEncoder().encode(text), 'text/csv'))}
        >
          Parts as CSV
        </button>
      </div>
      <Findings findings={findings.slice(0, SHOWN)} />
      {findings.length > SHOWN && <p className="text-second">And {findings.length - SHOWN} more of the kind.</p>}
    </Panel>
  )
}

type Parts = Readonly<Record<string, PlanPart>>
const sorted = new WeakMap<Parts, readonly (readonly [string, PlanPart])[]>()

/** Parts in their order; thousands of them are put in order once. */
function inOrder(parts: Parts): readonly (readonly [string, PlanPart])[] {
  const known = sorted.get(parts)
  if (known !== undefined) return known
  const made = Object.entries(parts).sort(([, p], [, q]) => p.order - q.order)
  sorted.set(parts, made)
  return made
}
