import { subjectOf } from '../bench'
import { FEET } from './feet'
import type { MotionBench } from './slice'

const subject = subjectOf<MotionBench>()

/** Every axis, in their order. */
export const anAxis = subject('axis', ({ motion }): [axisId: string][] =>
  Object.entries(motion.axes)
    .sort(([, p], [, q]) => p.order - q.order)
    .map(([id]) => [id]),
)

/** A belt of an axis: the one on its first side, and a second one where there are two motors. */
export const aBelt = subject('belt', ({ motion }): [axisId: string, side: string][] =>
  anAxis.each({ motion }).flatMap(([id]) => {
    const two = motion.axes[id]?.motors.value === 2 && motion.kinematics.chosen !== 'crossed'
    const sides = two ? ['A', 'B'] : ['A']
    return sides.map((side): [string, string] => [id, side])
  }),
)

/** The two crossed belts, by the side of their motor; none on other machines. */
export const aCrossedBelt = subject('crossed belt', ({ motion }): [belt: string][] =>
  motion.kinematics.chosen === 'crossed' ? [['a'], ['b']] : [],
)

/** The axes under which the motors of crossed belts stand: the left one under X, the right one under Y. */
export const aMotorPair = subject('pair of motors', ({ motion }): [left: string, right: string][] => {
  if (motion.kinematics.chosen !== 'crossed') return []
  const of = (letter: string): string | undefined => Object.keys(motion.axes).find((id) => motion.axes[id]?.letter === letter)
  const [left, right] = [of('X'), of('Y')]
  return left === undefined || right === undefined ? [] : [[left, right]]
})

/** Directions in which the machine moves. */
export const aLetter = subject('letter', ({ motion }): [letter: string][] =>
  (['X', 'Y', 'Z'] as const).filter((it) => Object.values(motion.axes).some(({ letter }) => letter === it)).map((it) => [it]),
)

/** Feet of the bed. */
export const aFoot = subject('foot', (): [foot: string][] => FEET.map((_, i) => [String(i)]))

/** Axes that scan: X and Y. Z only sets the focus height, so speed and fineness are not asked of it. */
export function scans({ motion }: MotionBench, axisId: string): boolean {
  return motion.axes[axisId]?.letter !== 'Z'
}

/** Of these, those that something pulls: what turns a mirror pulls nothing. */
export function isPulled(bench: MotionBench, axisId: string): boolean {
  return bench.motion.kinematics.chosen !== 'mirrors' && scans(bench, axisId)
}
