import { lazy, Suspense } from 'react'
import { curveBends, curveMost, curveOff, curveThreshold, LIGHTS, powerForLight } from '../core/calibrate'
import { useFigure } from '../state'
import { FigureRow } from './FigureRow'
import { Panel } from './Panel'

const CurveChart = lazy(async () => ({ default: (await import('./CurveChart')).CurveChart }))

export function CurvePlate() {
  return (
    <div data-plate="The power curve">
      <Suspense fallback={<p className="h-[300px] py-6 text-second">Loading the chart …</p>}>
        <CurveChart />
      </Suspense>
    </div>
  )
}

/** What is worked of the curve, and the table the other way round. */
export function CurveWorked() {
  const most = useFigure(curveMost)
  const bends = useFigure(curveBends)
  return (
    <>
      <Panel title="Worked, the power curve">
        {[curveThreshold, curveMost, curveOff, ...(bends?.result.known === true ? [curveBends] : [])].map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
      </Panel>
      {most?.result.known === true && (
        <Panel title="Worked, the power to command">
          {LIGHTS.map((it) => (
            <FigureRow key={it} def={powerForLight} args={[it]} label={`For ${it}% of the light`} />
          ))}
        </Panel>
      )}
    </>
  )
}
