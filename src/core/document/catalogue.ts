import { createEngine, judge, type AnyFigure, type Engine, type EngineConfig, type Verdict, type VerdictDef } from '../bench'
import { axisCalibrateVerdicts, calibrateFigures, newestRun, runCalibrateVerdicts } from '../calibrate'
import { electricalFigures, electricalVerdicts } from '../electrical'
import {
  bedLevel,
  beltsAlike,
  beltsOfMachine,
  beltTight,
  correctionFigures,
  cutListOf,
  driveFigures,
  fastEnough,
  fieldInFocus,
  gantrySquare,
  type Kinematics,
  motionFigures,
  runsParallel,
  shapeFigures,
  squareEnough,
  torqueEnough,
} from '../motion'
import { fineEnough, opticsFigures, opticsVerdicts } from '../optics'
import { safetyFigures, safetyVerdicts } from '../safety'
import { planFigures, planVerdicts, STOCKS } from '../schedule'
import { benchFactSpec, type Bench } from './bench'

/** Every figure of the product. */
export const FIGURES: readonly AnyFigure[] = [
  ...motionFigures,
  ...driveFigures,
  ...shapeFigures,
  ...correctionFigures,
  ...electricalFigures,
  ...opticsFigures,
  ...calibrateFigures,
  ...safetyFigures,
  ...planFigures,
]

type Args = (bench: Bench) => readonly (readonly string[])[]

const once: Args = () => [[]]
const eachScanningAxis: Args = (bench) => scanningAxes(bench).map((id) => [id])
const newestScaleRun: Args = ({ calibrate }) => {
  const run = newestRun(calibrate)
  return run === null ? [] : [[run]]
}
const where =
  (holds: (motion: Bench['motion']) => boolean, args: readonly (readonly string[])[] = [[]]): Args =>
  ({ motion }) =>
    holds(motion) ? args : []
const moves = (kinematics: Kinematics) => (motion: Bench['motion']) => motion.kinematics.chosen === kinematics
/** Axes, but not of mirrors: what turns a mirror pulls nothing. */
const eachPulledAxis: Args = (bench) => (moves('mirrors')(bench.motion) ? [] : eachScanningAxis(bench))
const eachTone: Args = ({ motion }) =>
  Object.entries(motion.axes).flatMap(([id, axis]) =>
    (['A', 'B'] as const).filter((side) => axis[`tone${side}`].value !== null).map((side) => [id, side]),
  )
const eachPairOfTones: Args = ({ motion }) =>
  Object.entries(motion.axes)
    .filter(([, { toneA, toneB, motors }]) => toneA.value !== null && toneB.value !== null && motors.value === 2)
    .map(([id]) => [id])

const planned =
  (holds: (plan: Bench['plan']) => boolean): Args =>
  ({ plan }) =>
    holds(plan) ? [[]] : []
/** Stock that a part of the list stands for, where the machine is cut from it at all. */
const eachListedStock: Args = ({ motion, plan }) => {
  const list = cutListOf(motion.kinematics.chosen, motion.frame.guides.chosen)
  return STOCKS.filter((it) => list[it].length > 0 && Object.values(plan.parts).some(({ covers }) => covers === it)).map((it) => [
    it,
  ])
}
/** A belt on the list, where the machine has belts that are cut. */
const listedBelt: Args = ({ motion, plan }) =>
  Object.values(plan.parts).some(({ covers }) => covers === 'belt') && beltsOfMachine(motion).length > 0 ? [[]] : []
/** Sizes of the largest work that were said, for axes that there are. */
const eachWantedSize: Args = ({ motion, plan: { goals } }) =>
  [['X', goals.workWidth] as const, ['Y', goals.workDepth] as const, ['Z', goals.workHeight] as const].flatMap(
    ([letter, { value }]) => (value !== null && Object.values(motion.axes).some((it) => it.letter === letter) ? [[letter]] : []),
  )

/** Every verdict, with what it is judged for. What nobody has begun to measure is not judged. */
const VERDICTS: readonly { readonly def: VerdictDef; readonly args: Args }[] = [
  { def: fineEnough, args: eachScanningAxis },
  { def: fastEnough, args: eachScanningAxis },
  { def: torqueEnough, args: eachPulledAxis },
  { def: squareEnough, args: where((motion) => !moves('mirrors')(motion)) },
  { def: gantrySquare, args: where(({ racking }) => racking.left.value !== null || racking.right.value !== null) },
  { def: runsParallel, args: where(moves('crossed'), [['a'], ['b']]) },
  { def: fieldInFocus, args: where(moves('mirrors')) },
  { def: beltTight, args: eachTone },
  { def: beltsAlike, args: eachPairOfTones },
  { def: bedLevel, args: where(({ heights }) => Object.keys(heights).length > 0) },
  ...electricalVerdicts.map((def) => ({ def, args: once })),
  ...opticsVerdicts.map((def) => ({ def, args: once })),
  ...axisCalibrateVerdicts.map((def) => ({ def, args: eachScanningAxis })),
  ...runCalibrateVerdicts.map((def) => ({ def, args: newestScaleRun })),
  ...safetyVerdicts.map((def) => ({ def, args: once })),
  { def: planVerdicts.everythingOrdered, args: planned(({ parts }) => Object.keys(parts).length > 0) },
  { def: planVerdicts.stockEnough, args: eachListedStock },
  { def: planVerdicts.beltReaches, args: listedBelt },
  { def: planVerdicts.screwsFit, args: planned(({ joints }) => Object.keys(joints).length > 0) },
  {
    def: planVerdicts.bagEnough,
    args: planned(({ joints, bag }) => Math.min(Object.keys(joints).length, Object.keys(bag).length) > 0),
  },
  { def: planVerdicts.withinBudget, args: planned(({ goals }) => goals.budget.value !== null) },
  { def: planVerdicts.workFits, args: eachWantedSize },
  { def: planVerdicts.materialsBurn, args: planned(({ goals }) => Object.keys(goals.materials).length > 0) },
]

/** What an engine over a bench needs to know. */
export const ENGINE_CONFIG: EngineConfig & { readonly specAt: typeof benchFactSpec } = { figures: FIGURES, specAt: benchFactSpec }

/** An engine over a bench with the product's figures. @throws never for a valid bench. */
export function engineFor(bench: Bench): Engine<Bench> {
  return createEngine(bench, ENGINE_CONFIG)
}

/** The axes of a bench in their order: ids. */
export function axisIds(bench: Bench): readonly string[] {
  return Object.entries(bench.motion.axes)
    .sort(([, p], [, q]) => p.order - q.order)
    .map(([id]) => id)
}

/** The axes that scan: X and Y. Z only sets the focus height, so speed and fineness are not asked of it. */
function scanningAxes(bench: Bench): readonly string[] {
  return axisIds(bench).filter((id) => bench.motion.axes[id]?.letter !== 'Z')
}

/** All verdicts of a bench, in the route's order; a stage's own in the order listed. */
export function judgeAll(engine: Engine<Bench>, stage?: string): readonly Verdict[] {
  return VERDICTS.filter(({ def }) => stage === undefined || def.stage === stage).flatMap(({ def, args }) =>
    args(engine.bench).map((it) => judge(engine, def, it)),
  )
}
