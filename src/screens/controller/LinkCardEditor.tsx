import { setAt } from '../../core/bench'
import { linkCardFindings, LINE_ENDS, type LinkCard } from '../../core/controller'
import type { Bench } from '../../core/document'
import { editBench, told, type Told } from '../../state'
import { Findings, PlainField, SelectOf } from '../../ui'

const ENDS: Readonly<Record<(typeof LINE_ENDS)[number], string>> = {
  lf: 'a line feed',
  crlf: 'return and line feed',
  cr: 'a return',
}

const ANSWERS = { taken: 'taken', done: 'carried out' } as const

const WORDS: readonly (readonly [keyof LinkCard, string])[] = [
  ['taken', 'A line it has taken is answered with'],
  ['refused', 'A line it refuses, with'],
  ['greets', 'When it has started it greets with'],
  ['remarks', 'Its own remarks begin with'],
  ['list', 'It lists its settings for'],
  ['state', 'It says its state for'],
  ['stateIs', 'Its state: {state}, {x}, {y}, {power}, {any}'],
  ['resting', 'Its words for “at rest”'],
  ['stop', 'What stops it at once; \\x18 for a character without a letter'],
  ['pause', 'What holds it, beam off'],
  ['goOn', 'What lets it go on'],
]

/** How the controller on the cable is spoken with. */
export function LinkCardEditor({ bench }: { readonly bench: Bench }) {
  const { link } = bench.output
  const keep = (field: keyof LinkCard, value: unknown): Told =>
    editBench('how the controller is spoken with', (it) => setAt(it, `output.link.${field}`, value))
  const whole =
    (field: 'baud' | 'holds', least: number, most: number) =>
    (text: string): Told => {
      const value = Number(text)
      return /^\d+$/.test(text.trim()) && value >= least && value <= most
        ? keep(field, value)
        : told(`Type a whole number from ${least} to ${most}.`)
    }
  const full = (text: string): Told => {
    const value = Number(text.replace(',', '.'))
    return value > 0 ? keep('fullPower', value) : told('Type a number above 0.')
  }
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-y-2 text-[13px]">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <PlainField label="Baud" value={String(link.baud)} className="w-24" keep={whole('baud', 300, 4_000_000)} />
        <PlainField
          label="It holds so many characters; 0: a line at a time"
          value={String(link.holds)}
          className="w-24"
          keep={whole('holds', 0, 65_536)}
        />
        <PlainField label="{power} at full" value={String(link.fullPower)} className="w-24" keep={full} />
      </div>
      <p className="flex items-center gap-2">
        It answers for a line when it is{' '}
        <SelectOf label="Acknowledges" of={ANSWERS} value={link.acknowledges} choose={(it) => keep('acknowledges', it)} />; a line
        ends with <SelectOf label="End of a line" of={ENDS} value={link.lineEnd} choose={(it) => keep('lineEnd', it)} />
      </p>
      {WORDS.map(([field, label]) => (
        <PlainField key={field} label={label} value={String(link[field])} className="w-full" keep={(text) => keep(field, text)} />
      ))}
      <Findings findings={linkCardFindings(link)} />
    </div>
  )
}
