import { useNavigate } from 'react-router'
import { useSession } from '../state'

/** The way back to a burn whose cautions were left to enter what they ask for. */
export function BackToBurn() {
  const from = useSession((it) => it.burnFrom)
  const ticked = useSession((it) => it.cautionsTicked.length)
  const go = useNavigate()
  if (from === null) return null
  const back = (): void => {
    useSession.setState({ burnFrom: null })
    void go(from)
  }
  return (
    <div role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-ink bg-tape px-6 py-2">
      A program waits for its cautions{ticked > 0 ? `; ${ticked} of them stay ticked` : ''}.
      <button type="button" className="link min-h-8" onClick={back}>
        Back to it
      </button>
      <button type="button" className="link min-h-8" onClick={() => useSession.setState({ burnFrom: null })}>
        Not any more
      </button>
    </div>
  )
}
