import type { ComponentType } from 'react'
import { shownNumber } from '../../core/bench'
import { calibratedStepsOf, newestRun, runSquareness } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import {
  bedLeftOver,
  bedRange,
  centreDistance,
  cornerClosure,
  cornerFocusError,
  cornerSpotGrowth,
  crossedBeltLength,
  crossedSlack,
  FEET,
  frameDepth,
  frameWidth,
  gearFor,
  gearWanted,
  halfField,
  neededTorque,
  racking,
  rackingShift,
  rackingSteps,
  rocking,
  shim,
  slant,
  smallestStep,
  squareness,
  squareShift,
  squareSteps,
  steps,
  tension,
  tensionAlike,
  topSpeed,
  torqueAtWanted,
  torqueRunning,
  torqueOfMicrostep,
  torqueReserve,
  travelPerTurn,
  wantedRunOut,
  wantedTone,
  windingSpeed,
} from '../../core/motion'
import { stepsAcrossSpot } from '../../core/optics'
import { useBenchStore, useFigure } from '../../state'
import { FigureRow, Panel, Side, StageLink } from '../../ui'
import { useChosenAxis } from './chosenAxis'

export const MachineSide = sideOf(WorkedMachine)
export const DriveSide = sideOf(WorkedDrive)
export const BeltsSide = sideOf(WorkedBelts)
export const SquareSide = sideOf(WorkedSquare)

/** What is worked and judged beside a part of Motion. */
function sideOf(Worked: ComponentType<{ readonly bench: Bench }>): ComponentType {
  return function MotionSide() {
    const bench = useBenchStore((it) => it.bench)
    return (
      <Side stage="motion" records={['motion', 'controller']}>
        {bench !== null && <Worked bench={bench} />}
      </Side>
    )
  }
}

function WorkedMachine({ bench }: { readonly bench: Bench }) {
  const { axisId, letter } = useChosenAxis(bench)
  const scans = letter !== 'Z'
  const kinematics = bench.motion.kinematics.chosen
  const mirrors = kinematics === 'mirrors'
  return (
    <>
      <Panel title={`Worked, ${letter} axis`}>
        <FigureRow def={steps} args={[axisId]} />
        {scans && <Calibrated bench={bench} axisId={axisId} />}
        <FigureRow def={smallestStep} args={[axisId]} />
        {scans && <FigureRow def={stepsAcrossSpot} args={[axisId]} />}
        {!(mirrors && scans) && <FigureRow def={travelPerTurn} args={[axisId]} />}
        <FigureRow def={topSpeed} args={[axisId]} />
        {scans && <FigureRow def={wantedRunOut} args={[axisId]} />}
        {mirrors && scans && <Gear axisId={axisId} />}
      </Panel>
      {mirrors && (
        <Panel title="Worked, the field" className="wide:order-1">
          <FigureRow def={cornerFocusError} args={[]} />
          <FigureRow def={cornerSpotGrowth} args={[]} />
          <FigureRow def={halfField} args={[]} />
        </Panel>
      )}
      {kinematics === 'crossed' && (
        <Panel title="Worked, the crossed belts" className="wide:order-1">
          {(['a', 'b'] as const).map((belt) => (
            <div key={belt}>
              <FigureRow def={crossedBeltLength} args={[belt]} label={`Belt of the ${SIDE_OF[belt]} motor`} />
              <FigureRow def={crossedSlack} args={[belt]} label="grows over the travel by" />
            </div>
          ))}
        </Panel>
      )}
      {!mirrors && (
        <Panel title="Worked, the machine" className="wide:order-1">
          <FigureRow def={frameWidth} args={[]} />
          <FigureRow def={frameDepth} args={[]} />
        </Panel>
      )}
    </>
  )
}

const SIDE_OF = { a: 'left', b: 'right' } as const

