import {
  choiceSpecAt,
  factSpecAt,
  group,
  instrumentsShape,
  just,
  moment,
  text,
  word,
  type ChoiceSpec,
  type FactSpec,
  type Of,
  type Path,
  type PathsOf,
} from '../bench'
import { calibrateShape } from '../calibrate'
import { controllerShape } from '../controller'
import { electricalShape } from '../electrical'
import { benchCardShape } from '../gcode'
import { motionShape } from '../motion'
import { opticsShape } from '../optics'
import { safetyShape } from '../safety'
import { planShape } from '../schedule'

/** The document's present version. */
export const BENCH_VERSION = 6

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
  safety: safetyShape,
  plan: planShape,
  output: group({ card: benchCardShape }),
})

export type Bench = Of<typeof benchShape>

/** A place of a fact or choice on a bench; `${string}` stands for an id. */
export type FactPath = PathsOf<Bench>

/** What the fact at a path of a bench holds. */
export function benchFactSpec(path: Path): FactSpec | undefined {
  return factSpecAt(benchShape, path)
}

/** What the choice at a path of a bench offers. */
export function benchChoiceSpec(path: Path): ChoiceSpec | undefined {
  return choiceSpecAt(benchShape, path)
}
