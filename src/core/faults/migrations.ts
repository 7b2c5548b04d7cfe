import { thenBlank, thenChosen, thenGuess, type Migration } from '../bench'

export const faultsMigrations: readonly Migration[] = [
  {
    to: 16,
    why: 'a bench got what is wrong with a burn',
    up: () => ({
      seen: {
        shifted: thenChosen(null),
        slanted: thenChosen(null),
        open: thenChosen(null),
        doubled: thenChosen(null),
        short: thenChosen(null),
        swinging: thenChosen(null),
        darkCorners: thenChosen(null),
        pale: thenChosen(null),
        wide: thenChosen(null),
        wedged: thenChosen(null),
        patchy: thenChosen(null),
        scorched: thenChosen(null),
        seamOpen: thenChosen(null),
      },
      read: {
        gap: thenBlank('mm'),
        shiftSlow: thenBlank('mm'),
        shiftFast: thenBlank('mm'),
        slant: thenBlank('mm'),
        doubleSlow: thenBlank('mm'),
        doubleFast: thenBlank('mm'),
        missing: thenBlank('mm'),
        swing: thenBlank('mm'),
        cornerDark: thenBlank('percent'),
        width: thenBlank('percent'),
        wedge: thenBlank('percent'),
        dark: thenBlank('percent'),
        uneven: thenBlank('percent'),
        rim: thenBlank('mm'),
        seam: thenBlank('mm'),
      },
      slow: thenGuess(20, '20', 'mm/s'),
      fast: thenGuess(100, '100', 'mm/s'),
    }),
  },
]
