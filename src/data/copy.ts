import type { BenchBundle } from './store'

/** The same bundle under another id, with new ids for its records and pictures too. */
export function copyBundle(bundle: BenchBundle, newId: () => string, name: string): BenchBundle {
  const id = newId()
  const records = new Map(bundle.records.map((it) => [it.id, newId()]))
  const renamed = (old: string): string => records.get(old) ?? old
  return {
    bench: { ...bundle.bench, id, name },
    records: bundle.records.map((it) => ({ ...it, id: renamed(it.id), benchId: id, beneath: it.beneath.map(renamed) })),
    files: bundle.files.map((it) => ({ ...it, id: newId(), benchId: id, recordId: renamed(it.recordId) })),
  }
}
