import { thenGuess, type Migration } from '../bench'

export const burnsMigrations: readonly Migration[] = [
  {
    to: 11,
    why: 'a bench got a material book',
    up: () => ({
      cutPower: thenGuess(1, '100', 'percent'),
      cutPasses: thenGuess(1, '1', 'count'),
      firstSpeed: thenGuess(6, '6', 'mm/s'),
      materials: {},
    }),
  },
]
