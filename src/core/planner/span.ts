import { MOVE, type Moves } from '../gcode'
import { pathsOf } from './geometry'
import type { TimedPlan } from './plan'
import { isLit } from './survey'

/** What some lines of a program do. Lengths in mm. */
export interface Span {
  readonly moves: number
  /** Null where the limits of the machine are not known. */
  readonly seconds: number | null
  readonly burntSeconds: number | null
  readonly wayLength: number
  readonly burntLength: number
  /** Of the ends of their moves and where the first begins; null where nothing moves. */
  readonly box: { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number } | null
  /** Lowest and highest power word with the beam on; null where it is never on. */
  readonly s: readonly [least: number, most: number] | null
}

/**
 * Sums up the moves of some lines. @param from The first, from 1. @param to The last. @param plan Null where no time is known.
 * Valid: any lines; each time that a subroutine’s line is carried out counts. Source: by definition.
 */
export function spanOf(moves: Moves, plan: TimedPlan | null, from: number, to: number): Span {
  const length = plan?.length ?? pathsOf(moves).length
  const sum = { moves: 0, seconds: 0, burntSeconds: 0, wayLength: 0, burntLength: 0 }
  const box = { minX: Infinity, maxX: -Infinity, minY: Infinity, maxY: -Infinity }
  let [least, most] = [Infinity, -Infinity]
  let [x, y] = [0, 0]
  const stretch = (px: number, py: number): void => {
    box.minX = Math.min(box.minX, px)
    box.maxX = Math.max(box.maxX, px)
    box.minY = Math.min(box.minY, py)
    box.maxY = Math.max(box.maxY, py)
  }
  for (let i = 0; i < moves.count; i++) {
    const line = moves.line[i] as number
    const [toX, toY] = [moves.x[i] as number, moves.y[i] as number]
    if (line >= from && line <= to) {
      const seconds = plan?.seconds[i] ?? 0
      sum.moves++
      sum.seconds += seconds
      sum.wayLength += length[i] as number
      if (moves.kind[i] !== MOVE.dwell) {
        stretch(x, y)
        stretch(toX, toY)
      }
      if (isLit(moves, i)) {
        sum.burntSeconds += seconds
        sum.burntLength += length[i] as number
        least = Math.min(least, moves.s[i] as number)
        most = Math.max(most, moves.s[i] as number)
      }
    }
    x = toX
    y = toY
  }
  const isTimed = plan !== null
  return {
    ...sum,
    seconds: isTimed ? sum.seconds : null,
    burntSeconds: isTimed ? sum.burntSeconds : null,
    box: box.minX > box.maxX ? null : box,
    s: least > most ? null : [least, most],
  }
}

/** By what a program is gone through. */
export type Measure = 'time' | 'line' | 'length'

/** Where a program is at a moment of it. Lengths in mm. */
export interface Moment {
  /** The move that is under way, from 0. */
  readonly move: number
  readonly line: number
  /** Where the head is: on the straight way between the ends of the move, which an arc only passes near to. */
  readonly x: number
  readonly y: number
  readonly seconds: number
  readonly length: number
  readonly isLit: boolean
}

/**
 * Where a program is at a share of it. @param share 0 to 1, of its time, its moves' lines, or its way. @returns null where nothing moves.
 * Valid: where it is timed; without a plan time counts as way. Source: by definition; speed within a move taken as even.
 */
export function momentOf(moves: Moves, plan: TimedPlan | null, share: number, by: Measure): Moment | null {
  if (moves.count === 0) return null
  const lengths = plan?.length ?? pathsOf(moves).length
  const amount = (i: number): number =>
    by === 'line' ? 1 : by === 'length' || plan === null ? (lengths[i] as number) : (plan.seconds[i] as number)
  let whole = 0
  for (let i = 0; i < moves.count; i++) whole += amount(i)
  const wanted = Math.min(1, Math.max(0, share)) * whole
  let [sum, seconds, length, i] = [0, 0, 0, 0]
  for (; i < moves.count - 1 && sum + amount(i) < wanted; i++) {
    sum += amount(i)
    seconds += plan?.seconds[i] ?? 0
    length += lengths[i] as number
  }
  const part = amount(i) > 0 ? Math.min(1, (wanted - sum) / amount(i)) : 1
  const [x0, y0] = i === 0 ? [0, 0] : [moves.x[i - 1] as number, moves.y[i - 1] as number]
  return {
    move: i,
    line: moves.line[i] as number,
    x: x0 + ((moves.x[i] as number) - x0) * part,
    y: y0 + ((moves.y[i] as number) - y0) * part,
    seconds: seconds + (plan?.seconds[i] ?? 0) * part,
    length: length + (lengths[i] as number) * part,
    isLit: isLit(moves, i),
  }
}
