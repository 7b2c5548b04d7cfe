import type { Finding } from '../units'
import type { Listed, Listing } from './listed'
import { readJson } from './listingJson'
import { readLines } from './listingLines'
import { readTable } from './listingTable'

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)$/

/**
 * Reads a machine's list of settings in any of the usual shapes: a key and a value with `=`, `:`, a comma, a tab or a
 * blank between them, several values in a row, letters with numbers, both in quotes behind a command; comments behind `;`,
 * `#`, `//` or in brackets; sections in square brackets or by indentation (their name and a `/` go before the keys below);
 * tables with a column for each axis or with a column of values; or JSON. A decimal comma is read as a point, and said.
 * @returns Every value with its key and its place, and every line that was not understood.
 */
export function readListing(text: string): Listing {
  const json = readJson(text)
  if (json !== null) return noting({ entries: json, findings: [] })
  return noting(readTable(text) ?? readLines(text))
}

function noting({ entries, findings }: Listing): Listing {
  const seen = new Set<string>()
  const twice = entries.flatMap(({ key, line }): Finding[] => {
    const isSecond = seen.has(key)
    seen.add(key)
    const message = `Line ${line}: “${key}” stands twice; the last one counts.`
    return isSecond ? [{ code: 'twice', severity: 'warning', line, message }] : []
  })
  return { entries, findings: [...findings, ...twice] }
}

/** Pairs of words that a machine may write for yes and no. */
const YES_NO = [
  ['1', '0'],
  ['yes', 'no'],
  ['true', 'false'],
  ['on', 'off'],
] as const

/** A listed yes or no; null where it is neither. */
export function readYesNo(text: string): 'yes' | 'no' | null {
  const word = text.toLowerCase()
  const pair = YES_NO.find((it) => it.some((one) => one === word))
  return pair === undefined ? null : pair[0] === word ? 'yes' : 'no'
}

/** Whether a listed text is a plain number. */
export function isNumber(text: string): boolean {
  return NUMBER.test(text)
}

/**
 * The same list with other values: in the same shape, every other letter as it was. A number keeps at least the decimals
 * that stood there, and its decimal comma; a yes or no its pair of words.
 * @param text The list that was read. @param entries What was read of it. @param wanted By key: a number in the unit of the
 * list, or yes and no. @returns The list; read again it has exactly these values. @throws never for a list that was read.
 */
export function rewriteListing(
  text: string,
  entries: readonly Listed[],
  wanted: Readonly<Record<string, number | 'yes' | 'no'>>,
): string {
  const last = new Map(entries.map((it) => [it.key, it]))
  const changes = [...last.values()]
    .flatMap((it) => {
      const value = Object.hasOwn(wanted, it.key) ? wanted[it.key] : undefined
      return value === undefined ? [] : [{ at: it.at, with: writtenLike(text.slice(it.at.start, it.at.end), value) }]
    })
    .sort((p, q) => q.at.start - p.at.start)
  return changes.reduce((so, it) => so.slice(0, it.at.start) + it.with + so.slice(it.at.end), text)
}

const MOST_DECIMALS = 6

/** A value as the one that stood there was written. */
function writtenLike(stood: string, value: number | 'yes' | 'no'): string {
  if (typeof value === 'string') return yesNoLike(stood, value)
  const hasComma = /,\d+$/.test(stood) && !/\.\d+$/.test(stood)
  const [, behind = ''] = /[.,](\d+)$/.exec(stood) ?? []
  const needed = Array.from({ length: MOST_DECIMALS + 1 }, (_, i) => i).find(
    (it) => Math.abs(Number(value.toFixed(it)) - value) <= 1e-9 * Math.max(1, Math.abs(value)),
  )
  const written = value.toFixed(Math.max(behind.length, needed ?? MOST_DECIMALS))
  return hasComma ? written.replace('.', ',') : written
}

function yesNoLike(stood: string, value: 'yes' | 'no'): string {
  const pair = YES_NO.find((it) => it.some((one) => one === stood.toLowerCase())) ?? YES_NO[0]
  const word = value === 'yes' ? pair[0] : pair[1]
  if (stood === stood.toUpperCase() && stood !== stood.toLowerCase()) return word.toUpperCase()
  return /^[A-Z]/.test(stood) ? word.charAt(0).toUpperCase() + word.slice(1) : word
}
