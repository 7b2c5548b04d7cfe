import { vi } from 'vitest'

type Listener = (event: MessageEvent) => void

/**
 * Stands in for the browser's workers in a test without one: the worker's own module runs here, and what is said
 * between the two is cloned as between a page and its worker.
 * @param load Imports the worker's module. Its last worker is the one that answers.
 */
export function workerHere(load: () => Promise<unknown>): { readonly started: () => number } {
  const inside = new Set<Listener>()
  /** Hears for the last worker that was started. */
  let hear: (data: unknown) => void = () => undefined
  let started = 0
  let loading: Promise<unknown> | null = null
  const toPage = (message: unknown, transfer: Transferable[] = []): void => {
    const data: unknown = structuredClone(message, { transfer })
    const to = hear
    setTimeout(() => to(data), 0)
  }
  vi.stubGlobal('addEventListener', (type: string, listener: Listener) => type === 'message' && inside.add(listener))
  vi.stubGlobal('removeEventListener', (_: string, listener: Listener) => inside.delete(listener))
  vi.stubGlobal('postMessage', toPage)

  class WorkerHere {
    private readonly listeners = new Set<Listener>()
    private ended = false

    constructor() {
      hear = (data) => this.hear(data)
      started++
      loading ??= load()
    }

    addEventListener(type: string, listener: Listener): void {
      if (type === 'message') this.listeners.add(listener)
    }

    removeEventListener(_: string, listener: Listener): void {
      this.listeners.delete(listener)
    }

    postMessage(message: unknown, transfer: Transferable[] = []): void {
      const data: unknown = structuredClone(message, { transfer })
      void loading?.then(() => {
        if (!this.ended) for (const listener of [...inside]) listener(new MessageEvent('message', { data }))
      })
    }

    terminate(): void {
      this.ended = true
    }

    hear(data: unknown): void {
      if (!this.ended) for (const listener of [...this.listeners]) listener(new MessageEvent('message', { data }))
    }
  }
  vi.stubGlobal('Worker', WorkerHere)
  return { started: () => started }
}

/** Places for what the browser keeps, in memory: for good, and for this window. */
export function storageHere(): void {
  for (const name of ['localStorage', 'sessionStorage']) {
    const kept = new Map<string, string>()
    vi.stubGlobal(name, {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
      key: (i: number) => [...kept.keys()][i] ?? null,
      get length() {
        return kept.size
      },
    })
  }
}
