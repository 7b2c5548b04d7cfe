import { refused, accepted, type Outcome } from '../core/units'
import { recordSchema, type BenchRecord, type Mark } from '../core/bench'
import { readBench, type Bench } from '../core/document'
import type { BenchRow, Database, FileRow } from './database'
import { documentOf, rowOf, versionOf } from './row'

/** A bench with everything that belongs to it. */
export interface BenchBundle {
  readonly bench: Bench
  readonly records: readonly BenchRecord[]
  readonly files: readonly FileRow[]
}

/** Which state of which stored bench: a save that finds another was overtaken by another window. */
export interface Stand {
  readonly revision: number
  readonly birth: string
}

export interface OpenBench extends BenchBundle, Stand {
  readonly savedAt: string
  readonly marks: BenchRow['marks']
}

export type SaveResult =
  | { readonly kind: 'saved'; readonly revision: number; readonly savedAt: string }
  | { readonly kind: 'changed-elsewhere' }
  /** A newer Fine Kerf has migrated it: this one must not write its older shape over it. */
  | { readonly kind: 'newer' }
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
  const read = readBench(documentOf(row))
  if (!read.ok) return read
  const { records, files } = await belongingsOf(db, id)
  const { revision, birth = '', savedAt, marks } = row
  return accepted({
    bench: read.value,
    records,
    files,
    revision,
    birth,
    savedAt,
    marks,
  })
}

/** Records and pictures that are stored of a bench, whichever window wrote them. */
export async function belongingsOf(db: Database, id: string): Promise<Pick<BenchBundle, 'records' | 'files'>> {
  const records = await db.records.where('benchId').equals(id).toArray()
  const files = await db.files.where('benchId').equals(id).toArray()
  return {
    records: records.filter((it) => recordSchema.safeParse(it).success).sort((p, q) => p.at.localeCompare(q.at)),
    files,
  }
}

/** Where a stored bench stands; null where it is gone. */
export async function standOf(db: Database, id: string): Promise<Stand | null> {
  const row = await db.benches.get(id)
  return row === undefined ? null : standOfRow(row)
}

function standOfRow({ revision, birth = '' }: BenchRow): Stand {
  return { revision, birth }
}

function same(p: Stand, q: Stand): boolean {
  return p.revision === q.revision && p.birth === q.birth
}

/**
 * Saves a bench if nobody else has since.
 * @param expected Where it stood when it was read.
 */
export async function saveBench(
  db: Database,
  bench: Bench,
  marks: Readonly<Record<string, Mark | null>>,
  expected: Stand,
  now: string,
): Promise<SaveResult> {
  try {
    const row = rowOf(bench)
    return await db.transaction('rw', db.benches, async (): Promise<SaveResult> => {
      const stored = await db.benches.get(bench.id)
      if (stored !== undefined && versionOf(stored) > bench.version) return { kind: 'newer' }
      if (stored === undefined || !same(standOfRow(stored), expected)) return { kind: 'changed-elsewhere' }
      const revision = expected.revision + 1
      await db.benches.put({ ...row, revision, birth: expected.birth, savedAt: now, marks })
      return { kind: 'saved', revision, savedAt: now }
    })
  } catch (error) {
    return failure(error)
  }
}

/** Adds a bench with its records and pictures, all or nothing. @param birth Drawn for it. */
export async function addBundle(
  db: Database,
  bundle: BenchBundle,
  marks: Readonly<Record<string, Mark | null>>,
  now: string,
  birth: string,
): Promise<SaveResult> {
  try {
    return await db.transaction('rw', db.benches, db.records, db.files, async (): Promise<SaveResult> => {
      await db.benches.add({ ...rowOf(bundle.bench), revision: 1, birth, savedAt: now, marks })
      await db.records.bulkAdd([...bundle.records])
      await db.files.bulkAdd([...bundle.files])
      return { kind: 'saved', revision: 1, savedAt: now }
    })
  } catch (error) {
    return failure(error)
  }
}

/**
 * Appends a record with its pictures; nothing is ever edited. It rests on a bench as it was saved: where another window
 * has saved since, nothing is written.
 */
export async function addRecord(
  db: Database,
  record: BenchRecord,
  files: readonly FileRow[],
  expected: Stand,
): Promise<SaveResult> {
  try {
    return await db.transaction('rw', db.benches, db.records, db.files, async (): Promise<SaveResult> => {
      const stored = await db.benches.get(record.benchId)
      if (stored === undefined || !same(standOfRow(stored), expected)) return { kind: 'changed-elsewhere' }
      await db.records.add(record)
      await db.files.bulkAdd([...files])
      return { kind: 'saved', revision: expected.revision, savedAt: record.at }
    })
  } catch (error) {
    return failure(error)
  }
}

/** A bench as it is stored, whether or not it can be read here. */
export interface RawBench {
  readonly row: BenchRow
  readonly records: readonly unknown[]
  readonly files: readonly FileRow[]
}

/** What is stored of a bench, as it stands; null where there is none. */
export async function rawBench(db: Database, id: string): Promise<RawBench | null> {
  const row = await db.benches.get(id)
  if (row === undefined) return null
  const records = await db.records.where('benchId').equals(id).toArray()
  const files = await db.files.where('benchId').equals(id).toArray()
  return { row, records, files }
}

/** Deletes a bench with its records and pictures and gives back what was there, so that it can be put back. */
export async function deleteBench(db: Database, id: string): Promise<RawBench | null> {
  const there = await rawBench(db, id)
  await db.transaction('rw', db.benches, db.records, db.files, async () => {
    await db.benches.delete(id)
    await db.records.where('benchId').equals(id).delete()
    await db.files.where('benchId').equals(id).delete()
  })
  return there
}

/** Puts a deleted bench back as it stood, as another one than was there: no window goes on saving over it. */
export async function putBack(db: Database, { row, records, files }: RawBench, birth: string): Promise<SaveResult> {
  try {
    return await db.transaction('rw', db.benches, db.records, db.files, async (): Promise<SaveResult> => {
      await db.benches.add({ ...row, birth })
      await db.records.bulkAdd(records as BenchRecord[])
      await db.files.bulkAdd([...files])
      return { kind: 'saved', revision: row.revision, savedAt: row.savedAt }
    })
  } catch (error) {
    return failure(error)
  }
}

/** Ids of records and pictures that are stored already, of those asked for. */
export async function takenIds(db: Database, { records, files }: Pick<BenchBundle, 'records' | 'files'>): Promise<boolean> {
  const known = await db.records.bulkGet(records.map((it) => it.id))
  const pictures = await db.files.bulkGet(files.map((it) => it.id))
  return [...known, ...pictures].some((it) => it !== undefined)
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
