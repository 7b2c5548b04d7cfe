import { crossedBeltLength, type Guides } from '../../core/motion'
import {
  barLength,
  barsNeeded,
  beltToOrder,
  cutListOf,
  guideLength,
  guidesNeeded,
  PLATES,
  plateDepth,
  plateWidth,
  GUIDES_OF,
} from '../../core/schedule'
import { scanIds, useBenchStore, useFigure } from '../../state'
import { FigureRow, Panel } from '../../ui'

const RUNNER: Readonly<Record<Guides, string>> = { wheels: 'Rail', rails: 'Rail', shafts: 'Shaft' }

/** Lengths that the machine itself asks for: bars, rails or shafts, belts and plates, each from its dimension chain. */
export function Lengths() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { kinematics, frame, axes } = bench.motion
  const list = cutListOf(kinematics.chosen, frame.guides.chosen)
  const ids = scanIds(bench)
  const crossed = kinematics.chosen === 'crossed'
  const belted = (id: string): boolean => list.bars.length > 0 && ['belt', 'reducedBelt'].includes(axes[id]?.drive.chosen ?? '')
  const runner = RUNNER[frame.guides.chosen ?? 'wheels']
  return (
    <Panel title="Worked, lengths">
      {list.bars.length > 0 && (
        <>
          <FigureRow def={barsNeeded} args={[]} />
          <FigureRow def={barLength} args={['front']} label="Front and back bar, gantry beam" />
          <FigureRow def={barLength} args={['side']} label="Side bar" />
        </>
      )}
      {list.guides.length > 0 && <FigureRow def={guidesNeeded} args={[]} label={`Stock ${runner.toLowerCase()}s needed`} />}
      {list.guides.map(({ id, count }) => (
        <FigureRow
          key={id}
          def={guideLength}
          args={[id]}
          label={`${runner} ${GUIDES_OF[id]}${count > 1 ? `, ${count} of them` : ''}`}
        />
      ))}
      {crossed && <FigureRow def={crossedBeltLength} args={['a']} label="Each crossed belt, clamp to clamp" />}
      {!crossed && belted(ids.x) && <FigureRow def={beltToOrder} args={[ids.x]} label="Belt along X" />}
      {!crossed && belted(ids.y) && (
        <FigureRow
          def={beltToOrder}
          args={[ids.y]}
          label={axes[ids.y]?.motors.value === 2 ? 'Each belt along Y, two of them' : 'Belt along Y'}
        />
      )}
      {list.plates.map((id) => (
        <PlateRows key={id} id={id} />
      ))}
    </Panel>
  )
}

/** Both sides of a plate; the second stands under the first. */
function PlateRows({ id }: { readonly id: keyof typeof PLATES }) {
  const known = useFigure(plateWidth, id)?.result.known === true
  const { name, count } = PLATES[id]
  return (
    <>
      <FigureRow def={plateWidth} args={[id]} label={`${name}${count > 1 ? `, ${count} of them` : ''}`} />
      {known && <FigureRow def={plateDepth} args={[id]} label="by" />}
    </>
  )
}
