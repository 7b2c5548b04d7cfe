import { useLocation } from 'react-router'
import { stopMachine, supplyIsCut, useMachine } from '../state'

/** Over every page while a stop is not confirmed, and wherever there is no foot line while the beam may be on. */
export function BeamBar() {
  const stop = useMachine((it) => it.stop)
  // Above the foot line where there is one: nameplate and heading stay in sight.
  const isBench = useLocation().pathname.startsWith('/bench/')
  const unconfirmed = stop === 'not confirmed'
  return (
    <div
      role="alert"
      className={`no-print pointer-events-auto fixed inset-x-0 z-[60] flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-ink bg-paper px-4 py-3 ${isBench ? 'bottom-9' : 'bottom-0'}`}
    >
      <svg width="14" height="14" viewBox="0 0 12 12" aria-hidden className="shrink-0">
        <circle cx="6" cy="6" r="5" fill="none" stroke="var(--ember)" strokeWidth="2" strokeDasharray="2.4 1.9" />
      </svg>
      <p className="min-w-0 flex-1 basis-80">
        {unconfirmed ? (
          <>
            <strong className="font-[680]">The machine has not confirmed that it stopped. Cut its supply now.</strong> Stop is
            sent again every second; the beam may be on.
          </>
        ) : (
          <strong className="font-[680]">The beam of the connected machine may be on.</strong>
        )}
      </p>
      <button type="button" className="button button-first min-h-11" onClick={stopMachine}>
        {unconfirmed ? 'Send stop again' : 'Stop'}
      </button>
      {unconfirmed && (
        <button type="button" className="button min-h-11" onClick={supplyIsCut}>
          I have cut the supply: the beam is off
        </button>
      )}
    </div>
  )
}
