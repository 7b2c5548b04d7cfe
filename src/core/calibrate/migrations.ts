import { thenBlank, thenGuess, type Migration } from '../bench'

export const calibrateMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got scale runs',
    up: () => ({
      wantedShare: thenGuess(0.001, '0.1', 'percent'),
      sightPower: thenGuess(0.01, '1', 'percent'),
      rampTo: thenGuess(0.3, '30', 'percent'),
      markPower: thenBlank('percent'),
      markSpeed: thenGuess(20, '20', 'mm/s'),
      startX: thenGuess(12, '12', 'mm'),
      startY: thenGuess(12, '12', 'mm'),
      runs: {},
      applied: {},
    }),
  },
  { to: 9, why: 'a bench got the readings of its power curve', up: (calibrate) => ({ ...calibrate, curve: {} }) },
]
