import { useState, type ComponentType } from 'react'
import { lightLost } from '../../core/optics'
import {
  addLight,
  addLightByStandIn,
  DONE,
  isDone,
  isStandInThere,
  removeLight,
  useBenchStore,
  useMachine,
  type Told,
} from '../../state'
import { FactField, FigureRow, Findings, Panel, Sentence, Side, StageLink, TakeAway } from '../../ui'

/** Where the light is read, where the sighting spot is set, and what the light was over the months. */
export function LightGiven() {
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Given, the light">
        <Sentence>
          The light at each power is read on Controller:{' '}
          <StageLink stage="controller" part="curve">
            with a power meter
          </StageLink>
          , or without one{' '}
          <StageLink stage="controller" part="wedge">
            by a step wedge
          </StageLink>
          . The powers to command for an even grey follow from either, and so does the sighting spot, which is set there too.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          A moving head is tuned at sighting power: bounds, places and the pointer are looked for with a spot that leaves no mark.
          It is a beam all the same: eyewear on.
        </p>
      </Panel>
      <Lights />
    </div>
  )
}

/** The light at full power over the months: dirt on the lens and age show as a drop. */
function Lights() {
  const lights = useBenchStore((it) => it.bench?.optics.lights)
  const hasStandIn = useMachine(isStandInThere)
  const [said, say] = useState<Told>(DONE)
  const [typed, setTyped] = useState('')
  if (lights === undefined) return null
  const rows = Object.entries(lights).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="Given, the light at full power over the months">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Read it with one meter at one place, now and after every ten hours of work: dirt on the lens and an ageing diode show as a
        drop. Eyewear on, shield closed.
      </p>
      <ul className="m-0 list-none p-0">
        {rows.map(([id, it]) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5 text-[14px]">
            <span className="num text-second">{it.at.slice(0, 10)}</span>
            <FactField path={`optics.lights.${id}.light`} small />
            <TakeAway what={`Take the reading of ${it.at.slice(0, 10)} away`} act={() => removeLight(id)} />
          </li>
        ))}
      </ul>
      <form
        className="no-print mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const outcome = addLight(typed)
          say(outcome)
          if (isDone(outcome)) setTyped('')
        }}
      >
        <input
          className="input num min-h-8 w-36 py-0.5"
          aria-label="Light at full power now"
          placeholder="W"
          inputMode="decimal"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="button" disabled={typed.trim() === ''}>
          Write it down
        </button>
        {hasStandIn && (
          <button type="button" className="button" onClick={() => void addLightByStandIn().then(say)}>
            Read with the stand-in
          </button>
        )}
      </form>
      <Findings findings={said} />
    </Panel>
  )
}

/** What is worked of the light, with the verdicts of the beam. */
export function lightSideOf(Worked: ComponentType) {
  return function LightSide() {
    const count = useBenchStore((it) => Object.keys(it.bench?.optics.lights ?? {}).length)
    return (
      <Side stage="beam" part="light">
        <Worked />
        {count > 1 && (
          <Panel title="Worked, dirt and age">
            <FigureRow def={lightLost} args={[]} />
          </Panel>
        )}
      </Side>
    )
  }
}
