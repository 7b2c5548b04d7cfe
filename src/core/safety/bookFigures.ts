import { figureOf, NotYet } from '../bench'
import { aMaterial, type CutBench } from '../burn'
import type { MaterialId } from './materialIds'
import { MATERIALS } from './materials'

const figure = figureOf<CutBench>()

export const bookMargin = figure({
  id: 'safety.bookMargin',
  of: aMaterial,
  label: 'Against burning this material',
  quantity: 'count',
  formula: 'm = -1\\ \\text{where it is never burnt, else}\\ 0',
  symbols: {},
  source: 'What the materials give off (common practice); 0 is the limit.',
  doubt: { none: 'A count.' },
  work(view, id: string): number {
    const kind = view.rows(({ burns }) => burns.materials[id]?.kind ?? '')
    if (!(kind in MATERIALS)) throw new NotYet('say what it is: what nobody knows is not burnt')
    return MATERIALS[kind as MaterialId].burning === 'never' ? -1 : 0
  },
})
