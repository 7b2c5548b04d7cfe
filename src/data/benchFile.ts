import { strToU8, zipSync } from 'fflate'
import { z } from '../core/zod'
import { accepted, refused, type Finding, type Outcome } from '../core/units'
import { recordSchema, type BenchRecord } from '../core/bench'
import { readBench } from '../core/document'
import type { FileRow } from './database'
import { copyBundle } from './copy'
import type { BenchBundle } from './store'
import { openZip } from './zip'

/** The file's own version; the bench inside carries its own. */
const FILE_VERSION = 1
/** Largest text of a bench, and how deep and how long it may be: far beyond any bench there is. */
const MOST_TEXT = 48 * 1024 * 1024
const DEEPEST = 60
const MOST_PARTS = 3_000_000
/** Findings that are given word for word. */
const MOST_FINDINGS = 20
/** An id that can stand in an address and a path. */
const ID = /^[A-Za-z0-9_-]{1,40}$/
const PICTURE = /^pictures\/[A-Za-z0-9_-]{1,40}$/

const manifestSchema = z.strictObject({
  kind: z.literal('fine-kerf.file'),
  version: z.literal(FILE_VERSION),
  bench: z.unknown(),
  records: z.array(z.unknown()),
  pictures: z.array(
    z.strictObject({
      id: z.string(),
      recordId: z.string(),
      name: z.string(),
      type: z.string(),
      path: z.string(),
      /** In place of an entry of the ZIP, where the file is plain text. */
      base64: z.string().optional(),
    }),
  ),
})

/** A bench file: a ZIP with `bench.json` and the pictures beside it. The inverse of `readBenchFile`. */
export function writeBenchFile({ bench, records, files }: BenchBundle): Uint8Array {
  const pictures = files.map(({ id, recordId, name, type }) => ({ id, recordId, name, type, path: `pictures/${id}` }))
  const manifest = { kind: 'fine-kerf.file', version: FILE_VERSION, bench, records, pictures }
  const entries = Object.fromEntries(files.map(({ id, bytes }) => [`pictures/${id}`, [bytes, { level: 0 }] as const]))
  return zipSync({ 'bench.json': strToU8(JSON.stringify(manifest, null, 2)), ...entries })
}

/**
 * Reads a bench file, or a bare `bench.json`.
 * @returns The bundle exactly as it was written, or every finding; the file is never changed.
 */
export function readBenchFile(bytes: Uint8Array, name: string): Outcome<BenchBundle> {
  const opened = open(bytes, name)
  if (!opened.ok) return opened
  const { json, entries } = opened.value
  const bare = z.object({ kind: z.literal('fine-kerf.bench') }).safeParse(json)
  if (bare.success) return bundleOf(json, [], [])
  const kind = z.object({ kind: z.literal('fine-kerf.file'), version: z.number() }).safeParse(json)
  if (!kind.success)
    return refused('foreign', `“${name}” is not a Fine Kerf bench file. Choose one ending in .bench.zip that was exported here.`)
  if (kind.data.version > FILE_VERSION) {
    return refused(
      'newer',
      `“${name}” was written by a newer Fine Kerf. It was left untouched. Update Fine Kerf, then open it again.`,
    )
  }
  const manifest = manifestSchema.safeParse(json)
  if (!manifest.success) return damaged(manifest.error.issues)
  const { bench, pictures } = manifest.data
  const records: BenchRecord[] = []
  for (const [i, raw] of manifest.data.records.entries()) {
    const record = recordSchema.safeParse(raw)
    if (record.success) records.push(record.data)
    // One says enough: the file is not taken in, and thousands of wrong ones would not say more.
    else return damaged(record.error.issues.map((it) => ({ ...it, path: ['records', i, ...it.path] })))
  }
  const strange = pictures.filter(({ path }) => !PICTURE.test(path))
  if (strange.length > 0) {
    return refused(
      'picture-path',
      `“${name}” keeps pictures where none belong (${strange[0]?.path.slice(0, 60) ?? ''}). It was not written here; open an export of Fine Kerf.`,
    )
  }
  const read = pictures.map(({ path, base64, ...picture }) => ({
    picture,
    bytes: base64 === undefined ? entries.get(path) : fromBase64(base64),
  }))
  const lost = read.filter((it) => it.bytes === undefined || it.bytes === null).map((it) => it.picture)
  if (lost.length > 0) {
    return refused(
      'picture-missing',
      `“${name}” lacks ${lost.length} of its pictures (${lost.map((it) => it.name).join(', ')}). Open an earlier export.`,
    )
  }
  return bundleOf(
    bench,
    records,
    read.map(({ picture, bytes }) => ({ ...picture, bytes: bytes ?? new Uint8Array() })),
  )
}

