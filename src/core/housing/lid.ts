import { requireInRange } from '../units'

/** kg → N. Standard gravity (CGPM 1901). */
const G = 9.80665

/** A lid on a hinge: its weight and where its springs take hold. Places from the hinge, mm: x out along the closed lid, y up from it. */
export interface Lid {
  /** kg. */
  readonly mass: number
  /** Centre of mass along the lid, and above it, mm. */
  readonly centre: number
  readonly above: number
  /** Springs take hold of the lid so far out, and so far above it. */
  readonly onLid: number
  readonly onLidAbove: number
  /** Where they are fixed to the box. */
  readonly boxX: number
  readonly boxY: number
  /** How many springs. */
  readonly count: number
}

/** A gas spring by its label. */
export interface GasSpring {
  /** Force stretched, at 20 °C, N. */
  readonly force: number
  /** Force pressed in over force stretched: 1.2 to 1.5. (common practice) */
  readonly progression: number
  /** Between its ends, stretched, mm, and how far it goes in. */
  readonly stretched: number
  readonly stroke: number
}

/** Force that a gas spring gains for a kelvin: that of the gas in it about 20 °C. (common practice) */
const PER_KELVIN = 0.0034

/** A spring as it stands at an angle of the lid. */
export interface SpringAt {
  /** Between its ends, mm. */
  readonly length: number
  /** From the hinge square to its line, mm; less than 0 where it pulls the lid shut. */
  readonly arm: number
}

/**
 * A spring at an angle of the lid. @param angle rad; 0 when shut. @throws {RangeError} where both ends of the spring meet.
 * Valid: a spring that moves in the plane of its ends. Source: r = (A × B)/|A − B| with A on the lid, B on the box.
 * @example springAt({ mass: 4, centre: 250, above: 0, onLid: 150, onLidAbove: 0, boxX: 60, boxY: -250, count: 2 }, 0).arm // 141.1
 */
export function springAt({ onLid, onLidAbove, boxX, boxY }: Lid, angle: number): SpringAt {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const [x, y] = [onLid * c - onLidAbove * s, onLid * s + onLidAbove * c]
  const length = Math.hypot(x - boxX, y - boxY)
  requireInRange('length of the spring', length, 1e-6, 1e5, 'mm')
  // Pushed from the box towards the lid, it turns the lid by A × (A − B).
  return { length, arm: (boxX * y - boxY * x) / length }
}

/** Moment of the lid's weight about its hinge, N·m; more than 0 where it shuts it. @param angle rad. Valid: any angle, hinge level. Source: m g (x₀ cos θ − y₀ sin θ). @example lidWeight({ mass: 4, centre: 250, above: 0, onLid: 150, onLidAbove: 0, boxX: 60, boxY: -250, count: 2 }, 0) // 9.807 */
export function lidWeight({ mass, centre, above }: Lid, angle: number): number {
  return (mass * G * (centre * Math.cos(angle) - above * Math.sin(angle))) / 1000
}

/**
 * Force that each spring needs so that the lid stands still, N. @param angle rad. @throws {RangeError} where both ends meet.
 * Valid: without friction; infinite where the spring’s line goes through the hinge. Source: m g x/(n r).
 * @example forceToHold({ mass: 4, centre: 250, above: 0, onLid: 150, onLidAbove: 0, boxX: 60, boxY: -250, count: 2 }, 0) // 34.743
 */
export function forceToHold(lid: Lid, angle: number): number {
  return (1000 * lidWeight(lid, angle)) / (lid.count * springAt(lid, angle).arm)
}

/**
 * Force of a gas spring, N. @param length Between its ends, mm. @param celsius Of the spring.
 * @throws {RangeError} where it would be longer than stretched, or pressed further in than it goes. Valid: −20 to 60 °C.
 * Source: from stretched to pressed in along a straight line; 0.34 % a kelvin (common practice). @example gasForce({ force: 50, progression: 1.3, stretched: 385, stroke: 150 }, 310, 20) // 57.5
 */
export function gasForce({ force, progression, stretched, stroke }: GasSpring, length: number, celsius: number): number {
  requireInRange('length of the gas spring', length, stretched - stroke - 1e-9, stretched + 1e-9, 'mm')
  const pressed = (stretched - length) / stroke
  return force * (1 + (progression - 1) * pressed) * (1 + PER_KELVIN * (celsius - 20))
}

/** What a lid does when it is let go. */
export type LidDoes = 'opens' | 'holds' | 'falls'

/** What a lid with springs does at an angle. */
export interface LidState {
  readonly angle: number
  /** Moment that opens it, less than 0 where it shuts, N·m. */
  readonly moment: number
  readonly does: LidDoes
  /** Force at its front edge to move it on, N; more than 0 where a hand must lift. */
  readonly hand: number
}

/**
 * What a lid does through its travel. @param spring @param to Widest angle, rad. @param friction Of hinges and springs, N·m. @param celsius Of the springs. @param edge Front edge from the hinge, mm. @param count Places looked at.
 * @throws {RangeError} where a spring would be longer or shorter than it can be. Valid: slow moves. Source: moments about the hinge.
 */
export function lidTravel(
  lid: Lid,
  spring: GasSpring,
  {
    to,
    friction,
    celsius,
    edge,
    count = 31,
  }: { readonly to: number; readonly friction: number; readonly celsius: number; readonly edge: number; readonly count?: number },
): readonly LidState[] {
  return Array.from({ length: count }, (_, k): LidState => {
    const angle = (to * k) / (count - 1)
    const { length, arm } = springAt(lid, angle)
    const moment = (lid.count * gasForce(spring, length, celsius) * arm) / 1000 - lidWeight(lid, angle)
    const does = moment > friction ? 'opens' : moment < -friction ? 'falls' : 'holds'
    return { angle, moment, does, hand: (-1000 * moment) / edge }
  })
}

/**
 * Load on the hinge, N, all of it. @param angle rad. @param force Of each spring, N. @throws {RangeError} where both ends of the spring meet.
 * Valid: at rest. Source: what the springs push and what the weight pulls, together. @example hingeLoad({ mass: 4, centre: 250, above: 0, onLid: 150, onLidAbove: 0, boxX: 60, boxY: -250, count: 2 }, 0, 34.75) // 35.2
 */
export function hingeLoad(lid: Lid, angle: number, force: number): number {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const [x, y] = [lid.onLid * c - lid.onLidAbove * s - lid.boxX, lid.onLid * s + lid.onLidAbove * c - lid.boxY]
  const { length } = springAt(lid, angle)
  const push = (lid.count * force) / length
  return Math.hypot(push * x, push * y - lid.mass * G)
}
