import { thenBlank, thenGuess, type Migration } from '../bench'

export const workMigrations: readonly Migration[] = [
  {
    to: 12,
    why: 'a bench got a work order',
    up: () => ({
      material: '',
      sheetWidth: thenBlank('mm'),
      sheetHeight: thenBlank('mm'),
      sheetX: thenGuess(0, '0', 'mm', 1),
      sheetY: thenGuess(0, '0', 'mm', 1),
      margin: thenGuess(2, '2', 'mm'),
      kerf: thenGuess(0.15, '0.15', 'mm', 0.1),
      tolerance: thenGuess(0.01, '0.01', 'mm'),
      scans: 'both',
      turns: 'free',
      under: 'honeycomb',
      barsAlong: 'x',
      barsFirst: 10,
      barsStep: 40,
      barsWidth: 4,
      clamps: {},
      pieces: {},
      kept: {},
    }),
  },
]
