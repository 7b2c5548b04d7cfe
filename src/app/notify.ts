import { useSession } from '../state'

interface Action {
  readonly label: string
  readonly onClick: () => void
}

/** Says something in passing, with an action if there is one. The library comes when the first thing is said. */
export function notify(message: string, action?: Action, duration = action === undefined ? 5000 : 12_000): void {
  useSession.setState({ notices: true })
  void import('sonner').then(({ toast }) => toast(message, { duration, ...(action === undefined ? {} : { action }) }))
}
