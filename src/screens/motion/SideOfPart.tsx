import { newestRun, runSquareness } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import {
  aMotorPair,
  bedLeftOver,
  bedRange,
  cableMargin,
  cableNeeded,
  centreDistance,
  controllerWithin,
  cornerClosure,
  driversNeeded,
  crossedAlike,
  FEET,
  MOTOR_OF,
  neededTorque,
  racking,
  rackingShift,
  rackingSteps,
  rocking,
  shim,
  slant,
  squareness,
  squareShift,
  squareSteps,
  tension,
  tensionAlike,
  topSpeed,
  torqueAtWanted,
  torqueRunning,
  torqueOfMicrostep,
  torqueReserve,
  wantedTone,
  windingSpeed,
} from '../../core/motion'
import { useFigure } from '../../state'
import { FigureRow, Panel } from '../../ui'
import { useChosenAxis } from './chosenAxis'
import { sideOf } from './sideOf'

export const DriveSide = sideOf(WorkedDrive)
export const BeltsSide = sideOf(WorkedBelts)
export const SquareSide = sideOf(WorkedSquare)
export const WheelsSide = sideOf(WorkedWheels)

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
      <FigureRow def={driversNeeded} args={[]} />
      {axis?.drive.chosen === 'reducedBelt' && <FigureRow def={centreDistance} args={[axisId]} />}
    </Panel>
  )
}

function WorkedBelts({ bench }: { readonly bench: Bench }) {
  const { axisId, letter, axis } = useChosenAxis(bench)
  const crossed = bench.motion.kinematics.chosen === 'crossed'
  const two = axis?.motors.value === 2 && !crossed
  return (
    <Panel title={crossed && axis !== undefined ? `Worked, belt of the ${MOTOR_OF[axis.letter]}` : `Worked, ${letter} belts`}>
      <FigureRow def={wantedTone} args={[axisId]} />
      <FigureRow def={tension} args={[axisId, 'A']} label={two ? 'Tension of the first belt' : 'Tension of the belt'} />
      {two && <FigureRow def={tension} args={[axisId, 'B']} label="Tension of the second belt" />}
      {two && <FigureRow def={tensionAlike} args={[axisId]} />}
      {crossed && aMotorPair.each(bench).map((pair) => <FigureRow key={pair.join()} def={crossedAlike} args={pair} />)}
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

function WorkedWheels() {
  return (
    <Panel title="Worked, the cables">
      <FigureRow def={cableNeeded} args={[]} />
      <FigureRow def={cableMargin} args={[]} />
      <FigureRow def={controllerWithin} args={[]} />
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
