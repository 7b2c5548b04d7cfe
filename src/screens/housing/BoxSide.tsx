import { aFixedWay, begunBox, boxMass, insideRoom, insideSize, insideVolume, needed, outsideSize } from '../../core/housing'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

const WAYS = { x: 'along X', y: 'along Y', z: 'in height' } as const

/** Sizes inside and outside, and what each must be. */
export function BoxSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ways = Object.entries(WAYS)
  const isBegun = begunBox.each(bench).length > 0
  const fixed = new Set(aFixedWay.each(bench).map(([it]) => it))
  return (
    <Side stage="housing" part="box">
      {isBegun && (
        <>
          <Panel title="Worked, inside">
            {ways.map(([way, words]) => (
              <FigureRow key={way} def={needed} args={[way]} label={`Needed ${words}`} />
            ))}
            {ways.map(([way, words]) => (
              <FigureRow key={way} def={insideSize} args={[way]} label={`Inside ${words}`} />
            ))}
            {ways
              .filter(([way]) => fixed.has(way))
              .map(([way, words]) => (
                <FigureRow key={way} def={insideRoom} args={[way]} label={`Against what is needed, ${words}`} />
              ))}
            <FigureRow def={insideVolume} args={[]} />
          </Panel>
          <Panel title="Worked, outside">
            {ways.map(([way, words]) => (
              <FigureRow key={way} def={outsideSize} args={[way]} label={`Outside ${words}`} />
            ))}
            <FigureRow def={boxMass} args={[]} />
          </Panel>
        </>
      )}
    </Side>
  )
}
