import { thenBlank, thenGuess, type Migration } from '../bench'

export const logMigrations: readonly Migration[] = [
  {
    to: 16,
    why: 'a bench got its log',
    up: () => ({
      entries: {},
      upkeep: {},
      job: {
        beam: thenBlank('min'),
        hands: thenBlank('min'),
        material: thenBlank('money'),
        spoilt: thenGuess(0.1, '10', 'percent', 0.05),
        hour: thenBlank('money'),
        draws: thenGuess(120, '120', 'W', 50),
        kilowattHour: thenGuess(0.3, '0.3', 'money'),
        headPrice: thenBlank('money'),
        headLife: thenGuess(18000000, '5000', 'h', 10800000),
        filterPrice: thenBlank('money'),
        filterLife: thenGuess(360000, '100', 'h', 180000),
        profit: thenGuess(0.2, '20', 'percent'),
      },
    }),
  },
]
