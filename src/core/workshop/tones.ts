import { between, seeded } from './random'

/** How the stand-in's sheet darkens: the person cannot see it. */
export interface HiddenTone {
  /** CIE L* untouched and charred. */
  readonly bare: number
  readonly char: number
  /** Dose before anything shows, and the dose that goes on from there, J/mm². */
  readonly begins: number
  readonly scale: number
  /** Slower light of the same dose counts for more: power of the speed. */
  readonly slow: number
  /** How steeply it sets in. */
  readonly bend: number
  /** Grain: standard deviation from place to place over a few millimetres, L*. */
  readonly grain: number
}

/** mm/s at which a dose counts as it is. */
const USUAL_SPEED = 40

/** The sheet of a number. Valid: any whole number. Source: hidden. */
export function drawTone(number: number): HiddenTone {
  const random = seeded(number ^ 0x51ab)
  return {
    bare: between(random, 70, 86),
    char: between(random, 18, 34),
    begins: between(random, 0.05, 0.35),
    scale: between(random, 0.5, 1.6),
    slow: between(random, 0, 0.3),
    bend: between(random, 0.9, 1.15),
    grain: between(random, 0.5, 1.4),
  }
}

/**
 * How much more a dose counts that is given at a speed. @param speed mm/s, more than 0. Valid: scanned light. Source: hidden.
 * @example slownessOf({ bare: 80, char: 25, begins: 0.2, scale: 1, slow: 0.5, bend: 1, grain: 1 }, 10) // 2
 */
export function slownessOf({ slow }: HiddenTone, speed: number): number {
  return (USUAL_SPEED / speed) ** slow
}

/**
 * CIE L* where the sheet got a dose that counts so much. @param felt J/mm², times `slownessOf`. Valid: any dose. Source: hidden.
 * @example toneOf({ bare: 80, char: 20, begins: 0.2, scale: 1, slow: 0, bend: 1, grain: 1 }, 1.2) // 42.07
 */
export function toneOf({ bare, char, begins, scale, bend }: HiddenTone, felt: number): number {
  const over = Math.max(0, felt - begins) / scale
  return char + (bare - char) * Math.exp(-(over ** bend))
}
