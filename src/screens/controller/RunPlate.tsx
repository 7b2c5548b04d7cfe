import { lazy, Suspense } from 'react'
import { readingDefs, reachOf, strokesOf, type ReadingDef, type RunShape, type ScaleRun, type Stroke } from '../../core/calibrate'
import { sayQuantity } from '../../core/units'
import type { Mark } from '../../core/workshop'
import { planRun, useBenchStore, useMachine, useSession } from '../../state'
import { Plate, ScaleBar, usePlateFrame, useUnits } from '../../ui'
import { useChosenRun, useInstrument } from './chosen'
import { Head } from './Head'

const Residuals = lazy(async () => ({ default: (await import('./Residuals')).Residuals }))
const MARGINS = { left: 52, right: 24, top: 22, bottom: 62 }

/** The scale run to scale: as it will be burnt, or as it was, with the reading in hand brought out; and the residuals. */
export function RunPlate() {
  const bench = useBenchStore((it) => it.bench)
  const id = useChosenRun()
  const instrument = useInstrument()
  const burnt = useMachine((it) => it.burnt)
  const marks = useMachine((it) => it.marks)
  if (bench === null) return null
  const run = id === null ? undefined : bench.calibrate.runs[id]
  const plan = run === undefined ? planRun(bench, instrument) : null
  const shape: RunShape | null = run ?? (plan?.ok === true ? plan.value.shape : null)
  if (shape === null) return <p className="py-6 text-second">The run is drawn as soon as it can be laid out.</p>
  const box = reachOf(shape)
  const read = run === undefined ? 0 : Object.keys(run.readings).length
  return (
    <div className={id !== null && read >= 3 ? 'mt-2 grid gap-x-2 lg:grid-cols-[3fr_2fr]' : 'mt-2'}>
      <Plate
        title="The scale run"
        extent={{ left: box.minX, right: box.maxX, bottom: box.minY, top: box.maxY }}
        margins={MARGINS}
        className="keep-together h-[clamp(260px,min(54vh,84vw),520px)] shrink-0 print:h-[360px]"
        drawing={
          <Burn
            shape={shape}
            run={run ?? null}
            marks={burnt !== null && burnt === id ? marks : []}
            here={burnt !== null && burnt === id}
          />
        }
        fields={null}
      />
      {id !== null && read >= 3 && (
        <Suspense fallback={<p className="h-[240px] text-second">Loading the chart …</p>}>
          <Residuals runId={id} />
        </Suspense>
      )}
    </div>
  )
}

function Burn({
  shape,
  run,
  marks,
  here,
}: {
  readonly shape: RunShape
  readonly run: ScaleRun | null
  readonly marks: readonly (Mark | null)[]
  /** Whether this run lies under the beam. */
  readonly here: boolean
}) {
  const frame = usePlateFrame()
  const pointed = useSession((it) => it.pointedReading)
  const strokes = strokesOf(shape)
  const made = run !== null
  const def = readingDefs(shape).find((it) => it.id === pointed)
  const out = new Set(def === undefined ? [] : [...def.from, ...def.to])
  return (
    <>
      {strokes.map((stroke, i) => (
        <StrokeLine key={i} stroke={stroke} mark={marks[i] ?? null} made={made && (i < marks.length || !here)} out={out.has(i)} />
      ))}
      <Names strokes={strokes} />
      {def === undefined && <Longest shape={shape} run={run} />}
      {def !== undefined && <Between def={def} strokes={strokes} />}
      <text x={frame.x(shape.origin.x) + 60} y={frame.y(reachOf(shape).maxY) + 2} fontSize="11" fill="var(--second)">
        {made ? (marks.length > 0 ? 'as burnt, at its true places' : 'as commanded') : 'as it will be burnt'}
      </text>
      {here && <Head />}
      <ScaleBar right={frame.width - 24} bottom={frame.height} />
    </>
  )
}

function StrokeLine(props: {
  readonly stroke: Stroke
  readonly mark: Mark | null
  readonly made: boolean
  readonly out: boolean
}) {
  const { stroke, mark, made, out } = props
  const frame = usePlateFrame()
  const { x0, y0, x1, y1 } = mark ?? stroke
  const colour = out ? 'var(--teal)' : made ? 'var(--ink)' : 'var(--ember)'
  const width = mark === null ? 1.4 : Math.max(1.4, mark.width * frame.scale)
  return (
    <path
      d={`M${frame.x(x0)} ${frame.y(y0)}L${frame.x(x1)} ${frame.y(y1)}`}
      stroke={colour}
      strokeWidth={out ? width + 1.4 : width}
      strokeDasharray={stroke.approach === -1 ? '3 2' : undefined}
    />
  )
}

/** Names beside the marks: below and left of the first rows, beyond the second ones, and once for each cross. */
function Names({ strokes }: { readonly strokes: readonly Stroke[] }) {
  const frame = usePlateFrame()
  const named = strokes.filter(({ label, marks }) => marks === 'x' || label.startsWith('Y'))
  return named.map(({ label, marks, x0, y0, x1, y1 }, i) => {
    const place =
      label.length === 1
        ? { x: frame.x(x0) + 6, y: frame.y((y0 + y1) / 2) - 6, anchor: 'start' as const }
        : marks === 'x'
          ? label.endsWith('back')
            ? { x: frame.x(x0), y: frame.y(y1) - 5, anchor: 'middle' as const }
            : { x: frame.x(x0), y: frame.y(y0) + 14, anchor: 'middle' as const }
          : label.endsWith('back')
            ? { x: frame.x(x1) + 5, y: frame.y(y0) + 4, anchor: 'start' as const }
            : { x: frame.x(x0) - 6, y: frame.y(y0) + 4, anchor: 'end' as const }
    return (
      <text
        key={i}
        x={place.x}
        y={place.y}
        textAnchor={place.anchor}
        fontSize="11"
        className="num"
        fill="var(--ink)"
        pointerEvents="none"
      >
        {label}
      </text>
    )
  })
}

