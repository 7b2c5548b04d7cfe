import { requireInRange } from '../units'

/** A dial reading at an angle of the turn. */
export interface DialReading {
  /** rad. */
  readonly angle: number
  /** mm; more is further out. */
  readonly reading: number
}

/** What the readings of a turn say of a round thing. Lengths in mm, angles in rad. */
export interface RoundnessFit {
  /** How far its centre lies off the axis, and towards where. */
  readonly eccentricity: number
  readonly towards: number
  /** Half of what its longest diameter has more than its mean, and where that lies, 0 to π. */
  readonly ovality: number
  readonly longAt: number
  /** Standard uncertainties of both, from what the fit leaves. */
  readonly uEccentricity: number
  readonly uOvality: number
  /** Readings less the five numbers that are fitted. */
  readonly dof: number
  /** Standard deviation of what is left, mm. */
  readonly scatter: number
}

/** Readings that are needed: five numbers are fitted, and some are left to tell how well. */
const LEAST = 8

/**
 * Eccentricity and ovality from dial readings round a turn. @param readings Eight or more, over a whole turn; they need not be even.
 * @throws {RangeError} where there are less than eight, or they leave a third of the turn without one. Valid: readings far smaller than the radius.
 * Source: least squares of m + a cos φ + b sin φ + c cos 2φ + d sin 2φ; the first harmonic is eccentricity, the second ovality (common practice).
 */
export function fitRoundness(readings: readonly DialReading[]): RoundnessFit {
  requireInRange('readings', readings.length, LEAST, 1e6)
  requireWholeTurn(readings)
  const rows = readings.map(({ angle }) => [1, Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)])
  const normal = Array.from({ length: 5 }, (_, i) =>
    Array.from({ length: 5 }, (_, k) => rows.reduce((sum, row) => sum + (row[i] as number) * (row[k] as number), 0)),
  )
  const inverse = inverted(normal)
  const right = Array.from({ length: 5 }, (_, i) =>
    rows.reduce((sum, row, n) => sum + (row[i] as number) * (readings[n] as DialReading).reading, 0),
  )
  const found = inverse.map((row) => row.reduce((sum, it, k) => sum + it * (right[k] as number), 0))
  const left = rows.reduce((sum, row, n) => {
    const at = row.reduce((total, it, k) => total + it * (found[k] as number), 0)
    return sum + ((readings[n] as DialReading).reading - at) ** 2
  }, 0)
  const scatter = Math.sqrt(left / (readings.length - 5))
  const [, a, b, c, d] = found as [number, number, number, number, number]
  const along = (i: number, p: number, q: number): number => {
    const size = Math.hypot(p, q)
    const [cp, cq] = size === 0 ? [1, 0] : [p / size, q / size]
    const at = (n: number, m: number): number => (inverse[n] as number[])[m] as number
    return scatter * Math.sqrt(cp * cp * at(i, i) + 2 * cp * cq * at(i, i + 1) + cq * cq * at(i + 1, i + 1))
  }
  return {
    eccentricity: Math.hypot(a, b),
    towards: Math.atan2(b, a),
    ovality: Math.hypot(c, d),
    longAt: (Math.atan2(d, c) / 2 + Math.PI) % Math.PI,
    uEccentricity: along(1, a, b),
    uOvality: along(3, c, d),
    dof: readings.length - 5,
    scatter,
  }
}

function requireWholeTurn(readings: readonly DialReading[]): void {
  const turn = 2 * Math.PI
  const angles = readings.map(({ angle }) => ((angle % turn) + turn) % turn).sort((p, q) => p - q)
  const widest = angles.reduce(
    (most, it, k) => Math.max(most, k === 0 ? it + turn - (angles.at(-1) as number) : it - (angles[k - 1] as number)),
    0,
  )
  if (widest > turn / 3) throw new RangeError('the readings leave a third of the turn without one: read all round')
}

/** The inverse of a small matrix. @throws {RangeError} where it has none. */
function inverted(matrix: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const n = matrix.length
  const rows = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, k) => (i === k ? 1 : 0))])
  for (let i = 0; i < n; i++) {
    const pivot = rows.reduce(
      (best, row, k) => (k >= i && Math.abs(row[i] as number) > Math.abs((rows[best] as number[])[i] as number) ? k : best),
      i,
    )
    ;[rows[i], rows[pivot]] = [rows[pivot] as number[], rows[i] as number[]]
    const head = rows[i] as number[]
    const by = head[i] as number
    if (Math.abs(by) < 1e-12) throw new RangeError('the readings do not tell these numbers apart')
    for (let k = 0; k < 2 * n; k++) head[k] = (head[k] as number) / by
    for (let r = 0; r < n; r++) {
      if (r === i) continue
      const row = rows[r] as number[]
      const times = row[i] as number
      for (let k = 0; k < 2 * n; k++) row[k] = (row[k] as number) - times * (head[k] as number)
    }
  }
  return rows.map((row) => row.slice(n))
}
