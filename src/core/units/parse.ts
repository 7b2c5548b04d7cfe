import { accepted, refused, type Finding, type Outcome } from './finding'
import { UNIT_IDS, unitOf, unitsOf, type Quantity, type UnitId } from './table'
import { doubtToCore, toCore } from './convert'

/** What was read from a typed quantity. */
export interface ReadQuantity {
  /** In the core's unit. */
  readonly value: number
  /** Half of what stood behind ±, in the core's unit, if anything did. */
  readonly plusMinus: number | null
  readonly unit: UnitId
}

/** Fractions that are one sign: ½, ¾, ⅝. */
const VULGAR = /[¼½¾⅐-⅞]/g
const SPACE = /[\s\u00a0\u2009\u202f]+/g
/** A mixed fraction's whole may stand before it with a blank or a dash: 1 1/2, 1-1/2. */
const NUMBER = /^[+\-−]?(?:\d+[- ]\d+\/\d+|\d[\d., ]*(?:\/\d+)?|[.,]\d+)(?:[eE][+\-−]?\d+)?/
const PLUS_MINUS = /±|\+\/-|\+-/

/**
 * Reads what a person types for a quantity: `12.5`, `12,5 in`, `1/16`, `1 1/2 in`, `412 ± 2 g`, `1 234.5`.
 * A single comma is a decimal comma; where it could have meant thousands a warning says how it was read.
 * @param text As typed. @param quantity What the field holds. @param fallback Unit where none is typed.
 * @returns The value in the core's unit, or every finding with its column; the text itself is never altered.
 */
export function parseQuantity(text: string, quantity: Quantity, fallback: UnitId): Outcome<ReadQuantity> {
  const plain = text
    .replace(VULGAR, (sign) => ` ${sign.normalize('NFKD').replace('⁄', '/')}`)
    .replace(SPACE, ' ')
    .trim()
  if (plain === '') return refused('empty', `Nothing was typed. Type a number, with a unit if it is not ${name(fallback)}.`)
  const [main = '', doubt, ...more] = plain.split(PLUS_MINUS)
  if (more.length > 0) return refused('two-doubts', `“${plain}” has ± twice. Keep one.`)
  const value = readPart(main.trim(), quantity)
  if (!value.ok) return value
  const spread = doubt === undefined ? null : readPart(doubt.trim(), quantity)
  if (spread !== null && !spread.ok) return spread
  const unit = value.value.unit ?? spread?.value.unit ?? fallback
  const spreadUnit = spread?.value.unit ?? unit
  const number = quantity === 'divisor' ? asDivisor(value.value.number) : value.value.number
  return accepted(
    {
      value: toCore(number, unit),
      plusMinus: spread === null ? null : Math.abs(doubtToCore(spread.value.number, spreadUnit)),
      unit,
    },
    [...value.findings, ...(spread?.findings ?? [])],
  )
}

interface Part {
  readonly number: number
  readonly unit: UnitId | null
}

function readPart(text: string, quantity: Quantity): Outcome<Part> {
  const feet = quantity === 'length' ? readFeet(text) : null
  if (feet !== null) return feet
  const match = NUMBER.exec(text)
  if (match === null)
    return refused('not-a-number', `“${text}” does not begin with a number. Type one, such as 12.5.`, { column: 1 })
  const digits = match[0].trim()
  const findings: Finding[] = []
  const number = readNumber(digits, findings)
  if (number === null || !Number.isFinite(number)) {
    return refused('not-a-number', `“${digits}” is not a number. Use one decimal point or comma, or a fraction such as 1/16.`, {
      column: 1,
    })
  }
  const rest = text.slice(digits.length).trim()
  if (rest === '') return accepted({ number, unit: null }, findings)
  const unit = readUnit(rest, quantity, text.length - rest.length + 1)
  return unit.ok ? accepted({ number, unit: unit.value }, findings) : unit
}

