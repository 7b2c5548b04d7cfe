import { thenBlank, thenChosen, thenGuess, withEach, type Json, type Migration } from '../bench'

/** Of the slice `plan`. */
export const planMigrations: readonly Migration[] = [
  { to: 4, why: 'a bench got a plan: parts, cuts, fasteners, tasks and free time', up: planOf4 },
  {
    to: 5,
    why: 'a plan got its goals, stock of rails, what a part stands for, and tasks that are put off',
    up: (plan) => ({
      ...plan,
      goals: {
        workWidth: thenBlank('mm'),
        workDepth: thenBlank('mm'),
        workHeight: thenBlank('mm'),
        rotary: thenChosen('no'),
        portable: thenChosen('no'),
        budget: thenBlank('money'),
        materials: {},
      },
      guideStock: {
        length: thenGuess(1000, '1000', 'mm'),
        trim: thenGuess(0, '0', 'mm'),
        kerf: thenGuess(1.5, '1.5', 'mm', 0.5),
      },
      parts: withEach(plan['parts'], { covers: '', lengthMm: 0 }),
      tasks: withEach(plan['tasks'], { notBefore: '' }),
    }),
  },
]

function planOf4(): Json {
  const evening = { from: '18:00', to: '21:00' }
  const weekend = { from: '10:00', to: '17:00' }
  return {
    build: thenChosen('new'),
    readyPrice: thenBlank('money'),
    stock: {
      length: thenGuess(1000, '1000', 'mm'),
      trim: thenGuess(5, '5', 'mm'),
      kerf: thenGuess(2.5, '2.5', 'mm', 0.5),
      leaveLong: thenGuess(0, '0', 'mm'),
    },
    fits: {
      shaft: thenBlank('mm'),
      bush: thenBlank('mm'),
      making: thenChosen('printed'),
      allowance: thenGuess(0.2, '0.2', 'mm', 0.1),
      play: thenGuess(0.1, '0.1', 'mm', 0.03),
      press: thenGuess(0.05, '0.05', 'mm', 0.02),
      holes: thenBlank('mm'),
    },
    parts: {},
    joints: {},
    bag: {},
    tasks: {},
    free: {
      monday: evening,
      tuesday: evening,
      wednesday: evening,
      thursday: evening,
      friday: { from: '', to: '' },
      saturday: weekend,
      sunday: weekend,
    },
    quiet: { from: '20:00', to: '08:00' },
  }
}
