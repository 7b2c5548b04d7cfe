import {
  backlash,
  calibratedStepsOf,
  daysLeft,
  hoursLeft,
  lineWidth,
  runSquareness,
  scale,
  scatter,
  sizeError,
  sizeErrorNow,
} from '../../core/calibrate'
import { steps } from '../../core/motion'
import { scanIds, useBenchStore } from '../../state'
import { FigureRow, Panel } from '../../ui'
import { useChosenRun } from './chosen'
import { ControllerSide } from './ControllerSide'
import { CurveWorked } from '../../ui/PowerCurve'

/** What is worked and judged beside the settings. */
export function StepsSide() {
  return (
    <ControllerSide>
      <WorkedSteps />
    </ControllerSide>
  )
}

/** The same beside a scale run. */
export function RunSide() {
  const runId = useChosenRun()
  return <ControllerSide>{runId === null ? <WorkedSteps /> : <WorkedRun runId={runId} />}</ControllerSide>
}

/** The same beside the power curve. */
export function CurveSide() {
  return (
    <ControllerSide part="curve">
      <CurveWorked />
    </ControllerSide>
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
          <FigureRow def={sizeErrorNow} args={[ids[axis]]} label={`${axis.toUpperCase()} size now`} />
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
          <FigureRow def={sizeError} args={[runId, axis]} label={`${axis.toUpperCase()} size`} />
          <FigureRow def={backlash} args={[runId, axis]} label={`${axis.toUpperCase()} backlash`} />
          <FigureRow def={lineWidth} args={[runId, axis]} label={`${axis.toUpperCase()} line width`} />
        </div>
      ))}
      <FigureRow def={runSquareness} args={[runId]} />
      <FigureRow def={scatter} args={[runId]} />
      <FigureRow def={daysLeft} args={[]} />
      <FigureRow def={hoursLeft} args={[]} />
    </Panel>
  )
}
