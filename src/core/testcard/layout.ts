import { axesOfCard, type CardShape } from '../burn'
import { widthOfLetters } from './lettering'

/** A place on the card, mm from its lower left corner. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/** Radii of a mark: a dot, bare material around it, a ring around that, mm. */
export const MARK = { dot: 0.8, inner: 1.7, outer: 2.4 } as const
/** Side of a module of the code, mm, and bare modules around it. */
export const MODULE = 0.7
export const QUIET = 4
/** Modules along the side of a code: version 1 of ISO/IEC 18004 holds the card's number. */
export const MODULES = 21

/** Of the middles of the marks from the card's edge, mm. */
const EDGE = 3
/** Bare material between cells, mm: the card's own white. */
export const GAP = 1.6
const LETTER = 1.7
const CLEAR = 1.2

/** Where everything of a card lies, mm from its lower left corner. */
export interface CardLayout {
  readonly width: number
  readonly height: number
  /** Middles of the marks: corners from the lower left against the clock, then those that say which way the card lies. */
  readonly marks: readonly Spot[]
  /** Side of a cell, mm, and the lower left corner of the lowest left one. */
  readonly cell: number
  readonly cells: Spot
  readonly columns: number
  readonly rows: number
  /** Lower left corner of the code without its bare border. */
  readonly code: Spot
  readonly words: readonly { readonly text: string; readonly x: number; readonly y: number; readonly height: number }[]
}

const NAMES = { power: 'POWER %', speed: 'MM/S', pitch: 'PITCH MM', passes: 'PASSES', focus: 'HEAD +MM' } as const

/**
 * A value as it is written on a card. Valid: any. Source: by definition. @example valueOnCard('power', 0.35) // '35'
 */
export function valueOnCard(kind: CardShape['across'], value: number): string {
  return String(Number(kind === 'power' ? (value * 100).toFixed(1) : value.toFixed(3)))
}

/**
 * Lays a card out. @throws {RangeError} where its values cannot be.
 * Valid: a card as its schema has it. Source: by definition; three marks beside the corners make it look like no turned, mirrored or other
 * one.
 */
export function layoutCard(card: CardShape): CardLayout {
  const { columns, rows } = axesOfCard(card)
  const across = (count: number): number => count * card.cell + (count - 1) * GAP
  const rowWords = rows.map((it) => valueOnCard(card.up, it))
  const labels = Math.max(...rowWords.map((it) => widthOfLetters(it, LETTER)))
  const column = EDGE + MARK.outer + GAP
  const code = MODULES * MODULE
  const cells = { x: column + labels + 2 * CLEAR, y: column + LETTER + CLEAR }
  const title = [card.code, `X ${NAMES[card.across]}`, `Y ${NAMES[card.up]}`]
  const needed =
    column + Math.max(...title.map((it) => widthOfLetters(it, LETTER))) + 2 * CLEAR + 2 * QUIET * MODULE + code + column
  const width = round(Math.max(cells.x + across(card.columns) + column, needed))
  const top = cells.y + across(card.rows) + QUIET * MODULE
  const height = round(top + code + QUIET * MODULE)
  const [w, h] = [width - EDGE, height - EDGE]
  const shares = markShares(card.code)
  const step = card.cell + GAP
  return {
    width,
    height,
    marks: [
      { x: EDGE, y: EDGE },
      { x: w, y: EDGE },
      { x: w, y: h },
      { x: EDGE, y: h },
      { x: round(shares.bottom * width), y: EDGE },
      { x: EDGE, y: round(shares.left * height) },
      { x: w, y: round(shares.right * height) },
    ],
    cell: card.cell,
    cells,
    columns: card.columns,
    rows: card.rows,
    code: { x: width - column - QUIET * MODULE - code, y: top },
    words: [
      ...columns.map((it, i) => ({ text: valueOnCard(card.across, it), x: cells.x + i * step, y: column, height: LETTER })),
      ...rowWords.map((text, i) => ({
        text,
        x: column + CLEAR,
        y: cells.y + i * step + (card.cell - LETTER) / 2,
        height: LETTER,
      })),
      ...title.map((text, i) => ({
        text,
        x: column + CLEAR,
        y: top + code - LETTER - i * (LETTER + CLEAR) - CLEAR,
        height: LETTER,
      })),
    ],
  }
}

/**
 * Where the three marks beside the corners lie, as shares of the edges: by the card's number, so that another card's marks do not fit.
 * Whatever the number, no turn and no mirror takes them onto one another.
 */
function markShares(code: string): { readonly bottom: number; readonly left: number; readonly right: number } {
  const sum = Array.from(code).reduce((all, letter) => (Math.imul(all, 31) + (letter.codePointAt(0) ?? 0)) >>> 0, 7)
  const step = (k: number): number => 0.03 * (Math.floor(sum / 7 ** k) % 7)
  return { bottom: 0.28 + step(0), left: 0.56 + step(1), right: 0.36 + step(2) }
}

/** Middle of a cell, mm. Valid: a cell of the card. Source: by definition. */
export function middleOf({ cells, cell }: CardLayout, column: number, row: number): Spot {
  const step = cell + GAP
  return { x: cells.x + column * step + cell / 2, y: cells.y + row * step + cell / 2 }
}

function round(mm: number): number {
  return Math.round(mm * 100) / 100
}
