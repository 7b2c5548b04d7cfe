import { thenBlank, thenChosen, thenGuess, type Migration } from '../bench'

export const opticsMigrations: readonly Migration[] = [
  {
    to: 11,
    why: 'a beam runs through focus',
    up: (slice) => ({
      ...slice,
      flatAlong: thenChosen(null),
      flatOrder: thenGuess(6, '6', 'one', 2),
      m2X: thenGuess(8, '8', 'one', 4),
      m2Y: thenGuess(8, '8', 'one', 4),
      gap: thenBlank('mm'),
      focusGap: thenBlank('mm'),
      sheet: thenGuess(3, '3', 'mm', 0.3),
      headTurn: thenBlank('mm'),
      gauge: thenBlank('mm'),
      plate: thenBlank('mm'),
      feeler: thenBlank('mm'),
      lights: {},
    }),
  },
]
