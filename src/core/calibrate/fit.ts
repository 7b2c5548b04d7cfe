import { requireInRange } from '../units'

/** One span: what was commanded and what was read, mm. */
export interface Span {
  readonly commanded: number
  readonly measured: number
  /** Spans read in one way share an intercept: like edges, over the outside, approached from beyond. One if left away. */
  readonly series?: string
}

/** A straight line through spans, with what its scatter says of it. */
export interface LineFit {
  readonly slope: number
  /** Of the first series. */
  readonly intercept: number
  /** Intercept of each series, mm. */
  readonly intercepts: Readonly<Record<string, number>>
  /** Standard uncertainties from the scatter; null where nothing is left to scatter. */
  readonly uSlope: number | null
  readonly uIntercept: number | null
  /** Correlation of slope and first intercept, −1…1. */
  readonly correlation: number
  /** Standard deviation of a reading about its line, mm; null where nothing is left to scatter. */
  readonly scatter: number | null
  /** Spans less one, less one for each series. */
  readonly dof: number
  /** Read less line, mm, in the order of the spans. */
  readonly residuals: readonly number[]
}

const PLAIN = ''

/**
 * Least squares of what was measured on what was commanded: one slope for all, one intercept for each series.
 * @param spans Two or more, not all alike within their series.
 * @returns Slope (mm read for each mm commanded), intercepts (line width, backlash and zero error, as the series has
 * them), and their standard uncertainties from the scatter, with n − 1 − (series) degrees of freedom.
 * @throws {RangeError} with fewer than two spans, or where the commanded spans of every series are alike.
 * Valid: commanded spans exact, readings of one scatter. Source: JCGM 100:2008, H.3.2, equations H.13a to H.13f, for one
 * series; with several, the same normal equations about each series' own means (analysis of covariance, one slope).
 */
export function fitLine(spans: readonly Span[]): LineFit {
  requireInRange('spans', spans.length, 2, Infinity)
  const series = [...new Set(spans.map(seriesOf))]
  const means = new Map(series.map((name) => [name, centre(spans.filter((it) => seriesOf(it) === name))]))
  const about = (span: Span) => means.get(seriesOf(span)) ?? { x: 0, y: 0, n: 0 }
  const sxx = sum(spans.map((it) => (it.commanded - about(it).x) ** 2))
  requireInRange('variance of the commanded spans', sxx, Number.MIN_VALUE, Infinity, 'mm²')
  const slope = sum(spans.map((it) => (it.commanded - about(it).x) * (it.measured - about(it).y))) / sxx
  const intercepts = Object.fromEntries([...means].map(([name, { x, y }]) => [name, y - slope * x]))
  const residuals = spans.map((it) => it.measured - (intercepts[seriesOf(it)] ?? 0) - slope * it.commanded)
  const dof = spans.length - 1 - series.length
  const scatter = dof > 0 ? Math.sqrt(sum(residuals.map((it) => it * it)) / dof) : null
  const first = means.get(series[0] ?? PLAIN) ?? { x: 0, y: 0, n: 1 }
  const spread = Math.sqrt(1 / first.n + first.x ** 2 / sxx)
  return {
    slope,
    intercept: first.y - slope * first.x,
    intercepts,
    uSlope: scatter === null ? null : scatter / Math.sqrt(sxx),
    uIntercept: scatter === null ? null : scatter * spread,
    correlation: -first.x / Math.sqrt(sxx) / spread,
    scatter,
    dof,
    residuals,
  }
}

function seriesOf({ series }: Span): string {
  return series ?? PLAIN
}

function centre(spans: readonly Span[]): { x: number; y: number; n: number } {
  return { x: mean(spans.map((it) => it.commanded)), y: mean(spans.map((it) => it.measured)), n: spans.length }
}

function sum(values: readonly number[]): number {
  return values.reduce((total, it) => total + it, 0)
}

function mean(values: readonly number[]): number {
  return sum(values) / values.length
}
