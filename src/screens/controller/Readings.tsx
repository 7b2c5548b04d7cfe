import { useState } from 'react'
import { checkReadings, readingDefs, scaleRunSteps, type ReadingDef, type ScaleRun } from '../../core/calibrate'
import { shownNumber, showFact } from '../../core/bench'
import { calibratedStepsOf, sizeError } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { sayQuantity, type Finding } from '../../core/units'
import {
  applyRun,
  dropRun,
  engineOf,
  enterReading,
  readingPath,
  readRun,
  roundedAway,
  unapplyRun,
  useMachine,
  isStandInThere,
  useSession,
  DONE,
  type Told,
} from '../../state'
import { Findings, Panel, ReadingField } from '../../ui'
import { HandOut } from '../../ui/HandOut'

const GROUPS = [
  { axis: 'x', title: 'Along X' },
  { axis: 'y', title: 'Along Y' },
  { axis: 'diagonal', title: 'Diagonals' },
] as const

/** The readings of a run, typed one after the other or taken with the stand-in's calipers; then the run is applied. */
export function Readings({ bench, runId }: { readonly bench: Bench; readonly runId: string }) {
  const run = bench.calibrate.runs[runId]
  if (run === undefined) return null
  const defs = readingDefs(run)
  const read = defs.filter((it) => run.readings[it.id] !== undefined).length
  const name = bench.instruments[run.instrument]?.name ?? 'an instrument that is gone'
  return (
    <Panel title={`Readings of run ${run.order}, with “${name}”`} aside={<Count read={read} of={defs.length} />}>
      <TakeReadings runId={runId} missing={defs.length - read} />
      <div className="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        {GROUPS.map(({ axis, title }) => (
          <fieldset key={axis} className="keep-together min-w-0">
            <legend className="text-[12px] text-second">{title}</legend>
            {defs
              .filter((it) => it.axis === axis)
              .map((def) => (
                <ReadingRow key={def.id} def={def} run={run} runId={runId} bench={bench} />
              ))}
          </fieldset>
        ))}
        <Apply bench={bench} run={run} runId={runId} />
      </div>
      <details className="no-print mt-3 text-[13px]">
        <summary className="cursor-pointer text-second">This run once more: its program, or throw it away</summary>
        <BurnAgain run={run} runId={runId} bench={bench} />
        <button
          type="button"
          className="link mt-2"
          disabled={Object.values(bench.calibrate.applied).includes(runId)}
          onClick={() => {
            dropRun(runId)
            useSession.setState({ runId: null })
          }}
        >
          Throw this run away
        </button>
        {Object.values(bench.calibrate.applied).includes(runId) && <span className="text-second"> not while it is applied</span>}
      </details>
    </Panel>
  )
}

function Count({ read, of }: { readonly read: number; readonly of: number }) {
  return (
    <span className="num text-[12px] text-second" role="status">
      {read} of {of} read
    </span>
  )
}

function TakeReadings({ runId, missing }: { readonly runId: string; readonly missing: number }) {
  const linked = useMachine(isStandInThere)
  const here = useMachine((it) => it.burnt === runId && !it.running)
  const [said, say] = useState(DONE)
  if (!linked || missing === 0) return null
  return (
    <div className="no-print pt-2">
      <button type="button" className="button button-first" disabled={!here} onClick={() => void readRun(runId).then(say)}>
        Read them with the stand-in’s calipers
      </button>
      {!here && <p className="mt-1 text-[13px] text-second">This run does not lie on the stand-in’s sheet: burn it again.</p>}
      <Findings findings={said} />
    </div>
  )
}

function ReadingRow(props: { readonly def: ReadingDef; readonly run: ScaleRun; readonly runId: string; readonly bench: Bench }) {
  const { def, run, runId, bench } = props
  const fact = run.readings[def.id]
  return (
    <ReadingField
      id={def.id}
      path={readingPath(runId, def.id)}
      words={def.words}
      commanded={def.commanded}
      shown={fact === undefined ? '' : showFact(fact).text}
      enter={(typed) => enterReading(runId, def, typed)}
      doubts={fact?.value == null ? [] : lookedAt(def, fact.value, run, bench)}
    />
  )
}

