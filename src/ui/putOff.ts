/** Where code that was put off stands. */
export type Standing<T> =
  | { readonly kind: 'away' | 'coming' }
  | { readonly kind: 'here'; readonly it: T }
  | { readonly kind: 'failed'; readonly message: string }

/** Code that is not in the first picture: fetched once, asked for as often as one likes. */
export interface PutOff<T> {
  readonly standing: () => Standing<T>
  /** Fetches it, unless it is here or coming; after a failure it is tried again. Never throws. */
  readonly fetch: () => Promise<void>
  /** Tells when it stands otherwise. @returns Stops telling. */
  readonly listen: (listener: () => void) => () => void
}

/** @param load Imports the code; may be called again where it failed. */
export function putOff<T>(load: () => Promise<T>): PutOff<T> {
  let standing: Standing<T> = { kind: 'away' }
  let coming: Promise<void> | null = null
  const listeners = new Set<() => void>()
  const stand = (next: Standing<T>): void => {
    standing = next
    for (const listener of listeners) listener()
  }
  const fetchIt = async (): Promise<void> => {
    stand({ kind: 'coming' })
    try {
      stand({ kind: 'here', it: await load() })
    } catch (error) {
      stand({ kind: 'failed', message: error instanceof Error ? error.message : String(error) })
    }
    coming = null
  }
  return {
    standing: () => standing,
    fetch() {
      if (standing.kind === 'here') return Promise.resolve()
      coming ??= fetchIt()
      return coming
    },
    listen(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
