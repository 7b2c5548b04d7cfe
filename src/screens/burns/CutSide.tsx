import { cutLimit, cutSpeed, nextTry } from '../../core/burn'
import { whyNotBurnt } from '../../core/safety'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'
import { useMaterial } from './chosen'

/** What the tries of a material say, and what is judged of it. */
export function CutSide() {
  const id = useMaterial()
  const kind = useBenchStore(({ bench }) => (id === null ? '' : (bench?.burns.materials[id]?.kind ?? '')))
  const against = id === null ? null : whyNotBurnt(kind)
  return (
    <Side stage="burns" part="cut">
      <Panel title="Worked, the cut">
        {id === null || against !== null ? (
          <p className="py-2 text-[13.5px] text-second">
            {against === null ? 'What the tries of a material say stands here.' : `Nothing: ${against}.`}
          </p>
        ) : (
          [cutSpeed, cutLimit, nextTry].map((def) => <FigureRow key={def.id} def={def} args={[id]} />)
        )}
      </Panel>
    </Side>
  )
}
