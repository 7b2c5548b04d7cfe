import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { z } from 'zod'
import { accepted, refused, type Outcome } from '../core/units'
import { recordSchema } from '../core/bench'
import { readBench } from '../core/document'
import type { FileRow } from './database'
import type { BenchBundle } from './store'

/** The file's own version; the bench inside carries its own. */
const FILE_VERSION = 1
const MAX_BYTES = 256 * 1024 * 1024

const manifestSchema = z.strictObject({
  kind: z.literal('fine-kerf.file'),
  version: z.literal(FILE_VERSION),
  bench: z.unknown(),
  records: z.array(recordSchema),
  pictures: z.array(
    z.strictObject({ id: z.string(), recordId: z.string(), name: z.string(), type: z.string(), path: z.string() }),
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
  if (!manifest.success) {
    return {
      ok: false,
      findings: manifest.error.issues.map(({ path, message }) => ({
        code: 'damaged',
        severity: 'error' as const,
        path: path.map(String).join('.'),
        message: `bench.json, ${path.map(String).join('.')}: ${message}. Nothing was changed; open an earlier export.`,
      })),
    }
  }
  const { bench, records, pictures } = manifest.data
  const lost = pictures.filter(({ path }) => entries[path] === undefined)
  if (lost.length > 0) {
    return refused(
      'picture-missing',
      `“${name}” lacks ${lost.length} of its pictures (${lost.map((it) => it.name).join(', ')}). Open an earlier export.`,
    )
  }
  const files = pictures.map(({ path, ...picture }) => ({ ...picture, bytes: entries[path] ?? new Uint8Array() }))
  return bundleOf(bench, records, files)
}

function bundleOf(
  json: unknown,
  records: BenchBundle['records'],
  files: readonly Omit<FileRow, 'benchId'>[],
): Outcome<BenchBundle> {
  const read = readBench(json)
  if (!read.ok) return read
  const bench = read.value
  return accepted({ bench, records, files: files.map((file) => ({ ...file, benchId: bench.id })) })
}

interface Opened {
  readonly json: unknown
  readonly entries: Readonly<Record<string, Uint8Array>>
}

function open(bytes: Uint8Array, name: string): Outcome<Opened> {
  if (bytes.length === 0) return refused('empty', `“${name}” is empty. Export the bench again.`)
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b
  const entries = zipped ? unzip(bytes) : { 'bench.json': bytes }
  const text = entries?.['bench.json']
  if (entries === null)
    return refused('broken-zip', `“${name}” is a damaged ZIP. Copy it again from where it came, or open an earlier export.`)
  if (text === undefined) return refused('foreign', `“${name}” is a ZIP without bench.json, so it is no Fine Kerf bench.`)
  try {
    return accepted({ json: JSON.parse(strFromU8(text)) as unknown, entries })
  } catch (error) {
    const place = error instanceof Error ? ` (${error.message})` : ''
    return refused('not-json', `“${name}” cannot be read as a bench${place}. Choose a file ending in .bench.zip.`)
  }
}

function unzip(bytes: Uint8Array): Record<string, Uint8Array> | null {
  try {
    let total = 0
    return unzipSync(bytes, { filter: (file) => (total += file.originalSize) <= MAX_BYTES })
  } catch {
    return null
  }
}

/** The name under which a bench is exported: letters and digits of its own, and the day. */
export function benchFileName(name: string, day: string): string {
  const plain = name
    .trim()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
  return `${plain || 'bench'}-${day}.bench.zip`
}
