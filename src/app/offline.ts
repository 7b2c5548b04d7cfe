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
  const begin = async (): Promise<void> => (await import('./renewal')).register()
  const timer = setTimeout(() => void begin().catch(() => undefined), REST)
  return () => clearTimeout(timer)
}
