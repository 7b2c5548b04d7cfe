import { fanAgrees, fanRead, flowRead, gapsOf, leakRead } from '../../core/air'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What follows from the readings. */
export function MeasureSide() {
  const air = useBenchStore(({ bench }) => bench?.air)
  if (air === undefined) return null
  const isRead = Object.keys(air.readings).length > 0
  return (
    <Side stage="air" part="measure">
      <Panel title="Worked, from the readings">
        {isRead ? (
          <>
            <FigureRow def={leakRead} args={[]} />
            <FigureRow def={flowRead} args={[]} />
            <FigureRow def={fanRead} args={[]} />
            <FigureRow def={fanAgrees} args={[]} />
          </>
        ) : (
          <p className="py-1.5 text-[13.5px] text-second">Nothing was read yet.</p>
        )}
        {air.box.caught.chosen === 'box' && <FigureRow def={gapsOf} args={[]} label="Gaps that count" />}
      </Panel>
    </Side>
  )
}
