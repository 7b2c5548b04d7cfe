import { shownNumber } from '../../core/bench'
import {
  aMotorPair,
  cornerFocusError,
  cornerSpotGrowth,
  crossedBeltLength,
  crossedPlay,
  crossedSlack,
  crossedSlant,
  gearFor,
  gearWanted,
  halfField,
  layersMargin,
  type Kinematics,
} from '../../core/motion'
import { useBenchStore, useFigure } from '../../state'
import { FigureRow, Panel } from '../../ui'

/** What only a machine of this kind has. */
export function WorkedKind({ kinematics }: { readonly kinematics: Kinematics | null }) {
  const bench = useBenchStore((it) => it.bench)
  switch (kinematics) {
    case 'mirrors':
      return (
        <Panel title="Worked, the field" className="wide:order-1">
          <FigureRow def={cornerFocusError} args={[]} />
          <FigureRow def={cornerSpotGrowth} args={[]} />
          <FigureRow def={halfField} args={[]} />
        </Panel>
      )
    case 'crossed':
      return (
        <Panel title="Worked, the crossed belts" className="wide:order-1">
          {(['a', 'b'] as const).map((belt) => (
            <div key={belt}>
              <FigureRow def={crossedBeltLength} args={[belt]} label={`Belt of the ${SIDE_OF[belt]} motor`} />
              <FigureRow def={crossedSlack} args={[belt]} label="grows over the travel by" />
            </div>
          ))}
          {bench !== null && aMotorPair.each(bench).map((pair) => <FigureRow key={pair.join()} def={crossedSlant} args={pair} />)}
          <FigureRow def={layersMargin} args={[]} />
          <FigureRow def={crossedPlay} args={[]} />
        </Panel>
      )
    default:
      return null
  }
}

const SIDE_OF = { a: 'left', b: 'right' } as const

/** The gear that reaches the wanted resolution, and standard wheels that do. */
export function Gear({ axisId }: { readonly axisId: string }) {
  const wanted = useFigure(gearWanted, axisId)
  const ratio = wanted === null ? null : shownNumber(wanted.result)
  const pair = ratio === null ? null : gearFor(ratio)
  const note =
    ratio === null
      ? undefined
      : ratio <= 1
        ? 'fine enough without'
        : pair === null
          ? 'more than one pair of standard wheels'
          : `wheels of ${pair.motor} and ${pair.driven} teeth reach it`
  return <FigureRow def={gearWanted} args={[axisId]} {...(note === undefined ? {} : { note })} />
}
