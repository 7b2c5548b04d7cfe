import { figureOf, type FigureDef } from '../bench'
import type { PlanBench } from './slice'

/** The margin of what should be none: less its count, so that 0 is the limit. @param id Of the figure. */
export function lackOf(id: string, label: string, count: FigureDef<PlanBench, []>): FigureDef<PlanBench, []> {
  return figureOf<PlanBench>()({
    id,
    label,
    quantity: 'count',
    formula: 'm = -\\v{n}',
    symbols: { n: `=${count.id}` },
    source: 'By definition; 0 is the limit.',
    doubt: { none: 'A count.' },
    work: (view): number => 0 - view.figure(count),
  })
}
