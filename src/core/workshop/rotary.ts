import { between, normal, seeded, type Random } from './random'

/** What a stand-in's rotary really is. Lengths in mm, angles in rad. */
export interface HiddenRotary {
  /** Its steps for a turn are more than its drive says by this share. */
  readonly finer: number
  /** Surface that is lost at a start, and how much that differs from start to start. */
  readonly lost: number
  readonly lostSpread: number
  readonly centreOff: number
  readonly centreAt: number
  readonly longer: number
  readonly longerAt: number
  /** What a person reads by a loupe and by a dial, one standard deviation. */
  readonly loupe: number
  readonly dial: number
}

/** Draws a rotary. @param number The same number, the same rotary. */
export function drawRotary(number: number): HiddenRotary {
  const random = seeded(number ^ 0x70_7a_71)
  return {
    finer: between(random, -0.006, 0.006),
    lost: random() < 0.5 ? between(random, 0, 0.03) : between(random, 0.2, 0.8),
    lostSpread: between(random, 0.004, 0.02),
    centreOff: between(random, 0.05, 0.5),
    centreAt: between(random, 0, 2 * Math.PI),
    longer: between(random, 0.01, 0.2),
    longerAt: between(random, 0, Math.PI),
    loupe: 0.02,
    dial: 0.008,
  }
}

/** One try: whole steps that are commanded in one go, and what they are to turn. */
export interface Turning {
  /** Commanded for a turn, and how many turns in one go. */
  readonly steps: number
  readonly turns: number
  /** Steps for a turn as its drive says. */
  readonly drive: number
  /** Diameter under the mark, mm. */
  readonly diameter: number
}

/**
 * How far the mark stands past itself after turning, as it is read, mm. @param rotary What turns. @param turning What is commanded. @param random Draws what differs from time to time.
 * Valid: turns of one or more. Source: whole steps over the steps that a turn really takes; what is lost at the start comes off once.
 * @example overrunOf({ finer: 0.01, lost: 0, lostSpread: 0, centreOff: 0, centreAt: 0, longer: 0, longerAt: 0, loupe: 0, dial: 0 }, { steps: 3200, turns: 1, drive: 3200, diameter: 60 }, () => 0.5) // -1.866
 */
export function overrunOf(rotary: HiddenRotary, { steps, turns, drive, diameter }: Turning, random: Random): number {
  const taken = Math.round(steps * turns)
  const turned = taken / (drive * (1 + rotary.finer))
  const surface = (turned - turns) * Math.PI * diameter
  return surface - rotary.lost - rotary.lostSpread * normal(random) + rotary.loupe * normal(random)
}

/**
 * What a dial against the object shows, mm. @param rotary What turns. @param angle Of the turn, rad. @param random Draws the noise of the reading.
 * Valid: any angle. Source: the surface of a slightly oval thing off its centre, to first order.
 * @example dialOf({ finer: 0, lost: 0, lostSpread: 0, centreOff: 0.2, centreAt: 0, longer: 0, longerAt: 0, loupe: 0, dial: 0 }, 0, () => 0.5) // 0.2
 */
export function dialOf(rotary: HiddenRotary, angle: number, random: Random): number {
  const { centreOff, centreAt, longer, longerAt } = rotary
  return centreOff * Math.cos(angle - centreAt) + longer * Math.cos(2 * (angle - longerAt)) + rotary.dial * normal(random)
}
