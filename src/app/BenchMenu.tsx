import { useState } from 'react'
import { Link } from 'react-router'
import type { Bench } from '../core/document'
import { editBench, setTheme, useSettings, type Theme, DONE, told } from '../state'
import { exportBench, Findings } from '../ui'

/** What concerns the whole bench: its name, its units, its file, the light it is read in. */
export function BenchMenu({ bench }: { readonly bench: Bench }) {
  const theme = useSettings((it) => it.theme)
  const [refused, setRefused] = useState(DONE)
  const rename = (name: string): void => {
    const wanted = name.trim()
    if (wanted !== bench.name)
      setRefused(wanted === '' ? told('A bench needs a name.') : editBench('the name', (it) => ({ ...it, name: wanted })))
  }
  return (
    <div className="grid gap-3">
      <label className="grid gap-1">
        Name
        <input
          className="input"
          defaultValue={bench.name}
          key={bench.name}
          maxLength={60}
          onBlur={(event) => rename(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && rename(event.currentTarget.value)}
        />
      </label>
      <Findings findings={refused} />
      <label className="grid gap-1">
        What it is
        <textarea
          className="input"
          rows={2}
          defaultValue={bench.about}
          key={bench.about}
          maxLength={400}
          onBlur={(event) =>
            event.target.value !== bench.about && editBench('what it is', (it) => ({ ...it, about: event.target.value }))
          }
        />
      </label>
      <Choice
        legend="Figures in"
        value={bench.units}
        options={{ metric: 'millimetres', inch: 'inches' }}
        onChoose={(units) => editBench('the units', (it) => ({ ...it, units }))}
      />
      <Choice<Theme>
        legend="Light"
        value={theme}
        options={{ system: 'as the system', light: 'paper', dark: 'shed' }}
        onChoose={setTheme}
      />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-first" onClick={() => void exportBench(bench.id).then(setRefused)}>
          Export the bench file
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          Print this sheet
        </button>
        <Link to="/" className="button inline-flex items-center">
          All benches
        </Link>
      </div>
    </div>
  )
}

function Choice<T extends string>(props: {
  readonly legend: string
  readonly value: T
  readonly options: Readonly<Record<T, string>>
  readonly onChoose: (value: T) => void
}) {
  const { legend, value, options, onChoose } = props
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4">
      <legend className="float-left mr-3">{legend}</legend>
      {(Object.entries(options) as [T, string][]).map(([id, words]) => (
        <label key={id} className="flex min-h-8 items-center gap-1.5">
          <input type="radio" name={legend} checked={id === value} onChange={() => onChoose(id)} />
          {words}
        </label>
      ))}
    </fieldset>
  )
}
