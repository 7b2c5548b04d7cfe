import { useBenchStore } from './benchStore'
import { mayBeLit, stopOnLeaving } from './machineStore'

/** Why a page, or a bench, should not be left without asking: its machine's beam may be on, or it is not saved. */
export type Stay = 'beam' | 'unsaved'

let allowed = false

/** Lets the next way out of the open bench pass without asking: what was not saved has been taken care of. */
export function allowLeaving(): void {
  allowed = true
  setTimeout(() => (allowed = false), 1000)
}

/** Why the open bench should not be left now, the worst first; null where nothing is in the way. */
export function whyStay(): Stay | null {
  if (mayBeLit()) return 'beam'
  if (allowed) return null
  const { bench, save } = useBenchStore.getState()
  if (bench === null || save.kind === 'saved' || save.kind === 'saving') return null
  return save.kind === 'changed-elsewhere' && !save.unsaved ? null : 'unsaved'
}

/** Asks before the page itself is closed or loaded anew. @returns Stops asking. */
export function askBeforeLeaving(): () => void {
  const ask = (event: BeforeUnloadEvent): void => {
    if (whyStay() !== null) event.preventDefault()
  }
  const callOff = stopOnLeaving()
  addEventListener('beforeunload', ask)
  return () => {
    callOff()
    removeEventListener('beforeunload', ask)
  }
}
