import { requireInRange } from '../units'

/** Light that was read at a share of full power. */
export interface CurvePoint {
  /** 0…1. */
  readonly share: number
  readonly watts: number
}

/** A power curve, fitted. */
export interface PowerCurve {
  /** Share from which there is light, where the straight line meets the axis; 0…1. */
  readonly threshold: number
  /** Light for all of the power, along the straight line, W. */
  readonly slope: number
  /** Most light that was read, W. */
  readonly most: number
  /** Largest distance of a reading from the line, as a share of the most light. */
  readonly off: number
  /** Share from which the light stays behind the line by more than 3 % of the most; null: nowhere. */
  readonly bends: number | null
}

/** Below this share of the most light a reading says that there is none. */
const DARK = 0.02
/** A reading so far behind the line is where the curve bends. */
const BEHIND = 0.03
/** Readings with light that a line needs. */
export const LEAST_LIT = 3

/**
 * Fits the straight part of a power curve by least squares over the readings with light; where the upper ones stay behind, it
 * is fitted again without them.
 * @param points In any order; shares 0…1, W 0 or more. @returns Null while fewer than three readings have light.
 * @throws {RangeError} naming the value and its range.
 * Valid: a diode with a threshold, light that rises with the power. Source: ordinary least squares.
 */
export function fitCurve(points: readonly CurvePoint[]): PowerCurve | null {
  for (const { share, watts } of points) {
    requireInRange('share', share, 0, 1)
    requireInRange('watts', watts, 0, Number.MAX_VALUE, 'W')
  }
  const most = Math.max(0, ...points.map((it) => it.watts))
  const lit = points.filter((it) => it.watts > DARK * most).sort((p, q) => p.share - q.share)
  let straight = lit
  let line = lineThrough(straight)
  while (line !== null && straight.length > LEAST_LIT && most > 0) {
    const last = straight.at(-1) as CurvePoint
    const without = lineThrough(straight.slice(0, -1))
    if (without === null || without.at(last.share) - last.watts <= BEHIND * most) break
    straight = straight.slice(0, -1)
    line = without
  }
  if (line === null || lit.length < LEAST_LIT || !(line.slope > 0)) return null
  const fitted = line
  const behind = lit.find((it) => fitted.at(it.share) - it.watts > BEHIND * most)
  return {
    threshold: Math.min(1, Math.max(0, -fitted.from / fitted.slope)),
    slope: fitted.slope,
    most,
    off: Math.max(...lit.map((it) => Math.abs(it.watts - fitted.at(it.share)))) / most,
    bends: behind?.share ?? null,
  }
}

/**
 * Two points of the fitted line, for its drawing: where it leaves the axis, and full power.
 * @returns Shares of full power 0…1, and W. Valid: a fitted curve. Source: the line itself.
 * @example lineEnds({ threshold: 0.1, slope: 5, most: 4.5, off: 0, bends: null }) // [[0.1, 0], [1, 4.5]]
 */
export function lineEnds({ threshold, slope }: PowerCurve): readonly (readonly [share: number, watts: number])[] {
  return [
    [threshold, 0],
    [1, slope * (1 - threshold)],
  ]
}

interface Line {
  readonly from: number
  readonly slope: number
  readonly at: (share: number) => number
}

function lineThrough(points: readonly CurvePoint[]): Line | null {
  const n = points.length
  if (n < 2) return null
  const mean = (of: (it: CurvePoint) => number): number => points.reduce((sum, it) => sum + of(it), 0) / n
  const [x, y] = [mean((it) => it.share), mean((it) => it.watts)]
  const sxx = points.reduce((sum, it) => sum + (it.share - x) ** 2, 0)
  if (!(sxx > 0)) return null
  const slope = points.reduce((sum, it) => sum + (it.share - x) * (it.watts - y), 0) / sxx
  const from = y - slope * x
  return { from, slope, at: (share) => from + slope * share }
}

/**
 * The power to command for a share of the most light: the readings made to rise (neighbours that fall are averaged), and
 * between them straight lines.
 * @param fraction Of the most light, more than 0 up to 1. @returns A share of full power, 0…1; null with fewer than two readings, and below the weakest.
 * @throws {RangeError} naming the value and its range.
 * Valid: within the readings. Source: isotonic regression by pooling neighbours that fall (from memory), then interpolation.
 */
export function shareForLight(points: readonly CurvePoint[], fraction: number): number | null {
  requireInRange('fraction', fraction, 0, 1)
  const rising = risen(points)
  const most = rising.at(-1)?.watts ?? 0
  if (rising.length < 2 || !(most > 0)) return null
  const wanted = fraction * most
  const above = rising.findIndex((it) => it.watts >= wanted)
  const [p, q] = [rising[above - 1], rising[above]]
  if (q === undefined) return null
  // Less than the weakest reading is not known.
  if (p === undefined) return q.watts > wanted ? null : q.share
  if (q.watts === p.watts) return q.share
  return p.share + ((q.share - p.share) * (wanted - p.watts)) / (q.watts - p.watts)
}

/**
 * Light at a share of full power, of the most light; the other way round.
 * @param share Of full power, 0…1. @returns 0…1; null with fewer than two readings, or without light.
 * @throws {RangeError} naming the value and its range.
 * Valid: up to the strongest reading; below the weakest it goes straight to none at 0. Source: as `shareForLight`.
 * @example lightForShare([{ share: 0.1, watts: 0 }, { share: 1, watts: 4.5 }], 0.55) // 0.5
 */
export function lightForShare(points: readonly CurvePoint[], share: number): number | null {
  requireInRange('share', share, 0, 1)
  const rising = risen(points)
  const last = rising.at(-1)
  if (rising.length < 2 || last === undefined || !(last.watts > 0)) return null
  const above = rising.findIndex((it) => it.share >= share)
  const q = rising[above]
  if (q === undefined) return 1
  const p = rising[above - 1] ?? { share: 0, watts: 0 }
  if (q.share === p.share) return q.watts / last.watts
  return (p.watts + ((q.watts - p.watts) * (share - p.share)) / (q.share - p.share)) / last.watts
}

/** Readings in the order of their power, made to rise. */
function risen(points: readonly CurvePoint[]): readonly CurvePoint[] {
  const blocks: { shares: number[]; watts: number }[] = []
  for (const { share, watts } of [...points].sort((p, q) => p.share - q.share)) {
    blocks.push({ shares: [share], watts })
    for (let last = blocks.length - 1; last > 0; last--) {
      const [before, now] = [blocks[last - 1], blocks[last]]
      if (before === undefined || now === undefined || before.watts <= now.watts) break
      const n = before.shares.length + now.shares.length
      const watts = (before.watts * before.shares.length + now.watts * now.shares.length) / n
      blocks.splice(last - 1, 2, { shares: [...before.shares, ...now.shares], watts })
    }
  }
  return blocks.flatMap((it) => it.shares.map((share) => ({ share, watts: it.watts })))
}
