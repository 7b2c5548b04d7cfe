import { setAt } from '../core/bench'
import type { Bench } from '../core/document'
import type { Finding, Outcome } from '../core/units'
import { decodeText, rowsFromCsv, writeParts, type PartRows, type Room } from '../data'
import type { PartsCsvWorker } from '../workers/partsCsv.worker'
import { askOnce } from './askOnce'
import { editBench, useBenchStore } from './benchStore'
import { type Told } from './told'

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
export async function partsFromCsv(file: File): Promise<Told> {
  if (file.size > MOST_BYTES) return [said(`“${file.name}” has more than 32 MB: no parts list is so long. Nothing was taken.`)]
  const there = partsOf(useBenchStore.getState().bench)
  const room = { most: MOST_PARTS - Object.keys(there).length, last: lastOrder(there) }
  const read = await readAway(file, room).catch((error: unknown): Outcome<PartRows> => ({
    ok: false,
    findings: [
      said(`“${file.name}” could not be read: ${error instanceof Error ? error.message : String(error)}. Nothing was taken.`),
    ],
  }))
  if (!read.ok) return read.findings
  const { rows, taken, left, findings } = read.value
  const found = [...read.findings, ...findings]
  if (left > 0) found.unshift(said(`A list holds up to ${MOST_PARTS} parts: the last ${left} rows were left out.`))
  if (taken === 0) return found
  // The page breathes between each of the steps, for ten thousand rows take their time in every one.
  await breath()
  const added = JSON.parse(rows) as Parts
  await breath()
  const edited = editBench(
    'parts from a file',
    (bench) => setAt(bench, 'plan.parts', isEmpty(bench.plan.parts) ? added : { ...bench.plan.parts, ...added }),
    // Each row was checked against the schema of a part where it was read.
    'plan.parts',
  )
  return [...found, ...edited]
}

type Parts = Bench['plan']['parts']

function partsOf(bench: Bench | null): Parts {
  return bench?.plan.parts ?? {}
}

function lastOrder(parts: Parts): number {
  return Object.values(parts).reduce((most, it) => Math.max(most, it.order), 0)
}

function isEmpty(parts: Parts): boolean {
  return Object.keys(parts).length === 0
}

function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0))
}

function said(message: string): Finding {
  return { code: 'parts', severity: 'error', message }
}

async function readAway(file: File, room: Room): Promise<Outcome<PartRows>> {
  if (typeof Worker === 'undefined') {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    return text.ok ? { ok: true, value: await rowsFromCsv(text.value, room), findings: text.findings } : text
  }
  const worker = new Worker(new URL('../workers/partsCsv.worker.ts', import.meta.url), { type: 'module' })
  return askOnce<PartsCsvWorker, Outcome<PartRows>>(worker, (remote) => remote.read(file, room))
}
