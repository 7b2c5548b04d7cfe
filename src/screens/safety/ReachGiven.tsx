import { useState } from 'react'
import { PLACE_WORDS, type PlaceFacts, type PlaceKind } from '../../core/reach'
import { addPlace, removeOfReach, setRoomPlace, useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, PlainField, SelectOf, Sentence, StageLink, TakeAway } from '../../ui'

/** The beam as it leaves the lens, the room, and who may be in it. */
export function ReachGiven() {
  const reach = useBenchStore(({ bench }) => bench?.reach)
  const [kind, setKind] = useState<PlaceKind>('seat')
  if (reach === undefined) return null
  const rows = Object.entries(reach.places).sort(([, p], [, q]) => p.order - q.order)
  const isFree = reach.beam.free.chosen === 'yes'
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, the beam">
        <Sentence>
          <FactField path="optics.power" /> at <FactField path="optics.wavelength" />, brought to its focus{' '}
          <FactField path="reach.beam.focal" /> below a lens where it is <FactField path="reach.beam.across" /> across. Widths are
          taken <ChoiceField path="reach.beam.widths" />. What is burnt throws light back{' '}
          <ChoiceField path="reach.beam.surface" />; a dull surface throws back <FactField path="reach.beam.back" />. A beam that
          is not focused <ChoiceField path="reach.beam.free" />
          {isFree && (
            <>
              , <FactField path="reach.beam.freeAcross" /> across and opening by <FactField path="reach.beam.freeAngle" />
            </>
          )}
          . While it burns <ChoiceField path="reach.kept" />.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          What box and window hold back is taken from <StageLink stage="housing">Housing</StageLink>; what nothing proves there
          holds nothing back. Metal, glass, foil and lacquer count as the beam itself.
        </p>
      </Panel>
      <Panel title="Given, the room">
        <Sentence>
          The room is <FactField path="reach.room.x" /> from left to right and <FactField path="reach.room.y" /> from front to
          back. The middle of the machine is <FactField path="reach.room.machineX" /> from the left wall and{' '}
          <FactField path="reach.room.machineY" /> from the front one; the work lies <FactField path="reach.room.bed" /> over the
          floor.
        </Sentence>
      </Panel>
      <Panel title="Given, where eyes can be">
        {rows.length === 0 && (
          <p className="max-w-[46rem] py-1.5 text-[14px] text-second">
            Seats, doors, a way past, a pane to the garden: each is held against what may come there.
          </p>
        )}
        <ul className="m-0 list-none p-0" aria-label="Places">
          {rows.map(([id, place]) => (
            <Row key={id} id={id} place={place} />
          ))}
        </ul>
        <div className="no-print flex flex-wrap items-center gap-2 py-1.5 text-[14px]">
          <SelectOf label="Kind of place" of={PLACE_WORDS} value={kind} choose={setKind} />
          <button type="button" className="button" onClick={() => addPlace(kind)}>
            Add it
          </button>
        </div>
      </Panel>
      <Panel title="What no distance does for you">
        <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[14px] leading-relaxed">
          <li>Never look at the spot through a loupe, a lens or a viewfinder: they gather what this sum spreads.</li>
          <li>To look close, put a camera into the box and look at its picture.</li>
          <li>A hollow mirror, a bent foil, a ring gather the beam again; this sum has flat ones only.</li>
          <li>Door shut, a lamp or a sign outside while it burns, nobody else in the room. Local rules come first.</li>
        </ul>
      </Panel>
    </div>
  )
}

function Row({ id, place }: { readonly id: string; readonly place: PlaceFacts }) {
  const at = `reach.places.${id}` as const
  return (
    <li className="border-b border-rule py-2 text-[14px]">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <PlainField label="Its name" words value={place.name} className="w-40" keep={(it) => setRoomPlace(id, { name: it })} />
        <SelectOf
          label={`What ${place.name} is`}
          of={PLACE_WORDS}
          value={place.kind}
          choose={(it) => setRoomPlace(id, { kind: it })}
        />
        <TakeAway what={`Take ${place.name} away`} act={() => removeOfReach(at, 'a place taken away')} />
      </div>
      <p className="pt-1 leading-relaxed">
        <FactField path={`${at}.x`} /> from the left wall, <FactField path={`${at}.y`} /> from the front one, eyes at{' '}
        <FactField path={`${at}.eyes`} />. Whoever is there <ChoiceField path={`${at}.wears`} />.
      </p>
    </li>
  )
}
