import { useState, type SyntheticEvent } from 'react'
import type { StandInFault } from '../../core/workshop'
import {
  connectCable,
  connectStandIn,
  leaveMachine,
  pauseMachine,
  readSettings,
  setClockRate,
  standInNumber,
  stopMachine,
  tryLink,
  type Tried,
  useBenchStore,
  useMachine,
  type ClockRate,
  DONE,
  told,
  isDone,
} from '../../state'
import { Findings, Panel, VerdictMark } from '../../ui'
import { LinkCardEditor } from './LinkCardEditor'

const RATES: readonly { readonly rate: ClockRate; readonly words: string }[] = [
  { rate: 1, words: 'as a real one' },
  { rate: 10, words: '10 times faster' },
  { rate: 100, words: '100 times faster' },
  { rate: Infinity, words: 'at once' },
]

/** The machine: the stand-in, or nothing and everything by hand. */
export function LinkPanel() {
  const link = useMachine((it) => it.link)
  const finding = useMachine((it) => it.finding)
  return (
    <Panel title="The machine" className="no-print mb-5">
      {link === 'none' ? <NoLink /> : <Linked />}
      {finding !== null && <Findings findings={[finding]} />}
    </Panel>
  )
}

function NoLink() {
  return (
    <div className="py-2">
      <p>
        No link. Work by hand: type here what the machine says, and type into it what is asked for. Or connect the stand-in, a
        machine with hidden errors to practise on.
      </p>
      <ConnectForm />
      <Cable />
    </div>
  )
}

/** A real controller on a cable. */
function Cable() {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState(DONE)
  if (bench === null) return null
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-[13px] font-[650]">A controller on a cable</summary>
      <p className="mt-1 text-[13px] text-second">
        Say how yours is spoken with, connect, then try the link with the beam’s supply off.
      </p>
      <LinkCardEditor bench={bench} />
      <button type="button" className="button mt-2" onClick={() => void connectCable().then(say)}>
        Choose its port and connect
      </button>
      <Findings findings={said} />
    </details>
  )
}

