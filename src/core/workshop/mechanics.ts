import type { Hidden } from './hidden'
import { normal, seeded, type Random } from './random'

/** Microsteps of one cycle of a winding: four full steps of sixteen. */
const CYCLE_STEPS = 64
/** Standard deviation of what a sagging belt takes up, as a share of it. */
const SAG_SPREAD = 0.4

export type Axis = 'x' | 'y'

export interface Place {
  readonly x: number
  readonly y: number
}

/** What moves: motors in whole steps, and the head that hangs behind them by the hidden play and skew. */
export class Mechanics {
  private readonly motor = { x: 0, y: 0 }
  /** Where the head hangs, mm; it follows the motor through the play. */
  private readonly head: { x: number; y: number }
  /** Microsteps that the motor has missed, mm that its pulley has slipped, and play that was added at the last turn back. */
  private readonly missed = { x: 0, y: 0 }
  private readonly slipped = { x: 0, y: 0 }
  private readonly sag = { x: 0, y: 0 }
  private readonly way = { x: 1, y: 1 }
  private readonly chance: Random

  /** @param stepsPerMm What the machine is set to, of an axis, at any time. */
  constructor(
    private readonly hidden: Hidden,
    private readonly stepsPerMm: (axis: Axis) => number,
    seed = 1,
  ) {
    this.chance = seeded(seed * 31 + 5)
    this.head = { x: -hidden.play.x, y: -hidden.play.y }
  }

  /** Where an axis believes to be, mm. */
  place(axis: Axis): number {
    return this.motor[axis] / this.stepsPerMm(axis)
  }

  /** @param hard Acceleration that each motor is asked for, mm/s²; none while nothing begins or ends. */
  moveTo({ x, y }: Place, hard: Place | null = null): void {
    for (const [axis, to] of [['x', x] as const, ['y', y] as const]) {
      const before = this.motor[axis]
      this.turn(axis, to)
      if (hard !== null) this.strain(axis, Math.sign(this.motor[axis] - before), hard[axis])
    }
  }

  /** Where the spot is on the material, mm: the Y axis leans over by the skew. */
  spot(): Place {
    const { skewRad } = this.hidden
    return { x: this.head.x + this.head.y * Math.sin(skewRad), y: this.head.y * Math.cos(skewRad) }
  }

  /** Turns a motor to a commanded place in whole steps and pulls the head along. */
  private turn(axis: Axis, mm: number): void {
    const { mmPerStep, play, faults } = this.hidden
    const before = this.motor[axis]
    this.motor[axis] = Math.round(mm * this.stepsPerMm(axis))
    const moved = (this.motor[axis] - before) * mmPerStep[axis]
    if (faults.slip?.axis === axis) this.slipped[axis] += Math.abs(moved) * faults.slip.share
    if (moved !== 0 && Math.sign(moved) !== this.way[axis]) {
      this.way[axis] = Math.sign(moved)
      if (faults.loose?.axis === axis) this.sag[axis] = faults.loose.mm * (1 + SAG_SPREAD * normal(this.chance))
    }
    const pulled = (this.motor[axis] + this.missed[axis]) * mmPerStep[axis] + this.slipped[axis]
    this.head[axis] = Math.min(Math.max(this.head[axis], pulled - play[axis] - Math.max(0, this.sag[axis])), pulled)
  }

  /** A motor that is asked for more than it holds jumps back by whole cycles of its winding, now and then. */
  private strain(axis: Axis, direction: number, acceleration: number): void {
    const { holds, faults } = this.hidden
    if (direction === 0 || !(acceleration > 0)) return
    const chance = acceleration > holds[axis] ? 0.2 : faults.misses?.axis === axis ? faults.misses.chance : 0
    if (chance > 0 && this.chance() < chance) this.missed[axis] -= direction * CYCLE_STEPS
  }
}
