import * as Comlink from 'comlink'
import type { Outcome } from '../core/units'
import type { BenchBundle } from '../data'
import type { BenchFileWorker } from '../workers/benchFile.worker'

/** Reads a bench file in a worker of its own, which ends with it. @throws {Error} where its code cannot be fetched. */
export async function readInWorker(file: File): Promise<Outcome<BenchBundle>> {
  const worker = new Worker(new URL('../workers/benchFile.worker.ts', import.meta.url), { type: 'module' })
  try {
    const gone = new Promise<never>((_, fail) => {
      worker.onerror = () => fail(new Error('the code that reads it could not be fetched; load the page again'))
    })
    return await Promise.race([Comlink.wrap<BenchFileWorker>(worker).read(file), gone])
  } finally {
    worker.terminate()
  }
}
