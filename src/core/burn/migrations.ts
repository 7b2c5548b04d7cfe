import { thenBlank, thenGuess, type Migration } from '../bench'

export const burnsMigrations: readonly Migration[] = [
  {
    to: 11,
    why: 'a bench got a material book',
    up: () => ({
      cutPower: thenGuess(1, '100', 'percent'),
      cutPasses: thenGuess(1, '1', 'count'),
      firstSpeed: thenGuess(6, '6', 'mm/s'),
      toneWanted: thenGuess(45, '45', 'tone'),
      card: {
        across: 'power',
        up: 'speed',
        columns: 6,
        rows: 6,
        acrossFrom: 0.25,
        acrossTo: 1,
        upFrom: 20,
        upTo: 80,
        power: 1,
        speed: 40,
        pitch: 0.1,
        passes: 1,
        focus: 0,
        cell: 5,
        markPower: 1,
        markSpeed: 20,
      },
      depthWanted: thenGuess(0.5, '0.5', 'mm'),
      maskPower: thenGuess(0.3, '30', 'percent'),
      exposure: {
        power: thenGuess(0.1, '10', 'percent'),
        speed: thenGuess(50, '50', 'mm/s'),
        pitch: thenGuess(0.1, '0.1', 'mm'),
        board: thenBlank('mJ/cm2'),
        wedgeStep: thenGuess(0.15, '0.15', 'OD', 0.01),
        held: thenBlank('count'),
        heldWanted: thenGuess(6, '6', 'count'),
      },
      materials: {},
    }),
  },
]
