import type { Listed, Listing } from './listed'
import { commaFinding, linesOf, NUMERAL, partedBy, withPoint, type Cell } from './listingText'

/** Of a table's lines so many have as many stretches as the first. */
const MOSTLY = 0.8
const LEAST_COLUMNS = 3
const VALUE = /^(value|val|wert|valeur|valor|valore|set|now)$/i

/** Reads a list that is a table parted by semicolons, with one column of values; null where it is none. */
export function readTable(text: string): Listing | null {
  const lines = linesOf(text).filter((it) => it.raw.trim() !== '')
  const rows = lines.map((it) => ({ ...it, cells: partedBy(it.raw, ';') }))
  const columns = rows[0]?.cells.length ?? 0
  const alike = rows.filter((it) => it.cells.length === columns)
  if (columns < LEAST_COLUMNS || rows.length < 2 || alike.length < MOSTLY * rows.length) return null
  const head = rows[0]?.cells.some((it) => NUMERAL.test(it.text)) === false ? rows[0].cells : null
  const body = head === null ? alike : alike.slice(1)
  const at = valueColumn(
    head,
    body.map((it) => it.cells),
  )
  if (at === null) return null
  const entries = body.flatMap(({ cells, start, line }): Listed[] => {
    const [key, value] = [cells[0], cells[at]]
    if (key === undefined || value === undefined || key.text === '' || value.text === '') return []
    const words = cells.filter((_, i) => i !== 0 && i !== at).map((it) => it.text)
    const from = start + value.from
    return [
      {
        key: key.text,
        text: withPoint(value.text),
        words: words.filter(Boolean).join(' '),
        line,
        at: { start: from, end: from + value.text.length },
      },
    ]
  })
  return { entries, findings: body.flatMap(({ cells, line }) => commaFinding(cells[at]?.text ?? '', line)) }
}

/** The column that its head calls the value, else the first behind the keys that mostly holds numbers. */
function valueColumn(head: readonly Cell[] | null, body: readonly (readonly Cell[])[]): number | null {
  const named = head?.findIndex((it) => VALUE.test(it.text)) ?? -1
  if (named > 0) return named
  const columns = Math.max(0, ...body.map((it) => it.length))
  for (let i = 1; i < columns; i++) {
    if (body.filter((it) => NUMERAL.test(it[i]?.text ?? '')).length > body.length / 2) return i
  }
  return null
}
