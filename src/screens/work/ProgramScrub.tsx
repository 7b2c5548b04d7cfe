import { useState } from 'react'
import type { Measure } from '../../core/planner'
import { displayUnit, printNumber, sayQuantity } from '../../core/units'
import { goToMoment, useProgram } from '../../state'
import { SelectOf, usePlateFrame, useUnits } from '../../ui'
import { sayTime } from './sayTime'

const BY = { time: 'by time', line: 'by line', length: 'by length' } as const
const STEPS = 1000

/** Goes through the program by its time, its lines or its way: what is burnt by then is drawn. */
export function ProgramScrub() {
  const moment = useProgram((it) => it.moment)
  const [by, setBy] = useState<Measure>('time')
  const unit = displayUnit('length', useUnits())
  const share = moment?.share ?? 1
  const said =
    moment === null
      ? 'all of it'
      : `line ${printNumber(moment.line)}, ${sayTime(moment.seconds)}, ${sayQuantity(Math.round(moment.length), null, unit)}`
  return (
    <div className="no-print flex flex-wrap items-center gap-x-3 gap-y-1 pt-1.5 text-[13px] text-second">
      <SelectOf
        label="Gone through"
        of={BY}
        value={by}
        choose={(it) => {
          setBy(it)
          if (moment !== null) void goToMoment(moment.share, it)
        }}
      />
      <input
        type="range"
        className="min-w-32 flex-1 accent-[var(--teal)]"
        aria-label="Moment of the program"
        aria-valuetext={said}
        min={0}
        max={STEPS}
        step={1}
        value={Math.round(share * STEPS)}
        onChange={(event) => {
          const to = Number(event.target.value) / STEPS
          void goToMoment(to >= 1 ? null : to, by)
        }}
      />
      <span className="num min-w-44 text-right text-ink">{said}</span>
    </div>
  )
}

/** The head at the moment that is looked at. */
export function HeadOfProgram() {
  const moment = useProgram((it) => it.moment)
  const { width, height, x, y } = usePlateFrame()
  if (moment === null) return null
  const [hx, hy] = [x(moment.x), y(moment.y)]
  const colour = moment.isLit ? 'var(--ember)' : 'var(--ink)'
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="pointer-events-none absolute inset-0 h-full w-full" data-head>
      <circle cx={hx} cy={hy} r="6" fill="none" stroke="var(--paper)" strokeWidth="4" />
      <circle cx={hx} cy={hy} r="6" fill="none" stroke={colour} strokeWidth="1.6" />
      <path d={`M${hx - 10} ${hy}h20M${hx} ${hy - 10}v20`} stroke={colour} strokeWidth="1.6" />
    </svg>
  )
}
