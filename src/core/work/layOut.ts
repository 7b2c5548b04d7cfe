import type { Box } from '../artwork'
import { packStrip } from '../nesting'
import { boxUnder, copiesOf } from './placing'
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

/** A copy of a piece as it lies now. */
interface Copy {
  readonly piece: string
  readonly order: number
  readonly box: Box
  readonly turn: number
}

/**
 * Lays all copies of all pieces that are burnt this time out on the sheet, as low as they go, so that what is left over is one piece.
 * What lies over one another now, as a picture on its label, stays together.
 * @param gap Between copies, mm: the kerf and what has to stay between them.
 * @throws {RangeError} where a piece is wider than the sheet, or the sheet is not measured.
 * Valid: boxes of pieces; along the axes. Source: `packStrip`.
 */
export function layOut(work: Work, gap: number): LaidOut {
  const [width, height, margin] = [work.sheetWidth.value, work.sheetHeight.value, work.margin.value ?? 0]
  if (width === null || height === null) throw new RangeError('the sheet is not measured')
  const copies = Object.entries(work.pieces).flatMap(([id, piece]) => (piece.isIn === 'yes' ? copiesNow(id, piece) : []))
  const units = together(copies).map((of) => ({ of, box: of.map((it) => it.box).reduce(joined) }))
  const items = units.map(({ of, box }, k) => {
    const name = work.pieces[of[0]?.piece ?? '']?.name ?? ''
    return { id: `${name} ${k}`, width: box.right - box.left, height: box.top - box.bottom, turns: work.turns === 'free' }
  })
  const plan = packStrip(items, width - 2 * margin, gap)
  const at = new Map(plan.places.map((it) => [it.id, it]))
  const spots: Record<string, Record<string, Piece['spots'][string]>> = {}
  let beyond = 0
  units.forEach(({ of, box }, k) => {
    const place = at.get((items[k] as { id: string }).id)
    if (place === undefined) return
    const high = place.isTurned ? box.right - box.left : box.top - box.bottom
    if (place.y + high > height - 2 * margin + 1e-6) beyond += of.length
    for (const { piece, order, box: own, turn } of of) {
      // Turned against the clock, what was at the top comes to the left.
      const [x, y] = place.isTurned ? [box.top - own.top, own.left - box.left] : [own.left - box.left, own.bottom - box.bottom]
      const spot = {
        order,
        x: round(margin + place.x + x),
        y: round(margin + place.y + y),
        turn: (turn + (place.isTurned ? 90 : 0)) % 360,
      }
      spots[piece] = { ...spots[piece], [`c${order}`]: spot }
    }
  })
  return { spots, height: plan.height, beyond, bound: plan.bound }
}

function copiesNow(piece: string, it: Piece): readonly Copy[] {
  const spots = Object.values(it.spots).sort((p, q) => p.order - q.order)
  return copiesOf(it).map((map, order) => ({
    piece,
    order,
    box: boxUnder(map, { left: 0, bottom: 0, right: it.width, top: it.height }),
    turn: spots[order]?.turn ?? 0,
  }))
}

/** Copies of different pieces that lie over one another. */
function together(copies: readonly Copy[]): readonly (readonly Copy[])[] {
  const units: Copy[][] = []
  for (const copy of copies) {
    const over = units.filter((unit) => unit.some((it) => it.piece !== copy.piece && meet(it.box, copy.box)))
    const joinedUnit = [...over.flat(), copy]
    for (const it of over) units.splice(units.indexOf(it), 1)
    units.push(joinedUnit)
  }
  return units
}

function meet(p: Box, q: Box): boolean {
  return p.left < q.right - 1e-6 && q.left < p.right - 1e-6 && p.bottom < q.top - 1e-6 && q.bottom < p.top - 1e-6
}

function joined(p: Box, q: Box): Box {
  return {
    left: Math.min(p.left, q.left),
    bottom: Math.min(p.bottom, q.bottom),
    right: Math.max(p.right, q.right),
    top: Math.max(p.top, q.top),
  }
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000
}
