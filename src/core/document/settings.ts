import { getAt, isChoice, isFact, shownNumber, type AnyFigure, type Engine } from '../bench'
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
import { settingAcceleration, settingSpeed, settingTravel } from '../motion'
import { axisIds } from './catalogue'
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

/** One setting, by the bench and in the machine. */
export interface ComparedSetting {
  readonly setting: Setting
  readonly figure: { readonly id: string; readonly args: readonly string[] }
  readonly key: string
  /** Path of the fact or choice that says what is in the machine. */
  readonly path: string
  /** By the bench, as the machine would want it typed; null while it is not known. */
  readonly wanted: string | null
  /** In the machine, as it stands there; null while nobody has read it. */
  readonly inMachine: string | null
  /** Null while one of the two is not known. */
  readonly differs: boolean | null
}

/** Every setting of the slice: what the bench says beside what the machine says. */
export function compareSettings(engine: Engine<Bench>): readonly ComparedSetting[] {
  const { bench } = engine
  const axes = axisIds(bench).map((id) => ({ id, letter: bench.motion.axes[id]?.letter ?? '' }))
  return settingsFor(axes).map((setting) => compared(engine, setting))
}

function compared(engine: Engine<Bench>, setting: Setting): ComparedSetting {
  const { controller } = engine.bench
  const path = `controller.${setting.id}`
  const figure = { id: WANTED[setting.kind].id, args: setting.axisId === null ? [] : [setting.axisId] }
  const value = shownNumber(engine.valueById(figure.id, figure.args).result)
  const wanted = value === null ? null : printSetting(setting, value, controller)
  const inMachine = asListed(getAt(engine.bench, path))
  const unit = unitOfSetting(setting.kind, controller)
  const differs = value === null || inMachine === null ? null : settingDiffers(value, inMachine.text, inMachine.unit ?? unit)
  return { setting, figure, key: keyOfSetting(setting, controller), path, wanted, inMachine: inMachine?.text ?? null, differs }
}

function asListed(node: unknown): { text: string; unit: ReturnType<typeof unitOfSetting> | null } | null {
  if (isChoice(node)) return node.chosen === null ? null : { text: node.chosen === 'yes' ? '1' : '0', unit: 'count' }
  if (!isFact(node) || node.value === null) return null
  const number = /[+-]?[\d.,]+/.exec(node.typed)?.[0] ?? String(node.value)
  return { text: number, unit: node.typedUnit }
}

/** The bench's output card with its full power word; null while that is not known. */
export function cardOf(bench: Bench): OutputCard | null {
  const fullPower = bench.electrical.fullPower.value
  return fullPower === null ? null : { ...bench.output.card, fullPower }
}
