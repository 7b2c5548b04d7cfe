import { MOVE, SPINDLE, type Moves } from '../gcode'

/** What a program for a cutter is like, as far as it bears on making it one for a beam. */
export interface CutterProgram {
  /** Lowest and highest place of Z, mm. */
  readonly lowest: number
  readonly highest: number
  /** Heights at which it goes along X and Y, mm, with the way at each; the longest way first, eight at most. */
  readonly heights: readonly { readonly z: number; readonly way: number }[]
  /** First lines with what cannot be told: a rapid move below a height, a move below it while the spindle stands; 0: none. */
  readonly rapidBelow: number
  readonly stillBelow: number
  /** Whether it has a height that is the surface beyond doubt: it goes above and below zero. */
  readonly hasZero: boolean
}

/**
 * What a program is like, held against a height of the surface. @param level mm. Valid: any program.
 * Source: by definition; heights to a hundredth of a millimetre.
 */
export function lookAtCutter(moves: Moves, level: number): CutterProgram {
  const ways = new Map<number, number>()
  let [lowest, highest, rapidBelow, stillBelow] = [Infinity, -Infinity, 0, 0]
  let [x, y, z] = [0, 0, 0]
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) continue
    const [toX, toY, toZ] = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
    const way = Math.hypot(toX - x, toY - y)
    lowest = Math.min(lowest, toZ)
    highest = Math.max(highest, toZ)
    if (toZ === z && way > 0) ways.set(Math.round(toZ * 100) / 100, (ways.get(Math.round(toZ * 100) / 100) ?? 0) + way)
    if (way > 1e-6 && Math.min(z, toZ) < level) {
      if (moves.kind[i] === MOVE.rapid && rapidBelow === 0) rapidBelow = moves.line[i] as number
      if (moves.kind[i] !== MOVE.rapid && moves.spindle[i] === SPINDLE.off && stillBelow === 0)
        stillBelow = moves.line[i] as number
    }
    ;[x, y, z] = [toX, toY, toZ]
  }
  const heights = [...ways].map(([at, length]) => ({ z: at, way: length })).sort((p, q) => q.way - p.way)
  const hasZero = lowest < 0 && highest > 0
  return {
    lowest: Math.min(lowest, highest),
    highest: Math.max(lowest, highest),
    heights: heights.slice(0, 8),
    rapidBelow,
    stillBelow,
    hasZero,
  }
}
