import { maskChance, maskMarkLimit, maskNext, maskSpeed, maskTapeLimit } from '../../core/burn'
import { FigureRow, Panel, Side } from '../../ui'
import { useMaterial } from './chosen'

/** What the tries of a mask say. */
export function MaskSide() {
  const id = useMaterial()
  return (
    <Side stage="burns" part="mask">
      <Panel title="Worked, the mask">
        {id === null ? (
          <p className="py-2 text-[13.5px] text-second">What the tries of a mask say stands here.</p>
        ) : (
          [maskSpeed, maskChance, maskTapeLimit, maskMarkLimit, maskNext].map((def) => (
            <FigureRow key={def.id} def={def} args={[id]} />
          ))
        )}
      </Panel>
    </Side>
  )
}
