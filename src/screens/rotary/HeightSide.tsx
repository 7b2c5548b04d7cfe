import {
  alongRoom,
  anObstacle,
  axisAt,
  clearance,
  floorRoom,
  headAt,
  heightRoom,
  levelShim,
  lowRoom,
  tiltLeft,
  topOver,
  type Obstacle,
} from '../../core/rotary'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

const NAMES: Readonly<Record<Obstacle, string>> = {
  drive: 'Over the disc or the jaws',
  tail: 'Over the tail disc',
  object: 'Over the object beside the work',
  handle: 'Over the handle',
}

/** The stack under the head, and what the head clears. */
export function HeightSide() {
  const bench = useBenchStore((it) => it.bench)
  const id = bench?.rotary.inHand ?? ''
  if (bench?.rotary.objects[id] === undefined) return <Side stage="rotary" part="height" />
  const isLevelled = bench.rotary.stack.levelApart.value !== null
  return (
    <Side stage="rotary" part="height">
      <Panel title="Worked, the stack">
        {[axisAt, topOver, headAt, heightRoom, lowRoom].map((def) => (
          <FigureRow key={def.id} def={def} args={[id]} />
        ))}
      </Panel>
      {bench.rotary.holding.chosen !== null && (
        <Panel title="Worked, what the head clears">
          {anObstacle.each(bench).map(([, it]) => (
            <FigureRow key={it} def={clearance} args={[id, it]} label={NAMES[it as Obstacle]} />
          ))}
          {bench.rotary.holding.chosen !== 'plate' && <FigureRow def={floorRoom} args={[id]} />}
          <FigureRow def={alongRoom} args={[id]} />
        </Panel>
      )}
      {isLevelled && (
        <Panel title="Worked, its level">
          <FigureRow def={tiltLeft} args={[id]} />
          <FigureRow def={levelShim} args={[id]} />
        </Panel>
      )}
    </Side>
  )
}
