import { airHints } from '../air'
import { instrumentsHints, patternAt, type Path } from '../bench'
import { burnHints } from '../burn'
import { calibrateHints } from '../calibrate'
import { controllerHints } from '../controller'
import { electricalHints } from '../electrical'
import { faultsHints } from '../faults'
import { housingHints } from '../housing'
import { logHints } from '../log'
import { motionHints } from '../motion'
import { opticsHints } from '../optics'
import { reachHints } from '../reach'
import { rotaryHints } from '../rotary'
import { roundHints } from '../round'
import { safetyHints } from '../safety'
import { workHints } from '../work'
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
  ...burnHints,
  ...rotaryHints,
  ...housingHints,
  ...airHints,
  ...safetyHints,
  ...reachHints,
  ...roundHints,
  ...workHints,
  ...planHints,
  ...logHints,
  ...faultsHints,
}

/** How the fact or choice at a path is found out, in a sentence; undefined where nothing need be said. */
export function hintAt(path: Path): string | undefined {
  return HINTS[patternAt(benchShape, path)]
}

/** Other words that facts are looked for by; `*` stands for an id. */
export const ALSO: Readonly<Record<string, string>> = {
  'motion.axes.*.travel': 'size work area bed',
  'motion.axes.*.fullSteps': 'steps per mm 1.8 degree step angle',
  'motion.axes.*.microsteps': 'steps per mm microstepping jumper',
  'motion.axes.*.pulleyTeeth': 'steps per mm pulley',
  'motion.axes.*.acceleration': 'jerk ramp',
  'motion.wantedSpeed': 'feed rate',
  'motion.maxStepRate': 'khz pulse',
  'motion.squareWithin': 'diagonal square angle tolerance',
  'electrical.pwmFrequency': 'pwm khz',
  'electrical.fullPower': 's max spindle laser power word',
  'optics.power': 'watt laser',
  'optics.wavelength': 'nm colour blue',
  'optics.spotX': 'kerf beam width focus',
  'safety.beamAtEyewear': 'goggles glasses eyewear od lb label',
}

/** Other words that the fact at a path is looked for by. */
export function alsoAt(path: Path): string | undefined {
  return ALSO[patternAt(benchShape, path)]
}
