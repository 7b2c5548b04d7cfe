import { useCallback } from 'react'
import { shownNumber } from '../../core/bench'
import { lineFit, readingDefs, scatter } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { doubtFromCore, unitOf, type UnitSystem } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, legendOf, type ChartLook } from '../../ui/chart'

type Points = readonly (readonly [number, number])[]

/** Read less line against commanded, with error bars of twice the scatter: what the straight line leaves over. */
export function Residuals({ runId }: { readonly runId: string }) {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  const option = useCallback(
    (look: ChartLook) => (bench === null ? {} : optionOf(readingsOf(bench, runId, system), look)),
    [bench, runId, system],
  )
  return (
    <Chart
      label="Residuals of the readings about their lines"
      className="keep-together h-[240px] w-full min-w-0 shrink-0 self-center lg:h-full lg:max-h-[380px]"
      option={option}
    />
  )
}

interface Data {
  readonly x: Points
  readonly y: Points
  readonly bar: number
  readonly units: readonly [string, string]
}

function readingsOf(bench: Bench, runId: string, system: UnitSystem): Data {
  const engine = engineOf(bench)
  const run = bench.calibrate.runs[runId]
  const [along, off] = system === 'metric' ? (['mm', 'um'] as const) : (['in', 'mil'] as const)
  const points = (axis: 'x' | 'y'): Points => {
    const fit = engine.value(lineFit, runId, axis).result
    if (!fit.known || run === undefined) return []
    const defs = readingDefs(run).filter((it) => it.axis === axis && run.readings[it.id] !== undefined)
    return fit.value.residuals.map((it, i) => [doubtFromCore(defs[i]?.commanded ?? 0, along), doubtFromCore(it, off)] as const)
  }
  const s = shownNumber(engine.value(scatter, runId).result)
  const bar = s === null ? 0 : doubtFromCore(2 * s, off)
  return { x: points('x'), y: points('y'), bar, units: [unitOf(along).symbol, unitOf(off).symbol] }
}

/** The next of 1, 2, 5 times a power of ten. */
function niceAbove(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value))
  return ([1, 2, 5, 10].find((it) => it * power >= value) ?? 10) * power
}

function optionOf({ x, y, bar, units }: Data, look: ChartLook): Record<string, unknown> {
  const { ink, second, rule, paper, font } = look
  const most = niceAbove(Math.max(1, ...[...x, ...y].map(([, r]) => Math.abs(r) + bar)))
  const bars = (data: Points, offset: number) => ({
    type: 'custom',
    data,
    silent: true,
    renderItem: (_: unknown, api: { value: (i: number) => number; coord: (at: [number, number]) => [number, number] }) => {
      const [px, top] = api.coord([api.value(0), api.value(1) + bar])
      const [, bottom] = api.coord([api.value(0), api.value(1) - bar])
      const at = px + offset
      const lines = [
        [at, top, at, bottom],
        [at - 3, top, at + 3, top],
        [at - 3, bottom, at + 3, bottom],
      ]
      return {
        type: 'group',
        children: lines.map(([x1, y1, x2, y2]) => ({
          type: 'line',
          shape: { x1, y1, x2, y2 },
          style: { stroke: second, lineWidth: 0.9 },
        })),
      }
    },
  })
  const points = (name: string, data: Points, symbol: string, offset: number, hollow: boolean) => ({
    name,
    type: 'scatter',
    data,
    symbol,
    symbolSize: 8,
    symbolOffset: [offset, 0],
    itemStyle: { color: hollow ? paper : ink, borderColor: ink, borderWidth: 1.3 },
    ...(hollow
      ? {}
      : {
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: ink, type: 'solid', width: 1 },
            data: [{ yAxis: 0 }],
          },
        }),
  })
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 54, right: 12, top: 30, bottom: 44 },
    legend: legendOf(look, ['X readings', 'Y readings']),
    xAxis: { ...axisOf(look, `Commanded, ${units[0]}`, 24), min: 0 },
    yAxis: {
      ...axisOf(look, `Read less line, ${units[1]}`, 40),
      min: -most,
      max: most,
      splitNumber: 4,
      splitLine: { show: true, lineStyle: { color: rule, width: 0.6 } },
    },
    series: [bars(x, -4), bars(y, 4), points('X readings', x, 'circle', -4, false), points('Y readings', y, 'rect', 4, true)],
  }
}
