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
import { motionFigures, motionVerdicts } from '../motion'
import { axisOpticsVerdicts, opticsFigures, opticsVerdicts } from '../optics'
import { safetyFigures, safetyVerdicts } from '../safety'
import { benchChoiceSpec, benchFactSpec, type Bench } from './bench'

/** Every figure of the product. */
export const FIGURES: readonly AnyFigure[] = [
  ...motionFigures,
  ...electricalFigures,
  ...opticsFigures,
  ...calibrateFigures,
  ...safetyFigures,
]

/** Every verdict, with whether it is judged once for each scanning axis, for the newest scale run, or for the bench. */
const VERDICTS: readonly { readonly def: VerdictDef; readonly each: 'axis' | 'run' | 'bench' }[] = [
  ...axisOpticsVerdicts.map((def) => ({ def, each: 'axis' as const })),
  ...motionVerdicts.map((def) => ({ def, each: def.id === 'motion.fastEnough' ? ('axis' as const) : ('bench' as const) })),
  ...electricalVerdicts.map((def) => ({ def, each: 'bench' as const })),
  ...opticsVerdicts.map((def) => ({ def, each: 'bench' as const })),
  ...axisCalibrateVerdicts.map((def) => ({ def, each: 'axis' as const })),
  ...runCalibrateVerdicts.map((def) => ({ def, each: 'run' as const })),
  ...safetyVerdicts.map((def) => ({ def, each: 'bench' as const })),
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
  return VERDICTS.filter(({ def }) => stage === undefined || def.stage === stage).flatMap(({ def, each }) =>
    argsOf(engine.bench, each).map((args) => judge(engine, def, args)),
  )
}

/** What a verdict is judged with: nothing, each scanning axis, or the newest scale run where there is one. */
function argsOf(bench: Bench, each: 'axis' | 'run' | 'bench'): readonly (readonly string[])[] {
  if (each === 'bench') return [[]]
  if (each === 'axis') return scanningAxes(bench).map((id) => [id])
  const run = newestRun(bench.calibrate)
  return run === null ? [] : [[run]]
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
}

function inUse(bench: Bench, path: Path): boolean {
  const [, list, id, key] = path.split('.')
  if (path.startsWith('instruments.')) return false
  const kinds = list === 'axes' ? DRIVE_FACTS[key ?? ''] : undefined
  return kinds === undefined || kinds.includes(bench.motion.axes[id ?? '']?.drive.chosen ?? '')
}
