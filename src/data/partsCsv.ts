import { z } from '../core/zod'
import { schemaOf } from '../core/bench'
import { partShape, type PlanPart } from '../core/schedule'
import type { Finding } from '../core/units'
import { newIds } from './ids'

/** Columns of the file; `length` is how long one is, in millimetres. */
const COLUMNS = ['name', 'where', 'count', 'state', 'price', 'arrives', 'covers', 'length'] as const
/** A text that a table program would take for a formula is written behind an apostrophe, and read without it. */
const FORMULA = /^'(?=[=+\-@\t\r])/

/** The parts list as CSV, in its order: what a table program opens. */
export async function writeParts(parts: readonly PlanPart[]): Promise<string> {
  const { unparse } = (await import('papaparse')).default
  const rows = [...parts]
    .sort((p, q) => p.order - q.order)
    .map((it) => Object.fromEntries(COLUMNS.map((column) => [column, column === 'length' ? it.lengthMm || '' : it[column]])))
  return `${unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true, newline: '\n' })}\n`
}

export interface ReadParts {
  readonly parts: readonly PlanPart[]
  readonly findings: readonly Finding[]
}

/** A row as it may stand in a file: numbers with a decimal comma, empty fields left out. */
const rowSchema = z.object({
  name: z.string().trim().min(1).max(80),
  where: z.string().trim().max(80).default(''),
  count: z.string().default('1'),
  state: z.string().trim().toLowerCase().default('needed'),
  price: z.string().default('0'),
  arrives: z.string().trim().default(''),
  covers: z.string().trim().toLowerCase().default(''),
  length: z.string().default('0'),
})

/**
 * Reads parts from CSV with commas, semicolons or tabs; the first line names the columns, in any order and any case.
 * @returns The parts that can be read, in their order, and what was found, line by line: a row with a fault is left out
 * and said, the others are taken. Never throws, whatever the text.
 */
export async function readParts(text: string): Promise<ReadParts> {
  const { parse } = (await import('papaparse')).default
  const heading = /^[^\r\n]*/.exec(text)?.[0] ?? ''
  const delimiter = [';', '\t', ','].find((it) => heading.includes(it)) ?? ','
  const { data, meta } = parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    delimiter,
    skipEmptyLines: 'greedy',
    transformHeader: (it) => it.trim().toLowerCase(),
  })
  const fields = meta.fields ?? []
  if (!fields.includes('name')) {
    return {
      parts: [],
      findings: [
        {
          code: 'no-name-column',
          severity: 'error',
          message: `The first line must name the columns, “name” among them. It has: ${fields.join(', ') || 'nothing'}. Nothing was taken.`,
        },
      ],
    }
  }
  const findings: Finding[] = fields
    .filter((it) => !(COLUMNS as readonly string[]).includes(it))
    .map((it) => ({
      code: 'foreign-column',
      severity: 'warning',
      message: `The column “${it}” is not known here and was left out.`,
    }))
  if (data.length === 0) {
    findings.push({
      code: 'no-row',
      severity: 'error',
      message: 'There is no row below the names of the columns. Nothing was taken.',
    })
  }
  const parts: PlanPart[] = []
  data.forEach((raw, i) => {
    const part = partOf(raw, i + 1)
    if (part.success) parts.push(part.data)
    else {
      const issue = part.error.issues[0]
      findings.push({
        code: 'bad-row',
        severity: 'error',
        line: i + 2,
        message: `Line ${i + 2}, ${issue?.path.join('.') ?? ''}: ${issue?.message ?? 'cannot be read'}. The row was left out.`,
      })
    }
  })
  return { parts, findings }
}

/** Where on a list the parts of a file go, and how many there may be. */
export interface Room {
  /** Parts the list has room for. */
  readonly most: number
  /** The last order on it. */
  readonly last: number
}

/** Parts of a file as rows of the list, ready to stand on it. */
export interface PartRows {
  /** Rows under new ids, as JSON: text crosses to the page in a fraction of the time. */
  readonly rows: string
  readonly taken: number
  /** How many more there were than there was room for. */
  readonly left: number
  readonly findings: readonly Finding[]
}

/** Reads parts from CSV into rows behind those that are there. */
export async function rowsFromCsv(text: string, { most, last }: Room): Promise<PartRows> {
  const { parts, findings } = await readParts(text)
  const taken = parts.slice(0, Math.max(0, most))
  const ids = newIds(taken.length)
  const rows = Object.fromEntries(taken.map((it, i) => [ids[i] ?? '', { ...it, order: last + i + 1 }]))
  return { rows: JSON.stringify(rows), taken: taken.length, left: parts.length - taken.length, findings }
}

function partOf(raw: Readonly<Record<string, unknown>>, order: number) {
  const cells = Object.entries(raw).filter((cell): cell is [string, string] => typeof cell[1] === 'string' && cell[1] !== '')
  const row = rowSchema.safeParse(Object.fromEntries(cells.map(([key, value]) => [key, value.replace(FORMULA, '')])))
  if (!row.success) return row
  const { length, count, price, ...rest } = row.data
  return schemaOf(partShape).safeParse({
    ...rest,
    order,
    count: numberOf(count),
    price: numberOf(price),
    lengthMm: numberOf(length),
  })
}

function numberOf(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'))
}
