/** A new id that is never used again: 12 letters and digits from the browser's own random source. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12))
  return Array.from(bytes, (byte) => (byte % 36).toString(36)).join('')
}

/** Many new ids at once: the browser is asked for its random bytes by the thousand. */
export function newIds(count: number): readonly string[] {
  const ids: string[] = []
  while (ids.length < count) {
    const bytes = crypto.getRandomValues(new Uint8Array(12 * Math.min(5000, count - ids.length)))
    for (let at = 0; at < bytes.length; at += 12) {
      let id = ''
      for (let k = at; k < at + 12; k++) id += ((bytes[k] ?? 0) % 36).toString(36)
      ids.push(id)
    }
  }
  return ids
}
