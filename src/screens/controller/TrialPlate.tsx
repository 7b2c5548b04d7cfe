import { lazy, Suspense } from 'react'
import { layoutOf, trialChart, TRIALS, type TrialKindId, type TrialLayout, type TrialStroke } from '../../core/calibrate'
import type { Mark } from '../../core/workshop'
import { planTrial, useBenchStore, useMachine, useSession } from '../../state'
import { Plate, ScaleBar, usePlateFrame } from '../../ui'
import { useTrialShown } from './chosen'
import { Head } from './Head'

const TrialChartPlate = lazy(async () => ({ default: (await import('./TrialChart')).TrialChartPlate }))
const MARGINS = { left: 40, right: 30, top: 24, bottom: 52 }
/** Readings from which the chart says something. */
const ENOUGH = 3

/** A trial to scale: as it will be burnt, or as it was, with the reading in hand brought out; beside it what was read. */
export function TrialPlate({ part }: { readonly part: string }) {
  const bench = useBenchStore((it) => it.bench)
  const { kind, id } = useTrialShown(part)
  const burnt = useMachine((it) => it.burnt)
  const marks = useMachine((it) => it.marks)
  if (bench === null) return null
  const trial = id === null ? undefined : bench.calibrate.trials[kind][id]
  const plan = trial === undefined ? planTrial(bench, kind) : null
  const shape = trial ?? (plan?.ok === true ? plan.value : null)
  if (shape === null) {
    return (
      <p className="py-6 text-second">{TRIALS[kind].name}: drawn as soon as it can be laid out. What is missing stands below.</p>
    )
  }
  const layout = layoutOf(kind, shape)
  const isHere = burnt !== null && burnt === id
  const isCharted = trial !== undefined && trialChart(kind, trial) !== null && Object.keys(trial.readings).length >= ENOUGH
  return (
    <div className={isCharted ? 'mt-2 grid gap-x-3 lg:grid-cols-[3fr_2fr]' : 'mt-2'}>
      <Plate
        title={TRIALS[kind].name}
        extent={extentOf(layout.strokes)}
        margins={MARGINS}
        className="keep-together h-[clamp(260px,min(52vh,84vw),500px)] shrink-0 print:h-[340px]"
        drawing={<Pattern layout={layout} marks={isHere ? marks : []} isMade={trial !== undefined} isHere={isHere} />}
        fields={null}
      />
      {isCharted && (
        <Suspense fallback={<p className="h-[240px] text-second">Loading the chart …</p>}>
          <TrialChartPlate kind={kind} trial={trial} />
        </Suspense>
      )}
    </div>
  )
}

function extentOf(strokes: readonly TrialStroke[]) {
  const xs = strokes.flatMap((it) => [it.x0, it.x1])
  const ys = strokes.flatMap((it) => [it.y0, it.y1])
  const over = 3
  return {
    left: Math.min(...xs) - over,
    right: Math.max(...xs) + over,
    bottom: Math.min(...ys) - over,
    top: Math.max(...ys) + over,
  }
}

function Pattern(props: {
  readonly layout: TrialLayout
  readonly marks: readonly (Mark | null)[]
  readonly isMade: boolean
  readonly isHere: boolean
}) {
  const { layout, marks, isMade, isHere } = props
  const frame = usePlateFrame()
  const pointed = useSession((it) => it.pointedReading)
  const out = strokesOfReading(layout, pointed)
  const words = isMade ? (marks.length > 0 ? 'as burnt, at its true places' : 'as commanded') : 'as it will be burnt'
  return (
    <>
      {layout.strokes.map((stroke, i) => {
        const mark = marks[i] ?? null
        const missed = isHere && i < marks.length && mark === null
        const { x0, y0, x1, y1 } = mark ?? stroke
        const colour = out.has(i) ? 'var(--teal)' : isMade && (i < marks.length || !isHere) ? 'var(--ink)' : 'var(--ember)'
        return missed ? null : (
          <path
            key={i}
            d={`M${frame.x(x0)} ${frame.y(y0)}L${frame.x(x1)} ${frame.y(y1)}`}
            stroke={colour}
            strokeWidth={Math.max(out.has(i) ? 2.6 : 1.3, (mark?.width ?? 0) * frame.scale)}
            strokeDasharray={mark?.dotted === true ? '2 3' : undefined}
          />
        )
      })}
      {layout.strokes.map(({ label, x0, y0 }, i) =>
        label === '' ? null : (
          <text
            key={i}
            x={frame.x(x0) - 6}
            y={frame.y(y0) + 11}
            textAnchor="end"
            fontSize="11"
            className="num"
            fill="var(--ink)"
            pointerEvents="none"
          >
            {label}
          </text>
        ),
      )}
      <text x={frame.x(extentOf(layout.strokes).left)} y={14} fontSize="11" fill="var(--second)">
        {words}
      </text>
      {isHere && <Head />}
      <ScaleBar right={frame.width - 24} bottom={frame.height} />
    </>
  )
}

/** Places of the strokes between which a reading is taken. */
function strokesOfReading({ readings }: TrialLayout, id: string | null): ReadonlySet<number> {
  const span = readings.find((it) => it.id === id)?.span
  if (span === undefined) return new Set()
  if ('board' in span) return new Set()
  if ('pointer' in span) return new Set([span.beside])
  if ('cut' in span) return new Set([span.cut])
  if ('stack' in span) return new Set(span.stack)
  if ('opening' in span) return new Set(span.opening)
  if ('width' in span) return new Set([span.width])
  if ('seen' in span) return new Set(Array.from({ length: span.seen[1] - span.seen[0] + 1 }, (_, i) => span.seen[0] + i))
  if ('outline' in span)
    return new Set(Array.from({ length: span.outline[1] - span.outline[0] + 1 }, (_, i) => span.outline[0] + i))
  if ('beyond' in span) return new Set([span.beyond, span.end.line])
  if ('first' in span) return new Set([span.first.line, span.last.line])
  return new Set([...span.from, ...span.to])
}

/** The plate of a part. */
export function trialPlateOf(part: string) {
  return function PartPlate() {
    return <TrialPlate part={part} />
  }
}

export type { TrialKindId }
