import { requireInRange, requireInteger } from '../units'

/** What a screw is driven into without a thread of its own. */
export const BOARDS = {
  softwood: 'softwood',
  ply: 'plywood',
  hardwood: 'hardwood',
  fibre: 'fibre board',
  sheet: 'thin sheet metal',
} as const
export type Board = keyof typeof BOARDS

/** Pilot hole as a share of the screw's diameter (common practice). */
const PILOT: Readonly<Record<Board, number>> = { softwood: 0.65, ply: 0.7, hardwood: 0.8, fibre: 0.75, sheet: 0.8 }
/** Least distance to an edge in diameters: EN 1995-1-1 8.3.1.2, unloaded edge, predrilled (from memory); sheet (common practice). */
const EDGE: Readonly<Record<Board, number>> = { softwood: 3, ply: 3, hardwood: 3, fibre: 4, sheet: 2 }

/**
 * The pilot hole for a screw that cuts its own thread, mm.
 * @param diameterMm Of the screw, outside its thread; more than 0. @returns mm.
 * @throws {RangeError} for a diameter that is not more than 0.
 * Valid: screws of 2 to 8 mm; sheet up to half the diameter thick. Source: common practice.
 * @example pilotHole(4, 'ply') // 2.8
 */
export function pilotHole(diameterMm: number, board: Board): number {
  requireInRange('diameterMm', diameterMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return diameterMm * PILOT[board]
}

/**
 * The least distance of a screw's middle from an edge, mm.
 * @param diameterMm Of the screw; more than 0. @returns mm.
 * @throws {RangeError} for a diameter that is not more than 0.
 * Valid: predrilled, nothing pulls towards the edge. Source: EN 1995-1-1 8.3.1.2 (from memory); sheet (common practice).
 * @example leastEdge(4, 'ply') // 12
 */
export function leastEdge(diameterMm: number, board: Board): number {
  requireInRange('diameterMm', diameterMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return diameterMm * EDGE[board]
}

/**
 * How far apart screws stand that are spread evenly along an edge, the outer ones at a distance from its ends.
 * @param lengthMm Of the edge, more than 0. @param count Whole, 2 or more. @param edgeMm From each end, 0 or more.
 * @returns mm. @throws {RangeError} naming the value and its range.
 * Valid: a straight edge. Source: by definition.
 * @example screwsApart(500, 5, 20) // 115
 */
export function screwsApart(lengthMm: number, count: number, edgeMm: number): number {
  requireInRange('lengthMm', lengthMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInteger('count', count, 2, 1000)
  requireInRange('edgeMm', edgeMm, 0, lengthMm / 2, 'mm')
  return (lengthMm - 2 * edgeMm) / (count - 1)
}
