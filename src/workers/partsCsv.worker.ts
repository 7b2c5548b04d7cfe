import * as Comlink from 'comlink'
import type { Outcome } from '../core/units'
import { decodeText } from '../data/decode'
import { rowsFromCsv, type PartRows, type Room } from '../data/partsCsv'

/** Reads a parts list away from the page: twenty thousand rows take a while. */
export interface PartsCsvWorker {
  read(file: File, room: Room): Promise<Outcome<PartRows>>
}

const api: PartsCsvWorker = {
  async read(file, room) {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    return text.ok ? { ok: true, value: await rowsFromCsv(text.value, room), findings: text.findings } : text
  },
}

Comlink.expose(api)
