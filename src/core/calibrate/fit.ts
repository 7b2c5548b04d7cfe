import { requireInRange } from '../units'

/** One span: what was commanded and what was read, mm. */
export interface Span {
  readonly commanded: number
  readonly measured: number
}

/** A straight line through spans, with what its scatter says of it. */
export interface LineFit {
  readonly slope: number
  readonly intercept: number
  /** Standard uncertainties from the scatter; null with two spans, where nothing is left to scatter. */
  readonly uSlope: number | null
  readonly uIntercept: number | null
  /** Correlation of slope and intercept, −1…1. */
  readonly correlation: number
  /** Standard deviation of a reading about the line, mm; null with two spans. */
  readonly scatter: number | null
  /** Spans less two. */
  readonly dof: number
  /** Read less line, mm, in the order of the spans. */
  readonly residuals: readonly number[]
}

/**
 * Least squares of what was measured on what was commanded.
 * @param spans Two or more, not all alike.
 * @returns Slope (mm read for each mm commanded), intercept (line width, backlash and zero error together), and their
 * standard uncertainties from the scatter, with n − 2 degrees of freedom.
 * @throws {RangeError} with fewer than two spans, or where all commanded spans are alike.
 * Valid: commanded spans exact, readings of one scatter. Source: JCGM 100:2008, H.3.2, equations H.13a to H.13f.
 */
export function fitLine(spans: readonly Span[]): LineFit {
  requireInRange('spans', spans.length, 2, Infinity)
  const n = spans.length
  const [mx, my] = [mean(spans.map((it) => it.commanded)), mean(spans.map((it) => it.measured))]
  const sxx = sum(spans.map((it) => (it.commanded - mx) ** 2))
  requireInRange('variance of the commanded spans', sxx, Number.MIN_VALUE, Infinity, 'mm²')
  const slope = sum(spans.map((it) => (it.commanded - mx) * (it.measured - my))) / sxx
  const intercept = my - slope * mx
  const residuals = spans.map((it) => it.measured - intercept - slope * it.commanded)
  const dof = n - 2
  const scatter = dof > 0 ? Math.sqrt(sum(residuals.map((it) => it * it)) / dof) : null
  const squares = sum(spans.map((it) => it.commanded ** 2))
  return {
    slope,
    intercept,
    uSlope: scatter === null ? null : scatter / Math.sqrt(sxx),
    uIntercept: scatter === null ? null : scatter * Math.sqrt(squares / (n * sxx)),
    correlation: -sum(spans.map((it) => it.commanded)) / Math.sqrt(n * squares),
    scatter,
    dof,
    residuals,
  }
}

function sum(values: readonly number[]): number {
  return values.reduce((total, it) => total + it, 0)
}

function mean(values: readonly number[]): number {
  return sum(values) / values.length
}
