import type { Bench } from '../../core/document'
import { localAfter } from '../../core/schedule'
import { editRow } from '../../state'
import { useDayDrag } from './useDayDrag'

const DAY = 24 * 60

/** The parcels that a task still waits for, with their days. */
export function parcelsOf(
  bench: Bench,
  taskId: string,
): readonly { readonly id: string; readonly part: string; readonly day: string }[] {
  const { tasks, parts } = bench.plan
  return Object.keys(tasks[taskId]?.parts ?? {}).flatMap((id) => {
    const part = parts[id]
    return part?.state === 'ordered' && part.arrives !== '' ? [{ id, part: part.name, day: part.arrives }] : []
  })
}

/** A parcel on the schedule: dragged, or moved by the arrow keys, to the day it really comes. */
export function Parcel(props: {
  readonly id: string
  readonly name: string
  readonly at: number
  readonly first: string
  readonly y: number
  readonly x: (minutes: number) => number
}) {
  const { id, name, at, first, y, x } = props
  const { moved, handlers } = useDayDrag(x, (by) =>
    editRow('parts', id, { arrives: localAfter(first, at + by * DAY).slice(0, 10) }, `the day of “${name}”`),
  )
  const days = moved ?? 0
  const px = x(at + days * DAY)
  return (
    <g
      role="slider"
      aria-label={`“${name}” arrives; arrow keys move it by a day`}
      aria-valuenow={Math.floor(at / DAY)}
      aria-valuemin={-365}
      aria-valuemax={730}
      aria-valuetext={localAfter(first, at + days * DAY).slice(0, 10)}
      {...handlers}
    >
      <title>{`${name}: ${localAfter(first, at + days * DAY).slice(0, 10)}`}</title>
      <rect x={px - 11} y={y} width="22" height="20" fill="transparent" />
      <path
        d={`M${px - 5} ${y + 3}h10l-5 8Z`}
        fill={moved === null ? 'var(--paper)' : 'var(--teal)'}
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
    </g>
  )
}
