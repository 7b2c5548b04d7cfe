import { fits, type BenchRecord } from '../core/bench'
import { BENCH_VERSION, benchShape, type Bench } from '../core/document'
import { accepted, type Outcome } from '../core/units'
import type { OpenBench } from '../data'
import { peekBench } from '../data/peek'
import { documentOf } from '../data/row'
import { answered } from './answered'
import { closeInStore, useBenchStore } from './benchStore'
import { loadChecking, noteSound } from './checking'
import { stored } from './stored'
import { DONE, told, type Told } from './told'

/**
 * A stored bench with all that belongs to it. One that this version has kept is shown as soon as its shape is as it should
 * be, and checked by its schema after that (`checkOpen`); any other goes through migrations and schema first.
 */
export async function loadFromStore(id: string): Promise<Outcome<OpenBench & { readonly areLater?: boolean }>> {
  const raw = await answered(peekBench(id))
  const document = raw === null ? null : documentOf(raw.row)
  if (raw !== null && isAsKept(document)) {
    const { revision, birth = '', savedAt, marks } = raw.row
    const records = raw.records.filter(isRecord).sort((p, q) => p.at.localeCompare(q.at))
    return accepted({ bench: document, records, files: raw.files, revision, birth, savedAt, marks, areLater: raw.isLater })
  }
  const { db, loadBench } = await stored()
  return answered(loadBench(db, id))
}

function isAsKept(document: unknown): document is Bench {
  return (document as Partial<Bench> | null)?.version === BENCH_VERSION && fits(benchShape, document)
}

/** A look at what a record must have to be listed and compared; the schema has the last word. */
function isRecord(node: unknown): node is BenchRecord {
  const { id, at, title, note, read, gave, beneath } = node as Partial<Record<string, unknown>>
  return [id, at, title, note].every((it) => typeof it === 'string') && [read, gave, beneath].every((it) => Array.isArray(it))
}

/**
 * Checks the open bench and its records by their schemas. Where only an edit made before the schemas were here does not
 * stand, the bench goes back to what is stored; a stored bench that does not stand is put away, with what is wrong.
 * @returns What was taken back, to be said; empty when nothing was.
 */
export async function checkOpen(): Promise<Told> {
  const { benchSchema, readBench, recordSchema } = await loadChecking()
  const { bench, saved, records, edit } = useBenchStore.getState()
  if (bench === null) return DONE
  let back = DONE
  if (benchSchema.safeParse(bench).success) noteSound(bench)
  else {
    const read = readBench(bench)
    if (saved !== null && saved !== bench && benchSchema.safeParse(saved).success) {
      useBenchStore.setState({ bench: saved })
      // An undo must not bring it back.
      useBenchStore.temporal.getState().clear()
      back = told(`${edit || 'The last edit'} was taken back: ${read.findings[0]?.message ?? 'it cannot stand on a bench'}`)
    } else {
      closeInStore()
      useBenchStore.setState({ refused: { id: bench.id, findings: read.findings } })
      return DONE
    }
  }
  const sound = records.filter((it) => recordSchema.safeParse(it).success)
  if (sound.length < records.length) useBenchStore.setState({ records: sound })
  return back
}