function BurnAgain({ run, runId, bench }: { readonly run: ScaleRun; readonly runId: string; readonly bench: Bench }) {
  const moved = roundedAway(run, bench)
  if (moved !== null) return <Findings findings={[moved]} />
  return (
    <HandOut
      name="scale run"
      steps={scaleRunSteps(run, run.power, run.speed)}
      bench={bench}
      prepare={() => ({ ok: true, value: { id: runId, keep: () => DONE }, findings: [] })}
      burnWords="Burn it again"
    />
  )
}

function lookedAt(def: ReadingDef, measured: number, run: ScaleRun, bench: Bench): readonly Finding[] {
  const of = (axis: 'x' | 'y'): readonly number[] => Object.values(run.ticks[axis])
  const travelOf = (axis: 'x' | 'y'): number | null => bench.motion.axes[run.axes[axis]]?.travel.value ?? null
  const [tx, ty] = [travelOf('x'), travelOf('y')]
  const travel = def.axis === 'diagonal' ? (tx === null || ty === null ? null : Math.hypot(tx, ty)) : travelOf(def.axis)
  const other = def.axis === 'diagonal' ? [] : of(def.axis === 'x' ? 'y' : 'x')
  const found = checkReadings([{ commanded: def.commanded, measured }], { travel, range: null, other })
  return found.map((it) => ({ ...it, message: it.message.replace(/^Reading 1: /, '') }))
}

/** Lets the steps of an axis follow the run; says whether its error is proved. */
function Apply({ bench, run, runId }: { readonly bench: Bench; readonly run: ScaleRun; readonly runId: string }) {
  const [said, say] = useState(DONE)
  const rows = (['x', 'y'] as const).map((axis) => ({ axis, axisId: run.axes[axis] }))
  return (
    <div className="no-print">
      <p className="text-[12px] text-second">What it says</p>
      {rows.map(({ axis, axisId }) => (
        <ApplyRow key={axis} bench={bench} runId={runId} axis={axis} axisId={axisId} say={say} />
      ))}
      <Findings findings={said} />
    </div>
  )
}

function ApplyRow(props: {
  readonly bench: Bench
  readonly runId: string
  readonly axis: 'x' | 'y'
  readonly axisId: string
  readonly say: (said: Told) => void
}) {
  const { bench, runId, axis, axisId, say } = props
  const engine = engineOf(bench)
  const error = engine.withDoubt(sizeError, runId, axis)
  const value = shownNumber(error.result)
  const letter = bench.motion.axes[axisId]?.letter ?? axis.toUpperCase()
  const applied = bench.calibrate.applied[axisId]
  if (value === null) {
    const why = error.result.known ? '' : error.result.why.kind === 'waiting' ? error.result.why.message : ''
    return <p className="border-b border-rule py-2">{`${letter}: ${why === '' ? 'not known yet' : why}.`}</p>
  }
  const expanded = error.doubt?.expanded ?? 0
  const proved = Math.abs(value) > expanded
  const steps = engine.withDoubt(calibratedStepsOf, axisId)
  return (
    <div className="border-b border-rule py-2">
      <p>
        {letter} is <span className="num">{sayQuantity(Math.abs(value), expanded, 'percent')}</span> too{' '}
        {value < 0 ? 'small' : 'large'}: {proved ? 'proved.' : 'that lies in the noise.'}
      </p>
      {applied === runId ? (
        <p className="text-[13px] text-second">
          Applied: {sayQuantity(shownNumber(steps.result) ?? 0, steps.doubt?.expanded ?? null, 'steps/mm')} by the bench.{' '}
          <button type="button" className="link" onClick={() => say(unapplyRun(axisId))}>
            Take it off {letter}
          </button>
        </p>
      ) : (
        <button
          type="button"
          className={`button mt-1 ${proved ? 'button-first' : ''}`}
          onClick={() => void applyRun(runId, axisId).then(say)}
        >
          Apply to {letter}
        </button>
      )}
    </div>
  )
}
