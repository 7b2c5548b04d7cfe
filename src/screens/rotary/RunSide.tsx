import {
  eccentricity,
  newestDial,
  newestTurns,
  overrunATurn,
  overrunLeft,
  ovality,
  ratioError,
  slip,
  turnScatter,
  turnStepsOf,
  widthSwing,
} from '../../core/rotary'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What the newest runs say, and judge. */
export function RunSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const turns = newestTurns.each(bench)[0]?.[0]
  const dial = newestDial.each(bench)[0]
  const id = bench.rotary.inHand
  const isTurned = bench.rotary.objects[id] !== undefined && bench.rotary.holding.chosen !== 'plate'
  return (
    <Side stage="rotary" part="run">
      {turns !== undefined && (
        <Panel title="Worked, the newest turns">
          {[overrunATurn, slip, ratioError, turnStepsOf, turnScatter].map((def) => (
            <FigureRow key={def.id} def={def} args={[turns]} />
          ))}
          {isTurned && <FigureRow def={overrunLeft} args={[id, turns]} />}
        </Panel>
      )}
      {dial !== undefined && (
        <Panel title="Worked, how true it runs">
          <FigureRow def={eccentricity} args={[dial[1]]} />
          <FigureRow def={ovality} args={[dial[1]]} />
          <FigureRow def={widthSwing} args={dial} />
        </Panel>
      )}
    </Side>
  )
}
