import { wireAmps, wireDrop, type Wire, type WireKind, type WiringFinding } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { VerdictMark } from '../../ui'
import { useSaid, useWorst } from './said'
import { WireHandle } from './WireHandle'
import { drawnWire, type Box } from './wiringShapes'

const DASH: Readonly<Record<WireKind, string | undefined>> = { rail: undefined, signal: '3 3', earth: '12 3 3 3', mains: '14 4' }
const WIDTH: Readonly<Record<WireKind, number>> = { rail: 2, signal: 1.3, earth: 1.3, mains: 3 }

/** A pair of wires between two blocks, drawn round corners, with its current and what it loses. */
export function WireLine(props: {
  readonly id: string
  readonly wire: Wire
  readonly bench: Bench
  readonly boxes: readonly [Box, Box]
  readonly finding: WiringFinding | null
  /** In a state of the chain: whether it carries anything, and whether it is what is broken. Null: as at work. */
  readonly chain: { readonly isLive: boolean; readonly isFault: boolean } | null
}) {
  const { id, wire, bench, boxes, finding, chain } = props
  const amps = useSaid(bench, wireAmps, id, 'A', 2)
  const drop = useSaid(bench, wireDrop, id, 'V', 2)
  const mark = useWorst(id)
  const { d, end, label, middle } = drawnWire(...boxes, wire.kind)
  const isBad = finding !== null || chain?.isFault === true || (chain === null && mark === 'stop')
  const colour = isBad ? 'var(--stop)' : chain !== null && !chain.isLive ? 'var(--rule)' : 'var(--ink)'
  return (
    <g data-wire={id} data-live={chain?.isLive} pointerEvents="none">
      <path d={d} fill="none" stroke={colour} strokeWidth={WIDTH[wire.kind]} strokeDasharray={DASH[wire.kind]} />
      <circle cx={end[0]} cy={end[1]} r="3" fill={colour} />
      {chain === null && wire.kind === 'rail' && amps !== '' && label !== null && (
        <text x={label.x} y={label.y - 6} textAnchor={label.anchor} fontSize="12.5" className="num" fill="var(--ink)">
          {amps}
          <tspan x={label.x} dy="20" fill={mark === 'look' ? 'var(--ink)' : 'var(--second)'}>
            −{drop}
          </tspan>
        </text>
      )}
      {chain === null && wire.kind === 'rail' && label?.anchor === 'end' && amps !== '' && (
        <WireHandle id={id} x={label.x - 58} y={label.y - 18} width={58} />
      )}
      {isBad && (
        <g transform={`translate(${middle[0] - 6} ${middle[1] - 6})`}>
          <VerdictMark mark="stop" label={finding?.message ?? 'here'} />
        </g>
      )}
    </g>
  )
}
