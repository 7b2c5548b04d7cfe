import {
  drivenSteps,
  grip,
  inertia,
  nominalTurn,
  offAxis,
  rateRoom,
  ringLength,
  slipFrom,
  stepsADegree,
  stepsAcross,
  stepsOfSurface,
  surfaceStep,
  torque,
  torqueRoom,
  turnRatio,
  turnSpeed,
  turnSteps,
} from '../../core/rotary'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** Steps, speeds and torques of what turns the object. */
export function TurningSide() {
  const rotary = useBenchStore(({ bench }) => bench?.rotary)
  const id = rotary?.inHand ?? ''
  const isTurned = rotary?.objects[id] !== undefined && rotary.holding.chosen !== 'plate'
  return (
    <Side stage="rotary" part="turning">
      <Panel title="Worked, its drive">
        <FigureRow def={turnRatio} args={[]} />
        <FigureRow def={drivenSteps} args={[]} />
        {rotary?.turn.drive.chosen === 'ring' && <FigureRow def={ringLength} args={[]} />}
      </Panel>
      {isTurned && (
        <>
          <Panel title="Worked, its steps">
            {[nominalTurn, turnSteps, stepsADegree, stepsOfSurface, surfaceStep, stepsAcross].map((def) => (
              <FigureRow key={def.id} def={def} args={[id]} />
            ))}
          </Panel>
          <Panel title="Worked, its speed and torque">
            {[rateRoom, turnSpeed, inertia, offAxis, torque, torqueRoom].map((def) => (
              <FigureRow key={def.id} def={def} args={[id]} />
            ))}
            {rotary.holding.chosen === 'rollers' &&
              [grip, slipFrom].map((def) => <FigureRow key={def.id} def={def} args={[id]} />)}
          </Panel>
        </>
      )}
    </Side>
  )
}
