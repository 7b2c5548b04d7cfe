import { MOVE, SPINDLE, type Moves } from '../gcode'
import type { TimedPlan } from '../planner'
import type { Place } from './mechanics'

/** A program on its way, on the machine's own clock. */
export class Job {
  private next = 0
  /** Seconds already spent in the present move. */
  private spent = 0
  private elapsed = 0

  constructor(
    readonly moves: Moves,
    readonly plan: TimedPlan,
  ) {}

  get over(): boolean {
    return this.next >= this.moves.count
  }

  /** Seconds that it has run. */
  get seconds(): number {
    return this.elapsed
  }

  /** Share of the program that was carried out. */
  get done(): number {
    const { totalSeconds } = this.plan
    return totalSeconds === 0 ? 0 : Math.min(1, this.elapsed / totalSeconds)
  }

  /** The move that is under way. */
  get at(): number {
    return this.next
  }

  /**
   * Lets time pass. @param carryOut Hears each move that is over, waits among them. @returns Seconds that were left over.
   */
  advance(seconds: number, carryOut: (move: number) => void): number {
    let left = seconds
    while (!this.over) {
      const rest = (this.plan.seconds[this.next] as number) - this.spent
      if (rest > left) {
        this.spent += left
        this.elapsed += left
        return 0
      }
      left -= rest
      this.elapsed += rest
      carryOut(this.next)
      this.next++
      this.spent = 0
      if (left <= 0) return left
    }
    return left
  }

  /** Where the move that is cut off has come to, counted from where the motors stand; null where nothing moves. */
  cutOff(from: Place): Place | null {
    if (this.over || this.moves.kind[this.next] === MOVE.dwell) return null
    const whole = this.plan.seconds[this.next] as number
    const part = whole > 0 ? this.spent / whole : 0
    const to = endOf(this.moves, this.next)
    return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part }
  }
}

/** Where a move ends, mm. */
export function endOf(moves: Moves, i: number): Place {
  return { x: moves.x[i] as number, y: moves.y[i] as number }
}

/**
 * The power in a move as a share of full power: the spindle turns, S is above 0, and the move is not a rapid one.
 * @param fullPower More than 0. Valid: any move. Source: common practice, the beam as the spindle.
 * @example litShare({ kind: [1], spindle: [1], s: [300] }, 0, 1000) // 0.3: a line with the spindle clockwise
 */
export function litShare(moves: Pick<Moves, 'kind' | 'spindle' | 's'>, i: number, fullPower: number): number {
  const dark = moves.kind[i] === MOVE.rapid || moves.kind[i] === MOVE.dwell || moves.spindle[i] === SPINDLE.off
  return dark ? 0 : Math.min(1, Math.max(0, (moves.s[i] as number) / fullPower))
}

/** Whether the word for a beam stands while a move goes on, or a wait. Source: common practice, the beam as the spindle. */
export function isCommanded(moves: Pick<Moves, 'spindle' | 's'>, i: number): boolean {
  return moves.spindle[i] !== SPINDLE.off && (moves.s[i] as number) > 0
}

/** The first move that would leave the travel the machine is set to, if one does. */
export function leaving(moves: Moves, travel: Place): { readonly line: number; readonly words: string } | null {
  for (let i = 0; i < moves.count; i++) {
    for (const axis of ['x', 'y'] as const) {
      const to = moves[axis][i] as number
      if (to < -1e-9 || to > travel[axis] + 1e-9) {
        const words = `${axis.toUpperCase()} would go to ${to.toFixed(3)} mm, beyond its travel of 0 to ${travel[axis]} mm`
        return { line: moves.line[i] as number, words }
      }
    }
  }
  return null
}
