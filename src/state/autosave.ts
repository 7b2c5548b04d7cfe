import { useBenchStore } from './benchStore'
import { saveOpenBench } from './library'

/** Rest after the last edit before it is saved, ms. */
const REST = 400

/**
 * Saves every change of the open bench shortly after it rests, and at once when the page is hidden.
 * A bench that was changed in another window is not saved over; a full disk is tried again at the next edit.
 * @returns Stops it.
 */
export function startAutosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<unknown> = Promise.resolve()
  const saveNow = (): void => {
    clearTimeout(timer)
    timer = undefined
    running = running.then(saveOpenBench)
  }
  const stop = useBenchStore.subscribe((state, before) => {
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
