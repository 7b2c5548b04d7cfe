import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { draggedFact, getAt, isFact } from '../../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../../core/document'
import { dragFact, dropDrag, setFact, useBenchStore } from '../../state'
import { usePlateFrame } from './Plate'

/** What a hand can set: whole millimetres, or twentieths of an inch. */
const STEP = { metric: 1, inch: 0.05 } as const
const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }

/** The end of a dimension line, to be dragged or moved with the arrow keys. */
export function Handle({
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
