import { getAt, isFact, showFact } from '../../core/bench'
import type { FactPath } from '../../core/document'
import { useBenchStore } from '../../state'
import { FactField } from '../FactField'
import { later } from '../later'
import { usePlateFrame } from './Plate'

const Handle = later(async () => (await import('./Handle')).Handle, 'at rest')

/** A dimension line after ISO 129-1 between two points of a drawing, in px; `along` is the way it measures. */
export interface DimensionLine {
  readonly path: FactPath
  readonly along: 'x' | 'y'
  /** From, to, in mm along the way it measures. */
  readonly from: number
  readonly to: number
  /** Where the line stands across it, px. */
  readonly at: number
  /** Where the extension lines begin, px. */
  readonly extendFrom: number
}

const ARROW = 7

/** The lines and arrows of a dimension, with its end to be dragged. */
export function DimensionDrawing({ path, along, from, to, at, extendFrom }: DimensionLine) {
  const frame = usePlateFrame()
  const map = along === 'x' ? frame.x : frame.y
  const [a, b] = [map(from), map(to)]
  const point = (p: number, q: number): string => (along === 'x' ? `${p} ${q}` : `${q} ${p}`)
  const gap = 34 * Math.sign(b - a)
  const middle = (a + b) / 2
  const away = Math.sign(at - extendFrom)
  const arrow = (tip: number, way: number): string => {
    const back = tip + way * ARROW
    return `M${point(tip, at)}L${point(back, at - 2)}L${point(back, at + 2)}Z`
  }
  return (
    <g stroke="var(--ink)" strokeWidth="0.8" fill="none">
      <path
        d={`M${point(a, extendFrom + 3 * away)}L${point(a, at + 6 * away)}M${point(b, extendFrom + 3 * away)}L${point(b, at + 6 * away)}`}
      />
      <path d={`M${point(a, at)}L${point(middle - gap, at)}M${point(middle + gap, at)}L${point(b, at)}`} />
      <path d={arrow(a, Math.sign(b - a)) + arrow(b, Math.sign(a - b))} fill="var(--ink)" stroke="none" />
      <PrintedValue path={path} x={along === 'x' ? middle : at} y={along === 'x' ? at : middle} turned={along === 'y'} />
      <Handle path={path} along={along} x={along === 'x' ? b : at} y={along === 'x' ? at : b} />
    </g>
  )
}

/** The value as a part of the drawing, for paper, where the fields over it are left away. */
function PrintedValue({
  path,
  x,
  y,
  turned,
}: {
  readonly path: FactPath
  readonly x: number
  readonly y: number
  readonly turned: boolean
}) {
  const fact = useBenchStore(({ bench }) => getAt(bench, path))
  if (!isFact(fact)) return null
  const { text, unit } = showFact(fact)
  return (
    <text
      x={x}
      y={y + 4}
      transform={turned ? `rotate(-90 ${x} ${y})` : undefined}
      textAnchor="middle"
      fontSize="13"
      fill="var(--ink)"

      className="num hidden print:block"
    >
      {text} {unit}
    </text>
  )
}

/** The typed value of a dimension, standing in the gap of its line. */
export function DimensionValue({ path, along, from, to, at }: DimensionLine) {
  const frame = usePlateFrame()
  const middle = along === 'x' ? (frame.x(from) + frame.x(to)) / 2 : (frame.y(from) + frame.y(to)) / 2
  const style = along === 'x' ? { left: middle, top: at } : { left: at, top: middle }
  return (
    <span
      className={`no-print absolute -translate-x-1/2 -translate-y-1/2 bg-paper ${along === 'y' ? '-rotate-90' : ''}`}
      style={style}
    >
      <FactField path={path} place="plate" small />
    </span>
  )
}
