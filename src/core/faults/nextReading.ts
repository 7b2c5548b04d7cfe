import { CULPRITS } from './causes'
import { expectedOf } from './forward'
import { HOW_READ, READINGS, type Proof, type Reading } from './observed'
import { chancesIn, chancesOf, gridOf, ranked, severitiesOf, type Chances, type Evidence } from './rank'

/** A reading that could be taken next, and what it would be worth. */
export interface NextReading {
  readonly reading: Reading
  /** Doubt that it is expected to take away, bits. */
  readonly gain: number
  readonly minutes: number
}

/** Minutes that any reading takes besides: fetching calipers, sheet and light. */
const SETTING_OUT = 4

const entropy = (chances: Chances): number =>
  CULPRITS.reduce((sum, it) => sum - (chances[it] > 0 ? chances[it] * Math.log2(chances[it]) : 0), 0)

/** Readings of each culprit that are tried: hardly, middling, badly. */
const TRIED = [3, 11, 20] as const

/**
 * Readings that are still to be taken, by what they tell for the minute; the first is the cheapest that decides.
 * @param priors As for `chancesOf`. @param evidence What is known so far. @param proof The pattern on this machine.
 * Valid: any evidence. Source: expected information gain over what the likely culprits would show.
 */
export function nextReadings(priors: Chances, evidence: Evidence, proof: Proof): readonly NextReading[] {
  const now = chancesOf(priors, evidence, proof)
  const before = entropy(now)
  const grid = gridOf(priors, evidence, proof)
  const likely = ranked(now)
    .filter(([, chance]) => chance > 0.02)
    .slice(0, 6)
  return READINGS.filter((it) => evidence.read[it] === undefined && (it !== 'seam' || proof.turns))
    .map((reading): NextReading => {
      let after = 0
      let weight = 0
      for (const [culprit, chance] of likely) {
        const severities = severitiesOf(culprit)
        const picks = severities.length === 1 ? [0] : TRIED
        for (const pick of picks) {
          const value = expectedOf(culprit, severities[pick] ?? severities[0] ?? 0, proof)[reading]
          const then = chancesIn(grid, { reading, value })
          after += (chance / picks.length) * entropy(then)
          weight += chance / picks.length
        }
      }
      return { reading, gain: before - after / Math.max(weight, 1e-9), minutes: HOW_READ[reading].minutes }
    })
    .sort((p, q) => q.gain / (q.minutes + SETTING_OUT) - p.gain / (p.minutes + SETTING_OUT))
}
