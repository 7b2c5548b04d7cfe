import { useEffect, useState } from 'react'
import { useBenchStore, useSession, watchFor, watchUntil } from '../../state'
import { Panel } from '../../ui'

/** Minutes and seconds that are left. */
function sayLeft(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** The watch after a burn, counted down. */
export function AfterBurn() {
  const bench = useBenchStore((it) => it.bench)
  const until = useSession((it) => it.watchUntil)
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (until === null) return
    const timer = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(timer)
  }, [until])
  if (bench === null) return null
  const begin = (): void => {
    const at = Date.now()
    setNow(at)
    watchUntil(at + watchFor(bench))
  }
  return (
    <Panel title="The watch after a burn">
      <div className="flex flex-wrap items-center gap-3 py-2 text-[14px]">
        {until === null ? (
          <>
            <span className="text-second">Stay by it, look under the cut, smell.</span>
            <button type="button" className="button no-print" onClick={begin}>
              The beam is off: watch from now
            </button>
          </>
        ) : until > now ? (
          <>
            <span role="timer">
              <span className="num text-[20px]">{sayLeft(until - now)}</span> to watch
            </span>
            <button type="button" className="button no-print" onClick={() => watchUntil(null)}>
              Stop the clock
            </button>
          </>
        ) : (
          <>
            <span role="status">The time to watch is over. Look once more into tray and cut before you leave.</span>
            <button type="button" className="button no-print" onClick={() => watchUntil(null)}>
              Looked, nothing smoulders
            </button>
          </>
        )}
      </div>
    </Panel>
  )
}
