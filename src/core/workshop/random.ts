/** A source of numbers from 0 up to 1. */
export type Random = () => number

/**
 * A seeded source, so that the same number draws the same machine: a counter scrambled by multiplication and shifts.
 * @param seed Whole; only its lowest 32 bits count.
 * Source: integer mixing after the 32-bit finaliser of hash functions (common practice); its evenness is tested.
 */
export function seeded(seed: number): Random {
  let counter = seed | 0
  return () => {
    counter = (counter + 0x9e3779b9) | 0
    let mixed = counter ^ (counter >>> 16)
    mixed = Math.imul(mixed, 0x21f0aaad)
    mixed ^= mixed >>> 15
    mixed = Math.imul(mixed, 0x735a2d97)
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32
  }
}

/**
 * A normal number with mean 0 and standard deviation 1.
 * Valid: any source. Source: Box and Muller, Annals of Mathematical Statistics 29 (1958) 610 (from memory).
 * @example normal(() => 0.5) // -1.177
 */
export function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/**
 * A number between two others, all alike. Valid: any order of the ends. Source: by definition.
 * @example between(() => 0.5, 2, 4) // 3
 */
export function between(random: Random, low: number, high: number): number {
  return low + (high - low) * random()
}
