import type { Drive } from '../../core/motion'

/** The machine in plan view, in millimetres from the beam's origin, y to the back. Places shapes; works nothing out. */

export interface PlanInput {
  readonly travelX: number
  readonly travelY: number
  readonly barWidth: number
  readonly carriageWidth: number
  readonly carriageDepth: number
  readonly head: { readonly x: number; readonly y: number }
  readonly x: DriveInput
  readonly y: DriveInput
  /** The bed moves under a gantry that stands still. */
  readonly movingBed: boolean
}

export interface DriveInput {
  readonly kind: Drive
  /** Pitch radius of the pulley, mm; of a screw, half of its drawn thickness. */
  readonly radius: number
  readonly motors: number
}

export interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

export interface Run {
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  readonly radius: number
  readonly kind: DriveInput['kind']
  /** A motor at the first end, at both, or none where a shaft carries the turn over. */
  readonly motor: boolean
  /** Where what it moves is clamped to it, along the run, mm from the origin. */
  readonly at: number
  /** Which way the clamp goes when the axis goes forward: 1 away from the motor, −1 towards it. */
  readonly forward: 1 | -1
}

export interface Plan {
  readonly outer: Box
  readonly work: Box
  readonly bars: readonly Box[]
  readonly gantry: Box
  readonly ends: readonly Box[]
  readonly carriage: Box
  readonly diode: Box
  readonly xRun: Run
  readonly yRuns: readonly Run[]
  /** The bed is what follows the pointer along Y. */
  readonly movingBed: boolean
  /** A shaft that joins both sides where one motor drives the gantry. */
  readonly shaft: Box | null
}

/** Where the head is drawn: inside its travel; before anybody moves it, over the middle. */
export function headWithin(head: PlanInput['head'] | null, travelX: number, travelY: number): PlanInput['head'] {
  if (head === null) return { x: travelX * 0.6, y: travelY * 0.45 }
  return { x: Math.min(head.x, travelX), y: Math.min(head.y, travelY) }
}

/**
 * Places the machine around its travel: carriage between the side bars, gantry between the end bars. With a moving bed
 * the gantry stands over the middle and the bed goes the other way, so the frame is a travel deeper.
 */
export function planOf(input: PlanInput): Plan {
  const { travelX: X, travelY: Y, barWidth: t, carriageWidth: cw, carriageDepth: cd, movingBed } = input
  const more = movingBed ? Y / 2 : 0
  const head = movingBed ? { x: input.head.x, y: Y / 2 } : input.head
  const bedAt = movingBed ? Y / 2 - input.head.y : 0
  const outer = { x: -cw / 2 - t, y: -cd / 2 - t - more, w: X + cw + 2 * t, h: Y + cd + 2 * t + 2 * more }
  const inner = { x: -cw / 2, y: -cd / 2 - more, w: X + cw, h: Y + cd + 2 * more }
  const centres = [outer.x + t / 2, outer.x + outer.w - t / 2] as const
  const front = outer.y + t / 2
  const back = outer.y + outer.h - t / 2
  const yRun = (x: number, motor: boolean): Run => ({
    from: [x, front],
    to: [x, back],
    radius: input.y.radius,
    kind: input.y.kind,
    motor,
    at: movingBed ? bedAt + Y / 2 : head.y,
    forward: movingBed ? -1 : 1,
  })
  const bedRun = yRun(outer.x + outer.w / 2, true)
  return {
    outer,
    movingBed,
    work: { x: 0, y: bedAt, w: X, h: Y },
    bars: [
      { x: outer.x, y: outer.y, w: outer.w, h: t },
      { x: outer.x, y: outer.y + outer.h - t, w: outer.w, h: t },
      { x: outer.x, y: inner.y, w: t, h: inner.h },
      { x: outer.x + outer.w - t, y: inner.y, w: t, h: inner.h },
    ],
    gantry: { x: outer.x, y: head.y - t / 2, w: outer.w, h: t },
    ends: centres.map((x) => ({ x: x - t * 0.75, y: head.y - cd * 0.4, w: t * 1.5, h: cd * 0.8 })),
    carriage: { x: head.x - cw / 2, y: head.y - cd / 2, w: cw, h: cd },
    diode: { x: head.x - cw * 0.2, y: head.y - cd * 0.16, w: cw * 0.4, h: cd * 0.32 },
    xRun: {
      from: [centres[0], head.y],
      to: [centres[1], head.y],
      radius: input.x.radius,
      kind: input.x.kind,
      motor: true,
      at: head.x,
      forward: 1,
    },
    yRuns: movingBed ? [bedRun] : [yRun(centres[0], true), yRun(centres[1], input.y.motors === 2)],
    shaft: movingBed || input.y.motors === 2 ? null : { x: centres[0], y: front - 2, w: centres[1] - centres[0], h: 4 },
  }
}
