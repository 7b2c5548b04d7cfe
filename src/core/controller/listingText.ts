import type { Finding } from '../units'

/** A line of a text, with where it begins. */
export interface TextLine {
  readonly raw: string
  readonly start: number
  /** From 1 on. */
  readonly line: number
}

/** The lines of a text, whatever ends them; a mark of the byte order before the first is passed over. */
export function linesOf(text: string): readonly TextLine[] {
  const lines: TextLine[] = []
  let start = text.startsWith('\uFEFF') ? 1 : 0
  for (let line = 1; ; line++) {
    const rest = text.slice(start)
    const end = /\r\n|\n|\r/.exec(rest)
    const raw = end === null ? rest : rest.slice(0, end.index)
    lines.push({ raw, start, line })
    if (end === null) return lines
    start += end.index + end[0].length
  }
}

/** A stretch of a line, with where it begins in it. */
export interface Cell {
  readonly text: string
  readonly from: number
}

/** Stretches that two blanks, a tab or an upright stroke part. */
export function cellsOf(line: string): readonly Cell[] {
  return [...line.replaceAll('|', '\t').matchAll(/\S+(?: \S+)*/g)].map((it) => ({ text: it[0], from: it.index }))
}

/** Stretches between signs, blanks around them left away. */
export function partedBy(line: string, sign: string): readonly Cell[] {
  let from = 0
  return line.split(sign).map((part) => {
    const cell = { text: part.trim(), from: from + (part.length - part.trimStart().length) }
    from += part.length + sign.length
    return cell
  })
}

/** A number with a decimal comma, with a point in its place; anything else as it is. */
export function withPoint(text: string): string {
  return /^[+-]?\d{1,3}(?:\.\d{3})*,\d+$|^[+-]?\d*,\d+$/.test(text) ? text.replaceAll('.', '').replace(',', '.') : text
}

/** What is said of a decimal comma; nothing where there is none. */
export function commaFinding(text: string, line: number): readonly Finding[] {
  const number = withPoint(text)
  if (number === text) return []
  const message = `Line ${line}: “${text}” was read as ${number}. If the comma parts two values, part them with a blank.`
  return [{ code: 'decimal-comma', severity: 'warning', line, message }]
}

/** A number as a list may hold it. */
export const NUMERAL = /^[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)$/
/** A letter of an axis. */
export const AXIS = /^[XYZ]$/i
