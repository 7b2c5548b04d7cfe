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

  /** The way of the move that is cut off, as far as it has come, from where the motors stand; empty where nothing moves. */
  cutOff(from: Place): readonly Place[] {
    if (this.over || this.moves.kind[this.next] === MOVE.dwell) return []
    const whole = this.plan.seconds[this.next] as number
    return wayOf(this.moves, this.next, from, whole > 0 ? this.spent / whole : 0)
  }
}

/** Furthest that a chord of an arc may lie off it, mm: far below any spot. */
const SAGITTA = 0.005

/**
 * Where the motors go in a move, its end last: one place of a straight one, chords of an arc in the plane XY. An arc whose
 * ends coincide is a whole turn (RS274/NGC).
 * @param from Where it begins, mm. @param part Share of it that is carried out, 0…1.
 * Valid: any move. Source: NISTIR 6556, 3.5.3 (arcs, from memory).
 * @example wayOf({ kind: [1], x: [4], y: [0] }, 0, { x: 0, y: 0 }) // [{ x: 4, y: 0 }]
 */
export function wayOf(moves: Moves, i: number, from: Place, part = 1): readonly Place[] {
  const to = endOf(moves, i)
  const kind = moves.kind[i]
  const isRound = (kind === MOVE.clockwise || kind === MOVE.counterClockwise) && moves.plane[i] === 17
  if (!isRound) return [{ x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part }]
  const centre = { x: moves.centreA[i] as number, y: moves.centreB[i] as number }
  const [dx, dy] = [from.x - centre.x, from.y - centre.y]
  const radius = Math.hypot(dx, dy)
  const begin = Math.atan2(dy, dx)
  const way = kind === MOVE.clockwise ? -1 : 1
  const turn = 2 * Math.PI
  const gap = (Math.atan2(to.y - centre.y, to.x - centre.x) - begin) * way
  const swept = (gap - turn * Math.floor(gap / turn) || turn) * part
  const one = radius > SAGITTA ? 2 * Math.acos(1 - SAGITTA / radius) : turn
  const count = Math.max(1, Math.ceil(swept / one))
  const end = part === 1 ? to : null
  return Array.from({ length: count }, (_, k): Place => {
    if (k === count - 1 && end !== null) return end
    const angle = begin + (way * swept * (k + 1)) / count
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) }
  })
}

/**
 * The places between two shares of a way, the later one last. @param start Where it begins, mm. @param way Its places, as far apart
 * as one another. @param from Share, 0…1. @param to Share, from…1.
 * Valid: ways of a place or more. Source: by definition.
 * @example stretch({ x: 0, y: 0 }, [{ x: 4, y: 0 }], 0, 0.5) // [{ x: 2, y: 0 }]
 */
export function stretch(start: Place, way: readonly Place[], from: number, to: number): readonly Place[] {
  const n = way.length
  const between = way.filter((_, k) => (k + 1) / n > from + 1e-12 && (k + 1) / n < to - 1e-12)
  const k = Math.min(n - 1, Math.floor(to * n))
  const [p, q] = [k === 0 ? start : (way[k - 1] as Place), way[k] as Place]
  const part = to * n - k
  return [...between, part >= 1 ? q : { x: p.x + (q.x - p.x) * part, y: p.y + (q.y - p.y) * part }]
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
