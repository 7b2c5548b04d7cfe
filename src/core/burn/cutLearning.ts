import { requireInRange } from '../units'
import { cutChance } from './response'

/** A try to cut through: energy of a millimetre, in any unit that all share, and what became of it. */
export interface CutTry {
  readonly energy: number
  readonly isThrough: boolean
}

/** What tries say of the energy at which one of two lines cuts. */
export interface CutLearnt {
  /** Mean and standard deviation of its natural logarithm. */
  readonly mean: number
  readonly u: number
  /**
   * Chance that a line of an energy cuts, over all that the tries leave open, 0…1.
   * @param energy In the unit of the tries.
   */
  readonly chance: (energy: number) => number
}

/** How sharply a material goes from not cut to cut: before anything is tried the spread is about this, in the logarithm by so much. */
const SPREAD = { about: 0.09, by: 0.6 } as const
/** Beyond the tries the limit is looked for by so many factors e to either side. */
const BEYOND = 1.6
const [HALVES, SPREADS] = [241, 15] as const

/**
 * Learns the limit of cutting from tries: a logistic in the logarithm of the energy, its middle anywhere about the tries alike,
 * its spread about what sheets show.
 * @returns Null unless one try cut and one did not. @throws {RangeError} naming the value and its range.
 * Valid: one material, one thickness, one number of passes or energies added over them. Source: Bayes over a grid; logistic
 * regression is its middle where tries are many (Hosmer and Lemeshow, from memory).
 */
export function learnCut(tries: readonly CutTry[]): CutLearnt | null {
  for (const { energy } of tries) requireInRange('energy', energy, Number.MIN_VALUE, Number.MAX_VALUE)
  if (!tries.some((it) => it.isThrough) || !tries.some((it) => !it.isThrough)) return null
  const logs = tries.map((it) => Math.log(it.energy))
  const [low, high] = [Math.min(...logs) - BEYOND, Math.max(...logs) + BEYOND]
  const halves = Array.from({ length: HALVES }, (_, i) => low + ((high - low) * i) / (HALVES - 1))
  const spreads = Array.from({ length: SPREADS }, (_, j) => {
    const off = (3 * (2 * j - (SPREADS - 1))) / (SPREADS - 1)
    return { spread: SPREAD.about * Math.exp(off * SPREAD.by), weight: Math.exp((-off * off) / 2) }
  })
  const cells = halves.flatMap((half) =>
    spreads.map(({ spread, weight }) => ({
      half,
      spread,
      weight: tries.reduce((product, { isThrough }, k) => {
        const chance = 1 / (1 + Math.exp(-((logs[k] as number) - half) / spread))
        return product * (isThrough ? chance : 1 - chance)
      }, weight),
    })),
  )
  const total = cells.reduce((sum, it) => sum + it.weight, 0)
  const mean = cells.reduce((sum, it) => sum + it.weight * it.half, 0) / total
  const variance = cells.reduce((sum, it) => sum + it.weight * (it.half - mean) ** 2, 0) / total
  const likely = cells.filter((it) => it.weight > 1e-7 * total)
  return {
    mean,
    u: Math.sqrt(variance),
    chance: (energy) => likely.reduce((sum, it) => sum + it.weight * cutChance(energy, Math.exp(it.half), it.spread), 0) / total,
  }
}

/**
 * Least energy that cuts with a wanted chance, over all that the tries leave open. @param wanted 0.5…0.99.
 * @returns In the unit of the tries. @throws {RangeError} where the chance is out of its range.
 * Valid: as learnt. Source: the chance rises with the energy; by halving.
 * @example energyToCut({ mean: 0, u: 0.1, chance: (energy) => (energy < 2 ? 0 : 1) }, 0.9) // 2
 */
export function energyToCut({ mean, u, chance }: CutLearnt, wanted: number): number {
  requireInRange('wanted', wanted, 0.5, 0.99)
  let [low, high] = [mean - 4 * u - 2, mean + 4 * u + 2]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (chance(Math.exp(middle)) < wanted) low = middle
    else high = middle
  }
  return Math.exp(high)
}

/** Step to a slower or a faster line while all tries cut, or none (common practice). */
const STEP = 0.7

/**
 * Energy of the next try that tells most: where it cuts with a chance of one half; slower or faster by a step while all tries went
 * one way.
 * @returns In the unit of the tries; null before the first. @throws {RangeError} naming the value and its range.
 * Valid: any tries. Source: a try tells most where its outcome is least certain; √(E₁E₂) between one failure and one success.
 */
export function nextTryEnergy(tries: readonly CutTry[]): number | null {
  const learnt = learnCut(tries)
  if (learnt !== null) return Math.exp(learnt.mean)
  const energies = tries.map((it) => it.energy)
  if (energies.length === 0) return null
  return tries[0]?.isThrough === true ? Math.min(...energies) * STEP : Math.max(...energies) / STEP
}
