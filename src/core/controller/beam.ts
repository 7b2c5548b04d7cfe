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
export function watchBeam(after: After, events: BeamEvents): BeamWatch {
  return new BeamWatch(after, events)
}

const NOTHING = (): void => undefined

export class BeamWatch {
  private beam: BeamState = 'off'
  private stopping: StopState = 'none'
  private runId: number | null = null
  private heard = 0
  /** A person asked for the stop. */
  private insisted = false
  private callOffReport = NOTHING
  private callOffStop = NOTHING

  constructor(
    private readonly after: After,
    private readonly events: BeamEvents,
  ) {}

  get state(): BeamState {
    return this.beam
  }

  runAsked(id: number): void {
    this.runId = id
    if (this.beam === 'off') this.become('not known')
  }

  refused(id: number): void {
    if (id === this.runId) this.standsDark()
  }

  report({ running, power }: StateReport): void {
    this.heard++
    if (power > 0) this.become('on')
    else if (running) this.become('not known')
    // At rest and dark; but while a run or a stop is not answered yet, this may be what was said before it.
    else this.become(this.stopping === 'none' && this.beam === 'on' ? 'off' : this.beam)
  }

  ended(): void {
    this.heard++
    if (this.stopping === 'none') this.standsDark()
  }

  stopped(): void {
    this.standsDark()
  }

  /** @param why A fault of the link; the link is gone, so that nothing will confirm it; or a person asks for it. */
  stop(why: 'fault' | 'gone' | 'asked'): void {
    if (why === 'asked') this.insisted = true
    if (this.stopping === 'none') this.stopBecomes('asked')
    this.callOffReport()
    this.sendStop()
    if (why === 'gone' && this.beam !== 'off') this.stopBecomes('not confirmed')
  }

  /** The machine has said that it stopped, or a person that the beam is off. */
  standsDark(): void {
    this.runId = null
    this.insisted = false
    this.callOffStop()
    this.callOffStop = NOTHING
    this.stopBecomes('none')
    this.become('off')
  }

  close(): void {
    this.callOffReport()
    this.callOffStop()
  }

  private become(next: BeamState): void {
    if (next !== this.beam) {
      this.beam = next
      this.events.onBeam?.(next)
    }
    this.expectReport()
  }

  private stopBecomes(next: StopState): void {
    if (next === this.stopping) return
    this.stopping = next
    this.events.onStop?.(next)
  }

  /** Called again with whatever is heard, so that the clock starts anew. */
  private expectReport(): void {
    this.callOffReport()
    this.callOffReport = NOTHING
    if (this.beam === 'off' || this.stopping !== 'none') return
    const sofar = this.heard
    this.callOffReport = this.after(REPORT_DUE, () => {
      this.callOffReport = this.after(GRACE, () => (this.heard === sofar ? this.events.silent() : this.expectReport()))
    })
  }

  private sendStop(): void {
    this.events.sendStop()
    this.callOffStop()
    this.callOffStop = this.after(STOP_DUE, () => {
      // Of a machine that was known to be dark, and that nobody told to stop, it is asked again in silence.
      if (this.beam !== 'off' || this.insisted) this.stopBecomes('not confirmed')
      this.sendStop()
    })
  }
}
