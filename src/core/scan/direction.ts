import type { Point } from '../artwork'
import { areaLines } from './areaLines'
import type { ScanMachine } from './machine'
import { partedScan, type PartedScan } from './time'

/** One direction of a scan that was compared. */
export interface Direction {
  readonly angleRad: number
  readonly seconds: number
}

/** What a fill is to be burnt with. */
export interface FillSetting {
  /** mm/s. */
  readonly speed: number
  /** Share of full power. */
  readonly power: number
  /** mm. */
  readonly pitch: number
}

/**
 * Fills an area in the quickest of some directions. @param angles That are compared, rad; at least one.
 * @returns The quickest, and what the others take. @throws {RangeError} where pitch or speed is not more than 0.
 * Valid: any outlines. Source: every direction planned and added up.
 */
export function quickestFill(
  rings: readonly (readonly Point[])[],
  rule: 'nonzero' | 'evenodd',
  { speed, power, pitch }: FillSetting,
  machine: ScanMachine,
  angles: readonly number[],
): { readonly best: PartedScan; readonly compared: readonly Direction[] } {
  const all = angles.map((angle) => partedScan(areaLines(rings, rule, pitch, angle, power), speed, machine))
  const [first, ...rest] = all
  if (first === undefined) throw new RangeError('no direction to compare')
  const best = rest.reduce((p, q) => (q.seconds < p.seconds - 1e-9 ? q : p), first)
  return { best, compared: all.map(({ scan, seconds }) => ({ angleRad: scan.angleRad, seconds })) }
}

/**
 * Directions that are worth comparing for an area: along x, along y, both diagonals, and its long axis.
 * Valid: closed outlines. Source: the principal axis of its second moments.
 */
export function anglesFor(rings: readonly (readonly Point[])[]): readonly number[] {
  const usual = [0, Math.PI / 2, Math.PI / 4, -Math.PI / 4]
  const long = longAxis(rings)
  return long === null || usual.some((it) => Math.abs(Math.sin(it - long)) < 1e-3) ? usual : [...usual, long]
}

/** Direction of the long axis of an area, −π/2…π/2; null where it has none. Source: second moments by Green's theorem. */
function longAxis(rings: readonly (readonly Point[])[]): number | null {
  const sum = { a: 0, x: 0, y: 0, xx: 0, yy: 0, xy: 0 }
  for (const ring of rings) {
    for (let i = 0; i < ring.length; i++) {
      const [p, q] = [ring[i] as Point, ring[(i + 1) % ring.length] as Point]
      const cross = p.x * q.y - q.x * p.y
      sum.a += cross / 2
      sum.x += ((p.x + q.x) * cross) / 6
      sum.y += ((p.y + q.y) * cross) / 6
      sum.xx += ((p.x * p.x + p.x * q.x + q.x * q.x) * cross) / 12
      sum.yy += ((p.y * p.y + p.y * q.y + q.y * q.y) * cross) / 12
      sum.xy += ((p.x * q.y + 2 * p.x * p.y + 2 * q.x * q.y + q.x * p.y) * cross) / 24
    }
  }
  if (Math.abs(sum.a) < 1e-9) return null
  const [mx, my] = [sum.x / sum.a, sum.y / sum.a]
  const [xx, yy, xy] = [sum.xx / sum.a - mx * mx, sum.yy / sum.a - my * my, sum.xy / sum.a - mx * my]
  const apart = Math.hypot(xx - yy, 2 * xy)
  return apart < 1e-3 * (xx + yy) ? null : Math.atan2(2 * xy, xx - yy) / 2
}
