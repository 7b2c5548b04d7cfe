/** What a bench of version 3 gets when it becomes one of version 4, as it was then: a plan with nothing in it. */
export function planOfVersion4(): Record<string, unknown> {
  const evening = { from: '18:00', to: '21:00' }
  const weekend = { from: '10:00', to: '17:00' }
  return {
    build: { chosen: 'new', origin: 'assumed', doubt: EXACT },
    readyPrice: { value: null, typed: '', typedUnit: 'money', origin: 'assumed', doubt: EXACT },
    stock: {
      length: guess(1000, '1000', EXACT),
      trim: guess(5, '5', EXACT),
      kerf: guess(2.5, '2.5', { kind: 'halfWidth', a: 0.5 }),
      leaveLong: guess(0, '0', EXACT),
    },
    fits: {
      shaft: blank(),
      bush: blank(),
      making: { chosen: 'printed', origin: 'assumed', doubt: EXACT },
      allowance: guess(0.2, '0.2', { kind: 'halfWidth', a: 0.1 }),
      play: guess(0.1, '0.1', { kind: 'halfWidth', a: 0.03 }),
      press: guess(0.05, '0.05', { kind: 'halfWidth', a: 0.02 }),
      holes: blank(),
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

const EXACT = { kind: 'exact' }

function blank(): object {
  return { value: null, typed: '', typedUnit: 'mm', origin: 'assumed', doubt: EXACT }
}

function guess(value: number, typed: string, doubt: object): object {
  return { value, typed, typedUnit: 'mm', origin: 'assumed', doubt }
}
