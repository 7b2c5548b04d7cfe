import { newestRun, overrunATurn, roundness, slip, turnLine, turnsOf, type RoundnessFit } from '../../core/rotary'
import type { LineFit } from '../../core/calibrate'
import { printNumber } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'

const SIZE = { width: 720, height: 330 } as const
const CHART = { left: 58, right: 372, top: 26, bottom: 286 } as const
const ROUND = { x: 560, y: 158, r: 104 } as const

/** The overruns over the turns with their line, and the dial round the turn. */
export function RunPlate() {
  const rotary = useBenchStore(({ bench }) => bench?.rotary)
  const turnId = newestRun(rotary?.turnRuns ?? {}) ?? ''
  const dialId = newestRun(rotary?.dialRuns ?? {}) ?? ''
  return (
    <figure className="keep-together mt-2 mb-0" data-plate="Overruns over the turns, and a dial round one">
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="plate w-full max-w-[860px]"
        role="img"
        aria-label="Overruns over the turns, and a dial round one"
      >
        <Turns id={turnId} />
        <Dial id={dialId} />
      </svg>
    </figure>
  )
}

/** A round number at or above a length, for the end of an axis. */
function roundUp(value: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(value, 1e-3)))
  return ([1, 2, 5, 10].find((it) => it * power >= value) ?? 10) * power
}

function Turns({ id }: { readonly id: string }) {
  const run = useBenchStore(({ bench }) => bench?.rotary.turnRuns[id])
  const figure = useFigure(turnLine, id)
  const fit: LineFit | null = figure?.result.known === true ? figure.result.value : null
  const points = Object.entries(run?.readings ?? {}).flatMap(([name, it]) =>
    it.value === null ? [] : [{ turns: turnsOf(name), overrun: it.value }],
  )
  const most = Math.max(5, ...points.map((it) => it.turns))
  const end = roundUp(Math.max(0.1, ...points.map((it) => Math.abs(it.overrun))))
  const x = (turns: number): number => CHART.left + ((CHART.right - CHART.left) * turns) / (most * 1.08)
  // Where nothing falls short the axis begins at nought.
  const low = points.some((it) => it.overrun < 0) || (fit?.intercept ?? 0) < -end / 20 ? -end : 0
  const y = (overrun: number): number => CHART.bottom - ((CHART.bottom - CHART.top) * (overrun - low)) / (end - low)
  const zero = y(0)
  return (
    <g fontSize="11.5">
      <path
        d={`M${CHART.left} ${CHART.top}V${CHART.bottom}M${CHART.left} ${zero}H${CHART.right}`}
        stroke="var(--ink)"
        fill="none"
      />
      {[-end, -end / 2, 0, end / 2, end]
        .filter((it) => it >= low)
        .map((it) => (
          <g key={it}>
            <path d={`M${CHART.left - 4} ${y(it)}h4`} stroke="var(--ink)" />
            <text x={CHART.left - 8} y={y(it) + 4} textAnchor="end" className="num" fill="var(--second)">
              {printNumber(it, 2)}
            </text>
          </g>
        ))}
      {Array.from({ length: most + 1 }, (_, k) => k)
        .filter((it) => most <= 10 || it % 2 === 0)
        .map((it) => (
          <text key={it} x={x(it)} y={CHART.bottom + 16} textAnchor="middle" className="num" fill="var(--second)">
            {it}
          </text>
        ))}
      <text x={CHART.left - 50} y={CHART.top - 10} fill="var(--second)">
        overrun, mm
      </text>
      <text x={CHART.right} y={CHART.bottom + 34} textAnchor="end" fill="var(--second)">
        turns commanded in one go
      </text>
      {fit !== null && (
        <path
          d={`M${x(0)} ${y(fit.intercept)}L${x(most)} ${y(fit.intercept + fit.slope * most)}`}
          stroke="var(--teal)"
          strokeWidth="1.6"
          fill="none"
        />
      )}
      {points.map((it, k) => (
        <circle key={k} cx={x(it.turns)} cy={y(it.overrun)} r="3.6" fill="var(--ink)" fillOpacity="0.75" />
      ))}
      {points.length === 0 ? (
        <text x={(CHART.left + CHART.right) / 2} y={zero - 12} textAnchor="middle" fill="var(--second)">
          no overrun was read yet
        </text>
      ) : (
        <Found id={id} />
      )}
    </g>
  )
}

