import { registerSW } from 'virtual:pwa-register'
import { notify } from './notify'

/**
 * Keeps the application in the browser once the first page stands, so that it works with the server gone. A new
 * version is offered; the page goes on with the old one until it is taken.
 * @returns Does nothing; a registration stays.
 */
export function keepOffline(): () => void {
  if (import.meta.env.PROD && 'serviceWorker' in navigator) {
    const take = registerSW({
      onNeedRefresh: () =>
        notify('A new version of Fine Kerf is ready.', { label: 'Use it now', onClick: () => void take(true) }, Infinity),
    })
  }
  return () => undefined
}
