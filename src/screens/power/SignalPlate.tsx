import { useMemo, useState } from 'react'
import { shownNumber } from '../../core/bench'
import { lightAlong, rangeOf, timeConstant, waveform } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { periodsForEachDot } from '../../core/optics'
import { sayQuantity } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { Hatching, Plate, usePlateFrame, useUnits } from '../../ui'

const MARGINS = { left: 40, right: 40, top: 30, bottom: 56 }
/** Dots that are drawn, one beside the other. */
const DOTS = 3
/** Periods from which pulses would melt into one another; a band stands for them. */
const MOST_PULSES = 60
/** Points of a period, and slices of light along all dots. */
const SAMPLES = 96
const SLICES = 240

/** Dots along the scan, and the light that makes them, on one scale; the power that is drawn is set beneath. */
export function SignalPlate() {
  const bench = useBenchStore((it) => it.bench)
  const periods = useFigure(periodsForEachDot)
  const [percent, setPercent] = useState(40)
  const dot = bench?.optics.spotX.value ?? null
  const count = periods === null ? null : shownNumber(periods.result)
  if (bench === null) return null
  if (dot === null || count === null) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        Enter the spot across X, the frequency of the signal and the wanted speed: then the pulses stand here along the dots that
        they make.
      </p>
    )
  }
  return (
    <>
      <Plate
        title="The power signal along the scan"
        extent={{ left: 0, right: dot * DOTS, bottom: 0, top: dot * 0.95 }}
        margins={MARGINS}
        className="keep-together mt-2 h-[clamp(220px,min(40vh,60vw),380px)] shrink-0 print:h-[280px]"
        drawing={<Signal bench={bench} dot={dot} periods={count} percent={percent} />}
        fields={null}
      />
      <label className="no-print mt-1 flex max-w-[30rem] items-center gap-3 text-[13.5px]">
        <span className="whitespace-nowrap">Power drawn</span>
        <input
          type="range"
          min="1"
          max="100"
          value={percent}
          className="min-w-0 flex-1 accent-teal"
          onChange={(event) => setPercent(Number(event.target.value))}
        />
        <output className="num w-14 text-right">{percent}%</output>
      </label>
    </>
  )
}

/** The light of one period at a share of power, with what filter and driver make of it. */
function useWave({ electrical: { driver, pwmFrequency } }: Bench, percent: number): Float64Array {
  const frequency = pwmFrequency.value ?? 1000
  const [ohms, farads, rise] = [driver.filterOhms.value, driver.filterFarads.value, driver.rise.value ?? 0]
  return useMemo(
    () => waveform({ duty: percent / 100, frequency, filterS: timeConstant(ohms, farads), riseS: rise }, SAMPLES),
    [percent, frequency, ohms, farads, rise],
  )
}

function Signal(props: { readonly bench: Bench; readonly dot: number; readonly periods: number; readonly percent: number }) {
  const { bench, dot, periods, percent } = props
  const frame = usePlateFrame()
  const system = useUnits()
  const wave = useWave(bench, percent)
  const all = periods * DOTS
  const [low, high] = [frame.y(0), frame.y(dot * 0.34)]
  const middle = frame.y(dot * 0.7)
  const r = Math.min((dot / 2) * frame.scale * 0.9, 70)
  const length = (mm: number): string => sayQuantity(mm, null, system === 'metric' ? 'um' : 'mil')
  const slices = useMemo(() => lightAlong(wave, all, SLICES), [wave, all])
  const width = (dot * DOTS * frame.scale) / SLICES
  const ellipse = (i: number) => <ellipse key={i} cx={frame.x((i + 0.5) * dot)} cy={middle} rx={(dot / 2) * frame.scale} ry={r} />
  const { least, most } = rangeOf(wave)
  const y = (share: number): number => low + share * (high - low)
  return (
    <>
      <Hatching id="signal-hatch" />
      <defs>
        <clipPath id="dots">{[0, 1, 2].map(ellipse)}</clipPath>
      </defs>
      <g clipPath="url(#dots)" fill="var(--ember)">
        {runsOf(slices).map(({ from, to, share }) => (
          <rect
            key={from}
            x={frame.x(0) + from * width}
            y={middle - r}
            width={(to - from) * width}
            height={2 * r}
            opacity={0.9 * share}
            shapeRendering="crispEdges"
          />
        ))}
      </g>
      <g fill="none" stroke="var(--ink)" strokeWidth="1">
        {[0, 1, 2].map(ellipse)}
      </g>
      {all <= MOST_PULSES ? (
        <path d={wavePath(wave, all, frame.x(0), frame.x(dot * DOTS), y)} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
      ) : (
        <rect
          x={frame.x(0)}
          y={y(most)}
          width={dot * DOTS * frame.scale}
          height={Math.max(1.5, y(least) - y(most))}
          fill="url(#signal-hatch)"
          stroke="var(--ink)"
        />
      )}
      <path d={`M${frame.x(0)} ${low}H${frame.x(dot * DOTS)}`} stroke="var(--rule)" strokeWidth="0.8" />
      <g fontSize="11.5" fill="var(--ink)" className="num">
        <text x={frame.x(0) - 6} y={high + 4} textAnchor="end" fill="var(--second)">
          full
        </text>
        <text x={frame.x(0) - 6} y={low + 4} textAnchor="end" fill="var(--second)">
          0
        </text>
        <path
          d={`M${frame.x(0)} ${low + 8}V${low + 26}M${frame.x(dot)} ${low + 8}V${low + 26}M${frame.x(0)} ${low + 20}H${frame.x(dot)}`}
          stroke="var(--ink)"
          strokeWidth="0.8"
        />
        <text x={frame.x(dot / 2)} y={low + 42} textAnchor="middle">
          one dot, {length(dot)}
        </text>
        <text x={frame.x(dot * 2)} y={low + 42} textAnchor="middle" fill="var(--second)">
          a period every {length(dot / periods)}
        </text>
      </g>
    </>
  )
}

/** Slices beside one another that are as bright as can be told, as one. */
function runsOf(slices: Float64Array): readonly { readonly from: number; readonly to: number; readonly share: number }[] {
  const runs: { from: number; to: number; share: number }[] = []
  slices.forEach((share, i) => {
    const last = runs.at(-1)
    if (last !== undefined && Math.abs(last.share - share) < 0.02) last.to = i + 1
    else runs.push({ from: i, to: i + 1, share })
  })
  return runs
}

/** The light over so many periods, from left to right. */
function wavePath(wave: Float64Array, periods: number, left: number, right: number, y: (share: number) => number): string {
  const points = Math.floor(periods * wave.length)
  const step = (right - left) / (periods * wave.length)
  const parts = Array.from(
    { length: points },
    (_, i) => `${(left + (i + 0.5) * step).toFixed(1)} ${y(wave[i % wave.length] ?? 0).toFixed(1)}`,
  )
  return `M${left.toFixed(1)} ${y(wave.at(-1) ?? 0).toFixed(1)}L${parts.join('L')}`
}
