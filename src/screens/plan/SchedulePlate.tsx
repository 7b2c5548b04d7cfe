import type { Bench } from '../../core/document'
import {
  freeTimeOf,
  localAfter,
  minutesSince,
  overMidnight,
  weekdayOf,
  type CalendarTask,
  type Placed,
} from '../../core/schedule'
import { Parcel, parcelsOf } from './Parcel'
import { TaskBar } from './TaskBar'
import { sayDay } from './taskWords'
import { timeScale, type TimeScale } from './timeScale'
import { planNow, useBenchStore, useNow, type PlannedNow } from '../../state'
import { Findings, Hatching } from '../../ui'
import { useWidth } from './useWidth'

const ROW = 22
const HEAD = 34
/** Room for the names: wide where there is some. */
const NAMES = { least: 176, share: 0.4 }
/** Width of a letter, px: of the usual face, and drawn together as far as it can still be read. */
const LETTER = { usual: 6.6, close: 5 }
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

/** How the bars are laid out: where the names end, what of time is shown, and a minute's place across. */
interface Layout {
  readonly names: number
  readonly height: number
  readonly scale: TimeScale
  readonly x: (minutes: number) => number
}

function layoutOf(
  planned: PlannedNow,
  rows: readonly CalendarTask[],
  placed: ReadonlyMap<string, Placed>,
  width: number,
): Layout {
  const { first, nowMin } = planned
  const longest = Math.max(...rows.map((it) => it.name.length), 0) * LETTER.usual + 8
  const names = Math.max(NAMES.least, Math.min(longest, width * NAMES.share))
  // What nobody has ordered has no end; the days until then are drawn all the same.
  const endless = rows.some((it) => !placed.has(it.id)) ? nowMin + DAY : nowMin
  const last = Math.max(endless, ...rows.map((it) => placed.get(it.id)?.readyAt ?? 0))
  const scale = timeScale(first, nowMin, last, width - names - 8)
  const x = (minutes: number): number => names + ((width - names - 8) * (minutes - scale.from)) / (scale.to - scale.from)
  return { names, height: HEAD + rows.length * ROW + 10, scale, x }
}

function Bars(props: {
  readonly bench: Bench
  readonly planned: PlannedNow
  readonly placed: ReadonlyMap<string, Placed>
  readonly width: number
}) {
  const { bench, planned, placed, width } = props
  const rows = planned.tasks.filter((it) => it.doneAt === null)
  const layout = layoutOf(planned, rows, placed, width)
  const { height, x } = layout
  return (
    <svg width={width} height={height} role="group" aria-label="Open tasks over the days" className="plate touch-none">
      <Hatching id="wait" />
      <FreeHours bench={bench} first={planned.first} layout={layout} />
      <DayMarks layout={layout} />
      <path d={`M0 ${HEAD}H${width}`} stroke="var(--ink)" />
      {rows.map((task, i) => (
        <TaskRow
          key={task.id}
          bench={bench}
          planned={planned}
          task={task}
          placed={placed.get(task.id)}
          layout={layout}
          y={HEAD + i * ROW}
        />
      ))}
      <path d={`M${x(planned.nowMin)} ${HEAD - 6}V${height}`} stroke="var(--teal)" strokeWidth="1.4" />
      <text x={x(planned.nowMin) + 3} y={HEAD - 22} fontSize="10.5" fill="var(--teal)">
        now
      </text>
    </svg>
  )
}

/** The free hours of each day, as bands. */
function FreeHours({ bench, first, layout }: { readonly bench: Bench; readonly first: string; readonly layout: Layout }) {
  const { scale, x, height } = layout
  const { free } = freeTimeOf(bench.plan)
  const weekday = weekdayOf(first)
  const within = (minutes: number): number => Math.min(Math.max(minutes, scale.from), scale.to)
  // What began the evening before reaches into the first day.
  return Array.from({ length: Math.ceil(scale.to / DAY) + 1 }, (_, i) => {
    const day = i - 1
    const listed = free[(weekday + day + 7) % 7]
    if (listed === null || listed === undefined) return null
    const own = overMidnight(listed)
    const [from, to] = [within(day * DAY + own.from), within(day * DAY + own.to)]
    return <rect key={day} x={x(from)} y={HEAD} width={x(to) - x(from)} height={height - HEAD} fill="var(--free)" />
  })
}

function DayMarks({ layout: { scale, x, height } }: { readonly layout: Layout }) {
  return (
    <>
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
    </>
  )
}

/** One task: its name, the parcels that it waits for, the work and the wait behind it. */
function TaskRow(props: {
  readonly bench: Bench
  readonly planned: PlannedNow
  readonly task: CalendarTask
  readonly placed: Placed | undefined
  readonly layout: Layout
  readonly y: number
}) {
  const { bench, planned, task, placed, layout, y } = props
  const { first, calendar } = planned
  const { names, x } = layout
  const critical = calendar.ok && calendar.value.network.times.get(task.id)?.critical === true
  const [usual, close] = [LETTER.usual, LETTER.close].map((it) => Math.floor((names - 8) / it))
  const isLong = task.name.length > (usual ?? 0)
  const name = task.name.length > (close ?? 0) ? `${task.name.slice(0, (close ?? 0) - 1)}…` : task.name
  const notBefore = bench.plan.tasks[task.id]?.notBefore ?? ''
  return (
    <g>
      <title>{`${task.name}${critical ? ', no float' : ''}`}</title>
      <text
        x="0"
        y={y + 15}
        fontSize="12"
        fill="var(--ink)"
        fontWeight={critical ? 650 : 400}
        style={isLong ? { fontStretch: '75%', letterSpacing: '-0.02em' } : undefined}
      >
        {name}
      </text>
      {parcelsOf(bench, task.id).map(({ id, part, day }) => (
        <Parcel key={id} id={id} name={part} x={x} at={minutesSince(first, day) + NOON} first={first} y={y} />
      ))}
      {placed === undefined ? (
        <text x={names + 4} y={y + 15} fontSize="11" fill="var(--second)">
          waits for parts without a day
        </text>
      ) : (
        <TaskBar
          id={task.id}
          name={task.name}
          placed={placed}
          critical={critical}
          notBefore={notBefore}
          first={first}
          y={y}
          height={ROW}
          x={x}
        />
      )}
      {placed !== undefined && placed.readyAt > placed.end && (
        <rect
          x={x(placed.end)}
          y={y + 8}
          width={x(placed.readyAt) - x(placed.end)}
          height={ROW - 16}
          fill="url(#wait)"
          stroke="var(--second)"
          strokeWidth="0.6"
        />
      )}
    </g>
  )
}