function restOf(count: number): Finding[] {
  if (count <= MOST_FINDINGS) return []
  return [{ code: 'more', severity: 'error', message: `And ${count - MOST_FINDINGS} more of the kind.` }]
}

function fromBase64(text: string): Uint8Array | null {
  try {
    return Uint8Array.from(atob(text), (it) => it.charCodeAt(0))
  } catch {
    return null
  }
}

/** The bundle with its records and pictures its own, under ids that can stand in an address; others are drawn anew. */
function bundleOf(
  json: unknown,
  records: BenchBundle['records'],
  files: readonly Omit<FileRow, 'benchId'>[],
): Outcome<BenchBundle> {
  const read = readBench(json)
  if (!read.ok) return { ok: false, findings: [...read.findings.slice(0, MOST_FINDINGS), ...restOf(read.findings.length)] }
  const bench = read.value
  const bundle: BenchBundle = {
    bench,
    records: records.map((it) => ({ ...it, benchId: bench.id })),
    files: files.map((it) => ({ ...it, benchId: bench.id })),
  }
  const ids = [...records, ...files].map((it) => it.id)
  const fine = ID.test(bench.id) && ids.every((id) => ID.test(id)) && new Set(ids).size === ids.length
  return accepted(fine ? bundle : copyBundle(bundle, drawnId, bench.name))
}

/** What is wrong with the file's own list, as findings; a few of them. */
function damaged(issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]): Outcome<never> {
  const shown = issues.slice(0, MOST_FINDINGS).map(({ path, message }) => ({
    code: 'damaged',
    severity: 'error' as const,
    path: path.map(String).join('.'),
    message: `bench.json, ${path.map(String).join('.')}: ${message}. Nothing was changed; open an earlier export.`,
  }))
  return { ok: false, findings: [...shown, ...restOf(issues.length)] }
}

function drawnId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12))
  return Array.from(bytes, (byte) => (byte % 36).toString(36)).join('')
}

interface Opened {
  readonly json: unknown
  readonly entries: ReadonlyMap<string, Uint8Array>
}

function open(bytes: Uint8Array, name: string): Outcome<Opened> {
  if (bytes.length === 0) return refused('empty', `“${name}” is empty. Export the bench again.`)
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b
  const unzipped = zipped ? openZip(bytes, name) : accepted(new Map([['bench.json', bytes]]))
  if (!unzipped.ok) return unzipped
  const entries = unzipped.value
  const text = entries.get('bench.json')
  if (text === undefined) return refused('foreign', `“${name}” is a ZIP without bench.json, so it is no Fine Kerf bench.`)
  if (text.length > MOST_TEXT)
    return refused(
      'too-large',
      `“${name}” holds ${Math.round(text.length / 1e6)} MB of text; no bench is so long. It was not opened.`,
    )
  try {
    const json = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(text)) as unknown
    const beyond = beyondBounds(json)
    if (beyond !== null)
      return refused('too-deep', `“${name}” ${beyond}: it is no bench that was exported here. It was not opened.`)
    return accepted({ json, entries })
  } catch (error) {
    const place = error instanceof Error ? ` (${error.message.slice(0, 120)})` : ''
    return refused('not-json', `“${name}” cannot be read as a bench${place}. Choose a file ending in .bench.zip.`)
  }
}

/** Walks a document without recursion, so that depth cannot break the walk. @returns What is beyond bounds, or null. */
function beyondBounds(root: unknown): string | null {
  const waiting: { readonly node: object; readonly depth: number }[] = []
  let parts = 0
  const take = (node: unknown, depth: number): void => {
    if (typeof node === 'object' && node !== null) waiting.push({ node, depth })
  }
  take(root, 1)
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
    if (at.depth > DEEPEST) return `nests more than ${DEEPEST} deep`
    for (const key of Object.keys(at.node)) {
      if (key === '__proto__' || key === 'constructor' || key === 'prototype') return `has a part called “${key}”`
      if (++parts > MOST_PARTS) return 'has more parts than any bench'
      take((at.node as Record<string, unknown>)[key], at.depth + 1)
    }
  }
  return null
}

/** The name under which a bench is exported: letters and digits of its own, and the day. */
export function benchFileName(name: string, day: string): string {
  const plain = name
    .trim()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
  return `${plain || 'bench'}-${day}.bench.zip`
}
