import { thenGuess, withAt, type Migration } from '../bench'

export const safetyMigrations: readonly Migration[] = [
  {
    to: 7,
    why: 'eyewear is held against a second test, that it withstands the beam',
    up: (slice) => withAt(withAt(slice, 'beamAtEyewear', thenGuess(2, '2', 'mm', 1)), 'eyewearScale', thenGuess(0, '0', 'count')),
  },
]
