import { BARS, barCuts, type BarId } from '../../core/schedule'
import { sayQuantity } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { Findings, Hatching, useUnits } from '../../ui'
import { useWidth } from './useWidth'

const ROW = 44

/** The stock bars with what is cut from each, to scale; hatched: what is left. */
export function CutPlate() {
  const bench = useBenchStore((it) => it.bench)
  const cuts = useFigure(barCuts)
  const [width, window] = useWidth()
  const system = useUnits()
  if (bench === null || cuts === null) return null
  if (!cuts.result.known)
    return <p className="my-8 text-second">The bars are cut when the travel of X and Y is entered on Motion.</p>
  const plan = cuts.result.value
  if (!plan.ok) return <Findings findings={plan.findings} />
  const { bars, proved, atLeast, wasteMm } = plan.value
  const stock = bench.plan.stock
  const [L, trim, kerf] = [stock.length.value ?? 1000, stock.trim.value ?? 0, stock.kerf.value ?? 0]
  const scale = (width - 2) / L
  const say = (mm: number): string => sayQuantity(Number(mm.toFixed(1)), null, system === 'metric' ? 'mm' : 'in')
  return (
    <>
      <p className="mt-3 text-[15px]" role="status">
        {bars.length === 1 ? 'One bar' : `${bars.length} bars`} of {say(L)}
        {proved ? ', and fewer would not do' : `; no plan takes fewer than ${atLeast}`}. {say(wasteMm)} is waste.
      </p>
      <div ref={window} className="mt-2 shrink-0" data-plate="The cut plan">
        {width > 0 && (
          <svg width={width} height={bars.length * ROW + 4} role="img" aria-label="What is cut from each bar" className="plate">
            <Hatching id="rest" />
            {bars.map((bar, i) => {
              const y = 2 + i * ROW
              let at = trim > 0 ? trim + kerf : 0
              return (
                <g key={i}>
                  <rect x="1" y={y} width={L * scale} height="26" fill="url(#rest)" stroke="var(--second)" strokeWidth="0.8" />
                  {bar.parts.map((part, k) => {
                    const x = 1 + at * scale
                    at += part.lengthMm + kerf
                    return (
                      <g key={k}>
                        <rect
                          x={x}
                          y={y}
                          width={part.lengthMm * scale}
                          height="26"
                          fill="var(--paper)"
                          stroke="var(--ink)"
                          strokeWidth="1.2"
                        />
                        <text x={x + (part.lengthMm * scale) / 2} y={y + 12} textAnchor="middle" fontSize="11" fill="var(--ink)">
                          {BARS[part.id as BarId].name}
                        </text>
                        <text
                          x={x + (part.lengthMm * scale) / 2}
                          y={y + 23}
                          textAnchor="middle"
                          fontSize="11"
                          className="num"
                          fill="var(--ink)"
                        >
                          {say(part.lengthMm)}
                        </text>
                      </g>
                    )
                  })}
                  <text x={L * scale - 4} y={y + 39} textAnchor="end" fontSize="10.5" className="num" fill="var(--second)">
                    {say(bar.leftMm)} left
                  </text>
                </g>
              )
            })}
          </svg>
        )}
      </div>
    </>
  )
}
