import { useCallback } from 'react'
import type { Bench } from '../../core/document'
import { depthLaw, depthPatches } from '../../core/testcard'
import { displayUnit, fromCore, unitOf } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, type ChartLook } from '../../ui/chart'

/** Depth of a pass over its dose, with the line through the cells. */
export function DepthChart({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} id={id} />
}

function ChartOf({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const system = useUnits()
  const option = useCallback((look: ChartLook) => optionOf(bench, id, system, look), [bench, id, system])
  const patches = engineOf(bench).value(depthPatches, id).result
  if (!patches.known || patches.value.length === 0) {
    return (
      <p className="my-6 max-w-[30rem] self-start text-second">
        Depth over dose stands here once the depth of three cells was entered.
      </p>
    )
  }
  return (
    <Chart
      label="Depth of a pass over its dose"
      className="keep-together h-[clamp(260px,52vh,420px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

function optionOf(bench: Bench, id: string, system: 'metric' | 'inch', look: ChartLook): Record<string, unknown> {
  const { ink, paper, font } = look
  const engine = engineOf(bench)
  const patches = engine.value(depthPatches, id).result
  const law = engine.value(depthLaw, id).result
  const unit = displayUnit('length', system)
  const at = (mm: number): number => fromCore(mm, unit)
  const read = patches.known ? patches.value : []
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 56, right: 14, top: 24, bottom: 44 },
    xAxis: { ...axisOf(look, 'Dose of a pass, J/mm²', 26), min: 0 },
    yAxis: { ...axisOf(look, `Depth of a pass, ${unitOf(unit).symbol}`, 40), min: 0 },
    series: [
      {
        type: 'line',
        symbol: 'none',
        silent: true,
        lineStyle: { color: ink, width: 1.4 },
        data: law.known
          ? [
              [law.value.from, 0],
              [law.value.most, at(law.value.slope * (law.value.most - law.value.from))],
            ]
          : [],
      },
      {
        type: 'scatter',
        silent: true,
        symbolSize: 7,
        data: read.map((it) => [it.dose / it.passes, at((it.depth as number) / it.passes)]),
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1.2 },
      },
    ],
  }
}
