import { thenGuess, withAt, type Migration } from '../bench'

export const safetyMigrations: readonly Migration[] = [
  {
    to: 7,
    why: 'eyewear is held against a second test, that it withstands the beam',
    up: (slice) => withAt(slice, 'eyewearScale', thenGuess(0, '0', 'count')),
  },
]
