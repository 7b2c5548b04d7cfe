import { accepted, type Finding, type Outcome } from '../core/units'
import { recordOf, type BenchRecord } from '../core/bench'
import { emptyBench, type Bench } from '../core/document'
import {
  addBundle,
  addRecord,
  belongingsOf,
  copyBundle,
  Database,
  deleteBench,
  hasBench,
  listBenches,
  loadBench,
  putBack,
  rawBench,
  saveBench,
  standOf,
  takenIds,
  type BenchBundle,
  type BenchSummary,
  type FileRow,
  type RawBench,
  type SaveResult,
  type Stand,
} from '../data'
import { closeInStore, openInStore, openUnsaved, useBenchStore, type SaveState } from './benchStore'
import { engineOf, marksOf } from './evaluate'
import { newId } from './ids'
import { dropLeft, keepLeft, leftOf, takeUp, type Left } from './journal'
import { resetDemoMachine } from './machine'
import { swapDrafts } from './session'
import { held, knownWindow, windowId } from './window'

/** The browser's benches: opened, kept, copied, deleted, written to files. */
const db = new Database()
const now = (): string => new Date().toISOString()

/** How long the browser's storage may take to answer, ms. */
const STORAGE_PATIENCE = 8000

/** Ends a wait for storage that never answers. @throws {Error} in words. */
function answered<T>(wait: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error('the storage of this browser does not answer')), STORAGE_PATIENCE)
  })
  return Promise.race([wait, late]).finally(() => clearTimeout(timer))
}

/** All benches in this browser. */
export const benches = (): Promise<BenchSummary[]> => answered(listBenches(db))

/** Opens a stored bench into the store, with what was left unsaved of it. @returns What stands in the way; empty when it is open. */
export async function openBench(id: string): Promise<readonly Finding[]> {
  try {
    // What is being saved may be this very bench, left a moment ago.
    await answered(saving)
    const loaded = await answered(loadBench(db, id))
    if (!loaded.ok) return loaded.findings
    const { bench, records, files, revision, birth, savedAt, marks } = loaded.value
    const before = useBenchStore.getState().bench?.id ?? null
    openInStore({ bench, records, files, revision, birth, savedMarks: marks }, savedAt)
    swapDrafts(before, id)
    await takeUpLeft(bench, { revision, birth })
    return []
  } catch (error) {
    return [noStorage(error)]
  }
}

/** Shows the bench as it is stored; what was changed here and is not saved is given up. @returns What stands in the way. */
export async function reloadBench(id: string): Promise<readonly Finding[]> {
  const kept = leftOf(id).find((it) => it.window === windowId())
  dropLeft(id, windowId())
  const findings = await openBench(id)
  if (findings.length > 0 && kept !== undefined) keepOpenLeft()
  return findings
}

function noStorage(error: unknown): Finding {
  const message = error instanceof Error ? error.message : String(error)
  return {
    code: 'no-storage',
    severity: 'error',
    message: `What is kept in this browser cannot be read: ${message}. Allow storage for this page, leave private browsing, close other windows of Fine Kerf, then load the page again.`,
  }
}

/** Takes up what a window that is gone left unsaved: here where nothing else has changed it, else in a copy beside. */
async function takeUpLeft(bench: Bench, stand: Stand): Promise<void> {
  await knownWindow
  for (const left of leftOf(bench.id)) {
    if (left.window !== windowId() && (await held(left.window))) continue
    const open = useBenchStore.getState().bench
    if (open?.id !== bench.id) return
    const taken = takeUp(open, left)
    if (taken !== null && taken.clean && left.birth === stand.birth) {
      if (taken.bench !== open) useBenchStore.setState({ bench: taken.bench, edit: left.words })
      if (left.window !== windowId()) dropLeft(bench.id, left.window)
    } else if (taken !== null && (await copyLeft(taken.bench, left))) dropLeft(bench.id, left.window)
  }
}

/** What was left unsaved of a bench that was changed elsewhere since, as a bench beside it. */
async function copyLeft(bench: Bench, { at }: Left): Promise<boolean> {
  const { records, files } = useBenchStore.getState()
  const name = `${bench.name.slice(0, 40)} (left ${at.slice(11, 16)})`
  const kept = await keep(copyBundle({ bench, records, files }, newId, name))
  if (kept.ok) useBenchStore.setState({ leftAs: name })
  return kept.ok
}

