import { useState } from 'react'
import type { Bench } from '../../core/document'
import { addBond, editBond, removeBond } from '../../state'
import { ChoiceField, FactField, Panel, PlainField, TakeAway } from '../../ui'
import { inOrder } from './WiringPlate'

/** Metal parts that a hand can reach, and what was read between each and the protective earth. */
export function Bonds({ bench }: { readonly bench: Bench }) {
  const [name, setName] = useState('')
  const add = (): void => {
    if (name.trim() === '') return
    addBond(name.trim())
    setName('')
  }
  return (
    <Panel title="Given, the bonds to the protective earth">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Every metal part that a hand can reach and that mains could get at: frame bars, bed, tube, the supply’s case. Anodised
        metal insulates. A meter with two leads cannot tell its leads from the joint: pass 1 A and read the volts, or leave the
        proof to licensed hands.
      </p>
      <ul className="m-0 list-none p-0">
        {inOrder(bench.electrical.bonds).map(([id, bond]) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13.5px]">
            <PlainField
              label={`Name of the bond ${bond.name}`}
              hideLabel
              words
              value={bond.name}
              className="w-52"
              keep={(to) => editBond(id, to.trim())}
            />
            <FactField path={`electrical.bonds.${id}.ohms`} small /> <ChoiceField path={`electrical.bonds.${id}.method`} />
            <TakeAway what={`Take the bond ${bond.name} away`} act={() => removeBond(id)} />
          </li>
        ))}
      </ul>
      <form
        className="no-print mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <input
          className="input min-h-8 w-52 py-0.5"
          aria-label="Part to bond"
          placeholder="Part, such as the left bar"
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="button" disabled={name.trim() === ''}>
          Add it
        </button>
      </form>
    </Panel>
  )
}
