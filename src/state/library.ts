import type { Finding, Outcome } from '../core/units'
import { recordOf, type BenchRecord } from '../core/bench'
import { practiceId, type Bench } from '../core/document'
import type { Grade } from '../core/workshop'
import { lessonBenchId, type LessonId } from '../core/course'
import { copyBundle } from '../data/copy'
import type { BenchBundle, BenchSummary, FileRow, RawBench, SaveResult } from '../data'
import { closeInStore, openUnsaved, useBenchStore, type SaveState } from './benchStore'
import { engineOf } from './evaluate'
import { newId } from '../data/ids'
import { failed } from './exporting'
import { filesThere } from './filesThere'
import { dropLeft } from './journal'
import { answered } from './answered'
import { addWhole, failedResult, now, saveOpenBench, stateOf, tellOthers, wordsOf } from './saving'
import { stored } from './stored'
import { windowId } from './window'
import { DONE, NO_BENCH, told, type Told } from './told'

/** All benches in this browser. */
export const benches = (): Promise<BenchSummary[]> => answered(stored().then(({ db, listBenches }) => listBenches(db)))

/** Makes an empty bench. @returns Its id, or why it could not be kept. */
export async function createBench(name: string, units: Bench['units']): Promise<Outcome<string>> {
  const { emptyBench } = await import('./emptyBench')
  return keepOrShow({ bench: emptyBench(newId(), name, now(), units), records: [], files: [] })
}

/** Opens the demo: the one that is here, or a new one; where nothing can be stored it opens unsaved, and says so. */
export async function openDemo(): Promise<Outcome<string>> {
  if (await isHere('heron')) return { ok: true, value: 'heron', findings: [] }
  return keepOrShow((await import('../data/heron')).heron())
}

/** Opens the practice machine of a grade and a number: the one that is here, or a new one. */
export async function openPractice(grade: Grade, number: number): Promise<Outcome<string>> {
  const id = practiceId(grade, number)
  if (await isHere(id)) return { ok: true, value: id, findings: [] }
  return keepOrShow((await import('../data/practiceBench')).practiceBench(grade, number, new Date().toISOString()))
}

/** Opens the bench of a lesson and a number: the one that is here, or a new one. */
export async function openLesson(lesson: LessonId, number: number): Promise<Outcome<string>> {
  const id = lessonBenchId(lesson, number)
  if (await isHere(id)) return { ok: true, value: id, findings: [] }
  return keepOrShow((await import('../data/lessonBench')).lessonBench(lesson, number, new Date().toISOString()))
}

/** Opens the second demo, the retrofit: the one that is here, or a new one. */
export async function openSecondDemo(): Promise<Outcome<string>> {
  if (await isHere('plover')) return { ok: true, value: 'plover', findings: [] }
  return keepOrShow((await import('../data/plover')).plover())
}

async function isHere(id: string): Promise<boolean> {
  try {
    return await answered(stored().then(({ db, hasBench }) => hasBench(db, id)))
  } catch {
    return false
  }
}

/** Keeps a bench; one that cannot be kept is opened all the same, to be looked at, worked on and exported. */
async function keepOrShow(bundle: BenchBundle): Promise<Outcome<string>> {
  const result = await addWhole(bundle, newId())
  const { id } = bundle.bench
  if (result.kind === 'saved') return { ok: true, value: id, findings: [] }
  openUnsaved(bundle, stateOf(result))
  return { ok: true, value: id, findings: [{ code: 'not-kept', severity: 'warning', message: sayFailure(result) }] }
}

/** Throws the demo's changes away and puts it back as it was. */
export async function resetDemo(): Promise<Outcome<string>> {
  ;(await import('./machine')).resetDemoMachine()
  dropLeft('heron', windowId())
  await stored().then(({ db, deleteBench }) => deleteBench(db, 'heron'))
  return keep((await import('../data/heron')).heron())
}

