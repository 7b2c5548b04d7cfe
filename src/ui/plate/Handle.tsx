import { draggedFact, getAt, isFact } from '../../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../../core/document'
import { dragFact, dropDrag, setFact, useBenchStore } from '../../state'
import { useDrag, type Way } from '../useDrag'
import { usePlateFrame } from './Plate'

/** What a hand can set: whole millimetres, or twentieths of an inch. */
const STEP = { metric: 1, inch: 0.05 } as const
/** The same on a drawing that shows parts of a millimetre. */
const FINE = { metric: 0.05, inch: 0.002 } as const

/** The end of a dimension line, to be dragged or moved with the arrow keys. */
export function Handle({
  path,
  along,
  x,
  y,
  fine = false,
}: {
  readonly path: FactPath
  readonly along: 'x' | 'y'
  readonly x: number
  readonly y: number
  /** The drawing shows parts of a millimetre. */
  readonly fine?: boolean
}) {
  const steps = fine ? FINE : STEP
  const { scale } = usePlateFrame()
  const bench = useBenchStore((it) => it.bench)
  const fact = getAt(bench, path)
  const spec = benchFactSpec(path)
  const value = isFact(fact) ? fact.value : null
  const commit = (moved: number): void => {
    if (bench === null || spec === undefined) return
    const entered = draggedFact(moved, steps[bench.units], spec, bench.units)
    if (entered.ok && entered.value.value !== value) setFact(path, entered.value, labelAt(bench, path))
    else dropDrag()
  }
  /** Where a drag has brought the value, within its range. */
  const at = ({ dx, dy }: Way): number => {
    const wanted = (value ?? 0) + (along === 'x' ? dx : -dy) / scale
    return Math.min(Math.max(wanted, spec?.min ?? wanted), spec?.max ?? wanted)
  }
  const drag = useDrag({
    move: (way) => {
      if (bench === null || spec === undefined) return
      const entered = draggedFact(at(way), steps[bench.units], spec, bench.units)
      if (entered.ok) dragFact(path, entered.value)
    },
    drop: (way) => commit(at(way)),
    cancel: dropDrag,
    step: (right, up) => {
      if (bench === null) return
      commit((value ?? 0) + (right + up) * steps[bench.units] * (bench.units === 'metric' ? 1 : 25.4))
    },
  })
  if (bench === null || value === null || spec === undefined) return null
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
      {...drag}
    />
  )
}
