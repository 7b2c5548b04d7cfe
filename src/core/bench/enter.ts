import {
  accepted,
  displayUnit,
  fromCore,
  parseQuantity,
  refused,
  sayExact,
  toCore,
  type Finding,
  type Outcome,
  type UnitId,
  type UnitSystem,
} from '../units'
import type { Doubt, Fact, FactSpec, Origin } from './fact'
import { assumedHalfWidth, templateDoubt } from './guess'

/** What a person gives for a fact; the doubt as text in the same units, or nothing. */
export interface Entry {
  readonly typed: string
  readonly origin: Origin
  /** Half-width for a stated or assumed value, standard uncertainty for a measured one; empty: the default. */
  readonly doubtTyped?: string
  readonly instrument?: { readonly id: string; readonly u: number; readonly min: number; readonly max: number } | null
  readonly at?: string
}

/** The unit that a bench offers for a field: the spec's own where it is metric, else the system's. */
export function offeredUnit(spec: FactSpec, system: UnitSystem): UnitId {
  const own = spec.unit ?? displayUnit(spec.quantity, system)
  return system === 'metric' ? own : displayUnit(spec.quantity, 'inch')
}

/**
 * Turns what was typed into a fact.
 * @returns The fact, or every finding. The text is kept to the letter in either case.
 */
export function enterFact(entry: Entry, spec: FactSpec, system: UnitSystem): Outcome<Fact> {
  const unit = offeredUnit(spec, system)
  const read = parseQuantity(entry.typed, spec.quantity, unit)
  if (!read.ok) return read
  const { value, plusMinus } = read.value
  const bad = outOfRange(value, spec, read.value.unit)
  if (bad !== null) return { ok: false, findings: [...read.findings, bad] }
  const spread = readDoubt(entry, spec, read.value.unit, plusMinus)
  if (!spread.ok) return { ok: false, findings: [...read.findings, ...spread.findings] }
  const { instrument } = entry
  if (instrument && (value < instrument.min || value > instrument.max)) {
    const range = `${sayExact(instrument.min, unit)} to ${sayExact(instrument.max, unit)}`
    return refused('instrument-range', `This instrument reads ${range}. Choose another instrument, or none.`)
  }
  return accepted(
    {
      value,
      typed: entry.typed.trim(),
      typedUnit: read.value.unit,
      origin: entry.origin,
      doubt: doubtFor(entry, spec, value, spread.value),
      ...(entry.origin === 'measured' && instrument ? { instrument: instrument.id } : {}),
      ...(entry.at === undefined ? {} : { at: entry.at }),
    },
    [...read.findings, ...spread.findings],
  )
}

function outOfRange(value: number, spec: FactSpec, unit: UnitId): Finding | null {
  if (spec.whole === true && !Number.isInteger(value)) {
    return { code: 'not-whole', severity: 'error', message: `${spec.label} is a whole number.` }
  }
  if (value >= spec.min && value <= spec.max) return null
  const range = `${sayExact(spec.min, unit)} to ${sayExact(spec.max, unit)}`
  return { code: 'out-of-range', severity: 'error', message: `${spec.label} is accepted from ${range}. What was there stays.` }
}

function readDoubt(entry: Entry, spec: FactSpec, unit: UnitId, plusMinus: number | null): Outcome<number | null> {
  const text = entry.doubtTyped?.trim() ?? ''
  if (text === '') {
    // What stands behind ± in the field is about 95 %: for a reading, u is half of it (§2, 2u).
    return accepted(plusMinus === null ? null : entry.origin === 'measured' ? plusMinus / 2 : plusMinus)
  }
  const read = parseQuantity(text.replace(/^±\s*/, ''), spec.quantity === 'divisor' ? 'count' : spec.quantity, unit)
  if (!read.ok)
    return {
      ok: false,
      findings: read.findings.map((it) => ({ ...it, code: `doubt-${it.code}`, message: `Give or take: ${it.message}` })),
    }
  const given = read.value.value - toCore(0, read.value.unit)
  if (given < 0) return refused('doubt-negative', 'Give or take cannot be negative. Type how far it may be off to either side.')
  return accepted(given, read.findings)
}

/** Every number has its doubt: what was said, else the instrument's, else the template's share of the value. */
function doubtFor(entry: Entry, spec: FactSpec, value: number, given: number | null): Doubt {
  if (spec.whole === true || spec.assume?.halfWidth === 0) {
    if (given === null && entry.origin === 'assumed') return templateDoubt(spec, value)
    return given === null || given === 0 ? { kind: 'exact' } : alternativesAround(value, given, spec)
  }
  if (spec.exact === true && given === null) return { kind: 'exact' }
  if (entry.origin === 'measured') return { kind: 'standard', u: given ?? entry.instrument?.u ?? shareOf(spec, value) / 2 }
  return { kind: 'halfWidth', a: given ?? shareOf(spec, value) }
}

/** A doubtful whole number is a few alternatives, never nudged. */
function alternativesAround(value: number, spread: number, spec: FactSpec): Doubt {
  const reach = Math.min(10, Math.floor(spread))
  const others = Array.from({ length: 2 * reach + 1 }, (_, i) => value - reach + i)
  return { kind: 'alternatives', others: others.filter((it) => it !== value && it >= spec.min && it <= spec.max) }
}

/** The template's half-width as a share of its value, carried over to what was typed; 5 % where it gives none. */
function shareOf(spec: FactSpec, value: number): number {
  const { assume } = spec
  if (assume === undefined || assume.value === 0) return assume === undefined ? Math.abs(value) * 0.05 : assumedHalfWidth(spec)
  return Math.abs(value) * (assume.halfWidth / Math.abs(assume.value))
}

/**
 * The fact that a dragged dimension becomes: rounded to what a hand can set, and assumed, for nobody has measured it.
 * @param value Core's unit. @param step Rounding in the unit offered, such as 1 mm or 0.05 in.
 */
export function draggedFact(value: number, step: number, spec: FactSpec, system: UnitSystem): Outcome<Fact> {
  const unit = offeredUnit(spec, system)
  const rounded = Math.round(fromCore(value, unit) / step) * step
  return enterFact({ typed: String(Number(rounded.toPrecision(10))), origin: 'assumed' }, spec, system)
}
