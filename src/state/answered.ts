/** How long the browser's storage may take to answer, ms. */
const STORAGE_PATIENCE = 5000

/** Ends a wait for storage that never answers. @throws {Error} in words. */
export function answered<T>(wait: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error('the storage of this browser does not answer')), STORAGE_PATIENCE)
  })
  return Promise.race([wait, late]).finally(() => clearTimeout(timer))
}
