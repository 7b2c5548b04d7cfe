import * as Comlink from 'comlink'
import type { Outcome } from '../core/units'
import { readBenchFile } from '../data/benchFile'
import type { BenchBundle } from '../data'

/** Reads a bench file away from the page. */
export interface BenchFileWorker {
  read(file: File): Promise<Outcome<BenchBundle>>
}

const api: BenchFileWorker = {
  read: async (file) => readBenchFile(new Uint8Array(await file.arrayBuffer()), file.name),
}

Comlink.expose(api)
