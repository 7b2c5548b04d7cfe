import { useEffect, useRef } from 'react'
import { CustomChart, LineChart, ScatterChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { init, use as register, type ECharts } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { useSettings } from '../state'

register([
  CustomChart,
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  AriaComponent,
  SVGRenderer,
])

/** The theme's inks and faces as a chart can take them: plain colours, no `light-dark()`. */
export interface ChartLook {
  readonly ink: string
  readonly second: string
  readonly rule: string
  readonly paper: string
  readonly teal: string
  readonly font: string
  readonly mono: string
}

/** A chart in the sheet's own ink; drawn again when its option or the theme changes. */
export function Chart(props: {
  readonly label: string
  readonly className: string
  readonly option: (look: ChartLook) => Record<string, unknown>
}) {
  const { label, className, option } = props
  const theme = useSettings((it) => it.theme)
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
    if (node.current !== null) chart.current?.setOption(option(lookOf(node.current)), { notMerge: true })
  }, [option, theme])
  return <div ref={node} className={className} role="img" aria-label={label} />
}

function lookOf(node: HTMLElement): ChartLook {
  const style = getComputedStyle(node)
  const kept = node.style.color
  const plain = (name: string): string => {
    node.style.color = `var(${name})`
    return getComputedStyle(node).color
  }
  const look = {
    ink: plain('--ink'),
    second: plain('--second'),
    rule: plain('--rule'),
    paper: plain('--paper'),
    teal: plain('--teal'),
    font: style.fontFamily,
    mono: style.getPropertyValue('--font-mono').trim() || 'monospace',
  }
  node.style.color = kept
  return look
}

/** An axis in ink: title with its unit in the middle, figures in the mono face. */
export function axisOf(look: ChartLook, name: string, nameGap: number): Record<string, unknown> {
  return {
    type: 'value',
    name,
    nameGap,
    nameLocation: 'middle',
    nameTextStyle: { color: look.second, fontSize: 11.5, fontFamily: look.font },
    axisLine: { show: true, lineStyle: { color: look.ink } },
    axisTick: { lineStyle: { color: look.ink } },
    axisLabel: { color: look.ink, fontFamily: look.mono, fontSize: 11 },
    splitLine: { show: false },
  }
}

/** Dotted lines across a chart with their words; places that are not known are left away. */
export function crossLines(
  { second, font, paper }: ChartLook,
  axis: 'xAxis' | 'yAxis',
  lines: readonly (readonly [at: number | null, words: string])[],
): Record<string, unknown> {
  const label = { color: second, fontFamily: font, fontSize: 11.5, backgroundColor: paper, position: 'insideEndTop' }
  return {
    silent: true,
    symbol: 'none',
    data: lines
      .filter(([at]) => at !== null)
      .map(([at, words]) => ({
        [axis]: at,
        lineStyle: { color: second, type: 'dotted', width: 1.2 },
        label: { ...label, formatter: words },
      })),
  }
}

/** A legend at the upper right, in ink. */
export function legendOf({ ink }: ChartLook, names: readonly string[]): Record<string, unknown> {
  return { top: 0, right: 8, itemWidth: 10, itemHeight: 9, textStyle: { color: ink, fontSize: 11.5 }, data: names }
}