const FEET = /^([+\-−]?)(\d[\d., ]*)\s*(?:'|′|’|ft\.?|foot|feet)[\s-]*(\d.*|[.,]\d.*)$/i

/** Feet and inches, `1' 2 1/2"` or `1 ft 2.5 in`; null where it is something else. */
function readFeet(text: string): Outcome<Part> | null {
  const [, sign = '', whole = '', rest = ''] = FEET.exec(text) ?? []
  if (whole === '') return null
  const inches = readPart(rest, 'length')
  if (!inches.ok) return inches
  const findings: Finding[] = [...inches.findings]
  const feet = readNumber(whole.trim(), findings)
  if (feet === null || (inches.value.unit !== null && inches.value.unit !== 'in')) {
    return refused('not-a-number', `“${text}” is not feet and inches. Type it as 1' 2 1/2" or 1 ft 2.5 in.`, { column: 1 })
  }
  return accepted({ number: (/[-−]/.test(sign) ? -1 : 1) * (12 * feet + inches.value.number), unit: 'in' }, findings)
}

function readNumber(text: string, findings: Finding[]): number | null {
  const sign = /^[-−]/.test(text) ? -1 : 1
  const body = text.replace(/^[+\-−]/, '')
  const fraction = /^(?:(\d+)[- ])?(\d+)\/(\d+)$/.exec(body)
  if (fraction !== null) {
    const [, whole = '0', top, bottom] = fraction
    return Number(bottom) === 0 ? null : sign * (Number(whole) + Number(top) / Number(bottom))
  }
  const decimal = readDecimal(body, findings)
  return decimal === null ? null : sign * decimal
}

const GROUPED = /^\d{1,3}(?:([ .,])\d{3})(?:\1\d{3})*$/

function readDecimal(body: string, findings: Finding[]): number | null {
  const lastMark = Math.max(body.lastIndexOf('.'), body.lastIndexOf(','))
  const mark = lastMark < 0 ? '' : body.charAt(lastMark)
  const marks = body.split(mark === '' ? '\0' : mark).length - 1
  const other = mark === ',' ? '.' : ','
  if (marks > 1) return GROUPED.test(body) ? Number(body.replace(/[ .,]/g, '')) : null
  const whole = mark === '' ? body.replace(/[eE].*$/, '') : body.slice(0, lastMark)
  const decimals = mark === '' ? body.slice(whole.length) : body.slice(lastMark + 1)
  if (!/^\d*(?:[eE][+\-−]?\d+)?$/.test(decimals)) return null
  if (/[ .,]/.test(whole) && !GROUPED.test(whole)) return null
  if (mark === ',' && !whole.includes(other) && /^[1-9]\d{0,2}$/.test(whole) && decimals.length === 3) {
    findings.push({
      code: 'comma-read-as-decimal',
      severity: 'warning',
      message: `Read as ${whole}.${decimals}. If you meant ${whole}${decimals}, type it without the comma.`,
    })
  }
  const text = `${whole.replace(/[ .,]/g, '') || '0'}${mark === '' || decimals === '' ? decimals : `.${decimals}`}`
  const value = Number(text.replace('−', '-'))
  return Number.isNaN(value) ? null : value
}

function readUnit(text: string, quantity: Quantity, column: number): Outcome<UnitId> {
  const exact = UNIT_IDS.filter((id) => unitOf(id).symbol === text || id === text)
  const wanted = text.toLowerCase()
  const loose = UNIT_IDS.filter((id) => unitOf(id).symbol.toLowerCase() === wanted || (unitOf(id).words ?? []).includes(wanted))
  const fitting = [...exact, ...loose].find((id) => unitOf(id).quantity === quantity)
  if (fitting !== undefined) return accepted(fitting)
  const known = unitsOf(quantity)
    .map(name)
    .filter((word) => word !== 'a plain number')
  const advice = known.length === 0 ? 'Leave the unit away.' : `Use ${known.join(', ')}.`
  const [other] = [...exact, ...loose]
  if (other !== undefined) {
    return refused('wrong-quantity', `“${text}” is a unit of ${unitOf(other).quantity}, and this is a ${quantity}. ${advice}`, {
      column,
    })
  }
  return refused('unknown-unit', `“${text}” is not a unit known here. ${advice}`, { column })
}

/** Microsteps are written 1/16 and kept as 16. */
function asDivisor(value: number): number {
  return value > 0 && value < 1 ? Math.round(1 / value) : value
}

function name(id: UnitId): string {
  return unitOf(id).symbol || 'a plain number'
}
