import type { Hidden } from './hidden'

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

  /** @param stepsPerMm What the machine is set to, of an axis, at any time. */
  constructor(
    private readonly hidden: Hidden,
    private readonly stepsPerMm: (axis: Axis) => number,
  ) {
    this.head = { x: -hidden.play.x, y: -hidden.play.y }
  }

  /** Where an axis believes to be, mm. */
  place(axis: Axis): number {
    return this.motor[axis] / this.stepsPerMm(axis)
  }

  moveTo({ x, y }: Place): void {
    this.turn('x', x)
    this.turn('y', y)
  }

  /** Where the spot is on the material, mm: the Y axis leans over by the skew. */
  spot(): Place {
    const { skewRad } = this.hidden
    return { x: this.head.x + this.head.y * Math.sin(skewRad), y: this.head.y * Math.cos(skewRad) }
  }

  /** Turns a motor to a commanded place in whole steps and pulls the head along. */
  private turn(axis: Axis, mm: number): void {
    this.motor[axis] = Math.round(mm * this.stepsPerMm(axis))
    const pulled = this.motor[axis] * this.hidden.mmPerStep[axis]
    this.head[axis] = Math.min(Math.max(this.head[axis], pulled - this.hidden.play[axis]), pulled)
  }
}
