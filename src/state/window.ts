import { newId } from '../data/ids'

const KEY = 'fine-kerf.window'

function session(): Storage | null {
  try {
    return typeof sessionStorage === 'undefined' ? null : sessionStorage
  } catch {
    return null
  }
}

/** This window's id: the same after it is loaded anew; a window that was duplicated draws its own. */
let id = session()?.getItem(KEY) ?? newId()

/** The id of this window. */
export const windowId = (): string => id

const lockName = (of: string): string => `fine-kerf.window.${of}`

/**
 * Lets other windows know that this one lives, for as long as it does: what a living window has not saved yet is its own
 * to save. Where the browser has no locks every other window counts as gone.
 */
async function beKnown(): Promise<void> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) {
    keepId()
    return
  }
  const mine = await held(id)
  if (mine) id = newId()
  keepId()
  void navigator.locks.request(lockName(id), { ifAvailable: true }, (lock) =>
    lock === null ? null : new Promise(() => undefined),
  )
}

function keepId(): void {
  try {
    session()?.setItem(KEY, id)
  } catch {
    // Then it is drawn anew next time.
  }
}

/** Whether a window lives. */
export async function held(window: string): Promise<boolean> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return false
  const { held: locks = [] } = await navigator.locks.query()
  return locks.some((it) => it.name === lockName(window))
}

/** Done when this window's id is certain. */
export const knownWindow: Promise<void> = beKnown()
