import { useState, type ReactNode } from 'react'
import { setAt, showFact } from '../../core/bench'
import { layoutOf, TRIALS, type Trial, type TrialKindId, type TrialPick, type TrialReading } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import {
  applyDelay,
  DONE,
  draftTrial,
  dropTrial,
  enterTrialReading,
  isDone,
  NEXT_RUN,
  pickTrial,
  planTrial,
  readTrial,
  sheetOf,
  trialReadingPath,
  useBenchStore,
  useMachine,
  isStandInThere,
  type Told,
} from '../../state'
import { FactField, Findings, Panel, Sentence, StageLink, ReadingField } from '../../ui'
import { CardEditor } from './CardEditor'
import { chooseKind, chooseTrial, kindsOf, useInstrument, useTrialShown } from './chosen'
import { HandOut } from '../../ui/HandOut'
import { Instruments } from './Instruments'
import { InstrumentSelect } from './InstrumentSelect'

const BEGIN = (
  <>
    It begins at X <FactField path="calibrate.startX" />, Y <FactField path="calibrate.startY" />, marked with{' '}
    <FactField path="calibrate.markPower" /> of full power at <FactField path="calibrate.markSpeed" />.
  </>
)

const PLACE = (
  <>
    It begins at X <FactField path="calibrate.startX" />, Y <FactField path="calibrate.startY" />.
  </>
)

/** What each kind is given, in a sentence. */
const SENTENCES: Readonly<Record<TrialKindId, ReactNode>> = {
  delay: (
    <>
      Six lines from <FactField path="calibrate.delaySlowest" /> to <FactField path="calibrate.delayFastest" />, the beam switched
      in full motion between two uprights. A gap of <FactField path="calibrate.gapAllowed" /> may stay.
    </>
  ),
  outline: (
    <>
      Squares of <FactField path="calibrate.outlineSmall" /> and <FactField path="calibrate.outlineLarge" />, both ways round,
      each twice. A gap of <FactField path="calibrate.gapAllowed" /> may stay.
    </>
  ),
  circle: (
    <>
      Two circles of <FactField path="calibrate.circleLarge" />, one each way round, and one of{' '}
      <FactField path="calibrate.circleSmall" />. Size is wanted to <FactField path="calibrate.wantedShare" />.
    </>
  ),
  rectangle: (
    <>
      A rectangle of <FactField path="calibrate.rectangleWidth" /> by <FactField path="calibrate.rectangleDepth" />; the calipers
      must open to its diagonal.
    </>
  ),
  alternate: (
    <>
      Four blocks of lines there and back, up to <FactField path="calibrate.scanFastest" />. A gap of{' '}
      <FactField path="calibrate.gapAllowed" /> may stay.
    </>
  ),
  moves: (
    <>
      A tick, a thousand fast moves over a field of <FactField path="calibrate.movesField" />, a tick again, with the acceleration
      that is set in the machine.
    </>
  ),
  focus: (
    <>
      Lay a straight board with its low edge at the X below and a block of <FactField path="calibrate.focusLift" /> under it{' '}
      <FactField path="calibrate.focusRun" /> further along X. Hang the head so that the middle of the board is about where focus
      should be. Three sets of lines, nine places each: read them with a loupe, at least the heavy ones.
    </>
  ),
  pointer: (
    <>
      A cross is burnt and the head stops over its middle. Then read where the dot or cross of the pointing aid lies beside it,
      with the beam off.
    </>
  ),
  kerf: (
    <>
      Two combs, one along each axis, cut into nine pieces of <FactField path="calibrate.kerfPiece" /> at{' '}
      <FactField path="calibrate.kerfSpeed" /> with <FactField path="calibrate.kerfPower" />. Take all pieces out, press them
      together and read them; then read the opening that they left.
    </>
  ),
  wedge: (
    <>
      Let the sheet lie <FactField path="calibrate.wedgeDrop" /> below focus, so that even full power fades. Eight rows of 10% to
      100%, each faster from <FactField path="calibrate.wedgeSlowest" /> to <FactField path="calibrate.wedgeFastest" />.
    </>
  ),
  bands: (
    <>
      Ten lines, the fastest at <FactField path="calibrate.bandsFastest" />, with the frequency that is set in the machine.
    </>
  ),
}

/** What a part's trials are given, their program, their readings and what they came to. */
function TrialGiven({ part }: { readonly part: string }) {
  const bench = useBenchStore((it) => it.bench)
  const { kind, id } = useTrialShown(part)
  if (bench === null) return null
  const trial = id === null ? undefined : bench.calibrate.trials[kind][id]
  return (
    <div className="mt-2 grid gap-4">
      <Kinds part={part} kind={kind} />
      <Trials bench={bench} kind={kind} id={id} />
      {id === null || trial === undefined ? (
        <NextTrial bench={bench} kind={kind} />
      ) : (
        <TrialReadings key={id} bench={bench} kind={kind} id={id} trial={trial} />
      )}
      <OtherKinds part={part} shown={id === null || trial === undefined ? kind : null} />
      <Instruments bench={bench} />
      <CardEditor bench={bench} />
    </div>
  )
}

