import * as Comlink from 'comlink'
import type { Outcome } from '../core/units'
import { decodeText } from '../data/decode'
import { readParts, type ReadParts } from '../data/partsCsv'

/** Reads a parts list away from the page: twenty thousand rows take a while. */
export interface PartsCsvWorker {
  read(file: File): Promise<Outcome<ReadParts>>
}

const api: PartsCsvWorker = {
  async read(file) {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    if (!text.ok) return text
    const { parts, findings } = await readParts(text.value)
    return { ok: true, value: { parts, findings }, findings: text.findings }
  },
}

Comlink.expose(api)
