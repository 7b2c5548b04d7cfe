import type { Fact } from '../bench'
import { fromCore, toCore, type UnitId } from '../units'
import type { Controller } from './slice'

/** What a setting is about; all axes have the first four. */
export type SettingKind = 'steps' | 'topSpeed' | 'acceleration' | 'travel' | 'fullPower' | 'pwmFrequency' | 'followsSpeed'

/** One setting on which bench and machine must agree. */
export interface Setting {
  /** Path below `controller`, such as `axes.x.steps`. */
  readonly id: string
  readonly kind: SettingKind
  readonly axisId: string | null
  readonly label: string
  /** Key in the machine's list where the person gave no other. */
  readonly plainKey: string
  /** Decimals with which it is written. */
  readonly decimals: number
}

const OF_AXIS = [
  { kind: 'steps', word: 'steps', label: 'steps', decimals: 3 },
  { kind: 'topSpeed', word: 'speed', label: 'top speed', decimals: 1 },
  { kind: 'acceleration', word: 'acceleration', label: 'acceleration', decimals: 1 },
  { kind: 'travel', word: 'travel', label: 'travel', decimals: 1 },
] as const
const OF_BEAM = [
  { kind: 'fullPower', word: 'full', label: 'Full power word', decimals: 0 },
  { kind: 'pwmFrequency', word: 'frequency', label: 'Frequency of the power signal', decimals: 0 },
  { kind: 'followsSpeed', word: 'follows', label: 'Power follows the speed', decimals: 0 },
] as const

/** All settings of a machine with the given axes, in their order. */
export function settingsFor(axes: readonly { readonly id: string; readonly letter: string }[]): readonly Setting[] {
  const ofAxes = axes.flatMap(({ id, letter }) =>
    OF_AXIS.map(({ kind, word, label, decimals }) => ({
      id: `axes.${id}.${kind}`,
      kind,
      axisId: id,
      label: `${letter} ${label}`,
      plainKey: `${letter.toLowerCase()}/${word}`,
      decimals,
    })),
  )
  const ofBeam = OF_BEAM.map(({ kind, word, label, decimals }) => ({
    id: `beam.${kind}`,
    kind,
    axisId: null,
    label,
    plainKey: `beam/${word}`,
    decimals,
  }))
  return [...ofAxes, ...ofBeam]
}

/** The key of a setting in the machine's own list. */
export function keyOfSetting(setting: Setting, { keys }: Pick<Controller, 'keys'>): string {
  return keys[setting.id] ?? setting.plainKey
}

/** The unit in which the machine lists a setting. */
export function unitOfSetting(kind: SettingKind, { speedUnit }: Pick<Controller, 'speedUnit'>): UnitId {
  switch (kind) {
    case 'steps':
      return 'steps/mm'
    case 'topSpeed':
      return speedUnit
    case 'acceleration':
      return 'mm/s2'
    case 'travel':
      return 'mm'
    case 'pwmFrequency':
      return 'Hz'
    case 'fullPower':
    case 'followsSpeed':
      return 'count'
  }
}

/**
 * The value of a setting as the machine wants it typed: in its own unit, with the setting's decimals; yes and no as 1
 * and 0.
 * @param value Core's unit, or the word of a choice.
 */
export function printSetting(setting: Setting, value: number | string, controller: Pick<Controller, 'speedUnit'>): string {
  if (typeof value === 'string') return value === 'yes' ? '1' : '0'
  return fromCore(value, unitOfSetting(setting.kind, controller)).toFixed(setting.decimals)
}

/** The exact line to type into the machine. */
export function lineOfSetting(setting: Setting, printed: string, controller: Controller): string {
  return controller.line.replaceAll('{key}', keyOfSetting(setting, controller)).replaceAll('{value}', printed)
}

/** The rest of the machine's list as lines to type: what it held that is none of the settings, in its order. */
export function otherLines(controller: Pick<Controller, 'others' | 'line'>): readonly string[] {
  return Object.values(controller.others)
    .sort((p, q) => p.order - q.order)
    .map(({ key, text }) => controller.line.replaceAll('{key}', key).replaceAll('{value}', text))
}

/**
 * Half a unit of the last place of a number as it is written: `80.41` → 0.005.
 * @param text A plain decimal number. @returns In the unit of the text; 0.5 for a whole number.
 * Valid: decimal notation without an exponent. Source: by definition of rounding to the nearest.
 * @example halfLastPlace('80.41') // 0.005
 */
export function halfLastPlace(text: string): number {
  const decimals = /[.,](\d+)/.exec(text)?.[1]?.length ?? 0
  return 0.5 * 10 ** -decimals
}

/**
 * Whether a machine's number says something else than the bench's, at the decimals with which the machine lists it.
 * @param wanted Core's unit. @param text As the machine lists it, in `unit`.
 */
export function settingDiffers(wanted: number, text: string, unit: UnitId): boolean {
  const listed = Number.parseFloat(text.replace(',', '.'))
  // The smallest of shares is added, so that a tie in the last place counts as the same.
  return !(Math.abs(fromCore(wanted, unit) - listed) <= halfLastPlace(text) * (1 + 1e-9) + Math.abs(listed) * 1e-12)
}

/** The fact that a listed number becomes: read back. A setting is the number that it is; its decimals only round it. */
export function listedFact(text: string, unit: UnitId, at: string): Fact {
  return {
    value: toCore(Number.parseFloat(text), unit),
    typed: text,
    typedUnit: unit,
    origin: 'measured',
    doubt: { kind: 'exact' },
    at,
  }
}
