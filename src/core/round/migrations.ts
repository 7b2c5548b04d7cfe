import { thenChosen, thenGuess, type Migration } from '../bench'

export const roundMigrations: readonly Migration[] = [
  {
    to: 16,
    why: 'a bench got its round before a burn',
    up: () => ({
      every: thenGuess(30, '30', 'count'),
      tries: {},
      extinguisher: thenChosen(null),
      watch: thenGuess(1800, '30', 'min'),
      room: thenChosen(null),
    }),
  },
]
