import { notify } from './notify'

/** Registers what keeps the application in the browser, and offers a new version when there is one. */
export async function register(): Promise<void> {
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
