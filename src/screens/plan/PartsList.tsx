import { useState } from 'react'
import type { PlanPart } from '../../core/schedule'
import type { Finding } from '../../core/units'
import { addMachineParts, partsFromCsv, partsToCsv, useMachineParts, useRows } from '../../state'
import { FileButton, download, Findings, Panel } from '../../ui'
import { PartRow, PartsHead } from './PartRow'
import { Rows } from './Rows'

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

/** Height of a row on a wide sheet, px. */
const ROW = 45
/** Findings of a file that are shown. */
const SHOWN = 30

/** Everything that is bought: how many, where it goes, whether it is here, what it costs. */
export function PartsList() {
  const parts = useRows('parts')
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const wanted = useMachineParts()
  const isEmpty = parts.length === 0
  return (
    <Panel title="Parts">
      {!isEmpty && <PartsHead />}
      <Rows
        list="parts"
        height={ROW}
        row={(id, part) => <PartRow key={id} id={id} part={part} />}
        none={<p className="py-2 text-second">No part yet. Add one, or take a list from a table program as CSV.</p>}
        add={{ words: 'Add a part', row: NEW_PART, undo: 'a part' }}
      >
        <button type="button" className="button" disabled={wanted.length === 0} onClick={() => addMachineParts(wanted)}>
          Take what the machine asks for
        </button>
        <FileButton label="Parts file" accept=".csv,text/csv" take={(file) => void partsFromCsv(file).then(setFindings)}>
          Parts from CSV
        </FileButton>
        <button
          type="button"
          className="button"
          disabled={isEmpty}
          onClick={() => void partsToCsv().then((text) => download('parts.csv', new TextEncoder().encode(text), 'text/csv'))}
        >
          Parts as CSV
        </button>
      </Rows>
      <Findings findings={findings.slice(0, SHOWN)} />
      {findings.length > SHOWN && <p className="text-second">And {findings.length - SHOWN} more of the kind.</p>}
    </Panel>
  )
}
