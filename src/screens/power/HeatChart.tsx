import { useCallback } from 'react'
import { shownNumber, type FigureDef } from '../../core/bench'
import { coldSide, dewPointOfAir, diodeTemperature, sinkTemperature, workTemperature } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { displayUnit, doubtFromCore, fromCore, unitOf, type UnitId } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, type ChartLook } from '../../ui/chart'

/** The way of the heat: air, heat sink, cold side, case of the diode, with what it bears and where water condenses. */
export function HeatChart() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} />
}

interface Place {
  readonly name: string
  readonly celsius: number
  readonly spread: number
}

function ChartOf({ bench }: { readonly bench: Bench }) {
  const unit = displayUnit('temperature', useUnits())
  const option = useCallback((look: ChartLook) => optionOf(bench, unit, look), [bench, unit])
  if (placesOf(bench).length < 3) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        Enter what the diode takes, drops and gives on the driver’s sheet: then the way of its heat stands here, from the air to
        its case.
      </p>
    )
  }
  return (
    <Chart
      label="Temperature along the way of the heat"
      className="keep-together mt-2 h-[clamp(240px,44vh,400px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function placesOf(bench: Bench): readonly Place[] {
  const engine = engineOf(bench)
  const place = (name: string, def: FigureDef<Bench, readonly []>): readonly Place[] => {
    const { result, doubt } = engine.withDoubt(def)
    const celsius = shownNumber(result)
    return celsius === null ? [] : [{ name, celsius, spread: doubt?.expanded ?? 0 }]
  }
  const air = bench.electrical.cooling.air.value
  const hasCooler = bench.electrical.cooling.kind.chosen === 'cooler'
  return [
    ...(air === null ? [] : [{ name: 'air', celsius: air, spread: 0 }]),
    ...place('heat sink', sinkTemperature),
    ...(hasCooler ? place('cold side', coldSide) : []),
    ...place('case of the diode', diodeTemperature),
  ]
}

function optionOf(bench: Bench, unit: UnitId, look: ChartLook): Record<string, unknown> {
  const { ink, second, font, paper, mono } = look
  const places = placesOf(bench)
  const shown = (celsius: number): number => Number(fromCore(celsius, unit).toFixed(2))
  const engine = engineOf(bench)
  const dew = shownNumber(engine.value(dewPointOfAir).result)
  const work = shownNumber(engine.value(workTemperature).result)
  const most = bench.electrical.cooling.hottest.value
  const line = (celsius: number | null, words: string, color: string) =>
    celsius === null
      ? []
      : [
          {
            yAxis: shown(celsius),
            lineStyle: { color, type: 'dashed', width: 1.2 },
            label: {
              formatter: words,
              color,
              fontFamily: font,
              fontSize: 11.5,
              position: 'insideStartTop',
              backgroundColor: paper,
            },
          },
        ]
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 56, right: 24, top: 26, bottom: 34 },
    xAxis: {
      type: 'category',
      data: places.map((it) => it.name),
      axisLine: { lineStyle: { color: ink } },
      axisTick: { show: false },
      axisLabel: { color: ink, fontFamily: font, fontSize: 12 },
    },
    yAxis: {
      ...axisOf(look, `Temperature, ${unitOf(unit).symbol}`, 38),
      ...rangeAround([...places.map((it) => it.celsius), most, dew], unit),
    },
    series: [
      {
        type: 'line',
        data: places.map((it) => shown(it.celsius)),
        symbol: 'circle',
        symbolSize: 7,
        itemStyle: { color: ink },
        lineStyle: { color: ink, width: 2 },
        label: {
          show: true,
          position: 'top',
          color: ink,
          fontFamily: mono,
          fontSize: 12,
          formatter: (it: { readonly dataIndex: number }) => said(places[it.dataIndex], unit),
        },
        markLine: {
          silent: true,
          symbol: 'none',
          data: [
            ...line(most, 'the diode bears', second),
            ...line(work, 'case at work, on the mean', second),
            ...line(dew, 'water condenses', second),
          ],
        },
      },
    ],
  }
}

/** Whole tens of degrees that take all of them in. */
function rangeAround(celsius: readonly (number | null)[], unit: UnitId): { readonly min: number; readonly max: number } {
  const shown = celsius.flatMap((it) => (it === null ? [] : [fromCore(it, unit)]))
  return { min: Math.floor(Math.min(...shown) / 10) * 10, max: Math.ceil((Math.max(...shown) + 2) / 10) * 10 }
}

function said(place: Place | undefined, unit: UnitId): string {
  if (place === undefined) return ''
  const spread = doubtFromCore(place.spread, unit)
  return `${fromCore(place.celsius, unit).toFixed(0)}${spread > 0.5 ? ` ± ${spread.toFixed(0)}` : ''} ${unitOf(unit).symbol}`
}
