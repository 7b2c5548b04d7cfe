/** A row of the time line, whatever it came from. */
export interface Happening {
  readonly id: string
  readonly at: string
  /** What it is, as it is filtered by. */
  readonly lane: Lane
  readonly title: string
  readonly text: string
  /** The stage that it was written down at; empty: the log itself. */
  readonly stage: string
  /** Hours run by then, s; null where nobody read them. */
  readonly run: number | null
}

/** Lanes of the time line, in their order. */
export const LANES = ['record', 'burn', 'repair', 'upkeep', 'bought', 'note'] as const
export type Lane = (typeof LANES)[number]

/** One word of a search as it is compared: without case and accents. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** What a row is searched by, worked once: ten thousand are gone through with every key. */
const plains = new WeakMap<Happening, string>()

function plainOf(row: Happening): string {
  const known = plains.get(row)
  if (known !== undefined) return known
  const made = plain(`${row.title} ${row.text} ${row.stage} ${row.at.slice(0, 10)}`)
  plains.set(row, made)
  return made
}

/**
 * Rows that hold every word of a search, newest first.
 * @param rows All rows. @param words What is looked for; blank: all. @param lanes Lanes that are shown.
 * Valid: any text. Source: by definition.
 */
export function searched(rows: readonly Happening[], words: string, lanes: ReadonlySet<Lane>): readonly Happening[] {
  const asked = plain(words)
    .split(/\s+/)
    .filter((it) => it !== '')
  return rows
    .filter((it) => lanes.has(it.lane))
    .filter((it) => {
      if (asked.length === 0) return true
      const text = plainOf(it)
      return asked.every((word) => text.includes(word))
    })
    .sort((p, q) => (p.at === q.at ? p.id.localeCompare(q.id) : q.at < p.at ? -1 : 1))
}

/**
 * Rows that share words with what is typed, the most shared words first, then the newest.
 * @param rows Any rows. @param typed What is being written; words of four signs or more count.
 * Valid: any text. Source: by definition.
 */
export function alikeTo(rows: readonly Happening[], typed: string): readonly Happening[] {
  const asked = [...new Set(plain(typed).match(/[\p{L}\p{N}]{4,}/gu) ?? [])]
  return rows
    .map((row) => ({ row, shared: asked.filter((it) => plainOf(row).includes(it)).length }))
    .filter((it) => it.shared > 0)
    .sort((p, q) => q.shared - p.shared || q.row.at.localeCompare(p.row.at))
    .map((it) => it.row)
}

/** What a column of the drawn time line holds. */
export interface Column {
  readonly lane: Lane
  /** Share of the way from the first day to the last. */
  readonly from: number
  readonly to: number
  readonly count: number
}

/**
 * Rows gathered into columns of a drawing, so that ten thousand cost no more than a hundred.
 * @param rows Any rows. @param columns How many there are; 1 or more.
 * @returns Columns that hold something, and the first and last instant, ms; null where nothing has a readable time.
 * Valid: any rows. Source: by definition.
 */
export function gathered(
  rows: readonly Happening[],
  columns: number,
): { readonly from: number; readonly to: number; readonly columns: readonly Column[] } | null {
  const times = rows.map((it) => Date.parse(it.at))
  let [from, to] = [Infinity, -Infinity]
  for (const it of times) {
    if (Number.isNaN(it)) continue
    if (it < from) from = it
    if (it > to) to = it
  }
  if (from > to) return null
  const span = Math.max(1, to - from)
  const counts = new Map<string, number>()
  rows.forEach(({ lane }, k) => {
    const at = times[k] ?? Number.NaN
    if (Number.isNaN(at)) return
    const column = Math.min(columns - 1, Math.floor(((at - from) / span) * columns))
    const key = `${lane} ${column}`
    counts.set(key, (counts.get(key) ?? 0) + 1)
  })
  return {
    from,
    to,
    columns: [...counts].map(([key, count]) => {
      const [lane, column] = key.split(' ') as [Lane, string]
      return { lane, from: Number(column) / columns, to: (Number(column) + 1) / columns, count }
    }),
  }
}
