import type { Bench } from '../core/document'
import type { BenchBundle } from './store'

/** The same bundle under another id, with new ids for its records and pictures too; what names a record names it anew. */
export function copyBundle(bundle: BenchBundle, newId: () => string, name: string): BenchBundle {
  const id = newId()
  const records = new Map(bundle.records.map((it) => [it.id, newId()]))
  const renamed = (old: string): string => records.get(old) ?? old
  return {
    bench: { ...renamedWithin(bundle.bench, renamed), id, name },
    records: bundle.records.map((it) => ({ ...it, id: renamed(it.id), benchId: id, beneath: it.beneath.map(renamed) })),
    files: bundle.files.map((it) => ({ ...it, id: newId(), benchId: id, recordId: renamed(it.recordId) })),
  }
}

/** The records that settings of the book and artwork are kept under, by their new ids. */
function renamedWithin(bench: Bench, renamed: (old: string) => string): Bench {
  const each = <T>(of: Readonly<Record<string, T>>, change: (it: T) => T): Readonly<Record<string, T>> =>
    Object.fromEntries(Object.entries(of).map(([id, it]) => [id, change(it)]))
  const kept = <T extends { readonly record: string }>(it: T): T => ({ ...it, record: renamed(it.record) })
  const materials = each(bench.burns.materials, (it) => ({ ...it, settings: each(it.settings, kept) }))
  const orders = each(bench.work.kept, (it) => ({ ...it, pieces: each(it.pieces, kept) }))
  return {
    ...bench,
    burns: { ...bench.burns, materials },
    work: { ...bench.work, pieces: each(bench.work.pieces, kept), kept: orders },
  }
}
