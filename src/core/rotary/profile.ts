import { requireInRange } from '../units'
import { radiusAt, type Section, type Zone } from './focus'

/** What of an object is straight, and by how much it leaves that. */
export interface Straight extends Zone {
  /** Half the angle that its sides enclose, rad; above 0 where it widens. */
  readonly slope: number
}

/**
 * The longest stretch of an object whose side is straight. @param sections Measured along the axis, rising; two or more. @param tolerance How far a radius may lie from the line, mm.
 * @returns From the first to the last section of it; the slope by its ends. @throws {RangeError} where there are less than two sections or they do not rise.
 * Valid: any. Source: every pair of sections as ends, all between within the tolerance.
 */
export function straightOf(sections: readonly Section[], tolerance: number): Straight {
  requireRising(sections)
  let best: Straight | null = null
  for (const [i, p] of sections.entries()) {
    for (const q of sections.slice(i + 1)) {
      const slope = (q.diameter - p.diameter) / 2 / (q.at - p.at)
      const isStraight = sections.every(
        (it) =>
          it.at <= p.at || it.at >= q.at || Math.abs(it.diameter / 2 - p.diameter / 2 - slope * (it.at - p.at)) <= tolerance,
      )
      if (isStraight && (best === null || q.at - p.at > best.to - best.from))
        best = { from: p.at, to: q.at, slope: Math.atan(slope) }
    }
  }
  return best as Straight
}

/** @throws {RangeError} where there are less than two sections or they do not rise. */
export function requireRising(sections: readonly Section[]): void {
  const rises = sections.every((it, k) => k === 0 || it.at > (sections[k - 1] as Section).at)
  if (sections.length < 2 || !rises) throw new RangeError('two sections or more, each further along than the one before')
}

/** How mass is spread in a round thing: where its centre lies along the axis, mm, and its inertia about it for a kilogram, mm². */
export interface Spread {
  readonly along: number
  readonly inertia: number
}

/** Slices that an object is cut into. */
const SLICES = 400

/**
 * How the mass of a round thing of one material is spread. @param sections Rising; two or more. @param length Of it, mm. @param bottom Where the bottom of a thin shell of one wall is, mm; null: it is solid.
 * @throws {RangeError} where there are less than two sections, they do not rise, or the length is not more than 0.
 * Valid: a solid, or a wall that is thin against the radius. Source: ∫r²x/∫r² and ½∫r⁴/∫r² of a solid of revolution; ∫r s x and ∫r³ s of its surface, with a disc of r²/2 and r⁴/4 at its bottom.
 * @example massSpread([{ at: 0, diameter: 60 }, { at: 100, diameter: 60 }], 100, null).inertia // 450
 */
export function massSpread(sections: readonly Section[], length: number, bottom: number | null): Spread {
  requireRising(sections)
  requireInRange('length', length, Number.MIN_VALUE, 1e5, 'mm')
  const step = length / SLICES
  let [mass, moment, inertia] = [0, 0, 0]
  for (let k = 0; k < SLICES; k++) {
    const at = (k + 0.5) * step
    const radius = radiusAt(sections, at)
    const slope = (radiusAt(sections, at + step / 2) - radiusAt(sections, at - step / 2)) / step
    const dm = bottom !== null ? 2 * radius * Math.hypot(1, slope) * step : radius * radius * step
    mass += dm
    moment += dm * at
    inertia += dm * radius * radius * (bottom !== null ? 1 : 0.5)
  }
  if (bottom !== null) {
    const disc = radiusAt(sections, bottom) ** 2
    mass += disc
    moment += disc * bottom
    inertia += (disc * disc) / 2
  }
  return { along: moment / mass, inertia: inertia / mass }
}

/**
 * By how much the top line of a tilted object rises and falls over a stretch. @param sections Rising. @param zone The stretch, mm. @param tilt rad, as `levellingTilt` gives it of both ends: the first goes down.
 * @returns mm from its lowest to its highest. @throws {RangeError} where the sections do not rise. Valid: any. Source: r cos φ + x sin φ.
 * @example topLineSpread([{ at: 0, diameter: 60 }, { at: 100, diameter: 64 }], { from: 0, to: 100 }, 0) // 2
 */
export function topLineSpread(sections: readonly Section[], { from, to }: Zone, tilt: number): number {
  requireRising(sections)
  const places = [from, to, ...sections.map((it) => it.at).filter((it) => it > from && it < to)]
  // It is straight between sections, so that its ends and they have its highest and its lowest.
  const tops = places.map((at) => radiusAt(sections, at) * Math.cos(tilt) + at * Math.sin(tilt))
  return Math.max(...tops) - Math.min(...tops)
}
