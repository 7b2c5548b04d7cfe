import { BENCH_VERSION } from '../core/document'
import type { FileRow } from './database'
import { DATABASE } from './name'
import type { RawBench } from './store'

/** What the browser counts as the database's version: Dexie counts tenths. */
const VERSION = BENCH_VERSION * 10

/** So many files are read with the bench; more of them come behind it, so that nothing waits for a hundred megabytes. */
const AT_ONCE = 60

/** What is stored of a bench; its files may be so many that they are to be read later (`peekFiles`). */
export interface Peeked extends RawBench {
  readonly isLater: boolean
}

/** Reads all files of a bench. @throws {Error} where the browser's storage cannot be read. */
export async function peekFiles(id: string): Promise<readonly FileRow[]> {
  const db = await openAsItIs()
  if (db === null) return []
  try {
    const store = db.transaction('files', 'readonly').objectStore('files')
    return (await done(store.index('benchId').getAll(id) as IDBRequest<unknown[]>)) as FileRow[]
  } finally {
    db.close()
  }
}

/**
 * Reads what is stored of a bench, without any library, so that the first picture need not wait for one; and so that a
 * bench can be taken out as a file when nothing else can be fetched any more.
 * @returns Null where there is no such bench, or the store is of another version or not as it should be: then `Database` has
 * to look. @throws {Error} where the browser's storage cannot be read.
 */
export async function peekBench(id: string): Promise<Peeked | null> {
  if (typeof indexedDB === 'undefined') return null
  const db = await openAsItIs()
  if (db === null) return null
  try {
    const names = ['benches', 'records', 'files']
    if (db.version !== VERSION || !names.every((it) => db.objectStoreNames.contains(it))) return null
    const stores = db.transaction(names, 'readonly')
    const of = (name: string): IDBRequest<unknown[]> => stores.objectStore(name).index('benchId').getAll(id)
    const [row, records, count] = await Promise.all([
      done(stores.objectStore('benches').get(id) as IDBRequest<RawBench['row'] | undefined>),
      done(of('records')),
      done(stores.objectStore('files').index('benchId').count(id)),
    ])
    if (row === undefined) return null
    const isLater = count > AT_ONCE
    return { row, records, files: isLater ? [] : ((await done(of('files'))) as FileRow[]), isLater }
  } finally {
    db.close()
  }
}

/** The database as it stands; null where there is none yet, which is left so. */
function openAsItIs(): Promise<IDBDatabase | null> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(DATABASE)
    let isNew = false
    request.onupgradeneeded = () => {
      isNew = true
      request.transaction?.abort()
    }
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => (isNew ? resolve(null) : reject(errorOf(request)))
  })
}

function done<T>(request: IDBRequest<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(errorOf(request))
  })
}

function errorOf({ error }: IDBRequest): Error {
  return error ?? new Error('the storage of this browser does not answer')
}
