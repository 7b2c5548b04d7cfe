import { templateOf } from '../core/bench'
import { cardShape, type BookMaterial } from '../core/burn'

/** Luminance of the cells against the bare plywood, in rows from the lowest, as a picture of the card was read. */
const SHARES = [
  [0.392, 0.262, 0.169, 0.116, 0.102, 0.097],
  [0.557, 0.351, 0.233, 0.169, 0.125, 0.11],
  [0.727, 0.521, 0.345, 0.228, 0.163, 0.126],
  [0.921, 0.679, 0.492, 0.34, 0.238, 0.168],
  [0.991, 0.87, 0.645, 0.47, 0.331, 0.241],
  [0.983, 1, 0.808, 0.626, 0.486, 0.342],
]

/** The card that was burnt into an offcut of Heron's plywood: power across, speed up. */
export function heronCards(at: string): BookMaterial['cards'] {
  return {
    c1: {
      ...templateOf(cardShape, { order: 1, at, code: 'H7KQ3M', originX: 20, originY: 20 }),
      cells: Object.fromEntries(
        SHARES.flatMap((row, j) =>
          row.map((share, i) => [
            `${i + 1}-${j + 1}`,
            { share, u: 0.7, depth: null, through: '' as const, by: 'picture' as const },
          ]),
        ),
      ),
    },
  }
}
