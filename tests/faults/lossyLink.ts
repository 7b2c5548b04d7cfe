import {
  createCableLink,
  createSession,
  impossible,
  PLAIN_LINK,
  runLines,
  type After,
  type BeamState,
  type ControllerLink,
  type RunEnd,
  type TextPort,
  type StopState,
} from '../../src/core/controller'
import { createStandIn } from '../../src/core/workshop'
import { CableMachine } from '../cableMachine'
import { HERON_SPEC } from '../handMachine'

/** What a link may do to a line on its way; `deaf` and `cut` to all lines behind it too. */
export const IN_FAULTS = ['drop', 'garble', 'twice', 'deaf', 'gone', 'wild power', 'wild place'] as const
export const OUT_FAULTS = ['drop', 'cut', 'gone'] as const
export type LinkFault =
  | { readonly way: 'in'; readonly at: number; readonly kind: (typeof IN_FAULTS)[number] }
  | { readonly way: 'out'; readonly at: number; readonly kind: (typeof OUT_FAULTS)[number] }

/** What came of one run over a link with one fault, told by the machine itself and by the session. */
export interface Trial {
  readonly end: RunEnd
  readonly ranAtAll: boolean
  readonly ranToItsEnd: boolean
  /** Share of the program's time that really passed. */
  readonly trueDone: number
  /** Moments at which the machine was at work and the session said that the beam is off. */
  readonly untrueOff: number
  /** Lines that went out after the session knew of a fault, but for stop. */
  readonly outAfterFault: readonly string[]
  /** Whether stop was the first line that went out from the fault on. */
  readonly stopFirst: boolean
  /** Seconds from the fault until the machine was dark, or the person was told to cut the supply. */
  readonly secondsToKnow: number
  readonly linesIn: number
  readonly linesOut: number
}

const PROGRAM = ['G21 G90', 'M3 S600 F600', 'G1 X8', 'G1 Y8', 'M5', 'M2']
const TICK = 0.04
const LONGEST = 40

/** The machine's end of a cable: what comes out of it, and how a line goes into it; null is the cable pulled out. */
export interface CableEnd {
  receive(text: string): void
  push: (text: string | null) => void
}
/** What is between the session and the machine: the stand-in's own lines, a cable, or a cable behind a port that is opened. */
export type Over = 'stand-in' | 'cable' | ((end: CableEnd) => Promise<TextPort>)

/** Lets everything happen that waits for nothing but its turn. */
let settle = async (): Promise<void> => {
  await Promise.resolve()
  await Promise.resolve()
}
/** Where streams lie between, a turn takes longer. */
export function settleBy(turn: () => Promise<void>): void {
  settle = turn
}

