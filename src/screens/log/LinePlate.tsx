import { useEffect, useRef, useState } from 'react'
import { gathered, LANES } from '../../core/log'
import { LANE_WORDS, useAsked } from './asked'
import { hoursSteps, timeTicks } from './lineLayout'
import { useHappenings } from './useHappenings'

const LEFT = 128
const LANE = 30
const TOP = 10
const HOURS = 70

/** All that happened along time, a lane for each kind, and below it the hours run. */
export function LinePlate() {
  const window = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const node = window.current
    if (node === null) return
    const observer = new ResizeObserver(() => setWidth(node.clientWidth))
    observer.observe(node)
    return () => observer.disconnect()
  }, [])
  return (
    <figure className="mt-3 mb-0" data-plate="Time line" ref={window}>
      {width > 0 && <Line width={width} />}
    </figure>
  )
}

function Line({ width }: { readonly width: number }) {
  const { shown } = useHappenings()
  const asked = useAsked((it) => it.lanes)
  const lanes = LANES.filter((it) => asked.has(it))
  const inner = Math.max(60, width - LEFT - 16)
  const found = gathered(shown, Math.max(10, Math.floor(inner / 6)))
  if (found === null)
    return (
      <p className="my-6 max-w-[40rem] text-second">
        Nothing stands here yet. What is measured, burnt, tried and looked after is written down by itself; notes and repairs are
        added below.
      </p>
    )
  const x = (share: number): number => LEFT + share * inner
  const at = (ms: number): number => x(found.to === found.from ? 0.5 : (ms - found.from) / (found.to - found.from))
  const bottom = TOP + lanes.length * LANE
  const most = Math.max(1, ...found.columns.map((it) => it.count))
  const steps = hoursSteps(shown)
  const highest = steps.at(-1)?.hours ?? 0
  const height = bottom + (steps.length > 1 ? HOURS : 0) + 26
  const yHours = (hours: number): number => bottom + HOURS - 6 - (hours / Math.max(highest, 1e-9)) * (HOURS - 22)
  return (
    <svg width={width} height={height} className="plate" role="img" aria-label={`Time line of ${shown.length} entries`}>
      {timeTicks(found.from, found.to, inner).map(({ ms, words }) => (
        <g key={ms}>
          <path d={`M${at(ms)} ${TOP}V${height - 22}`} stroke="var(--rule)" />
          <text x={at(ms)} y={height - 6} textAnchor="middle" className="num" fontSize="11" fill="var(--second)">
            {words}
          </text>
        </g>
      ))}
      {lanes.map((lane, k) => (
        <g key={lane}>
          <text x={LEFT - 10} y={TOP + k * LANE + LANE / 2 + 4} textAnchor="end" fontSize="12.5" fill="var(--ink)">
            {LANE_WORDS[lane]}
          </text>
          <path d={`M${LEFT} ${TOP + (k + 1) * LANE - 3}H${LEFT + inner}`} stroke="var(--rule)" />
          {found.columns
            .filter((it) => it.lane === lane)
            .map(({ from, to, count }) => {
              const tall = 7 + (LANE - 14) * Math.sqrt(count / most)
              return (
                <rect
                  key={from}
                  x={x(from) + 0.5}
                  y={TOP + (k + 1) * LANE - 3 - tall}
                  width={Math.max(3, (to - from) * inner - 1)}
                  height={tall}
                  fill="var(--ink)"
                />
              )
            })}
        </g>
      ))}
      {steps.length > 1 && (
        <g>
          <text x={LEFT - 10} y={bottom + HOURS / 2 + 4} textAnchor="end" fontSize="12.5" fill="var(--ink)">
            hours run
          </text>
          <polyline
            points={steps.map(({ ms, hours }) => `${at(ms)},${yHours(hours)}`).join(' ')}
            fill="none"
            stroke="var(--teal)"
            strokeWidth="1.6"
          />
          <text
            x={at(steps.at(-1)?.ms ?? 0) - 4}
            y={yHours(highest) - 5}
            textAnchor="end"
            className="num"
            fontSize="11"
            fill="var(--ink)"
          >
            {Math.round(highest * 10) / 10} h
          </text>
        </g>
      )}
    </svg>
  )
}
