import type { Finding, Outcome } from '../core/units'
import { recordOf, type BenchRecord } from '../core/bench'
import { emptyBench, type Bench } from '../core/document'
import {
  addBundle,
  addRecord,
  copyBundle,
  Database,
  deleteBench,
  hasBench,
  listBenches,
  loadBench,
  saveBench,
  type BenchBundle,
  type BenchSummary,
  type FileRow,
  type SaveResult,
} from '../data'
import { closeInStore, openInStore, useBenchStore, type SaveState } from './benchStore'
import { engineOf, marksOf } from './evaluate'
import { newId } from './ids'
import { resetDemoMachine } from './machine'

/** The browser's benches: opened, kept, copied, deleted, written to files. */
const db = new Database()
const now = (): string => new Date().toISOString()

/** All benches in this browser. */
export const benches = (): Promise<BenchSummary[]> => listBenches(db)

/** Opens a stored bench into the store. @returns What stands in the way; empty when it is open. */
export async function openBench(id: string): Promise<readonly Finding[]> {
  // What is being saved may be this very bench, left a moment ago.
  await saving
  const loaded = await loadBench(db, id)
  if (!loaded.ok) return loaded.findings
  const { bench, records, files, revision, savedAt, marks } = loaded.value
  openInStore({ bench, records, files, revision, savedMarks: marks }, savedAt)
  return []
}

/** Makes an empty bench. @returns Its id, or why it could not be kept. */
export function createBench(name: string, units: Bench['units']): Promise<Outcome<string>> {
  return keep({ bench: emptyBench(newId(), name, now(), units), records: [], files: [] })
}

/** Opens the demo: the one that is here, or a new one. */
export async function openDemo(): Promise<Outcome<string>> {
  if (await hasBench(db, 'heron')) return { ok: true, value: 'heron', findings: [] }
  return keep((await import('../data/heron')).heron())
}

/** Opens the second demo, the retrofit: the one that is here, or a new one. */
export async function openSecondDemo(): Promise<Outcome<string>> {
  if (await hasBench(db, 'plover')) return { ok: true, value: 'plover', findings: [] }
  return keep((await import('../data/plover')).plover())
}

/** Throws the demo's changes away and puts it back as it was. */
export async function resetDemo(): Promise<Outcome<string>> {
  resetDemoMachine()
  await deleteBench(db, 'heron')
  return keep((await import('../data/heron')).heron())
}

/** Reads a file and keeps its bench; one whose id is here already becomes a copy. */
export async function importFile(file: File): Promise<Outcome<string>> {
  const { readBenchFile } = await import('../data/benchFile')
  const read = readBenchFile(new Uint8Array(await file.arrayBuffer()), file.name)
  if (!read.ok) return read
  if (!(await hasBench(db, read.value.bench.id))) return keep(read.value)
  const copy = await keep(copyBundle(read.value, newId, `${read.value.bench.name} (from file)`))
  const finding: Finding = {
    code: 'kept-as-copy',
    severity: 'warning',
    message: `“${read.value.bench.name}” is here already, so the file was opened as a copy beside it.`,
  }
  return copy.ok ? { ...copy, findings: [finding] } : copy
}

/** The bench file of a stored bench, ready to be handed out. */
export async function exportFile(id: string): Promise<Outcome<{ readonly name: string; readonly bytes: Uint8Array }>> {
  const open = useBenchStore.getState()
  const bundle =
    open.bench?.id === id ? { ...open, bench: open.bench } : await loadBench(db, id).then((it) => (it.ok ? it.value : it))
  if (!('bench' in bundle)) return bundle
  const { benchFileName, writeBenchFile } = await import('../data/benchFile')
  return {
    ok: true,
    value: { name: benchFileName(bundle.bench.name, now().slice(0, 10)), bytes: writeBenchFile(bundle) },
    findings: [],
  }
}

/** Deletes a bench. @returns How to put it back; null if it could not be read and so cannot be. */
export async function removeBench(id: string): Promise<(() => Promise<Outcome<string>>) | null> {
  const bundle = await deleteBench(db, id)
  if (useBenchStore.getState().bench?.id === id) closeInStore()
  return bundle.ok ? () => keep(bundle.value) : null
}

