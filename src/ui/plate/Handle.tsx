import { useRef } from 'react'
import { draggedFact, getAt, isFact, offeredUnit } from '../../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../../core/document'
import { unitOf, type UnitSystem } from '../../core/units'
import { dragFact, dropDrag, setFact, useBenchStore } from '../../state'
import { useDrag, type Way } from '../useDrag'
import { usePlateFrame } from './Plate'

/** What a hand can set: whole millimetres, or twentieths of an inch. */
const STEP = { metric: 1, inch: 0.05 } as const
/** The same on a drawing that shows parts of a millimetre. */
const FINE = { metric: 0.05, inch: 0.002 } as const

interface HandleProps {
  readonly path: FactPath
  readonly along: 'x' | 'y'
  readonly x: number
  readonly y: number
}

/** The end of a dimension line, to be dragged or moved with the arrow keys. @param fine The drawing shows parts of a millimetre. */
export function Handle({ fine = false, ...at }: HandleProps & { readonly fine?: boolean }) {
  const { scale } = usePlateFrame()
  return <FreeHandle {...at} perPx={1 / scale} steps={fine ? FINE : STEP} />
}

/**
 * The same on a drawing of another kind. @param perPx What a pixel stands for, in the core's unit; less than 0 where the value falls to the right or upwards.
 * @param steps What a hand can set, in the unit that the fact is offered in.
 */
export function FreeHandle(
  props: HandleProps & { readonly perPx: number; readonly steps: Readonly<Record<UnitSystem, number>> },
) {
  const { path, along, x, y, perPx, steps } = props
  // While it is dragged the drawing may change its scale; the hand keeps the one that it began with.
  const held = useRef(perPx)
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
    const wanted = (value ?? 0) + (along === 'x' ? dx : -dy) * held.current
    return Math.min(Math.max(wanted, spec?.min ?? wanted), spec?.max ?? wanted)
  }
  const drag = useDrag({
    begin: () => {
      held.current = perPx
    },
    move: (way) => {
      if (bench === null || spec === undefined) return
      const entered = draggedFact(at(way), steps[bench.units], spec, bench.units)
      if (entered.ok) dragFact(path, entered.value)
    },
    drop: (way) => commit(at(way)),
    cancel: dropDrag,
    step: (right, up) => {
      if (bench === null) return
      if (spec === undefined) return
      const { scale } = unitOf(offeredUnit(spec, bench.units))
      commit((value ?? 0) + (right + up) * Math.sign(perPx) * steps[bench.units] * scale)
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
