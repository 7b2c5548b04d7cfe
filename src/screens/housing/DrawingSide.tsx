import { begunBox, boxMass, outsideSize } from '../../core/housing'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** Sizes of the whole. */
export function DrawingSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <Side stage="housing" part="drawing">
      {begunBox.each(bench).length > 0 && (
        <Panel title="Worked, the whole">
          {(['x', 'y', 'z'] as const).map((way) => (
            <FigureRow
              key={way}
              def={outsideSize}
              args={[way]}
              label={`Outside ${way === 'z' ? 'in height' : `along ${way.toUpperCase()}`}`}
            />
          ))}
          <FigureRow def={boxMass} args={[]} />
        </Panel>
      )}
    </Side>
  )
}
