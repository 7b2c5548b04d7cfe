import type { PlanPart } from '../../core/schedule'
import { editRow, removeRow, type Told } from '../../state'
import { LengthField, NumberField, PlainField, SelectOf, TakeAway } from '../../ui'

/** Columns on a wide sheet; on a narrow one the fields of a part flow. */
const COLUMNS = 'tabular:grid tabular:grid-cols-[minmax(10rem,1fr)_5.5rem_3.25rem_4.25rem_7.75rem_7rem_1.5rem] gap-x-2.5'

/** What the columns hold; each field has its own name for those who do not see them. */
export function PartsHead() {
  return (
    <div className={`hidden pt-1 text-[12px] text-second ${COLUMNS}`} aria-hidden>
      <span>Part</span>
      <span>Where</span>
      <span className="text-right">Count</span>
      <span className="text-right">Each</span>
      <span>State</span>
      <span>Stands for</span>
    </div>
  )
}

const STATES: Readonly<Record<PlanPart['state'], string>> = { needed: 'not ordered', ordered: 'ordered', here: 'here' }
const CUT_TO: Readonly<Record<PlanPart['covers'], string>> = {
  '': 'anything else',
  bars: 'bars',
  guides: 'rails, shafts',
  belt: 'belts',
  motor: 'motors',
  driver: 'drivers',
  pulley: 'pulleys',
  idler: 'idlers',
  controller: 'controller',
  supply: 'supply',
  head: 'diode head',
  switch: 'end switches',
}

const SELECT = 'min-h-8 w-28 py-0.5 tabular:w-full'

/** One part of the list: how many, what one costs, where it stands, and what of the machine is cut from it. */
export function PartRow({ id, part }: { readonly id: string; readonly part: PlanPart }) {
  const patch = (change: Partial<PlanPart>): Told => editRow('parts', id, change, `“${part.name}”`)
  return (
    <li
      className={`keep-together flex flex-wrap items-start gap-y-1 border-b border-rule py-1.5 text-[13px] ${COLUMNS}`}
      data-part={part.name}
    >
      <PlainField
        label={`Name of ${part.name}`}
        caption="Part"
        hideLabel
        words
        value={part.name}
        className="w-[17rem] tabular:w-full"
        keep={(name) => patch({ name: name.trim() })}
      />
      <PlainField
        label={`Where ${part.name} goes`}
        caption="Where"
        hideLabel
        words
        value={part.where}
        className="w-24 tabular:w-full"
        keep={(where) => patch({ where: where.trim() })}
      />
      <NumberField
        label={`How many of ${part.name}`}
        caption="Count"
        hideLabel
        value={part.count}
        className="w-14 text-right tabular:w-full"
        keep={(count) => patch({ count: count ?? 0 })}
      />
      <NumberField
        label={`Price of ${part.name}`}
        caption="Each"
        hideLabel
        value={part.price}
        text={Number.isInteger(part.price) ? String(part.price) : part.price.toFixed(2)}
        className="w-20 text-right tabular:w-full"
        keep={(price) => patch({ price: price ?? 0 })}
      />
      <span className="grid gap-1">
        <SelectOf
          label={`State of ${part.name}`}
          of={STATES}
          value={part.state}
          choose={(state) => patch({ state })}
          className={SELECT}
        />
        {part.state === 'ordered' && (
          <input
            type="date"
            className="input min-h-8 w-28 px-1 py-0.5 tabular:w-full"
            aria-label={`Day ${part.name} arrives`}
            value={part.arrives}
            onChange={(event) => patch({ arrives: event.target.value })}
          />
        )}
      </span>
      <span className="grid gap-1">
        <SelectOf
          label={`What ${part.name} stands for`}
          of={CUT_TO}
          value={part.covers}
          choose={(covers) => patch({ covers })}
          className={SELECT}
        />
        {part.covers === 'belt' && <BeltLength part={part} keep={(lengthMm) => patch({ lengthMm })} />}
      </span>
      <TakeAway what={`Take ${part.name} away`} act={() => removeRow('parts', id, `“${part.name}” taken away`)} />
    </li>
  )
}

/** How long one belt is, in the bench's unit or the one that is typed. */
function BeltLength({ part, keep }: { readonly part: PlanPart; readonly keep: (lengthMm: number) => Told }) {
  return (
    <LengthField
      label={`Length of ${part.name}`}
      hideLabel
      valueMm={part.lengthMm === 0 ? null : part.lengthMm}
      empty="how long,"
      className="w-28 tabular:w-full"
      keep={(length) => keep(length ?? 0)}
    />
  )
}
