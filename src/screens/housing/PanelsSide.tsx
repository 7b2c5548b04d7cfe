import {
  begunBox,
  boxMass,
  framedBox,
  frameLevel,
  frameUpright,
  paintArea,
  paintCost,
  paintNeeded,
  paintTime,
  screwsAlong,
} from '../../core/housing'
import { frameBars, pilotOfBox, sheetCost, sheetsToBuy, usedSheet } from '../../core/nesting'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What the sheet in use comes to, its paint and its screws. */
export function PanelsSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const [sheet] = usedSheet.each(bench)[0] ?? []
  return (
    <Side stage="housing" part="panels">
      {sheet !== undefined && (
        <Panel title="Worked, of the sheet in use">
          <FigureRow def={sheetsToBuy} args={[sheet]} />
          <FigureRow def={sheetCost} args={[sheet]} />
          <FigureRow def={boxMass} args={[]} />
        </Panel>
      )}
      {framedBox.each(bench).length > 0 && sheet !== undefined && (
        <Panel title="Worked, the frame of the window">
          <FigureRow def={frameUpright} args={[]} />
          <FigureRow def={frameLevel} args={[]} />
          <FigureRow def={frameBars} args={[]} />
        </Panel>
      )}
      {begunBox.each(bench).length > 0 && sheet !== undefined && (
        <Panel title="Worked, its screws and paint">
          <FigureRow def={screwsAlong} args={[]} />
          <FigureRow def={pilotOfBox} args={[sheet]} />
          <FigureRow def={paintArea} args={[]} />
          <FigureRow def={paintNeeded} args={[]} />
          <FigureRow def={paintTime} args={[]} />
          <FigureRow def={paintCost} args={[]} />
        </Panel>
      )}
    </Side>
  )
}
