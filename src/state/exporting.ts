import type { Bench } from '../core/document'
import { accepted, type Outcome } from '../core/units'
import type { BenchBundle, FileRow } from '../data'
import { peekBench, peekFiles } from '../data/peek'
import { documentOf } from '../data/row'
import { useBenchStore } from './benchStore'
import { filesThere } from './filesThere'
import { answered } from './answered'
import { now } from './saving'
import { stored } from './stored'

// What takes a bench out stands in the first code that loads: it must work when nothing else can be fetched any more.

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

/** A bench without its records, pictures and log: what another person can start from. */
export function benchAlone(bench: Bench): Promise<{ readonly name: string; readonly bytes: Uint8Array }> {
  const { log } = bench
  return written({ bench: { ...bench, log: { ...log, entries: {} } }, records: [], files: [] })
}

/** The open bench as it stands here, with the records that any window has written; a stored one as it is stored. */
async function bundleToExport(id: string): Promise<BenchBundle | Exclude<Outcome<never>, { readonly ok: true }>> {
  // Where they cannot be read, what is stored is asked for below all the same.
  await filesThere().catch(() => undefined)
  const open = useBenchStore.getState()
  if (open.bench?.id !== id) {
    const loaded = await answered(stored().then(({ db, loadBench }) => loadBench(db, id)))
    return loaded.ok ? loaded.value : loaded
  }
  const { bench, records, files } = open
  const kept = await answered(stored().then(({ db, belongingsOf }) => belongingsOf(db, id))).catch(() => ({
    records: [],
    files: [],
  }))
  return { bench, records: joined(records, kept.records), files: joined(files, kept.files) }
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
    const peeked = await answered(peekBench(id))
    const raw =
      peeked?.isLater === true
        ? { ...peeked, files: await answered(peekFiles(id)) }
        : (peeked ?? (await answered(stored().then(({ db, rawBench }) => rawBench(db, id)))))
    if (raw === null) return failed('There is no such bench in this browser any more.')
    const { row, records, files } = raw
    const text = plainBundle({ bench: documentOf(row), records, files })
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

/** A refusal in words. */
export function failed(message: string): Outcome<never> & { readonly ok: false } {
  return { ok: false, findings: [{ code: 'not-kept', severity: 'error', message }] }
}
