import { useEffect, useRef } from 'react'
import { CustomChart, ScatterChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components'
import { init, use as register, type ECharts } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { shownNumber } from '../../core/bench'
import { lineFit, readingDefs, scatter } from '../../core/calibrate'
import { doubtFromCore, unitOf } from '../../core/units'
import { engineOf, useBenchStore, useSettings } from '../../state'
import { useUnits } from '../../ui'

register([CustomChart, ScatterChart, GridComponent, LegendComponent, MarkLineComponent, AriaComponent, SVGRenderer])

interface Point {
  readonly commanded: number
  readonly residual: number
}

/** Read less line against commanded, with error bars of twice the scatter: what the straight line leaves over. */
export function Residuals({ runId }: { readonly runId: string }) {
  const bench = useBenchStore((it) => it.bench)
  const theme = useSettings((it) => it.theme)
  const system = useUnits()
  const node = useRef<HTMLDivElement>(null)
  const chart = useRef<ECharts | null>(null)
  useEffect(() => {
    const place = node.current
    if (place === null) return
    const made = init(place, null, { renderer: 'svg' })
    chart.current = made
    const observer = new ResizeObserver(() => made.resize())
    observer.observe(place)
    return () => {
      observer.disconnect()
      made.dispose()
      chart.current = null
    }
  }, [])
  useEffect(() => {
    const place = node.current
    if (place === null || bench === null) return
    const engine = engineOf(bench)
    const run = bench.calibrate.runs[runId]
    if (run === undefined) return
    const points = (axis: 'x' | 'y'): Point[] => {
      const fit = engine.value(lineFit, runId, axis).result
      if (!fit.known) return []
      const defs = readingDefs(run).filter((it) => it.axis === axis && run.readings[it.id] !== undefined)
      return fit.value.residuals.map((residual, i) => ({ commanded: defs[i]?.commanded ?? 0, residual }))
    }
    const s = shownNumber(engine.value(scatter, runId).result)
    const [along, off] = system === 'metric' ? (['mm', 'um'] as const) : (['in', 'mil'] as const)
    const style = getComputedStyle(place)
    const ink = (name: string): string => style.getPropertyValue(name).trim()
    const shown = ({ commanded, residual }: Point): [number, number] => [
      doubtFromCore(commanded, along),
      doubtFromCore(residual, off),
    ]
    chart.current?.setOption(
      optionOf({
        x: points('x').map(shown),
        y: points('y').map(shown),
        bar: s === null ? 0 : doubtFromCore(2 * s, off),
        units: [unitOf(along).symbol, unitOf(off).symbol],
        ink: resolve(place, '--ink'),
        second: resolve(place, '--second'),
        rule: resolve(place, '--rule'),
        paper: resolve(place, '--paper'),
        font: style.fontFamily,
        mono: ink('--font-mono') || 'monospace',
      }),
      { notMerge: true },
    )
  }, [bench, runId, theme, system])
  return (
    <div
      ref={node}
      className="keep-together h-[240px] w-full min-w-0 shrink-0 self-center lg:h-full lg:max-h-[380px]"
      role="img"
      aria-label="Residuals of the readings about their lines"
    />
  )
}

/** A colour of the theme as a plain one: the chart cannot read `light-dark()`. */
function resolve(node: HTMLElement, name: string): string {
  const kept = node.style.color
  node.style.color = `var(${name})`
  const plain = getComputedStyle(node).color
  node.style.color = kept
  return plain
}

/** The next of 1, 2, 5 times a power of ten. */
function niceAbove(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value))
  return ([1, 2, 5, 10].find((it) => it * power >= value) ?? 10) * power
}

interface Look {
  readonly x: readonly (readonly [number, number])[]
  readonly y: readonly (readonly [number, number])[]
  readonly bar: number
  readonly units: readonly [string, string]
  readonly ink: string
  readonly second: string
  readonly rule: string
  readonly paper: string
  readonly font: string
  readonly mono: string
}

function optionOf({ x, y, bar, units, ink, second, rule, paper, font, mono }: Look): Record<string, unknown> {
  const most = niceAbove(Math.max(1, ...[...x, ...y].map(([, r]) => Math.abs(r) + bar)))
  const axis = {
    axisLine: { show: true, lineStyle: { color: ink } },
    axisTick: { lineStyle: { color: ink } },
    axisLabel: { color: ink, fontFamily: mono, fontSize: 11 },
    splitLine: { show: false },
    nameLocation: 'middle',
    nameTextStyle: { color: second, fontSize: 11.5, fontFamily: font },
  }
  const bars = (data: Look['x'], offset: number) => ({
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
  const points = (name: string, data: Look['x'], symbol: string, offset: number, hollow: boolean) => ({
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
    legend: {
      top: 0,
      right: 10,
      itemWidth: 10,
      itemHeight: 9,
      textStyle: { color: ink, fontSize: 11.5 },
      data: ['X readings', 'Y readings'],
    },
    xAxis: { ...axis, type: 'value', min: 0, name: `Commanded, ${units[0]}`, nameGap: 24 },
    yAxis: {
      ...axis,
      type: 'value',
      min: -most,
      max: most,
      splitNumber: 4,
      name: `Read less line, ${units[1]}`,
      nameGap: 40,
      splitLine: { show: true, lineStyle: { color: rule, width: 0.6 } },
    },
    series: [bars(x, -4), bars(y, 4), points('X readings', x, 'circle', -4, false), points('Y readings', y, 'rect', 4, true)],
  }
}
