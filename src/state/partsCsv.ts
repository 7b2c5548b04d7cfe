import { setAt } from '../core/bench'
import type { Finding } from '../core/units'
import { readParts, writeParts } from '../data'
import { editBench, useBenchStore } from './benchStore'
import { newId } from './ids'

/** The parts list as CSV. */
export async function partsToCsv(): Promise<string> {
  return writeParts(Object.values(useBenchStore.getState().bench?.plan.parts ?? {}))
}

/**
 * Reads parts from CSV and adds them behind those that are there, one undo step.
 * @returns What was found, row by row; rows with a fault are left out and said, the others are taken.
 */
export async function partsFromCsv(text: string): Promise<readonly Finding[]> {
  const { parts, findings } = await readParts(text)
  if (parts.length === 0) return findings
  const refusal = editBench('parts from a file', (bench) => {
    const first = Math.max(0, ...Object.values(bench.plan.parts).map((it) => it.order))
    const added = parts.map((it, i) => [newId(), { ...it, order: first + i + 1 }])
    return setAt(bench, 'plan.parts', { ...bench.plan.parts, ...(Object.fromEntries(added) as typeof bench.plan.parts) })
  })
  return refusal === null ? findings : [...findings, { code: 'refused', severity: 'error', message: refusal }]
}
