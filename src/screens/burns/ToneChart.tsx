import { useCallback } from 'react'
import type { Bench } from '../../core/document'
import { toneAt, toneLaw, tonePatches, toneSetting } from '../../core/testcard'
import { engineOf, useBenchStore } from '../../state'
import { axisOf, Chart, crossLines, type ChartLook } from '../../ui/chart'

/** Tone over dose: cells as read, the law with its ±, the tone that is wanted. */
export function ToneChart({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} id={id} />
}

function ChartOf({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const option = useCallback((look: ChartLook) => optionOf(bench, id, look), [bench, id])
  const patches = engineOf(bench).value(tonePatches, id).result
  if (!patches.known || patches.value.length === 0) {
    return (
      <p className="my-6 max-w-[30rem] self-start text-second">
        The tone over the dose stands here once a card was read: from a picture of it, or by eye.
      </p>
    )
  }
  return (
    <Chart
      label="Tone over the dose: cells as read, and the law learnt from them"
      className="keep-together h-[clamp(260px,52vh,420px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

const PLACES = 60

function optionOf(bench: Bench, id: string, look: ChartLook): Record<string, unknown> {
  const { ink, second, paper, font } = look
  const engine = engineOf(bench)
  const patches = engine.value(tonePatches, id).result
  const law = engine.value(toneLaw, id).result
  const setting = engine.value(toneSetting, id).result
  const read = patches.known ? patches.value : []
  const doses = read.map((it) => it.dose)
  const [low, high] = [Math.min(...doses) / 1.2, Math.max(...doses) * 1.2]
  const speed = setting.known ? setting.value.speed : law.known ? law.value.speeds[0] : 0
  const curve = law.known
    ? Array.from({ length: PLACES + 1 }, (_, i) => low * (high / low) ** (i / PLACES)).map((dose) => ({
        dose,
        ...toneAt(law.value, dose, speed),
      }))
    : []
  const line = { type: 'line', symbol: 'none', silent: true } as const
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 50, right: 14, top: 24, bottom: 44 },
    xAxis: { ...axisOf(look, 'Dose, J/mm²', 26), type: 'log', min: Number(low.toPrecision(2)), max: Number(high.toPrecision(2)) },
    yAxis: { ...axisOf(look, 'Tone, L*', 32), min: 0, max: 100 },
    series: [
      {
        ...line,
        data: curve.map((it) => [it.dose, it.tone + 2 * it.u]),
        lineStyle: { color: second, width: 0.8, type: 'dashed' },
      },
      {
        ...line,
        data: curve.map((it) => [it.dose, it.tone - 2 * it.u]),
        lineStyle: { color: second, width: 0.8, type: 'dashed' },
      },
      {
        ...line,
        data: curve.map((it) => [it.dose, it.tone]),
        lineStyle: { color: ink, width: 1.4 },
        markLine: crossLines(look, 'yAxis', [[setting.known ? setting.value.tone : null, 'wanted']]),
      },
      {
        type: 'scatter',
        silent: true,
        symbolSize: 6,
        data: read.map((it) => [it.dose, it.tone]),
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1.1 },
      },
    ],
  }
}
