import { shownNumber, type Engine } from '../bench'
import { keyOfSetting, lineOfSetting, printSetting, type Setting } from '../controller'
import { circumference, stepsOfSurface } from '../rotary'
import type { Bench } from './bench'
import { settingsOf } from './settings'

/** One setting of the axis that the rotary stands for: as it is in the machine for the axis, and as the rotary wants it. */
export interface RotarySetting {
  readonly setting: Setting
  readonly key: string
  /** As the machine would want it typed; null while it is not known. */
  readonly wanted: string | null
  /** The exact line to type by hand, and that of the axis; null while it is not known. */
  readonly line: string | null
  readonly lineBefore: string | null
  /** What was in the machine before, as it listed it; null while nobody has read it. */
  readonly before: string | null
}

/** The axis that the rotary stands for; null where it is an axis of its own, or the machine has none of that letter. */
export function axisOfRotary({ motion, rotary }: Bench): string | null {
  const letter = rotary.turn.standsFor.chosen === 'x' ? 'X' : rotary.turn.standsFor.chosen === 'y' ? 'Y' : null
  return Object.keys(motion.axes).find((id) => motion.axes[id]?.letter === letter) ?? null
}

/**
 * Every setting that goes out for the rotary and comes back after it. A millimetre of the axis becomes one of surface: its
 * travel is once round.
 */
export function rotarySettings(engine: Engine<Bench>): readonly RotarySetting[] {
  const { bench } = engine
  const { controller, rotary } = bench
  const axisId = rotary.swap.axis === '' ? axisOfRotary(bench) : rotary.swap.axis
  const id = rotary.inHand
  const values: Partial<Record<Setting['kind'], number | null>> = {
    steps: shownNumber(engine.value(stepsOfSurface, id).result),
    topSpeed: rotary.turn.surfaceSpeed.value,
    acceleration: rotary.turn.surfaceAcceleration.value,
    travel: shownNumber(engine.value(circumference, id).result),
  }
  return settingsOf(bench)
    .filter((it) => it.axisId === axisId && it.axisId !== null)
    .map((setting) => {
      const value = values[setting.kind] ?? null
      const wanted = value === null ? null : printSetting(setting, value, controller)
      const own = controller.axes[axisId ?? '']?.[setting.kind as 'steps']
      const listed = own?.value == null ? null : printSetting(setting, own.value, controller)
      const before = rotary.swap.before[setting.id] ?? listed
      return {
        setting,
        key: keyOfSetting(setting, controller),
        wanted,
        line: wanted === null ? null : lineOfSetting(setting, wanted, controller),
        lineBefore: before === null ? null : lineOfSetting(setting, before, controller),
        before,
      }
    })
}
