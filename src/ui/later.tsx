import { useEffect, useSyncExternalStore, type ComponentType } from 'react'
import { putOff, type PutOff } from './putOff'

const registered: PutOff<unknown>[] = []
/** Whether the first picture stands: until then nothing that can wait is fetched. */
let rests = false

/**
 * A component whose code is not in the first picture. It is fetched when first drawn, or by `fetchLater` before that;
 * once it is here it is drawn at once, with no wait in between, so that a key pressed after a click meets it. Until then
 * nothing stands in its place. What is drawn with the first picture but not needed for it waits until that is `at rest`. Where it cannot be fetched, that is said in its place, with what to do.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  when: 'drawn' | 'at rest' = 'drawn',
): ComponentType<P> {
  const part = putOff(load)
  registered.push(part)
  return function Later(props: P) {
    const standing = useSyncExternalStore(part.listen, part.standing)
    useEffect(() => {
      if (standing.kind === 'away' && (when === 'drawn' || rests)) void part.fetch()
    }, [standing.kind])
    if (standing.kind === 'failed') return <NotHere message={standing.message} />
    if (standing.kind !== 'here') return null
    const Part = standing.it
    return <Part {...props} />
  }
}

/** A browser remembers that a module could not be fetched until the page is loaded anew; what is typed survives that. */
function NotHere({ message }: { readonly message: string }) {
  return (
    <span role="alert" className="my-1 block border-l-2 border-stop pl-2 text-[13px]">
      This part could not be loaded: {message}. What you entered is kept, half-typed fields too; see that Fine Kerf’s own server
      runs, then{' '}
      <button type="button" className="link" onClick={() => location.reload()}>
        load the page again
      </button>
      .
    </span>
  )
}

/** Fetches what was put off, when there is nothing better to do; a failure is told where the part is drawn. */
export async function fetchLater(): Promise<void> {
  rests = true
  await Promise.all(registered.map((it) => it.fetch()))
}
