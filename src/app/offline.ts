import { notify } from './notify'

/** Rest before it is kept, ms: the first picture stands long before that and shares nothing with it. */
const REST = 3000

/**
 * Keeps the application in the browser once the first page stands, so that it works with the server gone. A new
 * version is offered; the page goes on with the old one until it is taken. Only the window that takes it is loaded anew:
 * the others keep what is typed in them, and are told.
 * @returns Calls it off where it has not begun; a registration stays.
 */
export function keepOffline(): () => void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return () => undefined
  // Where its code cannot be fetched the server has just gone: what is kept stays, and the next visit tries again.
  const timer = setTimeout(() => void register().catch(() => undefined), REST)
  return () => clearTimeout(timer)
}

async function register(): Promise<void> {
  const { serviceWorker } = navigator
  const isFirst = serviceWorker.controller === null
  const registration = await serviceWorker.register('/sw.js')
  let taking = false
  const offer = (worker: ServiceWorker): void =>
    notify(
      'A new version of Fine Kerf is ready.',
      {
        label: 'Use it now',
        onClick: () => {
          taking = true
          worker.postMessage({ type: 'SKIP_WAITING' })
        },
      },
      Infinity,
    )
  const watch = (worker: ServiceWorker | null): void =>
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'installed' && serviceWorker.controller !== null) offer(worker)
    })
  if (registration.waiting !== null && serviceWorker.controller !== null) offer(registration.waiting)
  watch(registration.installing)
  registration.addEventListener('updatefound', () => watch(registration.installing))
  serviceWorker.addEventListener('controllerchange', () => {
    // Asks first where something is not saved, or the beam may be on.
    if (taking) location.reload()
    else if (!isFirst) {
      const action = { label: 'Load it here', onClick: () => location.reload() }
      notify('Fine Kerf was renewed from another window. What you type here is kept.', action, Infinity)
    }
  })
}
