import { thenBlank, thenChosen, thenGuess, type Migration } from '../bench'

export const airMigrations: readonly Migration[] = [
  {
    to: 15,
    why: 'a bench got its ways of the air',
    up: () => ({
      box: {
        caught: thenChosen(null),
        volume: thenBlank('litre'),
        gaps: thenGuess(25, '25', 'cm2', 20),
        inlet: thenBlank('cm2'),
        turns: thenGuess(2, '2', 'count'),
        hoodLength: thenBlank('mm'),
        hoodWidth: thenBlank('mm'),
        hoodGap: thenGuess(5, '5', 'mm', 2),
        holes: thenGuess(100, '100', 'count'),
        holeDiameter: thenBlank('mm'),
        covered: thenGuess(0.5, '50', 'percent', 0.3),
        mouth: thenBlank('cm2'),
        mouthAway: thenBlank('mm'),
        rim: thenChosen('plain', ['flanged']),
        mixing: thenGuess(5, '5', 'one', 3),
      },
      wanted: {
        inward: thenGuess(500, '0.5', 'm/s'),
        clearIn: thenGuess(60, '60', 's'),
      },
      room: {
        appliance: thenChosen(null),
        supply: thenGuess(150, '150', 'cm2', 100),
      },
      ways: {},
      shown: '',
      meter: {
        outDiameter: thenBlank('mm'),
        inletArea: thenBlank('cm2'),
        off: thenGuess(0.05, '5', 'percent'),
      },
      readings: {},
      printing: {
        nozzle: thenGuess(0.4, '0.4', 'mm'),
        lines: thenGuess(4, '4', 'count'),
        play: thenGuess(0.4, '0.4', 'mm'),
      },
      prints: {},
      gapsBy: 'typed',
      smoke: thenChosen(null),
    }),
  },
]
