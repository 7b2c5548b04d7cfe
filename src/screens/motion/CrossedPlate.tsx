import {
  crossedLayout,
  crossedWheels,
  motorsFor,
  pullsFor,
  routeBelt,
  type BeltPull,
  type BeltRoute,
  type CrossedShape,
  type Wheel,
} from '../../core/motion'
import { displayUnit, printQuantity, unitOf } from '../../core/units'
import type { Bench } from '../../core/document'
import { scanIds, shownBench, useBenchStore, useFigure, useSession } from '../../state'
import {
  DimensionDrawing,
  DimensionValue,
  Hatching,
  Plate,
  ScaleBar,
  usePlateFrame,
  useUnits,
  type DimensionLine,
} from '../../ui'
import { Carriage, Floor } from './Head'
import { MachinePlate } from './MachinePlate'
import { headWithin, planOf, type Box, type Plan } from './plan'

const MARGINS = { left: 40, right: 40, top: 30, bottom: 52 }

/** Crossed belts in plan view: both routes with their tangents, the motors turning as the head is moved. */
export function CrossedPlate() {
  const bench = useBenchStore(shownBench)
  const layout = useFigure(crossedLayout)
  const head = useSession((it) => it.head)
  if (bench === null) return null
  if (layout === null || !layout.result.known || Object.values(layout.result.value).some(Number.isNaN)) return <MachinePlate />
  const shape = layout.result.value
  const at = headWithin(head, shape.travelX, shape.travelY)
  const { barWidth, carriageWidth, carriageDepth } = bench.motion.frame
  const drive = { kind: 'belt' as const, radius: shape.motorRadius, motors: 1 }
  const plan = planOf({
    travelX: shape.travelX,
    travelY: shape.travelY,
    barWidth: barWidth.value ?? 20,
    carriageWidth: carriageWidth.value ?? 60,
    carriageDepth: carriageDepth.value ?? 70,
    head: at,
    x: drive,
    y: drive,
    movingBed: false,
  })
  const { outer } = plan
  const side = 4 * Math.max(shape.motorRadius, shape.motorRadiusRight) + 2 * shape.idlerRadius
  return (
    <Plate
      title="Crossed belts in plan view"
      extent={{ left: outer.x - side, bottom: outer.y - 20, right: outer.x + outer.w + side, top: outer.y + outer.h + 14 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(280px,min(60vh,84vw),640px)] shrink-0 print:h-[380px]"
      drawing={<Drawing plan={plan} shape={shape} head={at} bench={bench} />}
      fields={<Fields plan={plan} bench={bench} />}
    />
  )
}

/** Where the dimension lines of both travels stand: below the work and left of it, inside the frame. */
function useTravelLines(plan: Plan, bench: Bench): { readonly x: DimensionLine; readonly y: DimensionLine } {
  const frame = usePlateFrame()
  const ids = scanIds(bench)
  const [below, left] = [frame.y(0) + 18, frame.x(0) - 6]
  return {
    x: { path: `motion.axes.${ids.x}.travel`, along: 'x', from: 0, to: plan.work.w, at: below, extendFrom: frame.y(0) },
    y: { path: `motion.axes.${ids.y}.travel`, along: 'y', from: 0, to: plan.work.h, at: left, extendFrom: frame.x(0) },
  }
}

function Fields({ plan, bench }: { readonly plan: Plan; readonly bench: Bench }) {
  const lines = useTravelLines(plan, bench)
  return (
    <>
      <DimensionValue {...lines.x} />
      <DimensionValue {...lines.y} />
    </>
  )
}

function Drawing(props: {
  readonly plan: Plan
  readonly shape: CrossedShape
  readonly head: { readonly x: number; readonly y: number }
  readonly bench: Bench
}) {
  const { plan, shape, head, bench } = props
  const frame = usePlateFrame()
  const system = useUnits()
  const unit = displayUnit('length', system)
  const lines = useTravelLines(plan, bench)
  const wheels = crossedWheels(shape, head)
  const routes = { a: routed(wheels.a), b: routed(wheels.b) }
  const moved = motorsFor(head)
  const way = useSession((it) => it.headWay)
  const pulls = way === null ? null : pullsFor(way)
  const rect = (box: Box) => ({
    x: frame.x(box.x),
    y: frame.y(box.y + box.h),
    width: box.w * frame.scale,
    height: box.h * frame.scale,
  })
  const say = (mm: number): string => {
    const { value, unit: symbol } = printQuantity(Math.round(mm), null, unit)
    return `${value} ${symbol}`
  }
  return (
    <>
      <Hatching id="bars" />
      <g stroke="var(--ink)" strokeWidth="1.2">
        {plan.bars.map((bar, i) => (
          <rect key={i} {...rect(bar)} fill="url(#bars)" />
        ))}
      </g>
      <Floor plan={plan} />
      <rect {...rect(plan.gantry)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.2" opacity="0.9" pointerEvents="none" />
      {(['b', 'a'] as const).map((belt) => (
        <g key={belt} color={belt === 'a' ? 'var(--teal)' : 'var(--second)'} pointerEvents="none">
          {routes[belt] !== null && (
            <path
              d={pathOf(routes[belt], frame)}
              fill="none"
              stroke="currentColor"
              strokeWidth="1.8"
              strokeDasharray={belt === 'b' ? '7 2.5' : undefined}
            />
          )}
          {routes[belt] !== null && pulls !== null && Math.abs(pulls[belt]) > 0.02 && (
            <path
              data-tight={belt}
              d={tightPart(routes[belt], belt, pulls[belt], frame)}
              fill="none"
              stroke="currentColor"
              strokeWidth={2 + 4.5 * Math.abs(pulls[belt])}
              opacity="0.75"
            />
          )}
          {wheels[belt].map((wheel, i) => (
            <WheelMark key={i} wheel={wheel} motor={i === 2} travelled={wheel.turn * (belt === 'a' ? moved.a : -moved.b)} />
          ))}
        </g>
      ))}
      <DimensionDrawing {...lines.x} />
      <DimensionDrawing {...lines.y} />
      <Carriage plan={plan} rect={rect} />
      <g fontSize="11" fill="var(--ink)" pointerEvents="none">
        {(['a', 'b'] as const).map((belt) => (
          <text key={belt} x={frame.x(wheels[belt][2]?.x ?? 0)} y={frame.y(plan.outer.y) + 30} textAnchor="middle">
            {belt === 'a' ? `left motor, x + y = ${say(moved.a)}` : `right motor, x − y = ${say(moved.b)}`}
          </text>
        ))}
        <text x={frame.x(shape.travelX / 2)} y={frame.y(plan.outer.y) + 30} textAnchor="middle" fill="var(--second)">
          {pulls === null ? 'at 45° one motor does all' : sayPulls(pulls)}
        </text>
      </g>
      <Layers bench={bench} wheels={wheels} />
      {frame.width > 560 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** The two layers of belt by their names and heights, at the wheels behind. */
function Layers(props: {
  readonly bench: Bench
  readonly wheels: { readonly a: readonly Wheel[]; readonly b: readonly Wheel[] }
}) {
  const { bench, wheels } = props
  const frame = usePlateFrame()
  const { heightLeft, heightRight } = bench.motion.crossed
  const isHigher = (heightLeft.value ?? 0) >= (heightRight.value ?? 0)
  const layer = (belt: 'a' | 'b'): string => {
    const fact = belt === 'a' ? heightLeft : heightRight
    const other = heightLeft.value === null || heightRight.value === null
    const which = other ? '' : (belt === 'a') === isHigher ? 'upper ' : 'lower '
    return `${belt === 'a' ? 'left' : 'right'} belt, ${which}layer${fact.typed === '' ? '' : `, ${fact.typed} ${unitOf(fact.typedUnit).symbol} up`}`
  }
  return (
    <g fontSize="11" pointerEvents="none">
      {(['a', 'b'] as const).map((belt) => (
        <text
          key={belt}
          x={frame.x(wheels[belt][3]?.x ?? 0)}
          y={frame.y(wheels[belt][3]?.y ?? 0) - 14}
          textAnchor={belt === 'a' ? 'start' : 'end'}
          fill={belt === 'a' ? 'var(--teal)' : 'var(--second)'}
        >
          {layer(belt)}
        </text>
      ))}
    </g>
  )
}

/** A route, or null where wheels overlap; the figure beside the plate says so. */
function routed(wheels: readonly Wheel[]): BeltRoute | null {
  try {
    return routeBelt(wheels)
  } catch {
    return null
  }
}

/** What the belts pull for a push along the last move: its share, as the thick runs show. */
function sayPulls({ a, b }: BeltPull): string {
  const [left, right] = [a, b].map((it) => Math.round(Math.abs(it) * 100))
  return `pushed the way it last went: left belt ${left} %, right belt ${right} %`
}

/** The runs that are tight: from the motor to the carriage, on the side to which the motor winds. */
function tightPart({ runs, wraps }: BeltRoute, belt: 'a' | 'b', pull: number, frame: ReturnType<typeof usePlateFrame>): string {
  // Belt a's first two runs, from carriage to motor, grow with x + y; belt b's shrink with x − y.
  const first = belt === 'a' ? pull < 0 : pull > 0
  const [from, to] = first ? [0, MOTOR] : [MOTOR, runs.length]
  return pathOf({ runs: runs.slice(from, to), wraps: wraps.slice(from, to - 1) }, frame)
}

/** Place of the motor among a belt's wheels: the runs before it come from the carriage's own side. */
const MOTOR = 2

function pathOf({ runs, wraps }: Pick<BeltRoute, 'runs' | 'wraps'>, frame: ReturnType<typeof usePlateFrame>): string {
  const point = ([x, y]: readonly [number, number]): string => `${frame.x(x).toFixed(2)} ${frame.y(y).toFixed(2)}`
  return runs
    .map((run, i) => {
      const wrap = wraps[i]
      const straight = `${i === 0 ? 'M' : 'L'}${point(run.from)}L${point(run.to)}`
      if (wrap === undefined) return straight
      const r = (wrap.wheel.r * frame.scale).toFixed(2)
      // The drawing's y points down, so counter-clockwise on the bench is the sweep of 0.
      return `${straight}A${r} ${r} 0 ${wrap.angleRad > Math.PI ? 1 : 0} ${wrap.wheel.turn === 1 ? 0 : 1} ${point(wrap.end)}`
    })
    .join('')
}

function WheelMark({ wheel, motor, travelled }: { readonly wheel: Wheel; readonly motor: boolean; readonly travelled: number }) {
  const frame = usePlateFrame()
  if (wheel.r === 0) return null
  const [x, y, r] = [frame.x(wheel.x), frame.y(wheel.y), wheel.r * frame.scale]
  const angle = travelled / wheel.r
  return (
    <g stroke="currentColor" fill="var(--paper)">
      {motor && <rect x={x - r - 5} y={y - r - 5} width={2 * r + 10} height={2 * r + 10} strokeWidth="1.2" />}
      <circle cx={x} cy={y} r={r} strokeWidth="1.4" />
      <path d={`M${x} ${y}L${x + r * Math.cos(angle)} ${y - r * Math.sin(angle)}`} strokeWidth="1" />
    </g>
  )
}
