import { shownNumber } from '../../core/bench'
import { travelPerTurn, turnAt } from '../../core/motion'
import { useFigure } from '../../state'
import { CENTRE_LINE, usePlateFrame } from '../../ui'
import type { Run } from './plan'

/** A belt round two pulleys, tangents at the pitch radius, or a screw between two bearings; turning with the axis. */
export function DriveRun({ run, axisId, position }: { readonly run: Run; readonly axisId: string; readonly position: number }) {
  const frame = usePlateFrame()
  const turn = useFigure(travelPerTurn, axisId)
  const perTurn = turn === null ? null : shownNumber(turn.result)
  const angle = perTurn === null ? 0 : turnAt(position, perTurn)
  const [ax, ay, bx, by] = [frame.x(run.from[0]), frame.y(run.from[1]), frame.x(run.to[0]), frame.y(run.to[1])]
  const r = Math.max(run.radius * frame.scale, 3)
  const across = ax === bx ? { x: r, y: 0 } : { x: 0, y: r }
  return (
    <g stroke="currentColor" fill="none">
      {run.kind === 'screw' ? (
        <>
          <path
            d={`M${ax} ${ay}L${bx} ${by}`}
            strokeWidth="5"
            strokeDasharray="1.5 2"
            strokeDashoffset={(angle * 3.5) / (2 * Math.PI)}
          />
          <path d={`M${ax} ${ay}L${bx} ${by}`} strokeWidth="0.8" strokeDasharray={CENTRE_LINE} stroke="var(--ink)" />
        </>
      ) : (
        <path
          d={`M${ax - across.x} ${ay - across.y}L${bx - across.x} ${by - across.y}M${ax + across.x} ${ay + across.y}L${bx + across.x} ${by + across.y}`}
          strokeWidth="2"
        />
      )}
      <Pulley x={ax} y={ay} r={r} angle={angle} motor={run.motor} reduced={run.kind === 'reducedBelt'} />
      <Pulley x={bx} y={by} r={r} angle={angle} motor={false} reduced={false} />
    </g>
  )
}

function Pulley(props: {
  readonly x: number
  readonly y: number
  readonly r: number
  readonly angle: number
  readonly motor: boolean
  readonly reduced: boolean
}) {
  const { x, y, r, angle, motor, reduced } = props
  const hand = { x: x + r * Math.sin(angle), y: y - r * Math.cos(angle) }
  return (
    <>
      {motor && <rect x={x - r - 4} y={y - r - 4} width={2 * r + 8} height={2 * r + 8} fill="var(--paper)" strokeWidth="1" />}
      {reduced && motor && <circle cx={x} cy={y} r={1.5 * r} strokeWidth="1" strokeDasharray="3 2" />}
      <circle cx={x} cy={y} r={r} fill="var(--paper)" strokeWidth="1.6" />
      <path d={`M${x} ${y}L${hand.x} ${hand.y}`} strokeWidth="1" />
    </>
  )
}
