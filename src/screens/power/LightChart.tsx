import { useCallback } from 'react'
import { shownNumber } from '../../core/bench'
import { lightAt, SHARES } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { engineOf, useBenchStore } from '../../state'
import { axisOf, Chart, type ChartLook } from '../../ui/chart'

/** Light over power, with how far it may be off, and what the head's label says. */
export function LightChart() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} />
}

interface Point {
  readonly percent: number
  readonly watts: number
  /** Expanded uncertainty, W. */
  readonly spread: number
}

function ChartOf({ bench }: { readonly bench: Bench }) {
  const points = pointsOf(bench)
  const label = bench.optics.power.value
  const option = useCallback((look: ChartLook) => optionOf(pointsOf(bench), bench.optics.power.value, look), [bench])
  if (points.length === 0) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        Enter the current of the diode at full power, its threshold and its slope: then its light stands here over the power, with
        its ±.
      </p>
    )
  }
  return (
    <Chart
      label={`Light over power${label === null ? '' : `, against ${label} W by the label`}`}
      className="keep-together h-[clamp(240px,44vh,380px)] w-full min-w-0"
      option={option}
    />
  )
}

function pointsOf(bench: Bench): readonly Point[] {
  const engine = engineOf(bench)
  return SHARES.flatMap((share) => {
    const { result, doubt } = engine.withDoubt(lightAt, share)
    const watts = shownNumber(result)
    return watts === null ? [] : [{ percent: Number(share), watts, spread: doubt?.expanded ?? 0 }]
  })
}

function optionOf(points: readonly Point[], label: number | null, look: ChartLook): Record<string, unknown> {
  const { ink, second, font, paper, rule } = look
  const low = points.map((it) => [it.percent, Math.max(0, it.watts - it.spread)])
  const band = points.map((it, i) => [it.percent, it.watts + it.spread - (low[i]?.[1] ?? 0)])
  const line = { type: 'line', symbol: 'none', silent: true } as const
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 52, right: 20, top: 24, bottom: 44 },
    xAxis: { ...axisOf(look, 'Power, % of full', 26), min: 0, max: 100 },
    yAxis: { ...axisOf(look, 'Mean light, W', 34), min: 0 },
    series: [
      { ...line, data: low, stack: 'band', lineStyle: { opacity: 0 } },
      { ...line, data: band, stack: 'band', lineStyle: { opacity: 0 }, areaStyle: { color: rule, opacity: 0.7 } },
      {
        ...line,
        data: points.map((it) => [it.percent, it.watts]),
        lineStyle: { color: ink, width: 2 },
        markLine: {
          silent: true,
          symbol: 'none',
          data:
            label === null
              ? []
              : [
                  {
                    yAxis: label,
                    lineStyle: { color: second, type: 'dashed', width: 1.2 },
                    label: {
                      formatter: 'by the label',
                      color: second,
                      fontFamily: font,
                      fontSize: 11.5,
                      position: 'insideStartTop',
                      backgroundColor: paper,
                      padding: [2, 4],
                    },
                  },
                ],
        },
      },
    ],
  }
}
