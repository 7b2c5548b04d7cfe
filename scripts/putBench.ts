import type { Page } from '@playwright/test'
import type { BenchBundle } from '../src/data'

/** Puts a bench into the browser's store, as if it had been saved there; the page must have been to the list of benches. */
export async function putBench(page: Page, { bench, records, files }: BenchBundle): Promise<void> {
  const row = { id: bench.id, name: bench.name, about: bench.about, revision: 1, birth: bench.id, savedAt: bench.createdAt }
  const rows = {
    benches: [{ ...row, marks: {}, document: bench }],
    records,
    files: files.map((it) => ({ ...it, bytes: [...it.bytes] })),
  }
  // Whoever has been to the list of benches has the store.
  const isThere = async () => (await indexedDB.databases()).some(({ name }) => name === 'fine-kerf')
  while (!(await page.evaluate(isThere))) await page.waitForTimeout(50)
  await page.evaluate(putRows, rows)
}

/** Runs in the page: writes rows into the browser's own store. */
async function putRows(rows: Readonly<Record<string, readonly unknown[]>>): Promise<void> {
  const done = <T>(request: IDBRequest<T>): Promise<T> =>
    new Promise((resolve, reject) => {
      request.onsuccess = () => resolve(request.result)
      request.onerror = () => reject(request.error ?? new Error('the store did not take it'))
    })
  const db = await done(indexedDB.open('fine-kerf'))
  const stores = db.transaction(Object.keys(rows), 'readwrite')
  for (const [name, all] of Object.entries(rows)) {
    for (const row of all as { readonly bytes?: readonly number[] }[]) {
      await done(stores.objectStore(name).put(row.bytes === undefined ? row : { ...row, bytes: new Uint8Array(row.bytes) }))
    }
  }
  db.close()
}
