import { figureUnit, getAt, isFact, showFact, shownNumber, type FigureDef } from '../../core/bench'
import type { Bench } from '../../core/document'
import { frameDepth, frameWidth } from '../../core/motion'
import { sayQuantity } from '../../core/units'
import { useFigure } from '../../state'
import { useUnits } from '../../ui'
import { chainOf, type Link } from './chain'

const HEIGHT = 66
/** Where the line over all stands, and the links under it, px. */
const [OVER, UNDER] = [16, 44]
const ARROW = 6

/** Where the bars' lengths come from: the frame along both axes as chains of dimensions, to one scale. */
export function ChainPlate({ bench, width }: { readonly bench: Bench; readonly width: number }) {
  const chains = (['X', 'Y'] as const).map((letter) => ({ letter, links: chainOf(bench, letter) }))
  const longest = Math.max(1, ...chains.map(({ links }) => links?.at(-1)?.to ?? 0))
  const scale = (width - 4) / longest
  return (
    <div className="mb-3" data-plate="The dimension chains">
      {chains.map(
        ({ letter, links }) =>
          links !== null && <Chain key={letter} bench={bench} letter={letter} links={links} width={width} scale={scale} />,
      )}
    </div>
  )
}

const OUTSIDE: Readonly<Record<'X' | 'Y', FigureDef<Bench, readonly []>>> = { X: frameWidth, Y: frameDepth }

function Chain(props: {
  readonly bench: Bench
  readonly letter: 'X' | 'Y'
  readonly links: readonly Link[]
  readonly width: number
  readonly scale: number
}) {
  const { bench, letter, links, width, scale } = props
  const outside = useFigure(OUTSIDE[letter])
  const system = useUnits()
  const value = outside === null ? null : shownNumber(outside.result)
  const end = (links.at(-1)?.to ?? 0) * scale
  const x = (mm: number): number => 2 + mm * scale
  const say = (path: string): string => {
    const fact = getAt(bench, path)
    if (!isFact(fact)) return ''
    const { text, unit } = showFact(fact)
    return `${text}\u00a0${unit}`
  }
  const total = outside === null || value === null ? '' : sayQuantity(value, null, figureUnit(outside, system))
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={`The frame along ${letter}`} className="plate block">
      <g stroke="var(--ink)" strokeWidth="0.8" fill="none">
        <path d={`M${x(0)} ${OVER - 8}V${UNDER + 8}M${2 + end} ${OVER - 8}V${UNDER + 8}`} />
        {links.slice(1).map((link) => (
          <path key={link.from} d={`M${x(link.from)} ${UNDER - 8}v16`} />
        ))}
        <Measure from={x(0)} to={2 + end} y={OVER} gap={total.length * 4 + 44} />
        {links.map((link) => (
          <Measure key={link.from} from={x(link.from)} to={x(link.to)} y={UNDER} gap={0} />
        ))}
      </g>
      <g fill="var(--ink)" fontSize="11.5" textAnchor="middle">
        <text x={2 + end / 2} y={OVER + 4}>
          outside, {letter}: <tspan className="num">{total}</tspan>
        </text>
        {links.map((link) => {
          const words = `${link.name} ${say(link.path)}`
          const room = (link.to - link.from) * scale
          const middle = x((link.from + link.to) / 2)
          return (
            <g key={link.from}>
              <title>{words}</title>
              {room > words.length * 6 ? (
                <text x={middle} y={UNDER - 5}>
                  {link.name} <tspan className="num">{say(link.path)}</tspan>
                </text>
              ) : (
                <>
                  {room > link.name.length * 6 && (
                    <text x={middle} y={UNDER - 5}>
                      {link.name}
                    </text>
                  )}
                  {room > 18 && (
                    <text x={middle} y={UNDER + 18} className="num" fontSize="10.5">
                      {say(link.path)}
                    </text>
                  )}
                </>
              )}
            </g>
          )
        })}
      </g>
    </svg>
  )
}

/** A line between two limits with its arrows (ISO 129-1), left open in the middle where a number stands. */
function Measure({ from, to, y, gap }: { readonly from: number; readonly to: number; readonly y: number; readonly gap: number }) {
  const middle = (from + to) / 2
  const open = Math.min(gap, to - from) / 2
  const arrow = (tip: number, way: number): string => `M${tip} ${y}L${tip + way * ARROW} ${y - 2}v4Z`
  return (
    <>
      <path d={`M${from} ${y}H${middle - open}M${middle + open} ${y}H${to}`} />
      {to - from > 2.5 * ARROW && <path d={arrow(from, 1) + arrow(to, -1)} fill="var(--ink)" stroke="none" />}
    </>
  )
}
