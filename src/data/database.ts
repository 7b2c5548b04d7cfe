import Dexie, { type Table } from 'dexie'
import { BENCH_VERSION, readBench } from '../core/document'
import type { BenchRecord, Mark } from '../core/bench'
import { DATABASE } from './name'
import { documentOf, rowOf } from './row'

/** A bench as it is stored. */
export interface BenchRow {
  readonly id: string
  readonly name: string
  readonly about: string
  /** Counts saves; a save that finds another count was overtaken by another window. */
  readonly revision: number
  /** Drawn when it was put here: a bench that was deleted and put back is another one, whatever its revision. */
  readonly birth?: string
  readonly savedAt: string
  /** The stages' marks when it was last saved, shown until they are worked again. */
  readonly marks: Readonly<Record<string, Mark | null>>
  /** The document as text, for a browser takes text over in a fraction of the time; up to version 6 it was kept as it is. */
  readonly document: unknown
  /** Version of the document; rows from before it was noted say it in the document alone. */
  readonly version?: number
}

/** A picture, kept beside the bench it belongs to. */
export interface FileRow {
  readonly id: string
  readonly benchId: string
  /** The record it illustrates. */
  readonly recordId: string
  readonly name: string
  readonly type: string
  readonly bytes: Uint8Array
}

/** The browser's database. Its version goes up with the document's; stored benches are migrated with it. */
export class Database extends Dexie {
  declare readonly benches: Table<BenchRow, string>
  declare readonly records: Table<BenchRecord, string>
  declare readonly files: Table<FileRow, string>

  constructor(name = DATABASE) {
    super(name)
    this.version(BENCH_VERSION)
      .stores({ benches: 'id, savedAt', records: 'id, benchId', files: 'id, benchId, recordId' })
      .upgrade((transaction) => transaction.table<BenchRow>('benches').toCollection().modify(migrateRow))
  }
}

/** A bench that cannot be migrated stays as it is and is refused with its findings when it is opened. */
function migrateRow(row: { document: unknown; version?: number }): void {
  const read = readBench(documentOf(row))
  if (read.ok) Object.assign(row, rowOf(read.value))
}
