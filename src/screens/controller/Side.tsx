import { worstFirst } from '../../core/bench'
import {
  backlash,
  calibratedStepsOf,
  lineWidth,
  runSquareness,
  scale,
  scatter,
  sizeError,
  sizeErrorNow,
} from '../../core/calibrate'
import { steps } from '../../core/motion'
import { scanIds, useBenchStore, useSession, useVerdicts, type ControllerPart } from '../../state'
import { Consequences, FigureRow, Panel, Records, VerdictRow } from '../../ui'
import { chosenRun } from './chosen'

/** What is worked and judged beside a part of Controller. */
export function ControllerSide({ part, runId }: { readonly part: ControllerPart; readonly runId: string | null }) {
  const bench = useBenchStore((it) => it.bench)
  const selected = useSession((it) => it.runId)
  const verdicts = useVerdicts('controller')
  if (bench === null) return null
  const shown = chosenRun(bench, selected, runId)
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <Consequences />
      {part === 'run' && shown !== null ? <WorkedRun runId={shown} /> : <WorkedSteps />}
      <Panel title="Judged">
        <ul className="m-0 list-none p-0">
          {worstFirst(verdicts).map((verdict) => (
            <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
          ))}
        </ul>
      </Panel>
      <Records stages={['controller']} />
    </div>
  )
}

function WorkedSteps() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ids = scanIds(bench)
  return (
    <Panel title="Worked">
      {(['x', 'y'] as const).map((axis) => (
        <div key={axis}>
          <FigureRow def={steps} args={[ids[axis]]} label={`${axis.toUpperCase()} steps, nominal`} />
          <FigureRow def={calibratedStepsOf} args={[ids[axis]]} label={`${axis.toUpperCase()} steps by the bench`} />
          <FigureRow def={sizeErrorNow} args={[ids[axis]]} label={`${axis.toUpperCase()} size now, too large by`} />
        </div>
      ))}
    </Panel>
  )
}

function WorkedRun({ runId }: { readonly runId: string }) {
  return (
    <Panel title="Worked, the run">
      {(['x', 'y'] as const).map((axis) => (
        <div key={axis}>
          <FigureRow def={scale} args={[runId, axis]} label={`${axis.toUpperCase()} moved for 1 mm commanded`} />
          <FigureRow def={sizeError} args={[runId, axis]} label={`${axis.toUpperCase()} size, too large by`} />
          <FigureRow def={backlash} args={[runId, axis]} label={`${axis.toUpperCase()} backlash`} />
          <FigureRow def={lineWidth} args={[runId, axis]} label={`${axis.toUpperCase()} line width`} />
        </div>
      ))}
      <FigureRow def={runSquareness} args={[runId]} />
      <FigureRow def={scatter} args={[runId]} />
    </Panel>
  )
}
