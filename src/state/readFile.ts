import type { Outcome } from '../core/units'
import type { BenchBundle } from '../data'
import type { BenchFileWorker } from '../workers/benchFile.worker'
import { askOnce } from './askOnce'

/** Reads a bench file in a worker of its own. @throws {Error} where its code cannot be fetched. */
export function readInWorker(file: File): Promise<Outcome<BenchBundle>> {
  const worker = new Worker(new URL('../workers/benchFile.worker.ts', import.meta.url), { type: 'module' })
  return askOnce<BenchFileWorker, Outcome<BenchBundle>>(worker, (remote) => remote.read(file))
}
