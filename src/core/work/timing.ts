import { MOVE, type Moves } from '../gcode'
import { isLit, type TimedPlan } from '../planner'

/** Where the time of a program goes, s. */
export interface TimeOfWork {
  readonly burning: number
  /** Dark, between two pieces of one line, at the speed of the burn. */
  readonly white: number
  /** Dark, up to speed before lines and down behind them. */
  readonly turning: number
  /** Dark ways at the machine's own speed. */
  readonly travelling: number
  readonly waiting: number
}

/**
 * Parts the time of a program by what it is spent on. Valid: a planned program. Source: by definition; a dark move at feed rate between two
 * lit ones is white, another is a run-up or run-out.
 */
export function timeOfWork(moves: Moves, plan: TimedPlan): TimeOfWork {
  const time = { burning: 0, white: 0, turning: 0, travelling: 0, waiting: 0 }
  const isMove = (i: number): boolean => i >= 0 && i < moves.count && moves.kind[i] !== MOVE.dwell
  const next = (i: number, way: 1 | -1): boolean => {
    let k = i + way
    while (k >= 0 && k < moves.count && !isMove(k)) k += way
    return isMove(k) && isLit(moves, k)
  }
  for (let i = 0; i < moves.count; i++) {
    const seconds = plan.seconds[i] as number
    if (moves.kind[i] === MOVE.dwell) time.waiting += seconds
    else if (isLit(moves, i)) time.burning += seconds
    else if (moves.kind[i] === MOVE.rapid) time.travelling += seconds
    else if (next(i, -1) && next(i, 1)) time.white += seconds
    else time.turning += seconds
  }
  return time
}
