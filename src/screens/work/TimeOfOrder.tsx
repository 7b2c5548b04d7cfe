import { printNumber, sayQuantity } from '../../core/units'
import { reckonJob, useBenchStore, type PlannedProgram } from '../../state'
import { StageLink, useUnits } from '../../ui'
import { sayTime } from './sayTime'

const WORDS = {
  burning: 'burning',
  travelling: 'going from one to the next',
  turning: 'run-up and run-out of scan lines',
  white: 'crossing white within lines',
  waiting: 'waiting',
} as const

/** How long the program takes, and on what. */
export function TimeOfOrder({ program, isPlanning }: { readonly program: PlannedProgram; readonly isPlanning: boolean }) {
  const { seconds, time, lines, ways, fills } = program
  const units = useUnits()
  const length = (mm: number): string => sayQuantity(Math.round(mm), null, units === 'metric' ? 'mm' : 'in')
  const parts = (Object.entries(WORDS) as [keyof typeof WORDS, string][]).filter(([key]) => time[key] > 0.05)
  return (
    <div className={isPlanning ? 'opacity-60' : ''} aria-busy={isPlanning}>
      <p className="flex items-baseline justify-between gap-3 py-1.5">
        <span>It takes</span>
        <strong className="num text-[20px] font-[600]" data-time={Math.round(seconds)}>
          {sayTime(seconds)}
        </strong>
      </p>
      <ul className="m-0 list-none p-0 text-[13.5px]">
        {parts.map(([key, words]) => (
          <li key={key} className="grid grid-cols-[1fr_auto] gap-x-3 border-b border-rule py-1">
            <span>{words}</span>
            <span className="num">
              {sayTime(time[key])}, {Math.round((100 * time[key]) / seconds)}%
            </span>
            <span className="col-span-2 mt-0.5 block h-[3px] bg-rule" aria-hidden>
              <span
                className={`block h-full ${key === 'burning' ? 'bg-ember' : 'bg-second'}`}
                style={{ width: `${(100 * time[key]) / seconds}%` }}
              />
            </span>
          </li>
        ))}
      </ul>
      <p className="py-1 text-[13px] text-second">
        {printNumber(lines)} lines.
        {ways.count > 1 &&
          ` Between ${ways.count} outlines the head goes ${length(ways.dark)}${ways.bound > 0 ? `; no order could do with less than ${length(ways.bound)}` : ''}.`}
      </p>
      <Reckoned seconds={seconds} />
      {[...new Map(fills.map((it) => [it.of, it])).values()].map((it) => (
        <p key={it.of} className="text-[13px] text-second">
          {it.of}: {sayDirections(it)}
        </p>
      ))}
    </div>
  )
}

/** Its time may be that of the job which is reckoned in Log. */
function Reckoned({ seconds }: { readonly seconds: number }) {
  const reckoned = useBenchStore((it) => it.bench?.log.job.beam.value ?? null)
  const isIt = reckoned !== null && Math.abs(reckoned - seconds) < 1
  return (
    <p className="no-print py-1 text-[13px]">
      {isIt ? (
        <StageLink stage="log" part="money">
          What it costs is reckoned with this time
        </StageLink>
      ) : (
        <button type="button" className="link" onClick={() => reckonJob(seconds)}>
          Reckon what it costs with this time
        </button>
      )}
    </p>
  )
}

/** Which direction was taken, and what another would take. */
function sayDirections({ compared, isParted }: PlannedProgram['fills'][number]): string {
  if (isParted) return 'each island by itself, along its own quickest direction.'
  const sorted = [...compared].sort((p, q) => p.seconds - q.seconds)
  const [best, next] = sorted
  if (best === undefined) return ''
  const degrees = (rad: number): string => `${Math.round((rad * 180) / Math.PI)}°`
  if (next === undefined) return `scanned at ${degrees(best.angleRad)}.`
  return `scanned at ${degrees(best.angleRad)}; at ${degrees(next.angleRad)} it would take ${sayTime(next.seconds - best.seconds)} more.`
}
