import { enterFact, offeredUnit, type Doubt, type Entry, type Fact, type FactSpec } from '../core/bench'
import type { Bench } from '../core/document'
import { parseQuantity, printQuantity, unitOf, type Outcome, type UnitId } from '../core/units'
import type { Draft } from '../state'

/** What stands in the editor of a fact when it opens. */
export function draftOf(fact: Fact): Draft {
  const { doubt } = fact
  const spread = doubt.kind === 'standard' ? doubt.u : doubt.kind === 'halfWidth' ? doubt.a : null
  return {
    typed: fact.typed,
    origin: fact.origin,
    doubtTyped: spread === null ? '' : (printQuantity(0, spread, fact.typedUnit).plusMinus ?? '0'),
    instrumentId: fact.instrument ?? '',
    day: fact.at?.slice(0, 10) ?? '',
  }
}

/** What a draft comes to as a fact, or what is wrong with it. */
export function readDraft(draft: Draft, spec: FactSpec, bench: Bench): Outcome<Fact> {
  const instrument = bench.instruments[draft.instrumentId]
  const measured = draft.origin === 'measured'
  const entry: Entry = {
    typed: draft.typed,
    origin: draft.origin,
    doubtTyped: draft.doubtTyped,
    instrument: measured && instrument !== undefined ? { id: draft.instrumentId, ...instrument } : null,
    ...(measured && draft.day !== '' ? { at: `${draft.day}T12:00:00.000Z` } : {}),
  }
  return enterFact(entry, spec, bench.units)
}

/** Today by the local calendar, `YYYY-MM-DD`. */
export function today(): string {
  const now = new Date()
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((it) => String(it).padStart(2, '0')).join('-')
}

interface Habits {
  readonly spec: FactSpec
  readonly bench: Bench
  /** The instrument last used for the quantity; empty: none. */
  readonly tool: string
  readonly today: string
  /** Nothing was changed since the editor opened. */
  readonly untouched: boolean
}

/**
 * What a change brings with it. Who types over a guess has most likely read it: a length with something, anything else off
 * a label. A reading is one of today, with what was last used where that reads so far, and never takes over the ± of the
 * reading before.
 */
export function proposed(draft: Draft, next: Partial<Draft>, habits: Habits): Partial<Draft> {
  const { spec, untouched } = habits
  const overGuess = untouched && draft.origin === 'assumed' && next.origin === undefined
  const origin = next.origin ?? (overGuess ? (spec.quantity === 'length' ? 'measured' : 'stated') : draft.origin)
  const becomes = overGuess ? { origin, doubtTyped: '' } : {}
  const isNewReading = origin === 'measured' && (next.origin !== undefined || (untouched && next.typed !== undefined))
  if (!isNewReading) return becomes
  const read = { ...becomes, day: untouched || draft.day === '' ? habits.today : draft.day, ...withTool(draft, next, habits) }
  return untouched ? { ...read, doubtTyped: '' } : read
}

function withTool(draft: Draft, next: Partial<Draft>, { spec, bench, tool }: Habits): Partial<Draft> {
  const instrument = bench.instruments[tool]
  if (draft.instrumentId !== '' || instrument === undefined) return {}
  const read = parseQuantity(next.typed ?? draft.typed, spec.quantity, offeredUnit(spec, bench.units))
  const reaches = read.ok && read.value.value >= instrument.min && read.value.value <= instrument.max
  return reaches ? { instrumentId: tool } : {}
}

/** The ± that a draft will be kept with and where it comes from, in a sentence; empty while it cannot be read. */
export function sayKept(draft: Draft, spec: FactSpec, bench: Bench): string {
  const read = readDraft(draft, spec, bench)
  if (!read.ok) return ''
  const { doubt, typedUnit } = read.value
  const spread = sayDoubt(doubt, typedUnit)
  if (spread === null) return ''
  return `Kept with ${spread}, ${sourceOf(draft, bench)}.`
}

/** About 95 % of a reading, all of a label or a guess; null for what is exact. */
function sayDoubt(doubt: Doubt, unit: UnitId): string | null {
  switch (doubt.kind) {
    case 'standard':
    case 'pooled':
      return sayPlusMinus(2 * doubt.u, unit)
    case 'halfWidth':
      return doubt.a === 0 ? null : sayPlusMinus(doubt.a, unit)
    case 'alternatives':
      return `the chance that it is ${doubt.others.join(' or ')}`
    case 'exact':
      return null
  }
}

function sayPlusMinus(expanded: number, unit: UnitId): string {
  const { plusMinus } = printQuantity(0, expanded, unit)
  const { symbol } = unitOf(unit)
  return `± ${plusMinus ?? '0'}${symbol === '' ? '' : `\u00a0${symbol}`}`
}

function sourceOf({ typed, origin, doubtTyped, instrumentId }: Draft, bench: Bench): string {
  if (doubtTyped.trim() !== '' || /±|\+\/?-/.test(typed)) return 'as you say'
  if (origin === 'assumed') return 'a wide guess'
  if (origin === 'stated') return 'what labels are usually good to; type the tolerance if it names one'
  const instrument = bench.instruments[instrumentId]
  return instrument === undefined
    ? 'a guess, for nothing says how well it was read: choose what with, or type it'
    : `about 95 % of what is read with the ${instrument.name.charAt(0).toLowerCase()}${instrument.name.slice(1)}`
}
