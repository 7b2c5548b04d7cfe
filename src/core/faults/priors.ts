import type { Mark } from '../bench'
import { CAUSES, type Cause } from './causes'
import type { Chances } from './rank'

/** How often each is what is wrong on a machine at home, to that nothing is. (common practice) */
export const BASE_RATES: Chances = {
  none: 6,
  play: 1,
  belt: 1.5,
  pulley: 1.5,
  steps: 1,
  square: 1,
  delay: 1,
  power: 1,
  focus: 1.5,
  dirt: 1.5,
  supply: 1,
  corners: 1,
  holder: 1,
  warp: 1.2,
  air: 1,
}

/** Verdicts that speak of each cause: what was measured good yesterday is less likely today. */
export const SPEAKS: Readonly<Record<Cause, readonly string[]>> = {
  play: ['calibrate.playSmall', 'motion.wheelsSet'],
  belt: ['motion.beltTight', 'motion.beltsAlike'],
  pulley: ['calibrate.outlinesClose', 'calibrate.stepsHeld'],
  steps: ['calibrate.stepsHeld', 'motion.torqueEnough', 'motion.driversEnough'],
  square: ['motion.gantrySquare', 'motion.squareEnough', 'calibrate.runSquare'],
  delay: ['calibrate.lightInTime'],
  power: ['optics.lightAsLabelled'],
  focus: ['calibrate.inFocus', 'calibrate.gaugeRight'],
  dirt: ['optics.lensClean'],
  supply: ['electrical.supplyEnough', 'electrical.readingHolds', 'electrical.dropSmall'],
  corners: ['calibrate.linesEven'],
  holder: ['rotary.doesNotSlip', 'rotary.comesBack'],
  warp: ['calibrate.bedInFocus', 'motion.bedLevel'],
  air: ['air.carries', 'air.letsGo'],
}

/** What a verdict makes of a cause: measured and good, doubtful, bad; not measured leaves it as it is. */
const WEIGHT: Readonly<Record<Mark, number>> = { good: 0.3, look: 2, stop: 4, unknown: 1 }

/**
 * How likely each cause is before anything was looked at.
 * @param markOf The mark of a verdict on this bench, null where it is not judged. @param turns Whether anything is turned on it.
 * Valid: any bench. Source: base rates (common practice), weighed by the worst of what the bench has judged.
 */
export function priorsOf(markOf: (verdict: string) => Mark | null, turns: boolean): Chances {
  const weighed = CAUSES.map((cause) => {
    const marks = SPEAKS[cause].map(markOf).filter((it) => it !== null && it !== 'unknown')
    const weight = marks.length === 0 ? 1 : Math.max(...marks.map((it) => WEIGHT[it as Mark]))
    const isThere = cause !== 'holder' || turns
    return [cause, isThere ? BASE_RATES[cause] * weight : 1e-9] as const
  })
  return { ...BASE_RATES, ...Object.fromEntries(weighed) }
}
