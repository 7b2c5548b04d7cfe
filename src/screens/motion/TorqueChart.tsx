import { useCallback } from 'react'
import { shownNumber, type FigureDef } from '../../core/bench'
import type { Bench } from '../../core/document'
import { neededTorque, topSpeed, torqueOverSpeed, windingSpeed } from '../../core/motion'
import { displayUnit, fromCore, unitOf, type UnitSystem } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { useUnits } from '../../ui'
import { axisOf, Chart, type ChartLook } from '../../ui/chart'
import { useChosenAxis } from './chosenAxis'

/** Torque over speed: what the motor has, what the axis needs, where the step rate ends, what is wanted. */
export function TorqueChart() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <ChartOf bench={bench} />
}

function ChartOf({ bench }: { readonly bench: Bench }) {
  const system = useUnits()
  const { axisId, letter } = useChosenAxis(bench)
  const option = useCallback(
    (look: ChartLook) => optionOf(dataOf(bench, axisId, system), letter, look),
    [bench, axisId, letter, system],
  )
  const known = engineOf(bench).value(torqueOverSpeed, axisId).result.known
  if (!known) return <p className="py-10 text-second">The chart is drawn when drive, motor and supply are entered.</p>
  return (
    <Chart
      label={`Torque over speed, ${letter} axis`}
      className="keep-together mt-2 h-[clamp(260px,50vh,460px)] w-full min-w-0 shrink-0"
      option={option}
    />
  )
}

interface Data {
  readonly has: readonly (readonly [number, number])[]
  readonly needs: number | null
  readonly ceiling: number | null
  readonly wanted: number | null
  /** Where the winding no longer takes its full current. */
  readonly corner: number | null
  readonly unit: string
  readonly torqueUnit: string
}

function dataOf(bench: Bench, axisId: string, system: UnitSystem): Data {
  const engine = engineOf(bench)
  const [unit, torque] = [displayUnit('speed', system), displayUnit('torque', system)] as const
  const curve = engine.value(torqueOverSpeed, axisId).result
  const number = (def: FigureDef<Bench, readonly [string]>): number | null => shownNumber(engine.value(def, axisId).result)
  const speed = (mmPerS: number | null): number | null => (mmPerS === null ? null : fromCore(mmPerS, unit))
  const has = curve.known
    ? curve.value.speeds.map((v, i) => [fromCore(v, unit), fromCore(curve.value.torques[i] ?? 0, torque)] as const)
    : []
  const needed = number(neededTorque)
  return {
    has,
    needs: needed === null ? null : fromCore(needed, torque),
    ceiling: speed(number(topSpeed)),
    wanted: speed(bench.motion.wantedSpeed.value),
    corner: speed(number(windingSpeed)),
    unit: unitOf(unit).symbol,
    torqueUnit: unitOf(torque).symbol,
  }
}

/** The next of 1, 1.5, 2, 3, 4, 5, 6, 8 times a power of ten. */
function niceAbove(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value))
  return ([1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((it) => it * power >= value) ?? 10) * power
}

function optionOf(
  { has, needs, ceiling, wanted, corner, unit, torqueUnit }: Data,
  letter: string,
  look: ChartLook,
): Record<string, unknown> {
  const { ink, second, teal, font, paper } = look
  // Upright lines are named half way up, where the curve rarely is; the paper behind a name keeps any line off it.
  const line = (at: { readonly xAxis: number } | { readonly yAxis: number }, words: string, color: string, type: string) => ({
    ...at,
    lineStyle: { color, type, width: 1.2 },
    label: {
      formatter: words,
      color,
      fontFamily: font,
      fontSize: 11.5,
      position: 'xAxis' in at ? 'insideMiddleTop' : 'insideEndTop',
      backgroundColor: paper,
      padding: [2, 4],
    },
  })
  const marks = [
    ...(needs === null ? [] : [line({ yAxis: needs }, 'needed to speed up', ink, 'dashed')]),
    ...(ceiling === null ? [] : [line({ xAxis: ceiling }, 'step rate ends', second, 'dotted')]),
    ...(corner === null ? [] : [line({ xAxis: corner }, 'full torque ends', second, 'dotted')]),
    ...(wanted === null ? [] : [line({ xAxis: wanted }, 'wanted', teal, 'solid')]),
  ]
  return {
    animation: false,
    textStyle: { fontFamily: font },
    grid: { left: 60, right: 24, top: 30, bottom: 44 },
    xAxis: { ...axisOf(look, `Speed of ${letter}, ${unit}`, 26), min: 0, max: niceAbove(has.at(-1)?.[0] ?? 1) },
    yAxis: {
      ...axisOf(look, `Torque of one motor, ${torqueUnit}`, 40),
      min: 0,
      max: niceAbove(1.2 * Math.max(needs ?? 0, ...has.map(([, t]) => t))),
    },
    series: [
      {
        type: 'line',
        data: has,
        symbol: 'none',
        lineStyle: { color: ink, width: 2 },
        markLine: { silent: true, symbol: 'none', data: marks },
      },
    ],
  }
}
