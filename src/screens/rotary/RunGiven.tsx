import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import type { Bench } from '../../core/document'
import { newestRun, turnStepsOf } from '../../core/rotary'
import {
  addDialRun,
  addTurnRun,
  DIAL_ANGLES,
  DONE,
  engineOf,
  enterDial,
  enterOverrun,
  followTurns,
  isStandInThere,
  readDialByStandIn,
  readTurnsByStandIn,
  removeOfRotary,
  REPEATS,
  useBenchStore,
  useMachine,
  type Told,
} from '../../state'
import { FactField, Findings, Panel, ReadingField, SelectOf } from '../../ui'
import { SwapGiven } from './SwapGiven'

/** What is turned and read, and the rotary in the place of an axis. */
export function RunGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Turns bench={bench} />
      <Dial bench={bench} />
      <SwapGiven bench={bench} />
    </div>
  )
}

function newestOf<T extends { readonly order: number }>(list: Readonly<Record<string, T>>): readonly [string, T] | null {
  const id = newestRun(list)
  const run = id === null ? undefined : list[id]
  return id === null || run === undefined ? null : [id, run]
}

function InstrumentOf(props: {
  readonly bench: Bench
  readonly label: string
  readonly value: string
  readonly choose: (id: string) => void
}) {
  const { bench, label, value, choose } = props
  const names = Object.fromEntries(Object.entries(bench.instruments).map(([id, it]) => [id, it.name]))
  return <SelectOf label={label} of={names} value={value} choose={choose} />
}

function Turns({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const [instrument, choose] = useState(Object.keys(bench.instruments)[0] ?? '')
  const [several, setSeveral] = useState('5')
  const newest = newestOf(bench.rotary.turnRuns)
  return (
    <Panel title="Given, turns and what they overran">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Put a fine mark on the object under the sighting spot. Command one whole turn in one go, and measure along the surface how
        far the mark stands past the spot, less than 0 where it is short of it. Then several turns in one go. {REPEATS} times
        each: what grows with the turns is the ratio, what is lost once a start is slip or play.
      </p>
      <div className="no-print flex flex-wrap items-center gap-2 py-1 text-[14px]">
        Read with <InstrumentOf bench={bench} label="Overruns are read with" value={instrument} choose={choose} />
        <button type="button" className="button" onClick={() => say(addTurnRun(instrument))}>
          {newest === null ? 'Begin a run of turns' : 'Begin another run'}
        </button>
      </div>
      <Findings findings={said} />
      {newest !== null && (
        <>
          <p className="py-1 text-[14px]">
            Run {newest[1].order}, {newest[1].at.slice(0, 10)}: commanded{' '}
            <span className="num">{Number(newest[1].steps.toFixed(2))}</span> steps for a turn, on Ø
            <FactField path={`rotary.turnRuns.${newest[0]}.diameter`} small />.{' '}
            <label className="no-print">
              Several is{' '}
              <SelectOf
                label="Turns in one go"
                of={{ '3': '3 turns', '5': '5 turns', '10': '10 turns' }}
                value={several as '3' | '5' | '10'}
                choose={setSeveral}
              />
            </label>
          </p>
          <div className="grid gap-x-8 sm:grid-cols-2">
            {['1', several].map((turns) => (
              <div key={turns}>
                {Array.from({ length: REPEATS }, (_, k) => `${turns}x${k + 1}`).map((name) => (
                  <Reading
                    key={name}
                    path={`rotary.turnRuns.${newest[0]}.readings.${name}`}
                    words={`Past itself after ${turns} ${turns === '1' ? 'turn' : 'turns'}`}
                    shown={newest[1].readings[name]?.typed ?? ''}
                    enter={(typed) => enterOverrun(newest[0], name, typed)}
                  />
                ))}
              </div>
            ))}
          </div>
          <ByStandIn
            words="Turn it on the stand-in, and read"
            read={() => readTurnsByStandIn(newest[0], Number(several))}
            say={say}
          />
          <Follow bench={bench} id={newest[0]} say={say} />
        </>
      )}
    </Panel>
  )
}

/** Where the stand-in is connected its rotary can be turned and read. */
function ByStandIn(props: { readonly words: string; readonly read: () => Promise<Told>; readonly say: (said: Told) => void }) {
  const { words, read, say } = props
  const isThere = useMachine(isStandInThere)
  if (!isThere) return null
  return (
    <button type="button" className="button no-print mt-2" onClick={() => void read().then(say)}>
      {words}
    </button>
  )
}

function Reading(props: {
  readonly path: string
  readonly words: string
  readonly shown: string
  readonly enter: (typed: string) => Told
}) {
  return <ReadingField id={props.path} commanded={null} {...props} />
}

/** Whether the steps follow the newest run. */
function Follow({ bench, id, say }: { readonly bench: Bench; readonly id: string; readonly say: (said: Told) => void }) {
  const isFollowed = bench.rotary.turnBy === id
  const isKnown = shownNumber(engineOf(bench).value(turnStepsOf, id).result) !== null
  return (
    <div className="no-print flex flex-wrap items-center gap-2 py-2">
      {isFollowed ? (
        <>
          <span className="text-[13px] text-second">The steps for a turn follow this run.</span>
          <button type="button" className="link" onClick={() => void followTurns('').then(say)}>
            Follow none
          </button>
        </>
      ) : (
        <button type="button" className="button" disabled={!isKnown} onClick={() => void followTurns(id).then(say)}>
          Use the steps of this run
        </button>
      )}
      <button
        type="button"
        className="link ml-auto"
        onClick={() => say(removeOfRotary(`rotary.turnRuns.${id}`, 'a run of turns taken away'))}
      >
        Take this run away
      </button>
    </div>
  )
}

function Dial({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const [instrument, choose] = useState('')
  const newest = newestOf(bench.rotary.dialRuns)
  return (
    <Panel title="Given, a dial round the turn">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Stand a dial against the object in the middle of the work, turn it by 30° at a time, and type what it shows: more is
        further out. Once a turn is off centre, twice a turn is oval.
      </p>
      <div className="no-print flex flex-wrap items-center gap-2 py-1 text-[14px]">
        Read with{' '}
        <SelectOf
          label="The dial is"
          of={{
            '': 'a dial, its ± typed',
            ...Object.fromEntries(Object.entries(bench.instruments).map(([id, it]) => [id, it.name])),
          }}
          value={instrument}
          choose={choose}
        />
        <button type="button" className="button" onClick={() => say(addDialRun(instrument))}>
          {newest === null ? 'Begin a round of readings' : 'Begin another round'}
        </button>
      </div>
      <Findings findings={said} />
      {newest !== null && (
        <>
          <div className="grid gap-x-8 sm:grid-cols-2">
            {DIAL_ANGLES.map((angle) => (
              <Reading
                key={angle}
                path={`rotary.dialRuns.${newest[0]}.readings.${angle}`}
                words={`Dial at ${angle}°`}
                shown={newest[1].readings[String(angle)]?.typed ?? ''}
                enter={(typed) => enterDial(newest[0], String(angle), typed)}
              />
            ))}
          </div>
          <ByStandIn words="Read the stand-in’s dial" read={() => readDialByStandIn(newest[0])} say={say} />
          <button
            type="button"
            className="link no-print my-2"
            onClick={() => say(removeOfRotary(`rotary.dialRuns.${newest[0]}`, 'a round of dial readings taken away'))}
          >
            Take this round away
          </button>
        </>
      )}
    </Panel>
  )
}
