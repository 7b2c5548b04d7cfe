import { useCallback } from 'react'
import { fanCurveOf, fanWay, flowThrough, inOrder } from '../../core/air'
import { plainly } from '../../core/bench'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, unitOf } from '../../core/units'
import { shownBench, useBenchStore } from '../../state'
import { axisOf, Chart, legendOf, type ChartLook } from '../../ui/chart'

/** What was read of the fan, beside its label's curve. */
export function MeasurePlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  return (
    <figure className="keep-together mt-2 mb-0 shrink-0" data-plate="The fan as it was read">
      <Curve bench={bench} />
    </figure>
  )
}

/** Flow and suction of every reading that is whole, m³/s and Pa. */
export function readPoints({ air }: Bench): readonly (readonly [flow: number, pressure: number])[] {
  const diameter = air.meter.outDiameter.value
  if (diameter === null) return []
  return inOrder(air.readings).flatMap(([, { out, suction }]) =>
    out.value === null || suction.value === null ? [] : [[flowThrough(out.value / 1000, diameter), suction.value] as const],
  )
}

/** The label's curve of the first fan; none where it is not known. */
function labelOf(bench: Bench): readonly (readonly [number, number])[] {
  const [way] = fanWay.each(bench)[0] ?? []
  const part = inOrder(bench.air.ways[way ?? '']?.parts ?? {}).find(([, it]) => it.kind === 'fan')?.[1]
  if (part === undefined) return []
  try {
    return fanCurveOf(plainly(part)).flatMap((it) =>
      Number.isFinite(it.flow + it.pressure) ? [[it.flow, it.pressure] as const] : [],
    )
  } catch {
    return []
  }
}

function Curve({ bench }: { readonly bench: Bench }) {
  const option = useCallback((look: ChartLook) => optionOf(bench, look), [bench])
  const points = readPoints(bench)
  const label = labelOf(bench)
  if (points.length === 0 && label.length < 2)
    return (
      <p className="my-6 max-w-[40rem] text-second">
        The fan’s true curve stands here once it was read: how fast the air leaves, and the suction before the fan, with the inlet
        shut, half open and open.
      </p>
    )
  return (
    <Chart
      label="Static pressure over flow: the label’s curve and what was read"
      className="h-[clamp(240px,42vh,360px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, look: ChartLook): Record<string, unknown> {
  const { ink, font, second } = look
  const [flowUnit, pressureUnit] = [displayUnit('flow', bench.units), displayUnit('pressure', bench.units)]
  const shown = (points: readonly (readonly [number, number])[]) =>
    points.map(([q, p]) => [fromCore(q, flowUnit), fromCore(p, pressureUnit)])
  return {
    animation: false,
    textStyle: { fontFamily: font },
    legend: legendOf(look, ['by its label', 'read']),
    grid: { left: 62, right: 24, top: 26, bottom: 42 },
    xAxis: { ...axisOf(look, `Flow, ${unitOf(flowUnit).symbol}`, 26), min: 0 },
    yAxis: { ...axisOf(look, `Static pressure, ${unitOf(pressureUnit).symbol}`, 42), min: 0 },
    series: [
      {
        type: 'line',
        name: 'by its label',
        symbol: 'none',
        silent: true,
        data: shown(labelOf(bench)),
        itemStyle: { color: second },
        lineStyle: { color: second, width: 1.4, type: 'dashed' },
      },
      { type: 'scatter', name: 'read', silent: true, data: shown(readPoints(bench)), symbolSize: 8, itemStyle: { color: ink } },
    ],
  }
}
