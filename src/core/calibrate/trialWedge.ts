import { evenly, numberIn, runUp, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

/** Powers of the rows, percent of full; the last one is what the others are held against. */
export const WEDGE_PERCENTS = [10, 15, 20, 30, 40, 55, 75, 100] as const
const PIECES = 60
const PIECE = 1.5
const APART = 3

/**
 * Speed at which a row of a step wedge fades out, mm/s. @param seen Length of it that can be seen, mm.
 * @returns mm/s; null where all of it or nothing of it is seen.
 * @throws {RangeError} where the trial lacks a number.
 * Valid: rows that get faster by the same share with each piece. Source: geometric steps; the edge lies in the middle of a piece.
 * @example speedAtEdge({ numbers: { slowest: 5, fastest: 5 * 2 ** 59 } }, 3) // 14.142
 */
export function speedAtEdge(shape: Pick<TrialShape, 'numbers'>, seen: number): number | null {
  const [slowest, fastest] = [numberIn(shape, 'slowest'), numberIn(shape, 'fastest')]
  const pieces = seen / PIECE
  if (!(pieces > 0.5) || pieces > PIECES - 0.5) return null
  return slowest * (fastest / slowest) ** ((pieces - 0.5) / (PIECES - 1))
}

/** Standard uncertainty that the pieces of a row add to how far it is seen, mm. Source: JCGM 100:2008, 4.3.7. */
export const WEDGE_PIECE_U = PIECE / Math.sqrt(12)

function layout(shape: TrialShape): TrialLayout {
  const { origin } = shape
  const acceleration = numberIn(shape, 'acceleration')
  const [slowest, fastest] = [numberIn(shape, 'slowest'), numberIn(shape, 'fastest')]
  const speeds = evenly(Math.log(slowest), Math.log(fastest), PIECES).map(Math.exp)
  const left = origin.x + runUp(slowest, acceleration)
  const out = new TrialWriter('Step wedge')
  const rows = WEDGE_PERCENTS.map((percent, i) => {
    const y = origin.y + i * APART
    out.remark(`${percent} %`)
    out.steps.push({ kind: 'rapid', x: left - runUp(slowest, acceleration), y })
    out.dark(left, y, slowest)
    const first = out.strokes.length
    speeds.forEach((feed, k) =>
      out.burn(
        k === 0 ? `${percent}%` : '',
        [
          [left + k * PIECE, y],
          [left + (k + 1) * PIECE, y],
        ],
        feed,
        percent / 100,
      ),
    )
    out.dark(left + PIECES * PIECE + runUp(fastest, acceleration), y, fastest)
    return { percent, first }
  })
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: rows.map(({ percent, first }) => ({
      id: `p${percent}`,
      group: 'How far each row can be seen from its left end',
      words: `Row of ${percent}%`,
      span: { seen: [first, first + PIECES - 1] },
      commanded: null,
      moreU: WEDGE_PIECE_U,
    })),
    picks: [],
  }
}

/** Rows that get faster, one for each power: each fades where its light no longer marks, which says how much light it was. */
export const wedgeTrial: TrialKind = {
  id: 'wedge',
  part: 'wedge',
  name: 'Step wedge',
  facts: { slowest: 'calibrate.wedgeSlowest', fastest: 'calibrate.wedgeFastest', drop: 'calibrate.wedgeDrop' },
  withoutWait: true,
  ownPower: true,
  lies: ({ numbers }) => ({ kind: 'lower', by: numbers['drop'] ?? 0 }),
  layout,
}
