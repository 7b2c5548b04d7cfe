import type { Point } from '../artwork'
import { requireInRange } from '../units'

/** Bars that a sheet lies on, all alike, mm on the sheet. */
export interface Bars {
  /** They run along X or Y. */
  readonly along: 'x' | 'y'
  /** Middle of the first, from the sheet's lower or left edge. */
  readonly first: number
  /** From one to the next; more than 0. */
  readonly step: number
  readonly width: number
}

/** Cuts that run along bars, and where the bars would be better. */
export interface OnBars {
  /** Length that is cut along bars, mm, and where: pairs of places. */
  readonly length: number
  readonly pieces: readonly (readonly [from: Point, to: Point])[]
  /** Where the first bar lies best, mm, and what is cut along bars then. */
  readonly bestFirst: number
  readonly bestLength: number
}

/** A cut within this of a bar's direction runs along it; others cross it, rad. */
const ALONG = Math.PI / 6
/** Places of the first bar that are tried. */
const TRIED = 40

/**
 * Cuts that run along bars: there the bar is burnt, smoke has no way out, and the part may not come loose.
 * @param cuts Places one after the other, mm on the sheet. @throws {RangeError} where the step of the bars is not more than 0.
 * Valid: straight bars. Source: common practice; lengths by definition.
 */
export function cutsOnBars(cuts: readonly (readonly Point[])[], bars: Bars): OnBars {
  requireInRange('step', bars.step, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const segments = alongOnly(cuts, bars.along)
  const across = bars.along === 'x' ? (p: Point): number => p.y : (p: Point): number => p.x
  const lengthAt = (first: number): number =>
    segments.reduce(
      (sum, [p, q]) => sum + (isOn(across(p), across(q), { ...bars, first }) ? Math.hypot(q.x - p.x, q.y - p.y) : 0),
      0,
    )
  const tried = Array.from({ length: TRIED }, (_, k) => (bars.step * k) / TRIED).map((first) => ({
    first,
    length: lengthAt(first),
  }))
  const best = tried.reduce((p, q) => (q.length < p.length - 1e-9 ? q : p))
  const now = lengthAt(bars.first)
  const isBetter = best.length < now - 1e-9
  return {
    length: now,
    pieces: segments.filter(([p, q]) => isOn(across(p), across(q), bars)),
    bestFirst: isBetter ? middleOfBest(tried, best, bars.step) : bars.first,
    bestLength: isBetter ? best.length : now,
  }
}

/** In the middle of the places that are as good as the best, so that it need not be met exactly. */
function middleOfBest(
  tried: readonly { readonly first: number; readonly length: number }[],
  best: { readonly length: number },
  step: number,
): number {
  let [from, count, at, run] = [0, 0, 0, 0]
  for (let k = 0; k < 2 * tried.length; k++) {
    const it = tried[k % tried.length] as { readonly length: number }
    if (it.length > best.length + 1e-9) run = 0
    else {
      if (run === 0) at = k
      if (++run > count && run <= tried.length) [from, count] = [at, run]
    }
  }
  return (((from + (count - 1) / 2) / tried.length) * step) % step
}

/** Pieces of cuts that run about as the bars do. */
function alongOnly(cuts: readonly (readonly Point[])[], along: Bars['along']): readonly (readonly [Point, Point])[] {
  return cuts.flatMap((cut) =>
    cut.slice(1).flatMap((q, i) => {
      const p = cut[i] as Point
      const [dx, dy] = [Math.abs(q.x - p.x), Math.abs(q.y - p.y)]
      const turn = along === 'x' ? Math.atan2(dy, dx) : Math.atan2(dx, dy)
      return dx + dy > 0 && turn < ALONG ? [[p, q] as const] : []
    }),
  )
}

/** Whether the middle of a piece lies on a bar. */
function isOn(p: number, q: number, { first, step, width }: Bars): boolean {
  const at = (p + q) / 2 - first
  return Math.abs(at - step * Math.round(at / step)) <= width / 2
}