/** The longest spans and the diagonals: commanded, and as read where they were. */
function Longest({ shape, run }: { readonly shape: RunShape; readonly run: ScaleRun | null }) {
  const frame = usePlateFrame()
  const { origin, ticks, corner } = shape
  const read = (id: string): string => {
    const typed = run?.readings[id]?.typed
    return typed === undefined ? '' : ` → ${typed.replace(/ ?mm$/, '')}`
  }
  const [x0, y0] = [frame.x(origin.x), frame.y(origin.y)]
  const [x1, y1] = [frame.x(origin.x + ticks.x.long), frame.y(origin.y + ticks.y.long)]
  const [ax, by] = [frame.x(origin.x + corner.x), frame.y(origin.y + corner.y)]
  const [below, left] = [y0 + 30, x0 - 34]
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2]
  const gap = run === null ? 16 : 48
  const arrow = (x: number, y: number, dx: number, dy: number): string =>
    `M${x} ${y}L${x + 7 * dx - 2 * dy} ${y + 7 * dy - 2 * dx}L${x + 7 * dx + 2 * dy} ${y + 7 * dy + 2 * dx}Z`
  const number = { fontSize: 12, className: 'num', fill: 'var(--ink)', textAnchor: 'middle' as const }
  const tilt = (Math.atan2(by - y0, ax - x0) * 180) / Math.PI
  return (
    <g pointerEvents="none">
      <path
        d={`M${x0} ${below}H${mx - gap}M${mx + gap} ${below}H${x1}M${x0} ${y0 + 18}V${below + 5}M${x1} ${y0 + 18}V${below + 5}M${left} ${y0}V${my + gap}M${left} ${my - gap}V${y1}M${x0 - 22} ${y0}H${left - 5}M${x0 - 22} ${y1}H${left - 5}`}
        stroke="var(--ink)"
        strokeWidth="0.8"
      />
      <path
        d={arrow(x0, below, 1, 0) + arrow(x1, below, -1, 0) + arrow(left, y0, 0, -1) + arrow(left, y1, 0, 1)}
        fill="var(--ink)"
      />
      <path
        d={`M${x0} ${y0}L${ax} ${by}M${ax} ${y0}L${x0} ${by}`}
        stroke="var(--second)"
        strokeWidth="0.7"
        strokeDasharray="4 4"
      />
      <text {...number} x={mx} y={below + 4}>
        {ticks.x.long}
        {read('x-like-long-1')}
      </text>
      <text {...number} x={left} y={my + 4} transform={`rotate(-90 ${left} ${my})`}>
        {ticks.y.long}
        {read('y-like-long-1')}
      </text>
      <text
        {...number}
        fontSize={11}
        x={x0 + 0.68 * (ax - x0)}
        y={y0 + 0.68 * (by - y0) - 5}
        transform={`rotate(${tilt} ${x0 + 0.68 * (ax - x0)} ${y0 + 0.68 * (by - y0)})`}
      >
        {Math.hypot(corner.x, corner.y).toFixed(1)}
        {read('diagonal-origin')}
      </text>
      <text
        {...number}
        fontSize={11}
        x={ax + 0.68 * (x0 - ax)}
        y={y0 + 0.68 * (by - y0) - 5}
        transform={`rotate(${-tilt} ${ax + 0.68 * (x0 - ax)} ${y0 + 0.68 * (by - y0)})`}
      >
        {Math.hypot(corner.x, corner.y).toFixed(1)}
        {read('diagonal-across')}
      </text>
    </g>
  )
}

/** The reading in hand as a dimension between its marks. */
function Between({ def, strokes }: { readonly def: ReadingDef; readonly strokes: readonly Stroke[] }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const middle = (places: readonly number[]): { x: number; y: number } => {
    const [first, second] = places.map((it) => strokes[it])
    if (first === undefined) return { x: 0, y: 0 }
    if (second !== undefined) return { x: first.x0, y: second.y0 }
    return { x: (first.x0 + first.x1) / 2, y: (first.y0 + first.y1) / 2 }
  }
  const [a, b] = [middle(def.from), middle(def.to)]
  const at =
    def.axis === 'x'
      ? { ax: a.x, ay: b.y, bx: b.x, by: b.y }
      : def.axis === 'y'
        ? { ax: b.x, ay: a.y, bx: b.x, by: b.y }
        : { ax: a.x, ay: a.y, bx: b.x, by: b.y }
  const [x0, y0, x1, y1] = [frame.x(at.ax), frame.y(at.ay), frame.x(at.bx), frame.y(at.by)]
  const text = sayQuantity(def.commanded, null, system === 'metric' ? 'mm' : 'in')
  return (
    <g pointerEvents="none">
      <path d={`M${x0} ${y0}L${x1} ${y1}`} stroke="var(--teal)" strokeWidth="1" strokeDasharray="5 3" />
      <text x={(x0 + x1) / 2} y={(y0 + y1) / 2 - 6} textAnchor="middle" fontSize="12.5" className="num" fill="var(--teal)">
        {text}
      </text>
    </g>
  )
}
