import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import { getAt, isFact, shownNumber, type Path } from '../../core/bench'
import { axisIds, type Bench } from '../../core/document'
import { pulleyRadius, travelPerTurn, turnAt, type Axis } from '../../core/motion'
import { shownBench, useBenchStore, useSession, useFigure } from '../../state'
import {
  CENTRE_LINE,
  DimensionDrawing,
  DimensionValue,
  Hatching,
  Plate,
  ScaleBar,
  usePlateFrame,
  type DimensionLine,
} from '../../ui'
import { DriveNote } from './DriveNote'
import { headWithin, planOf, type Box, type Plan, type Run } from './plan'

/** What is drawn while nobody has entered it, so that an empty bench shows a machine to fill in. */
const SKETCH = { travelX: 300, travelY: 200, barWidth: 20, carriageWidth: 60, carriageDepth: 70, radius: 6.4 }
const MARGINS = { left: 64, right: 24, top: 12, bottom: 52 }

/** The machine in plan view, to scale: head and gantry follow the pointer, travel is dimensioned and dragged. */
export function MachinePlate() {
  const bench = useBenchStore(shownBench)
  const head = useSession((it) => it.head)
  const ids = bench === null ? [] : axisIds(bench)
  const idOf = (letter: Axis['letter']): string => ids.find((id) => bench?.motion.axes[id]?.letter === letter) ?? ''
  const [x, y, z] = [idOf('X'), idOf('Y'), idOf('Z')]
  const radiusX = useRadius(x)
  const radiusY = useRadius(y)
  if (bench === null) return null
  const number = (path: Path, otherwise: number): number => factNumber(bench, path) ?? otherwise
  const travelX = number(`motion.axes.${x}.travel`, SKETCH.travelX)
  const travelY = number(`motion.axes.${y}.travel`, SKETCH.travelY)
  const drive = (id: string, radius: number) => ({
    kind: bench.motion.axes[id]?.drive.chosen ?? ('belt' as const),
    radius,
    motors: number(`motion.axes.${id}.motors`, 1),
  })
  const plan = planOf({
    travelX,
    travelY,
    barWidth: number('motion.frame.barWidth', SKETCH.barWidth),
    carriageWidth: number('motion.frame.carriageWidth', SKETCH.carriageWidth),
    carriageDepth: number('motion.frame.carriageDepth', SKETCH.carriageDepth),
    head: headWithin(head, travelX, travelY),
    x: drive(x, radiusX),
    y: drive(y, radiusY),
  })
  const { outer } = plan
  const known = factNumber(bench, `motion.axes.${x}.travel`) !== null && factNumber(bench, `motion.axes.${y}.travel`) !== null
  return (
    <Plate
      title="The machine in plan view"
      extent={{ left: outer.x, bottom: outer.y, right: outer.x + outer.w, top: outer.y + outer.h }}
      margins={MARGINS}
      className="keep-together mt-1 h-[clamp(260px,min(56vh,78vw),620px)] shrink-0 print:h-[360px]"
      drawing={<Drawing plan={plan} bench={bench} ids={{ x, y, z }} known={known} />}
      fields={<Fields plan={plan} ids={{ x, y, z }} known={known} />}
    />
  )
}

function factNumber(bench: Bench, path: Path): number | null {
  const fact = getAt(bench, path)
  return isFact(fact) ? fact.value : null
}

function useRadius(axisId: string): number {
  const figure = useFigure(pulleyRadius, axisId)
  return (figure === null ? null : shownNumber(figure.result)) ?? SKETCH.radius
}

interface Ids {
  readonly x: string
  readonly y: string
  readonly z: string
}

/** Where the dimension lines of both travels stand. */
function useTravelLines(plan: Plan, ids: Ids): { readonly x: DimensionLine; readonly y: DimensionLine } {
  const frame = usePlateFrame()
  const bottom = frame.y(plan.outer.y)
  const left = frame.x(plan.outer.x)
  return {
    x: { path: `motion.axes.${ids.x}.travel`, along: 'x', from: 0, to: plan.work.w, at: bottom + 34, extendFrom: bottom },
    y: { path: `motion.axes.${ids.y}.travel`, along: 'y', from: 0, to: plan.work.h, at: left - 38, extendFrom: left },
  }
}

