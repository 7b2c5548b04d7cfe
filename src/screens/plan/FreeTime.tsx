import { setAt } from '../../core/bench'
import { readClock, WEEKDAYS } from '../../core/schedule'
import { editBench, told, useBenchStore } from '../../state'
import { Panel, PlainField } from '../../ui'

/** When there is time, and when it must be quiet. */
export function FreeTime() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const pair = (path: string, { from, to }: { readonly from: string; readonly to: string }, name: string) => (
    <span className="flex items-center gap-2">
      <Clock label={`${name} from`} value={from} path={`${path}.from`} />
      <span>to</span>
      <Clock label={`${name} to`} value={to} path={`${path}.to`} />
    </span>
  )
  return (
    <Panel title="Given, your time">
      <div className="mt-2 grid gap-x-8 gap-y-1 text-[13px] sm:grid-cols-2">
        {WEEKDAYS.map((day) => (
          <div key={day} className="flex items-center justify-between gap-3">
            <span className="capitalize">{day}</span>
            {pair(`free.${day}`, bench.plan.free[day], day)}
          </div>
        ))}
        <div className="flex items-center justify-between gap-3">
          <span>Quiet</span>
          {pair('quiet', bench.plan.quiet, 'quiet hours')}
        </div>
      </div>
    </Panel>
  )
}

/** A time of day; an empty one is no time. */
function Clock({ label, value, path }: { readonly label: string; readonly value: string; readonly path: string }) {
  return (
    <PlainField
      label={label}
      hideLabel
      value={value}
      placeholder="none"
      className="w-20"
      keep={(text) => {
        const clock = readClock(text)
        if (clock === null) return told('Type a time of day: 18:00, or 6 pm; or nothing, where there is none.')
        return editBench('the free time', (it) => setAt(it, `plan.${path}`, clock))
      }}
    />
  )
}
