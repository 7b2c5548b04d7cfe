import { useCallback } from 'react'
import { curves, fanGives, fanWay, flowOfWay, inOrder } from '../../core/air'
import type { WithDoubt } from '../../core/bench'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf, type UnitId } from '../../core/units'
import { engineOf, shownBench, useBenchStore, useFigure } from '../../state'
import { SelectOf } from '../../ui'
import { axisOf, Chart, crossLines, legendOf, type ChartLook } from '../../ui/chart'
import { showWay } from '../../state'
import { DuctRun } from './DuctRun'

/** The fan's curve against the duct's with the point where they meet; below, the way as it runs. */
export function DuctPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const [way] = fanWay.each(bench)[0] ?? []
  return (
    <figure className="keep-together mt-2 mb-0 shrink-0" data-plate="Fan and duct">
      {way === undefined ? (
        <p className="my-6 max-w-[40rem] text-second">
          The fan’s curve and the duct’s stand here once a way of the air is laid: choose below how the smoke is caught.
        </p>
      ) : (
        <Curves bench={bench} way={way} />
      )}
      <Ways bench={bench} />
    </figure>
  )
}

/** Which way is drawn below: the one that is looked at, else that of the fan. */
export function wayShown(bench: Bench): string | null {
  const { shown, ways } = bench.air
  if (ways[shown] !== undefined) return shown
  return fanWay.each(bench)[0]?.[0] ?? inOrder(ways)[0]?.[0] ?? null
}

function Ways({ bench }: { readonly bench: Bench }) {
  const shown = wayShown(bench)
  if (shown === null) return null
  const names = Object.fromEntries(inOrder(bench.air.ways).map(([id, it]) => [id, it.name]))
  return (
    <>
      {Object.keys(names).length > 1 && (
        <label className="no-print flex items-center gap-2 pt-1 text-[13.5px]">
          Drawn below
          <SelectOf label="Way that is drawn" of={names} value={shown} choose={showWay} />
        </label>
      )}
      <DuctRun key={shown} bench={bench} id={shown} />
    </>
  )
}

function Curves({ bench, way }: { readonly bench: Bench; readonly way: string }) {
  const flow = useFigure(flowOfWay, way)
  const pressure = useFigure(fanGives, way)
  const option = useCallback((look: ChartLook) => optionOf(bench, way, { flow, pressure }, look), [bench, way, flow, pressure])
  return (
    <Chart
      label="Pressure over flow: the fan’s curve and the duct’s"
      className="h-[clamp(210px,34vh,300px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, way: string, meeting: Meeting, look: ChartLook): Record<string, unknown> {
  const { ink, second, font, teal } = look
  const engine = engineOf(bench)
  const [flowUnit, pressureUnit] = [displayUnit('flow', bench.units), displayUnit('pressure', bench.units)]
  const found = engine.value(curves, way).result
  const { fan, duct } = found.known ? found.value : { fan: [], duct: [] }
  const shown = (points: readonly (readonly [number, number])[]) =>
    points.map(([q, p]) => [fromCore(q, flowUnit), fromCore(p, pressureUnit)])
  const point = pointOf(meeting, flowUnit, pressureUnit)
  const line = { type: 'line', symbol: 'none', silent: true } as const
  const names = ['fan', 'duct']
  return {
    animation: false,
    textStyle: { fontFamily: font },
    legend: legendOf(look, names),
    grid: { left: 62, right: 24, top: 26, bottom: 42 },
    xAxis: { ...axisOf(look, `Flow, ${unitOf(flowUnit).symbol}`, 26), min: 0 },
    yAxis: { ...axisOf(look, `Static pressure, ${unitOf(pressureUnit).symbol}`, 42), min: 0 },
    series: [
      { ...line, name: 'fan', data: shown(fan), itemStyle: { color: ink }, lineStyle: { color: ink, width: 1.6 } },
      {
        ...line,
        name: 'duct',
        data: shown(duct),
        itemStyle: { color: teal },
        lineStyle: { color: teal, width: 1.6 },
        smooth: 0.3,
        ...(point === null
          ? {}
          : { markLine: crossLines(look, 'xAxis', [[point.flow, `${printNumber(point.flow, 3)} ${unitOf(flowUnit).symbol}`]]) }),
      },
      ...(point === null
        ? []
        : [
            // ± of the point, along and across.
            {
              ...line,
              data: [
                [Math.max(0, point.flow - point.flowSpread), point.pressure],
                [point.flow + point.flowSpread, point.pressure],
              ],
              lineStyle: { color: second, width: 5, opacity: 0.45 },
            },
            {
              ...line,
              data: [
                [point.flow, Math.max(0, point.pressure - point.pressureSpread)],
                [point.flow, point.pressure + point.pressureSpread],
              ],
              lineStyle: { color: second, width: 5, opacity: 0.45 },
            },
            { type: 'scatter', silent: true, data: [[point.flow, point.pressure]], symbolSize: 10, itemStyle: { color: ink } },
          ]),
    ],
  }
}

interface Meeting {
  readonly flow: WithDoubt<number> | null
  readonly pressure: WithDoubt<number> | null
}

/** Where the curves meet, with its ±, in the units of the bench. */
function pointOf(meeting: Meeting, flowUnit: UnitId, pressureUnit: UnitId) {
  const of = (figure: WithDoubt<number> | null, unit: UnitId) => {
    if (figure === null || !figure.result.known || !Number.isFinite(figure.result.value)) return null
    const scale = fromCore(1, unit) - fromCore(0, unit)
    return { value: fromCore(figure.result.value, unit), spread: (figure.doubt?.expanded ?? 0) * scale }
  }
  const flow = of(meeting.flow, flowUnit)
  const pressure = of(meeting.pressure, pressureUnit)
  if (flow === null || pressure === null) return null
  return { flow: flow.value, flowSpread: flow.spread, pressure: pressure.value, pressureSpread: pressure.spread }
}
