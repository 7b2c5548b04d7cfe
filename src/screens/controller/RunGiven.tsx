import { closingSentence, calibratedStepsOf, sizeError, scaleRunSteps, stepsMargin } from '../../core/calibrate'
import { shownNumber } from '../../core/bench'
import type { Bench } from '../../core/document'
import { engineOf, draftRun, NEXT_RUN, planRun, useBenchStore, useSession, isDone, type Told } from '../../state'
import { FactField, Findings, Panel, Sentence } from '../../ui'
import { CardEditor } from './CardEditor'
import { useChosenRun, useInstrument } from './chosen'
import { HandOut } from '../../ui/HandOut'
import { Instruments } from './Instruments'
import { InstrumentSelect } from './InstrumentSelect'
import { Readings } from './Readings'
import { Spans } from './Spans'

/** What the scale run is given, its program, its readings, and what it came to. */
export function RunGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useChosenRun()
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Closing bench={bench} />
      <Runs bench={bench} id={id} />
      {id === null ? <NextRun bench={bench} /> : <Readings key={id} bench={bench} runId={id} />}
      <Spans bench={bench} />
      <Instruments bench={bench} />
      <CardEditor bench={bench} />
    </div>
  )
}

/** One sentence for each axis that is calibrated and whose steps stand in the machine. */
function Closing({ bench }: { readonly bench: Bench }) {
  const engine = engineOf(bench)
  const sentences = Object.entries(bench.calibrate.applied).flatMap(([axisId, runId]) => {
    const run = bench.calibrate.runs[runId]
    const written = (shownNumber(engine.value(stepsMargin, axisId).result) ?? -1) >= 0
    if (run === undefined || !written) return []
    const steps = engine.withDoubt(calibratedStepsOf, axisId)
    const error = engine.value(sizeError, runId, run.axes.x === axisId ? 'x' : 'y')
    const [value, size] = [shownNumber(steps.result), shownNumber(error.result)]
    const letter = bench.motion.axes[axisId]?.letter ?? ''
    return value === null || size === null ? [] : [closingSentence(letter, value, steps.doubt?.expanded ?? 0, size)]
  })
  if (sentences.length === 0) return null
  return (
    <Panel title="What it came to">
      <ul className="m-0 list-none p-0" data-closing>
        {sentences.map((it) => (
          <li key={it} className="border-b border-rule py-2 text-[15px]">
            {it}
          </li>
        ))}
      </ul>
      <button type="button" className="link no-print mt-1 text-[13px]" onClick={() => window.print()}>
        Print this sheet
      </button>
    </Panel>
  )
}

/** The runs of the bench, and the next one. */
function Runs({ bench, id }: { readonly bench: Bench; readonly id: string | null }) {
  const runs = Object.entries(bench.calibrate.runs).sort(([, p], [, q]) => p.order - q.order)
  if (runs.length === 0) return null
  const choose = (runId: string) => (): void => useSession.setState({ runId })
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]" role="group" aria-label="Scale runs">
      {runs.map(([key, run]) => (
        <button
          key={key}
          type="button"
          aria-pressed={key === id}
          className={`min-h-7 px-1 ${key === id ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
          onClick={choose(key)}
        >
          Run {run.order}, {run.at.slice(0, 10)}
        </button>
      ))}
      <button
        type="button"
        aria-pressed={id === null}
        className={`min-h-7 px-1 ${id === null ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
        onClick={choose(NEXT_RUN)}
      >
        The next run
      </button>
    </div>
  )
}

function NextRun({ bench }: { readonly bench: Bench }) {
  const instrumentId = useInstrument()
  const plan = planRun(bench, instrumentId)
  const { markPower, markSpeed } = bench.calibrate
  const steps = plan.ok ? scaleRunSteps(plan.value.shape, markPower.value ?? 0, markSpeed.value ?? 1) : null
  const prepare = (): ReturnType<typeof draftRun> => {
    const made = draftRun(instrumentId)
    if (!made.ok) return made
    const { id, keep } = made.value
    const keepAndShow = (): Told => {
      const said = keep()
      if (isDone(said)) useSession.setState({ runId: id })
      return said
    }
    return { ...made, value: { id, keep: keepAndShow } }
  }
  const missing = whatIsMissing(bench)
  return (
    <Panel title="Given, the next run">
      <Sentence>
        Size is wanted to <FactField path="calibrate.wantedShare" />. The marks begin at X <FactField path="calibrate.startX" />,
        Y <FactField path="calibrate.startY" />, burnt with <FactField path="calibrate.markPower" /> of full power at{' '}
        <FactField path="calibrate.markSpeed" />. They are read with{' '}
        <InstrumentSelect bench={bench} label="Instrument of the run" />. It is good for <FactField path="calibrate.goodDays" />,
        or <FactField path="calibrate.goodHours" /> of work; the machine has run <FactField path="calibrate.hours" />.
      </Sentence>
      {plan.ok ? (
        <ul className="m-0 mt-1 max-w-[46rem] list-none p-0 text-[13px] text-second">
          {plan.value.why.map((it) => (
            <li key={it} className="py-0.5">
              {it}
            </li>
          ))}
        </ul>
      ) : (
        <Findings findings={plan.findings} />
      )}
      <Findings findings={missing} />
      {steps !== null && missing.length === 0 && (
        <HandOut name="scale run" steps={steps} bench={bench} prepare={prepare} burnWords="Burn the run" />
      )}
    </Panel>
  )
}

function whatIsMissing(bench: Bench) {
  const unread = Object.entries(bench.motion.axes).find(
    ([id, { letter }]) => letter !== 'Z' && bench.controller.axes[id]?.steps.value == null,
  )
  return [
    ...(unread === undefined
      ? []
      : [
          {
            code: 'steps-not-read',
            severity: 'warning' as const,
            message: `The ${unread[1].letter} steps in the machine are not known: read its settings, or type them in, on Settings. They are what the run corrects.`,
          },
        ]),
    ...(bench.calibrate.markPower.value === null
      ? [
          {
            code: 'no-power',
            severity: 'warning' as const,
            message: 'The marking power is not known: burn the faint ramp first, or enter it.',
          },
        ]
      : []),
  ]
}
