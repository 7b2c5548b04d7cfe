import type { After } from './link'
import type { StateReport } from './protocol'

/** Whether the beam is on, as far as the machine has said. Not known counts as on. */
export type BeamState = 'off' | 'on' | 'not known'

/** Where a stop stands: not asked for, asked for, or not confirmed in time. */
export type StopState = 'none' | 'asked' | 'not confirmed'

/** A report is due this often while the beam may be on, ms. */
export const REPORT_DUE = 1000
/** A stop is to be confirmed within this, ms; until then it is sent again as often. */
export const STOP_DUE = 1000
/** What was heard while the page was busy is waited for, ms, before a missing report counts. */
const GRACE = 200

export interface BeamEvents {
  readonly sendStop: () => void
  /** No report came in time while the beam may be on. */
  readonly silent: () => void
  readonly onBeam?: (beam: BeamState) => void
  readonly onStop?: (stop: StopState) => void
}

/**
 * Keeps watch over a beam that is driven over a link. From the moment the machine is asked to run until it says that it
 * has ended or stopped, the beam may be on: reports are due, and their absence is a fault. A stop goes out again until it
 * is confirmed by the machine, or a person says that the beam is off.
 */
export function watchBeam(after: After, events: BeamEvents) {
  let state: BeamState = 'off'
  let stop: StopState = 'none'
  let runId: number | null = null
  let heard = 0
  /** A person asked for the stop. */
  let insisted = false
  let callOffReport = (): void => undefined
  let callOffStop = (): void => undefined

  function become(next: BeamState): void {
    if (next !== state) {
      state = next
      events.onBeam?.(next)
    }
    expectReport()
  }

  function stopBecomes(next: StopState): void {
    if (next === stop) return
    stop = next
    events.onStop?.(next)
  }

  /** Called again with whatever is heard, so that the clock starts anew. */
  function expectReport(): void {
    callOffReport()
    callOffReport = () => undefined
    if (state === 'off' || stop !== 'none') return
    const sofar = heard
    callOffReport = after(REPORT_DUE, () => {
      callOffReport = after(GRACE, () => (heard === sofar ? events.silent() : expectReport()))
    })
  }

  function dark(): void {
    runId = null
    insisted = false
    callOffStop()
    callOffStop = () => undefined
    stopBecomes('none')
    become('off')
  }

  function sendStop(): void {
    events.sendStop()
    callOffStop()
    callOffStop = after(STOP_DUE, () => {
      // Of a machine that was known to be dark, and that nobody told to stop, it is asked again in silence.
      if (state !== 'off' || insisted) stopBecomes('not confirmed')
      sendStop()
    })
  }

  return {
    get state() {
      return state
    },
    runAsked(id: number): void {
      runId = id
      if (state === 'off') become('not known')
    },
    refused(id: number): void {
      if (id === runId) dark()
    },
    report({ running, power }: StateReport): void {
      heard++
      if (power > 0) become('on')
      else if (running) become('not known')
      // At rest and dark; but while a run or a stop is not answered yet, this may be what was said before it.
      else become(stop === 'none' && state === 'on' ? 'off' : state)
    },
    ended(): void {
      heard++
      if (stop === 'none') dark()
    },
    stopped: dark,
    /** @param why A fault of the link; the link is gone, so that nothing will confirm it; or a person asks for it. */
    stop(why: 'fault' | 'gone' | 'asked'): void {
      if (why === 'asked') insisted = true
      if (stop === 'none') stopBecomes('asked')
      callOffReport()
      sendStop()
      if (why === 'gone' && state !== 'off') stopBecomes('not confirmed')
    },
    standsDark: dark,
    close(): void {
      callOffReport()
      callOffStop()
    },
  }
}
