import { setAt, type Instrument } from '../../core/bench'
import { instrument, type Bench } from '../../core/document'
import { displayUnit, fromCore, parseQuantity, sayQuantity, unitOf } from '../../core/units'
import { editBench, newId, told, type Told } from '../../state'
import { FactField, PlainField } from '../../ui'

const NUMBERS = [
  ['min', 'Reads from'],
  ['max', 'to'],
  ['resolution', 'Smallest division'],
  ['u', 'Standard uncertainty of one reading'],
] as const

/** The instruments at hand: what they can read, and how well. The run proposes only what they can. */
export function Instruments({ bench }: { readonly bench: Bench }) {
  const used = new Set(Object.values(bench.calibrate.runs).map((it) => it.instrument))
  const listed = Object.entries(bench.instruments).sort(([, p], [, q]) => p.order - q.order)
  return (
    <details className="no-print">
      <summary className="cursor-pointer text-[13px] font-[650]">The instruments at hand</summary>
      <ul className="m-0 mt-1 list-none p-0">
        {listed.map(([id, it]) => (
          <li key={id} className="border-b border-rule py-2">
            <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
              <PlainField
                label="Name"
                value={it.name}
                className="w-44"
                keep={(name) => editBench('the name of an instrument', (b) => setAt(b, `instruments.${id}.name`, name.trim()))}
              />
              {NUMBERS.map(([key, label]) => (
                <PlainField
                  key={key}
                  label={`${label}, ${unitOf(displayUnit('length', bench.units)).symbol}`}
                  value={String(Number(fromCore(it[key], displayUnit('length', bench.units)).toPrecision(6)))}
                  className="w-24"
                  keep={(text) => keepNumber(bench, id, it, key, text)}
                />
              ))}
            </div>
            <p className="mt-1 text-[13px]">
              Its scale may be off by <FactField path={`instruments.${id}.scale`} />, its zero by{' '}
              <FactField path={`instruments.${id}.zero`} />.{' '}
              {!used.has(id) && listed.length > 1 && (
                <button
                  type="button"
                  className="link"
                  onClick={() => editBench('an instrument removed', (b) => setAt(b, `instruments.${id}`, undefined))}
                >
                  Remove “{it.name}”
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
      <button type="button" className="link mt-1 text-[13px]" onClick={() => add(listed.length)}>
        Add an instrument
      </button>
    </details>
  )
}

function add(count: number): void {
  editBench('an instrument', (b) =>
    setAt(b, `instruments.${newId()}`, instrument(count + 1, `Instrument ${count + 1}`, 0, 300, 0.01, 0.03, 0.05)),
  )
}

function keepNumber(bench: Bench, id: string, it: Instrument, key: (typeof NUMBERS)[number][0], text: string): Told {
  const read = parseQuantity(text, 'length', displayUnit('length', bench.units))
  if (!read.ok) return read.findings
  const { value } = read.value
  const next = { ...it, [key]: value }
  if (!(next.min >= 0) || !(next.max > next.min)) return told('It must read from 0 or more up to something larger.')
  if (!(next.resolution > 0) || !(next.u > 0)) {
    return told(
      `It must be more than 0. A caliper of ${sayQuantity(0.01, null, 'mm')} division is good to about ${sayQuantity(0.02, null, 'mm')}.`,
    )
  }
  return editBench('an instrument', (b) => setAt(b, `instruments.${id}.${key}`, value))
}
