import * as Comlink from 'comlink'

/**
 * Asks a worker of its own one thing; it ends with the answer.
 * @throws {Error} where its code cannot be fetched, or what it threw.
 */
export async function askOnce<Api, T>(worker: Worker, ask: (remote: Comlink.Remote<Api>) => Promise<T>): Promise<T> {
  try {
    const gone = new Promise<never>((_, fail) => {
      worker.onerror = () => fail(new Error('the code that reads it could not be fetched; load the page again'))
    })
    return await Promise.race([ask(Comlink.wrap<Api>(worker)), gone])
  } finally {
    worker.terminate()
  }
}
