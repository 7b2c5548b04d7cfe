import { useState } from 'react'
import { setAt } from '../../core/bench'
import { cardOf, type Bench } from '../../core/document'
import { CARDS, readCard, writeProgram, type BenchCard, type Manner, type OutputCard, type Step } from '../../core/gcode'
import { cardFromFile, cardToFile, DONE, editBench, told, type Told } from '../../state'
import { download, FileButton, Findings, PlainField, SelectOf } from '../../ui'

const FIELDS = [
  ['name', 'Name of the card', 1],
  ['beamOn', 'Beam on; {power} is the power word', 2],
  ['beamOff', 'Beam off', 2],
  ['dwell', 'Wait; {seconds} is filled in', 1],
  ['header', 'Lines before the work', 3],
  ['footer', 'Lines after the work', 3],
  ['airOn', 'Air and extraction on', 1],
  ['airOff', 'Air and extraction off', 1],
] as const
/** Of programs that come from elsewhere. */
const SUB_FIELDS = [
  ['subCall', 'Calls a subroutine; {number}, {times}'],
  ['subBegins', 'Begins one; {number}'],
  ['subEnds', 'Ends one'],
] as const

const TIMING_WORDS = { queued: 'in their turn among the moves', atOnce: 'as soon as they are read' } as const
const MANNER_WORDS: Readonly<Record<Manner, string>> = {
  block: 'in a line of its own, and stays',
  follows: 'in a line of its own, and follows the speed',
  inMove: 'in each move',
  switched: 'not at all: on and off only',
}
const ARC_WORDS: Readonly<Record<OutputCard['arcs'], string>> = {
  arcs: 'arcs as they are',
  lines: 'short lines in place of arcs',
}
const UNIT_WORDS: Readonly<Record<OutputCard['units'], string>> = { mm: 'millimetres', inch: 'inches' }

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
      <Begin bench={bench} />
      <CardFile />
      <p className="mt-2 flex flex-wrap items-center gap-2 text-[13.5px]">
        The power is said{' '}
        <SelectOf label="How the power is said" of={MANNER_WORDS} value={card.manner} choose={(it) => keep('manner', it)} />
        Its words for the beam act{' '}
        <SelectOf label="When a word acts" of={TIMING_WORDS} value={card.timing} choose={(it) => keep('timing', it)} />. It takes{' '}
        <SelectOf label="Arcs" of={ARC_WORDS} value={card.arcs} choose={(it) => keep('arcs', it)} />
        in <SelectOf label="Units of the program" of={UNIT_WORDS} value={card.units} choose={(it) => keep('units', it)} />
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
        {card.manner === 'inMove' && (
          <PlainField
            label="Behind each move; {power} is the power word"
            value={card.inMove}
            className="w-full"
            keep={(text) => keep('inMove', text)}
          />
        )}
      </div>
      <Numbers card={card} keep={keep} />
      <p className="mt-3 text-[13px] text-second">
        Subroutines are not in the standard. Where your controller has them, say how, such as M98 P{'{number}'} L{'{times}'}, O
        {'{number}'} and M99; then programs from elsewhere that use them are read.
      </p>
      <div className="mt-1 flex flex-wrap gap-x-6 gap-y-2">
        {SUB_FIELDS.map(([field, label]) => (
          <PlainField key={field} label={label} value={card[field]} className="w-56" keep={(text) => keep(field, text)} />
        ))}
      </div>
      {checked !== null && <Findings findings={checked.findings} />}
      {whole !== null && <Preview card={whole} />}
    </details>
  )
}

/** The numbers of a card. */
function Numbers({ card, keep }: { readonly card: BenchCard; readonly keep: (field: string, value: unknown) => Told }) {
  const whole =
    (field: 'decimals' | 'powerDecimals' | 'numbered', most: number) =>
    (text: string): Told => {
      const value = Number(text)
      return /^\d{1,4}$/.test(text.trim()) && value <= most ? keep(field, value) : told(`Type a whole number from 0 to ${most}.`)
    }
  const seconds = (text: string): Told => {
    const value = Number(text.replace(',', '.'))
    return text.trim() !== '' && value >= 0 && value <= 60 ? keep('afterOn', value) : told('Type seconds from 0 to 60.')
  }
  return (
    <div className="mt-2 flex flex-wrap gap-x-6 gap-y-2">
      <PlainField label="Decimals of coordinates" value={String(card.decimals)} className="w-24" keep={whole('decimals', 6)} />
      <PlainField
        label="Decimals of the power word"
        value={String(card.powerDecimals)}
        className="w-24"
        keep={whole('powerDecimals', 6)}
      />
      <PlainField
        label="Line numbers, step; 0: none"
        value={String(card.numbered)}
        className="w-24"
        keep={whole('numbered', 1000)}
      />
      <PlainField label="Waits behind beam on, s" value={String(card.afterOn)} className="w-24" keep={seconds} />
    </div>
  )
}

/** The card with its link, as a file that another bench can take. */
function CardFile() {
  const [said, say] = useState<Told>(DONE)
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="button min-h-8 py-0.5"
          onClick={() =>
            void cardToFile().then((it) => download('output-card.json', new TextEncoder().encode(it), 'application/json'))
          }
        >
          Save this card
        </button>
        <FileButton label="File of a card" accept=".json,application/json" take={(file) => void cardFromFile(file).then(say)}>
          Take a card from a file
        </FileButton>
      </div>
      <Findings findings={said} />
    </div>
  )
}

/** A card to begin from, described by what it does. */
function Begin({ bench }: { readonly bench: Bench }) {
  const names = Object.fromEntries(CARDS.map((it, i) => [String(i), it.name]))
  const [picked, setPicked] = useState('0')
  const card = CARDS[Number(picked)]
  const take = (): void => {
    if (card === undefined) return
    const { fullPower: _, ...rest } = card
    const full = bench.electrical.fullPower.value ?? card.fullPower
    const beamOn = card.manner === 'switched' ? card.beamOn.replace(String(card.fullPower), String(full)) : card.beamOn
    editBench('the output card', (it) => setAt(it, 'output.card', { ...rest, beamOn }))
  }
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2 text-[13.5px]">
      Begin from <SelectOf label="Card to begin from" of={names} value={picked} choose={setPicked} />
      <button type="button" className="button min-h-8 py-0.5" onClick={take}>
        Take it
      </button>
      <span className="text-[13px] text-second">{card?.about}</span>
    </div>
  )
}

/** A line and a corner, as the card says them. */
function Preview({ card }: { readonly card: OutputCard }) {
  const light = card.manner === 'switched' ? 1 : 0.5
  const figure: readonly Step[] = [
    { kind: 'rapid', x: 10, y: 10 },
    { kind: 'line', x: 20, y: 10, feed: 20, power: 1 },
    { kind: 'line', x: 20, y: 15, feed: 20, power: light },
    { kind: 'arc', x: 15, y: 20, centreX: 15, centreY: 15, clockwise: false, feed: 20, power: light },
  ]
  const made = writeProgram(figure, card)
  if (!made.ok) return null
  return (
    <figure className="mt-3">
      <figcaption className="text-[12px] text-second">
        Two lines and a quarter of a circle, as this card says them: from full power to {light * 100}%
      </figcaption>
      <pre className="num max-h-64 overflow-auto border border-rule p-2 text-[12.5px]" tabIndex={0}>
        {made.value}
      </pre>
    </figure>
  )
}