/** What the line says, beside it. */
function Found({ id }: { readonly id: string }) {
  const ratio = useFigure(overrunATurn, id)
  const lost = useFigure(slip, id)
  if (ratio?.result.known !== true || lost?.result.known !== true) return null
  const [perTurn, once] = [ratio.result.value, lost.result.value]
  return (
    <text x={CHART.left + 12} y={CHART.top + 4} fill="var(--ink)">
      <tspan className="num">{printNumber(perTurn, 2)} mm</tspan> for each turn, {once < 0 ? 'and' : 'less'}{' '}
      <tspan className="num">{printNumber(Math.abs(once), 2)} mm</tspan> {once < 0 ? 'more ' : ''}at each start
    </text>
  )
}

/** The dial readings as a closed line about their mean, as large as they are seen. */
function Dial({ id }: { readonly id: string }) {
  const run = useBenchStore(({ bench }) => bench?.rotary.dialRuns[id])
  const figure = useFigure(roundness, id)
  const fit: RoundnessFit | null = figure?.result.known === true ? figure.result.value : null
  const readings = Object.entries(run?.readings ?? {})
    .flatMap(([angle, it]) => (it.value === null ? [] : [{ angle: Number(angle), value: it.value }]))
    .sort((p, q) => p.angle - q.angle)
  const mean = readings.reduce((sum, it) => sum + it.value, 0) / Math.max(1, readings.length)
  const end = roundUp(Math.max(0.05, ...readings.map((it) => Math.abs(it.value - mean))))
  const at = (degrees: number, out: number): string => {
    const angle = (degrees * Math.PI) / 180
    const r = ROUND.r * (0.62 + (0.38 * out) / end)
    return `${(ROUND.x + Math.sin(angle) * r).toFixed(1)} ${(ROUND.y - Math.cos(angle) * r).toFixed(1)}`
  }
  const fitted = (degrees: number): number => {
    if (fit === null) return 0
    const angle = (degrees * Math.PI) / 180
    return fit.eccentricity * Math.cos(angle - fit.towards) + fit.ovality * Math.cos(2 * (angle - fit.longAt))
  }
  return (
    <g fontSize="11.5" fill="none">
      {[-end, 0, end].map((it) => (
        <circle
          key={it}
          cx={ROUND.x}
          cy={ROUND.y}
          r={ROUND.r * (0.62 + (0.38 * it) / end)}
          stroke={it === 0 ? 'var(--ink)' : 'var(--rule)'}
          strokeWidth={it === 0 ? 1 : 0.8}
        />
      ))}
      {[0, 90, 180, 270].map((it) => (
        <text
          key={it}
          x={ROUND.x + Math.sin((it * Math.PI) / 180) * (ROUND.r + 18)}
          y={ROUND.y - Math.cos((it * Math.PI) / 180) * (ROUND.r + 14) + 4}
          textAnchor="middle"
          className="num"
          fill="var(--second)"
        >
          {it}°
        </text>
      ))}
      {fit !== null && (
        <path
          d={`M${Array.from({ length: 73 }, (_, k) => at(5 * k, fitted(5 * k))).join('L')}Z`}
          stroke="var(--teal)"
          strokeWidth="1.6"
        />
      )}
      {readings.map((it) => {
        const [x, y] = at(it.angle, it.value - mean).split(' ')
        return <circle key={it.angle} cx={x} cy={y} r="3.6" fill="var(--ink)" fillOpacity="0.75" />
      })}
      <text x={ROUND.x} y={SIZE.height - 8} textAnchor="middle" fill="var(--second)">
        {readings.length === 0 ? (
          'no dial was read yet'
        ) : (
          <>
            rings <tspan className="num">{printNumber(end, 2)}</tspan> mm apart
          </>
        )}
      </text>
    </g>
  )
}