/** Makes an empty bench. @returns Its id, or why it could not be kept. */
export function createBench(name: string, units: Bench['units']): Promise<Outcome<string>> {
  return keepOrShow({ bench: emptyBench(newId(), name, now(), units), records: [], files: [] })
}

/** Opens the demo: the one that is here, or a new one; where nothing can be stored it opens unsaved, and says so. */
export async function openDemo(): Promise<Outcome<string>> {
  if (await isHere('heron')) return { ok: true, value: 'heron', findings: [] }
  return keepOrShow((await import('../data/heron')).heron())
}

/** Opens the second demo, the retrofit: the one that is here, or a new one. */
export async function openSecondDemo(): Promise<Outcome<string>> {
  if (await isHere('plover')) return { ok: true, value: 'plover', findings: [] }
  return keepOrShow((await import('../data/plover')).plover())
}

async function isHere(id: string): Promise<boolean> {
  try {
    return await answered(hasBench(db, id))
  } catch {
    return false
  }
}

/** Keeps a bench; one that cannot be kept is opened all the same, to be looked at, worked on and exported. */
async function keepOrShow(bundle: BenchBundle): Promise<Outcome<string>> {
  const kept = await keep(bundle)
  if (kept.ok) return kept
  const message = kept.findings[0]?.message ?? ''
  openUnsaved(bundle, message)
  return { ok: true, value: bundle.bench.id, findings: kept.findings.map((it) => ({ ...it, severity: 'warning' as const })) }
}

/** Throws the demo's changes away and puts it back as it was. */
export async function resetDemo(): Promise<Outcome<string>> {
  resetDemoMachine()
  await deleteBench(db, 'heron')
  return keep((await import('../data/heron')).heron())
}

/** Reads a file and keeps its bench; one whose id is here already becomes a copy, one that cannot be kept is shown. */
export async function importFile(file: File): Promise<Outcome<string>> {
  const read = await readFileAway(file)
  if (!read.ok) return read
  const { bench } = read.value
  if (!(await isHere(bench.id))) {
    const clash = await answered(takenIds(db, read.value)).catch(() => false)
    return keepOrShow(clash ? withNewIds(read.value, bench.id) : read.value)
  }
  const copy = await keep(copyBundle(read.value, newId, `${bench.name.slice(0, 48)} (from file)`))
  const finding: Finding = {
    code: 'kept-as-copy',
    severity: 'warning',
    message: `“${bench.name}” is here already, so the file was opened as a copy beside it.`,
  }
  return copy.ok ? { ...copy, findings: [finding, ...read.findings] } : copy
}

/** The bundle under its own id, its records and pictures under new ones: those of the file belong to another bench here. */
function withNewIds(bundle: BenchBundle, id: string): BenchBundle {
  const copy = copyBundle(bundle, newId, bundle.bench.name)
  return {
    bench: bundle.bench,
    records: copy.records.map((it) => ({ ...it, benchId: id })),
    files: copy.files.map((it) => ({ ...it, benchId: id })),
  }
}

/** The bench file of a stored or open bench, ready to be handed out. It never fails in silence. */
export async function exportFile(id: string): Promise<Outcome<{ readonly name: string; readonly bytes: Uint8Array }>> {
  try {
    const bundle = await bundleToExport(id)
    if (!('bench' in bundle)) return bundle
    return accepted(await written(bundle))
  } catch (error) {
    return failed(
      `The bench could not be taken out: ${error instanceof Error ? error.message : String(error)}. Load the page again, then try once more.`,
    )
  }
}

/** The open bench as it stands here, with the records that any window has written; a stored one as it is stored. */
async function bundleToExport(id: string): Promise<BenchBundle | Exclude<Outcome<never>, { readonly ok: true }>> {
  const open = useBenchStore.getState()
  if (open.bench?.id !== id) {
    const loaded = await answered(loadBench(db, id))
    return loaded.ok ? loaded.value : loaded
  }
  const { bench, records, files } = open
  const stored = await answered(belongingsOf(db, id)).catch(() => ({ records: [], files: [] }))
  return { bench, records: joined(records, stored.records), files: joined(files, stored.files) }
}

function joined<T extends { readonly id: string }>(here: readonly T[], stored: readonly T[]): readonly T[] {
  const known = new Set(here.map((it) => it.id))
  return [...here, ...stored.filter((it) => !known.has(it.id))]
}