function Fields({ plan, ids, known }: { readonly plan: Plan; readonly ids: Ids; readonly known: boolean }) {
  const frame = usePlateFrame()
  const lines = useTravelLines(plan, ids)
  return (
    <>
      <DimensionValue {...lines.x} />
      <DimensionValue {...lines.y} />
      {!known && (
        <p
          className="absolute -translate-x-1/2 bg-paper px-2 text-center text-second"
          style={{ left: frame.x(plan.work.w / 2), top: frame.y(plan.work.h * 0.25) }}
        >
          Not to scale yet: enter the travel of X and Y.
        </p>
      )}
    </>
  )
}

function Drawing({
  plan,
  bench,
  ids,
  known,
}: {
  readonly plan: Plan
  readonly bench: Bench
  readonly ids: Ids
  readonly known: boolean
}) {
  const frame = usePlateFrame()
  const lines = useTravelLines(plan, ids)
  const pointed = useSession((it) => it.pointedAxis)
  const chosen = useSession((it) => it.axisId) ?? ids.x
  const shown = pointed ?? chosen
  const dashed = known ? undefined : '5 4'
  const { work } = plan
  const rect = (box: Box) => ({
    x: frame.x(box.x),
    y: frame.y(box.y + box.h),
    width: box.w * frame.scale,
    height: box.h * frame.scale,
  })
  return (
    <>
      <Hatching id="bars" />
      <g stroke="var(--ink)" strokeWidth="1.4" strokeDasharray={dashed}>
        {plan.bars.map((bar, i) => (
          <rect key={i} {...rect(bar)} fill="url(#bars)" />
        ))}
      </g>
      <rect {...rect(work)} fill="none" stroke="var(--second)" strokeWidth="0.9" strokeDasharray={CENTRE_LINE} />
      <Diagonals bench={bench} work={work} />
      <Floor plan={plan} />
      <AxisParts id={ids.y} shown={shown === ids.y}>
        {plan.yRuns.map((run, i) => (
          <DriveRun key={i} run={run} axisId={ids.y} position={plan.carriage.y + plan.carriage.h / 2} />
        ))}
        {plan.shaft !== null && <rect {...rect(plan.shaft)} fill="var(--paper)" stroke="currentColor" strokeWidth="0.8" />}
      </AxisParts>
      <AxisParts id={ids.x} shown={shown === ids.x}>
        <rect {...rect(plan.gantry)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
        {plan.ends.map((end, i) => (
          <rect key={i} {...rect(end)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1" />
        ))}
        <DriveRun run={plan.xRun} axisId={ids.x} position={plan.carriage.x + plan.carriage.w / 2} />
      </AxisParts>
      <Carriage plan={plan} rect={rect} />
      <DiagonalsNote bench={bench} work={work} />
      <Origin />
      <DriveNote axisId={shown} plan={plan} bench={bench} isX={shown === ids.x} />
      <DimensionDrawing {...lines.x} />
      <DimensionDrawing {...lines.y} />
      {known && frame.width > 560 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
      {ids.z !== '' && <HeightMark bench={bench} id={ids.z} plan={plan} />}
    </>
  )
}

/** The head follows the pointer while it is pressed, on the floor or on the carriage itself. */
function useHeadDrag(plan: Plan) {
  const frame = usePlateFrame()
  const held = useRef(false)
  const follow = (event: PointerEvent<SVGElement>): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!held.current || box === undefined) return
    const { x, y } = frame.mm(event.clientX - box.left, event.clientY - box.top)
    moveHead(plan, x, y)
  }
  const release = (): void => {
    held.current = false
  }
  return {
    onPointerDown: (event: PointerEvent<SVGElement>): void => {
      held.current = true
      event.currentTarget.setPointerCapture(event.pointerId)
      follow(event)
    },
    onPointerMove: follow,
    onPointerUp: release,
    onPointerCancel: release,
  }
}

function Floor({ plan }: { readonly plan: Plan }) {
  const frame = usePlateFrame()
  const drag = useHeadDrag(plan)
  const { outer } = plan
  return (
    <rect
      data-floor
      x={frame.x(outer.x)}
      y={frame.y(outer.y + outer.h)}
      width={outer.w * frame.scale}
      height={outer.h * frame.scale}
      fill="transparent"
      style={{ cursor: 'crosshair' }}
      {...drag}
    />
  )
}

function moveHead({ work }: Plan, x: number, y: number): void {
  useSession.setState({ head: { x: Math.min(Math.max(x, 0), work.w), y: Math.min(Math.max(y, 0), work.h) } })
}

/** An axis's drive: brought out in the colour of actions when it is pointed at, and chosen when it is pressed. */
function AxisParts({ id, shown, children }: { readonly id: string; readonly shown: boolean; readonly children: ReactNode }) {
  return (
    <g
      data-axis={id}
      onPointerEnter={() => useSession.setState({ pointedAxis: id })}
      onPointerLeave={() => useSession.setState({ pointedAxis: null })}
      onClick={() => useSession.setState({ axisId: id })}
      style={{ color: shown ? 'var(--teal)' : 'var(--second)', cursor: 'pointer' }}
    >
      {children}
    </g>
  )
}

/** A belt round two pulleys, tangents at the pitch radius, or a screw between two bearings; turning with the axis. */
function DriveRun({ run, axisId, position }: { readonly run: Run; readonly axisId: string; readonly position: number }) {
  const frame = usePlateFrame()
  const turn = useFigure(travelPerTurn, axisId)
  const perTurn = turn === null ? null : shownNumber(turn.result)
  const angle = perTurn === null ? 0 : turnAt(position, perTurn)
  const [ax, ay, bx, by] = [frame.x(run.from[0]), frame.y(run.from[1]), frame.x(run.to[0]), frame.y(run.to[1])]
  const r = Math.max(run.radius * frame.scale, 3)
  const across = ax === bx ? { x: r, y: 0 } : { x: 0, y: r }
  const wide = run.kind === 'screw' ? 3 : 0
  return (
    <g stroke="currentColor" fill="none">
      {wide > 0 && <path d={`M${ax} ${ay}L${bx} ${by}`} strokeWidth={2 * wide} opacity="0" />}
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

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

function Carriage({ plan, rect }: { readonly plan: Plan; readonly rect: (box: Box) => object }) {
  const frame = usePlateFrame()
  const { carriage } = plan
  const drag = useHeadDrag(plan)
  const [x, y] = [carriage.x + carriage.w / 2, carriage.y + carriage.h / 2]
  const [cx, cy] = [frame.x(x), frame.y(y)]
  const press = (event: KeyboardEvent): void => {
    const step = STEPS[event.key]
    if (step === undefined) return
    event.preventDefault()
    const far = event.shiftKey ? 1 : 10
    moveHead(plan, x + step[0] * far, y + step[1] * far)
  }
  return (
    <g
      tabIndex={0}
      role="application"
      aria-label="Carriage; arrow keys move it by 10 mm, with Shift by 1 mm"
      onKeyDown={press}
      style={{ cursor: 'move' }}
      {...drag}
      data-carriage={`${x.toFixed(2)},${y.toFixed(2)}`}
    >
      <rect {...rect(carriage)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
      <rect {...rect(plan.diode)} fill="none" stroke="var(--ink)" strokeWidth="1" />
      <path d={`M${cx - 30} ${cy}h60M${cx} ${cy - 32}v64`} stroke="var(--ink)" strokeWidth="0.8" strokeDasharray={CENTRE_LINE} />
      <circle cx={cx} cy={cy} r="2" fill="var(--ink)" />
    </g>
  )
}

/** Both diagonals between the marks. */
function Diagonals({ bench, work }: { readonly bench: Bench; readonly work: Box }) {
  const frame = usePlateFrame()
  const { fromOrigin, across } = bench.motion.corners
  if (fromOrigin.value === null && across.value === null) return null
  const [x0, y0, x1, y1] = [frame.x(0), frame.y(0), frame.x(work.w), frame.y(work.h)]
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
function DiagonalsNote({ bench, work }: { readonly bench: Bench; readonly work: Box }) {
  const frame = usePlateFrame()
  const { fromOrigin, across } = bench.motion.corners
  if (fromOrigin.value === null && across.value === null) return null
  const [x0, y0, x1, y1] = [frame.x(0), frame.y(0), frame.x(work.w), frame.y(work.h)]
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

function Origin() {
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
function HeightMark({ bench, id, plan }: { readonly bench: Bench; readonly id: string; readonly plan: Plan }) {
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
