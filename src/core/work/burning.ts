import type { BookSetting } from '../burn'
import type { Way, Work } from './slice'
import type { BurnSetting } from './task'

/** Settings that are kept, by material. */
export type Settings = Readonly<Record<string, { readonly settings: Readonly<Record<string, BookSetting>> }>>

/**
 * What a way is burnt with: a setting of the book, or its own numbers. A setting that was taken out of the book leaves the numbers.
 * Valid: any way. Source: as entered.
 */
export function burningOf(work: Pick<Work, 'material'>, materials: Settings, way: Way): BurnSetting {
  const kept = way.setting === '' ? undefined : materials[work.material]?.settings[way.setting]
  const { power, speed, passes, focus } = kept ?? way
  return { power, speed, passes, focus, pitch: kept !== undefined && kept.pitch > 0 ? kept.pitch : way.pitch }
}

/** Kinds of settings that suit what is to be done. Source: by definition. */
export const SUITS = {
  cut: ['cut'],
  part: ['depth', 'mask'],
  mark: ['tone', 'mask', 'depth'],
  fill: ['tone', 'depth', 'exposure'],
  leave: [],
} as const satisfies Readonly<Record<Way['does'], readonly string[]>>
