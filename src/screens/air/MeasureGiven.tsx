import { useState } from 'react'
import { inOrder } from '../../core/air'
import type { Bench } from '../../core/document'
import {
  addAirReading,
  AIR_SETTINGS,
  DONE,
  gapsByReadings,
  isStandInThere,
  keepSmokeTrial,
  readAirByStandIn,
  removeOfAir,
  useBenchStore,
  useMachine,
  type Told,
} from '../../state'
import { ChoiceField, FactField, Findings, Panel, SelectOf, Sentence, TakeAway } from '../../ui'

/** Readings of anemometer and water column, and the smoke trial. */
export function MeasureGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Smoke />
      <Readings bench={bench} />
    </div>
  )
}

function Smoke() {
  const [told, say] = useState<Told>(DONE)
  const isSaid = useBenchStore(({ bench }) => bench !== null && bench.air.smoke.chosen !== null)
  return (
    <Panel title="Given, the smoke trial">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Beam off, fan on, lid shut. Hold a smoke pencil or a smouldering string along every gap, at the inlet, and under the
        window.
      </p>
      <Sentence>
        As it was seen: <ChoiceField path="air.smoke" />.
      </Sentence>
      <button type="button" className="button no-print" disabled={!isSaid} onClick={() => void keepSmokeTrial().then(say)}>
        Write the trial down
      </button>
      <Findings findings={told} />
    </Panel>
  )
}

function Readings({ bench }: { readonly bench: Bench }) {
  const [setting, setSetting] = useState<(typeof AIR_SETTINGS)[number]>('inlet shut')
  const [told, say] = useState<Told>(DONE)
  const rows = inOrder(bench.air.readings)
  const isThere = useMachine(isStandInThere)
  return (
    <Panel title="Given, what was read">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Hold the anemometer where the air leaves, then at the inlet. A clear hose half full of water, one end in the box, reads
        the pressure: 1 mm of water is 9.8 Pa. Read each setting twice or more: what leaks follows from all of them together.
      </p>
      <Sentence>
        The air is read where it leaves through Ø<FactField path="air.meter.outDiameter" />, and at the inlet over{' '}
        <FactField path="air.meter.inletArea" />. The anemometer may be off by <FactField path="air.meter.off" />.
      </Sentence>
      <ol className="m-0 list-none p-0" aria-label="Readings">
        {rows.map(([id, it]) => (
          <li key={id} className="flex items-start gap-2 border-b border-rule py-1.5 text-[14px]">
            <span className="num w-5 shrink-0 text-[12px] text-second">{it.order}</span>
            <span>
              {it.setting}: leaves at <FactField path={`air.readings.${id}.out`} />, comes in at{' '}
              <FactField path={`air.readings.${id}.inlet`} />; the box <FactField path={`air.readings.${id}.below`} /> below the
              room, <FactField path={`air.readings.${id}.suction`} /> before the fan
            </span>
            <TakeAway
              what={`Take reading ${it.order} away`}
              act={() => say(removeOfAir(`air.readings.${id}`, 'a reading of the air taken away'))}
            />
          </li>
        ))}
      </ol>
      <div className="no-print flex flex-wrap items-center gap-2 py-1.5 text-[14px]">
        With the
        <SelectOf
          label="How the inlet stands"
          of={Object.fromEntries(AIR_SETTINGS.map((it) => [it, it])) as Record<(typeof AIR_SETTINGS)[number], string>}
          value={setting}
          choose={setSetting}
        />
        <button type="button" className="button" onClick={() => say(addAirReading(setting))}>
          Add a reading
        </button>
        {isThere && (
          <button type="button" className="button" onClick={() => void readAirByStandIn().then(say)}>
            Read the stand-in’s air
          </button>
        )}
      </div>
      <Findings findings={told} />
      {rows.length > 0 && <GapsBy bench={bench} say={say} />}
    </Panel>
  )
}

/** Whether the gaps are those that follow from the readings. */
function GapsBy({ bench, say }: { readonly bench: Bench; readonly say: (said: Told) => void }) {
  return bench.air.gapsBy === 'readings' ? (
    <p className="no-print py-1 text-[13.5px] text-second">
      The gaps follow the readings.{' '}
      <button type="button" className="link" onClick={() => void gapsByReadings('typed').then(say)}>
        Take those that were typed
      </button>
    </p>
  ) : (
    <button type="button" className="button no-print my-1" onClick={() => void gapsByReadings('readings').then(say)}>
      Let the gaps follow the readings
    </button>
  )
}
