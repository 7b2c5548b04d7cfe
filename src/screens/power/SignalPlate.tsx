import { shownNumber } from '../../core/bench'
import { periodsForEachDot } from '../../core/optics'
import { sayQuantity } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { Hatching, Plate, usePlateFrame, useUnits } from '../../ui'

const MARGINS = { left: 40, right: 40, top: 30, bottom: 56 }
/** Dots that are drawn, one beside the other. */
const DOTS = 3
/** Periods from which pulses would melt into one another; a tone stands for them. */
const MOST_PULSES = 60
/** The share of a period that is drawn as on. */
const DUTY = 0.4

/** Dots along the scan, and the pulses that make them, on one scale. */
export function SignalPlate() {
  const bench = useBenchStore((it) => it.bench)
  const periods = useFigure(periodsForEachDot)
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
    <Plate
      title="The power signal along the scan"
      extent={{ left: 0, right: dot * DOTS, bottom: 0, top: dot * 0.95 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(220px,min(40vh,60vw),380px)] shrink-0 print:h-[280px]"
      drawing={<Signal dot={dot} periods={count} />}
      fields={null}
    />
  )
}

function Signal({ dot, periods }: { readonly dot: number; readonly periods: number }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const period = dot / periods
  const [low, high] = [frame.y(0), frame.y(dot * 0.34)]
  const middle = frame.y(dot * 0.7)
  const pulses = Math.ceil((dot * DOTS) / period)
  const r = (dot / 2) * frame.scale * 0.9
  const length = (mm: number): string => sayQuantity(mm, null, system === 'metric' ? 'um' : 'mil')
  const wave = Array.from({ length: pulses }, (_, i) => {
    const x = frame.x(i * period)
    const on = frame.x(Math.min(dot * DOTS, i * period + DUTY * period))
    const end = frame.x(Math.min(dot * DOTS, (i + 1) * period))
    return `M${x} ${low}V${high}H${on}V${low}H${end}`
  }).join('')
  const lit = Array.from({ length: pulses }, (_, i) => {
    const x = frame.x(i * period)
    return `M${x} ${middle}H${frame.x(Math.min(dot * DOTS, i * period + DUTY * period))}`
  }).join('')
  return (
    <>
      <Hatching id="signal-hatch" />
      <defs>
        <clipPath id="dots">
          {Array.from({ length: DOTS }, (_, i) => (
            <ellipse key={i} cx={frame.x((i + 0.5) * dot)} cy={middle} rx={(dot / 2) * frame.scale} ry={Math.min(r, 70)} />
          ))}
        </clipPath>
      </defs>
      {Array.from({ length: DOTS }, (_, i) => (
        <ellipse
          key={i}
          cx={frame.x((i + 0.5) * dot)}
          cy={middle}
          rx={(dot / 2) * frame.scale}
          ry={Math.min(r, 70)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1"
        />
      ))}
      <g clipPath="url(#dots)">
        {pulses <= MOST_PULSES ? (
          <path d={lit} stroke="var(--ember)" strokeWidth="160" opacity="0.85" />
        ) : (
          <rect x={frame.x(0)} y={middle - 80} width={dot * DOTS * frame.scale} height="160" fill="var(--ember)" opacity={DUTY} />
        )}
      </g>
      {pulses <= MOST_PULSES ? (
        <path d={wave} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
      ) : (
        <rect
          x={frame.x(0)}
          y={high}
          width={dot * DOTS * frame.scale}
          height={low - high}
          fill="url(#signal-hatch)"
          stroke="var(--ink)"
        />
      )}
      <g fontSize="11.5" fill="var(--ink)" className="num">
        <path
          d={`M${frame.x(0)} ${low + 8}V${low + 26}M${frame.x(dot)} ${low + 8}V${low + 26}M${frame.x(0)} ${low + 20}H${frame.x(dot)}`}
          stroke="var(--ink)"
          strokeWidth="0.8"
        />
        <text x={frame.x(dot / 2)} y={low + 42} textAnchor="middle">
          one dot, {length(dot)}
        </text>
        <text x={frame.x(dot * 2)} y={low + 42} textAnchor="middle" fill="var(--second)">
          a period every {length(period)}, drawn at {DUTY * 100}% power
        </text>
      </g>
    </>
  )
}
