import { useBenchStore } from './benchStore'
import { saveLeftBench, saveOpenBench } from './library'

/** Rest after the last edit before it is saved, ms. */
const REST = 400

/**
 * Saves every change of the open bench shortly after it rests, and at once when the page is hidden or the bench is left
 * for another.
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
      void saveLeftBench(before.bench, before.revision)
    }
    const edited = state.bench !== before.bench && state.bench !== null && state.bench.id === before.bench?.id
    if (!edited || state.save.kind === 'changed-elsewhere') return
    if (state.save.kind !== 'saving') useBenchStore.setState({ save: { kind: 'saving' } })
    clearTimeout(timer)
    timer = setTimeout(saveNow, REST)
  })
  const flush = (): void => {
    if (timer !== undefined) saveNow()
  }
  document.addEventListener('visibilitychange', flush)
  window.addEventListener('pagehide', flush)
  return () => {
    flush()
    stop()
    document.removeEventListener('visibilitychange', flush)
    window.removeEventListener('pagehide', flush)
  }
}
