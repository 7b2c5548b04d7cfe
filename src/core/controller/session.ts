import type { Finding } from '../units'
import type { After, ControllerLink } from './link'
import { readSaid, type Said, type StateReport } from './protocol'

/** What came back for one request. */
export type Answer =
  { readonly ok: true; readonly items: ReadonlyMap<string, string> } | { readonly ok: false; readonly finding: Finding }

/** What a session tells while it runs. */
export interface SessionEvents {
  readonly onState?: (state: StateReport) => void
  readonly onEnded?: () => void
  readonly onStopped?: () => void
  /** The link went bad; the beam was told to go off first. */
  readonly onFault?: (finding: Finding) => void
  /** Every line, both ways, for the person to see. */
  readonly onLine?: (line: string, way: 'out' | 'in') => void
}

export interface Session {
  /** Asks one thing; the answer comes by its number. After a fault every request is refused. */
  ask(words: string): Promise<Answer>
  /** Beam off and still, at once, before anything that waits. */
  stop(): void
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
 * On a fault (no answer in time, a reset while something is asked, a line that cannot be read, the link gone) `stop`
 * is sent first, then all that waits is answered with what happened and what to do.
 * @param after Timer of the surroundings; the core has no clock.
 */
export function createSession(link: ControllerLink, after: After, events: SessionEvents = {}): Session {
  const waiting = new Map<number, Waiting>()
  let next = 1
  let fault: Finding | null = null
  let greeted = false

  const send = (line: string): void => {
    events.onLine?.(line, 'out')
    link.send(line)
  }

  const fail = (code: string, message: string): void => {
    if (fault !== null) return
    fault = { code, severity: 'error', message }
    send('stop')
    for (const { answer, callOff } of waiting.values()) {
      callOff()
      answer({ ok: false, finding: fault })
    }
    waiting.clear()
    events.onFault?.(fault)
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

  const hear = (said: Said): void => {
    switch (said.kind) {
      case 'yes':
        settle(said.id, (items) => ({ ok: true, items }))
        break
      case 'no':
        settle(said.id, () => ({ ok: false, finding: refusalOf(said) }))
        break
      case 'item':
        waiting.get(said.id)?.items.set(said.key, said.text)
        break
      case 'at':
        events.onState?.(said.state)
        break
      case 'ended':
        events.onEnded?.()
        break
      case 'stopped':
        events.onStopped?.()
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
      fail('gone', 'The link is gone. If the beam is on, use the machine’s own stop now. Then connect again.')
      return
    }
    events.onLine?.(line, 'in')
    if (fault === null || line === 'stopped') hear(readSaid(line))
  })

  return {
    ask(words) {
      if (fault !== null) return Promise.resolve({ ok: false, finding: fault })
      const id = next++
      return new Promise((answer) => {
        const callOff = after(PATIENCE, () =>
          fail(
            'silent',
            `The machine did not answer “${words.slice(0, 40)}” within ${PATIENCE / 1000} s. The beam was told to go off; look at the machine, and use its own stop if the beam is on. Then connect again.`,
          ),
        )
        waiting.set(id, { items: new Map(), answer, callOff })
        send(`${id} ${words}`)
      })
    },
    stop: () => send('stop'),
    close() {
      for (const { callOff, answer } of waiting.values()) {
        callOff()
        answer({ ok: false, finding: { code: 'closed', severity: 'error', message: 'The link was closed.' } })
      }
      waiting.clear()
      link.close()
    },
  }
}

function refusalOf({ line, column, words }: Extract<Said, { kind: 'no' }>): Finding {
  return { code: 'refused', severity: 'error', line, column, message: `The machine refused it: ${words}` }
}
