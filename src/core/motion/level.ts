import { requireInRange } from '../units'

/** A height read at a place of the bed, mm. */
export interface BedHeight {
  readonly x: number
  readonly y: number
  readonly height: number
}

/** A plane through the bed's heights: z = a·x + b·y + c. */
export interface BedPlane {
  readonly a: number
  readonly b: number
  readonly c: number
  /** Read less plane, mm, in the order of the heights. */
  readonly residuals: readonly number[]
}

/**
 * The plane that lies nearest to heights read over the bed, by least squares.
 * @param heights Three or more, not in one line.
 * @returns Slopes a, b (mm for each mm) and height c at the origin, with what it leaves over.
 * @throws {RangeError} with fewer than three places, or where all lie in one line.
 * Source: normal equations of the linear model z = a·x + b·y + c.
 */
export function fitPlane(heights: readonly BedHeight[]): BedPlane {
  requireInRange('heights', heights.length, 3, Infinity)
  const n = heights.length
  const mean = (of: (it: BedHeight) => number): number => heights.reduce((sum, it) => sum + of(it), 0) / n
  const [mx, my, mz] = [mean((it) => it.x), mean((it) => it.y), mean((it) => it.height)]
  const sum = (of: (dx: number, dy: number, dz: number) => number): number =>
    heights.reduce((total, it) => total + of(it.x - mx, it.y - my, it.height - mz), 0)
  const [sxx, syy, sxy] = [sum((x) => x * x), sum((_, y) => y * y), sum((x, y) => x * y)]
  const [sxz, syz] = [sum((x, _, z) => x * z), sum((_, y, z) => y * z)]
  const determinant = sxx * syy - sxy * sxy
  if (!(determinant > 1e-12 * sxx * syy)) throw new RangeError('the places lie in one line; read heights beside it too')
  const a = (sxz * syy - syz * sxy) / determinant
  const b = (syz * sxx - sxz * sxy) / determinant
  const c = mz - a * mx - b * my
  return { a, b, c, residuals: heights.map((it) => it.height - (a * it.x + b * it.y + c)) }
}

/**
 * What to put under a foot so that the bed lies level with its highest foot: no foot is lowered.
 * @param feet Places of the feet, mm.
 * @returns mm for each foot, 0 or more; 0 for the highest.
 */
export function shimsUnder(
  plane: Pick<BedPlane, 'a' | 'b'>,
  feet: readonly { readonly x: number; readonly y: number }[],
): readonly number[] {
  const heights = feet.map(({ x, y }) => plane.a * x + plane.b * y)
  const highest = Math.max(...heights)
  return heights.map((it) => highest - it)
}

/**
 * How far the spot wanders when a carriage rocks in the play of its wheels: play × lever / spacing.
 * @param playMm Clearance at a wheel, mm; 0 or more. @param leverMm From the rail to the work, mm.
 * @param spacingMm Between the wheels along the rail, mm; more than 0.
 * @returns mm, from one end of the play to the other.
 * @throws {RangeError} naming the value and its range.
 * Valid: small angles, stiff carriage. Source: similar triangles.
 * @example rockingAtSpot(0.05, 80, 40) // 0.1
 */
export function rockingAtSpot(playMm: number, leverMm: number, spacingMm: number): number {
  requireInRange('playMm', playMm, 0, Number.MAX_VALUE, 'mm')
  requireInRange('spacingMm', spacingMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return (playMm * leverMm) / spacingMm
}
