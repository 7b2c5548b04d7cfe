import {
  createEngine,
  judge,
  type AnyFigure,
  type Engine,
  type EngineConfig,
  type Path,
  type Verdict,
  type VerdictDef,
} from '../bench'
import { eachFact, isChoice, isFact } from '../bench'
import { axisCalibrateVerdicts, calibrateFigures, newestRun, readingDefs, runCalibrateVerdicts } from '../calibrate'
import { electricalFigures, electricalVerdicts } from '../electrical'
import {
  bedLevel,
  beltsAlike,
  beltTight,
  correctionFigures,
  driveFigures,
  fastEnough,
  fieldInFocus,
  gantrySquare,
  motionFigures,
  runsParallel,
  shapeFigures,
  squareEnough,
  torqueEnough,
  type Kinematics,
} from '../motion'
import { fineEnough, opticsFigures, opticsVerdicts } from '../optics'
import { safetyFigures, safetyVerdicts } from '../safety'
import { planFigures, planVerdicts, cutListOf, STOCKS } from '../schedule'
import { benchChoiceSpec, benchFactSpec, type Bench } from './bench'

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
const eachListedStock: Args = ({ plan }) =>
  STOCKS.filter((stock) => Object.values(plan.parts).some((it) => it.covers === stock)).map((it) => [it])
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

/** Label of the fact or choice at a path, with its axis where it has one: “Travel of X”. */
export function labelAt(bench: Bench, path: Path): string {
  const label = benchFactSpec(path)?.label ?? benchChoiceSpec(path)?.label ?? path
  const [, list, id] = path.split('.')
  const letter = list === 'axes' && id !== undefined ? bench.motion.axes[id]?.letter : undefined
  const reading = path.startsWith('calibrate.runs.') ? readingLabel(bench, path) : undefined
  if (reading !== undefined) return reading
  const instrument = path.startsWith('instruments.') ? bench.instruments[list ?? '']?.name : undefined
  if (instrument !== undefined) return `${label} “${instrument}”`
  return letter === undefined ? label : `${label}, ${letter}`
}

function readingLabel(bench: Bench, path: Path): string | undefined {
  const [, , runId = '', , readingId] = path.split('.')
  const run = bench.calibrate.runs[runId]
  return run === undefined ? undefined : readingDefs(run).find((it) => it.id === readingId)?.words
}

/** The stage on which a fact is entered. */
export function stageOfPath(path: Path): string {
  const [slice = ''] = path.split('.')
  const elsewhere: Readonly<Record<string, string>> = {
    optics: 'beam',
    instruments: 'controller',
    electrical: 'power',
    calibrate: 'controller',
    output: 'controller',
  }
  return elsewhere[slice] ?? slice
}

/** Facts of a bench that were entered but that nobody has checked; what no drive in use reads is left out. */
export function assumedFacts(bench: Bench, stage: string): readonly Path[] {
  const found: Path[] = []
  eachFact(bench, (path, node) => {
    const entered = (isFact(node) && node.value !== null) || (isChoice(node) && node.chosen !== null)
    const assumed = (isFact(node) || isChoice(node)) && node.origin === 'assumed'
    if (entered && assumed && stageOfPath(path) === stage && inUse(bench, path)) found.push(path)
  })
  return found
}

const DRIVE_FACTS: Readonly<Record<string, readonly string[]>> = {
  pulleyTeeth: ['belt', 'reducedBelt'],
  beltPitch: ['belt', 'reducedBelt'],
  motorTeeth: ['reducedBelt'],
  drivenTeeth: ['reducedBelt'],
  screwPitch: ['screw'],
  screwStarts: ['screw'],
  rackModule: ['rack'],
  pinionTeeth: ['rack'],
}

/** Parts of Motion that are read only where the machine has them, or where somebody has begun to measure. */
const PART_IN_USE: Readonly<Record<string, (motion: Bench['motion']) => boolean>> = {
  crossed: ({ kinematics }) => kinematics.chosen === 'crossed',
  mirrors: ({ kinematics }) => kinematics.chosen === 'mirrors',
  belts: ({ axes }) => Object.values(axes).some(({ toneA, toneB }) => toneA.value !== null || toneB.value !== null),
  play: ({ play }) => play.clearance.value !== null,
  levelWithin: ({ heights }) => Object.keys(heights).length > 0,
}

/** What only a bench with rails or shafts, or one that cuts plates and bars, reads. */
function cutFactInUse({ motion }: Bench, path: Path): boolean {
  const { kinematics, frame } = motion
  const list = cutListOf(kinematics.chosen, frame.guides.chosen)
  if (path === 'motion.frame.guideOver' || path.startsWith('plan.guideStock.')) return list.guides.length > 0
  if (path === 'motion.frame.guides' || path.startsWith('plan.stock.')) return list.bars.length > 0
  if (path === 'motion.frame.endHeight') return list.plates.includes('end')
  return true
}

/** How two motors share a driver is read only where there are two. */
function sharingInUse(axis: Bench['motion']['axes'][string] | undefined, key: string): boolean {
  if (key === 'drivers') return axis?.motors.value === 2
  return key !== 'driverCurrent' || (axis?.motors.value === 2 && axis.drivers.chosen !== 'each')
}

function inUse(bench: Bench, path: Path): boolean {
  const [, list, id, key] = path.split('.')
  if (!cutFactInUse(bench, path)) return false
  if (list === 'axes' && !sharingInUse(bench.motion.axes[id ?? ''], key ?? '')) return false
  if (path.startsWith('instruments.')) return false
  if (path.startsWith('plan.fits.')) return bench.plan.fits.shaft.value !== null || bench.plan.fits.bush.value !== null
  const part = path.startsWith('motion.') ? PART_IN_USE[list ?? ''] : undefined
  if (part !== undefined && !part(bench.motion)) return false
  const kinds = list === 'axes' ? DRIVE_FACTS[key ?? ''] : undefined
  return kinds === undefined || kinds.includes(bench.motion.axes[id ?? '']?.drive.chosen ?? '')
}
