import { after, mapped, type Affine, type Box, type Point } from '../artwork'
import type { Piece, Way } from './slice'

/** What of a piece says where it lies. */
export type Placed = Pick<
  Piece,
  'width' | 'height' | 'unit' | 'scale' | 'turn' | 'mirrored' | 'x' | 'y' | 'columns' | 'rows' | 'gapX' | 'gapY' | 'spots'
>

/** Turn, mirror and size of a piece, its box beginning at 0, 0. Valid: any piece. Source: by definition. */
export function shapeOfPiece(piece: Placed): Affine {
  const size = piece.unit * piece.scale
  const angle = (piece.turn * Math.PI) / 180
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const sense = piece.mirrored === 'yes' ? -1 : 1
  const turned: Affine = [c * size * sense, s * size * sense, -s * size, c * size, 0, 0]
  const box = boxUnder(turned, { left: 0, bottom: 0, right: piece.width, top: piece.height })
  return after([1, 0, 0, 1, -box.left, -box.bottom], turned)
}

/** How large a piece is on the sheet, one copy of it, mm. Valid: any piece. Source: the box of its turned corners. */
export function sizeOfPiece(piece: Placed): { readonly width: number; readonly height: number } {
  const { right, top } = boxUnder(shapeOfPiece(piece), { left: 0, bottom: 0, right: piece.width, top: piece.height })
  return { width: right, height: top }
}

/** Where the copies of a piece lie on the sheet: maps from its drawing. Valid: any piece. Source: by definition. */
export function copiesOf(piece: Placed): readonly Affine[] {
  const spots = Object.values(piece.spots)
  if (spots.length > 0) {
    const sorted = [...spots].sort((p, q) => p.order - q.order)
    return sorted.map(({ x, y, turn }) => after([1, 0, 0, 1, x, y], shapeOfPiece({ ...piece, turn: piece.turn + turn })))
  }
  const shape = shapeOfPiece(piece)
  const { width, height } = sizeOfPiece(piece)
  return Array.from({ length: piece.rows }, (_, row) =>
    Array.from({ length: piece.columns }, (__, column): Affine => {
      const at = { x: piece.x + column * (width + piece.gapX), y: piece.y + row * (height + piece.gapY) }
      return after([1, 0, 0, 1, at.x, at.y], shape)
    }),
  ).flat()
}

/** How many copies of a piece there are. Valid: any piece. Source: by definition. @example countOf({ columns: 2, rows: 3, spots: {} }) // 6 */
export function countOf(piece: Pick<Placed, 'columns' | 'rows' | 'spots'>): number {
  return Object.keys(piece.spots).length || piece.columns * piece.rows
}

/** Box of what a way of a piece burns, in all its copies, mm on the sheet. Valid: any. Source: the box of turned corners. */
export function boxOfWay(piece: Placed, way: Pick<Way, 'left' | 'bottom' | 'right' | 'top'>): Box {
  const copies = copiesOf(piece)
  // The first and the last of a grid are its corners.
  const isGrid = Object.keys(piece.spots).length === 0
  const ends = isGrid ? [copies[0], copies.at(-1)].filter((it) => it !== undefined) : copies
  const boxes = ends.map((it) => boxUnder(it, way))
  return {
    left: Math.min(...boxes.map((it) => it.left)),
    bottom: Math.min(...boxes.map((it) => it.bottom)),
    right: Math.max(...boxes.map((it) => it.right)),
    top: Math.max(...boxes.map((it) => it.top)),
  }
}

/** The box of a box's corners under a map. Valid: any. Source: by definition. */
export function boxUnder(by: Affine, { left, bottom, right, top }: Box): Box {
  const corners = [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ].map((it): Point => mapped(by, it))
  return {
    left: Math.min(...corners.map((it) => it.x)),
    bottom: Math.min(...corners.map((it) => it.y)),
    right: Math.max(...corners.map((it) => it.x)),
    top: Math.max(...corners.map((it) => it.y)),
  }
}
