import { accepted, refused, type Finding, type Outcome } from '../core/units'

/** How much of a text is looked at to tell what it is. */
const HEAD = 4096

/**
 * The text of a file, in whatever encoding: UTF-8, UTF-16 with or without its mark, else Western (Windows-1252), which is
 * said. Nothing is altered in silence: what is no text at all is refused.
 * @param name Of the file, for the words.
 */
export function decodeText(bytes: Uint8Array, name: string): Outcome<string> {
  const wide = wideEncoding(bytes)
  if (wide !== null) return fatal(bytes, wide) ?? notText(name)
  if (bytes.subarray(0, HEAD).includes(0)) return notText(name)
  const plain = fatal(bytes, 'utf-8')
  if (plain !== null) return plain
  const text = new TextDecoder('windows-1252').decode(bytes)
  if (Array.from(text.slice(0, HEAD)).some(isControl)) return notText(name)
  const said: Finding = {
    code: 'encoding',
    severity: 'warning',
    message: `“${name}” is not UTF-8. It was read as Western text (Windows-1252): check letters with accents and the signs for degree and micro.`,
  }
  return accepted(text, [said])
}

function fatal(bytes: Uint8Array, encoding: string): Outcome<string> | null {
  try {
    return accepted(new TextDecoder(encoding, { fatal: true }).decode(bytes))
  } catch {
    return null
  }
}

/** UTF-16 by its mark, or by every second byte of its beginning being 0; null for anything else. */
function wideEncoding(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  const head = bytes.subarray(0, HEAD)
  const zeros = (odd: 0 | 1): number => head.filter((byte, i) => byte === 0 && i % 2 === odd).length
  const [even, odd] = [zeros(0), zeros(1)]
  const many = Math.max(2, head.length / 4)
  if (odd >= many && even < head.length / 64 + 1) return 'utf-16le'
  return even >= many && odd < head.length / 64 + 1 ? 'utf-16be' : null
}

function notText(name: string): Outcome<never> {
  return refused(
    'not-text',
    `“${name}” is no text: it looks like a picture or another program's own file. Choose the file as text.`,
  )
}

/** A control character that no text has: none of tab, line feed, form feed and carriage return. */
function isControl(sign: string): boolean {
  const code = sign.charCodeAt(0)
  return code < 9 || (code > 13 && code < 32)
}
