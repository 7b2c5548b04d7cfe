import { instrumentsHints, patternAt, type Path } from '../bench'
import { calibrateHints } from '../calibrate'
import { controllerHints } from '../controller'
import { electricalHints } from '../electrical'
import { motionHints } from '../motion'
import { opticsHints } from '../optics'
import { safetyHints } from '../safety'
import { planHints } from '../schedule'
import { benchShape } from './bench'

/** How the facts of a bench are found out, by the place of each; `*` stands for an id. */
export const HINTS: Readonly<Record<string, string>> = {
  ...instrumentsHints,
  ...motionHints,
  ...controllerHints,
  ...electricalHints,
  ...opticsHints,
  ...calibrateHints,
  ...safetyHints,
  ...planHints,
}

/** How the fact or choice at a path is found out, in a sentence; undefined where nothing need be said. */
export function hintAt(path: Path): string | undefined {
  return HINTS[patternAt(benchShape, path)]
}
