import type { Modes } from '../../core/gcode'
import type { Span } from '../../core/planner'
import { displayUnit, printNumber, sayQuantity, type UnitSystem } from '../../core/units'
import { useProgram } from '../../state'
import { Panel, useUnits } from '../../ui'
import { sayTime } from './sayTime'

/** What the lines that are chosen come to, and what is in force behind them. */
export function LineInHand() {
  const { line, lineTo, span, modes } = useProgram()
  const system = useUnits()
  if (line === null) return null
  const [from, to] = lineTo === null ? [line, line] : [Math.min(line, lineTo), Math.max(line, lineTo)]
  const title = lineTo === null ? `Line ${printNumber(line)}` : `Lines ${printNumber(from)} to ${printNumber(to)}`
  return (
    <Panel title={title}>
      {span !== null && <Chosen span={span} system={system} />}
      {modes !== null && <InForce modes={modes} system={system} />}
      {lineTo === null && (
        <p className="no-print pt-1.5 text-[13px] text-second">
          Press another line with Shift held, or Shift with an arrow key, to sum several up.
        </p>
      )}
    </Panel>
  )
}

function Chosen({ span, system }: { readonly span: Span; readonly system: UnitSystem }) {
  const length = (mm: number): string => sayQuantity(Math.round(mm * 100) / 100, null, displayUnit('length', system))
  const rows: (readonly [string, string])[] = [
    ['Moves', printNumber(span.moves)],
    ['Time', span.seconds === null ? 'enter speed and acceleration on Motion' : sayTime(span.seconds)],
    ['Way', length(span.wayLength)],
    [
      'Beam on',
      span.burntLength === 0
        ? 'nowhere'
        : `${length(span.burntLength)}${span.burntSeconds === null ? '' : ` in ${sayTime(span.burntSeconds)}`}`,
    ],
  ]
  if (span.s !== null) rows.push(['Power word', span.s[0] === span.s[1] ? `S${span.s[0]}` : `S${span.s[0]} … ${span.s[1]}`])
  if (span.box !== null) {
    rows.push(['Over X', `${length(span.box.minX)} … ${length(span.box.maxX)}`])
    rows.push(['Over Y', `${length(span.box.minY)} … ${length(span.box.maxY)}`])
  }
  return <Rows rows={rows} />
}

const SPINDLES = { off: 'off', clockwise: 'on, M3', 'counter-clockwise': 'on, M4' } as const
const PLANES = { 17: 'XY, G17', 18: 'ZX, G18', 19: 'YZ, G19' } as const

function InForce({ modes, system }: { readonly modes: Modes; readonly system: UnitSystem }) {
  const length = (mm: number): string => sayQuantity(Math.round(mm * 1000) / 1000, null, displayUnit('length', system))
  const speed = (mmPerS: number): string => sayQuantity(Math.round(mmPerS * 100) / 100, null, displayUnit('speed', system))
  const [x, y, z] = modes.place
  const hasOffset = modes.offset.some((it) => it !== 0)
  const rows: (readonly [string, string])[] = [
    ['Beam’s word', modes.s > 0 ? SPINDLES[modes.spindle] : `${SPINDLES[modes.spindle]}, S0`],
    ['Power word', `S${printNumber(modes.s)}`],
    ['Move', modes.motion],
    ['Feed', modes.feed === null ? 'none yet' : speed(modes.feed)],
    ['Coordinates', `${modes.isAbsolute ? 'absolute, G90' : 'incremental, G91'}; ${modes.isInches ? 'inch, G20' : 'mm, G21'}`],
    ['Plane of arcs', PLANES[modes.plane]],
    ['The head is at', `${length(x)}, ${length(y)}${z === 0 ? '' : `, Z ${length(z)}`}`],
  ]
  if (hasOffset) rows.push(['Offset by G92', modes.offset.map((it) => length(it)).join(', ')])
  return (
    <>
      <p className="pt-1.5 text-[13px] text-second">In force behind it</p>
      <Rows rows={rows} />
    </>
  )
}

function Rows({ rows }: { readonly rows: readonly (readonly [label: string, value: string])[] }) {
  return rows.map(([label, value]) => (
    <div key={label} className="flex items-baseline justify-between gap-3 border-b border-rule py-1 text-[13.5px]">
      <span>{label}</span>
      <span className="num text-right">{value}</span>
    </div>
  ))
}
