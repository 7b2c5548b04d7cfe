import { requireInRange } from '../units'
import type { CardDraft, CardVariable } from './cardSlice'

/** What a cell is burnt with. */
export interface CellSetting {
  /** Share of full power, 0…1. */
  readonly power: number
  /** mm/s. */
  readonly speed: number
  /** Between scan lines, mm. */
  readonly pitch: number
  readonly passes: number
  /** By how much the head is raised from where it hangs, mm. */
  readonly focus: number
}

/** A cell of a card: its place in the grid from the lower left, and what it is burnt with. */
export interface Cell extends CellSetting {
  readonly id: string
  readonly column: number
  readonly row: number
}

/** Decimals that a value of a kind is kept with. */
const DECIMALS: Readonly<Record<CardVariable, number>> = { power: 2, speed: 1, pitch: 3, passes: 0, focus: 2 }

/**
 * Values of one side of a card: in equal ratios, or in equal steps for passes and focus. @param count 1 or more.
 * @throws {RangeError} where ratios begin or end at 0 or below. Valid: any ends. Source: by definition; a tone goes by ratios.
 * @example cardValues('speed', 10, 40, 3) // [10, 20, 40]
 */
export function cardValues(kind: CardVariable, from: number, to: number, count: number): readonly number[] {
  const isEven = kind === 'passes' || kind === 'focus'
  if (!isEven) {
    requireInRange('from', from, Number.MIN_VALUE, Number.MAX_VALUE)
    requireInRange('to', to, Number.MIN_VALUE, Number.MAX_VALUE)
  }
  return Array.from({ length: count }, (_, i) => {
    const share = count === 1 ? 0 : i / (count - 1)
    const value = isEven ? from + (to - from) * share : from * (to / from) ** share
    return Number(value.toFixed(DECIMALS[kind]))
  })
}

/** Columns from the left, rows from the bottom. Source: by definition. @throws {RangeError} where ratios begin or end at 0. */
export function axesOfCard(card: CardDraft) {
  return {
    columns: cardValues(card.across, card.acrossFrom, card.acrossTo, card.columns),
    rows: cardValues(card.up, card.upFrom, card.upTo, card.rows),
  }
}

/**
 * All cells of a card, in rows from the lower left. @throws {RangeError} where ratios begin or end at 0.
 * Valid: a card as its schema has it. Source: by definition.
 */
export function cardCells(card: CardDraft): readonly Cell[] {
  const { columns, rows } = axesOfCard(card)
  const { power, speed, pitch, passes, focus } = card
  return rows.flatMap((up, row) =>
    columns.map((across, column) => ({
      id: `${column + 1}-${row + 1}`,
      column,
      row,
      power,
      speed,
      pitch,
      passes,
      focus,
      [card.up]: up,
      [card.across]: across,
    })),
  )
}

/** So many cells before it a cell lies away from. */
const MEMORY = 4

/**
 * Cells in an order that spreads their heat: each as far as can be from those just burnt, the last of them weighing most.
 * Valid: any cells. Source: common practice.
 */
export function spreadCells<T extends Pick<Cell, 'column' | 'row'>>(cells: readonly T[]): readonly T[] {
  const left = [...cells]
  const order: T[] = []
  while (left.length > 0) {
    const last = order.slice(-MEMORY).reverse()
    const crowd = (it: T): number =>
      last.reduce((sum, one, age) => sum + 1 / (1 + age) / ((it.column - one.column) ** 2 + (it.row - one.row) ** 2), 0)
    const best = left.reduce((least, it, i) => (crowd(it) < crowd(left[least] as T) - 1e-12 ? i : least), 0)
    order.push(...left.splice(best, 1))
  }
  return order
}

/**
 * Light that a cell gets, as seconds at full light for a square millimetre. @param light At the cell's power, of that at full, 0…1.
 * Valid: scanned cells. Source: P/(v·pitch), handbook of the trade (common practice).
 * @example lightOfCell({ speed: 20, pitch: 0.1, passes: 1 }, 0.5) // 0.25
 */
export function lightOfCell({ speed, pitch, passes }: Pick<CellSetting, 'speed' | 'pitch' | 'passes'>, light: number): number {
  return (light * passes) / (speed * pitch)
}
