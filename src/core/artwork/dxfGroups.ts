/** A pair of lines of a drawing file: what a value is, and the value. */
export interface Group {
  readonly code: number
  readonly value: string
}

/** A thing of a drawing file: all that stands up to the next one. */
export interface Entity {
  readonly type: string
  /** Line of the file at which it begins, from 1. */
  readonly line: number
  readonly groups: readonly Group[]
}

/**
 * Parts a drawing file into its things. @returns A generator, so that a long file is in memory once; its last value is the line at which
 * the pairs stop making sense, 0 where they do to the end.
 * Valid: any text; after the first code that is no number nothing is read. Source: DXF reference, group codes (from memory).
 */
export function* entitiesOf(text: string): Generator<Entity, number> {
  let type: string | null = null
  let first = 1
  let groups: Group[] = []
  let line = 1
  for (let at = 0; at < text.length; line += 2) {
    const [codeEnd, codeNext] = lineEnd(text, at)
    const written = text.slice(at, codeEnd).trim()
    if (codeNext > text.length) {
      if (written !== '') return line
      break
    }
    const [valueEnd, valueNext] = lineEnd(text, codeNext)
    const code = /^-?\d{1,5}$/.test(written) ? Number(written) : null
    if (code === null) return line
    const value = text.slice(codeNext, valueEnd).trim()
    at = valueNext
    if (code !== 0) {
      groups.push({ code, value })
      continue
    }
    if (type !== null) yield { type, line: first, groups }
    if (value === 'EOF') return 0
    type = value
    first = line
    groups = []
  }
  if (type !== null) yield { type, line: first, groups }
  return 0
}

/** Where a line ends, and where the next begins; beyond the text where there is none. */
function lineEnd(text: string, from: number): readonly [end: number, next: number] {
  const end = text.indexOf('\n', from)
  if (end < 0) {
    const alone = text.indexOf('\r', from)
    return alone < 0 ? [text.length, text.length + 1] : [alone, alone + 1]
  }
  return [end, end + 1]
}

/** The first value of a code as text; a default where there is none. */
export function groupText(entity: Entity, code: number, otherwise = ''): string {
  return entity.groups.find((it) => it.code === code)?.value ?? otherwise
}

/**
 * The first value of a code as a number. Valid: any thing; NaN where it is no number, a default where it is not there.
 * Source: DXF reference, group codes (from memory). @example groupNumber({ groups: [{ code: 40, value: '2.5' }] }, 40) // 2.5
 */
export function groupNumber(entity: Entity, code: number, otherwise = Number.NaN): number {
  const found = entity.groups.find((it) => it.code === code)
  return found === undefined ? otherwise : writtenNumber(found.value)
}

/** All values of a code as numbers, in order. */
export function groupNumbers(entity: Entity, code: number): readonly number[] {
  return entity.groups.flatMap((it) => (it.code === code ? [writtenNumber(it.value)] : []))
}

const NUMBER = /^[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?$/i

function writtenNumber(value: string): number {
  return NUMBER.test(value) ? Number(value) : Number.NaN
}
