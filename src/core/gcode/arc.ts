const MM_PER_INCH = 25.4

/**
 * Largest difference of the two radii of an arc, mm: 0.0002 in where the program is in inches, else 0.002 mm.
 * @param unit mm for a unit of the words.
 * Source: NISTIR 6556, 3.5.3.2 (from memory).
 */
function radiusTolerance(unit: number): number {
  return unit === MM_PER_INCH ? 0.0002 * MM_PER_INCH : 0.002
}

export interface ArcMove {
  readonly plane: 17 | 18 | 19
  readonly clockwise: boolean
  readonly from: readonly [number, number, number]
  readonly to: readonly [number, number, number]
  /** mm for a unit of the words. */
  readonly unit: number
}

/** Centre words, in the units in force; NaN where one is not there. */
export interface CentreWords {
  readonly i: number
  readonly j: number
  readonly k: number
  readonly r: number
}

/** The two axes of a plane, first to second counter-clockwise seen from the third: XY, ZX, YZ. */
export const PLANE_AXES = { 17: [0, 1], 18: [2, 0], 19: [1, 2] } as const

/**
 * Centre of an arc in the two axes of its plane, from I, J, K (increments from the start) or from R.
 * @returns mm, or what is wrong in words.
 * Source: NISTIR 6556, 3.5.3 (from memory): R above 0 takes the arc of at most half a turn; with R the ends must differ;
 * the two radii of an I, J, K arc may differ by 0.002 mm, or by 0.0002 in.
 */
export function arcCentre({ plane, clockwise, from, to, unit }: ArcMove, words: CentreWords): readonly [number, number] | string {
  const [a, b] = PLANE_AXES[plane]
  const [ax, ay, bx, by] = [from[a], from[b], to[a], to[b]]
  if (!Number.isNaN(words.r)) return centreFromRadius([ax, ay, bx, by], words.r * unit, clockwise, radiusTolerance(unit))
  const increments = [words.i, words.j, words.k]
  const [da, db] = [increments[a] ?? Number.NaN, increments[b] ?? Number.NaN]
  if (Number.isNaN(da) && Number.isNaN(db)) return `An arc needs R, or ${'IJK'.charAt(a)} and ${'IJK'.charAt(b)} for its centre.`
  const [ca, cb] = [ax + (Number.isNaN(da) ? 0 : da * unit), ay + (Number.isNaN(db) ? 0 : db * unit)]
  const [r0, r1] = [Math.hypot(ax - ca, ay - cb), Math.hypot(bx - ca, by - cb)]
  if (r0 === 0) return 'The centre of this arc is its start. Check I, J and K: they are increments from the start.'
  if (Math.abs(r0 - r1) > radiusTolerance(unit)) {
    return `The ends of this arc lie ${r0.toFixed(4)} and ${r1.toFixed(4)} mm from its centre, more than ${Number(radiusTolerance(unit).toFixed(5))} mm apart. Check the end point, and I, J and K, which are increments from the start.`
  }
  return [ca, cb]
}

function centreFromRadius(
  [ax, ay, bx, by]: readonly [number, number, number, number],
  r: number,
  clockwise: boolean,
  tolerance: number,
): readonly [number, number] | string {
  const [dx, dy] = [bx - ax, by - ay]
  const chord = Math.hypot(dx, dy)
  if (chord === 0) return 'An arc given by R cannot end where it begins. Give its centre by I and J.'
  if (r === 0) return 'R cannot be 0.'
  const half = chord / 2
  const beyond = half - Math.abs(r)
  if (beyond > tolerance) return `R ${Math.abs(r).toFixed(4)} mm is too small: the ends are ${chord.toFixed(4)} mm apart.`
  const height = beyond >= 0 ? 0 : Math.sqrt(r * r - half * half)
  // Left of the way from start to end for the short counter-clockwise arc; the other side for each that differs.
  const side = clockwise === r > 0 ? -1 : 1
  return [ax + dx / 2 - (side * height * dy) / chord, ay + dy / 2 + (side * height * dx) / chord]
}

/**
 * Angle of an arc from its start to its end about a centre, in the plane's first and second axis.
 * @returns rad in (0, 2π]; a whole turn where both ends are one.
 * Valid: both ends off the centre. Source: NISTIR 6556, 3.5.3 (from memory).
 * @example sweptAngle([1, 0], [0, 1], [0, 0], false) // 1.5708
 */
export function sweptAngle(
  from: readonly [number, number],
  to: readonly [number, number],
  [ca, cb]: readonly [number, number],
  clockwise: boolean,
): number {
  const turn = 2 * Math.PI
  const way = clockwise ? -1 : 1
  const angle = (Math.atan2(to[1] - cb, to[0] - ca) - Math.atan2(from[1] - cb, from[0] - ca)) * way
  const raw = ((angle % turn) + turn) % turn
  return raw < 1e-9 ? turn : raw
}
