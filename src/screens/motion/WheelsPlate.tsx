import type { Bench } from '../../core/document'
import { cornerWays } from '../../core/motion'
import { useBenchStore } from '../../state'
import { CENTRE_LINE, FactField, Plate, ScaleBar, usePlateFrame } from '../../ui'

const MARGINS = { left: 50, right: 50, top: 30, bottom: 48 }
/** Where a controller is sketched that nobody has placed yet, and travels that nobody has entered, mm. */
const SKETCH = { x: 300, y: 200, controller: [-80, 0] } as const

/** The machine from above: the controller, and the way of its cables to each corner of the travel, along the bars. */
export function WheelsPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { travel, controller } = placesOf(bench)
  const [cx, cy] = controller
  return (
    <Plate
      title="Cables from the head to the controller"
      extent={{
        left: Math.min(0, cx) - 40,
        right: Math.max(travel.x, cx) + 40,
        bottom: Math.min(0, cy) - 40,
        top: Math.max(travel.y, cy) + 40,
      }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(50vh,80vw),520px)] shrink-0 print:h-[320px]"
      drawing={<Drawing bench={bench} />}
      fields={<Fields bench={bench} />}
    />
  )
}

function placesOf({ motion }: Bench) {
  const of = (letter: string): number | null =>
    Object.values(motion.axes).find((it) => it.letter === letter)?.travel.value ?? null
  const { controllerX, controllerY } = motion.cables
  const placed = controllerX.value !== null && controllerY.value !== null
  const controller: readonly [number, number] = [
    controllerX.value ?? SKETCH.controller[0],
    controllerY.value ?? SKETCH.controller[1],
  ]
  return { travel: { x: of('X') ?? SKETCH.x, y: of('Y') ?? SKETCH.y }, controller, placed }
}

function Drawing({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const { travel, controller, placed } = placesOf(bench)
  const [cx, cy] = controller
  const corners = cornerWays({ travelX: travel.x, travelY: travel.y, controllerX: cx, controllerY: cy })
  const farthest = corners[0]?.way ?? 0
  const [x, y] = [frame.x(cx), frame.y(cy)]
  return (
    <>
      <rect
        x={frame.x(0)}
        y={frame.y(travel.y)}
        width={travel.x * frame.scale}
        height={travel.y * frame.scale}
        fill="none"
        stroke="var(--ink)"
        strokeDasharray={CENTRE_LINE}
      />
      {corners.map((it) => {
        const isFarthest = it.way > farthest - 1e-6
        return (
          <path
            key={`${it.x},${it.y}`}
            d={`M${frame.x(it.x)} ${frame.y(it.y)}V${y}H${x}`}
            fill="none"
            stroke={isFarthest ? 'var(--teal)' : 'var(--second)'}
            strokeWidth={isFarthest ? 2.4 : 0.9}
            strokeDasharray={isFarthest ? undefined : '4 3'}
          />
        )
      })}
      {corners.map((it) => (
        <circle key={`${it.x},${it.y}`} cx={frame.x(it.x)} cy={frame.y(it.y)} r="5" fill="var(--paper)" stroke="var(--ink)" />
      ))}
      <rect
        x={x - 16}
        y={y - 11}
        width="32"
        height="22"
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.4"
        strokeDasharray={placed ? undefined : '4 3'}
      />
      <g fontSize="11" fill="var(--ink)">
        <text x={x} y={y - 17} textAnchor="middle">
          {placed ? 'controller' : 'controller: where?'}
        </text>
        <text x={frame.x(travel.x / 2)} y={frame.y(travel.y) - 9} textAnchor="middle" fill="var(--second)">
          travel of the head; heavy: the farthest corner, along the bars
        </text>
      </g>
      {frame.width > 560 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** Where the controller stands is entered at it. */
function Fields({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const [cx, cy] = placesOf(bench).controller
  return (
    <span className="absolute bg-paper" style={{ left: frame.x(cx) - 30, top: frame.y(cy) + 14 }}>
      <FactField path="motion.cables.controllerX" place="plate" small />{' '}
      <FactField path="motion.cables.controllerY" place="plate" small />
    </span>
  )
}
