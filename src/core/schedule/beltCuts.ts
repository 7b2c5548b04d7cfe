/**
 * How much each belt has to hold by when all are cut from the pieces at hand: of every way to share them out, the one
 * that leaves most at the piece where least is left. A piece with k belts on it shares what it has over among the k.
 * @param belts Lengths that must be reached, mm; at most six. @param pieces Lengths at hand, mm; at least one.
 * @returns mm; below 0 where no way of sharing reaches.
 * Valid: belts that are not joined. @throws {RangeError} Where there are more than six belts, or no piece.
 * Source: exhaustive search; as many of the longest pieces as there are belts always do, any other use swaps to them.
 * @example holdOfBelts([1000, 800], [2000]) // 100
 */
export function holdOfBelts(belts: readonly number[], pieces: readonly number[]): number {
  if (belts.length > MOST_BELTS) throw new RangeError(`belts must be at most ${MOST_BELTS}, got ${belts.length}`)
  if (pieces.length === 0) throw new RangeError('pieces must be at least one, got none')
  const longest = [...pieces].sort((p, q) => q - p).slice(0, belts.length)
  return shareOut(
    belts,
    longest.map((lengthMm) => ({ lengthMm, count: 0 })),
  )
}

const MOST_BELTS = 6

interface Piece {
  readonly lengthMm: number
  readonly count: number
}

function shareOut([belt, ...others]: readonly number[], pieces: readonly Piece[]): number {
  if (belt === undefined) return Math.min(...pieces.filter((it) => it.count > 0).map((it) => it.lengthMm / it.count))
  return Math.max(
    ...pieces.map(({ lengthMm, count }, i) => shareOut(others, pieces.with(i, { lengthMm: lengthMm - belt, count: count + 1 }))),
  )
}
