import { useCallback } from 'react'
import { shownNumber } from '../../core/bench'
import { cutChances, cutLimit, cutSpeed, triesMade } from '../../core/burn'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { displayUnit, doubtFromCore, unitOf } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, crossLines, legendOf, type ChartLook } from '../../ui/chart'

/** The chance that a line comes through over its speed; tries stand at the top and at the bottom. */
export function CutChart({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} id={id} />
}

function ChartOf({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const system = useUnits()
  const option = useCallback((look: ChartLook) => optionOf(bench, id, system, look), [bench, id, system])
  const tries = engineOf(bench).value(triesMade, id).result
  if (!tries.known || tries.value.length === 0) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        {whyNotBurnt(bench.burns.materials[id]?.kind ?? '') === null
          ? 'Nothing was tried yet. Burn the first line below and say whether it came through; the next speed to try follows from that.'
          : 'Nothing was tried, and nothing is until it is known what this is and that it may be burnt.'}
      </p>
    )
  }
  return (
    <Chart
      label="Chance that a line comes through over its speed"
      className="keep-together mt-2 h-[clamp(240px,44vh,400px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, id: string, system: 'metric' | 'inch', look: ChartLook): Record<string, unknown> {
  const { ink, second, paper, font } = look
  const engine = engineOf(bench)
  const unit = displayUnit('speed', system)
  const at = (speed: number): number => doubtFromCore(speed, unit)
  const tries = engine.value(triesMade, id).result
  const curve = engine.value(cutChances, id).result
  const limit = engine.withDoubt(cutLimit, id)
  const [half, use] = [shownNumber(limit.result), shownNumber(engine.value(cutSpeed, id).result)]
  const spread = limit.doubt?.expanded ?? 0
  const made = tries.known ? tries.value : []
  const points = (isThrough: boolean) =>
    made.filter((it) => it.isThrough === isThrough).map((it) => [at(it.speed), isThrough ? 100 : 0])
  const speeds = [...made.map((it) => it.speed), ...(curve.known ? curve.value.map((it) => it.speed) : [])]
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 60, right: 24, top: 44, bottom: 48 },
    legend: legendOf(look, ['came through', 'did not']),
    xAxis: {
      ...axisOf(look, `Speed at the power and passes asked for, ${unitOf(unit).symbol}`, 28),
      min: 0,
      max: Number((at(Math.max(...speeds)) * 1.1).toPrecision(2)),
    },
    yAxis: {
      ...axisOf(look, 'Chance to come through, %', 40),
      min: -5,
      max: 105,
      axisLabel: { color: ink, formatter: (it: number) => (it < 0 || it > 100 ? '' : String(it)) },
    },
    series: [
      {
        name: 'limit',
        type: 'line',
        silent: true,
        symbol: 'none',
        data: curve.known ? curve.value.map((it) => [at(it.speed), it.chance * 100]) : [],
        lineStyle: { color: ink, width: 1.4 },
        markLine: crossLines(look, 'xAxis', [
          [use === null ? null : at(use), '95 of 100'],
          [half === null ? null : at(half), 'one of two'],
        ]),
        ...(half === null
          ? {}
          : {
              markArea: {
                silent: true,
                itemStyle: { color: second, opacity: 0.12 },
                data: [[{ xAxis: at(Math.max(0, half - spread)) }, { xAxis: at(half + spread) }]],
              },
            }),
      },
      {
        name: 'came through',
        type: 'scatter',
        silent: true,
        data: points(true),
        symbolSize: 10,
        itemStyle: { color: ink, borderColor: ink },
      },
      {
        name: 'did not',
        type: 'scatter',
        silent: true,
        data: points(false),
        symbolSize: 10,
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1.5 },
      },
    ],
  }
}
