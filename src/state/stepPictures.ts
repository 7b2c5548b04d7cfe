const CACHE = 'fine-kerf.step-pictures'

/** Where a picture of a step waits until the step is done. */
function keyOf(step: string, name: string): string {
  return `/step-pictures/${encodeURIComponent(step)}/${encodeURIComponent(name)}`
}

/** Keeps the pictures that were taken of a step over a reload; where the browser has no such store they last as long as the page. */
export async function keepStepPictures(step: string, pictures: readonly File[]): Promise<void> {
  if (typeof caches === 'undefined') return
  const store = await caches.open(CACHE)
  const before = await keysOf(store, step)
  const now = pictures.map((it) => keyOf(step, it.name))
  await Promise.all(before.filter((it) => !now.includes(new URL(it.url).pathname)).map((it) => store.delete(it)))
  await Promise.all(
    pictures.map((it) => store.put(keyOf(step, it.name), new Response(it, { headers: { 'content-type': it.type } }))),
  )
}

/** The pictures that were kept of a step. */
export async function keptStepPictures(step: string): Promise<readonly File[]> {
  if (typeof caches === 'undefined') return []
  const store = await caches.open(CACHE)
  const keys = await keysOf(store, step)
  const files = keys.map(async (key) => {
    const found = await store.match(key)
    if (found === undefined) return []
    const name = decodeURIComponent(new URL(key.url).pathname.split('/').at(-1) ?? 'picture')
    return [new File([await found.blob()], name, { type: found.headers.get('content-type') ?? '' })]
  })
  return (await Promise.all(files)).flat()
}

async function keysOf(store: Cache, step: string): Promise<readonly Request[]> {
  const own = keyOf(step, '')
  return (await store.keys()).filter((it) => new URL(it.url).pathname.startsWith(own))
}
