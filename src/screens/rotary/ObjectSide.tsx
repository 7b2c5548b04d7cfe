import {
  aroundRoom,
  bow,
  circumference,
  diameterOfWork,
  endLift,
  flatWidest,
  focusedLength,
  levelTilt,
  massAlong,
  massOff,
  straightLength,
  topLine,
  wall,
  workAngle,
} from '../../core/rotary'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What is worked of the object's shape, its focus and its balance. */
export function ObjectSide() {
  const id = useBenchStore(({ bench }) => bench?.rotary.inHand ?? '')
  const object = useBenchStore(({ bench }) => bench?.rotary.objects[id])
  if (object === undefined) return <Side stage="rotary" part="object" />
  const isHollow = object.hollow.chosen === 'driven' || object.hollow.chosen === 'far'
  return (
    <Side stage="rotary" part="object">
      <Panel title="Worked, its shape">
        {[diameterOfWork, circumference, straightLength, levelTilt, endLift].map((def) => (
          <FigureRow key={def.id} def={def} args={[id]} />
        ))}
        {isHollow && <FigureRow def={wall} args={[id]} />}
      </Panel>
      <Panel title="Worked, its work">
        {[workAngle, aroundRoom, topLine, focusedLength, bow, flatWidest].map((def) => (
          <FigureRow key={def.id} def={def} args={[id]} />
        ))}
      </Panel>
      <Panel title="Worked, its balance">
        <FigureRow def={massAlong} args={[id]} />
        {object.handle.chosen === 'one' && <FigureRow def={massOff} args={[id]} />}
      </Panel>
    </Side>
  )
}
