import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Bench } from '../../core/document'
import { localAfter } from '../../core/schedule'
import { editRow } from '../../state'

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

const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1 }

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
  const start = useRef<{ readonly px: number; readonly at: number } | null>(null)
  const [moved, setMoved] = useState<number | null>(null)
  const perDay = x(DAY) - x(0)
  const days = moved ?? 0
  const keep = (by: number): void => {
    if (by !== 0) editRow('parts', id, { arrives: localAfter(first, at + by * DAY).slice(0, 10) }, `the day of “${name}”`)
  }
  const follow = (event: PointerEvent): void => {
    if (start.current !== null) setMoved(Math.round((event.clientX - start.current.px) / perDay))
  }
  const drop = (): void => {
    start.current = null
    keep(days)
    setMoved(null)
  }
  const press = (event: KeyboardEvent): void => {
    const by = KEYS[event.key]
    if (by === undefined) return
    event.preventDefault()
    keep(by)
  }
  const px = x(at + days * DAY)
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`“${name}” arrives; arrow keys move it by a day`}
      aria-valuenow={Math.floor(at / DAY)}
      aria-valuemin={-365}
      aria-valuemax={730}
      aria-valuetext={localAfter(first, at + days * DAY).slice(0, 10)}
      style={{ cursor: 'ew-resize' }}
      onKeyDown={press}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        start.current = { px: event.clientX, at }
      }}
      onPointerMove={follow}
      onPointerUp={drop}
      onPointerCancel={() => {
        start.current = null
        setMoved(null)
      }}
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
