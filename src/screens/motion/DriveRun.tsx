import { shownNumber } from '../../core/bench'
import { pullingParts, travelPerTurn, turnAt } from '../../core/motion'
import { useFigure } from '../../state'
import { CENTRE_LINE, usePlateFrame, type PlateFrame } from '../../ui'
import type { Run } from './plan'

/** A shorter way along an axis pulls at nothing, mm. */
const NO_WAY = 1

/**
 * A belt round two pulleys, tangents at the pitch radius, a screw between two bearings, or a pinion on its rack; turning
 * with the axis. What pulls at the belt is heavy.
 */
export function DriveRun(props: {
  readonly run: Run
  readonly axisId: string
  /** How far the head last went along this axis, mm, with its sign. */
  readonly way: number
}) {
  const { run, axisId, way } = props
  const frame = usePlateFrame()
  const turn = useFigure(travelPerTurn, axisId)
  const perTurn = turn === null ? null : shownNumber(turn.result)
  const angle = perTurn === null ? 0 : turnAt(run.at, perTurn)
  const [ax, ay, bx, by] = [frame.x(run.from[0]), frame.y(run.from[1]), frame.x(run.to[0]), frame.y(run.to[1])]
  const r = Math.max(run.radius * frame.scale, 3)
  const across = ax === bx ? { x: r, y: 0 } : { x: 0, y: r }
  return (
    <g stroke="currentColor" fill="none">
      {run.kind === 'screw' && (
        <>
          <path
            d={`M${ax} ${ay}L${bx} ${by}`}
            strokeWidth="5"
            strokeDasharray="1.5 2"
            strokeDashoffset={(angle * 3.5) / (2 * Math.PI)}
          />
          <path d={`M${ax} ${ay}L${bx} ${by}`} strokeWidth="0.8" strokeDasharray={CENTRE_LINE} stroke="var(--ink)" />
        </>
      )}
      {isBelt(run.kind) && (
        <>
          <path
            d={`M${ax - across.x} ${ay - across.y}L${bx - across.x} ${by - across.y}M${ax + across.x} ${ay + across.y}L${bx + across.x} ${by + across.y}`}
            strokeWidth="2"
          />
          {isPulled(run.kind, way) && (
            <path data-tight={axisId} d={pulling(run, way, frame, across)} strokeWidth="4.5" opacity="0.75" />
          )}
        </>
      )}
      {run.kind === 'rack' ? (
        <>
          <path
            d={`M${ax - across.x} ${ay - across.y}L${bx - across.x} ${by - across.y}`}
            strokeWidth="4"
            strokeDasharray="1.5 1.5"
          />
          <Pulley {...clamped(run, frame)} r={r} angle={angle} motor={run.motor} reduced={false} />
        </>
      ) : (
        <>
          <Pulley x={ax} y={ay} r={r} angle={angle} motor={run.motor} reduced={run.kind === 'reducedBelt'} />
          <Pulley x={bx} y={by} r={r} angle={angle} motor={false} reduced={false} />
        </>
      )}
    </g>
  )
}

function isBelt(kind: Run['kind']): boolean {
  return kind === 'belt' || kind === 'reducedBelt'
}

/** Whether a part of the belt is drawn heavy. @param way How far the head last went along its axis, mm. */
export function isPulled(kind: Run['kind'], way: number): boolean {
  return isBelt(kind) && Math.abs(way) > NO_WAY
}

/** Where what the run moves stands on its middle line, px. */
function clamped(run: Run, frame: PlateFrame): { readonly x: number; readonly y: number } {
  const upright = run.from[0] === run.to[0]
  return { x: frame.x(upright ? run.from[0] : run.at), y: frame.y(upright ? run.at : run.from[1]) }
}

/** The parts of the belt that pull; the run on the left, or at the back, is the clamped one, as the pulleys turn. */
function pulling(run: Run, way: number, frame: PlateFrame, across: { readonly x: number; readonly y: number }): string {
  const { near, far, back } = pullingParts(way * run.forward)
  const place = (x: number, y: number, side: 1 | -1): string => `${x + side * across.x} ${y + side * across.y}`
  const end = (at: readonly [number, number], side: 1 | -1): string => place(frame.x(at[0]), frame.y(at[1]), side)
  const { x, y } = clamped(run, frame)
  const clamp = place(x, y, -1)
  return [
    near ? `M${end(run.from, -1)}L${clamp}` : '',
    far ? `M${clamp}L${end(run.to, -1)}` : '',
    back ? `M${end(run.from, 1)}L${end(run.to, 1)}` : '',
  ].join('')
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
