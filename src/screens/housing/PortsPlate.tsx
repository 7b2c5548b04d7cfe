import { shownNumber } from '../../core/bench'
import { aLightWay, lightRoom, wayOfLight, type LineOut } from '../../core/housing'
import type { Bench } from '../../core/document'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { Hatching, Plate, ScaleBar, StageLink, usePlateFrame } from '../../ui'
import { isFaceOn, layOutPort, lineOnView, onView, type PortBlock, type PortDrawn, type PortView } from './portLayout'
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
        Openings are drawn once{' '}
        <StageLink stage="housing" part="box">
          the box has its sizes
        </StageLink>
        .
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

function Box(props: { readonly bench: Bench; readonly seen: SeenBox; readonly left: number; readonly view: PortView }) {
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
        const [a, b] = [onView(view, left, [it.low[0], it.low[1], it.at]), onView(view, left, [it.high[0], it.high[1], it.at])]
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

/** An opening as a break in its wall, with its baffles. */
function Port(props: { readonly port: PortDrawn; readonly seen: SeenBox; readonly left: number; readonly view: PortView }) {
  const { port, seen, left, view } = props
  const frame = usePlateFrame()
  const laid = layOutPort(port, seen)
  if (laid === null) return null
  const drawn = ({ low, high }: PortBlock) => {
    const [a, b] = [onView(view, left, low), onView(view, left, high)]
    return {
      x: Math.min(frame.x(a[0]), frame.x(b[0])),
      y: Math.min(frame.y(a[1]), frame.y(b[1])),
      width: Math.max(1.5, Math.abs(frame.x(b[0]) - frame.x(a[0]))),
      height: Math.max(1.5, Math.abs(frame.y(b[1]) - frame.y(a[1]))),
    }
  }
  const hole = drawn(laid.opening)
  return (
    <g>
      <rect
        {...hole}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray={port.filled.chosen === 'yes' ? '3 2' : undefined}
      />
      {laid.baffles.map(([id, plate]) => (
        <rect
          key={id}
          {...drawn(plate)}
          // Face on a plate would hide what it stands before.
          {...(isFaceOn(view, port.wall)
            ? { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.1, strokeDasharray: '6 3' }
            : { fill: 'var(--ink)' })}
        />
      ))}
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

function labelAt(hole: { readonly y: number; readonly height: number }, view: PortView, { wall }: PortDrawn): number {
  const isBelow = (view === 'above' && wall === 'front') || (view === 'front' && wall === 'floor')
  return isBelow ? hole.y + hole.height + 16 : hole.y - 5
}

/** Lines that lead out, in the beam's own colour. */
function Lines({ bench, left, view }: { readonly bench: Bench; readonly left: number; readonly view: PortView }) {
  const frame = usePlateFrame()
  const engine = engineOf(bench)
  return aLightWay.each(bench).map(([id]) => {
    if (shownNumber(engine.value(lightRoom, id).result) !== -1) return null
    const found = engine.value(wayOfLight, id).result
    const line: LineOut | null = found.known ? found.value.line : null
    if (line === null) return null
    const { from, to } = lineOnView(view, left, line)
    return (
      <g key={id} stroke="var(--ember)" data-line-out={id}>
        <path
          d={`M${frame.x(from[0])} ${frame.y(from[1])}L${frame.x(to[0])} ${frame.y(to[1])}`}
          strokeWidth="1.8"
          strokeDasharray="8 3"
        />
        <circle cx={frame.x(from[0])} cy={frame.y(from[1])} r="3" fill="var(--ember)" stroke="none" />
      </g>
    )
  })
}
