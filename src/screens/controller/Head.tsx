import { useMachine } from '../../state'
import { usePlateFrame } from '../../ui'

/** Where the machine's spot is while something is burnt: ember while the beam is on. */
export function Head() {
  const frame = usePlateFrame()
  const running = useMachine((it) => it.running)
  const report = useMachine((it) => it.report)
  if (!running || report === null) return null
  const [x, y] = [frame.x(report.x), frame.y(report.y)]
  const lit = report.power > 0
  return (
    <g pointerEvents="none" aria-hidden>
      <path d={`M${x - 9} ${y}h18M${x} ${y - 9}v18`} stroke="var(--ink)" strokeWidth="0.8" />
      <circle
        cx={x}
        cy={y}
        r="3.4"
        fill={lit ? 'var(--ember)' : 'var(--paper)'}
        stroke={lit ? 'var(--ember)' : 'var(--ink)'}
        strokeWidth="1.2"
      />
    </g>
  )
}
