import {
  aBox,
  aMouth,
  anOpening,
  below,
  clears,
  guarded,
  inward,
  mouthNeeds,
  openArea,
  roomBelow,
  smokeWay,
} from '../../core/air'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

const AT: Readonly<Record<string, string>> = {
  gaps: 'Air at the gaps',
  inlet: 'Air at the inlet',
  foot: 'Air under the foot',
  holes: 'Air through the holes',
  mouth: 'Air into the mouth',
}

/** Velocities where air comes in, the pressure there, and the time to clear. */
export function BoxSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const [way] = smokeWay.each(bench)[0] ?? []
  const isLaid = Object.keys(bench.air.ways).length > 0
  return (
    <Side stage="air" part="box">
      {bench.air.box.caught.chosen !== null && (
        <Panel title="Worked, where air comes in">
          <FigureRow def={openArea} args={[]} />
          {isLaid && (
            <>
              {anOpening.each(bench).map(([id]) => (
                <FigureRow key={id} def={inward} args={[id]} label={AT[id] ?? id} />
              ))}
              <FigureRow def={below} args={[]} />
              {way !== undefined && <FigureRow def={guarded} args={[way]} />}
              {aMouth.each(bench).length > 0 && <FigureRow def={mouthNeeds} args={[]} />}
            </>
          )}
        </Panel>
      )}
      {isLaid && (
        <Panel title="Worked, clearing and the room">
          {aBox.each(bench).length > 0 && <FigureRow def={clears} args={[]} />}
          <FigureRow def={roomBelow} args={[]} />
        </Panel>
      )}
    </Side>
  )
}
