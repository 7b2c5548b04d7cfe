import type { Bench } from '../core/document'
import { useBenchStore } from './benchStore'
import { askForLastingStorage, checkElsewhere, keepOpenLeft, listenElsewhere, saveLeftBench, saveOpenBench } from './saving'

/** Rest after the last edit before it is saved, ms. */
const REST = 400

/**
 * Keeps every change of the open bench at once, and saves it shortly after it rests, or when the page is hidden or the
 * bench is left for another.
 * A bench that was changed in another window is not saved over; a full disk is tried again at the next edit.
 * @returns Stops it.
 */
export function startAutosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  const settle = (): void => {
    clearTimeout(timer)
    timer = undefined
  }
  const saveNow = (): void => {
    settle()
    void saveOpenBench()
  }
  const stop = useBenchStore.subscribe((state, before) => {
    if (before.bench !== null && state.bench?.id !== before.bench.id && timer !== undefined) {
      settle()
      void saveLeftBench(before.bench, before)
    }
    const edited = state.bench !== before.bench && state.bench !== null && state.bench.id === before.bench?.id
    if (!edited) return
    // At once, so that a page that is killed now loses nothing; thousands of rows from a file are still in that file.
    if (!isMany(before.bench, state.bench)) keepOpenLeft()
    // Opened again, or taken back to what is stored: nothing waits to be saved.
    if (state.bench === state.saved && state.save.kind !== 'saving') return
    if (state.save.kind === 'newer') return
    if (state.save.kind === 'changed-elsewhere') {
      if (!state.save.unsaved) useBenchStore.setState({ save: { kind: 'changed-elsewhere', unsaved: true } })
      return
    }
    if (state.save.kind !== 'saving') useBenchStore.setState({ save: { kind: 'saving' } })
    clearTimeout(timer)
    timer = setTimeout(saveNow, REST)
  })
  const flush = (): void => {
    if (timer !== undefined) saveNow()
  }
  const look = (): void => {
    flush()
    if (document.visibilityState === 'visible') void checkElsewhere()
  }
  const stopListening = listenElsewhere()
  void askForLastingStorage()
  document.addEventListener('visibilitychange', look)
  window.addEventListener('pagehide', flush)
  return () => {
    flush()
    stop()
    stopListening()
    document.removeEventListener('visibilitychange', look)
    window.removeEventListener('pagehide', flush)
  }
}

/** Whether thousands of rows came or went at once. */
function isMany(before: Bench | null, after: Bench | null): boolean {
  const parts = (bench: Bench | null): number => Object.keys(bench?.plan.parts ?? {}).length
  return before?.plan.parts !== after?.plan.parts && Math.abs(parts(before) - parts(after)) > 500
}