/** The file of a bundle: a ZIP; where the code for that cannot be fetched any more, plain JSON that opens alike. */
async function written(bundle: BenchBundle): Promise<{ readonly name: string; readonly bytes: Uint8Array }> {
  const day = now().slice(0, 10)
  try {
    const { benchFileName, writeBenchFile } = await import('../data/benchFile')
    return { name: benchFileName(bundle.bench.name, day), bytes: writeBenchFile(bundle) }
  } catch {
    const name = bundle.bench.name.replace(/[^\p{L}\p{N}]+/gu, '-')
    return { name: `${name}-${day}.bench.json`, bytes: new TextEncoder().encode(plainBundle(bundle)) }
  }
}

/** A stored bench as it stands, whether or not it can be read here: to be mended or opened elsewhere. */
export async function exportRaw(id: string): Promise<Outcome<{ readonly name: string; readonly bytes: Uint8Array }>> {
  try {
    const raw = await answered(rawBench(db, id))
    if (raw === null) return failed('There is no such bench in this browser any more.')
    const { row, records, files } = raw
    const text = plainBundle({ bench: row.document, records, files })
    return accepted({
      name: `${row.name.replace(/[^\p{L}\p{N}]+/gu, '-')}-as-stored.bench.json`,
      bytes: new TextEncoder().encode(text),
    })
  } catch (error) {
    return failed(`It could not be taken out: ${error instanceof Error ? error.message : String(error)}.`)
  }
}

/** A bundle as plain text, pictures in base64: the form of the file that needs no other code. */
function plainBundle(bundle: {
  readonly bench: unknown
  readonly records: readonly unknown[]
  readonly files: readonly FileRow[]
}): string {
  const base64 = (bytes: Uint8Array): string => btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
  const pictures = bundle.files.map(({ id, recordId, name, type, bytes }) => ({
    id,
    recordId,
    name,
    type,
    path: `pictures/${id}`,
    base64: base64(bytes),
  }))
  return JSON.stringify({ kind: 'fine-kerf.file', version: 1, bench: bundle.bench, records: bundle.records, pictures })
}

/** What a stored bench has, before it is deleted: how much, and whether it can be read here. */
export async function belongings(
  id: string,
): Promise<{ readonly records: number; readonly pictures: number; readonly readable: boolean } | null> {
  const raw = await answered(rawBench(db, id)).catch(() => null)
  if (raw === null) return null
  return { records: raw.records.length, pictures: raw.files.length, readable: (await loadBench(db, id)).ok }
}

/** Deletes a bench. @returns How to put it back as it stood; null if it was not there. */
export async function removeBench(id: string): Promise<(() => Promise<Outcome<string>>) | null> {
  const raw = await answered(deleteBench(db, id))
  if (useBenchStore.getState().bench?.id === id) closeInStore()
  tellOthers(id)
  return raw === null ? null : () => putBackAs(raw)
}

async function putBackAs(raw: RawBench): Promise<Outcome<string>> {
  const result = await answered(putBack(db, raw, newId())).catch(failedResult)
  return result.kind === 'saved' ? { ok: true, value: raw.row.id, findings: [] } : failed(sayFailure(result))
}

/** Keeps the open bench as a copy under a new id. */
export async function keepAsCopy(): Promise<Outcome<string>> {
  const { bench, records, files } = useBenchStore.getState()
  if (bench === null) return failed('No bench is open.')
  const kept = await keep(copyBundle({ bench, records, files }, newId, `${bench.name.slice(0, 53)} (copy)`))
  if (kept.ok) dropLeft(bench.id, windowId())
  return kept
}

/** Saves one after the other, so that each knows the revision of the one before. */
let saving: Promise<unknown> = Promise.resolve()
/** What was saved last, for a bench that is left before the store hears of its revision. */
let lastSaved: (Stand & { readonly id: string }) | null = null

function queued<T>(act: () => Promise<T>): Promise<T> {
  const next = saving.then(act)
  saving = next.catch(() => undefined)
  return next
}

/**
 * Saves the open bench as it stands when its turn comes. It counts as saved only while what was saved is what is open:
 * an edit or an undo meanwhile is still to be saved.
 */
