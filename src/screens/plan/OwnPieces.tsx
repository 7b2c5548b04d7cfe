import { cutListOf } from '../../core/motion'
import type { PlanLength, PlanPiece, Stock } from '../../core/schedule'
import { editRow, removeRow, useBenchStore, type Told } from '../../state'
import { LengthField, NumberField, Panel, PlainField, SelectOf, TakeAway } from '../../ui'
import { Rows } from './Rows'

const OF: Readonly<Record<Stock, string>> = { bars: 'bars', guides: 'rails or shafts' }

/** Pieces of one's own that are cut with the machine's, and what is there to cut from besides. */
export function OwnPieces() {
  const isCut = useBenchStore(({ bench }) => {
    if (bench === null) return false
    return cutListOf(bench.motion.kinematics.chosen, null).bars.length > 0
  })
  if (!isCut) return null
  return (
    <>
      <Panel title="Given, further pieces of your own">
        <Rows
          list="pieces"
          height={48}
          row={(id, it) => <PieceRow key={id} id={id} piece={it} />}
          none={
            <p className="py-1 text-[13px] text-second">A floor in two halves, a bar for the lamp, a foot that is notched.</p>
          }
          add={{ words: 'Add a piece', row: { name: 'A piece', of: 'bars', count: 1, lengthMm: 300, note: '' }, undo: 'a piece' }}
        />
      </Panel>
      <Panel title="Given, other lengths that are there">
        <Rows
          list="lengths"
          height={44}
          row={(id, it) => <LengthRow key={id} id={id} length={it} />}
          none={<p className="py-1 text-[13px] text-second">Offcuts, or bars of another length: they are used up first.</p>}
          add={{ words: 'Add a length', row: { of: 'bars', count: 1, lengthMm: 500 }, undo: 'another length' }}
        />
      </Panel>
    </>
  )
}

function PieceRow({ id, piece }: { readonly id: string; readonly piece: PlanPiece }) {
  const patch = (change: Partial<PlanPiece>): Told => editRow('pieces', id, change, `“${piece.name}”`)
  return (
    <li className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]" data-piece={piece.name}>
      <PlainField
        label={`Name of ${piece.name}`}
        hideLabel
        words
        value={piece.name}
        className="w-44"
        keep={(name) => patch({ name: name.trim() })}
      />
      <NumberField label="Count" whole value={piece.count} className="w-14" keep={(count) => patch({ count: count ?? 0 })} />
      <LengthField
        label="Length"
        above
        valueMm={piece.lengthMm}
        className="w-20"
        keep={(lengthMm) => patch({ lengthMm: lengthMm ?? 0 })}
      />
      <SelectOf label={`What ${piece.name} is cut from`} of={OF} value={piece.of} choose={(of) => patch({ of })} />
      <PlainField
        label="Notch, hole, half: note"
        words
        value={piece.note}
        className="w-56"
        keep={(note) => patch({ note: note.trim() })}
      />
      <TakeAway what={`Take ${piece.name} away`} act={() => removeRow('pieces', id, `“${piece.name}” taken away`)} />
    </li>
  )
}

function LengthRow({ id, length }: { readonly id: string; readonly length: PlanLength }) {
  const patch = (change: Partial<PlanLength>): Told => editRow('lengths', id, change, 'another length')
  return (
    <li className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]">
      <NumberField label="How many" whole value={length.count} className="w-14" keep={(count) => patch({ count: count ?? 0 })} />
      <LengthField
        label="Length"
        above
        valueMm={length.lengthMm}
        className="w-20"
        keep={(lengthMm) => patch({ lengthMm: lengthMm ?? 0 })}
      />
      <SelectOf label="What they are" of={OF} value={length.of} choose={(of) => patch({ of })} />
      <TakeAway
        what={`Take this length of ${length.lengthMm} away`}
        act={() => removeRow('lengths', id, 'a length taken away')}
      />
    </li>
  )
}
