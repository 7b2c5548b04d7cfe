import { useCallback } from 'react'
import { shownNumber } from '../../core/bench'
import { maskChances, maskSpeed } from '../../core/burn'
import type { Bench } from '../../core/document'
import { displayUnit, doubtFromCore, unitOf } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, crossLines, legendOf, type ChartLook } from '../../ui/chart'

/** Both chances over the speed of the line. */
export function MaskChart({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} id={id} />
}

function ChartOf({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const system = useUnits()
  const option = useCallback((look: ChartLook) => optionOf(bench, id, system, look), [bench, id, system])
  if (!engineOf(bench).value(maskChances, id).result.known) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        The window stands here once four things were seen: a line that cuts the tape and one that does not, a line that marks what
        lies beneath and one that does not. The next try below leads there.
      </p>
    )
  }
  return (
    <Chart
      label="Chances of cutting the tape and of marking beneath over the speed"
      className="keep-together mt-2 h-[clamp(240px,44vh,400px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, id: string, system: 'metric' | 'inch', look: ChartLook): Record<string, unknown> {
  const { ink, second, font } = look
  const engine = engineOf(bench)
  const unit = displayUnit('speed', system)
  const at = (speed: number): number => doubtFromCore(speed, unit)
  const curve = engine.value(maskChances, id).result
  const use = shownNumber(engine.value(maskSpeed, id).result)
  const places = curve.known ? curve.value : []
  const line = { type: 'line', symbol: 'none', silent: true } as const
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 60, right: 24, top: 44, bottom: 48 },
    legend: legendOf(look, ['tape cut', 'marked beneath', 'both hold']),
    xAxis: { ...axisOf(look, `Speed at the power of a mask, ${unitOf(unit).symbol}`, 28), min: 0 },
    yAxis: { ...axisOf(look, 'Chance, %', 40), min: 0, max: 100 },
    series: [
      {
        ...line,
        name: 'tape cut',
        data: places.map((it) => [at(it.speed), it.tape * 100]),
        lineStyle: { color: ink, width: 1.2 },
      },
      {
        ...line,
        name: 'marked beneath',
        data: places.map((it) => [at(it.speed), it.marked * 100]),
        lineStyle: { color: ink, width: 1.2, type: 'dashed' },
      },
      {
        ...line,
        name: 'both hold',
        data: places.map((it) => [at(it.speed), it.tape * (1 - it.marked) * 100]),
        lineStyle: { color: second, width: 0.8 },
        areaStyle: { color: second, opacity: 0.14 },
        markLine: crossLines(look, 'xAxis', [[use === null ? null : at(use), 'to use']]),
      },
    ],
  }
}