/** The given of a part. */
export function trialGivenOf(part: string) {
  return function PartGiven() {
    return <TrialGiven part={part} />
  }
}

function Choice(props: { readonly isOn: boolean; readonly act: () => void; readonly children: ReactNode }) {
  const { isOn, act, children } = props
  return (
    <button
      type="button"
      aria-pressed={isOn}
      className={`min-h-7 px-1 ${isOn ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
      onClick={act}
    >
      {children}
    </button>
  )
}

/** Kinds of pattern, where a part has several. */
function Kinds({ part, kind }: { readonly part: string; readonly kind: TrialKindId }) {
  const kinds = kindsOf(part)
  if (kinds.length < 2) return null
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px]" role="group" aria-label="Kinds of pattern">
      {kinds.map((it) => (
        <Choice key={it} isOn={it === kind} act={() => chooseKind(part, it)}>
          {TRIALS[it].name}
        </Choice>
      ))}
    </div>
  )
}

/** What the other patterns of the part are laid out with. */
function OtherKinds({ part, shown }: { readonly part: string; readonly shown: TrialKindId | null }) {
  const others = kindsOf(part).filter((it) => it !== shown)
  if (others.length === 0) return null
  return (
    <details className="no-print">
      <summary className="cursor-pointer text-[13px] font-[650]">
        {shown === null ? 'What the next pattern is laid out with' : 'What the other patterns are laid out with'}
      </summary>
      {others.map((it) => (
        <Sentence key={it}>{SENTENCES[it]}</Sentence>
      ))}
    </details>
  )
}

/** The trials of a kind that were burnt, and the next one. */
function Trials({ bench, kind, id }: { readonly bench: Bench; readonly kind: TrialKindId; readonly id: string | null }) {
  const trials = Object.entries(bench.calibrate.trials[kind]).sort(([, p], [, q]) => p.order - q.order)
  if (trials.length === 0) return null
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]" role="group" aria-label="Patterns burnt">
      {trials.map(([key, it]) => (
        <Choice key={key} isOn={key === id} act={() => chooseTrial(kind, key)}>
          {TRIALS[kind].name} {it.order}, {it.at.slice(0, 10)}
        </Choice>
      ))}
      <Choice isOn={id === null} act={() => chooseTrial(kind, NEXT_RUN)}>
        The next one
      </Choice>
    </div>
  )
}

/** A bench whose output card lets the beam on at once, where the pattern must not stand still. */
function cardFor(bench: Bench, kind: TrialKindId): Bench {
  return TRIALS[kind].withoutWait === true ? setAt(bench, 'output.card.afterOn', 0) : bench
}

function NextTrial({ bench, kind }: { readonly bench: Bench; readonly kind: TrialKindId }) {
  const instrument = useInstrument()
  const plan = planTrial(bench, kind)
  const { name } = TRIALS[kind]
  const prepare = (): ReturnType<typeof draftTrial> => {
    const made = draftTrial(kind, instrument)
    if (!made.ok) return made
    const { id, keep } = made.value
    const keepAndShow = (): Told => {
      const said = keep()
      if (isDone(said)) chooseTrial(kind, id)
      return said
    }
    return { ...made, value: { ...made.value, keep: keepAndShow } }
  }
  return (
    <Panel title={`Given, ${name.toLowerCase()}`}>
      <Sentence>
        {SENTENCES[kind]} {TRIALS[kind].ownPower === true ? PLACE : BEGIN} Read with{' '}
        <InstrumentSelect bench={bench} label="Instrument of the pattern" />.
      </Sentence>
      {plan.ok ? (
        <HandOut
          name={name.toLowerCase()}
          steps={layoutOf(kind, plan.value).steps}
          bench={cardFor(bench, kind)}
          prepare={prepare}
          burnWords="Burn the pattern"
        />
      ) : (
        <>
          <Findings findings={plan.findings} />
          <WhereToGo code={plan.findings[0]?.code ?? ''} />
        </>
      )}
    </Panel>
  )
}

/** The very place where what a pattern lacks is found out. */
function WhereToGo({ code }: { readonly code: string }) {
  if (code === 'no-power') {
    return (
      <StageLink stage="controller" part="ramp">
        Burn the faint mark
      </StageLink>
    )
  }
  if (code !== 'no-acceleration') return null
  return (
    <StageLink stage="controller" part="settings">
      Read the settings of the machine
    </StageLink>
  )
}

interface OfTrial {
  readonly bench: Bench
  readonly kind: TrialKindId
  readonly id: string
  readonly trial: Trial
}

/** What is read of a trial, in groups; what is picked out of it; and what follows. */
function TrialReadings({ bench, kind, id, trial }: OfTrial) {
  const { readings, picks, steps } = layoutOf(kind, trial)
  const groups = [...new Set(readings.map((it) => it.group))]
  const done =
    readings.filter((it) => trial.readings[it.id] !== undefined).length +
    picks.filter((it) => trial.picks[it.id] !== undefined).length
  const all = readings.length + picks.length
  return (
    <Panel
      title={`Readings of ${TRIALS[kind].name.toLowerCase()} ${trial.order}`}
      aside={
        <span className="num text-[12px] text-second" role="status">
          {done} of {all} read
        </span>
      }
    >
      <TakeThem kind={kind} id={id} missing={all - done} />
      <div className="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        {groups.map((group) => (
          <fieldset key={group} className="keep-together min-w-0">
            <legend className="text-[12px] text-second">{group}</legend>
            {readings
              .filter((it) => it.group === group)
              .map((def) => (
                <TrialReadingRow key={def.id} def={def} kind={kind} id={id} trial={trial} />
              ))}
          </fieldset>
        ))}
        {picks.map((it) => (
          <Pick key={it.id} pick={it} kind={kind} id={id} trial={trial} />
        ))}
        {kind === 'delay' && <ApplyDelay id={id} />}
      </div>
      <details className="no-print mt-3 text-[13px]">
        <summary className="cursor-pointer text-second">This pattern once more: its program, or throw it away</summary>
        <HandOut
          name={TRIALS[kind].name.toLowerCase()}
          steps={steps}
          bench={cardFor(bench, kind)}
          prepare={() => ({ ok: true, value: { id, keep: () => DONE, ...sheetOf(kind, trial) }, findings: [] })}
          burnWords="Burn it again"
        />
        <button type="button" className="link mt-2" onClick={() => dropTrial(kind, id)}>
          Throw this pattern away
        </button>
      </details>
    </Panel>
  )
}

function TakeThem({ kind, id, missing }: { readonly kind: TrialKindId; readonly id: string; readonly missing: number }) {
  const linked = useMachine(isStandInThere)
  const here = useMachine((it) => it.burnt === id && !it.running)
  const [said, say] = useState(DONE)
  if (!linked || missing === 0) return null
  return (
    <div className="no-print pt-2">
      <button type="button" className="button button-first" disabled={!here} onClick={() => void readTrial(kind, id).then(say)}>
        Read it with the stand-in’s instruments
      </button>
      {!here && <p className="mt-1 text-[13px] text-second">This pattern does not lie on the stand-in’s sheet: burn it again.</p>}
      <Findings findings={said} />
    </div>
  )
}

function TrialReadingRow({ def, kind, id, trial }: { readonly def: TrialReading } & Omit<OfTrial, 'bench'>) {
  const fact = trial.readings[def.id]
  return (
    <ReadingField
      id={def.id}
      path={trialReadingPath(kind, id, def.id)}
      words={def.words}
      commanded={def.commanded}
      shown={fact === undefined ? '' : showFact(fact).text}
      enter={(typed) => enterTrialReading(kind, id, def, typed)}
    />
  )
}

function Pick({ pick, kind, id, trial }: { readonly pick: TrialPick } & Omit<OfTrial, 'bench'>) {
  const picked = trial.picks[pick.id]
  return (
    <label className="flex flex-wrap items-center gap-3 text-[13.5px]">
      {pick.words}
      <select
        className="input min-h-8 py-0.5"
        value={picked ?? ''}
        onChange={(event) => pickTrial(kind, id, pick.id, event.target.value === '' ? null : Number(event.target.value))}
      >
        <option value="">not read yet</option>
        {pick.strokes.map((stroke, i) => (
          <option key={stroke} value={i + 1}>
            line {i + 1}
          </option>
        ))}
        <option value={0}>{pick.none}</option>
      </select>
    </label>
  )
}

function ApplyDelay({ id }: { readonly id: string }) {
  const [said, say] = useState(DONE)
  return (
    <div className="no-print">
      <p className="text-[12px] text-second">What it says</p>
      <p className="py-1 text-[13.5px]">
        Where lines begin from rest, the output card can wait behind “on” until the light is there. Where the beam goes on in full
        motion, as in a scan, begin as much earlier instead.
      </p>
      <button type="button" className="button" onClick={() => void applyDelay(id).then(say)}>
        Let the output card wait so long
      </button>
      <Findings findings={said} />
    </div>
  )
}