export function saveOpenBench(): Promise<SaveState> {
  return queued(async () => {
    const { bench, revision, birth, saved, save: before } = useBenchStore.getState()
    if (bench === null) return { kind: 'saved', at: '' }
    if (bench === saved && before.kind !== 'failed' && before.kind !== 'full') {
      const state: SaveState = before.kind === 'saving' ? { kind: 'saved', at: now() } : before
      if (state !== before) useBenchStore.setState({ save: state })
      dropLeft(bench.id, windowId())
      return state
    }
    const result = saved === null ? await keepOpen(bench) : await save(bench, { revision, birth })
    const state = stateOf(result)
    const open = useBenchStore.getState()
    if (open.bench?.id !== bench.id) return state
    if (result.kind !== 'saved') {
      useBenchStore.setState({ save: state })
      return state
    }
    const stand = { revision: result.revision, birth: saved === null ? (lastSaved?.birth ?? '') : birth, saved: bench }
    const whole = open.bench === bench
    useBenchStore.setState({ ...stand, save: whole ? state : { kind: 'saving' } })
    if (whole) dropLeft(bench.id, windowId())
    else keepOpenLeft()
    tellOthers(bench.id)
    return state
  })
}

/** Saves a bench for the first time that could not be kept when it was opened. */
async function keepOpen(bench: Bench): Promise<SaveResult> {
  const { records, files } = useBenchStore.getState()
  const birth = newId()
  const result = await addWhole({ bench, records, files }, birth)
  if (result.kind === 'saved') lastSaved = { id: bench.id, revision: result.revision, birth }
  return result
}

/** Saves a bench that was left for another before its last edit was saved. */
export function saveLeftBench(bench: Bench, stand: Stand): Promise<SaveState> {
  return queued(async () => {
    const result = await save(bench, lastSaved?.id === bench.id ? lastSaved : stand)
    if (result.kind === 'saved') {
      dropLeft(bench.id, windowId())
      tellOthers(bench.id)
    }
    return stateOf(result)
  })
}

async function save(bench: Bench, stand: Stand): Promise<SaveResult> {
  const result = await answered(saveBench(db, bench, marksOf(bench), stand, now())).catch(failedResult)
  if (result.kind === 'saved') lastSaved = { id: bench.id, revision: result.revision, birth: stand.birth }
  return result
}

function failedResult(error: unknown): SaveResult {
  return { kind: 'failed', message: error instanceof Error ? error.message : String(error) }
}

/** Keeps what of the open bench is not saved yet, at once. */
export function keepOpenLeft(): void {
  const { bench, saved, revision, birth, edit } = useBenchStore.getState()
  if (bench === null || saved === null || bench.id !== saved.id) return
  if (bench === saved) dropLeft(bench.id, windowId())
  else keepLeft(saved, bench, { window: windowId(), revision, birth, words: edit, at: now() })
}

