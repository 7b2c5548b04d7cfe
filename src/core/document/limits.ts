import { shownNumber, type Engine } from '../bench'
import { topSpeed } from '../motion'
import type { AxisLimits, Limits } from '../planner'
import { axisIds } from './catalogue'
import type { Bench } from './bench'

/** How far a corner may be cut while a program is timed, mm; a controller's own setting comes with its stage. */
const DEVIATION = 0.02

/**
 * The limits that the bench gives each axis: speed by step rate, and acceleration. An axis that the bench does not have
 * does not hold the others back.
 * @returns Null while a limit of X or Y is not known.
 */
export function machineLimits(engine: Engine<Bench>): Limits | null {
  const of = (letter: string): AxisLimits | null => {
    const id = axisIds(engine.bench).find((it) => engine.bench.motion.axes[it]?.letter === letter)
    if (id === undefined) return letter === 'Z' ? { speed: 1e6, acceleration: 1e6 } : null
    const speed = shownNumber(engine.value(topSpeed, id).result)
    const acceleration = engine.bench.motion.axes[id]?.acceleration.value ?? null
    return speed === null || acceleration === null ? null : { speed, acceleration }
  }
  const [x, y, z] = [of('X'), of('Y'), of('Z')]
  return x === null || y === null || z === null ? null : { x, y, z, deviation: DEVIATION }
}
