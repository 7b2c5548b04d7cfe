import { cutLimit, cutSpeed, nextTry } from '../../core/burn'
import { FigureRow, Panel, Side } from '../../ui'
import { useMaterial } from './chosen'

/** What the tries of a material say, and what is judged of it. */
export function CutSide() {
  const id = useMaterial()
  return (
    <Side stage="burns" part="cut">
      {id === null ? (
        <Panel title="Worked">
          <p className="py-2 text-[13.5px] text-second">What the tries of a material say stands here.</p>
        </Panel>
      ) : (
        <Panel title="Worked, the cut">
          <FigureRow def={cutSpeed} args={[id]} />
          <FigureRow def={cutLimit} args={[id]} />
          <FigureRow def={nextTry} args={[id]} />
        </Panel>
      )}
    </Side>
  )
}