/** Reads a file and keeps its bench; one whose id is here already becomes a copy, one that cannot be kept is shown. */
export async function importFile(file: File): Promise<Outcome<string>> {
  const read = await readFileAway(file)
  if (!read.ok) return read
  const { bench } = read.value
  if (!(await isHere(bench.id))) {
    const clash = await answered(stored().then(({ db, takenIds }) => takenIds(db, read.value))).catch(() => false)
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

/** What a stored bench has, before it is deleted: how much, and whether it can be read here. */
export async function belongings(
  id: string,
): Promise<{ readonly records: number; readonly pictures: number; readonly readable: boolean } | null> {
  const raw = await answered(stored().then(({ db, rawBench }) => rawBench(db, id))).catch(() => null)
  if (raw === null) return null
  return {
    records: raw.records.length,
    pictures: raw.files.length,
    readable: (await stored().then(({ db, loadBench }) => loadBench(db, id))).ok,
  }
}

/** Deletes a bench. @returns How to put it back as it stood; null if it was not there. */
export async function removeBench(id: string): Promise<Outcome<(() => Promise<Outcome<string>>) | null>> {
  try {
    const raw = await answered(stored().then(({ db, deleteBench }) => deleteBench(db, id)))
    dropLeft(id, windowId())
    if (useBenchStore.getState().bench?.id === id) closeInStore()
    tellOthers(id)
    return { ok: true, value: raw === null ? null : () => putBackAs(raw), findings: [] }
  } catch (error) {
    return failed(`It could not be deleted: ${wordsOf(error)}.`)
  }
}

async function putBackAs(raw: RawBench): Promise<Outcome<string>> {
  const result = await answered(stored().then(({ db, putBack }) => putBack(db, raw, newId()))).catch(failedResult)
  return result.kind === 'saved' ? { ok: true, value: raw.row.id, findings: [] } : failed(sayFailure(result))
}

/** Keeps the open bench as a copy under a new id. */
export async function keepAsCopy(): Promise<Outcome<string>> {
  try {
    await filesThere()
  } catch (error) {
    return failed(`Its pictures cannot be read: ${wordsOf(error)}. No copy was made.`)
  }
  const { bench, records, files } = useBenchStore.getState()
  if (bench === null) return failed('No bench is open.')
  const kept = await keep(copyBundle({ bench, records, files }, newId, `${bench.name.slice(0, 53)} (copy)`))
  if (kept.ok) dropLeft(bench.id, windowId())
  return kept
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

/** Writes down what figures give now, with pictures if there are any. @returns Why it could not be kept. */
export async function keepRecord(
  about: Pick<BenchRecord, 'stage' | 'title' | 'note' | 'redo' | 'beneath'>,
  figures: Parameters<typeof recordOf>[2],
  pictures: readonly File[],
  id = newId(),
): Promise<Told> {
  if (useBenchStore.getState().save.kind === 'saving') await saveOpenBench()
  const { bench, revision, birth, save: state } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  // A record rests on a document that is stored: one that was overtaken by another window is not.
  if (state.kind !== 'saved' && state.kind !== 'saving') return told(`${sayUnsaved(state)} Nothing was written down.`)
  const record = recordOf(engineOf(bench), { ...about, id, benchId: bench.id, at: now() }, figures)
  const read = await Promise.allSettled(pictures.map((file) => fileRow(file, record)))
  const lost = pictures.filter((_, i) => read[i]?.status === 'rejected').map((it) => `“${it.name}”`)
  if (lost.length > 0)
    return told(`${lost.join(', ')} cannot be read any more: choose it again, or leave it out. Nothing was written down.`)
  const files = read.flatMap((it) => (it.status === 'fulfilled' ? [it.value] : []))
  const result = await answered(stored().then(({ db, addRecord }) => addRecord(db, record, files, { revision, birth }))).catch(
    failedResult,
  )
  if (result.kind !== 'saved') return told(sayFailure(result))
  tellOthers(bench.id)
  useBenchStore.setState((state) => ({ records: [...state.records, record], files: [...state.files, ...files] }))
  return DONE
}

async function fileRow(file: File, { id, benchId }: BenchRecord): Promise<FileRow> {
  return { id: newId(), benchId, recordId: id, name: file.name, type: file.type, bytes: new Uint8Array(await file.arrayBuffer()) }
}

async function keep(bundle: BenchBundle): Promise<Outcome<string>> {
  const result = await addWhole(bundle, newId())
  return result.kind === 'saved' ? { ok: true, value: bundle.bench.id, findings: [] } : failed(sayFailure(result))
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
      return `The browser could not keep it: ${wordsOf(result.message)}. Export the bench file to be sure of it.`
  }
}
