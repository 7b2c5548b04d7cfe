import { bare, choice, fact, group, text } from '../bench'

/** How a bond was read: a meter with two wires reads its own leads as well. */
export const BOND_METHODS = { four: '1 A through it, volts across it', two: 'an ohmmeter with two leads' } as const

/** A joint between the protective earth and a metal part that a hand can reach. */
export const bondShape = group(
  {
    order: bare(),
    name: text(1, 60),
    ohms: fact({ label: 'Resistance to earth', quantity: 'resistance', min: 0, max: 1e6, unit: 'mohm' }),
    method: choice({ label: 'Read by', options: BOND_METHODS, assume: { chosen: 'two' } }),
  },
  { part: 'chain' },
)
