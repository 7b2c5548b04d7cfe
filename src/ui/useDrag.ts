import { useRef, type KeyboardEvent, type PointerEvent } from 'react'

/** How far the pointer has gone since it was pressed, px; up is less than 0, as on the screen. */
export interface Way {
  readonly dx: number
  readonly dy: number
}

type On<E> = (event: E) => void

interface Drag<E extends Element> {
  /** Pressed: the drag begins here. */
  readonly begin?: On<PointerEvent<E>>
  readonly move: (way: Way, event: PointerEvent<E>) => void
  /** Let go: what was moved is kept. */
  readonly drop?: (way: Way) => void
  /** Called off, by Escape or by the browser: what was moved goes back. */
  readonly cancel?: () => void
  /** An arrow key: one step right or up is 1, left or down −1. */
  readonly step?: (right: number, up: number, event: KeyboardEvent) => void
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

/** Something of a drawing that is dragged by the pointer, moved by the arrow keys, and put back by Escape. */
export function useDrag<E extends Element = SVGElement>({ begin, move, drop, cancel, step }: Drag<E>) {
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null)
  const wayOf = (event: PointerEvent): Way | null =>
    from.current === null ? null : { dx: event.clientX - from.current.x, dy: event.clientY - from.current.y }
  const callOff = (): void => {
    from.current = null
    cancel?.()
  }
  return {
    onPointerDown: (event: PointerEvent<E>): void => {
      event.stopPropagation()
      event.currentTarget.setPointerCapture(event.pointerId)
      from.current = { x: event.clientX, y: event.clientY }
      begin?.(event)
    },
    onPointerMove: (event: PointerEvent<E>): void => {
      const way = wayOf(event)
      if (way !== null) move(way, event)
    },
    onPointerUp: (event: PointerEvent<E>): void => {
      const way = wayOf(event)
      from.current = null
      if (way !== null) drop?.(way)
    },
    onPointerCancel: callOff,
    onKeyDown: (event: KeyboardEvent): void => {
      if (event.key === 'Escape') callOff()
      const arrow = ARROWS[event.key]
      if (arrow === undefined || step === undefined) return
      event.preventDefault()
      event.stopPropagation()
      step(arrow[0], arrow[1], event)
    },
  }
}
