import { useRef, useState } from 'react'
import type { PlanPart } from '../../core/schedule'
import type { Finding } from '../../core/units'
import { addMachineParts, addRow, machineParts, partsFromCsv, partsToCsv, useBenchStore } from '../../state'
import { download, Findings, Panel } from '../../ui'
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
      {parts.length > 0 && <PartsHead />}
      <ul className="m-0 list-none p-0">
        {parts.map(([id, part]) => (
          <PartRow key={id} id={id} part={part} />
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
            if (file !== undefined) void file.text().then(partsFromCsv).catch(cannotRead(file.name)).then(setFindings)
          }}
        />
      </div>
      <Findings findings={findings} />
    </Panel>
  )
}

/** A file that was moved, or whose code to read it has not come: said where its findings stand. */
function cannotRead(name: string): (error: unknown) => readonly Finding[] {
  return (error) => [
    {
      code: 'unreadable',
      severity: 'error',
      message: `“${name}” could not be read: ${error instanceof Error ? error.message : String(error)}. Choose it again. The list is as it was.`,
    },
  ]
}
