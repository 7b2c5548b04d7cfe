import { unzipSync } from 'fflate'
import { refused, accepted, type Outcome } from '../core/units'

/** Most bytes of all that a file holds, inflated, and of its text. */
const MOST_BYTES = 200 * 1024 * 1024
const MOST_ENTRIES = 5000

interface Entry {
  readonly name: string
  readonly size: number
  readonly crc: number
}

/**
 * Opens a ZIP whose every entry is checked: sizes are bounded before anything is inflated, and what comes out must have
 * the size and the checksum that the directory gives. The general library inflates; it does not check.
 * @returns Entries by name, or what is wrong in words.
 * Source: the ZIP application note, 4.3.12 (central directory) and 4.4.7 (CRC-32), from memory.
 */
export function openZip(bytes: Uint8Array, name: string): Outcome<ReadonlyMap<string, Uint8Array>> {
  const damaged = (why: string): Outcome<never> =>
    refused('broken-zip', `“${name}” is a damaged ZIP: ${why}. Copy it again from where it came, or open an earlier export.`)
  const entries = directoryOf(bytes)
  if (entries === null) return damaged('its directory cannot be read')
  const total = entries.reduce((sum, it) => sum + it.size, 0)
  if (total > MOST_BYTES || entries.length > MOST_ENTRIES) {
    return refused(
      'too-large',
      `“${name}” would take ${Math.round(total / 1e6)} MB in ${entries.length} parts when opened; up to 200 MB in ${MOST_ENTRIES} are read. It is no bench file that was exported here.`,
    )
  }
  const listed = new Map(entries.map((it) => [it.name, it]))
  if (listed.size !== entries.length) return damaged('two of its parts have one name')
  let opened: Record<string, Uint8Array>
  try {
    // An entry that claims another size in its own header than in the directory is not inflated at all.
    opened = unzipSync(bytes, { filter: (file) => listed.get(file.name)?.size === file.originalSize })
  } catch {
    return damaged('a part of it cannot be inflated')
  }
  const whole = new Map<string, Uint8Array>()
  for (const { name: part, size, crc } of entries) {
    const content = Object.hasOwn(opened, part) ? opened[part] : undefined
    if (content === undefined || content.length !== size || crc32(content) !== crc)
      return damaged(`“${part.slice(0, 60)}” is not what was written`)
    whole.set(part, content)
  }
  return accepted(whole)
}

const END = 0x06054b50
const FILE = 0x02014b50
const END_SIZE = 22
const LONGEST_COMMENT = 65_535

/** The entries that the central directory lists; null where it is none. */
function directoryOf(bytes: Uint8Array): readonly Entry[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let end = bytes.length - END_SIZE
  while (end >= 0 && end > bytes.length - END_SIZE - LONGEST_COMMENT && view.getUint32(end, true) !== END) end--
  if (end < 0 || view.getUint32(end, true) !== END) return null
  const count = view.getUint16(end + 10, true)
  let at = view.getUint32(end + 16, true)
  const found: Entry[] = []
  const text = new TextDecoder()
  for (let i = 0; i < count; i++) {
    if (at + 46 > bytes.length || view.getUint32(at, true) !== FILE) return null
    const [nameLength, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true)) as [
      number,
      number,
      number,
    ]
    found.push({
      name: text.decode(bytes.subarray(at + 46, at + 46 + nameLength)),
      size: view.getUint32(at + 24, true),
      crc: view.getUint32(at + 16, true),
    })
    at += 46 + nameLength + extra + comment
  }
  return found
}

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1
  return c >>> 0
})

/**
 * Checksum of bytes.
 * Source: ISO 3309 and ITU-T V.42, 8.1.1.6.2: polynomial 0xEDB88320, reflected (from memory).
 * @example crc32(new TextEncoder().encode('123456789')) // 0xCBF43926
 */
export function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff
  for (const byte of bytes) c = (TABLE[(c ^ byte) & 0xff] as number) ^ (c >>> 8)
  return (c ^ 0xffffffff) >>> 0
}