/** The gear that reaches the wanted resolution, and standard wheels that do. */
function Gear({ axisId }: { readonly axisId: string }) {
  const wanted = useFigure(gearWanted, axisId)
  const ratio = wanted === null ? null : shownNumber(wanted.result)
  const pair = ratio === null ? null : gearFor(ratio)
  const note =
    ratio === null
      ? undefined
      : ratio <= 1
        ? 'fine enough without'
        : pair === null
          ? 'more than one pair of standard wheels'
          : `wheels of ${pair.motor} and ${pair.driven} teeth reach it`
  return <FigureRow def={gearWanted} args={[axisId]} {...(note === undefined ? {} : { note })} />
}

function WorkedDrive({ bench }: { readonly bench: Bench }) {
  const { axisId, letter, axis } = useChosenAxis(bench)
  return (
    <Panel title={`Worked, ${letter} axis`}>
      <FigureRow def={torqueReserve} args={[axisId]} />
      <FigureRow def={neededTorque} args={[axisId]} />
      <FigureRow def={torqueRunning} args={[axisId]} />
      <FigureRow def={torqueAtWanted} args={[axisId]} />
      <FigureRow def={windingSpeed} args={[axisId]} />
      <FigureRow def={topSpeed} args={[axisId]} />
      <FigureRow def={torqueOfMicrostep} args={[axisId]} />
      {axis?.drive.chosen === 'reducedBelt' && <FigureRow def={centreDistance} args={[axisId]} />}
    </Panel>
  )
}

function WorkedBelts({ bench }: { readonly bench: Bench }) {
  const { axisId, letter, axis } = useChosenAxis(bench)
  const two = axis?.motors.value === 2
  return (
    <Panel title={`Worked, ${letter} belts`}>
      <FigureRow def={wantedTone} args={[axisId]} />
      <FigureRow def={tension} args={[axisId, 'A']} label={two ? 'Tension of the first belt' : 'Tension of the belt'} />
      {two && <FigureRow def={tension} args={[axisId, 'B']} label="Tension of the second belt" />}
      {two && <FigureRow def={tensionAlike} args={[axisId]} />}
    </Panel>
  )
}

function WorkedSquare({ bench }: { readonly bench: Bench }) {
  const run = newestRun(bench.calibrate)
  const heights = Object.values(bench.motion.heights)
  const read = heights.length >= 4 && heights.every((it) => it.height.value !== null)
  return (
    <Panel title="Worked, the machine">
      <FigureRow def={squareness} args={[]} />
      {run !== null && <FigureRow def={runSquareness} args={[run]} note="from the diagonals of the newest scale run" />}
      <FigureRow def={slant} args={[]} />
      <FigureRow def={cornerClosure} args={[]} />
      <Shift def={squareShift} steps={squareSteps} bench={bench} />
      <FigureRow def={racking} args={[]} />
      <Shift def={rackingShift} steps={rackingSteps} bench={bench} />
      <FigureRow def={rocking} args={[]} />
      <FigureRow def={bedRange} args={[]} />
      {read && <FigureRow def={bedLeftOver} args={[]} />}
      {read && FEET.map((foot, i) => <FigureRow key={foot} def={shim} args={[String(i)]} label={`Shim, ${foot} foot`} />)}
    </Panel>
  )
}

/** How far one end of the gantry moves, and by how many steps where its motor has a driver of its own. */
function Shift(props: { readonly def: typeof squareShift; readonly steps: typeof squareSteps; readonly bench: Bench }) {
  const { def, steps: ofMotor, bench } = props
  const known = useFigure(def)?.result.known === true
  const y = Object.values(bench.motion.axes).find((it) => it.letter === 'Y')
  if (!known || bench.motion.kinematics.chosen === 'mirrors') return null
  return (
    <>
      <FigureRow def={def} args={[]} />
      {y?.motors.value === 2 && y.drivers.chosen === 'each' && <FigureRow def={ofMotor} args={[]} />}
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
