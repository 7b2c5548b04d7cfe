import type { Bench } from '../../core/document'
import { useChosenInstrument, useInstrument } from './chosen'

/** With what the next run or pattern will be read. */
export function InstrumentSelect({ bench, label }: { readonly bench: Bench; readonly label: string }) {
  const chosen = useInstrument()
  return (
    <select
      className="input min-h-8 py-0.5 text-[14px]"
      aria-label={label}
      value={chosen}
      onChange={(event) => useChosenInstrument.setState({ id: event.target.value })}
    >
      {Object.entries(bench.instruments).map(([key, it]) => (
        <option key={key} value={key}>
          {it.name}
        </option>
      ))}
    </select>
  )
}
