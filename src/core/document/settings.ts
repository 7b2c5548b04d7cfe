import { getAt, isAssumed, isChoice, isFact, shownNumber, type AnyFigure, type Engine, type Path } from '../bench'
import { calibratedStepsOf } from '../calibrate'
import {
  keyOfSetting,
  printSetting,
  settingDiffers,
  settingsFor,
  unitOfSetting,
  type Setting,
  type SettingKind,
} from '../controller'
import { settingFollows, settingFrequency, settingFullPower } from '../electrical'
import type { OutputCard } from '../gcode'
import type { UnitId } from '../units'
import { settingAcceleration, settingSpeed, settingTravel } from '../motion'
import { axisIds } from './axes'
import type { Bench } from './bench'

/** The figure that says what a setting should be. */
const WANTED: Readonly<Record<SettingKind, AnyFigure>> = {
  steps: calibratedStepsOf,
  topSpeed: settingSpeed,
  acceleration: settingAcceleration,
  travel: settingTravel,
  fullPower: settingFullPower,
  pwmFrequency: settingFrequency,
  followsSpeed: settingFollows,
}

/**
 * How bench and machine stand to each other: `same`, `differs`; `within ±`: further apart than the decimals, but not
 * than the bench may be off; `guess`: what the bench says rests on facts that nobody has checked, so that it is neither
 * proof of what is in the machine nor a reason to overwrite it.
 */
export type Standing = 'not known' | 'same' | 'differs' | 'within ±' | 'guess'

/** One setting, by the bench and in the machine. */
export interface ComparedSetting {
  readonly setting: Setting
  readonly figure: { readonly id: string; readonly args: readonly string[] }
  readonly key: string
  /** Path of the fact or choice that says what is in the machine. */
  readonly path: string
  /** By the bench, as the machine would want it typed; null while it is not known. */
  readonly wanted: string | null
  /** In the machine, in the unit that the machine counts in; null while nobody has read it. */
  readonly inMachine: string | null
  /** At the machine's decimals; null while one of the two is not known. */
  readonly differs: boolean | null
  readonly standing: Standing
  /** Of the facts behind what the bench says that nobody has checked, the one that blurs it most; null where none does. */
  readonly unchecked: Path | null
}

/** Every setting of the slice: what the bench says beside what the machine says. */
export function compareSettings(engine: Engine<Bench>): readonly ComparedSetting[] {
  return settingsOf(engine.bench).map((setting) => compared(engine, setting))
}

/** Every setting that the bench's machine has. */
export function settingsOf(bench: Bench): readonly Setting[] {
  return settingsFor(axisIds(bench).map((id) => ({ id, letter: bench.motion.axes[id]?.letter ?? '' })))
}

function compared(engine: Engine<Bench>, setting: Setting): ComparedSetting {
  const { controller } = engine.bench
  const path = `controller.${setting.id}`
  const figure = { id: WANTED[setting.kind].id, args: setting.axisId === null ? [] : [setting.axisId] }
  const { result, doubt } = engine.byId(figure.id, figure.args)
  const value = shownNumber(result)
  const wanted = value === null ? null : printSetting(setting, value, controller)
  const node = getAt(engine.bench, path)
  const unit = unitOfSetting(setting.kind, controller)
  const inMachine = asListed(node, setting, unit, controller)
  const differs = value === null || inMachine === null ? null : settingDiffers(value, inMachine, unit)
  const guesses = (doubt?.contributions ?? []).filter(({ path: at, c }) => c > 0 && !at.startsWith('instruments.'))
  const unchecked = guesses.find((it) => isAssumed(getAt(engine.bench, it.path)))?.path ?? null
  const off = value === null || !isFact(node) || node.value === null ? 0 : Math.abs(node.value - value)
  const standing = standingOf(differs, unchecked !== null, off <= (doubt?.expanded ?? 0))
  return { setting, figure, key: keyOfSetting(setting, controller), path, wanted, inMachine, differs, standing, unchecked }
}

function standingOf(differs: boolean | null, guess: boolean, within: boolean): Standing {
  if (differs === null) return 'not known'
  if (guess) return 'guess'
  if (!differs) return 'same'
  return within ? 'within ±' : 'differs'
}

/** What is in the machine as it lists it: to the letter where it was typed in its unit, else put into that unit. */
function asListed(node: unknown, setting: Setting, unit: UnitId, controller: Bench['controller']): string | null {
  if (isChoice(node)) return node.chosen === null ? null : node.chosen === 'yes' ? '1' : '0'
  if (!isFact(node) || node.value === null) return null
  const typed = /^[+-]?\d+(?:[.,]\d+)?(?=\D*$)/.exec(node.typed)?.[0]
  return node.typedUnit === unit && typed !== undefined ? typed : printSetting(setting, node.value, controller)
}

/** The bench's output card with its full power word; null while that is not known. */
export function cardOf(bench: Bench): OutputCard | null {
  const fullPower = bench.electrical.fullPower.value
  return fullPower === null ? null : { ...bench.output.card, fullPower }
}
