import type { Finding } from '../units'
import type { Listed, Listing } from './listed'
import { AXIS, cellsOf, commaFinding, linesOf, NUMERAL, withPoint, type Cell, type TextLine } from './listingText'

const COMMENT = /\((.*?)\)|[;#].*$|\/\/.*$/g
const SECTION = /^\[\s*([^\]=]+?)\s*\]$/
/** A line that begins with a hash and a number: there the hash belongs to the key. */
const HASH_KEY = /^\s*#\w{0,3}\d+\s*[=:]?\s*\S/

/** What is known of the lines above. */
interface Above {
  /** Sections that are open, with how far each is indented; one in brackets with −1. */
  readonly sections: readonly { readonly indent: number; readonly name: string }[]
  readonly comment: string
  /** Letters of a table's columns, by their place. */
  readonly columns: ReadonlyMap<number, string> | null
}

/** What a line gives: entries, or something for the lines below it. */
type Read =
  { readonly entries: readonly Listed[]; readonly findings?: readonly Finding[] } | { readonly above: Partial<Above> } | null

/** Reads a list line by line. */
export function readLines(text: string): Listing {
  const lines = linesOf(text)
  const filled = lines.filter((it) => it.raw.trim() !== '')
  const hasHashKeys = filled.filter((it) => HASH_KEY.test(it.raw)).length > filled.length / 2
  const entries: Listed[] = []
  const findings: Finding[] = []
  let above: Above = { sections: [], comment: '', columns: null }
  lines.forEach((line, i) => {
    const plain = masked(line.raw, hasHashKeys)
    const comment = commentOf(line.raw, hasHashKeys)
    if (plain.trim() === '') {
      above = { ...above, comment }
      return
    }
    above = { ...above, sections: stillOpen(above.sections, plain) }
    const read = readLine(line, plain, comment === '' ? above.comment : comment, above, nextFilled(lines, i))
    if (read === null) findings.push(noPair(line, plain))
    else if ('above' in read) above = { ...above, ...read.above, comment: '' }
    else {
      entries.push(...read.entries)
      findings.push(...(read.findings ?? []))
      above = { ...above, comment: '' }
    }
  })
  return { entries, findings }
}

/** A line without its comments, every other letter at its place. */
function masked(raw: string, hasHashKeys: boolean): string {
  const from = hasHashKeys && HASH_KEY.test(raw) ? raw.indexOf('#') + 1 : 0
  return raw.slice(0, from) + raw.slice(from).replace(COMMENT, (it) => ' '.repeat(it.length))
}

