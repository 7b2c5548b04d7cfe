import { passportOf, type Bench, type PassportSection } from '../core/document'
import { writePassport } from '../data/passportCsv'
import { useBenchStore } from './benchStore'
import { benchAlone } from './exporting'
import { told } from './told'
import type { Outcome } from '../core/units'

/** A file to be handed out. */
export interface Made {
  readonly name: string
  readonly bytes: Uint8Array
  readonly type: string
}

/** How a passport can leave. */
export const PASSPORT_FORMS = ['csv', 'json', 'bench'] as const
export type PassportForm = (typeof PASSPORT_FORMS)[number]

const fileName = ({ name }: Bench, ending: string): string =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, '-')}-passport-${new Date().toISOString().slice(0, 10)}.${ending}`

/** The passport of the open bench; empty where none is open. */
export function passportNow(): readonly PassportSection[] {
  const { bench, records } = useBenchStore.getState()
  return bench === null ? [] : passportOf(bench, records)
}

/** The passport as a file: a table, JSON, or a bench without its history that another person can start from. */
export async function passportFile(form: PassportForm): Promise<Outcome<Made>> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return { ok: false, findings: told('No bench is open.', 'no-bench') }
  const encode = (text: string): Uint8Array => new TextEncoder().encode(text)
  const made = async (): Promise<Made> => {
    switch (form) {
      case 'csv':
        return { name: fileName(bench, 'csv'), bytes: encode(await writePassport(passportNow())), type: 'text/csv' }
      case 'json': {
        const text = JSON.stringify({ machine: bench.name, about: bench.about, sections: passportNow() }, null, 2)
        return { name: fileName(bench, 'json'), bytes: encode(`${text}\n`), type: 'application/json' }
      }
      case 'bench': {
        const { name, bytes } = await benchAlone(bench)
        return { name, bytes, type: 'application/zip' }
      }
    }
  }
  try {
    return { ok: true, value: await made(), findings: [] }
  } catch (error) {
    return {
      ok: false,
      findings: told(
        `It could not be written: ${error instanceof Error ? error.message : String(error)}. Load the page again, then try once more.`,
      ),
    }
  }
}
