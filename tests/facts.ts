import type { Doubt, Fact, Origin } from '../src/core/bench'

/** A measured fact with standard uncertainty u, for tests. */
export function measured(value: number, u: number, more: Partial<Fact> = {}): Fact {
  return made(value, 'measured', u === 0 ? { kind: 'exact' } : { kind: 'standard', u }, more)
}

/** A stated fact within ±a, for tests. */
export function within(value: number, a: number, origin: Origin = 'stated'): Fact {
  return made(value, origin, { kind: 'halfWidth', a })
}

/** A fact known by nature, for tests. */
export function exactly(value: number): Fact {
  return made(value, 'stated', { kind: 'exact' })
}

/** A fact nobody entered, for tests. */
export function missing(): Fact {
  return { value: null, typed: '', typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'exact' } }
}

function made(value: number, origin: Origin, doubt: Doubt, more: Partial<Fact> = {}): Fact {
  return { value, typed: String(value), typedUnit: 'mm', origin, doubt, ...more }
}

/** The stepper that the drive train's worked values are about, its driver set to the peak. */
export const MOTOR = {
  holdingTorque: 0.45,
  ratedCurrent: 1.5,
  resistance: 1.65,
  inductance: 2.8e-3,
  voltage: 24,
  fullSteps: 200,
  setting: 'peak',
} as const
