import { shownNumber } from '../../core/bench'
import { aLightWay, lightRoom, onWall, wayOfLight, type LineOut } from '../../core/housing'
import type { Bench } from '../../core/document'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { Hatching, Plate, ScaleBar, usePlateFrame } from '../../ui'
import { seenBox, type SeenBox } from './seen'

const MARGINS = { left: 60, right: 60, top: 44, bottom: 52 }

/** The box from above and from the front with its openings, and the lines that lead out. */
export function PortsPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const seen = seenBox(bench)
  if (seen === null)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="The box from above and from the front">
        Openings are drawn once the box has its sizes.
      </p>
    )
  const gap = 0.2 * seen.x
  const side = seen.x + gap + 2 * seen.t
  return (
    <Plate
      title="The box from above and from the front"
      extent={{ left: -seen.t, right: side + seen.x + seen.t, bottom: -seen.t, top: Math.max(seen.y, seen.z) + seen.t }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(44vh,48vw),400px)] shrink-0 print:h-[320px]"
      drawing={<Drawing bench={bench} seen={seen} side={side} />}
      fields={null}
    />
  )
}

type View = 'above' | 'front'

function Drawing({ bench, seen, side }: { readonly bench: Bench; readonly seen: SeenBox; readonly side: number }) {
  const frame = usePlateFrame()
  return (
    <>
      <Hatching id="port-cut" />
      <Box bench={bench} seen={seen} left={0} view="above" />
      <Box bench={bench} seen={seen} left={side} view="front" />
      {frame.width > 560 && <ScaleBar right={frame.width - 10} bottom={frame.height} />}
    </>
  )
}

/** A place of the inside on a view, mm of the drawing. */
const placed = (view: View, left: number, [x, y, z]: readonly [number, number, number]): readonly [number, number] =>
  view === 'above' ? [left + x, y] : [left + x, z]

function Box(props: { readonly bench: Bench; readonly seen: SeenBox; readonly left: number; readonly view: View }) {
  const { bench, seen, left, view } = props
  const frame = usePlateFrame()
  const high = view === 'above' ? seen.y : seen.z
  const rect = (x0: number, y0: number, x1: number, y1: number): string =>
    `M${frame.x(x0)} ${frame.y(y0)}H${frame.x(x1)}V${frame.y(y1)}H${frame.x(x0)}Z`
  return (
    <g>
      <text x={frame.x(left + seen.x / 2)} y={frame.y(high + seen.t) - 16} textAnchor="middle" fontSize="12" fill="var(--second)">
        from {view === 'above' ? 'above' : 'the front'}
      </text>
      <path
        d={`${rect(left - seen.t, view === 'front' && !seen.hasFloor ? 0 : -seen.t, left + seen.x + seen.t, high + seen.t)}${rect(left, 0, left + seen.x, high)}`}
        fill="url(#port-cut)"
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      {seen.patches.map((it) => {
        const [a, b] = [placed(view, left, [it.low[0], it.low[1], it.at]), placed(view, left, [it.high[0], it.high[1], it.at])]
        return (
          <rect
            key={it.at}
            x={frame.x(a[0])}
            y={frame.y(b[1])}
            width={frame.x(b[0]) - frame.x(a[0])}
            height={Math.max(2, frame.y(a[1]) - frame.y(b[1]))}
            fill={view === 'above' ? 'none' : 'var(--ember)'}
            stroke="var(--ember)"
            strokeWidth="1.2"
          />
        )
      })}
      {Object.entries(bench.housing.ports).map(([id, port]) => (
        <Port key={id} port={port} seen={seen} left={left} view={view} />
      ))}
      <Lines bench={bench} left={left} view={view} />
    </g>
  )
}

type PortNow = Bench['housing']['ports'][string]

