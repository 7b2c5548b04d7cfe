import type { Finding } from '../units'
import { watchBeam, type BeamState, type BeamWatch, type StopState } from './beam'
import type { After, ControllerLink } from './link'
import { readSaid, type Said, type StateReport } from './protocol'
import { PATIENCE, sayFault, type SessionFault } from './sessionFaults'

/** What came back for one request. */
export type Answer =
  { readonly ok: true; readonly items: ReadonlyMap<string, string> } | { readonly ok: false; readonly finding: Finding }

/** How the work of a machine came to its end. */
export type Over = 'ended' | 'stopped' | 'fault'

/** What a session tells while it runs. */
export interface SessionEvents {
  readonly onState?: (state: StateReport) => void
  readonly onEnded?: () => void
  readonly onStopped?: () => void
  /** The link went bad; the beam was told to go off first. */
  readonly onFault?: (finding: Finding) => void
  /** Every line, both ways, for the person to see. */
  readonly onLine?: (line: string, way: 'out' | 'in') => void
  readonly onBeam?: (beam: BeamState) => void
  readonly onStop?: (stop: StopState) => void
}

export interface SessionOptions {
  /** Why a report cannot be, in words; null where it can. */
  readonly doubt?: (report: StateReport) => string | null
}

export interface Session {
  /** Asks one thing; the answer comes by its number. After a fault every request is refused. */
  ask(words: string): Promise<Answer>
  /** Beam off and still, at once, before anything that waits; repeated until the machine confirms it. */
  stop(): void
  /** A person says that the beam is off: they have cut its supply. */
  standsDark(): void
  /** Whether the beam is on, as far as the machine has said; not known counts as on. */
  readonly beam: BeamState
  /** The next end of the machine's work, or of the link. */
  whenOver(): Promise<Over>
  /** Share of the program that was asked to run last, as the machine reported it while it ran. */
  readonly done: number
  /** How often stop has been asked for, so that what is under way can tell. */
  readonly stops: number
  readonly fault: Finding | null
  close(): void
}

interface Waiting {
  readonly items: Map<string, string>
  readonly answer: (answer: Answer) => void
  readonly callOff: () => void
}

/**
 * Speaks with a machine over a link: numbered requests, answered by number.
 * On a fault (no answer in time, no report while the beam may be on, a report that cannot be, a reset while something is
 * asked, a line that cannot be read, the link gone) `stop` is sent first, then all that waits is answered with what
 * happened and what to do; `stop` goes out again every second until the machine confirms it or a person says that the
 * beam is off.
 * @param after Timer of the surroundings; the core has no clock.
 */
export function createSession(
  link: ControllerLink,
  after: After,
  events: SessionEvents = {},
  options: SessionOptions = {},
): Session {
  return new LinkSession(link, after, events, options)
}

class LinkSession implements Session {
  private readonly waiting = new Map<number, Waiting>()
  private readonly watch: BeamWatch
  private over: ((how: Over) => void)[] = []
  private next = 1
  private asked = 0
  private share = 0
  private wrong: Finding | null = null
  private greeted = false

  constructor(
    private readonly link: ControllerLink,
    private readonly after: After,
    private readonly events: SessionEvents,
    private readonly options: SessionOptions,
  ) {
    const { onBeam, onStop } = events
    this.watch = watchBeam(after, {
      sendStop: () => this.send('stop'),
      silent: () => this.fail({ code: 'no-report' }),
      ...(onBeam === undefined ? {} : { onBeam }),
      ...(onStop === undefined ? {} : { onStop }),
    })
    link.listen((line) => this.hearLine(line))
  }

  get beam(): BeamState {
    return this.watch.state
  }

  get done(): number {
    return this.share
  }

  get stops(): number {
    return this.asked
  }

  get fault(): Finding | null {
    return this.wrong
  }

  ask(words: string): Promise<Answer> {
    if (this.wrong !== null) return Promise.resolve({ ok: false, finding: this.wrong })
    const id = this.next++
    return new Promise((answer) => {
      const callOff = this.after(PATIENCE, () => this.fail({ code: 'silent', words }))
      this.waiting.set(id, { items: new Map(), answer, callOff })
      if (words === 'run') {
        this.share = 0
        this.watch.runAsked(id)
      }
      this.send(`${id} ${words}`)
    })
  }

  stop(): void {
    this.asked++
    this.watch.stop('asked')
  }

  standsDark(): void {
    this.watch.standsDark()
  }

  whenOver(): Promise<Over> {
    return new Promise((resolve) => this.over.push(resolve))
  }

  close(): void {
    this.watch.close()
    this.answerAll({ code: 'closed', severity: 'error', message: 'The link was closed.' })
    this.finish('fault')
    this.link.close()
  }

  private send(line: string): void {
    this.events.onLine?.(line, 'out')
    this.link.send(line)
  }

  private finish(how: Over): void {
    const all = this.over
    this.over = []
    for (const tell of all) tell(how)
  }

  private answerAll(finding: Finding): void {
    for (const { answer, callOff } of this.waiting.values()) {
      callOff()
      answer({ ok: false, finding })
    }
    this.waiting.clear()
  }

  private fail(fault: SessionFault): void {
    if (this.wrong !== null) return
    this.wrong = { code: fault.code, severity: 'error', message: sayFault(fault) }
    this.asked++
    this.watch.stop(fault.code === 'gone' ? 'gone' : 'fault')
    this.answerAll(this.wrong)
    this.events.onFault?.(this.wrong)
    this.finish('fault')
  }

  private settle(id: number, answer: (items: Map<string, string>) => Answer): void {
    const request = this.waiting.get(id)
    if (request === undefined) {
      this.fail({ code: 'unasked', id })
      return
    }
    this.waiting.delete(id)
    request.callOff()
    request.answer(answer(request.items))
  }

  private hearLine(line: string | null): void {
    if (line === null) {
      this.fail({ code: 'gone' })
      return
    }
    this.events.onLine?.(line, 'in')
    const said = readSaid(line)
    // After a fault only what bears on the beam is heard: whether it has stopped, and where it still is.
    if (this.wrong === null || said.kind === 'stopped' || said.kind === 'at') this.hear(said)
  }

  private hear(said: Said): void {
    switch (said.kind) {
      case 'yes':
        this.settle(said.id, (items) => ({ ok: true, items }))
        break
      case 'no':
        this.watch.refused(said.id)
        this.settle(said.id, () => ({ ok: false, finding: refusalOf(said) }))
        break
      case 'item':
        this.waiting.get(said.id)?.items.set(said.key, said.text)
        break
      case 'at':
        this.hearReport(said.state)
        break
      case 'ended':
        this.watch.ended()
        this.events.onEnded?.()
        this.finish('ended')
        break
      case 'stopped':
        this.watch.stopped()
        this.events.onStopped?.()
        this.finish('stopped')
        break
      case 'here':
        if (this.greeted) this.fail({ code: 'reset' })
        this.greeted = true
        break
      case 'garbled':
        this.fail({ code: 'garbled', text: said.text })
        break
    }
  }

  private hearReport(state: StateReport): void {
    const why = this.options.doubt?.(state) ?? null
    if (why !== null) {
      this.fail({ code: 'cannot-be', why })
      return
    }
    if (state.running) this.share = state.done
    this.watch.report(state)
    this.events.onState?.(state)
  }
}

function refusalOf({ line, column, words }: Extract<Said, { kind: 'no' }>): Finding {
  return { code: 'refused', severity: 'error', line, column, message: `The machine refused it: ${words}` }
}
