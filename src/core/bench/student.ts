/** Probability that two standard deviations of a normal cover: what a coverage factor of 2 promises. */
export const COVERAGE = 0.954499736

/**
 * Probability within ±t of Student's distribution.
 * @param t ≥ 0. @param dof Whole, ≥ 1.
 * Valid: whole degrees of freedom. Source: Abramowitz and Stegun, 26.7.3 and 26.7.4 (finite series; from memory).
 * @example studentWithin(2.776, 4) // 0.95
 */
export function studentWithin(t: number, dof: number): number {
  const theta = Math.atan(t / Math.sqrt(dof))
  const [sin, cos] = [Math.sin(theta), Math.cos(theta)]
  const odd = dof % 2 === 1
  let term = odd ? cos : 1
  let sum = dof === 1 ? 0 : term
  for (let k = odd ? 3 : 2; k <= dof - 2; k += 2) {
    term *= ((k - 1) / k) * cos * cos
    sum += term
  }
  return odd ? (2 / Math.PI) * (theta + sin * sum) : sin * sum
}

/**
 * Coverage factor for about 95 %: 2, or Student's t at 95.45 % where there are fewer than 30 degrees of freedom.
 * @param dof Effective degrees of freedom, ≥ 1; a broken number is cut to the next lower whole one.
 * @throws {RangeError} below 1.
 * Valid: dof ≥ 1. Source: JCGM 100:2008, G.4.1 and table G.2; §2a T6.
 * @example coverageFactor(10) // 2.28
 */
export function coverageFactor(dof: number): number {
  if (!(dof >= 1)) throw new RangeError(`dof must be 1 or more, got ${dof}`)
  if (dof >= 30) return 2
  const whole = Math.floor(dof)
  let [low, high] = [1, 20]
  while (high - low > 1e-9) {
    const middle = (low + high) / 2
    if (studentWithin(middle, whole) < COVERAGE) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * Effective degrees of freedom of a combined uncertainty (Welch–Satterthwaite).
 * @param parts Each contribution c·u and its degrees of freedom (Infinity where they are many).
 * @returns Not cut; Infinity where no part is uncertain in itself.
 * Valid: independent parts. Source: JCGM 100:2008, equation G.2b.
 * @example effectiveDof([{ c: 1, dof: 4 }, { c: 1, dof: Infinity }]) // 16
 */
export function effectiveDof(parts: readonly { readonly c: number; readonly dof: number }[]): number {
  const variance = parts.reduce((sum, { c }) => sum + c * c, 0)
  const spread = parts.reduce((sum, { c, dof }) => sum + c ** 4 / dof, 0)
  return spread === 0 ? Infinity : Math.max(1, (variance * variance) / spread)
}
