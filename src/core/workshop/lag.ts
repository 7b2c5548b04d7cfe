import type { TimedPlan } from '../planner'
import type { Place } from './mechanics'

/** How far light is behind the word for it: the seconds that are still to pass, in and out of moves. */
export class Lag {
  private commanded = false
  private untilLight = 0
  private untilDark = 0

  constructor(private readonly delay: { readonly on: number; readonly off: number }) {}

  /** At once dark, as at the beginning of a program. */
  off(): void {
    this.commanded = false
    this.untilDark = 0
  }

  /** Time passes while nothing moves. */
  wait(commanded: boolean, seconds: number): void {
    this.command(commanded)
    this.untilLight -= seconds
    this.untilDark -= seconds
  }

  /**
   * A move with or without the word for light. @param shareAt Share of its way that is gone after so many seconds.
   * @returns Shares of the way: where the light begins (1: not within it), and how far it still glows from before.
   */
  pass(
    commanded: boolean,
    seconds: number,
    shareAt: (seconds: number) => number,
  ): { readonly lit: number; readonly glows: number } {
    this.command(commanded)
    const lit = this.untilLight > 0 ? (this.untilLight < seconds ? shareAt(this.untilLight) : 1) : 0
    const glows = !commanded && this.untilDark > 0 ? shareAt(Math.min(this.untilDark, seconds)) : 0
    this.untilLight -= seconds
    this.untilDark -= seconds
    return { lit: commanded ? lit : 0, glows }
  }

  private command(commanded: boolean): void {
    if (commanded && !this.commanded) this.untilLight = this.delay.on
    if (!commanded && this.commanded) this.untilDark = this.delay.off
    this.commanded = commanded
  }
}

/**
 * Share of a move's way that is gone after some seconds: it speeds up, goes evenly, slows down.
 * @param seconds 0 up to the move's time. Valid: any move of a plan. Source: uniformly accelerated motion.
 * @example shareOfWay({ length: [10], entry: [0], peak: [10], exit: [0], acceleration: [10], seconds: [2] }, 0, 1) // 0.5
 */
export function shareOfWay(plan: TimedPlan, i: number, seconds: number): number {
  const at = (column: Float64Array): number => column[i] as number
  const [length, u, v, w, a, whole] = [
    at(plan.length),
    at(plan.entry),
    at(plan.peak),
    at(plan.exit),
    at(plan.acceleration),
    at(plan.seconds),
  ]
  if (!(length > 0) || seconds >= whole) return 1
  const [rising, falling] = [(v - u) / a, (v - w) / a]
  const left = whole - seconds
  if (seconds < rising) return (u * seconds + (a * seconds * seconds) / 2) / length
  if (left < falling) return 1 - (w * left + (a * left * left) / 2) / length
  return (u * rising + (a * rising * rising) / 2 + v * (seconds - rising)) / length
}

/** Acceleration that a move asks of each motor, mm/s²: none where it neither begins nor ends. Source: by definition. */
export function strainOf(plan: TimedPlan, i: number, from: Place, to: Place): Place | null {
  const [u, v, w] = [plan.entry[i] as number, plan.peak[i] as number, plan.exit[i] as number]
  const length = plan.length[i] as number
  if (!(length > 0) || v - Math.min(u, w) < 1e-9) return null
  const a = plan.acceleration[i] as number
  return { x: (a * Math.abs(to.x - from.x)) / length, y: (a * Math.abs(to.y - from.y)) / length }
}
