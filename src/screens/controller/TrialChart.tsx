import { useCallback } from 'react'
import { trialChart, type Trial, type TrialKindId } from '../../core/calibrate'
import { displayUnit, doubtFromCore, unitOf, type UnitSystem } from '../../core/units'
import { useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, legendOf, type ChartLook } from '../../ui/chart'

const SYMBOLS = ['circle', 'rect', 'triangle', 'diamond'] as const

/** What was read of a trial over what says most about it, with the lines through the points. */
export function TrialChartPlate({ kind, trial }: { readonly kind: TrialKindId; readonly trial: Trial }) {
  const system = useUnits()
  const along = useBenchStore((it) => it.bench?.optics.flatAlong.chosen ?? null)
  const order = useBenchStore((it) => it.bench?.optics.flatOrder.value ?? 2)
  const option = useCallback(
    (look: ChartLook) => optionOf(trialChart(kind, trial, { along, order }), system, look),
    [kind, trial, system, along, order],
  )
  return (
    <Chart
      label="What was read of the pattern"
      className="keep-together h-[260px] w-full min-w-0 shrink-0 self-center lg:h-full lg:max-h-[400px]"
      option={option}
    />
  )
}

function optionOf(chart: ReturnType<typeof trialChart>, system: UnitSystem, look: ChartLook): Record<string, unknown> {
  if (chart === null) return {}
  const { ink, font, paper, second } = look
  const up = displayUnit('length', system)
  const across = chart.across === 'degrees' ? null : displayUnit(chart.across, system)
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    across === null ? x : doubtFromCore(x, across),
    doubtFromCore(y, up),
  ]
  const zero = { silent: true, symbol: 'none', label: { show: false }, lineStyle: { color: second, type: 'dotted', width: 1 } }
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 58, right: 16, top: 54, bottom: 46 },
    legend: legendOf(
      look,
      chart.series.map((it) => it.name),
    ),
    xAxis: {
      ...axisOf(look, across === null ? chart.titles[0] : `${chart.titles[0]}, ${unitOf(across).symbol}`, 26),
      scale: chart.across === 'length',
      splitNumber: 4,
    },
    yAxis: { ...axisOf(look, `${chart.titles[1]}, ${unitOf(up).symbol}`, 42), scale: false },
    series: chart.series.flatMap(({ name, points, line, model = [] }, i) => [
      {
        name,
        type: 'scatter',
        silent: true,
        data: points.map(at),
        symbol: SYMBOLS[i % SYMBOLS.length],
        symbolSize: 9,
        itemStyle: { color: i % 2 === 0 ? ink : paper, borderColor: ink, borderWidth: 1.3 },
        ...(i > 0
          ? {}
          : { markLine: { ...zero, data: chart.across === 'length' ? [{ yAxis: 0 }, { xAxis: 0 }] : [{ yAxis: 0 }] } }),
      },
      ...model.map((it) => ({
        type: 'line',
        silent: true,
        symbol: 'none',
        data: it.map(at),
        lineStyle: { color: second, width: 1.1, type: i === 0 ? 'solid' : 'dashed' },
      })),
      ...(line === null
        ? []
        : [
            {
              type: 'line',
              silent: true,
              symbol: 'none',
              data: line.map(at),
              lineStyle: { color: ink, width: 1.3, type: i === 0 ? 'solid' : 'dashed' },
            },
          ]),
    ]),
  }
}
