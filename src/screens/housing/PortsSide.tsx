import { densityWatching, aWindow, windowMargin } from '../../core/safety'
import { aPort, begunBox, portRoom } from '../../core/housing'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** How the openings lie in their walls, and what the window must stop. */
export function PortsSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const isBegun = begunBox.each(bench).length > 0
  return (
    <Side stage="housing" part="ports">
      {isBegun && Object.keys(bench.housing.ports).length > 0 && (
        <Panel title="Worked, wall left round each">
          {aPort.each(bench).map(([id]) => (
            <FigureRow key={id} def={portRoom} args={[id]} label={bench.housing.ports[id]?.name ?? id} />
          ))}
        </Panel>
      )}
      {aWindow.each(bench).length > 0 && (
        <Panel title="Worked, the window">
          <FigureRow def={densityWatching} args={[]} />
          <FigureRow def={windowMargin} args={[]} />
        </Panel>
      )}
    </Side>
  )
}
