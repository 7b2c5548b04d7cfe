import type { Bench } from '../../core/document'
import { freeTimeOf, localAfter, minutesSince, weekdayOf, type Placed } from '../../core/schedule'
import { Parcel, parcelsOf } from './Parcel'
import { TaskBar } from './TaskBar'
import { sayDay } from './taskWords'
import { timeScale } from './timeScale'
import { planNow, useBenchStore, useNow, type PlannedNow } from '../../state'
import { Findings, Hatching } from '../../ui'
import { useWidth } from './useWidth'

const ROW = 22
const HEAD = 34
/** Room for the names: wide where there is some. */
const NAMES = { wide: 240, narrow: 176 }
const LETTER = 7
const DAY = 24 * 60
/** A parcel comes in the course of its day. */
const NOON = 12 * 60

/** The open tasks over the days: work heavy or light, waits hatched, parcels as arrows, free time behind. */
export function SchedulePlate() {
  const bench = useBenchStore((it) => it.bench)
  const now = useNow()
  const [width, window] = useWidth()
  if (bench === null) return null
  const planned = planNow(bench, now)
  const { calendar } = planned
  if (Object.keys(bench.plan.tasks).length === 0) {
    return <p className="my-8 text-second">No task yet: take the usual ones for this machine below, or add your own.</p>
  }
  if (!calendar.ok) return <Findings findings={calendar.findings} />
  return (
    <>
      <p className="mt-3 text-[15px]" role="status">
        {sayFinish(planned)}
      </p>
      <div ref={window} className="mt-1 shrink-0 overflow-x-auto" data-plate="The schedule">
        {width > 0 && <Bars bench={bench} planned={planned} placed={calendar.value.placed} width={Math.max(width, 560)} />}
      </div>
    </>
  )
}

function sayFinish({ first, calendar, tasks, hindrances }: PlannedNow): string {
  if (!calendar.ok) return ''
  const { finish, unordered } = calendar.value
  const doable = [...hindrances].filter(([, it]) => it.length === 0).length
  const open = tasks.filter((it) => it.doneAt === null).length
  const today = open === 0 ? 'Everything is done.' : `${doable} of ${open} open tasks can be begun now.`
  if (open === 0) return today
  if (finish === Infinity)
    return `${today} The end is open: ${unordered.map((it) => `“${it}”`).join(', ')} waits for parts without a day.`
  return `${today} At this pace it is done on ${sayDay(localAfter(first, finish).slice(0, 10))}.`
}

function Bars(props: {
  readonly bench: Bench
  readonly planned: PlannedNow
  readonly placed: ReadonlyMap<string, Placed>
  readonly width: number
}) {
  const { bench, planned, placed, width } = props
  const { first, nowMin, calendar } = planned
  const rows = planned.tasks.filter((it) => it.doneAt === null)
  const names = width > 680 ? NAMES.wide : NAMES.narrow
  // What nobody has ordered has no end; the days until then are drawn all the same.
  const endless = rows.some((it) => !placed.has(it.id)) ? nowMin + DAY : nowMin
  const last = Math.max(endless, ...rows.map((it) => placed.get(it.id)?.readyAt ?? 0))
  const scale = timeScale(first, nowMin, last, width - names - 8)
  const x = (minutes: number): number => names + ((width - names - 8) * (minutes - scale.from)) / (scale.to - scale.from)
  const within = (minutes: number): number => Math.min(Math.max(minutes, scale.from), scale.to)
  const height = HEAD + rows.length * ROW + 10
  const { free } = freeTimeOf(bench.plan)
  const weekday = weekdayOf(first)
  return (
    <svg width={width} height={height} role="group" aria-label="Open tasks over the days" className="plate touch-none">
      <Hatching id="wait" />
      {Array.from({ length: Math.ceil(scale.to / DAY) }, (_, day) => {
        const own = free[(weekday + day) % 7]
        if (own === null || own === undefined) return null
        const [from, to] = [within(day * DAY + own.from), within(day * DAY + own.to)]
        return (
          <rect key={day} x={x(from)} y={HEAD} width={x(to) - x(from)} height={height - HEAD} fill="var(--tape)" opacity="0.45" />
        )
      })}
      {scale.marks.map(({ at, words }) => (
        <g key={at}>
          <path d={`M${x(at)} ${HEAD - 4}V${height}`} stroke="var(--rule)" />
          <text x={x(at) + 3} y={HEAD - 10} fontSize="10.5" fill="var(--second)">
            {words}
          </text>
        </g>
      ))}
      {scale.day !== null && (
        <text x="0" y={HEAD - 10} fontSize="10.5" fill="var(--second)">
          {scale.day}
        </text>
      )}
      <path d={`M0 ${HEAD}H${width}`} stroke="var(--ink)" />
      {rows.map((task, i) => {
        const at = placed.get(task.id)
        const timed = calendar.ok ? calendar.value.network.times.get(task.id) : undefined
        const y = HEAD + i * ROW
        const letters = Math.floor(names / LETTER)
        const name = task.name.length > letters ? `${task.name.slice(0, letters - 1)}…` : task.name
        return (
          <g key={task.id}>
            <title>{`${task.name}${timed?.critical === true ? ', no float' : ''}`}</title>
            <text x="0" y={y + 15} fontSize="12" fill="var(--ink)" fontWeight={timed?.critical === true ? 650 : 400}>
              {name}
            </text>
            {parcelsOf(bench, task.id).map(({ id, part, day }) => (
              <Parcel key={id} id={id} name={part} x={x} at={minutesSince(first, day) + NOON} first={first} y={y} />
            ))}
            {at !== undefined && (
              <TaskBar
                id={task.id}
                name={task.name}
                placed={at}
                critical={timed?.critical === true}
                notBefore={bench.plan.tasks[task.id]?.notBefore ?? ''}
                first={first}
                y={y}
                height={ROW}
                x={x}
              />
            )}
            {at !== undefined && at.readyAt > at.end && (
              <rect
                x={x(at.end)}
                y={y + 8}
                width={x(at.readyAt) - x(at.end)}
                height={ROW - 16}
                fill="url(#wait)"
                stroke="var(--second)"
                strokeWidth="0.6"
              />
            )}
            {at === undefined && (
              <text x={names + 4} y={y + 15} fontSize="11" fill="var(--second)">
                waits for parts without a day
              </text>
            )}
          </g>
        )
      })}
      <path d={`M${x(nowMin)} ${HEAD - 6}V${height}`} stroke="var(--teal)" strokeWidth="1.4" />
      <text x={x(nowMin) + 3} y={HEAD - 22} fontSize="10.5" fill="var(--teal)">
        now
      </text>
    </svg>
  )
}
