import {
  densityGlance,
  densityWatching,
  eyewearMargin,
  limitGlance,
  limitWatching,
  scaleMargin,
  scaleNeeded,
} from '../../core/safety'
import { FigureRow, Panel, Side } from '../../ui'

/** What is worked of the beam's limits, and judged of the eyewear. */
export function EyewearSide() {
  return (
    <Side stage="safety" part="eyewear">
      <Panel title="Worked">
        <FigureRow def={densityWatching} args={[]} />
        <FigureRow def={densityGlance} args={[]} />
        <FigureRow def={eyewearMargin} args={[]} />
        <FigureRow def={scaleNeeded} args={[]} />
        <FigureRow def={scaleMargin} args={[]} />
        <FigureRow def={limitWatching} args={[]} />
        <FigureRow def={limitGlance} args={[]} />
      </Panel>
    </Side>
  )
}
