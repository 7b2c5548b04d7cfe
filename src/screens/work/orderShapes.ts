import type { Affine, Box } from '../../core/artwork'
import type { Bench } from '../../core/document'
import { boxUnder, copiesOf, cornerOf, placesOf, type Piece, type Work } from '../../core/work'

/** What is drawn while nobody has measured the sheet, mm. */
const SKETCH = { width: 300, height: 200 }

/** The sheet as it lies on the machine, mm; `isKnown`: somebody measured it. */
export function sheetBox(work: Work): Box & { readonly isKnown: boolean } {
  const { x: left, y: bottom } = cornerOf(work)
  const [width, height] = [work.sheetWidth.value, work.sheetHeight.value]
  return {
    left,
    bottom,
    right: left + (width ?? SKETCH.width),
    top: bottom + (height ?? SKETCH.height),
    isKnown: width !== null && height !== null,
  }
}

/** A sheet as it lies on the machine, mm; `id` is the place by which it is left out. */
export interface SheetShape extends Box {
  readonly id: string
  readonly isIn: boolean
}

/** All sheets, the first of them at the corner from which work is placed. */
export function sheetShapes(work: Work): readonly SheetShape[] {
  const { left, bottom, right, top } = sheetBox(work)
  return placesOf(work).map(({ id, x, y, isIn }) => ({
    id,
    isIn,
    left: left + x,
    bottom: bottom + y,
    right: right + x,
    top: top + y,
  }))
}

/** A copy of a piece on the machine: the map of its drawing, and its box. */
export interface CopyShape {
  readonly map: Affine
  readonly box: Box
}

/** Copies of a piece on the machine. */
export function copyShapes(piece: Piece, { left, bottom }: Pick<Box, 'left' | 'bottom'>): readonly CopyShape[] {
  return copiesOf(piece).map(([a, b, c, d, e, f]) => {
    const map: Affine = [a, b, c, d, e + left, f + bottom]
    return { map, box: boxUnder(map, { left: 0, bottom: 0, right: piece.width, top: piece.height }) }
  })
}

/** All that the plate shows, mm: the sheet, and what lies beside it. */
export function extentOf(bench: Bench): Box {
  const sheet = sheetBox(bench.work)
  const pieces = Object.values(bench.work.pieces).flatMap((it) => copyShapes(it, sheet).map(({ box }) => box))
  const boxes: readonly Box[] = [...pieces, ...sheetShapes(bench.work)]
  return boxes.reduce<Box>(
    (all, it) => ({
      left: Math.min(all.left, it.left),
      bottom: Math.min(all.bottom, it.bottom),
      right: Math.max(all.right, it.right),
      top: Math.max(all.top, it.top),
    }),
    { left: sheet.left, bottom: sheet.bottom, right: sheet.right, top: sheet.top },
  )
}
