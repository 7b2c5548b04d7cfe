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

function guess(value: number, typed: string, doubt: object): object {
  return { value, typed, typedUnit: 'mm', origin: 'assumed', doubt }
}
