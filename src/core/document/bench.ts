import type { Air } from '../air'
import {
  choiceSpecAt,
  factSpecAt,
  group,
  instrumentsShape,
  just,
  late,
  moment,
  text,
  word,
  type Choice,
  type ChoiceSpec,
  type Fact,
  type FactSpec,
  type Of,
  type Path,
  type PathsOf,
} from '../bench'
import { burnsShape } from '../burn'
import { calibrateShape } from '../calibrate'
import { controllerShape, linkCardShape } from '../controller'
import { electricalShape } from '../electrical'
import type { Faults } from '../faults'
import { benchCardShape } from '../gcode'
import type { Housing } from '../housing'
import type { Log } from '../log'
import { motionShape } from '../motion'
import { opticsShape } from '../optics'
import type { Reach } from '../reach'
import type { Rotary } from '../rotary'
import type { Round } from '../round'
import { safetyShape } from '../safety'
import { planShape } from '../schedule'
import { workShape } from '../work'

/** The document's present version. */
export const BENCH_VERSION = 17

/** Slices that the first picture does not wait for; `lateSlices.ts` tells them. */
export const lateSlices = {
  rotary: late<Rotary>(),
  housing: late<Housing>(),
  air: late<Air>(),
  reach: late<Reach>(),
  round: late<Round>(),
  log: late<Log>(),
  faults: late<Faults>(),
}

/** All of one machine: one document. */
export const benchShape = group({
  kind: just('fine-kerf.bench'),
  version: just(BENCH_VERSION),
  id: text(1, 40),
  name: text(1, 60, undefined, 'A bench needs a name.'),
  /** What it is, in a line. */
  about: text(0, 400),
  units: word(['metric', 'inch'] as const),
  createdAt: moment('instant'),
  instruments: instrumentsShape,
  motion: motionShape,
  controller: controllerShape,
  electrical: electricalShape,
  optics: opticsShape,
  calibrate: calibrateShape,
  burns: burnsShape,
  rotary: lateSlices.rotary,
  housing: lateSlices.housing,
  air: lateSlices.air,
  safety: safetyShape,
  reach: lateSlices.reach,
  round: lateSlices.round,
  work: workShape,
  plan: planShape,
  log: lateSlices.log,
  faults: lateSlices.faults,
  output: group({ card: benchCardShape, link: linkCardShape }),
})

export type Bench = Of<typeof benchShape>

/** Places of facts, and of choices, on a bench; `${string}` stands for an id. A misspelt one does not compile. */
export type FactPath = PathsOf<Bench, Fact>
export type ChoicePath = PathsOf<Bench, Choice>

/** What the fact at a path of a bench holds. */
export function benchFactSpec(path: Path): FactSpec | undefined {
  return factSpecAt(benchShape, path)
}

/** A path that was put together, as one of a fact. @throws {RangeError} where no fact stands there. */
export function factPath(path: Path): FactPath {
  if (benchFactSpec(path) === undefined) throw new RangeError(`no fact stands at ${path}`)
  return path as FactPath
}

/** The same for a choice. @throws {RangeError} where no choice stands there. */
export function choicePath(path: Path): ChoicePath {
  if (benchChoiceSpec(path) === undefined) throw new RangeError(`no choice stands at ${path}`)
  return path as ChoicePath
}

/** What the choice at a path of a bench offers. */
export function benchChoiceSpec(path: Path): ChoiceSpec | undefined {
  return choiceSpecAt(benchShape, path)
}
