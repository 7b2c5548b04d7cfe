import type { AirPartFacts } from '../../core/air'
import { inOrder } from '../../core/air'
import { addFanPoint, moveAirPart, removeAirPart, removeOfAir } from '../../state'
import { ChoiceField, FactField, TakeAway } from '../../ui'

type At = `air.ways.${string}.parts.${string}`

/** One part of a way as a sentence, with its place in the order. */
export function PartRow(props: {
  readonly wayId: string
  readonly id: string
  readonly part: AirPartFacts
  readonly isFirst: boolean
  readonly isLast: boolean
}) {
  const { wayId, id, part, isFirst, isLast } = props
  const at: At = `air.ways.${wayId}.parts.${id}`
  const name = `part ${part.order}, ${part.kind}`
  return (
    <li className="border-b border-rule py-1.5" id={`part-${id}`}>
      <div className="flex items-start gap-2">
        <span className="num w-5 shrink-0 pt-0.5 text-[12px] text-second">{part.order}</span>
        <span className="text-[14px] leading-relaxed">
          <Words at={at} part={part} />
        </span>
        <span className="no-print ml-auto flex shrink-0 items-center">
          <button
            type="button"
            className="link min-h-8 min-w-7"
            aria-label={`Move ${name} up`}
            disabled={isFirst}
            onClick={() => moveAirPart(wayId, id, -1)}
          >
            ↑
          </button>
          <button
            type="button"
            className="link min-h-8 min-w-7"
            aria-label={`Move ${name} down`}
            disabled={isLast}
            onClick={() => moveAirPart(wayId, id, 1)}
          >
            ↓
          </button>
          <TakeAway what={`Take ${name} away`} act={() => removeAirPart(wayId, id)} />
        </span>
      </div>
      {part.kind === 'fan' && <FanPoints wayId={wayId} id={id} part={part} />}
    </li>
  )
}

function Words({ at, part }: { readonly at: At; readonly part: AirPartFacts }) {
  const diameter = (
    <>
      Ø<FactField path={`${at}.diameter`} />
    </>
  )
  switch (part.kind) {
    case 'duct': {
      const isHose = part.wall.chosen === 'hose' || part.wall.chosen === 'foil'
      return (
        <>
          <FactField path={`${at}.length`} /> of <ChoiceField path={`${at}.wall`} />, {diameter}
          {isHose && (
            <>
              ; its ribs stand up by <FactField path={`${at}.ribs`} />, it lies <FactField path={`${at}.slack`} /> shorter than
              stretched
            </>
          )}
        </>
      )
    }
    case 'bend':
      return (
        <>
          A bend of <FactField path={`${at}.angle`} />, <ChoiceField path={`${at}.bend`} />, {diameter}
        </>
      )
    case 'reducer':
      return (
        <>
          A reducer from {diameter} to Ø<FactField path={`${at}.to`} />, <ChoiceField path={`${at}.step`} />
        </>
      )
    case 'end':
      return (
        <>
          An end, <ChoiceField path={`${at}.end`} />, {diameter}
        </>
      )
    case 'grille':
    case 'gate':
      return (
        <>
          A {part.kind} of {diameter}, <FactField path={`${at}.free`} /> of it open
        </>
      )
    case 'flap':
      return (
        <>
          A flap that takes <FactField path={`${at}.takes`} /> at <FactField path={`${at}.takesAt`} />
        </>
      )
    case 'filter':
      return (
        <>
          A filter that holds back <ChoiceField path={`${at}.holds`} />; it takes <FactField path={`${at}.takes`} /> at{' '}
          <FactField path={`${at}.takesAt`} />
        </>
      )
    case 'fan':
      return (
        <>
          A fan: <FactField path={`${at}.freeFlow`} /> into free air, <FactField path={`${at}.shutOff`} /> with its mouth shut. It
          runs at <FactField path={`${at}.speed`} />, <FactField path={`${at}.beside`} /> side by side, with{' '}
          <FactField path={`${at}.noise`} /> at full speed
        </>
      )
    case 'opening':
      return (
        <>
          An opening of <FactField path={`${at}.opening`} />
        </>
      )
  }
}

/** Places of the fan's curve between its ends. */
function FanPoints({ wayId, id, part }: { readonly wayId: string; readonly id: string; readonly part: AirPartFacts }) {
  const at: At = `air.ways.${wayId}.parts.${id}`
  return (
    <div className="pl-7 text-[13.5px]">
      {inOrder(part.points).map(([point, it]) => (
        <div key={point} className="flex items-center gap-1">
          at <FactField path={`${at}.points.${point}.flow`} /> it gives <FactField path={`${at}.points.${point}.pressure`} />
          <TakeAway
            what={`Take point ${it.order} of the curve away`}
            act={() => removeOfAir(`${at}.points.${point}`, 'a point of the curve taken away')}
          />
        </div>
      ))}
      <button type="button" className="link no-print" onClick={() => addFanPoint(wayId, id)}>
        Add a point of its curve
      </button>
    </div>
  )
}
