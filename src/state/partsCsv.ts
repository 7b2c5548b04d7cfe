import { z } from 'zod'
import { setAt } from '../core/bench'
import { partSchema, type PlanPart } from '../core/schedule'
import type { Finding } from '../core/units'
import { editBench, useBenchStore } from './benchStore'
import { newId } from './ids'

const COLUMNS = ['name', 'where', 'count', 'state', 'price', 'arrives'] as const

/** The parts list as CSV: what a table program opens. */
export async function partsToCsv(): Promise<string> {
  const { unparse } = (await import('papaparse')).default
  const parts = Object.values(useBenchStore.getState().bench?.plan.parts ?? {}).sort((p, q) => p.order - q.order)
  const rows = parts.map((it) => Object.fromEntries(COLUMNS.map((column) => [column, it[column]])))
  return `${unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true, newline: '\n' })}\n`
}

/** A row as it may stand in a file: numbers with a decimal comma, empty fields left out. */
const rowSchema = z.object({
  name: z.string().trim().min(1).max(80),
  where: z.string().trim().max(80).default(''),
  count: z.string().default('1'),
  state: z.string().trim().toLowerCase().default('needed'),
  price: z.string().default('0'),
  arrives: z.string().trim().default(''),
})

/**
 * Reads parts from CSV and adds them behind those that are there, one undo step.
 * @returns What was found, row by row; rows with a fault are left out and said, the others are taken.
 */
export async function partsFromCsv(text: string): Promise<readonly Finding[]> {
  const { parse } = (await import('papaparse')).default
  const delimiter = [';', '\t', ','].find((it) => (text.split('\n')[0] ?? '').includes(it)) ?? ','
  const { data, meta } = parse<Record<string, string>>(text, {
    header: true,
    delimiter,
    skipEmptyLines: 'greedy',
    transformHeader: (it) => it.trim().toLowerCase(),
  })
  const fields = meta.fields ?? []
  if (!fields.includes('name')) {
    return [
      {
        code: 'no-name-column',
        severity: 'error',
        message: `The first line must name the columns, “name” among them. It has: ${fields.join(', ') || 'nothing'}. Nothing was taken.`,
      },
    ]
  }
  const findings: Finding[] = fields
    .filter((it) => !(COLUMNS as readonly string[]).includes(it))
    .map((it) => ({
      code: 'foreign-column',
      severity: 'warning',
      message: `The column “${it}” is not known here and was left out.`,
    }))
  const taken: PlanPart[] = []
  data.forEach((raw, i) => {
    const row = rowSchema.safeParse(Object.fromEntries(Object.entries(raw).filter(([, value]) => value !== '')))
    const number = (value: string): number => Number(value.trim().replace(',', '.'))
    const part = row.success
      ? partSchema.safeParse({ ...row.data, order: 0, count: number(row.data.count), price: number(row.data.price) })
      : row
    if (part.success) taken.push(part.data)
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
  const refusal = editBench('parts from a file', (bench) => {
    const first = Math.max(0, ...Object.values(bench.plan.parts).map((it) => it.order))
    const added = taken.map((it, i) => [newId(), { ...it, order: first + i + 1 }])
    return setAt(bench, 'plan.parts', { ...bench.plan.parts, ...(Object.fromEntries(added) as typeof bench.plan.parts) })
  })
  if (refusal !== null) findings.push({ code: 'refused', severity: 'error', message: refusal })
  return findings
}
