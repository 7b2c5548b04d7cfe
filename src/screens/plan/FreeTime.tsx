import { useState } from 'react'
import { setAt } from '../../core/bench'
import { WEEKDAYS } from '../../core/schedule'
import { editBench, useBenchStore, DONE } from '../../state'
import { Findings, Panel } from '../../ui'

/** When there is time, and when it must be quiet. */
export function FreeTime() {
  const bench = useBenchStore((it) => it.bench)
  const [refused, setRefused] = useState(DONE)
  if (bench === null) return null
  const change = (path: string, value: string): void =>
    setRefused(editBench('the free time', (it) => setAt(it, `plan.${path}`, value)))
  const pair = (path: string, { from, to }: { readonly from: string; readonly to: string }, name: string) => (
    <span className="flex items-center gap-2">
      <input
        type="time"
        className="input min-h-8 py-0.5"
        aria-label={`${name} from`}
        value={from}
        onChange={(event) => change(`${path}.from`, event.target.value)}
      />
      <span>to</span>
      <input
        type="time"
        className="input min-h-8 py-0.5"
        aria-label={`${name} to`}
        value={to}
        onChange={(event) => change(`${path}.to`, event.target.value)}
      />
    </span>
  )
  return (
    <Panel title="Given, your time">
      <div className="no-print mt-2 grid gap-x-8 gap-y-1 text-[13px] sm:grid-cols-2">
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
      <Findings findings={refused} />
    </Panel>
  )
}
