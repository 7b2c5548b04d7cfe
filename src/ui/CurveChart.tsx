import { useCallback } from 'react'
import { shownNumber, shownSpread } from '../core/bench'
import { curveBends, curveFit, curvePoints, curveThreshold, lineEnds, newestTrial, wedgeLight } from '../core/calibrate'
import type { Bench } from '../core/document'
import { engineOf, useBenchStore } from '../state'
import { axisOf, Chart, crossLines, type ChartLook } from './chart'

/** Light read over power commanded, with the line through its straight part and where the light begins. */
export function CurveChart() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} />
}

interface Read {
  readonly percent: number
  readonly watts: number
  readonly spread: number
}

function readOf(bench: Bench): readonly Read[] {
  const read = meteredOf(bench)
  if (read.length > 0) return read
  // Without a meter, what the step wedge said.
  const engine = engineOf(bench)
  const { result } = engine.value(curvePoints)
  const wedge = newestTrial(bench.calibrate.trials, 'wedge')
  if (!result.known || wedge === null) return []
  const most = Math.max(...result.value.map((it) => it.watts))
  return result.value.map(({ share, watts }) => {
    const percent = Math.round(share * 100)
    // The row at full power is what the others are held against.
    const { doubt } = percent === 100 ? { doubt: null } : engine.withDoubt(wedgeLight, wedge, String(percent))
    return { percent, watts, spread: (doubt?.expanded ?? 0) * most }
  })
}

function meteredOf({ calibrate }: Bench): readonly Read[] {
  return Object.values(calibrate.curve)
    .flatMap(({ percent, light }) => {
      if (light.value === null) return []
      return [{ percent, watts: light.value, spread: shownSpread(light.doubt) }]
    })
    .sort((p, q) => p.percent - q.percent)
}

function ChartOf({ bench }: { readonly bench: Bench }) {
  const option = useCallback((look: ChartLook) => optionOf(bench, look), [bench])
  if (readOf(bench).length === 0) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        What 40 % really gives stands here once the light was read at a few powers: with a power meter, or with the stand-in’s;
        without one, by a step wedge.
      </p>
    )
  }
  return (
    <Chart
      label="Light read over power commanded"
      className="keep-together mt-2 h-[clamp(240px,44vh,400px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, look: ChartLook): Record<string, unknown> {
  const { ink, font } = look
  const read = readOf(bench)
  const engine = engineOf(bench)
  const threshold = shownNumber(engine.value(curveThreshold).result)
  const bends = shownNumber(engine.value(curveBends).result)
  const fit = engine.value(curveFit).result
  const line = { type: 'line', symbol: 'none', silent: true } as const
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 56, right: 24, top: 26, bottom: 44 },
    xAxis: { ...axisOf(look, 'Power commanded, % of full', 26), min: 0, max: 100 },
    yAxis: { ...axisOf(look, 'Light read, W', 38), min: 0 },
    series: [
      ...(!fit.known
        ? []
        : [
            {
              ...line,
              data: lineEnds(fit.value).map(([share, watts]) => [share * 100, watts]),
              lineStyle: { color: ink, width: 1.4 },
              markLine: crossLines(look, 'xAxis', [
                [threshold === null ? null : threshold * 100, 'light begins'],
                [bends === null ? null : bends * 100, 'stays behind'],
              ]),
            },
          ]),
      ...read.map((it) => ({
        ...line,
        data: [
          [it.percent, Math.max(0, it.watts - it.spread)],
          [it.percent, it.watts + it.spread],
        ],
        lineStyle: { color: ink, width: 1.2 },
      })),
      { type: 'scatter', silent: true, data: read.map((it) => [it.percent, it.watts]), symbolSize: 7, itemStyle: { color: ink } },
    ],
  }
}
