import { packStrip } from '../nesting'
import { countOf, sizeOfPiece } from './placing'
import type { Piece, Work } from './slice'

/** Where copies come to lie: by piece, its spots. */
export interface LaidOut {
  readonly spots: Readonly<Record<string, Piece['spots']>>
  /** How much of the sheet's height it takes, its margins left out, mm. */
  readonly height: number
  /** Copies that lie beyond the sheet. */
  readonly beyond: number
  /** No layout takes less, mm. */
  readonly bound: number
}

/**
 * Lays all copies of all pieces that are burnt this time out on the sheet, as low as they go, so that what is left over is one piece.
 * @param gap Between copies, mm: the kerf and what has to stay between them.
 * @throws {RangeError} where a piece is wider than the sheet, or the sheet is not measured.
 * Valid: boxes of pieces; along the axes. Source: `packStrip`.
 */
export function layOut(work: Work, gap: number): LaidOut {
  const [width, height, margin] = [work.sheetWidth.value, work.sheetHeight.value, work.margin.value ?? 0]
  if (width === null || height === null) throw new RangeError('the sheet is not measured')
  const pieces = Object.entries(work.pieces).filter(([, it]) => it.isIn === 'yes')
  const items = pieces.flatMap(([id, piece]) => {
    const size = sizeOfPiece(piece)
    return Array.from({ length: countOf(piece) }, (_, k) => ({ id: `${id} ${k}`, ...size, turns: work.turns === 'free' }))
  })
  const plan = packStrip(items, width - 2 * margin, gap)
  const at = new Map(plan.places.map((it) => [it.id, it]))
  const spots = pieces.map(([id, piece]) => {
    const copies = Array.from({ length: countOf(piece) }, (_, k) => {
      const place = at.get(`${id} ${k}`)
      const spot = {
        order: k,
        x: round(margin + (place?.x ?? 0)),
        y: round(margin + (place?.y ?? 0)),
        turn: place?.isTurned === true ? 90 : 0,
      }
      return [`c${k}`, spot] as const
    })
    return [id, Object.fromEntries(copies)] as const
  })
  const free = height - 2 * margin
  const beyond = plan.places.filter((it) => {
    const item = items.find((one) => one.id === it.id)
    return it.y + ((it.isTurned ? item?.width : item?.height) ?? 0) > free + 1e-6
  }).length
  return { spots: Object.fromEntries(spots), height: plan.height, beyond, bound: plan.bound }
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000
}
