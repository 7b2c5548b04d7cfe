import { requireInRange } from '../units'

/** How a material darkens. Fitted, and not to be trusted beyond the doses that it was fitted on. */
export interface ToneLaw {
  /** CIE L* of the bare material and of the strongest burn, 0…100; what is burnt light has the higher one. */
  readonly bare: number
  readonly darkest: number
  /** Dose from which it darkens, and by which it darkens by a factor e, J/mm². */
  readonly from: number
  readonly by: number
  /** The same dose given slower is often darker: exponent of the speed; 0: it makes no difference. */
  readonly bySpeed: number
}

/** Speed for which a tone law's doses are meant, mm/s. */
export const TONE_SPEED = 50

/** How a sheet darkens of which nothing was read (common practice: bare wood). */
export const USUAL_LAW: Omit<ToneLaw, 'bare'> = { darkest: 22, from: 0.2, by: 0.9, bySpeed: 0.1 }

/**
 * Tone after a dose, CIE L*. @param dose J/mm². @param speed mm/s; the law's own where it makes no difference.
 * @throws {RangeError} where the dose is less than 0. Valid: within the doses and speeds it was fitted on.
 * Source: L₀ − (L₀ − L_min)(1 − e^(−(H − H₀)/H_c)) (common practice), the dose times (v₀/v)^k.
 * @example toneAfter({ bare: 78, darkest: 22, from: 0.2, by: 0.9, bySpeed: 0 }, 1) // 45.02
 */
export function toneAfter({ bare, darkest, from, by, bySpeed }: ToneLaw, dose: number, speed = TONE_SPEED): number {
  requireInRange('dose', dose, 0, Number.MAX_VALUE, 'J/mm²')
  const felt = dose * (TONE_SPEED / speed) ** bySpeed - from
  return felt > 0 ? bare - (bare - darkest) * (1 - Math.exp(-felt / by)) : bare
}

/**
 * Dose for a tone, J/mm²; the other way round. @param tone CIE L*.
 * @returns Null where the material never gets so dark, or is darker already. Valid: as the law. Source: `toneAfter`, solved.
 * @example doseForTone({ bare: 78, darkest: 22, from: 0.2, by: 0.9, bySpeed: 0 }, 45.02) // 1
 */
export function doseForTone({ bare, darkest, from, by, bySpeed }: ToneLaw, tone: number, speed = TONE_SPEED): number | null {
  const left = (tone - darkest) / (bare - darkest)
  return left > 0 && left < 1 ? (from - by * Math.log(left)) / (TONE_SPEED / speed) ** bySpeed : null
}

/**
 * Depth of one cutting pass by energy balance, mm. @param power W. @param speed mm/s. @param width Of the kerf, mm.
 * @param volumetric Energy to take a volume away, J/mm³. @param used Share of the light that is used, 0…1.
 * @throws {RangeError} where one is out of its range. Valid: one pass, well above the threshold; less with every further one.
 * Source: d = ηP/(v·w·q) (common practice).
 * @example depthOfPass({ power: 5, speed: 5, width: 0.15, volumetric: 3, used: 0.8 }) // 1.778
 */
export function depthOfPass(pass: {
  readonly power: number
  readonly speed: number
  readonly width: number
  readonly volumetric: number
  readonly used: number
}): number {
  const { power, speed, width, volumetric, used } = pass
  for (const [name, value] of Object.entries({ speed, width, volumetric })) {
    requireInRange(name, value, Number.MIN_VALUE, Number.MAX_VALUE)
  }
  requireInRange('power', power, 0, Number.MAX_VALUE, 'W')
  requireInRange('used', used, 0, 1)
  return (used * power) / (speed * width * volumetric)
}

/**
 * Depth that a pulse or pass ablates, mm. @param dose J/mm². @param threshold J/mm². @param skin Depth in which the light is down to 1/e, mm.
 * @returns 0 below the threshold. Valid: clean ablation. Source: δ ln(F/F_th), Beer–Lambert (from memory).
 * @example ablationDepth(2.718281828, 1, 0.05) // 0.05
 */
export function ablationDepth(dose: number, threshold: number, skin: number): number {
  return dose > threshold ? skin * Math.log(dose / threshold) : 0
}

/**
 * Chance that a line cuts through, 0…1. @param energy J/mm. @param half Energy at which one of two lines cuts, J/mm.
 * @param spread Of the logarithm; more than 0. @throws {RangeError} where it is not. Valid: as fitted. Source: logistic in the logarithm of the energy.
 * @example cutChance(1.1, 1, 0.08) // 0.767
 */
export function cutChance(energy: number, half: number, spread: number): number {
  requireInRange('spread', spread, Number.MIN_VALUE, Number.MAX_VALUE)
  if (!(energy > 0)) return 0
  return 1 / (1 + Math.exp(-Math.log(energy / half) / spread))
}

/**
 * Energy that cuts with a wanted chance, J/mm; the other way round. @param chance Between 0 and 1. @throws {RangeError} where it is not.
 * Valid: as fitted. Source: `cutChance`, solved.
 * @example energyForChance(0.767, 1, 0.08) // 1.1
 */
export function energyForChance(chance: number, half: number, spread: number): number {
  requireInRange('chance', chance, 1e-9, 1 - 1e-9)
  return half * Math.exp(spread * Math.log(chance / (1 - chance)))
}
