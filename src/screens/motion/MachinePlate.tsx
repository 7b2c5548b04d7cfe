import type { ReactNode } from 'react'
import { getAt, isFact, shownNumber, type Path } from '../../core/bench'
import { axisIds, type Bench } from '../../core/document'
import { pulleyRadius, type Axis } from '../../core/motion'
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
import { DriveRun } from './DriveRun'
import { Carriage, Floor } from './Head'
import { headWithin, planOf, type Box, type Plan } from './plan'
import { Diagonals, DiagonalsNote, HeightMark, Origin } from './planMarks'

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
    movingBed: bench.motion.kinematics.chosen === 'bed',
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
    y: {
      path: `motion.axes.${ids.y}.travel`,
      along: 'y',
      from: plan.work.y,
      to: plan.work.y + plan.work.h,
      at: left - 38,
      extendFrom: left,
    },
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
  const way = useSession((it) => it.headWay)
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
          <DriveRun key={i} run={run} axisId={ids.y} way={way?.y ?? 0} />
        ))}
        {plan.shaft !== null && <rect {...rect(plan.shaft)} fill="var(--paper)" stroke="currentColor" strokeWidth="0.8" />}
      </AxisParts>
      <AxisParts id={ids.x} shown={shown === ids.x}>
        <rect {...rect(plan.gantry)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
        {plan.ends.map((end, i) => (
          <rect key={i} {...rect(end)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1" />
        ))}
        <DriveRun run={plan.xRun} axisId={ids.x} way={way?.x ?? 0} />
      </AxisParts>
      <Carriage plan={plan} rect={rect} />
      <Spindle bench={bench} plan={plan} />
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

/** On a retrofit: where the spindle stays beside the beam, and so what both can reach. */
function Spindle({ bench, plan }: { readonly bench: Bench; readonly plan: Plan }) {
  const frame = usePlateFrame()
  const { asideX, asideY } = bench.motion.retrofit
  if (bench.motion.kinematics.chosen !== 'retrofit' || asideX.value === null || asideY.value === null) return null
  const { carriage, work } = plan
  const [x, y] = [carriage.x + carriage.w / 2 - asideX.value, carriage.y + carriage.h / 2 - asideY.value]
  const left = Math.max(0, asideX.value)
  const bottom = Math.max(0, asideY.value)
  const [w, h] = [work.w - Math.abs(asideX.value), work.h - Math.abs(asideY.value)]
  return (
    <g pointerEvents="none" fill="none">
      <circle cx={frame.x(x)} cy={frame.y(y)} r={16} stroke="var(--ink)" strokeWidth="1.2" fill="var(--paper)" />
      <path
        d={`M${frame.x(x) - 20} ${frame.y(y)}h40M${frame.x(x)} ${frame.y(y) - 20}v40`}
        stroke="var(--ink)"
        strokeWidth="0.7"
      />
      {w > 0 && h > 0 && (
        <rect
          x={frame.x(left)}
          y={frame.y(bottom + h)}
          width={w * frame.scale}
          height={h * frame.scale}
          stroke="var(--teal)"
          strokeWidth="1"
          strokeDasharray="6 4"
        />
      )}
      <text x={frame.x(left) + 62} y={frame.y(bottom) - 6} fontSize="11" fill="var(--teal)">
        {w > 0 && h > 0 ? 'reached by spindle and beam' : 'no place is reached by both'}
      </text>
    </g>
  )
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
