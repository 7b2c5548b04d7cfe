import type { Outcome } from '../core/units'

/** The text of a file, or why it is none. */
export async function readTextFile(file: File): Promise<Outcome<string>> {
  const { decodeText } = await import('../data/decode')
  return decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
}
