import type { Enclosure } from '../../core/housing'
import { printFixed } from '../../core/units'
import { CENTRE_LINE } from '../../ui'

const ROOM = { width: 780, gap: 70 } as const

/** Front, left side and plan with outside and inside sizes, first angle (ISO 128-30). */
export function ThreeViews({ box, t }: { readonly box: Enclosure; readonly t: number }) {
  const { outside, inside } = box
  const scale = (ROOM.width - 3 * ROOM.gap) / (outside.x + outside.y)
  const [w, d, h] = [outside.x * scale, outside.y * scale, outside.z * scale]
  const [left, top] = [ROOM.gap, 34]
  const side = left + w + ROOM.gap
  const plan = top + h + ROOM.gap
  const slant = box.panels.find((it) => it.name === 'left')?.outline ?? null
  const view = (x: number, y: number, wide: number, high: number, inner: readonly [number, number], name: string) => (
    <g>
      <rect x={x} y={y} width={wide} height={high} />
      <rect
        x={x + (wide - inner[0] * scale) / 2}
        y={y + (high - inner[1] * scale) / 2}
        width={inner[0] * scale}
        height={inner[1] * scale}
        strokeDasharray="5 3"
        strokeWidth="0.8"
      />
      <path d={`M${x + wide / 2} ${y - 8}V${y + high + 8}`} strokeWidth="0.6" strokeDasharray={CENTRE_LINE} />
      <text x={x} y={y - 12} stroke="none" fill="var(--second)" fontSize="12">
        {name}
      </text>
    </g>
  )
  return (
    <figure className="keep-together m-0 mt-3 overflow-x-auto">
      <svg
        viewBox={`0 0 ${ROOM.width} ${plan + d + 60}`}
        className="plate w-full min-w-[560px] max-w-[860px]"
        role="img"
        aria-label="Three views of the box with their sizes"
      >
        <g fill="none" stroke="var(--ink)" strokeWidth="1.3">
          {view(left, top, w, h, [inside.x, inside.z], 'front')}
          {slant === null ? (
            view(side, top, d, h, [inside.y, inside.z], 'left side')
          ) : (
            <g>
              <path d={`M${slant.map(([y, z]) => `${side + d - y * scale} ${top + h - z * scale}`).join('L')}Z`} />
              <text x={side} y={top - 12} stroke="none" fill="var(--second)" fontSize="12">
                left side
              </text>
            </g>
          )}
          {view(left, plan, w, d, [inside.x, inside.y], 'plan')}
        </g>
        <g stroke="var(--ink)" strokeWidth="0.8" fill="var(--ink)">
          <Size from={[left, top + h]} to={[left + w, top + h]} off={24} value={outside.x} />
          <Size from={[side, top + h]} to={[side + d, top + h]} off={24} value={outside.y} />
          <Size from={[left, plan + d]} to={[left + w, plan + d]} off={24} value={inside.x} words="inside" />
          <SizeUp x={left - 22} from={top + h} to={top} value={outside.z} />
          <SizeUp x={left - 22} from={plan + d} to={plan} value={outside.y} />
        </g>
        <text x={side} y={plan + 16} fontSize="12" fill="var(--second)">
          Sheet <tspan className="num">{printFixed(t, 1)}</tspan> mm; inside dashed. Sizes in mm.
        </text>
      </svg>
    </figure>
  )
}

function Size(props: {
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  readonly off: number
  readonly value: number
  readonly words?: string
}) {
  const { from, to, off, value, words } = props
  const y = from[1] + off
  return (
    <g>
      <path d={`M${from[0]} ${from[1] + 3}V${y + 5}M${to[0]} ${to[1] + 3}V${y + 5}M${from[0]} ${y}H${to[0]}`} fill="none" />
      <path d={`M${from[0]} ${y}l7 -2v4ZM${to[0]} ${y}l-7 -2v4Z`} stroke="none" />
      <text x={(from[0] + to[0]) / 2} y={y - 4} textAnchor="middle" fontSize="12" className="num" stroke="none">
        {printFixed(value, 1)} {words}
      </text>
    </g>
  )
}

function SizeUp({
  x,
  from,
  to,
  value,
}: {
  readonly x: number
  readonly from: number
  readonly to: number
  readonly value: number
}) {
  const middle = (from + to) / 2
  return (
    <g>
      <path d={`M${x - 5} ${from}H${x + 18}M${x - 5} ${to}H${x + 18}M${x} ${from}V${to}`} fill="none" />
      <path d={`M${x} ${from}l-2 -7h4ZM${x} ${to}l-2 7h4Z`} stroke="none" />
      <text
        transform={`translate(${x - 6} ${middle}) rotate(-90)`}
        textAnchor="middle"
        fontSize="12"
        className="num"
        stroke="none"
      >
        {printFixed(value, 1)}
      </text>
    </g>
  )
}
