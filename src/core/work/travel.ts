import type { Bounds } from '../planner'
import { sayQuantity, type Finding } from '../units'

/** Travel of X and Y, mm; null where it is not known. */
export interface Travel {
  readonly x: number | null
  readonly y: number | null
}

/** What a printed place may be off by, mm. */
const PRINTED = 0.001

/**
 * Where a program leaves the travel, run-outs and all. @returns One finding for each axis that it leaves. Valid: bounds of a program.
 * Source: by definition; zero is the lower end.
 */
export function leavesTravel(bounds: Bounds | null, { x, y }: Travel): readonly Finding[] {
  if (bounds === null) return []
  const ends = [
    ['X', bounds.minX, bounds.maxX, x],
    ['Y', bounds.minY, bounds.maxY, y],
  ] as const
  return ends.flatMap(([letter, min, max, travel]): Finding[] => {
    const beyond = Math.max(-min, travel === null ? -Infinity : max - travel)
    if (beyond <= PRINTED) return []
    const far = sayQuantity(Math.ceil(beyond * 10) / 10, null, 'mm')
    const message = `The program goes ${far} beyond the travel of ${letter}. Move the sheet or the piece, or scan slower: run-out grows with the square of the speed.`
    return [{ code: 'leaves-travel', severity: 'error', message }]
  })
}

/** A straight piece of a way, mm. */
export type Outside = readonly [x0: number, y0: number, x1: number, y1: number]

/**
 * Pieces of a way that leave the travel, whole ones: the first so many. @param most How many at most. Valid: any way.
 * Source: by definition; zero is the lower end.
 */
export function waysBeyond(
  way: { readonly x: ArrayLike<number>; readonly y: ArrayLike<number> },
  { x, y }: Travel,
  most: number,
): readonly Outside[] {
  const isOut = (i: number): boolean => {
    const [px, py] = [way.x[i] as number, way.y[i] as number]
    return px < -PRINTED || py < -PRINTED || px > (x ?? Infinity) + PRINTED || py > (y ?? Infinity) + PRINTED
  }
  const pieces: Outside[] = []
  for (let i = 1; i < way.x.length && pieces.length < most; i++) {
    if (isOut(i - 1) || isOut(i))
      pieces.push([way.x[i - 1] as number, way.y[i - 1] as number, way.x[i] as number, way.y[i] as number])
  }
  return pieces
}
