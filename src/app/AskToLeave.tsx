import { useState } from 'react'
import { leaveMachine, useBenchStore, whyStay, DONE } from '../state'
import { exportBench, Findings } from '../ui'
import { Over } from './Over'

/** Asked before a bench is left: what is in the way, and how to leave all the same. */
export function AskToLeave({ stay, leave }: { readonly stay: () => void; readonly leave: () => void }) {
  const [why, setWhy] = useState(whyStay)
  const go = (): void => {
    const still = whyStay()
    if (still === null || (why === 'unsaved' && still === 'unsaved')) leave()
    else setWhy(still)
  }
  return why === 'unsaved' ? <Unsaved stay={stay} leave={go} /> : <Beam stay={stay} leave={go} />
}

function Beam({ stay, leave }: { readonly stay: () => void; readonly leave: () => void }) {
  const [stopping, setStopping] = useState(false)
  const stopAndLeave = async (): Promise<void> => {
    setStopping(true)
    // Where the stop is not confirmed the bar says what to do, and nobody leaves.
    if (await leaveMachine()) leave()
    else stay()
  }
  return (
    <Over title="The beam may be on" className="w-[32rem] p-5" close={stay}>
      <p className="mt-2">
        The machine is at work. Leaving this bench stops it first: the program that is burning is cut off where it is, and written
        down as stopped.
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="button button-first" disabled={stopping} onClick={() => void stopAndLeave()}>
          Stop it and leave
        </button>
        <button type="button" className="button" onClick={stay}>
          Stay here
        </button>
      </div>
    </Over>
  )
}

function Unsaved({ stay, leave }: { readonly stay: () => void; readonly leave: () => void }) {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState(DONE)
  return (
    <Over title="The last changes are not saved" className="w-[32rem] p-5" close={stay}>
      <p className="mt-2">
        “{bench?.name ?? 'This bench'}” has changes that this browser could not keep. Leaving now loses them, unless you take the
        bench out as a file first.
      </p>
      <Findings findings={said} />
      <div className="mt-4 flex flex-wrap gap-2">
        <button
          type="button"
          className="button button-first"
          disabled={bench === null}
          onClick={() => bench !== null && void exportBench(bench.id).then(say)}
        >
          Export the bench file
        </button>
        <button type="button" className="button" onClick={stay}>
          Stay here
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave and lose them
        </button>
      </div>
    </Over>
  )
}
