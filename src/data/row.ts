import type { Bench } from '../core/document'

interface Kept {
  readonly id: string
  readonly name: string
  readonly about: string
  readonly version: number
  readonly document: string
}

/** What a row of the store keeps of a document. */
export function rowOf(bench: Bench): Kept {
  const { id, name, about, version } = bench
  return { id, name, about, version, document: JSON.stringify(bench) }
}

/** The document of a row, whichever way it was kept; text that is none is given as it stands, to be refused. */
export function documentOf({ document }: { readonly document: unknown }): unknown {
  if (typeof document !== 'string') return document
  try {
    return JSON.parse(document) as unknown
  } catch {
    return document
  }
}

/** Version of the document of a row; 0 where it has none. */
export function versionOf(row: { readonly document: unknown; readonly version?: number }): number {
  const noted = typeof row.document === 'string' ? row.version : undefined
  const version = noted ?? (documentOf(row) as { version?: unknown } | null)?.version
  return typeof version === 'number' ? version : 0
}
