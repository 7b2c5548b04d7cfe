import { refused, accepted, type Outcome } from '../core/units'
import { recordSchema, type BenchRecord, type Mark } from '../core/bench'
import { readBench, type Bench } from '../core/document'
import type { BenchRow, Database, FileRow } from './database'

/** A bench with everything that belongs to it. */
export interface BenchBundle {
  readonly bench: Bench
  readonly records: readonly BenchRecord[]
  readonly files: readonly FileRow[]
}

export interface OpenBench extends BenchBundle {
  readonly revision: number
  readonly savedAt: string
  readonly marks: BenchRow['marks']
}

export type SaveResult =
  | { readonly kind: 'saved'; readonly revision: number; readonly savedAt: string }
  | { readonly kind: 'changed-elsewhere' }
  | { readonly kind: 'full' }
  | { readonly kind: 'failed'; readonly message: string }

export type BenchSummary = Pick<BenchRow, 'id' | 'name' | 'about' | 'savedAt' | 'marks'>

/** All stored benches, last saved first. */
export async function listBenches(db: Database): Promise<BenchSummary[]> {
  const rows = await db.benches.orderBy('savedAt').reverse().toArray()
  return rows.map(({ id, name, about, savedAt, marks }) => ({ id, name, about, savedAt, marks }))
}

/** Reads a bench and what belongs to it; an unreadable one is left untouched. */
export async function loadBench(db: Database, id: string): Promise<Outcome<OpenBench>> {
  const row = await db.benches.get(id)
  if (row === undefined)
    return refused(
      'not-found',
      'There is no such bench in this browser. It may have been deleted, or it stands in another browser: open its file.',
    )
  const read = readBench(row.document)
  if (!read.ok) return read
  const records = await db.records.where('benchId').equals(id).toArray()
  const files = await db.files.where('benchId').equals(id).toArray()
  const { revision, savedAt, marks } = row
  return accepted({
    bench: read.value,
    records: records.filter((it) => recordSchema.safeParse(it).success).sort((p, q) => p.at.localeCompare(q.at)),
    files,
    revision,
    savedAt,
    marks,
  })
}

/**
 * Saves a bench if nobody else has since.
 * @param expected The revision it was read at; 0 for a new one.
 */
export async function saveBench(
  db: Database,
  bench: Bench,
  marks: Readonly<Record<string, Mark | null>>,
  expected: number,
  now: string,
): Promise<SaveResult> {
  try {
    return await db.transaction('rw', db.benches, async (): Promise<SaveResult> => {
      const stored = await db.benches.get(bench.id)
      if ((stored?.revision ?? 0) !== expected) return { kind: 'changed-elsewhere' }
      const revision = expected + 1
      await db.benches.put({ id: bench.id, name: bench.name, about: bench.about, revision, savedAt: now, marks, document: bench })
      return { kind: 'saved', revision, savedAt: now }
    })
  } catch (error) {
    return failure(error)
  }
}

/** Adds a bench with its records and pictures, all or nothing. */
export async function addBundle(
  db: Database,
  bundle: BenchBundle,
  marks: Readonly<Record<string, Mark | null>>,
  now: string,
): Promise<SaveResult> {
  try {
    return await db.transaction('rw', db.benches, db.records, db.files, async (): Promise<SaveResult> => {
      const { id, name, about } = bundle.bench
      await db.benches.add({ id, name, about, revision: 1, savedAt: now, marks, document: bundle.bench })
      await db.records.bulkAdd([...bundle.records])
      await db.files.bulkAdd([...bundle.files])
      return { kind: 'saved', revision: 1, savedAt: now }
    })
  } catch (error) {
    return failure(error)
  }
}

/** Appends a record with its pictures; nothing is ever edited. */
export async function addRecord(db: Database, record: BenchRecord, files: readonly FileRow[]): Promise<SaveResult> {
  try {
    await db.transaction('rw', db.records, db.files, async () => {
      await db.records.add(record)
      await db.files.bulkAdd([...files])
    })
    return { kind: 'saved', revision: 0, savedAt: record.at }
  } catch (error) {
    return failure(error)
  }
}

/** Deletes a bench with its records and pictures and gives back what was there, so that it can be put back. */
export async function deleteBench(db: Database, id: string): Promise<Outcome<BenchBundle>> {
  const bundle = await loadBench(db, id)
  await db.transaction('rw', db.benches, db.records, db.files, async () => {
    await db.benches.delete(id)
    await db.records.where('benchId').equals(id).delete()
    await db.files.where('benchId').equals(id).delete()
  })
  return bundle
}

/** Whether a bench is stored under an id. */
export async function hasBench(db: Database, id: string): Promise<boolean> {
  return (await db.benches.where('id').equals(id).count()) > 0
}

function failure(error: unknown): SaveResult {
  const names = [error, (error as { inner?: unknown }).inner].map((it) => (it instanceof Error ? it.name : ''))
  if (names.includes('QuotaExceededError')) return { kind: 'full' }
  return { kind: 'failed', message: error instanceof Error ? error.message : String(error) }
}

/** The same bundle under another id, with new ids for its records and pictures too. */
export function copyBundle(bundle: BenchBundle, newId: () => string, name: string): BenchBundle {
  const id = newId()
  const records = new Map(bundle.records.map((it) => [it.id, newId()]))
  const renamed = (old: string): string => records.get(old) ?? old
  return {
    bench: { ...bundle.bench, id, name },
    records: bundle.records.map((it) => ({ ...it, id: renamed(it.id), benchId: id, beneath: it.beneath.map(renamed) })),
    files: bundle.files.map((it) => ({ ...it, id: newId(), benchId: id, recordId: renamed(it.recordId) })),
  }
}
