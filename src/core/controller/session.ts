import type { Finding } from '../units'
import { watchBeam, type BeamState, type StopState } from './beam'
import type { After, ControllerLink } from './link'
import { readSaid, type Said, type StateReport } from './protocol'

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

/** How long a machine may take to answer, ms. */
export const PATIENCE = 3000

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
  { doubt = () => null }: SessionOptions = {},
): Session {
  const waiting = new Map<number, Waiting>()
  let over: ((how: Over) => void)[] = []
  let next = 1
  let stops = 0
  let done = 0
  let fault: Finding | null = null
  let greeted = false

  const send = (line: string): void => {
    events.onLine?.(line, 'out')
    link.send(line)
  }

  const beam = watchBeam(after, {
    sendStop: () => send('stop'),
    silent: () =>
      fail(
        'no-report',
        'The machine has said nothing for a second while the beam may be on. It was told to stop. Look at the machine; if the beam is on, cut its supply. Then connect again.',
      ),
    ...(events.onBeam === undefined ? {} : { onBeam: events.onBeam }),
    ...(events.onStop === undefined ? {} : { onStop: events.onStop }),
  })

  const finish = (how: Over): void => {
    const all = over
    over = []
    for (const tell of all) tell(how)
  }

  const fail = (code: string, message: string): void => {
    if (fault !== null) return
    fault = { code, severity: 'error', message }
    stops++
    beam.stop(code === 'gone' ? 'gone' : 'fault')
    for (const { answer, callOff } of waiting.values()) {
      callOff()
      answer({ ok: false, finding: fault })
    }
    waiting.clear()
    events.onFault?.(fault)
    finish('fault')
  }

  const settle = (id: number, answer: (items: Map<string, string>) => Answer): void => {
    const request = waiting.get(id)
    if (request === undefined) {
      fail('unasked', `The machine answered request ${id}, which was not asked. The beam was told to go off. Connect again.`)
      return
    }
    waiting.delete(id)
    request.callOff()
    request.answer(answer(request.items))
  }

  const hearReport = (state: StateReport): void => {
    const why = doubt(state)
    if (why !== null) {
      fail(
        'cannot-be',
        `The machine reports ${why}, which cannot be. It was told to stop. If the beam is on, cut its supply. Check cable and speed of the link, then connect again.`,
      )
      return
    }
    if (state.running) done = state.done
    beam.report(state)
    events.onState?.(state)
  }

  const hear = (said: Said): void => {
    switch (said.kind) {
      case 'yes':
        settle(said.id, (items) => ({ ok: true, items }))
        break
      case 'no':
        beam.refused(said.id)
        settle(said.id, () => ({ ok: false, finding: refusalOf(said) }))
        break
      case 'item':
        waiting.get(said.id)?.items.set(said.key, said.text)
        break
      case 'at':
        hearReport(said.state)
        break
      case 'ended':
        beam.ended()
        events.onEnded?.()
        finish('ended')
        break
      case 'stopped':
        beam.stopped()
        events.onStopped?.()
        finish('stopped')
        break
      case 'here':
        if (greeted) {
          fail(
            'reset',
            'The machine started anew in the middle of the work. The beam was told to go off. Its settings may be others now, and where it stands is not known: connect again, read the settings, find the origin.',
          )
        }
        greeted = true
        break
      case 'garbled':
        fail(
          'garbled',
          `The machine said something that is none of its words: “${said.text.slice(0, 60)}”. The beam was told to go off. Check cable and speed of the link, then connect again.`,
        )
        break
    }
  }

  link.listen((line) => {
    if (line === null) {
      fail('gone', 'The link is gone. If the beam is on, cut its supply now. Then connect again.')
      return
    }
    events.onLine?.(line, 'in')
    const said = readSaid(line)
    // After a fault only what bears on the beam is heard: whether it has stopped, and where it still is.
    if (fault === null || said.kind === 'stopped' || said.kind === 'at') hear(said)
  })

  return {
    ask(words) {
      if (fault !== null) return Promise.resolve({ ok: false, finding: fault })
      const id = next++
      return new Promise((answer) => {
        const callOff = after(PATIENCE, () =>
          fail(
            'silent',
            `The machine did not answer “${words.slice(0, 40)}” within ${PATIENCE / 1000} s. The beam was told to go off; look at the machine, and cut the supply if the beam is on. Then connect again.`,
          ),
        )
        waiting.set(id, { items: new Map(), answer, callOff })
        if (words === 'run') {
          done = 0
          beam.runAsked(id)
        }
        send(`${id} ${words}`)
      })
    },
    stop() {
      stops++
      beam.stop('asked')
    },
    standsDark: () => beam.standsDark(),
    whenOver: () => new Promise((resolve) => over.push(resolve)),
    get beam() {
      return beam.state
    },
    get done() {
      return done
    },
    get stops() {
      return stops
    },
    get fault() {
      return fault
    },
    close() {
      beam.close()
      for (const { callOff, answer } of waiting.values()) {
        callOff()
        answer({ ok: false, finding: { code: 'closed', severity: 'error', message: 'The link was closed.' } })
      }
      waiting.clear()
      finish('fault')
      link.close()
    },
  }
}

function refusalOf({ line, column, words }: Extract<Said, { kind: 'no' }>): Finding {
  return { code: 'refused', severity: 'error', line, column, message: `The machine refused it: ${words}` }
}
