import { useState } from 'react'
import type { BookMaterial } from '../../core/burn'
import type { Bench } from '../../core/document'
import { COATED, MATERIALS, whyNotBurnt, type MaterialId } from '../../core/safety'
import { addMaterial, choose, DONE, isDone, removeMaterial, renameMaterial, setMaterialKind, type Told } from '../../state'
import { FactField, Findings, Panel, PlainField, TakeAway } from '../../ui'

/** Materials of the book, and one more. */
export function Book({ bench, shown }: { readonly bench: Bench; readonly shown: string | null }) {
  const [name, setName] = useState('')
  const [said, say] = useState<Told>(DONE)
  const rows = Object.entries(bench.burns.materials).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="The book">
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 py-1 text-[14px]" role="group" aria-label="Materials">
        {rows.map(([id, it]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === shown}
            className={`min-h-7 px-1 ${id === shown ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
            onClick={() => choose(`burns.materials.${id}`)}
          >
            {it.name}
          </button>
        ))}
      </div>
      <form
        className="no-print mt-1 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const made = addMaterial(name)
          say(made.said)
          if (!isDone(made.said)) return
          choose(`burns.materials.${made.id}`)
          setName('')
        }}
      >
        <input
          className="input min-h-8 w-64 py-0.5"
          aria-label="Name of a material"
          placeholder="Birch plywood, 3 mm"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className={`button ${rows.length === 0 ? 'button-first' : ''}`} disabled={name.trim() === ''}>
          Put it into the book
        </button>
      </form>
      <Findings findings={said} />
    </Panel>
  )
}

/** What the material is, and what is said against burning it. */
export function About({ id, material }: { readonly id: string; readonly material: BookMaterial }) {
  const against = whyNotBurnt(material.kind)
  const known = material.kind in MATERIALS ? MATERIALS[material.kind as MaterialId] : null
  const coated = COATED[material.kind as MaterialId]
  return (
    <Panel title={`Given, ${material.name}`}>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 py-1 text-[14px]">
        <PlainField label="Name" words value={material.name} keep={(it) => renameMaterial(id, it)} />
        <label className="inline-flex flex-col text-[12px] text-second">
          What it is
          <select
            className="input min-h-8 py-0.5 text-[13.5px] text-ink"
            value={material.kind}
            onChange={(event) => setMaterialKind(id, event.target.value)}
          >
            <option value="">not said yet</option>
            {Object.entries(MATERIALS).map(([key, it]) => (
              <option key={key} value={key}>
                {it.name}
              </option>
            ))}
          </select>
        </label>
        <span>
          <FactField path={`burns.materials.${id}.thickness`} /> thick
        </span>
        <TakeAway what={`Take ${material.name} out of the book`} act={() => removeMaterial(id)} />
      </div>
      {against !== null && known !== null && (
        <p role="alert" className="border-l-4 border-stop py-1 pl-3 text-[13.5px]">
          <strong className="font-[650]">Never burn this.</strong> {against}. No program is handed out for it.
        </p>
      )}
      {known?.burning === 'condition' && <p className="py-1 text-[13.5px] text-second">On a condition: {known.why}.</p>}
      {coated !== undefined && (
        <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
          {coated.makes} <strong className="font-[650] text-ink">Beware.</strong> {coated.beware}
        </p>
      )}
      {material.kind === '' && (
        <p className="py-1 text-[13.5px] text-second">
          Say what it is: what nobody knows is not burnt, and no program is handed out until then.
        </p>
      )}
    </Panel>
  )
}
