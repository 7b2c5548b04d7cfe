import { thenBlank, thenChosen, thenCount, thenGuess, type Migration } from '../bench'

export const electricalMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got the signal that carries the power',
    up: () => ({
      timerClock: thenBlank('MHz'),
      pwmFrequency: thenGuess(1000, '1', 'kHz', 100),
      fullPower: thenCount(1000, '1000', 'count', [255, 100]),
      followsSpeed: thenChosen('no'),
    }),
  },
  { to: 8, why: 'a bench got its wiring', up: (electrical) => ({ blocks: {}, wires: {}, ...electrical }) },
]
