import { createElement, useEffect, useState, type ComponentType } from 'react'

const registered: (() => Promise<unknown>)[] = []

/**
 * A component whose code is not in the first picture. It is fetched when first drawn, or by `fetchLater` before that;
 * once it is here it is drawn at once, with no wait in between, so that a key pressed after a click meets it. Until then
 * nothing stands in its place. A failure to fetch is thrown where it is drawn.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  let loaded: ComponentType<P> | null = null
  const fetchIt = async (): Promise<void> => {
    loaded = await load()
  }
  registered.push(fetchIt)
  return function Later(props: P) {
    const [, setCame] = useState(loaded !== null)
    const [failure, setFailure] = useState<{ readonly error: unknown } | null>(null)
    useEffect(() => {
      if (loaded !== null) return
      fetchIt().then(
        () => setCame(true),
        (error: unknown) => setFailure({ error }),
      )
    }, [])
    if (failure !== null) throw failure.error
    return loaded === null ? null : createElement(loaded, props)
  }
}

/** Fetches what was put off, when there is nothing better to do; a failure is told when the part is drawn. */
export async function fetchLater(): Promise<void> {
  await Promise.allSettled(registered.map(async (fetchIt) => fetchIt()))
}
