import fc from 'fast-check'
import { createCableLink, createSession, PLAIN_LINK, type TextPort } from '../src/core/controller'

/** What a cable may bring: answers, states, half lines, storms of acknowledgements, rubbish. */
const piece = fc.oneof(
  fc.constantFrom(
    'ok\n',
    'ok\nok\nok\n',
    'o',
    'k\n',
    'error 9\n',
    'state rest x 0 y 0 power 0\n',
    'state run x 1 y 2 power 0.5\n',
    'hello\n',
    'x/steps = 80\n',
    '(remark)\n',
    '\n',
    '\r\n',
  ),
  fc.string({ maxLength: 12 }),
)
const act = fc.oneof(
  fc
    .constantFrom('settings', 'set x/steps 80', 'sheet', 'load G1 X1', 'load M2', 'run', 'pause', 'resume')
    .map((words) => ({ ask: words }) as const),
  fc.constantFrom({ stop: true } as const, { later: 300 } as const, { later: 1500 } as const, { later: 4000 } as const),
  piece.map((text) => ({ hear: text }) as const),
)

/** A course of things that a person, a clock and a cable do. */
export const randomCourse = fc.array(act, { maxLength: 40 })
export type Course = typeof randomCourse extends fc.Arbitrary<infer T> ? T : never

/**
 * Lets a course happen to a session over a cable. @returns What must never be: something that was thrown, a fault without a
 * stop behind it, or a line that went out after one that is neither stop nor a question for the state.
 */
export function wrongWith(course: Course): string | null {
  let now = 0
  let timers: { readonly due: number; readonly act: () => void }[] = []
  const out: { readonly text: string; readonly afterFault: boolean }[] = []
  let hear: (text: string | null) => void = () => undefined
  const after = (ms: number, it: () => void): (() => void) => {
    const timer = { due: now + ms, act: it }
    timers.push(timer)
    return () => (timers = timers.filter((one) => one !== timer))
  }
  const port: TextPort = {
    send: (text) => void out.push({ text: text.trim(), afterFault: session.fault !== null }),
    listen: (listener) => (hear = listener),
    close: () => undefined,
  }
  const session = createSession(createCableLink(port, { ...PLAIN_LINK, greets: 'hello' }, '{key} = {value}', after), after)
  const pass = (ms: number): void => {
    const until = now + ms
    for (let next = soonest(timers, until); next !== null; next = soonest(timers, until)) {
      const due = next
      timers = timers.filter((it) => it !== due)
      now = due.due
      due.act()
    }
    now = until
  }
  try {
    for (const it of course) {
      if ('ask' in it) void session.ask(it.ask)
      else if ('stop' in it) session.stop()
      else if ('later' in it) pass(it.later)
      else hear(it.hear)
    }
  } catch (error) {
    return `thrown: ${String(error)}`
  }
  const behind = out.filter((it) => it.afterFault).map((it) => it.text)
  if (session.fault !== null && behind[0] !== 'stop') return `no stop behind ${session.fault.code}: ${behind.join(', ')}`
  const other = behind.find((it) => it !== 'stop' && it !== 'state')
  return other === undefined ? null : `sent after a fault: ${other}`
}

function soonest<T extends { readonly due: number }>(timers: readonly T[], until: number): T | null {
  const due = timers.filter((it) => it.due <= until).sort((p, q) => p.due - q.due)
  return due[0] ?? null
}
