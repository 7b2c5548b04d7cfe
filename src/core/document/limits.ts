import { shownNumber, type Engine } from '../bench'
import { motorSpeed } from '../motion'
import type { Limits, MotorLimits } from '../planner'
import { axisIds } from './axes'
import type { Bench } from './bench'

/** How far a corner may be cut while a program is timed, mm; a controller's own setting comes with its stage. */
const DEVIATION = 0.02

type Per = MotorLimits['per']

/** What each motor's belt, screw or rack goes for 1 mm of X, Y and Z; crossed belts after `motorsFor`. */
const STRAIGHT: Readonly<Record<string, { readonly name: string; readonly per: Per }>> = {
  X: { name: 'x', per: [1, 0, 0] },
  Y: { name: 'y', per: [0, 1, 0] },
  Z: { name: 'z', per: [0, 0, 1] },
}
const CROSSED: typeof STRAIGHT = {
  ...STRAIGHT,
  X: { name: 'left motor', per: [1, 1, 0] },
  Y: { name: 'right motor', per: [1, -1, 0] },
}

/**
 * The limits of the bench's motors: speed by step rate, and acceleration. With crossed belts each motor takes part in X
 * and in Y. An axis that the bench does not have does not hold the others back.
 * @returns Null while a limit of X or Y is not known.
 */
export function machineLimits(engine: Engine<Bench>): Limits | null {
  const { axes, kinematics } = engine.bench.motion
  const parts = kinematics.chosen === 'crossed' ? CROSSED : STRAIGHT
  const motors = axisIds(engine.bench).map((id): MotorLimits | null => {
    const part = parts[axes[id]?.letter ?? '']
    const speed = shownNumber(engine.value(motorSpeed, id).result)
    const acceleration = axes[id]?.acceleration.value ?? null
    return part === undefined || speed === null || acceleration === null ? null : { ...part, speed, acceleration }
  })
  const letters = Object.values(axes).map((it) => it.letter)
  const known = motors.filter((it) => it !== null)
  return known.length === motors.length && letters.includes('X') && letters.includes('Y')
    ? { motors: known, deviation: DEVIATION }
    : null
}
