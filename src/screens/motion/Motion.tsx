import { Link } from 'react-router'
import { calibratedStepsOf, newestRun, runSquareness } from '../../core/calibrate'
import { axisIds, type Bench } from '../../core/document'
import {
  cornerClosure,
  frameDepth,
  frameWidth,
  slant,
  smallestStep,
  squareness,
  steps,
  topSpeed,
  travelPerTurn,
  wantedRunOut,
} from '../../core/motion'
import { stepsAcrossSpot } from '../../core/optics'
import { worstFirst } from '../../core/bench'
import { useBenchStore, useSession, useVerdicts } from '../../state'
import { Consequences, FigureRow, Panel, Records, Sheet, VerdictRow } from '../../ui'
import { MotionGiven } from './Given'
import { MachinePlate } from './MachinePlate'

/** Motion: will it move truly? */
export function Motion() {
  return (
    <Sheet
      question="Will it move truly?"
      about="Point at an axis to bring its drive out; press in the frame to move the head; drag a dimension to change it."
      plate={<MachinePlate />}
      given={<MotionGiven />}
      side={<Side />}
    />
  )
}

function Side() {
  const bench = useBenchStore((it) => it.bench)
  const chosen = useSession((it) => it.axisId)
  const verdicts = useVerdicts('motion')
  if (bench === null) return null
  const ids = axisIds(bench)
  const axisId = chosen !== null && ids.includes(chosen) ? chosen : (ids[0] ?? '')
  const letter = bench.motion.axes[axisId]?.letter ?? ''
  const scans = letter !== 'Z'
  const run = newestRun(bench.calibrate)
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <div className="grid gap-5 wide:contents">
        <Consequences />
        <Panel title={`Worked, ${letter} axis`}>
          <FigureRow def={steps} args={[axisId]} />
          {scans && <Calibrated bench={bench} axisId={axisId} />}
          <FigureRow def={smallestStep} args={[axisId]} />
          {scans && <FigureRow def={stepsAcrossSpot} args={[axisId]} />}
          <FigureRow def={travelPerTurn} args={[axisId]} />
          <FigureRow def={topSpeed} args={[axisId]} />
          {scans && <FigureRow def={wantedRunOut} args={[axisId]} />}
        </Panel>
        <Panel title="Worked, the machine" className="wide:order-1">
          <FigureRow def={squareness} args={[]} />
          {run !== null && <FigureRow def={runSquareness} args={[run]} note="from the diagonals of the newest scale run" />}
          <FigureRow def={slant} args={[]} />
          <FigureRow def={cornerClosure} args={[]} />
          <FigureRow def={frameWidth} args={[]} />
          <FigureRow def={frameDepth} args={[]} />
        </Panel>
      </div>
      <div className="grid gap-5 wide:contents">
        <Panel title="Judged">
          <ul className="m-0 list-none p-0">
            {worstFirst(verdicts).map((verdict) => (
              <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
            ))}
          </ul>
        </Panel>
        <div className="wide:order-2">
          <Records stages={['motion', 'controller']} />
        </div>
      </div>
    </div>
  )
}

/** Steps by the run that is applied to the axis; where there is none, the way to one. */
function Calibrated({ bench, axisId }: { readonly bench: Bench; readonly axisId: string }) {
  const run = bench.calibrate.runs[bench.calibrate.applied[axisId] ?? '']
  if (run === undefined) {
    return (
      <p className="border-b border-rule py-1.5 text-[12px] text-second">
        Not calibrated:{' '}
        <Link className="link" to={`/bench/${bench.id}/controller`} onClick={() => useSession.setState({ part: 'run' })}>
          burn a scale run
        </Link>
      </p>
    )
  }
  const note = `scale run of ${run.at.slice(0, 10)}, ${Object.keys(run.readings).length} readings`
  return <FigureRow def={calibratedStepsOf} args={[axisId]} label="as calibrated" note={note} />
}
