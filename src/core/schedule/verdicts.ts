import type { VerdictDef } from '../bench'
import { orderedMargin, toSpend, unordered } from './figures'

export const everythingOrdered: VerdictDef = {
  id: 'plan.everythingOrdered',
  stage: 'plan',
  margin: orderedMargin,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, figure }) =>
    mark === 'good'
      ? { head: 'Everything is ordered', why: 'No part is left that nobody has ordered.' }
      : {
          head: 'Parts are not ordered',
          why: `${figure(unordered)} of them, ${figure(toSpend)} in all. What waits for them is not planned.`,
        },
}

export const planVerdicts = [everythingOrdered] as const
