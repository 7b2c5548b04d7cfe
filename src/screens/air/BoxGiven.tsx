import type { Bench } from '../../core/document'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** What is open where the smoke is caught, what is wanted there, and the room. */
export function BoxGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, where smoke is caught">
        <Sentence>
          The smoke is caught <ChoiceField path="air.box.caught" />. <Open bench={bench} />
        </Sentence>
      </Panel>
      <Panel title="Given, what is wanted">
        <Sentence>
          Air is to come in at <FactField path="air.wanted.inward" />, and all of it to be clear after{' '}
          <FactField path="air.wanted.clearIn" />.
        </Sentence>
      </Panel>
      <Panel title="Given, the room">
        <Sentence>
          In the room <ChoiceField path="air.room.appliance" />. For air to come into it <FactField path="air.room.supply" /> are
          open to outdoors.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          What leaves must come back in. Where anything burns in the room, its flue gas may come instead: have a professional try
          both together, and fit a carbon monoxide alarm.
        </p>
      </Panel>
    </div>
  )
}

function Open({ bench }: { readonly bench: Bench }) {
  const { air } = bench
  const mixing = (
    <>
      {' '}
      Its air must be changed <FactField path="air.box.mixing" /> times over for a whole clearing.
    </>
  )
  switch (air.box.caught.chosen) {
    case 'box':
      return (
        <>
          It holds <FactField path="air.box.volume" />; its gaps come to <FactField path="air.box.gaps" />
          {air.gapsBy === 'readings' && ' as typed, while those by the readings count'}. An inlet of{' '}
          <FactField path="air.box.inlet" /> stands open, with <FactField path="air.box.turns" /> turns behind it.{mixing}
        </>
      )
    case 'hood':
      return (
        <>
          The hood is <FactField path="air.box.hoodLength" /> by <FactField path="air.box.hoodWidth" />, the gap at its foot{' '}
          <FactField path="air.box.hoodGap" />; it holds <FactField path="air.box.volume" />.{mixing}
        </>
      )
    case 'table':
      return (
        <>
          The table has <FactField path="air.box.holes" /> holes of Ø<FactField path="air.box.holeDiameter" />; the work covers{' '}
          <FactField path="air.box.covered" /> of them.
        </>
      )
    case 'mouth':
      return (
        <>
          The mouth is <FactField path="air.box.mouth" /> wide, <ChoiceField path="air.box.rim" />, and{' '}
          <FactField path="air.box.mouthAway" /> from the spot.
        </>
      )
    case null:
      return null
  }
}
