import { thenBlank, thenChosen, thenGuess, type Migration } from '../bench'

export const reachMigrations: readonly Migration[] = [
  {
    to: 16,
    why: 'a bench got the reach of its beam',
    up: () => ({
      beam: {
        focal: thenGuess(40, '40', 'mm', 15),
        across: thenGuess(5, '5', 'mm', 2),
        widths: thenChosen('e2'),
        surface: thenChosen(null),
        back: thenGuess(1, '100', 'percent'),
        free: thenChosen('no'),
        freeAcross: thenBlank('mm'),
        freeAngle: thenBlank('mrad'),
      },
      kept: thenChosen(null),
      room: {
        x: thenBlank('m'),
        y: thenBlank('m'),
        machineX: thenBlank('m'),
        machineY: thenBlank('m'),
        bed: thenGuess(900, '0.9', 'm', 100),
      },
      places: {},
      glasses: {},
    }),
  },
  {
    to: 17,
    why: 'labels of eyewear stand with what is judged of them',
    up: ({ glasses: _, ...rest }) => rest,
  },
]
