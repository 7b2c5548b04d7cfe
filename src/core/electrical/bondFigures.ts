import { figureOf, NotYet } from '../bench'
import type { ElectricalBench } from './slice'
import { aBond } from './subjects'

const figure = figureOf<ElectricalBench>()

/** Most that a protective bond may have, Ω. Source: IEC 61010-1 6.5.2.4, IEC 60335-1 27.5 (from memory). */
export const MOST_BOND = 0.1

export const bondRoom = figure({
  id: 'electrical.bondRoom',
  of: aBond,
  label: 'Below the limit of a bond by',
  quantity: 'resistance',
  show: { metric: 'mohm', inch: 'mohm' },
  formula: 'm = 0.1 - \\v{R}',
  symbols: { R: 'electrical.bonds.{0}.ohms' },
  source: 'IEC 61010-1 6.5.2.4, IEC 60335-1 27.5 (from memory): at most 0.1 Ω.',
  doubt: 'nudge',
  work(view, id: string): number {
    const bond = view.bench.electrical.bonds[id]
    if (bond === undefined) throw new RangeError(`there is no bond ${id} on this bench`)
    if (bond.method === 'two' && bond.ohms < 1) {
      throw new NotYet('pass 1 A through it and read at most 0.10 V: an ohmmeter with two leads cannot tell them from the joint')
    }
    return MOST_BOND - bond.ohms
  },
})
