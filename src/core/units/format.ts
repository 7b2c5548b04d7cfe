import { doubtFromCore, fromCore } from './convert'
import { unitOf, type UnitId } from './table'

/** Unbreakable: stands between a number and its unit, and between groups of digits. The page's faces make it thin. */
export const THIN_SPACE = '\u00a0'

/** A number and its ± as they are printed: strings, already rounded to each other. */
export interface Printed {
  readonly value: string
  /** Without the sign; null where the value is exact or its doubt is not known. */
  readonly plusMinus: string | null
  readonly unit: string
}

/** Printed to the hundredth, as prices are written. */
const MONEY: readonly UnitId[] = ['money', 'perH']
/** Digits of a number without an uncertainty; days ahead are told from a pace that is no better known than two. */
const DIGITS = 4
const DIGITS_OF_DAYS = 2
/** Below this the digits that a number has are enough: zeros behind them tell nothing. */
const TINY = 1e-3

/**
 * Prints a value of the core in a unit, its expanded uncertainty to two digits and itself to the same place.
 * Without an uncertainty four significant digits are shown, never fewer than the whole part has.
 * @param value In the core's unit. @param expanded Same unit; null or 0 where there is none.
 * Source: JCGM 100:2008, 7.2.6 (two significant digits of uncertainty at most, the value to match).
 * @example printQuantity(80.4137, 0.0231, 'steps/mm') // { value: '80.414', plusMinus: '0.023', unit: 'steps/mm' }
 */
export function printQuantity(value: number, expanded: number | null, unit: UnitId): Printed {
  const symbol = unitOf(unit).symbol
  const shown = fromCore(value, unit)
  const spread = expanded === null ? 0 : Math.abs(doubtFromCore(expanded, unit))
  if (!Number.isFinite(shown)) return { value: '–', plusMinus: null, unit: symbol }
  if (!(spread > Math.abs(shown) * 1e-9) || !Number.isFinite(spread)) {
    const digits = unit === 'd' ? DIGITS_OF_DAYS : DIGITS
    const text = MONEY.includes(unit) && !Number.isInteger(shown) ? group(fixed(shown, 2)) : printNumber(shown, digits)
    return { value: text, plusMinus: null, unit: symbol }
  }
  const decimals = decimalsOf(spread, 2)
  return { value: group(fixed(shown, decimals)), plusMinus: group(fixed(spread, decimals)), unit: symbol }
}

/** A bare number with four significant digits, and all digits of its whole part: `80.40`, `12345`, `0.000001`. */
export function printNumber(value: number, digits = DIGITS): string {
  if (value === 0) return '0'
  if (Number.isInteger(value) && Math.abs(value) < 1e9) return group(String(value))
  const text = fixed(value, Math.max(0, decimalsOf(value, digits)))
  return group(Math.abs(value) < TINY ? text.replace(/\.?0+$/, '') : text)
}

/** One line of text: `80.414 ± 0.023 steps/mm`. */
export function sayQuantity(value: number, expanded: number | null, unit: UnitId): string {
  const { value: number, plusMinus, unit: symbol } = printQuantity(value, expanded, unit)
  const spread = plusMinus === null ? '' : `${THIN_SPACE}±${THIN_SPACE}${plusMinus}`
  const gap = symbol === '' || symbol === '°' || symbol === '%' ? '' : THIN_SPACE
  return `${number}${spread}${gap}${symbol}`
}

/** A limit or a setting in words: as many digits as it has, up to six or to `digits`, and no zeros behind them: `0.01 mm`. */
export function sayExact(value: number, unit: UnitId, digits = 6): string {
  const { symbol } = unitOf(unit)
  const number = group(String(Number(fromCore(value, unit).toPrecision(digits))))
  return `${number}${symbol === '' || symbol === '°' || symbol === '%' ? '' : THIN_SPACE}${symbol}`
}

/**
 * A reading in words, as finely as it was read. @param toWhat What it was read to, in the core's unit, more than 0. @returns With as many decimals as that has in `unit`, zeros too. Valid: any finite value.
 * Source: rounding for display only. @example sayReading(87.5, 0.01, 'mm').replace('\u00a0', ' ') // '87.50 mm'
 */
export function sayReading(value: number, toWhat: number, unit: UnitId): string {
  const decimals = Math.max(0, Math.ceil(-Math.log10(doubtFromCore(toWhat, unit))))
  return `${group(fixed(fromCore(value, unit), decimals))}${THIN_SPACE}${unitOf(unit).symbol}`
}

/**
 * A share in percent with few digits, for words: `0.066%`.
 * @param share 1 is 100 %. @example sayShare(0.00066) // '0.066%'
 */
export function sayShare(share: number, digits = 2): string {
  const percent = Number((Math.abs(share) * 100).toPrecision(digits))
  return `${share < 0 && percent > 0 ? '−' : ''}${percent}%`
}

function decimalsOf(value: number, digits: number): number {
  const rounded = Number(Math.abs(value).toPrecision(digits))
  return digits - 1 - Math.floor(Math.log10(rounded))
}

function fixed(value: number, decimals: number): string {
  if (decimals >= 0) return value.toFixed(Math.min(decimals, 12))
  const unit = 10 ** -decimals
  return String(Math.round(value / unit) * unit)
}

/** Groups the whole part by threes from five digits on (ISO 80000-1, 7.3.1), with a true minus sign. */
function group(text: string): string {
  const [whole = '', decimals] = text.replace('-', '').split('.')
  const grouped = whole.length < 5 ? whole : whole.replace(/\B(?=(?:\d{3})+$)/g, THIN_SPACE)
  const minus = text.startsWith('-') && /[1-9]/.test(text) ? '−' : ''
  return `${minus}${grouped}${decimals === undefined ? '' : `.${decimals}`}`
}

/**
 * A number with no more than so many decimals, as on a drawing. @param decimals Whole, 0 to 6. Valid: any finite number. Source: rounding for display only.
 * @example printFixed(97.25, 1) // '97.3'
 */
export function printFixed(value: number, decimals: number): string {
  return group(String(Number(value.toFixed(decimals))))
}