/** What a line's comments say, without their signs. */
function commentOf(raw: string, hasHashKeys: boolean): string {
  const from = hasHashKeys && HASH_KEY.test(raw) ? raw.indexOf('#') + 1 : 0
  const all = [...raw.slice(from).matchAll(COMMENT)].map(([whole, inBrackets]) => inBrackets ?? whole.replace(/^[;#/\s]+/, ''))
  return all.join(' ').replace(/\s+/g, ' ').trim().slice(0, 160)
}

function indentOf(line: string): number {
  return line.length - line.trimStart().length
}

function stillOpen(sections: Above['sections'], line: string): Above['sections'] {
  return sections.filter((it) => it.indent < indentOf(line))
}

function nextFilled(lines: readonly TextLine[], i: number): TextLine | undefined {
  return lines.slice(i + 1, i + 6).find((it) => it.raw.trim() !== '')
}

function noPair({ line }: TextLine, plain: string): Finding {
  const message = `Line ${line} holds no key and value: “${plain.trim().slice(0, 40)}”. It was left out.`
  return { code: 'no-pair', severity: 'warning', line, message }
}

/** Longer than any setting's line; what is, is left out and said. */
const LONGEST = 2000

function readLine(line: TextLine, plain: string, comment: string, above: Above, next: TextLine | undefined): Read {
  if (plain.length > LONGEST) return null
  const bracketed = SECTION.exec(plain.trim())
  if (bracketed !== null) return { above: { sections: [{ indent: -1, name: bracketed[1] ?? '' }], columns: null } }
  const opened = /^\s*([^\s:=][^:=]*?)\s*:\s*$/.exec(plain)
  if (opened !== null && next !== undefined && indentOf(next.raw) > indentOf(plain)) {
    return { above: { sections: [...above.sections, { indent: indentOf(plain), name: opened[1] ?? '' }] } }
  }
  const heads = headsOf(plain)
  if (heads !== null) return { above: { columns: heads } }
  if (above.columns !== null && /^[\s\-=_+|]+$/.test(plain)) return { above: { columns: above.columns } }
  const prefix = above.sections.map((it) => `${it.name}/`).join('')
  const made = rowOf(plain, above.columns) ?? wordsOf(plain) ?? quotedOf(plain) ?? cellPair(plain) ?? pairOf(plain)
  return made === null ? null : asEntries(made, { ...line, prefix, comment })
}

/** A value of a line, before it is an entry: its key, its text and what stands beside it. */
interface Made {
  readonly key: string
  readonly value: Cell
  readonly rest: string
  readonly place?: { readonly index: number; readonly of: number }
}

function asEntries(made: readonly Made[], at: TextLine & { readonly prefix: string; readonly comment: string }): Read {
  return {
    entries: made.map(({ key, value, rest, place }) => ({
      key: at.prefix + key,
      text: withPoint(value.text),
      words: [rest, at.comment].filter(Boolean).join(' '),
      line: at.line,
      at: { start: at.start + value.from, end: at.start + value.from + value.text.length },
      ...(place === undefined ? {} : { place }),
    })),
    findings: made.flatMap((it) => commaFinding(it.value.text, at.line)),
  }
}

/** The columns of a table that has one for each axis; null where the line is no head of one. */
function headsOf(plain: string): ReadonlyMap<number, string> | null {
  const cells = cellsOf(plain)
  const letters = cells.flatMap((it, i) => (AXIS.test(it.text) ? [[i, it.text] as const] : []))
  return letters.length >= 2 ? new Map(letters) : null
}

/** A row of such a table. */
function rowOf(plain: string, columns: Above['columns']): readonly Made[] | null {
  if (columns === null) return null
  const cells = cellsOf(plain)
  const [name] = cells
  const values = [...columns].map(([i, letter]) => ({ cell: cells[i], letter }))
  if (name === undefined || values.some((it) => it.cell === undefined || !NUMERAL.test(it.cell.text))) return null
  const beside = cells.filter((_, i) => i !== 0 && !columns.has(i)).map((it) => it.text)
  return values.flatMap(({ cell, letter }) =>
    cell === undefined ? [] : [{ key: `${name.text}/${letter}`, value: cell, rest: [letter, ...beside].join(' ') }],
  )
}

/** A word with its letters and numbers behind it: `K11 X80.0 Y80.0`. */
function wordsOf(plain: string): readonly Made[] | null {
  const line = /^\s*([A-Z]\d+)((?:\s*[A-Z][+-]?\d+(?:[.,]\d+)?)+)\s*$/.exec(plain)
  if (line === null) return null
  const [, word = '', rest = ''] = line
  const from = plain.indexOf(word) + word.length
  return [...rest.matchAll(/([A-Z])([+-]?\d+(?:[.,]\d+)?)/g)].map((it) => ({
    key: `${word} ${it[1] ?? ''}`,
    value: { text: it[2] ?? '', from: from + it.index + 1 },
    rest: AXIS.test(it[1] ?? '') ? (it[1] ?? '') : '',
  }))
}

/** A command with key and value in quotes. */
function quotedOf(plain: string): readonly Made[] | null {
  const line = /^\s*(?:\w+\s+)?(["'])([^"']+)\1\s*[=:,]?\s*(["'])([^"']*)\3/d.exec(plain)
  const at = line?.indices?.[4]
  return line === null || at === undefined || line[4] === ''
    ? null
    : [{ key: line[2] ?? '', value: { text: line[4] ?? '', from: at[0] }, rest: plain.slice(at[1] + 1).trim() }]
}

/** Key, value and what follows, with nothing but wide blanks between them. */
function cellPair(plain: string): readonly Made[] | null {
  if (/[=:]/.test(plain)) return null
  const cells = cellsOf(plain)
  const [key, value, ...rest] = cells
  if (key === undefined || value === undefined || NUMERAL.test(key.text) || !NUMERAL.test(value.text)) return null
  return [{ key: key.text, value, rest: rest.map((it) => it.text).join(' ') }]
}

/** A comma within a number: nothing but digits on both sides of it. */
const DECIMAL_COMMA = /([\s=:,+-]\d+),(\d+)(?=\s|$)/g
/** Numbers in a row, parted by commas or blanks. */
const ROW = /^[+-]?[\d.]+(?:(?:\s*,\s*|\s+)[+-]?[\d.]+){1,3}$/

/**
 * A separator that is written wins over a blank; the value is the first word behind it. A comma between digits belongs to
 * the number; any other comma parts key, value and what follows.
 */
function pairOf(line: string): readonly Made[] | null {
  const several = listOf(line)
  if (several !== null) return several
  const shielded = line.replace(DECIMAL_COMMA, '$1\uE000$2')
  const written = /^\s*(.+?)\s*([=:\t])\s*(\S.*)$/d.exec(shielded) ?? /^\s*(.+?)\s*(,)\s*(.*)$/d.exec(shielded)
  const at = written?.indices?.[3]
  if (written === null || at === undefined) return blankPair(shielded)
  const [, key = '', separator = '', rest = ''] = written
  return paired(key, { text: rest, from: at[0] }, separator === ',' ? /[\s,]+/ : /\s+/)
}

/** Several numbers behind one key: a value for each axis, as it seems. */
function listOf(line: string): readonly Made[] | null {
  const written = /^\s*([^=:]+?)\s*[=:]\s*(.*?)\s*$/d.exec(line)
  const at = written?.indices?.[2]
  if (written === null || at === undefined || !ROW.test(written[2] ?? '')) return null
  const text = written[2] ?? ''
  const numbers = [...text.matchAll(/[+-]?[\d.]+/g)]
  // One comma that may be a decimal comma is left to be one.
  if (withPoint(text) !== text) return null
  return numbers.map((it, index) => ({
    key: `${written[1] ?? ''}/${index + 1}`,
    value: { text: it[0], from: at[0] + it.index },
    rest: '',
    place: { index, of: numbers.length },
  }))
}

/** Key and value with a blank between: the value is the first number behind the key, else the last word. */
function blankPair(line: string): readonly Made[] | null {
  const numeric = /^\s*(\S.*?)\s+([+-]?[\d.\uE000]+)(?=\s|$)(.*)$/d.exec(line)
  const at = numeric?.indices?.[2]
  if (numeric !== null && at !== undefined) return paired(numeric[1] ?? '', { text: line.slice(at[0]), from: at[0] }, /\s+/)
  const plain = /^\s*(\S.*?)\s+(\S+)\s*$/d.exec(line)
  const last = plain?.indices?.[2]
  return plain === null || last === undefined ? null : paired(plain[1] ?? '', { text: plain[2] ?? '', from: last[0] }, /\s+/)
}

function paired(key: string, behind: Cell, parting: RegExp): readonly Made[] | null {
  const unshielded = (part: string): string => part.replaceAll('\uE000', ',')
  const from = behind.from + (behind.text.length - behind.text.trimStart().length)
  const [first = '', ...rest] = behind.text.trim().split(parting)
  const opening = /^["']/.test(first) ? 1 : 0
  const text = unshielded(first.slice(opening)).replace(/["',]+$/, '')
  if (key.trim() === '' || text === '') return null
  return [{ key: unshielded(key.trim()), value: { text, from: from + opening }, rest: unshielded(rest.join(' ')) }]
}
