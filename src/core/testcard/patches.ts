import type { View } from '../bench'
import { cardCells, type CardShape, type Cell, type CutBench, lightByPower, lightOfCell } from '../burn'
import { lightness, luminanceOf } from './colour'

/** A cell of any card of a material, as it was burnt and read. */
export interface Patch extends Cell {
  readonly card: string
  /** J/mm², over all its passes. */
  readonly dose: number
  /** CIE L*: its share of the bare material's luminance. */
  readonly tone: number | null
  readonly u: number | null
  readonly depth: number | null
}

/** The cards of a material, in the order in which they were made. */
export function cardsOf(view: View<CutBench>, materialId: string): readonly (CardShape & { readonly id: string })[] {
  const cards = view.rows(({ burns }) => burns.materials[materialId]?.cards ?? {})
  return Object.entries(cards)
    .map(([id, it]) => ({ id, ...it }))
    .sort((p, q) => p.order - q.order)
}

/**
 * All cells of a material's cards of which something was read. Reads the optical power, and the power curve where it was read.
 * @throws {RangeError} where a card's values cannot be.
 */
export function patchesOf(view: View<CutBench>, materialId: string): readonly Patch[] {
  const watts = view.bench.optics.power
  const bare = luminanceOf(view.bench.burns.materials[materialId]?.bareTone ?? Number.NaN)
  return cardsOf(view, materialId)
    .filter((it) => it.does === 'scan')
    .flatMap((card) =>
      cardCells(card).flatMap((cell): Patch[] => {
        const reading = card.cells[cell.id]
        if (reading === undefined || (reading.share === null && reading.depth === null)) return []
        const dose = watts * lightOfCell(cell, lightByPower(view).at(cell.power))
        const { share, u, depth } = reading
        const tone = share === null ? null : lightness(share * bare)
        return dose > 0 ? [{ ...cell, card: card.id, dose, tone, u, depth }] : []
      }),
    )
}

/** Lifts of the head that count as none, mm. */
const SAME_FOCUS = 0.01

/** Whether a cell was burnt as the head hangs. Source: by definition. */
export function isInPlace({ focus }: Pick<Cell, 'focus'>): boolean {
  return Math.abs(focus) < SAME_FOCUS
}
