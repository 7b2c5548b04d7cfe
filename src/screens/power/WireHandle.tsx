import { draggedFact, getAt, isFact, showFact } from '../../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../../core/document'
import { dragFact, dropDrag, setFact, useBenchStore, useShownFact } from '../../state'
import { useDrag } from '../../ui'

/** Millimetres of wire for each pixel that is dragged, and for each press of an arrow key. */
const EACH = { px: 10, key: 50 }
const STEP = { metric: 10, inch: 0.5 } as const

/** The numbers of a wire, to be dragged: its length, and with it what it loses. */
export function WireHandle({
  id,
  x,
  y,
  width,
}: {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly width: number
}) {
  const path: FactPath = `electrical.wires.${id}.length`
  const bench = useBenchStore((it) => it.bench)
  const isDragged = useBenchStore((it) => it.overlay?.path === path)
  const shown = useShownFact(path)
  const spec = benchFactSpec(path)
  const fact = getAt(bench, path)
  const value = isFact(fact) ? fact.value : null
  const entered = (mm: number) => {
    if (bench === null || spec === undefined) return null
    const made = draggedFact(Math.min(Math.max(mm, spec.min), spec.max), STEP[bench.units], spec, bench.units)
    return made.ok ? made.value : null
  }
  const commit = (mm: number): void => {
    const to = entered(mm)
    if (bench !== null && to !== null && to.value !== value) setFact(path, to, labelAt(bench, path))
    else dropDrag()
  }
  const drag = useDrag({
    move: ({ dx }) => {
      const to = entered((value ?? 0) + dx * EACH.px)
      if (to !== null) dragFact(path, to)
    },
    drop: ({ dx }) => commit((value ?? 0) + dx * EACH.px),
    cancel: dropDrag,
    step: (right, up) => commit((value ?? 0) + (right + up) * EACH.key),
  })
  if (bench === null || value === null || spec === undefined || shown === undefined) return null
  const { text, unit } = showFact(shown)
  return (
    <>
      {isDragged && (
        <text x={x + width} y={y + 46} textAnchor="end" fontSize="12.5" className="num" fill="var(--teal)">
          {text} {unit}
        </text>
      )}
      <rect
        x={x}
        y={y}
        width={width}
        height="34"
        fill="transparent"
        pointerEvents="all"
        className="hover:fill-[color-mix(in_srgb,var(--teal)_14%,transparent)] focus-visible:outline-2"
        style={{ cursor: 'ew-resize', touchAction: 'none' }}
        tabIndex={0}
        role="slider"
        aria-label={`Drag ${labelAt(bench, path)}`}
        aria-valuenow={value}
        aria-valuemin={spec.min}
        aria-valuemax={spec.max}
        data-drag={path}
        {...drag}
      />
    </>
  )
}
