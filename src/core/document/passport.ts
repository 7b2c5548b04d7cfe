import { eachFact, isChoice, isFact, showFact, type BenchRecord, type Fact, type Path } from '../bench'
import { printQuantity } from '../units'
import { benchChoiceSpec, type Bench } from './bench'
import { hasField, labelAt } from './places'

/** A line of the passport: what, how much, how it is known. */
export interface PassportRow {
  readonly label: string
  readonly value: string
  /** “measured”, “stated”, a date, or how far it may be off. */
  readonly known: string
  /** The day of the reading; empty where none is known. */
  readonly day: string
}

export interface PassportSection {
  readonly title: string
  readonly rows: readonly PassportRow[]
}

/** What of a bench stands in which section, in their order; the rest is work in hand and not the machine. */
const SECTIONS: readonly (readonly [title: string, ...below: string[]])[] = [
  ['Motion', 'motion'],
  ['Settings of the controller', 'controller'],
  ['Power and wiring', 'electrical'],
  ['Beam and focus', 'optics'],
  ['Rotary', 'rotary'],
  ['Housing', 'housing'],
  ['Air', 'air'],
  ['Eyewear and reach', 'safety', 'reach'],
  ['Materials and their settings', 'burns'],
]

/** Records that say how something was calibrated or put right. */
const CALIBRATED = new Set(['controller', 'beam', 'burns', 'rotary', 'motion'])

/**
 * All that matters of a machine as a sheet: what was measured or stated, calibrations with their days, wires, parts. What
 * is only assumed is left out: nobody should start from a guess.
 * @param bench The bench. @param records Its records.
 */
export function passportOf(bench: Bench, records: readonly BenchRecord[]): readonly PassportSection[] {
  const facts = SECTIONS.map(([title, ...slices]) => ({ title, rows: slices.flatMap((it) => factRows(bench, it)) }))
  return [...facts, calibrations(records), wires(bench), parts(bench), upkeep(bench)].filter((it) => it.rows.length > 0)
}

function factRows(bench: Bench, slice: string): readonly PassportRow[] {
  const rows: PassportRow[] = []
  eachFact(
    bench[slice as keyof Bench],
    (path, node) => {
      if (!hasField(bench, path)) return
      const row = rowOf(bench, path, node)
      if (row !== null) rows.push(row)
    },
    slice,
  )
  return rows
}

function rowOf(bench: Bench, path: Path, node: object): PassportRow | null {
  if (isFact(node)) {
    if (node.value === null || node.origin === 'assumed') return null
    const { text, unit } = showFact(node)
    const value = [text, plusMinusOf(node), unit].filter((it) => it !== '').join(' ')
    return { label: labelAt(bench, path), value, known: node.origin, day: (node.at ?? '').slice(0, 10) }
  }
  if (!isChoice(node) || node.chosen === null || node.origin === 'assumed') return null
  const { chosen, origin } = node
  const value = benchChoiceSpec(path)?.options[chosen] ?? chosen
  return { label: labelAt(bench, path), value, known: origin, day: '' }
}

/** How far it may be off: two standard uncertainties of a reading, the half-width of what is stated. */
function plusMinusOf({ doubt, typed, typedUnit }: Fact): string {
  if (/±|\+\/?-/.test(typed) || (doubt.kind !== 'standard' && doubt.kind !== 'halfWidth')) return ''
  const { plusMinus } = printQuantity(0, doubt.kind === 'standard' ? 2 * doubt.u : doubt.a, typedUnit)
  return plusMinus === null ? '' : `± ${plusMinus}`
}

function calibrations(records: readonly BenchRecord[]): PassportSection {
  const newest = new Map<string, BenchRecord>()
  for (const record of [...records].sort((p, q) => p.at.localeCompare(q.at)))
    if (CALIBRATED.has(record.stage) && record.gave.length > 0) newest.set(record.redo || record.title, record)
  const rows = [...newest.values()]
    .sort((p, q) => q.at.localeCompare(p.at))
    .map(({ title, note, at }) => ({
      label: title,
      value: note.split('\n')[0] ?? '',
      known: 'written down',
      day: at.slice(0, 10),
    }))
  return { title: 'Calibrations and settings, the newest of each', rows }
}

function wires({ electrical: { blocks, wires: all } }: Bench): PassportSection {
  const nameOf = (id: string): string => blocks[id]?.name ?? id
  const rows = Object.values(all)
    .sort((p, q) => p.order - q.order)
    .map(({ from, to, kind, colour, connector }) => ({
      label: `${nameOf(from)} to ${nameOf(to)}`,
      value: [kind, colour, connector].filter((it) => it !== '').join(', '),
      known: '',
      day: '',
    }))
  return { title: 'Wires', rows }
}

function parts({ plan }: Bench): PassportSection {
  const rows = Object.values(plan.parts)
    .filter((it) => it.state === 'here')
    .sort((p, q) => p.order - q.order)
    .map(({ name, where, count }) => ({ label: name, value: `${count}${where === '' ? '' : `, ${where}`}`, known: '', day: '' }))
  return { title: 'Parts that are here', rows }
}

function upkeep({ log }: Bench): PassportSection {
  const rows = Object.values(log.upkeep)
    .sort((p, q) => p.order - q.order)
    .map(({ name, done }) => {
      const days = Object.values(done).map((it) => it.at.slice(0, 10))
      return { label: name, value: days.length === 0 ? 'not done yet' : 'done last', known: '', day: days.sort().at(-1) ?? '' }
    })
  return { title: 'Upkeep', rows }
}