/** Tells the other windows that a stored bench has changed. */
function tellOthers(id: string): void {
  channel?.postMessage({ id })
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fine-kerf.benches')
// A test runner's own process is not kept alive by it.
;(channel as unknown as { unref?: () => void } | null)?.unref?.()

/** Looks whether the open bench still stands in the store as this window last saved or read it; says so where it does not. */
export async function checkElsewhere(): Promise<void> {
  const { bench, saved, save: state } = useBenchStore.getState()
  if (bench === null || saved === null || state.kind === 'changed-elsewhere') return
  await saving
  const stored = await answered(standOf(db, bench.id)).catch(() => undefined)
  const open = useBenchStore.getState()
  if (stored === undefined || open.bench?.id !== bench.id) return
  if (stored !== null && stored.revision === open.revision && stored.birth === open.birth) return
  useBenchStore.setState({ save: { kind: 'changed-elsewhere', unsaved: open.bench !== open.saved } })
}

/** Hears what other windows do to the open bench. @returns Stops it. */
export function listenElsewhere(): () => void {
  const heard = (event: MessageEvent<{ readonly id?: unknown }>): void => {
    if (event.data.id === useBenchStore.getState().bench?.id) void checkElsewhere()
  }
  channel?.addEventListener('message', heard)
  return () => channel?.removeEventListener('message', heard)
}

/** Asks the browser not to throw away what is kept when room runs short. */
export async function askForLastingStorage(): Promise<void> {
  if (typeof navigator !== 'undefined' && 'storage' in navigator && 'persist' in navigator.storage) {
    await navigator.storage.persist().catch(() => false)
  }
}

/** Reads a bench file away from the page, so that a large or hostile one does not stand still. */
async function readFileAway(file: File): Promise<Outcome<BenchBundle>> {
  if (file.size > MOST_FILE_BYTES) {
    return failed(`“${file.name}” has more than 256 MB: no bench file is so large. Choose one ending in .bench.zip.`)
  }
  try {
    if (typeof Worker === 'undefined')
      return (await import('../data/benchFile')).readBenchFile(new Uint8Array(await file.arrayBuffer()), file.name)
    const { readInWorker } = await import('./readFile')
    return await readInWorker(file)
  } catch (error) {
    return failed(`“${file.name}” could not be read: ${error instanceof Error ? error.message : String(error)}. It is unharmed.`)
  }
}

const MOST_FILE_BYTES = 256 * 1024 * 1024

/** Writes down what figures give now, with pictures if there are any. @returns Why it could not be kept, or null. */
export async function keepRecord(
  about: Pick<BenchRecord, 'stage' | 'title' | 'note' | 'redo' | 'beneath'>,
  figures: Parameters<typeof recordOf>[2],
  pictures: readonly File[],
): Promise<string | null> {
  if (useBenchStore.getState().save.kind === 'saving') await saveOpenBench()
  const { bench, revision, birth, save: state } = useBenchStore.getState()
  if (bench === null) return 'No bench is open.'
  // A record rests on a document that is stored: one that was overtaken by another window is not.
  if (state.kind !== 'saved' && state.kind !== 'saving') return `${sayUnsaved(state)} Nothing was written down.`
  const record = recordOf(engineOf(bench), { ...about, id: newId(), benchId: bench.id, at: now() }, figures)
  const read = await Promise.allSettled(pictures.map((file) => fileRow(file, record)))
  const lost = pictures.filter((_, i) => read[i]?.status === 'rejected').map((it) => `“${it.name}”`)
  if (lost.length > 0)
    return `${lost.join(', ')} cannot be read any more: choose it again, or leave it out. Nothing was written down.`
  const files = read.flatMap((it) => (it.status === 'fulfilled' ? [it.value] : []))
  const result = await answered(addRecord(db, record, files, { revision, birth })).catch(failedResult)
  if (result.kind !== 'saved') return sayFailure(result)
  tellOthers(bench.id)
  useBenchStore.setState((state) => ({ records: [...state.records, record], files: [...state.files, ...files] }))
  return null
}

async function fileRow(file: File, { id, benchId }: BenchRecord): Promise<FileRow> {
  return { id: newId(), benchId, recordId: id, name: file.name, type: file.type, bytes: new Uint8Array(await file.arrayBuffer()) }
}

async function keep(bundle: BenchBundle): Promise<Outcome<string>> {
  const result = await addWhole(bundle, newId())
  return result.kind === 'saved' ? { ok: true, value: bundle.bench.id, findings: [] } : failed(sayFailure(result))
}

function addWhole(bundle: BenchBundle, birth: string): Promise<SaveResult> {
  return answered(addBundle(db, bundle, marksOf(bundle.bench), now(), birth)).catch(failedResult)
}

function stateOf(result: SaveResult): SaveState {
  if (result.kind === 'changed-elsewhere') return { ...result, unsaved: true }
  return result.kind === 'saved' ? { kind: 'saved', at: result.savedAt } : result
}

function sayUnsaved(state: Exclude<SaveState, { readonly kind: 'saved' | 'saving' }>): string {
  return sayFailure(state)
}

function sayFailure(result: Exclude<SaveResult, { readonly kind: 'saved' }>): string {
  switch (result.kind) {
    case 'full':
      return 'The disk is full, so nothing was kept. Make room, or export a bench and delete it here, then try again.'
    case 'changed-elsewhere':
      return 'The bench was changed in another window. Reload it, or keep yours as a copy.'
    case 'newer':
      return 'A newer Fine Kerf in another window has taken this bench over. Load the page again to go on with it.'
    case 'failed':
      return `The browser could not keep it: ${result.message}. Export the bench file to be sure of it.`
  }
}

function failed(message: string): Outcome<never> & { readonly ok: false } {
  return { ok: false, findings: [{ code: 'not-kept', severity: 'error', message }] }
}
