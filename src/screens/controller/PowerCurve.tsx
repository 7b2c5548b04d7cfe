import { useState } from 'react'
import {
  addCurvePoints,
  DONE,
  readCurveByStandIn,
  removeCurvePoint,
  useBenchStore,
  useMachine,
  isStandInThere,
  type Told,
} from '../../state'
import { FactField, Findings, Panel, TakeAway, Sentence } from '../../ui'

/** The powers at which the light is read, and what was read. */
export function CurveGiven() {
  const bench = useBenchStore((it) => it.bench)
  const hasStandIn = useMachine(isStandInThere)
  const [said, say] = useState<Told>(DONE)
  const [percent, setPercent] = useState('')
  if (bench === null) return null
  const points = Object.entries(bench.calibrate.curve).sort(([, p], [, q]) => p.percent - q.percent)
  const add = (): void => say(addCurvePoints([Number(percent.trim().replace(',', '.') || Number.NaN)]))
  return (
    <>
      <Panel title="Given, the light at each power" className="mt-4">
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          A class 4 beam: eyewear for its wavelength on, shield closed, the meter’s head in the beam out of focus, nothing that
          shines back. Hold each power as long as the meter takes to settle, then let the head cool.
        </p>
        {points.length === 0 && (
          <button type="button" className="button button-first no-print mt-1" onClick={() => say(addCurvePoints())}>
            Begin with the usual powers
          </button>
        )}
        <ul className="m-0 list-none p-0">
          {points.map(([id, it]) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5 text-[14px]">
              <span className="num w-16 text-right">{it.percent}%</span>
              <FactField path={`calibrate.curve.${id}.light`} small />
              {hasStandIn && (
                <button
                  type="button"
                  className="button no-print min-h-8 py-0.5 text-[13px]"
                  aria-label={`Read ${it.percent}% with the stand-in’s meter`}
                  onClick={() => void readCurveByStandIn(bench, id).then(say)}
                >
                  Read with the stand-in
                </button>
              )}
              <TakeAway what={`Take ${it.percent}% away`} act={() => removeCurvePoint(id)} />
            </li>
          ))}
        </ul>
        <form
          className="no-print mt-2 flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            add()
            setPercent('')
          }}
        >
          <input
            className="input num min-h-8 w-24 py-0.5"
            aria-label="Another power, %"
            placeholder="%"
            inputMode="decimal"
            value={percent}
            onChange={(event) => setPercent(event.target.value)}
          />
          <button type="submit" className="button" disabled={percent.trim() === ''}>
            Add this power
          </button>
        </form>
        <Findings findings={said} />
      </Panel>
      <Panel title="Given, the sighting spot" className="mt-4">
        <Sentence>
          Places are found with <FactField path="calibrate.sightPower" /> of full power. The spot is seen from{' '}
          <FactField path="calibrate.visibleFrom" /> on; standing still for ten seconds it marks from{' '}
          <FactField path="calibrate.marksFrom" /> on.
        </Sentence>
      </Panel>
    </>
  )
}
