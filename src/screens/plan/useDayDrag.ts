import { useState } from 'react'
import { useDrag } from '../../ui'

const DAY = 24 * 60
/** Where a day is wider than the sheet, as a change-over is drawn by the hour, this far drags it by one, px. */
const MOST_PER_DAY = 240

/**
 * Something on the schedule that is moved by whole days: dragged, or by the arrow keys.
 * @param x px of a time in minutes. @param keep Takes the move, in days, once it is let go; never 0.
 * @returns How far it is moved at the moment, days (null: it rests), and what to hang on the thing.
 */
export function useDayDrag(x: (minutes: number) => number, keep: (days: number) => void) {
  const [moved, setMoved] = useState<number | null>(null)
  const perDay = Math.min(x(DAY) - x(0), MOST_PER_DAY)
  const days = (dx: number): number => Math.round(dx / perDay)
  const drag = useDrag({
    move: ({ dx }) => setMoved(days(dx)),
    drop: ({ dx }) => {
      setMoved(null)
      if (days(dx) !== 0) keep(days(dx))
    },
    cancel: () => setMoved(null),
    step: (right) => {
      if (right !== 0) keep(right)
    },
  })
  return { moved, handlers: { tabIndex: 0, style: { cursor: 'ew-resize' }, ...drag } }
}
