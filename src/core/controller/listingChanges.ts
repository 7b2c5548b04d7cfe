import type { Listed } from './listed'

/** What a key of a list was before and is now; null where it did not stand. */
export interface ListingChange {
  readonly key: string
  readonly before: string | null
  readonly after: string | null
}

/** Whether two listed values are the same: as numbers where both are, else to the letter. */
export function sameListed(p: string, q: string): boolean {
  return p === q || (p !== '' && q !== '' && Number(p) === Number(q))
}

/** What changed from one list to another, in the order of the later one; of a key that stands twice the last counts. */
export function listingChanges(before: readonly Listed[], after: readonly Listed[]): readonly ListingChange[] {
  const [was, is] = [before, after].map((list) => new Map(list.map((it) => [it.key, it.text])))
  const keys = [...new Set([...(is?.keys() ?? []), ...(was?.keys() ?? [])])]
  return keys.flatMap((key) => {
    const [p, q] = [was?.get(key) ?? null, is?.get(key) ?? null]
    return p !== null && q !== null && sameListed(p, q) ? [] : [{ key, before: p, after: q }]
  })
}
