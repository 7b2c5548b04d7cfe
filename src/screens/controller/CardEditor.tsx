import { setAt } from '../../core/bench'
import { cardOf, type Bench } from '../../core/document'
import { readCard } from '../../core/gcode'
import { editBench, told, type Told } from '../../state'
import { Findings, PlainField } from '../../ui'

const FIELDS = [
  ['name', 'Name of the card', 1],
  ['beamOn', 'Beam on; {power} is the power word', 2],
  ['beamOff', 'Beam off', 2],
  ['dwell', 'Wait; {seconds} is filled in', 1],
  ['header', 'Lines before the work', 3],
  ['footer', 'Lines after the work', 3],
] as const

/** The output card: how this controller wants its words. What is typed stays, even while it cannot be used. */
export function CardEditor({ bench }: { readonly bench: Bench }) {
  const { card } = bench.output
  const whole = cardOf(bench)
  const checked = whole === null ? null : readCard(whole)
  const keep = (field: string, value: unknown): Told =>
    editBench(`the output card’s ${field}`, (it) => setAt(it, `output.card.${field}`, value))
  return (
    <details className="no-print">
      <summary className="cursor-pointer text-[13px] font-[650]">How the program is said: output card “{card.name}”</summary>
      <p className="mt-1 max-w-[46rem] text-[13px] text-second">
        Power as the S word and the beam as the spindle are common practice, not in the standard. Look up what your controller
        wants, and try it with the beam’s supply off. A card that cannot turn the beam off is refused.
      </p>
      <div className="mt-2 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        {FIELDS.map(([field, label, lines]) => (
          <PlainField
            key={field}
            label={label}
            value={card[field]}
            lines={lines}
            className="w-full"
            keep={(text) => keep(field, text)}
          />
        ))}
        <PlainField
          label="Decimals of coordinates"
          value={String(card.decimals)}
          className="w-24"
          keep={(text) =>
            /^[0-6]$/.test(text.trim()) ? keep('decimals', Number(text)) : told('Type a whole number from 0 to 6.')
          }
        />
        <PlainField
          label="Decimals of the power word"
          value={String(card.powerDecimals)}
          className="w-24"
          keep={(text) =>
            /^[0-6]$/.test(text.trim()) ? keep('powerDecimals', Number(text)) : told('Type a whole number from 0 to 6.')
          }
        />
        <label className="grid text-[12px] text-second">
          Units of the program
          <select
            className="input min-h-8 w-32 py-0.5 text-[13.5px]"
            value={card.units}
            onChange={(event) => keep('units', event.target.value)}
          >
            <option value="mm">millimetres</option>
            <option value="inch">inches</option>
          </select>
        </label>
      </div>
      {checked !== null && <Findings findings={checked.findings} />}
    </details>
  )
}