/** Runs a program on a stand-in over a link with one fault (or none), on a clock of its own. */
export async function tryLink(fault: LinkFault | null, over: Over = 'stand-in'): Promise<Trial> {
  let now = 0
  let timers: { readonly due: number; readonly act: () => void }[] = []
  let hear: (line: string | null) => void = () => undefined
  const seen = { in: 0, out: 0, broken: false, faultAt: -1, told: -1, dark: -1, untrueOff: 0 }
  const out: { readonly line: string; readonly afterFault: boolean }[] = []
  const coming: (string | null)[] = []
  let ranAtAll = false
  const machine = { ended: false }
  let trueDone = 0
  let beam = 'off' as BeamState

  const struck = (): void => {
    if (seen.faultAt < 0) seen.faultAt = now
  }
  /** What the machine itself knows, whatever becomes of its lines. */
  const saw = (line: string): void => {
    if (line === 'ended') machine.ended = true
    const done = /^at run \S+ \S+ \S+ (\S+)$/.exec(line)?.[1]
    if (done !== undefined) trueDone = Math.max(trueDone, Number(done))
  }
  const say = (line: string): void => {
    const n = seen.in++
    if (fault?.way === 'in' && (n === fault.at || (fault.kind === 'deaf' && n > fault.at))) {
      struck()
      if (fault.kind === 'drop' || fault.kind === 'deaf') return
      if (fault.kind === 'gone') return void coming.push(null)
      if (fault.kind === 'garble') return void coming.push(`${line.slice(0, 3)}\u0000${line.slice(4)}`)
      if (fault.kind === 'twice') return void coming.push(line, line)
      const [isState, power, place] = over !== 'stand-in' ? [line.startsWith('state '), 7, 3] : [line.startsWith('at '), 4, 2]
      if (!isState) return void coming.push(line)
      const words = line.split(' ')
      words[fault.kind === 'wild power' ? power : place] = fault.kind === 'wild power' ? '7.0000' : '99999.000'
      return void coming.push(words.join(' '))
    }
    if (!seen.broken) coming.push(line)
  }
  const both = (line: string): void => {
    saw(line)
    say(line)
  }
  const cable = over !== 'stand-in' ? new CableMachine(say, 41, saw) : null
  const standIn = cable?.standIn ?? createStandIn({ spec: HERON_SPEC, number: 41, say: both })
  const after: After = (ms, act) => {
    const timer = { due: now + ms / 1000, act }
    timers.push(timer)
    return () => (timers = timers.filter((it) => it !== timer))
  }
  /** The wire: lines one way, pieces of text the other; @returns whether it reaches the machine. */
  const leaves = (line: string): boolean => {
    note(line)
    return reaches()
  }
  const note = (line: string): void => void out.push({ line, afterFault: session.fault !== null })
  const reaches = (): boolean => {
    const n = seen.out++
    if (fault?.way !== 'out' || !(n === fault.at || (fault.kind !== 'drop' && n > fault.at))) return true
    struck()
    if (fault.kind === 'gone' && !seen.broken) {
      seen.broken = true
      coming.push(null)
    }
    return false
  }
  const listen = (listener: (line: string | null) => void): void => void (hear = listener)
  const straight = {
    send(text: string): void {
      if (leaves(text.trimEnd())) cable?.receive(text)
    },
    listen: (listener: (text: string | null) => void) => listen((line) => listener(line === null ? null : `${line}\n`)),
    close: () => undefined,
  }
  /** A port that was opened: what is said into it is noted at once, and reaches the machine when it comes out at the other end. */
  const opened = async (open: Exclude<Over, string>, machine: CableMachine): Promise<TextPort> => {
    const end: CableEnd = {
      receive(text) {
        if (reaches()) machine.receive(text)
      },
      push: () => undefined,
    }
    const port = await open(end)
    hear = (line) => end.push(line === null ? null : `${line}\n`)
    return {
      ...port,
      send(text) {
        note(text.trimEnd())
        port.send(text)
      },
    }
  }
  const link: ControllerLink =
    cable === null
      ? {
          send(line) {
            if (leaves(line)) standIn.receive(line)
          },
          listen,
          close: () => undefined,
        }
      : createCableLink(typeof over === 'function' ? await opened(over, cable) : straight, PLAIN_LINK, '{key} = {value}', after)
  const session = createSession(
    link,
    after,
    {
      onBeam: (it) => (beam = it),
      onStop: (it: StopState) => {
        if (it === 'not confirmed' && seen.told < 0) seen.told = now
      },
    },
    { doubt: (it) => impossible(it, HERON_SPEC.travel) },
  )
  const came: { end: RunEnd | null } = { end: null }
  void runLines(session, PROGRAM).then((it) => (came.end = it))
  while (now < LONGEST) {
    for (let turn = 0; turn < 6; turn++) {
      while (coming.length > 0) hear(coming.shift() ?? null)
      await settle()
    }
    if (!standIn.resting) {
      ranAtAll = true
      seen.dark = -1
      if (beam === 'off') seen.untrueOff++
      standIn.advance(TICK)
    } else if (seen.dark < 0) seen.dark = now
    now += TICK
    const due = timers.filter((it) => it.due <= now)
    timers = timers.filter((it) => it.due > now)
    for (const { act } of due) act()
    if (came.end !== null && standIn.resting && coming.length === 0 && (beam === 'off' || seen.told >= 0)) break
    // Nobody can reach a machine whose link is cut: it burns on, and the person has been told.
    if (came.end !== null && seen.told >= 0 && now > seen.told + 3) break
  }
  const behind = out.filter((it) => it.afterFault).map((it) => it.line)
  const known = [seen.dark >= 0 ? seen.dark : Infinity, seen.told >= 0 ? seen.told : Infinity]
  return {
    end: came.end ?? { kind: 'lost', done: 0, finding: { code: 'never', severity: 'error', message: 'it never came back' } },
    ranAtAll,
    ranToItsEnd: machine.ended,
    trueDone: machine.ended ? 1 : trueDone,
    untrueOff: seen.untrueOff,
    outAfterFault: behind.filter((it) => it !== 'stop' && it !== 'state'),
    stopFirst: session.fault === null || behind[0] === 'stop',
    secondsToKnow: seen.faultAt < 0 ? 0 : Math.max(0, Math.min(...known) - seen.faultAt),
    linesIn: seen.in,
    linesOut: seen.out,
  }
}
