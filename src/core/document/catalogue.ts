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
import { motionFigures, motionVerdicts } from '../motion'
import { opticsFigures, opticsVerdicts } from '../optics'
import { safetyFigures, safetyVerdicts } from '../safety'
import { benchChoiceSpec, benchFactSpec, type Bench } from './bench'

/** Every figure of the product. */
export const FIGURES: readonly AnyFigure[] = [...motionFigures, ...opticsFigures, ...safetyFigures]

/** Every verdict, with whether it is judged once for each linear axis. */
const VERDICTS: readonly { readonly def: VerdictDef; readonly each: 'axis' | 'bench' }[] = [
  ...opticsVerdicts.map((def) => ({ def, each: 'axis' as const })),
  ...motionVerdicts.map((def) => ({ def, each: def.id === 'motion.fastEnough' ? ('axis' as const) : ('bench' as const) })),
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
    each === 'bench' ? [judge(engine, def, [])] : scanningAxes(engine.bench).map((id) => judge(engine, def, [id])),
  )
}

/** Label of the fact or choice at a path, with its axis where it has one: “Travel of X”. */
export function labelAt(bench: Bench, path: Path): string {
  const label = benchFactSpec(path)?.label ?? benchChoiceSpec(path)?.label ?? path
  const [, list, id] = path.split('.')
  const letter = list === 'axes' && id !== undefined ? bench.motion.axes[id]?.letter : undefined
  const instrument = path.startsWith('instruments.') ? bench.instruments[list ?? '']?.name : undefined
  if (instrument !== undefined) return `${label} “${instrument}”`
  return letter === undefined ? label : `${label}, ${letter}`
}

/** The stage on which a fact is entered. */
export function stageOfPath(path: Path): string {
  const [slice = ''] = path.split('.')
  return { optics: 'beam', safety: 'safety', instruments: 'motion' }[slice] ?? slice
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
