import { useState } from 'react'
import { DONE, passportFile, type PassportForm } from '../../state'
import { download, Findings, Panel } from '../../ui'

const FORMS: Readonly<Record<PassportForm, string>> = {
  csv: 'As a table, CSV',
  json: 'As JSON',
  bench: 'As a bench to start from',
}

/** Ways for the passport to leave. */
export function HandOn() {
  const [told, setTold] = useState(DONE)
  const take = async (form: PassportForm): Promise<void> => {
    const made = await passportFile(form)
    setTold(made.findings)
    if (made.ok) download(made.value.name, made.value.bytes, made.value.type)
  }
  return (
    <Panel title="Hand it on" className="no-print mb-3">
      <div className="flex flex-wrap gap-2 py-2">
        <button type="button" className="button button-first" onClick={() => window.print()}>
          Print the passport
        </button>
        {(Object.keys(FORMS) as PassportForm[]).map((form) => (
          <button key={form} type="button" className="button" onClick={() => void take(form)}>
            {FORMS[form]}
          </button>
        ))}
      </div>
      <Findings findings={told} />
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        A bench to start from holds all facts and settings without records, pictures and log; it is opened on the first page. What
        was measured on one machine is a guess on the next: measure it again there.
      </p>
    </Panel>
  )
}