/** Keeps the open bench as a copy under a new id. */
export async function keepAsCopy(): Promise<Outcome<string>> {
  const { bench, records, files } = useBenchStore.getState()
  if (bench === null) return failed('No bench is open.')
  return keep(copyBundle({ bench, records, files }, newId, `${bench.name} (copy)`))
}

/** Saves one after the other, so that each knows the revision of the one before. */
let saving: Promise<unknown> = Promise.resolve()
/** What was saved last, for a bench that is left before the store hears of its revision. */
let lastSaved: { readonly id: string; readonly revision: number } | null = null

function queued<T>(act: () => Promise<T>): Promise<T> {
  const next = saving.then(act)
  saving = next.catch(() => undefined)
  return next
}

/** Saves the open bench as it stands when its turn comes. */
export function saveOpenBench(): Promise<SaveState> {
  return queued(async () => {
    const { bench, revision } = useBenchStore.getState()
    if (bench === null) return { kind: 'saved', at: '' }
    const result = await save(bench, revision)
    const state = stateOf(result)
    const still = useBenchStore.getState().bench?.id === bench.id
    if (still) useBenchStore.setState(result.kind === 'saved' ? { save: state, revision: result.revision } : { save: state })
    return state
  })
}

/** Saves a bench that was left for another before its last edit was saved. */
export function saveLeftBench(bench: Bench, revision: number): Promise<SaveState> {
  return queued(async () => stateOf(await save(bench, lastSaved?.id === bench.id ? lastSaved.revision : revision)))
}

async function save(bench: Bench, revision: number): Promise<SaveResult> {
  const result = await saveBench(db, bench, marksOf(bench), revision, now())
  if (result.kind === 'saved') lastSaved = { id: bench.id, revision: result.revision }
  return result
}

/** Writes down what figures give now, with pictures if there are any. @returns Why it could not be kept, or null. */
export async function keepRecord(
  about: Pick<BenchRecord, 'stage' | 'title' | 'note' | 'redo' | 'beneath'>,
  figures: Parameters<typeof recordOf>[2],
  pictures: readonly File[],
): Promise<string | null> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return 'No bench is open.'
  const record = recordOf(engineOf(bench), { ...about, id: newId(), benchId: bench.id, at: now() }, figures)
  const read = await Promise.allSettled(pictures.map((file) => fileRow(file, record)))
  const lost = pictures.filter((_, i) => read[i]?.status === 'rejected').map((it) => `“${it.name}”`)
  if (lost.length > 0)
    return `${lost.join(', ')} cannot be read any more: choose it again, or leave it out. Nothing was written down.`
  const files = read.flatMap((it) => (it.status === 'fulfilled' ? [it.value] : []))
  const result = await addRecord(db, record, files)
  if (result.kind !== 'saved') return sayFailure(result)
  useBenchStore.setState((state) => ({ records: [...state.records, record], files: [...state.files, ...files] }))
  return null
}

async function fileRow(file: File, { id, benchId }: BenchRecord): Promise<FileRow> {
  return { id: newId(), benchId, recordId: id, name: file.name, type: file.type, bytes: new Uint8Array(await file.arrayBuffer()) }
}

async function keep(bundle: BenchBundle): Promise<Outcome<string>> {
  const result = await addBundle(db, bundle, marksOf(bundle.bench), now())
  return result.kind === 'saved' ? { ok: true, value: bundle.bench.id, findings: [] } : failed(sayFailure(result))
}

function stateOf(result: SaveResult): SaveState {
  return result.kind === 'saved' ? { kind: 'saved', at: result.savedAt } : result
}

function sayFailure(result: Exclude<SaveResult, { kind: 'saved' }>): string {
  switch (result.kind) {
    case 'full':
      return 'The disk is full, so nothing was kept. Make room, or export a bench and delete it here, then try again.'
    case 'changed-elsewhere':
      return 'The bench was changed in another window. Reload it, or keep yours as a copy.'
    case 'failed':
      return `The browser could not keep it: ${result.message}. Export the bench file to be sure of it.`
  }
}

function failed(message: string): Outcome<never> {
  return { ok: false, findings: [{ code: 'not-kept', severity: 'error', message }] }
}
