import { requireInRange } from '../units'

/**
 * By how much a flat scan across a round thing leaves its focus at the sides. @param diameter mm, more than 0. @param width Of the scan, mm.
 * @returns mm. @throws {RangeError} where the scan is wider than the thing. Valid: 0 ≤ width ≤ diameter. Source: R − √(R² − (w/2)²) (handbook of the trade). @example bowOf(40, 10) // 0.6351
 */
export function bowOf(diameter: number, width: number): number {
  requireInRange('diameter', diameter, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('width', width, 0, diameter, 'mm')
  const radius = diameter / 2
  return radius - Math.sqrt(radius * radius - (width * width) / 4)
}

/**
 * The widest scan that stays within a drop of focus. @param diameter mm, more than 0. @param drop mm, 0 or more. @returns mm, the diameter at most.
 * @throws {RangeError} where one is out of range. Valid: any. Source: the inverse of `bowOf`. @example widestScan(40, 0.635) // 9.999
 */
export function widestScan(diameter: number, drop: number): number {
  requireInRange('diameter', diameter, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('drop', drop, 0, Number.MAX_VALUE, 'mm')
  const radius = diameter / 2
  return drop >= radius ? diameter : 2 * Math.sqrt(radius * radius - (radius - drop) * (radius - drop))
}

/**
 * The tilt that makes the top line of a tapered thing level. @param wide Diameter at one end, mm. @param narrow At the other, mm. @param length Between them along the axis, mm; more than 0.
 * @returns rad; the wide end goes down. @throws {RangeError} where the length is not more than 0. Valid: any diameters. Source: atan((D₁−D₂)/2L) (handbook of the trade). @example levellingTilt(90, 70, 150) // 0.06657
 */
export function levellingTilt(wide: number, narrow: number, length: number): number {
  requireInRange('length', length, Number.MIN_VALUE, 1e5, 'mm')
  return Math.atan((wide - narrow) / (2 * length))
}

/** A diameter that was measured, at a place along the axis, mm. */
export interface Section {
  readonly at: number
  readonly diameter: number
}

/** A stretch along the axis, mm. */
export interface Zone {
  readonly from: number
  readonly to: number
}

/** Between two sections the outline is looked at in so many steps. */
const STEPS = 200

/** The radius at a place, straight between the sections, mm. Valid: sections that rise, at least one. Source: straight lines between them. @example radiusAt([{ at: 0, diameter: 60 }, { at: 100, diameter: 80 }], 50) // 35 */
export function radiusAt(sections: readonly Section[], at: number): number {
  const [first, last] = [sections[0] as Section, sections.at(-1) as Section]
  if (at <= first.at) return first.diameter / 2
  if (at >= last.at) return last.diameter / 2
  const k = sections.findIndex((it) => it.at >= at)
  const [p, q] = [sections[k - 1] as Section, sections[k] as Section]
  return (p.diameter + ((q.diameter - p.diameter) * (at - p.at)) / (q.at - p.at)) / 2
}

/**
 * Where a round thing that is tilted stays in focus: stretches whose top line lies within a drop of its highest place there.
 * @param sections Measured along the axis, rising. @param tilt rad, as `levellingTilt` gives it of the first and the last diameter: the first end goes down. @param depth By how much the surface may leave focus up or down, mm.
 * @param width Of the scan across, mm. @returns Stretches; the longest first. @throws {RangeError} where there are less than two sections or they do not rise. Valid: any. Source: by definition; the bow of the scan counts as drop.
 */
export function focusedZones(sections: readonly Section[], tilt: number, depth: number, width: number): readonly Zone[] {
  const rises = sections.every((it, k) => k === 0 || it.at > (sections[k - 1] as Section).at)
  if (sections.length < 2 || !rises) throw new RangeError('two sections or more, each further along than the one before')
  const [first, last] = [sections[0] as Section, sections.at(-1) as Section]
  const places = Array.from({ length: STEPS + 1 }, (_, k) => first.at + ((last.at - first.at) * k) / STEPS)
  const top = places.map((at) => radiusAt(sections, at) * Math.cos(tilt) + (at - first.at) * Math.sin(tilt))
  const low = places.map((at, k) => {
    const diameter = 2 * radiusAt(sections, at)
    return (top[k] as number) - bowOf(diameter, Math.min(width, diameter))
  })
  const isClear = places.map((at) => 2 * radiusAt(sections, at) >= width)
  return longestRuns(top, low, isClear, 2 * depth)
    .map(([from, to]) => ({ from: places[from] as number, to: places[to] as number }))
    .sort((p, q) => q.to - q.from - (p.to - p.from))
}

/** Longest runs of places whose highest and lowest lie within a height, one behind the other. */
function longestRuns(
  top: readonly number[],
  low: readonly number[],
  isClear: readonly boolean[],
  height: number,
): readonly (readonly [from: number, to: number])[] {
  let best: readonly [number, number] | null = null
  for (let from = 0; from < top.length; from++) {
    let [most, least] = [-Infinity, Infinity]
    let to = from - 1
    while (to + 1 < top.length && isClear[to + 1] === true) {
      const [high, deep] = [Math.max(most, top[to + 1] as number), Math.min(least, low[to + 1] as number)]
      if (high - deep > height + 1e-9) break
      ;[most, least] = [high, deep]
      to++
    }
    if (to > from && (best === null || to - from > best[1] - best[0])) best = [from, to]
  }
  if (best === null) return []
  const [from, to] = best
  const before = longestRuns(top.slice(0, from), low.slice(0, from), isClear.slice(0, from), height)
  const after = longestRuns(top.slice(to + 1), low.slice(to + 1), isClear.slice(to + 1), height)
  return [best, ...before, ...after.map(([p, q]) => [p + to + 1, q + to + 1] as const)]
}
