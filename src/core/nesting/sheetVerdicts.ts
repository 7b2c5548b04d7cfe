import { figureOf, verdictOf } from '../bench'
import type { HousingView } from '../housing'
import { sheetPlan, sheetsToBuy, usedSheet } from './sheetFigures'

const figure = figureOf<HousingView>()
const verdict = verdictOf<HousingView>()

export const sheetsRoom = figure({
  id: 'nesting.sheetsRoom',
  of: usedSheet,
  label: 'Sheets above what no plan can do without',
  quantity: 'count',
  formula: 'm = n_0 - n',
  symbols: {},
  source: 'n₀ by the area of all panels over that of a sheet.',
  doubt: { none: 'whole numbers of sheets' },
  work(view, id: string): number {
    const plan = view.figure(sheetPlan, id)
    return plan === null ? Number.NaN : plan.atLeast - plan.toBuy
  },
})

export const sawnFrom = verdict({
  id: 'nesting.sawnFrom',
  stage: 'housing',
  part: 'panels',
  margin: sheetsRoom,
  goodFrom: -1,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure: read }) => {
    const next = { words: 'Look at the sheet', path: `housing.sheets.${id}.along` }
    if (mark === 'unknown')
      return {
        head: 'Can all panels be sawn from the sheet?',
        why: 'Not known yet: the sheet’s thickness, or a panel is larger than it.',
        next,
      }
    const why = `It takes ${read(sheetsToBuy, id)} of them.`
    return mark === 'good'
      ? { head: 'All panels are sawn from the sheet', why }
      : { head: 'The panels waste much of the sheets', why: `${why} Let the grain run either way, or take another size.`, next }
  },
})
