import { requireInRange } from '../units'

/** How a part with a hole or a pin is made. */
export type Making = 'printed' | 'cut'

/**
 * The hole to draw so that it comes out as wanted.
 * @param wantedMm Diameter of the finished hole, mm; more than 0. @param making Printed holes come out smaller by an
 * allowance; a cut hole comes out larger by the whole kerf.
 * @param allowanceMm By how much a printed hole shrinks, or the kerf of the cut, mm; 0 or more.
 * @returns mm.
 * @throws {RangeError} naming the value and its range.
 * Valid: round holes; the allowance is that of the same machine, material and size. Source: by definition; a kerf moves
 * both edges by half.
 * @example drawnHole(8.1, 'printed', 0.25) // 8.35
 */
export function drawnHole(wantedMm: number, making: Making, allowanceMm: number): number {
  requireInRange('wantedMm', wantedMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('allowanceMm', allowanceMm, 0, Number.MAX_VALUE, 'mm')
  return making === 'printed' ? wantedMm + allowanceMm : wantedMm - allowanceMm
}

/** A flange whose holes stand in a square. */
export interface Pattern {
  readonly name: string
  /** Between two neighbouring holes, mm. */
  readonly squareMm: number
  readonly pilotMm: number
  readonly screw: string
}

/** Motor flanges that look alike until they are measured. Source: NEMA ICS 16 (from memory). */
export const PATTERNS: readonly Pattern[] = [
  { name: 'frame 8', squareMm: 16, pilotMm: 15, screw: 'M2' },
  { name: 'frame 11', squareMm: 23, pilotMm: 22, screw: 'M2.5' },
  { name: 'frame 14', squareMm: 26, pilotMm: 22, screw: 'M3' },
  { name: 'frame 17', squareMm: 31, pilotMm: 22, screw: 'M3' },
  { name: 'frame 23', squareMm: 47.14, pilotMm: 38.1, screw: 'M5 clearance' },
]

/** A flange, and how far a reading is off it. */
export interface PatternMatch {
  readonly pattern: Pattern
  /** Read less pattern, mm. */
  readonly offMm: number
}

/**
 * The flanges nearest to a reading between two holes, nearest first.
 * @param readMm Between neighbouring holes, or corner to corner of the square. @param across Whether it was read corner
 * to corner.
 */
export function nearestPatterns(readMm: number, across: boolean): readonly PatternMatch[] {
  const side = across ? readMm / Math.SQRT2 : readMm
  return PATTERNS.map((pattern) => ({ pattern, offMm: side - pattern.squareMm })).sort(
    (p, q) => Math.abs(p.offMm) - Math.abs(q.offMm),
  )
}
