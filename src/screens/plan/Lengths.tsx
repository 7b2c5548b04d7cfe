import { beltsOfMachine, crossedBeltLength, cutListOf, type Guides, GUIDES_OF, PLATES } from '../../core/motion'
import {
  barLength,
  barsNeeded,
  beltHold,
  beltToOrder,
  guideLength,
  guidesNeeded,
  plateDepth,
  plateWidth,
} from '../../core/schedule'
import { useBenchStore } from '../../state'
import { FigureRow, Panel } from '../../ui'

const RUNNER: Readonly<Record<Guides, string>> = { wheels: 'Rail', rails: 'Rail', shafts: 'Shaft' }

/** Lengths that the machine itself asks for: bars, rails or shafts, belts and plates, each from its dimension chain. */
export function Lengths() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { kinematics, frame } = bench.motion
  const list = cutListOf(kinematics.chosen, frame.guides.chosen)
  const belts = beltsOfMachine(bench.motion)
  const crossed = kinematics.chosen === 'crossed'
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
        <FigureRow key={id} def={guideLength} args={[id]} label={`${runner} ${GUIDES_OF[id]}${ofThem(count)}`} />
      ))}
      {crossed && belts.length > 0 && (
        <FigureRow def={crossedBeltLength} args={['a']} label="Each crossed belt, clamp to clamp" />
      )}
      {belts.slice(0, crossed ? 1 : belts.length).map(({ axis, letter, count }) => (
        <FigureRow
          key={axis}
          def={beltToOrder}
          args={[axis]}
          label={crossed ? 'Each crossed belt to order' : `Belt to order along ${letter}${ofThem(count)}`}
        />
      ))}
      {belts.length > 0 && Object.values(bench.plan.parts).some((it) => it.covers === 'belt') && (
        <FigureRow def={beltHold} args={[]} note="all of them cut from the belt on the list" />
      )}
      {list.plates.map((id) => (
        <PlateRows key={id} id={id} />
      ))}
    </Panel>
  )
}

function ofThem(count: number): string {
  return count > 1 ? `, ${count} of them` : ''
}

/** Both sides of a plate, one under the other. */
function PlateRows({ id }: { readonly id: keyof typeof PLATES }) {
  const { name, count, sides } = PLATES[id]
  return (
    <>
      <FigureRow def={plateWidth} args={[id]} label={`${name}${ofThem(count)}, ${sides[0]}`} />
      <FigureRow def={plateDepth} args={[id]} label={`${name}, ${sides[1]}`} />
    </>
  )
}
