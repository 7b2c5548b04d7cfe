/** A new id that is never used again: 12 letters and digits from the browser's own random source. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12))
  return Array.from(bytes, (byte) => (byte % 36).toString(36)).join('')
}
