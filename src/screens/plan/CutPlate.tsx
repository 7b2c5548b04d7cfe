import type { CutPlan } from '../../core/nesting'
import { cutListOf } from '../../core/motion'
import { barCuts, guideCuts } from '../../core/schedule'
import { sayQuantity, type Outcome } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { Findings, Hatching, useUnits } from '../../ui'
import { ChainPlate } from './ChainPlate'
import { useWidth } from './useWidth'

const ROW = 44

/** What a stock is cut into, where its lengths are known. */
interface Group {
  readonly words: string
  readonly cuts: Outcome<CutPlan>
  /** mm. */
  readonly length: number
  readonly start: number
  readonly kerf: number
}

/** The stock with what is cut from each piece, to scale; hatched: what is left. */
export function CutPlate() {
  const bench = useBenchStore((it) => it.bench)
  const bars = useFigure(barCuts)
  const guides = useFigure(guideCuts)
  const [width, window] = useWidth()
  if (bench === null || bars === null || guides === null) return null
  const { kinematics, frame } = bench.motion
  const list = cutListOf(kinematics.chosen, frame.guides.chosen)
  if (list.bars.length === 0) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        {kinematics.chosen === 'retrofit'
          ? 'The machine is there: no bar is cut. What holds the head is a plate, with its size at the side.'
          : 'Two mirrors stand on a column: no frame is cut. What holds the head is a plate, with its size at the side.'}
      </p>
    )
  }
  if (!bars.result.known)
    return <p className="my-8 text-second">The bars are cut when the travel of X and Y is entered on Motion.</p>
  const groupOf = (words: string, cuts: Outcome<CutPlan>, stock: 'stock' | 'guideStock'): Group => {
    const { length, trim, kerf } = bench.plan[stock]
    const [first, cut] = [trim.value ?? 0, kerf.value ?? 0]
    return { words, cuts, length: length.value ?? 1000, start: first > 0 ? first + cut : 0, kerf: cut }
  }
  const groups = [
    groupOf('bar', bars.result.value, 'stock'),
    ...(list.guides.length > 0 && guides.result.known
      ? [groupOf(frame.guides.chosen === 'shafts' ? 'shaft' : 'rail', guides.result.value, 'guideStock')]
      : []),
  ]
  return (
    <div ref={window} className="mt-3 shrink-0" data-plate="The cut plan">
      {width > 0 && <ChainPlate bench={bench} width={width} />}
      {groups.map((group) => (
        <GroupOfCuts key={group.words} group={group} width={width} />
      ))}
    </div>
  )
}

function GroupOfCuts({ group, width }: { readonly group: Group; readonly width: number }) {
  const { words, cuts, length } = group
  const say = useLength()
  if (!cuts.ok) return <Findings findings={cuts.findings} />
  const { bars, toBuy, proved, atLeast, wasteMm } = cuts.value
  const others = bars.length - toBuy
  return (
    <>
      <p className="text-[15px]" role="status">
        {toBuy === 0
          ? `No ${words} to buy`
          : toBuy === 1
            ? `One ${words} of ${say(length)}`
            : `${toBuy} ${words}s of ${say(length)}`}
        {others > 0 && `, and ${others} of what is there`}
        {proved ? ', and fewer would not do' : `; no plan takes fewer than ${atLeast}`}. {say(wasteMm)} is waste.
      </p>
      {width > 0 && <Pieces group={group} plan={cuts.value} width={width} />}
    </>
  )
}

function useLength(): (mm: number) => string {
  const unit = useUnits() === 'metric' ? 'mm' : 'in'
  return (mm) => sayQuantity(Number(mm.toFixed(1)), null, unit)
}

function Pieces({ group, plan, width }: { readonly group: Group; readonly plan: CutPlan; readonly width: number }) {
  const say = useLength()
  const { length, start, kerf, words } = group
  const scale = (width - 2) / Math.max(length, ...plan.bars.map((it) => it.lengthMm))
  return (
    <svg
      width={width}
      height={plan.bars.length * ROW + 10}
      role="img"
      aria-label={`What is cut from each ${words}`}
      className="plate mt-1.5"
    >
      <Hatching id={`rest-${words}`} />
      {plan.bars.map((bar, i) => {
        const y = 2 + i * ROW
        let at = start
        return (
          <g key={i}>
            <rect
              x="1"
              y={y}
              width={bar.lengthMm * scale}
              height="26"
              fill={`url(#rest-${words})`}
              stroke="var(--second)"
              strokeWidth="0.8"
            />
            {bar.parts.map((part, k) => {
              const [x, w] = [1 + at * scale, part.lengthMm * scale]
              at += part.lengthMm + kerf
              return (
                <g key={k} fill="var(--ink)" fontSize="11" textAnchor="middle">
                  <rect x={x} y={y} width={w} height="26" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.2" />
                  <text x={x + w / 2} y={y + 12}>
                    {part.name}
                  </text>
                  <text x={x + w / 2} y={y + 23} className="num">
                    {say(part.lengthMm)}
                  </text>
                </g>
              )
            })}
            <text x={bar.lengthMm * scale - 4} y={y + 39} textAnchor="end" fontSize="10.5" className="num" fill="var(--second)">
              {bar.bought ? '' : `${say(bar.lengthMm)} that is there, `}
              {say(bar.leftMm)} left
            </text>
          </g>
        )
      })}
    </svg>
  )
}
