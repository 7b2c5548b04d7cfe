import { NavLink } from 'react-router'
import { STAGES } from '../screens/stages'
import { addressOf, useAssumed, useBenchStore, useConsequences, useMarks, useSession } from '../state'
import { VerdictMark } from '../ui'

/** The route: a tape measure with the stages as its marks, in the order of the work. */
export function StageRoute({ benchId, current }: { readonly benchId: string; readonly current: string }) {
  const worked = useBenchStore((it) => it.worked)
  const saved = useBenchStore((it) => it.savedMarks)
  const lastParts = useSession((it) => it.lastParts)
  const stale = useConsequences().filter((it) => it.freshness === 'stale')
  const marks = useMarks()
  const live = worked ? marks : null
  const assumed = useAssumed()
  return (
    <nav aria-label="Route" className="no-print min-h-0 overflow-auto border-b border-ink bg-tape md:border-b-0 md:border-r">
      <ol className="m-0 flex list-none p-0 md:min-h-full md:flex-col">
        {STAGES.map(({ id, name }, i) => {
          return (
            <Stop
              key={id}
              to={addressOf(benchId, id, lastParts[id])}
              name={name}
              number={i + 1}
              current={id === current}
              note={noteOf(assumed.get(id)?.length ?? 0, stale.filter((it) => it.record.stage === id).length)}
              mark={<VerdictMark mark={(live ?? saved)[id] ?? null} pale={live === null && id !== current} />}
            />
          )
        })}
      </ol>
    </nav>
  )
}

function noteOf(assumed: number, stale: number): string {
  return [stale > 0 ? `${stale} stale` : '', assumed > 0 ? `${assumed} assumed` : ''].filter(Boolean).join(', ')
}

function Stop(props: {
  readonly to: string
  readonly name: string
  readonly number: number
  readonly current: boolean
  readonly note: string
  readonly mark: React.ReactNode
}) {
  const { to, name, number, current, note, mark } = props
  return (
    <li className={`relative shrink-0 md:min-h-[50px] md:flex-1 ${current ? 'bg-paper' : ''}`}>
      <NavLink
        to={to}
        className={`flex h-full items-start gap-3 px-3.5 py-1 hover:text-teal md:pr-7`}
        aria-current={current ? 'page' : undefined}
      >
        <span className="min-w-0 flex-1 leading-tight">
          <span className="num block text-[11px]">{number}</span>
          <span className={`block text-[14.5px] ${current ? 'font-[680]' : ''}`}>{name}</span>
          <span className="block whitespace-nowrap text-[11px] text-second">{note}</span>
        </span>
        <span className="pt-4">{mark}</span>
      </NavLink>
      <Ticks />
    </li>
  )
}

/** Ten divisions a stage: long at the stage, middling at the half. */
function Ticks() {
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute right-0 top-0 hidden h-full w-5 md:block"
      viewBox="0 0 20 100"
      preserveAspectRatio="none"
    >
      {Array.from({ length: 10 }, (_, i) => (
        <path
          key={i}
          d={`M${i === 0 ? 0 : i === 5 ? 8 : 13} ${i * 10 + 0.5}H20`}
          stroke="var(--ink)"
          strokeWidth={i === 0 ? 1.4 : 0.7}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  )
}
