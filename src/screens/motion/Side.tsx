import { calibratedStepsOf } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { frameDepth, frameWidth, MOTOR_OF, smallestStep, steps, topSpeed, travelPerTurn, wantedRunOut } from '../../core/motion'
import { stepsAcrossSpot } from '../../core/optics'
import { FigureRow, later, Panel, StageLink } from '../../ui'
import { useChosenAxis } from './chosenAxis'
import { sideOf } from './sideOf'

const Gear = later(async () => (await import('./SideOfKind')).Gear)
const WorkedKind = later(async () => (await import('./SideOfKind')).WorkedKind)

export const MachineSide = sideOf(WorkedMachine)

function WorkedMachine({ bench }: { readonly bench: Bench }) {
  const { axisId, letter } = useChosenAxis(bench)
  const scans = letter !== 'Z'
  const kinematics = bench.motion.kinematics.chosen
  const mirrors = kinematics === 'mirrors'
  return (
    <>
      <Panel title={`Worked, ${kinematics === 'crossed' && scans ? MOTOR_OF[letter === 'X' ? 'X' : 'Y'] : `${letter} axis`}`}>
        <FigureRow def={steps} args={[axisId]} />
        {scans && <Calibrated bench={bench} axisId={axisId} />}
        <FigureRow def={smallestStep} args={[axisId]} />
        {scans && <FigureRow def={stepsAcrossSpot} args={[axisId]} />}
        {!(mirrors && scans) && <FigureRow def={travelPerTurn} args={[axisId]} />}
        <FigureRow def={topSpeed} args={[axisId]} />
        {scans && <FigureRow def={wantedRunOut} args={[axisId]} />}
        {mirrors && scans && <Gear axisId={axisId} />}
      </Panel>
      {(mirrors || kinematics === 'crossed') && <WorkedKind kinematics={kinematics} />}
      {!mirrors && (
        <Panel title="Worked, the machine" className="wide:order-1">
          <FigureRow def={frameWidth} args={[]} />
          <FigureRow def={frameDepth} args={[]} />
        </Panel>
      )}
    </>
  )
}

/** Steps by the run that is applied to the axis; where there is none, the way to one. */
function Calibrated({ bench, axisId }: { readonly bench: Bench; readonly axisId: string }) {
  const run = bench.calibrate.runs[bench.calibrate.applied[axisId] ?? '']
  if (run === undefined) {
    return (
      <p className="border-b border-rule py-1.5 text-[12px] text-second">
        Not calibrated:{' '}
        <StageLink stage="controller" part="run">
          burn a scale run
        </StageLink>
      </p>
    )
  }
  const note = `scale run of ${run.at.slice(0, 10)}, ${Object.keys(run.readings).length} readings`
  return <FigureRow def={calibratedStepsOf} args={[axisId]} label="as calibrated" note={note} />
}
