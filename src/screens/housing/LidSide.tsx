import {
  begunBox,
  handForce,
  hingeRoom,
  holdForce,
  labelForce,
  lidCentre,
  lidMass,
  staysShut,
  sprungLid,
  staysUp,
  strokeRoom,
} from '../../core/housing'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What the lid weighs, what holds it, and what a hand must do. */
export function LidSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const isBegun = begunBox.each(bench).length > 0
  const isSprung = sprungLid.each(bench).length > 0
  return (
    <Side stage="housing" part="lid">
      {isBegun && (
        <Panel title="Worked, the lid">
          {[lidMass, lidCentre, handForce, hingeRoom].map((def) => (
            <FigureRow key={def.id} def={def} args={[]} />
          ))}
        </Panel>
      )}
      {isBegun && isSprung && (
        <Panel title="Worked, its springs">
          {[holdForce, labelForce, staysUp, staysShut, strokeRoom].map((def) => (
            <FigureRow key={def.id} def={def} args={[]} />
          ))}
        </Panel>
      )}
    </Side>
  )
}
