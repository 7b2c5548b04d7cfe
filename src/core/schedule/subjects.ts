import { subjectOf } from '../bench'
import { beltsOfMachine, cutListOf, type CutList, type MotionBench } from '../motion'
import { STOCKS, type PlanBench } from './slice'

const subject = subjectOf<PlanBench & MotionBench>()

function listOf({ motion }: MotionBench): CutList {
  return cutListOf(motion.kinematics.chosen, motion.frame.guides.chosen)
}

/** Bars that the machine is cut from. */
export const aBar = subject('bar', (bench): [bar: string][] => listOf(bench).bars.map((it) => [it]))

/** Axes whose rails or shafts are cut. */
export const aGuide = subject('guide', (bench): [guide: string][] => listOf(bench).guides.map(({ id }) => [id]))

/** Plates that are cut. */
export const aPlate = subject('plate', (bench): [plate: string][] => listOf(bench).plates.map((it) => [it]))

/** Stock that anything is cut from. */
export const aStock = subject('stock', (bench): [stock: string][] =>
  STOCKS.filter((it) => listOf(bench)[it].length > 0).map((it) => [it]),
)

/** Axes whose belts are cut. */
export const aCutBelt = subject('cut belt', ({ motion }): [axisId: string][] => beltsOfMachine(motion).map(({ axis }) => [axis]))

/** Joints of the list. */
export const aJoint = subjectOf<PlanBench>()('joint', ({ plan }): [jointId: string][] =>
  Object.keys(plan.joints).map((id) => [id]),
)