/** Tries list, state and stop of the machine on the cable. */
function Handshake() {
  const [tried, setTried] = useState<readonly Tried[] | null>(null)
  return (
    <div className="mt-2 text-[13px]">
      <button type="button" className="button" onClick={() => void tryLink().then(setTried)}>
        Try the link
      </button>
      {tried !== null && (
        <ul className="m-0 mt-1 list-none p-0" role="status">
          {tried.map((it) => (
            <li key={it.what} className="flex gap-2 border-b border-rule py-1">
              <span className="pt-1">
                <VerdictMark mark={it.isGood ? 'good' : 'look'} />
              </span>
              <span>
                <b>{it.what}.</b> {it.said}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

const FAULTS: readonly { readonly kind: StandInFault['kind'] | ''; readonly words: string }[] = [
  { kind: '', words: 'nothing goes wrong' },
  { kind: 'silent', words: 'stops answering' },
  { kind: 'reset', words: 'starts anew in the middle' },
  { kind: 'garble', words: 'says a garbled line' },
  { kind: 'refuse', words: 'refuses once' },
  { kind: 'mute', words: 'falls silent while it burns' },
  { kind: 'wild', words: 'reports a place that cannot be' },
  { kind: 'forget', words: 'forgets what is set' },
]
/** The request, report or setting at which a practised fault comes: requests in the middle of a program. */
const FAULT_AT: Readonly<Partial<Record<StandInFault['kind'], number>>> = { mute: 6, wild: 6, forget: 1 }
const IN_A_PROGRAM = 12

function ConnectForm() {
  const benchId = useBenchStore((it) => it.bench?.id ?? '')
  const [number, setNumber] = useState(() => String(standInNumber(benchId)))
  const rate = useMachine((it) => it.rate)
  const [fault, setFault] = useState<StandInFault['kind'] | ''>('')
  const [refused, setRefused] = useState(DONE)
  const connect = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault()
    const wanted = Number(number)
    if (!Number.isInteger(wanted) || wanted < 1 || wanted > 999_999_999) {
      setRefused(told('The number of a stand-in is a whole one from 1 on. The same number hides the same machine.'))
      return
    }
    const said = await connectStandIn(wanted, fault === '' ? null : { kind: fault, at: FAULT_AT[fault] ?? IN_A_PROGRAM })
    setRefused(said)
    if (isDone(said)) await readSettings()
  }
  return (
    <form className="mt-2 grid gap-2 text-[13px]" onSubmit={(event) => void connect(event)}>
      <label className="flex items-center justify-between gap-3">
        Stand-in number
        <span className="flex gap-2">
          <input
            className="input num min-h-8 w-24 py-0.5"
            inputMode="numeric"
            value={number}
            onChange={(event) => setNumber(event.target.value)}
          />
          <button
            type="button"
            className="link"
            onClick={() => setNumber(String(1 + ((crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) % 99_999)))}
          >
            draw one
          </button>
        </span>
      </label>
      <label className="flex items-center justify-between gap-3">
        Its clock runs
        <Rates rate={rate} choose={setClockRate} />
      </label>
      <label className="flex items-center justify-between gap-3">
        While it works
        <select
          className="input min-h-8 py-0.5"
          value={fault}
          onChange={(event) => setFault(event.target.value as StandInFault['kind'] | '')}
        >
          {FAULTS.map(({ kind, words }) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <Findings findings={refused} />
      <button type="submit" className="button mt-1 justify-self-start">
        Connect the stand-in
      </button>
    </form>
  )
}

function Rates({ rate, choose }: { readonly rate: ClockRate; readonly choose: (rate: ClockRate) => void }) {
  return (
    <select className="input min-h-8 py-0.5" value={String(rate)} onChange={(event) => choose(Number(event.target.value))}>
      {RATES.map((it) => (
        <option key={it.words} value={String(it.rate)}>
          {it.words}
        </option>
      ))}
    </select>
  )
}

function Linked() {
  const { link, running, rate, lines, beam, isPaused, isCable } = useMachine()
  const number = standInNumber(useBenchStore((it) => it.bench?.id ?? ''))
  return (
    <div className="py-2">
      <p>
        {isCable ? (
          'The controller on the cable'
        ) : (
          <>
            Stand-in <span className="num">{number}</span>
          </>
        )}
        : {isPaused ? 'held, beam off' : sayLink(link, running, beam)}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
        <button type="button" className="button" disabled={!running && beam === 'off'} onClick={stopMachine}>
          Beam off and stop
        </button>
        {running && (
          <button type="button" className="button" onClick={() => void pauseMachine(!isPaused)}>
            {isPaused ? 'Let it go on' : 'Hold it'}
          </button>
        )}
        <button type="button" className="button" onClick={() => void leaveMachine()}>
          {link === 'faulted' ? 'Let go of it' : 'Disconnect'}
        </button>
      </div>
      {isCable ? (
        link === 'open' && !running && <Handshake />
      ) : (
        <label className="mt-2 flex items-center justify-between gap-3 text-[13px]">
          Its clock runs
          <Rates rate={rate} choose={setClockRate} />
        </label>
      )}
      <details className="mt-2 text-[13px]">
        <summary className="cursor-pointer text-second">What was said on the link</summary>
        <pre
          className="num mt-1 max-h-48 overflow-auto border border-rule p-2 text-[12px] leading-snug"
          tabIndex={0}
          role="region"
          aria-label="What was said on the link"
        >
          {lines.map(({ way, line }) => `${way === 'out' ? '→' : '←'} ${line}`).join('\n') || 'Nothing yet.'}
        </pre>
      </details>
    </div>
  )
}

function sayLink(link: 'none' | 'opening' | 'open' | 'faulted', running: boolean, beam: 'off' | 'on' | 'not known'): string {
  if (link === 'opening') return 'connecting'
  if (link === 'faulted') return beam === 'off' ? 'at fault, beam off' : 'at fault, told to stop, beam may be on'
  return running ? 'at work' : 'at rest'
}