/** An opening as a break in its wall, with its baffles. */
function Port({
  port,
  seen,
  left,
  view,
}: {
  readonly port: PortNow
  readonly seen: SeenBox
  readonly left: number
  readonly view: View
}) {
  const frame = usePlateFrame()
  const { x, y, width, height } = port
  if (seen.box === null || x.value === null || y.value === null || width.value === null) return null
  const tall = port.round.chosen === 'yes' ? width.value : (height.value ?? width.value)
  const [p, q] = onWall(port.wall, x.value, y.value, seen.box, seen.t)
  const shape = shapeOf(port, seen, [p, q], [width.value, tall])
  const at = (one: readonly [number, number, number]): readonly [number, number] => placed(view, left, one)
  const drawn = (low: readonly [number, number, number], high: readonly [number, number, number]) => {
    const [a, b] = [at(low), at(high)]
    return {
      x: Math.min(frame.x(a[0]), frame.x(b[0])),
      y: Math.min(frame.y(a[1]), frame.y(b[1])),
      width: Math.max(1.5, Math.abs(frame.x(b[0]) - frame.x(a[0]))),
      height: Math.max(1.5, Math.abs(frame.y(b[1]) - frame.y(a[1]))),
    }
  }
  const hole = drawn(shape.low, shape.high)
  return (
    <g>
      <rect
        {...hole}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray={port.filled.chosen === 'yes' ? '3 2' : undefined}
      />
      {Object.entries(port.baffles).map(([id, it]) => {
        const away = it.away.value ?? 40
        const over = it.over.value ?? 40
        const inner = shapeOf(
          { ...port },
          seen,
          onWall(port.wall, (x.value ?? 0) + it.right, (y.value ?? 0) + it.up, seen.box ?? NEVER, seen.t),
          [(width.value ?? 0) + 2 * over, tall + 2 * over],
          away,
        )
        return <rect key={id} {...drawn(inner.low, inner.high)} fill="var(--ink)" />
      })}
      <text
        x={hole.x + hole.width / 2}
        y={labelAt(hole, view, port)}
        textAnchor="middle"
        fontSize="11"
        fill="var(--ink)"
        className="[paint-order:stroke]"
        stroke="var(--paper)"
        strokeWidth="3"
      >
        {port.name}
      </text>
    </g>
  )
}

const NEVER = { outside: { x: 0, y: 0, z: 0 }, inside: { x: 0, y: 0, z: 0 }, panels: [], lid: { long: 0, wide: 0 }, frame: null }

function labelAt(hole: { readonly y: number; readonly height: number }, view: View, { wall }: PortNow): number {
  const isBelow = (view === 'above' && wall === 'front') || (view === 'front' && wall === 'floor')
  return isBelow ? hole.y + hole.height + 16 : hole.y - 5
}

/** An opening, or a plate so far inside it, as a block of the inside. */
function shapeOf(
  { wall }: Pick<PortNow, 'wall'>,
  { x, y, z, t }: SeenBox,
  [p, q]: readonly [number, number],
  [wide, tall]: readonly [number, number],
  away?: number,
): { readonly low: readonly [number, number, number]; readonly high: readonly [number, number, number] } {
  const plate = away === undefined ? null : 2
  const span = (inner: number, out: 1 | -1): readonly [number, number] => {
    if (plate === null) return out > 0 ? [inner, inner + t] : [inner - t, inner]
    const at = inner - out * (away ?? 0)
    return [at - plate / 2, at + plate / 2]
  }
  const [p0, p1, q0, q1] = [p - wide / 2, p + wide / 2, q - tall / 2, q + tall / 2]
  if (wall === 'left' || wall === 'right') {
    const [a, b] = span(wall === 'left' ? 0 : x, wall === 'left' ? -1 : 1)
    return { low: [a, p0, q0], high: [b, p1, q1] }
  }
  if (wall === 'front' || wall === 'back') {
    const [a, b] = span(wall === 'front' ? 0 : y, wall === 'front' ? -1 : 1)
    return { low: [p0, a, q0], high: [p1, b, q1] }
  }
  const [a, b] = span(wall === 'floor' ? 0 : z, wall === 'floor' ? -1 : 1)
  return { low: [p0, q0, a], high: [p1, q1, b] }
}

/** Lines that lead out, in the beam's own colour. */
function Lines({ bench, left, view }: { readonly bench: Bench; readonly left: number; readonly view: View }) {
  const frame = usePlateFrame()
  const engine = engineOf(bench)
  return aLightWay.each(bench).map(([id]) => {
    if (shownNumber(engine.value(lightRoom, id).result) !== -1) return null
    const found = engine.value(wayOfLight, id).result
    const line: LineOut | null = found.known ? found.value.line : null
    if (line === null) return null
    const [a, b] = [placed(view, left, line.from), placed(view, left, line.to)]
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const long = Math.hypot(dx, dy)
    const beyond = long === 0 ? 0 : 60 / long
    const end = [b[0] + dx * beyond, b[1] + dy * beyond] as const
    return (
      <g key={id} stroke="var(--ember)" data-line-out={id}>
        <path
          d={`M${frame.x(a[0])} ${frame.y(a[1])}L${frame.x(end[0])} ${frame.y(end[1])}`}
          strokeWidth="1.8"
          strokeDasharray="8 3"
        />
        <circle cx={frame.x(a[0])} cy={frame.y(a[1])} r="3" fill="var(--ember)" stroke="none" />
      </g>
    )
  })
}
