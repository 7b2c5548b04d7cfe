import type { Finding } from '../units'

/** One line of a machine's list of settings. */
export interface Listed {
  readonly key: string
  /** As it stands there. */
  readonly text: string
  /** What else stands beside it: a unit, a comment, or a comment on the line above; often what the key means. */
  readonly words: string
  readonly line: number
}

export interface Listing {
  readonly entries: readonly Listed[]
  /** Lines that hold neither a key nor a value, and keys that come twice. */
  readonly findings: readonly Finding[]
}

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)$/
const COMMENT = /\((.*?)\)|[;#].*$|\/\/.*$/g
const SECTION = /^\[\s*([^\]=]+?)\s*\]$/

/**
 * Reads a machine's list of settings in any of the usual shapes: a key and a value with `=`, `:`, a comma, a tab or a
 * blank between them, comments behind `;`, `#`, `//` or in brackets, sections in square brackets (their name and a `/`
 * go before the keys below), or JSON. A decimal comma is read as a point, and said.
 * @returns Every key with its value as it stands there, and every line that was not understood.
 */
export function readListing(text: string): Listing {
  const plainText = text.replace(/^\uFEFF/, '')
  const json = asJson(plainText)
  if (json !== null) return noting(flatten(json, ''), [])
  const entries: Listed[] = []
  const findings: Finding[] = []
  let section = ''
  let above = ''
  plainText.split(/\r\n|\n|\r/).forEach((raw, i) => {
    const plain = raw.replace(COMMENT, '').trim()
    const comment = commentOf(raw)
    if (plain === '') {
      above = comment
      return
    }
    const named = SECTION.exec(plain)
    if (named !== null) {
      section = `${named[1] ?? ''}/`
      return
    }
    const pair = pairOf(plain)
    if (pair === null) {
      findings.push({
        code: 'no-pair',
        severity: 'warning',
        line: i + 1,
        message: `Line ${i + 1} holds no key and value: “${plain.slice(0, 40)}”. It was left out.`,
      })
      return
    }
    const number = withPoint(pair.text)
    if (number !== pair.text) {
      findings.push({
        code: 'decimal-comma',
        severity: 'warning',
        line: i + 1,
        message: `Line ${i + 1}: “${pair.text}” was read as ${number}. If the comma parts two values, part them with a blank.`,
      })
    }
    const words = [pair.rest, comment === '' ? above : comment].filter(Boolean).join(' ')
    entries.push({ key: section + pair.key, text: number, words, line: i + 1 })
    above = ''
  })
  return noting(entries, findings)
}

/** What a line's comments say, without their signs. */
function commentOf(raw: string): string {
  const all = [...raw.matchAll(COMMENT)].map(([whole, inBrackets]) => inBrackets ?? whole.replace(/^[;#/\s]+/, ''))
  return all.join(' ').replace(/\s+/g, ' ').trim().slice(0, 160)
}

/** A number with a decimal comma, with a point in its place; anything else as it is. */
function withPoint(text: string): string {
  return /^[+-]?\d{1,3}(?:\.\d{3})*,\d+$|^[+-]?\d*,\d+$/.test(text) ? text.replaceAll('.', '').replace(',', '.') : text
}

/** A comma within a number: nothing but digits on both sides of it. */
const DECIMAL_COMMA = /([\s=:,+-]\d+),(\d+)(?=\s|$)/g

/**
 * A separator that is written wins over a blank; the value is the first word behind it. A comma between digits belongs to
 * the number; any other comma parts key, value and what follows.
 */
function pairOf(line: string): { key: string; text: string; rest: string } | null {
  const shielded = line.replace(DECIMAL_COMMA, '$1\u0000$2')
  const written = /^(.+?)\s*([=:\t,])\s*(.*)$/.exec(shielded)
  const [, key = '', separator = ' ', rest = ''] = written ?? blankPair(shielded) ?? []
  const [text = '', ...behind] = rest.trim().split(separator === ',' ? /[\s,]+/ : /\s+/)
  const unshielded = (part: string): string => part.replaceAll('\u0000', ',')
  if (key.trim() === '' || text === '') return null
  const value = unshielded(text).replace(/^["']|["',]+$/g, '')
  return { key: unshielded(key.trim()), text: value, rest: unshielded(behind.join(' ')) }
}

function blankPair(line: string): readonly string[] | null {
  const match = /^(.+?)(\s+)(\S+)$/.exec(line)
  return match === null ? null : [...match]
}

function noting(entries: readonly Listed[], findings: Finding[]): Listing {
  const seen = new Set<string>()
  for (const { key, line } of entries) {
    if (seen.has(key)) {
      findings.push({
        code: 'twice',
        severity: 'warning',
        line,
        message: `Line ${line}: “${key}” stands twice; the last one counts.`,
      })
    }
    seen.add(key)
  }
  return { entries, findings }
}

function asJson(text: string): unknown {
  if (!/^\s*[[{]/.test(text) || SECTION.test(text.trim().split(/\r?\n/)[0]?.trim() ?? '')) return null
  try {
    return JSON.parse(text) as unknown
  } catch {
    return null
  }
}

function flatten(node: unknown, path: string): Listed[] {
  if (typeof node === 'object' && node !== null) {
    return Object.entries(node).flatMap(([key, child]) => flatten(child, path === '' ? key : `${path}/${key}`))
  }
  return node === null ? [] : [{ key: path, text: JSON.stringify(node).replace(/^"|"$/g, ''), words: '', line: 1 }]
}

/** A listed yes or no; null where it is neither. */
export function readYesNo(text: string): 'yes' | 'no' | null {
  const word = text.toLowerCase()
  if (['1', 'yes', 'true', 'on'].includes(word)) return 'yes'
  return ['0', 'no', 'false', 'off'].includes(word) ? 'no' : null
}

/** Whether a listed text is a plain number. */
export function isNumber(text: string): boolean {
  return NUMBER.test(text)
}
