import { requireInRange, refused, accepted, type Outcome } from '../units'
import { LENGTHS, THREADS, type ThreadName } from './threads'

/** What the screw goes into. */
export const INTO = {
  nut: 'a nut behind',
  slotNut: 'a nut in the slot',
  steel: 'a thread in steel',
  aluminium: 'a thread in aluminium',
  plastic: 'a thread in plastic',
} as const
export type Into = keyof typeof INTO

/** A joint: what it holds together and what the screw goes into. */
export interface Joint {
  readonly thread: ThreadName
  /** Thickness of what is held, washers included, mm; more than 0. */
  readonly stackMm: number
  readonly into: Into
  /** Depth of the hole or slot behind the stack, mm; null where it goes through. */
  readonly holeDepthMm: number | null
}

/** What a joint takes. */
export interface Fit {
  /** Standard length, mm. */
  readonly lengthMm: number
  /** Shortest and longest that would do, mm; longest Infinity where nothing stops it. */
  readonly leastMm: number
  readonly mostMm: number
  readonly clearanceHoleMm: number
  /** Where a thread is tapped. */
  readonly tapDrillMm: number | null
}

/** Engagement as a multiple of the diameter (common practice). */
const ENGAGEMENT: Readonly<Record<Exclude<Into, 'nut'>, number>> = { slotNut: 1, steel: 1, aluminium: 1.5, plastic: 2 }
/** Room that is left before the bottom of a blind hole, mm. */
const BOTTOM = 1

/**
 * Thread that the screw must have behind the stack, mm: so many diameters of it, or a nut and two pitches.
 * Valid: coarse threads M3 to M8. Source: common practice; ISO 4032 for the nut, ISO 261 for the pitch.
 * @example behindStack({ thread: 'M5', into: 'aluminium' }) // 7.5
 */
export function behindStack({ thread, into }: Pick<Joint, 'thread' | 'into'>): number {
  const { diameter, pitch, nut } = THREADS[thread]
  return into === 'nut' ? nut + 2 * pitch : ENGAGEMENT[into] * diameter
}

/**
 * The next standard screw for a joint.
 * @returns The fit, or why no standard length does.
 * @throws {RangeError} for a stack that is not more than 0.
 * Source: engagement after common practice; ISO 4762 for the lengths, ISO 273 and 261 for the holes.
 */
export function screwFor({ thread, stackMm, into, holeDepthMm }: Joint): Outcome<Fit> {
  requireInRange('stackMm', stackMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const { clearance, tapDrill } = THREADS[thread]
  const behind = behindStack({ thread, into })
  const leastMm = stackMm + behind
  const mostMm = holeDepthMm === null ? Infinity : stackMm + holeDepthMm - BOTTOM
  const lengthMm = LENGTHS.find((it) => it >= leastMm - 1e-9)
  if (mostMm < leastMm) {
    return refused(
      'hole-too-shallow',
      `The hole is too shallow: ${thread} wants ${behind.toFixed(1)} mm of thread behind the stack and a millimetre of room, the hole has ${holeDepthMm ?? 0} mm.`,
    )
  }
  if (lengthMm === undefined)
    return refused('too-long', `No standard ${thread} screw is ${leastMm.toFixed(1)} mm long or longer.`)
  if (lengthMm > mostMm) {
    return refused(
      'between-lengths',
      `Between the standard lengths: at least ${leastMm.toFixed(1)} mm and at most ${mostMm.toFixed(1)} mm. A washer of ${(lengthMm - mostMm).toFixed(1)} mm makes ${lengthMm} mm fit.`,
    )
  }
  const tapped = into === 'steel' || into === 'aluminium' || into === 'plastic'
  return accepted({ lengthMm, leastMm, mostMm, clearanceHoleMm: clearance, tapDrillMm: tapped ? tapDrill : null })
}
