import { figureUnit, shownNumber, showFact } from '../../core/bench'
import type { Bench } from '../../core/document'
import { steps, topSpeed } from '../../core/motion'
import { sayQuantity } from '../../core/units'
import { useFigure, useSession } from '../../state'
import { usePlateFrame, useUnits } from '../../ui'
import { isPulled } from './DriveRun'
import type { Plan } from './plan'

/** The drive train of the axis that is pointed at, on a leader line from its motor. */
export function DriveNote({
  axisId,
  plan,
  bench,
  isX,
}: {
  readonly axisId: string
  readonly plan: Plan
  readonly bench: Bench
  readonly isX: boolean
}) {
  const frame = usePlateFrame()
  const system = useUnits()
  const perMm = useFigure(steps, axisId)
  const top = useFigure(topSpeed, axisId)
  const way = useSession((it) => it.headWay)
  const axis = bench.motion.axes[axisId]
  if (axis === undefined || axis.letter === 'Z') return null
  const show = (figure: typeof perMm): string => {
    const value = figure === null ? null : shownNumber(figure.result)
    return figure === null || value === null ? 'not known' : sayQuantity(value, null, figureUnit(figure, system))
  }
  const run = isX ? plan.xRun : plan.yRuns[0]
  if (run === undefined) return null
  // A pinion goes with what it moves; any other motor stands at the first end.
  const motor: readonly [number, number] = run.kind === 'rack' ? (isX ? [run.at, run.from[1]] : [run.from[0], run.at]) : run.from
  const [fx, fy] = [frame.x(motor[0]), frame.y(motor[1])]
  const along = way === null ? 0 : isX ? way.x : way.y
  const up = isX && run.from[1] > plan.work.h * 0.6 ? 1 : -1
  const [x, y] = [frame.x(0) + 22, isX ? fy + up * 76 : fy - 96]
  return (
    <g pointerEvents="none" fontSize="11" fill="var(--ink)">
      <path d={`M${fx} ${fy}L${x - 4} ${y}h132`} stroke="var(--teal)" strokeWidth="1" fill="none" />
      <text x={x} y={y - 6}>
        {axis.letter}: {trainOf(axis)}
      </text>
      <text x={x} y={y + 14}>
        {show(perMm)}, up to {show(top)}
      </text>
      {isPulled(run.kind, along) && (
        <text x={x} y={y + 29} fill="var(--second)">
          heavy: what pulled the way it last went
        </text>
      )}
    </g>
  )
}

type AxisFacts = Bench['motion']['axes'][string]

function trainOf(axis: AxisFacts): string {
  const say = (fact: AxisFacts['travel']): string => {
    const { text, unit } = showFact(fact)
    return text === '' ? '?' : `${text}${unit === '' ? '' : ` ${unit}`}`
  }
  const micro = say(axis.microsteps)
  const motors = axis.motors.value === 2 ? ' · two motors' : ''
  switch (axis.drive.chosen) {
    case 'screw':
      return `${say(axis.screwPitch)} pitch · ${say(axis.screwStarts)} start · ${micro}${motors}`
    case 'reducedBelt':
      return `${say(axis.motorTeeth)} : ${say(axis.drivenTeeth)} · ${say(axis.pulleyTeeth)} teeth · ${say(axis.beltPitch)} · ${micro}${motors}`
    case 'rack':
      return `module ${say(axis.rackModule)} · ${say(axis.pinionTeeth)} teeth · ${micro}${motors}`
    default:
      return `${say(axis.pulleyTeeth)} teeth · ${say(axis.beltPitch)} pitch · ${micro}${motors}`
  }
}
