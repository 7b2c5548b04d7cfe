import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'

const DAY = 24 * 60
/** Where a day is wider than the sheet, as a change-over is drawn by the hour, this far drags it by one, px. */
const MOST_PER_DAY = 240
const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1 }

/**
 * Something on the schedule that is moved by whole days: dragged, or by the arrow keys.
 * @param x px of a time in minutes. @param keep Takes the move, in days, once it is let go; never 0.
 * @returns How far it is moved at the moment, days (null: it rests), and what to hang on the thing.
 */
export function useDayDrag(x: (minutes: number) => number, keep: (days: number) => void) {
  const start = useRef<number | null>(null)
  const [moved, setMoved] = useState<number | null>(null)
  const perDay = Math.min(x(DAY) - x(0), MOST_PER_DAY)
  const rest = (): void => {
    start.current = null
    setMoved(null)
  }
  const handlers = {
    tabIndex: 0,
    style: { cursor: 'ew-resize' },
    onKeyDown: (event: KeyboardEvent): void => {
      if (event.key === 'Escape') rest()
      const by = KEYS[event.key]
      if (by === undefined) return
      event.preventDefault()
      keep(by)
    },
    onPointerDown: (event: PointerEvent<SVGElement>): void => {
      event.currentTarget.setPointerCapture(event.pointerId)
      start.current = event.clientX
    },
    onPointerMove: (event: PointerEvent): void => {
      if (start.current !== null) setMoved(Math.round((event.clientX - start.current) / perDay))
    },
    onPointerUp: (): void => {
      const dragged = start.current !== null
      rest()
      if (dragged && moved !== null && moved !== 0) keep(moved)
    },
    onPointerCancel: rest,
  }
  return { moved, handlers }
}
