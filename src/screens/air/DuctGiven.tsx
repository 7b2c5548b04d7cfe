import { useState } from 'react'
import { AIR_KIND_WORDS, AIR_KINDS, AIR_PLACE_WORDS, inOrder, type AirKind } from '../../core/air'
import type { Bench } from '../../core/document'
import { addAirPart, addAirWay, DONE, removeAirWay, setAirWay, splitBeforeFan, useBenchStore, type Told } from '../../state'
import { Findings, Panel, PlainField, SelectOf, TakeAway } from '../../ui'
import { wayShown } from './DuctPlate'
import { PartRow } from './PartRow'
import { StartAir } from './StartAir'

/** The ways of the air, part by part. */
export function DuctGiven() {
  const bench = useBenchStore((it) => it.bench)
  const [told, say] = useState<Told>(DONE)
  if (bench === null) return null
  const ways = inOrder(bench.air.ways)
  if (ways.length === 0)
    return (
      <div className="mt-2 grid gap-4">
        <StartAir />
      </div>
    )
  return (
    <div className="mt-2 grid gap-4">
      {ways.map(([id, way]) => (
        <Way key={id} id={id} way={way} say={say} isShown={wayShown(bench) === id} />
      ))}
      <div className="no-print">
        <button type="button" className="button" onClick={() => say(addAirWay())}>
          Add another way
        </button>
        <p className="max-w-[46rem] pt-1 text-[13px] text-second">
          A second place that is drawn from: a junction before the fan, and a way from the room to that junction with a gate in
          it.
        </p>
        <Findings findings={told} />
      </div>
      <Cautions />
    </div>
  )
}

type WayFacts = Bench['air']['ways'][string]

function Way(props: {
  readonly id: string
  readonly way: WayFacts
  readonly isShown: boolean
  readonly say: (said: Told) => void
}) {
  const { id, way, say } = props
  const rows = inOrder(way.parts)
  const [kind, setKind] = useState<AirKind>('duct')
  const hasFan = rows.some(([, it]) => it.kind === 'fan')
  return (
    <Panel title={`Given, ${way.name}`} aside={<TakeAway what={`Take “${way.name}” away`} act={() => say(removeAirWay(id))} />}>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1 py-1.5 text-[14px]">
        <PlainField label="Its name" words value={way.name} className="w-40" keep={(it) => setAirWay(id, { name: it })} />
        <label className="flex items-center gap-1.5">
          from
          <SelectOf
            label={`“${way.name}” begins in`}
            of={AIR_PLACE_WORDS}
            value={way.from}
            choose={(from) => say(setAirWay(id, { from }))}
          />
        </label>
        <label className="flex items-center gap-1.5">
          to
          <SelectOf
            label={`“${way.name}” leads to`}
            of={AIR_PLACE_WORDS}
            value={way.to}
            choose={(to) => say(setAirWay(id, { to }))}
          />
        </label>
      </div>
      <ol className="m-0 list-none p-0" aria-label={`Parts of “${way.name}”, as the air meets them`}>
        {rows.map(([part, facts], k) => (
          <PartRow key={part} wayId={id} id={part} part={facts} isFirst={k === 0} isLast={k === rows.length - 1} />
        ))}
      </ol>
      <div className="no-print flex flex-wrap items-center gap-2 py-1.5 text-[14px]">
        <SelectOf
          label={`Kind of part for “${way.name}”`}
          of={Object.fromEntries(AIR_KINDS.map((it) => [it, AIR_KIND_WORDS[it]])) as Record<AirKind, string>}
          value={kind}
          choose={setKind}
        />
        <button type="button" className="button" onClick={() => say(addAirPart(id, kind))}>
          Add it
        </button>
        {hasFan && (
          <button type="button" className="link ml-auto" onClick={() => say(splitBeforeFan(id))}>
            Put a junction before the fan
          </button>
        )}
      </div>
    </Panel>
  )
}

/** What is said of smoke and its ducts, before anybody relies on the sums. */
function Cautions() {
  return (
    <Panel title="Before you rely on it">
      <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[14px] leading-relaxed">
        <li>Lead smoke outdoors, away from windows and other people’s air, as the local code asks.</li>
        <li>
          Metal duct for the first metre: sparks are drawn in, and plastic hose burns. Earth it, and clean it as often as the box.
        </li>
        <li>Carbon lets carbon monoxide and nitrogen oxides through, and does not say when it is used up.</li>
        <li>Some materials give fumes that no duct makes harmless: their list stands in Burns.</li>
        <li>Fan on before the beam, and on until the box is clear. Watch for fire: moving air fans embers.</li>
      </ul>
    </Panel>
  )
}
