import { figureOf } from '../bench'
import { aMaterial, cardCells, lightByPower, lightOfCell, type Cell, type CutBench } from '../burn'
import { toneLaw } from './toneFigures'
import { toneAt } from './toneLearning'

/** What a cell of a card that is designed is expected to come to. */
export interface CellExpected {
  readonly id: string
  /** J/mm², over all its passes. */
  readonly dose: number
  /** CIE L*. */
  readonly tone: number
}

export const designTones = figureOf<CutBench>()({
  id: 'testcard.designTones',
  of: aMaterial,
  label: 'Tones that the card which is designed is expected to come to',
  quantity: 'lightness',
  formula: 'L^*(H_i, v_i)',
  symbols: {},
  source: 'The law learnt of this material at the dose of each cell, by the power curve where it was read.',
  doubt: { none: 'A list; a card that is read says what it came to.' },
  work(view, id: string): readonly CellExpected[] {
    const learnt = view.figure(toneLaw, id)
    const [watts, light] = [view.bench.optics.power, lightByPower(view)]
    return cardCells(view.rows(({ burns }) => burns.card)).map((cell) => {
      const dose = watts * lightOfCell(cell, light.at(cell.power))
      return { id: cell.id, dose, tone: toneAt(learnt, dose, cell.speed).tone }
    })
  },
})

/**
 * The speed in the middle of cells, by ratios, mm/s: doses of a map do not say how fast they were given.
 * Valid: one cell or more. Source: geometric mean of the ends. @example middleSpeed([{ speed: 20 }, { speed: 80 }]) // 40
 */
export function middleSpeed(cells: readonly Pick<Cell, 'speed'>[]): number {
  const speeds = cells.map((it) => it.speed)
  return Math.sqrt(Math.min(...speeds) * Math.max(...speeds))
}

/** L* of char, down to which the eye's words reach (common practice). */
const CHAR = 22

/** What the eye says of a cell, as shares of the way from bare to char. */
const WORDS = { 'As bare': 0, 'Just seen': 0.1, Light: 0.28, Middle: 0.5, Dark: 0.75, Darkest: 0.95 } as const

/** Standard uncertainty of a tone that the eye says, L* (common practice). */
export const EYE_U = 5

/** Words for a tone by eye, and the L* that each stands for on a material. Valid: any material that burns dark. Source: common practice. */
export function eyeTones(bare: number): readonly { readonly words: string; readonly tone: number }[] {
  return Object.entries(WORDS).map(([words, share]) => ({ words, tone: Math.max(1, bare - share * (bare - CHAR)) }))
}
