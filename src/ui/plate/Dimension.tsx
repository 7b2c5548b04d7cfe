import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { draggedFact, getAt, isFact, showFact } from '../../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../../core/document'
import { dragFact, dropDrag, setFact, useBenchStore } from '../../state'
import { FactField } from '../FactField'
import { usePlateFrame } from './Plate'

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

/** What a hand can set: whole millimetres, or twentieths of an inch. */
const STEP = { metric: 1, inch: 0.05 } as const
const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }

function Handle({
  path,
  along,
  x,
  y,
}: {
  readonly path: FactPath
  readonly along: 'x' | 'y'
  readonly x: number
  readonly y: number
}) {
  const { scale } = usePlateFrame()
  const start = useRef<{ readonly at: number; readonly value: number } | null>(null)
  const bench = useBenchStore((it) => it.bench)
  const fact = getAt(bench, path)
  const spec = benchFactSpec(path)
  if (bench === null || !isFact(fact) || fact.value === null || spec === undefined) return null
  const { value } = fact
  const step = STEP[bench.units]
  const commit = (moved: number): void => {
    const entered = draggedFact(moved, step, spec, bench.units)
    if (entered.ok && entered.value.value !== value) setFact(path, entered.value, labelAt(bench, path))
    else dropDrag()
  }
  const down = (event: PointerEvent<SVGRectElement>): void => {
    event.stopPropagation()
    event.currentTarget.setPointerCapture(event.pointerId)
    start.current = { at: along === 'x' ? event.clientX : -event.clientY, value }
  }
  const moved = (event: PointerEvent): number | null => {
    if (start.current === null) return null
    const now = along === 'x' ? event.clientX : -event.clientY
    const wanted = start.current.value + (now - start.current.at) / scale
    return Math.min(Math.max(wanted, spec.min), spec.max)
  }
  const move = (event: PointerEvent): void => {
    const next = moved(event)
    const entered = next === null ? null : draggedFact(next, step, spec, bench.units)
    if (entered?.ok === true) dragFact(path, entered.value)
  }
  const up = (event: PointerEvent): void => {
    const next = moved(event)
    start.current = null
    if (next !== null) commit(next)
  }
  const cancel = (): void => {
    start.current = null
    dropDrag()
  }
  const press = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') cancel()
    const way = KEYS[event.key]
    if (way === undefined) return
    event.preventDefault()
    event.stopPropagation()
    const unit = bench.units === 'metric' ? 1 : 25.4
    commit(value + way * step * unit)
  }
  return (
    <rect
      x={x - 11}
      y={y - 11}
      width="22"
      height="22"
      fill="transparent"
      stroke="none"
      className="hover:fill-[color-mix(in_srgb,var(--teal)_18%,transparent)] focus-visible:outline-2"
      style={{ cursor: along === 'x' ? 'ew-resize' : 'ns-resize' }}
      tabIndex={0}
      role="slider"
      aria-label={`Drag ${labelAt(bench, path)}`}
      aria-valuenow={value}
      aria-valuemin={spec.min}
      aria-valuemax={spec.max}
      data-drag={path}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={cancel}
      onKeyDown={press}
    />
  )
}
