import { setAt } from '../core/bench'
import type { Finding, Outcome } from '../core/units'
import { decodeText, readParts, writeParts, type ReadParts } from '../data'
import type { PartsCsvWorker } from '../workers/partsCsv.worker'
import { askOnce } from './askOnce'
import { editBench, useBenchStore } from './benchStore'
import { newIds } from './ids'

/** The parts list as CSV. */
export async function partsToCsv(): Promise<string> {
  return writeParts(Object.values(useBenchStore.getState().bench?.plan.parts ?? {}))
}

/** Largest file of parts that is read, and most parts on a list. */
const MOST_BYTES = 32 * 1024 * 1024
const MOST_PARTS = 20_000

/**
 * Reads parts from a CSV file and adds them behind those that are there, one undo step.
 * @returns What was found, row by row; rows with a fault are left out and said, the others are taken.
 */
export async function partsFromCsv(file: File): Promise<readonly Finding[]> {
  if (file.size > MOST_BYTES) return [said(`“${file.name}” has more than 32 MB: no parts list is so long. Nothing was taken.`)]
  const read = await readAway(file).catch((error: unknown): Outcome<ReadParts> => ({
    ok: false,
    findings: [
      said(`“${file.name}” could not be read: ${error instanceof Error ? error.message : String(error)}. Nothing was taken.`),
    ],
  }))
  if (!read.ok) return read.findings
  const { parts, findings } = read.value
  const there = Object.keys(useBenchStore.getState().bench?.plan.parts ?? {}).length
  const taken = parts.slice(0, Math.max(0, MOST_PARTS - there))
  const found = [...read.findings, ...findings]
  if (taken.length < parts.length)
    found.unshift(said(`A list holds up to ${MOST_PARTS} parts: the last ${parts.length - taken.length} rows were left out.`))
  if (taken.length === 0) return found
  // The page breathes between taking over what the worker sent and changing the bench.
  await breath()
  const ids = newIds(taken.length)
  const first = Object.values(useBenchStore.getState().bench?.plan.parts ?? {}).reduce((most, it) => Math.max(most, it.order), 0)
  const added = Object.fromEntries(taken.map((it, i) => [ids[i] ?? '', { ...it, order: first + i + 1 }]))
  await breath()
  const refusal = editBench(
    'parts from a file',
    (bench) => setAt(bench, 'plan.parts', { ...bench.plan.parts, ...added }),
    // Each row was checked against the schema of a part where it was read.
    'plan.parts',
  )
  return refusal === null ? found : [...found, { code: 'refused', severity: 'error', message: refusal }]
}

function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0))
}

function said(message: string): Finding {
  return { code: 'parts', severity: 'error', message }
}

async function readAway(file: File): Promise<Outcome<ReadParts>> {
  if (typeof Worker === 'undefined') {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    return text.ok ? { ok: true, value: await readParts(text.value), findings: text.findings } : text
  }
  const worker = new Worker(new URL('../workers/partsCsv.worker.ts', import.meta.url), { type: 'module' })
  return askOnce<PartsCsvWorker, Outcome<ReadParts>>(worker, (remote) => remote.read(file))
}
