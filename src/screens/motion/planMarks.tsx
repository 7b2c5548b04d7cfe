import type { Bench } from '../../core/document'
import { usePlateFrame } from '../../ui'
import type { Box, Plan } from './plan'

/** Both diagonals between the marks. */
export function Diagonals({ bench, work }: { readonly bench: Bench; readonly work: Box }) {
  const frame = usePlateFrame()
  const { fromOrigin, across } = bench.motion.corners
  if (fromOrigin.value === null && across.value === null) return null
  const [x0, y0, x1, y1] = [frame.x(0), frame.y(work.y), frame.x(work.w), frame.y(work.y + work.h)]
  return (
    <path
      d={`M${x0} ${y0}L${x1} ${y1}M${x0} ${y1}L${x1} ${y0}`}
      stroke="var(--second)"
      strokeWidth="0.7"
      strokeDasharray="4 4"
      fill="none"
    />
  )
}

/** What was read of the diagonals, along one of them. */
export function DiagonalsNote({ bench, work }: { readonly bench: Bench; readonly work: Box }) {
  const frame = usePlateFrame()
  const { fromOrigin, across } = bench.motion.corners
  if (fromOrigin.value === null && across.value === null) return null
  const [x0, y0, x1, y1] = [frame.x(0), frame.y(work.y), frame.x(work.w), frame.y(work.y + work.h)]
  const tilt = (Math.atan2(y1 - y0, x1 - x0) * 180) / Math.PI
  const at = { x: x0 + 0.85 * (x1 - x0), y: y0 + 0.85 * (y1 - y0) }
  return (
    <text
      x={at.x}
      y={at.y - 5}
      transform={`rotate(${tilt} ${at.x} ${at.y})`}
      textAnchor="middle"
      fontSize="11"
      fill="var(--ink)"
      pointerEvents="none"
    >
      diagonals {fromOrigin.typed || '–'} · {across.typed || '–'}
    </text>
  )
}

/** Where both axes begin, and which way they go. */
export function Origin() {
  const frame = usePlateFrame()
  const [x, y] = [frame.x(0), frame.y(0)]
  return (
    <g stroke="var(--ink)" strokeWidth="1.6" fill="var(--ink)" aria-hidden pointerEvents="none">
      <path d={`M${x} ${y}h24M${x} ${y}v-24`} />
      <path d={`M${x + 24} ${y - 3}l8 3l-8 3ZM${x - 3} ${y - 24}l3 -8l3 8Z`} stroke="none" />
      <text x={x + 30} y={y - 7} fontSize="11">
        +X
      </text>
      <text x={x - 6} y={y - 37} fontSize="11">
        +Y
      </text>
    </g>
  )
}

/** Z points at the eye: its sign stands beside the origin, its travel is in the given. */
export function HeightMark({ bench, id, plan }: { readonly bench: Bench; readonly id: string; readonly plan: Plan }) {
  const frame = usePlateFrame()
  const [x, y] = [frame.x(plan.work.w) - 16, frame.y(0) - 14]
  const travel = bench.motion.axes[id]?.travel.typed ?? ''
  return (
    <g stroke="var(--ink)" fill="none" pointerEvents="none">
      <circle cx={x} cy={y} r="6" strokeWidth="1.4" />
      <circle cx={x} cy={y} r="1.8" fill="var(--ink)" stroke="none" />
      <text x={x - 12} y={y + 4} fontSize="11" textAnchor="end" fill="var(--ink)">
        +Z up{travel === '' ? '' : `, ${travel}`}
      </text>
    </g>
  )
}
