import type { Placed } from '../../core/schedule'
import { localAfter } from '../../core/schedule'
import { editRow } from '../../state'
import { useDayDrag } from './useDayDrag'

const DAY = 24 * 60

/**
 * The work of a task on the schedule: dragged, or moved by the arrow keys, it is put off to another day, and all that
 * waits for it with it. It cannot come before what it waits for itself.
 */
export function TaskBar(props: {
  readonly id: string
  readonly name: string
  readonly placed: Placed
  readonly critical: boolean
  /** Day until which it is put off; empty: not. */
  readonly notBefore: string
  readonly first: string
  readonly y: number
  readonly height: number
  readonly x: (minutes: number) => number
}) {
  const { id, name, placed, critical, notBefore, first, y, height, x } = props
  const { moved, handlers } = useDayDrag(x, (by) => {
    const day = localAfter(first, placed.start + by * DAY).slice(0, 10)
    // Before today nothing is put off.
    editRow('tasks', id, { notBefore: day <= first ? '' : day }, `the day of “${name}”`)
  })
  const shift = x((moved ?? 0) * DAY) - x(0)
  const [from, to] = [x(placed.start), x(placed.end)]
  const day = localAfter(first, placed.start + (moved ?? 0) * DAY).slice(0, 10)
  return (
    <g
      role="slider"
      aria-label={`“${name}” is worked on; arrow keys put it off by a day or bring it forward`}
      aria-valuenow={Math.floor(placed.start / DAY) + (moved ?? 0)}
      aria-valuemin={0}
      aria-valuemax={730}
      aria-valuetext={day}
      {...handlers}
    >
      <title>{`${name}: ${day}${critical ? ', no float' : ''}${notBefore === '' ? '' : `, put off until ${notBefore}`}`}</title>
      <rect x={Math.min(from, (from + to) / 2 - 11)} y={y} width={Math.max(22, to - from)} height={height} fill="transparent" />
      {placed.pieces.map(([begin, end]) => (
        <rect
          key={begin}
          x={x(begin) + shift}
          y={y + 5}
          width={Math.max(2, x(end) - x(begin))}
          height={height - 10}
          fill={moved !== null && moved !== 0 ? 'var(--teal)' : critical ? 'var(--ink)' : 'var(--paper)'}
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
      ))}
      {notBefore !== '' && <path d={`M${from - 4} ${y + 3}v${height - 6}`} stroke="var(--second)" strokeWidth="1.6" />}
    </g>
  )
}
