import { wantedPlate } from '../../core/document'
import {
  capacity,
  overhangOfPlate,
  piecesAMinute,
  pieceTime,
  plateTime,
  stationAngle,
  stationOff,
  stationSteps,
  tipping,
} from '../../core/rotary'
import { engineOf, useBenchStore } from '../../state'
import { ChoiceField, FactField, FigureRow, Panel, Sentence, Side } from '../../ui'
import { HolderSheets } from './HolderSheets'
import { StationsOut } from './StationsOut'

/** The indexing plate as a part to cut. */
export function StationsPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <HolderSheets
      title="The indexing plate"
      name="indexing-plate"
      wanted={wantedPlate(engineOf(bench))}
      empty="The plate is drawn once you have said below how wide it is, how wide a station is, and where it begins."
    />
  )
}

export function StationsGiven() {
  const plate = useBenchStore(({ bench }) => bench?.rotary.plate)
  const isSlot = plate?.shape.chosen !== 'disc'
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, its stations">
        <Sentence>
          The plate has <FactField path="rotary.plate.stations" /> stations, which are <ChoiceField path="rotary.plate.shape" />,{' '}
          <FactField path="rotary.plate.size" /> across
          {isSlot && (
            <>
              , <FactField path="rotary.plate.slotLength" /> long
            </>
          )}
          . They {isSlot ? 'begin' : 'have their middles'} <FactField path="rotary.plate.from" /> from the middle of the plate,
          with a wall of <FactField path="rotary.plate.between" /> between two.
        </Sentence>
        <Sentence>
          The plate measures Ø<FactField path="rotary.plate.outer" />, with a hole of Ø<FactField path="rotary.plate.inner" /> and
          three holes for pins of Ø<FactField path="rotary.plate.pin" /> on a circle of Ø<FactField path="rotary.plate.pinsOn" />.
        </Sentence>
      </Panel>
      <Panel title="Given, how it goes round">
        <Sentence>
          It is turned <ChoiceField path="rotary.plate.turned" />; a whole turn takes <FactField path="rotary.plate.steps" />{' '}
          steps. Burning a piece takes <FactField path="rotary.plate.burn" />, laying it in and out{' '}
          <FactField path="rotary.plate.load" />, turning on and coming to rest <FactField path="rotary.plate.settle" />.
        </Sentence>
      </Panel>
      <StationsOut />
    </div>
  )
}

export function StationsSide() {
  const id = useBenchStore(({ bench }) => bench?.rotary.inHand ?? '')
  const hasObject = useBenchStore(({ bench }) => bench?.rotary.objects[id] !== undefined)
  return (
    <Side stage="rotary" part="plate">
      <Panel title="Worked, its stations">
        {[capacity, stationAngle, stationSteps, stationOff].map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
        {hasObject && [overhangOfPlate, tipping].map((def) => <FigureRow key={def.id} def={def} args={[id]} />)}
      </Panel>
      <Panel title="Worked, its time">
        {[pieceTime, piecesAMinute, plateTime].map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
      </Panel>
    </Side>
  )
}
