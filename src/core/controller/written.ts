import { toCore, type UnitId } from '../units'
import { lineOfSetting, printSetting, unitOfSetting, type Setting, type SettingKind } from './settings'
import { SPEED_UNITS, type Controller } from './slice'

const ARROW = ' → '
/** In place of an old value that nobody had read. */
const NOT_READ = 'not read'

/** Title of the record of a setting that was written: “X steps: 80.000 → 80.416”. @param old As listed before, or null. */
export function writtenTitle(label: string, old: string | null, wanted: string): string {
  return `${label}: ${old ?? NOT_READ}${ARROW}${wanted}`
}

/** Behind the value of a setting that was sent and did not come back. */
const UNCONFIRMED = ' (not confirmed)'

/** Title of the record of a setting that was sent and not confirmed: what is in the machine may be either. */
export function sentTitle(label: string, old: string | null, wanted: string): string {
  return `${writtenTitle(label, old, wanted)}${UNCONFIRMED}`
}

/** What such a title says; null where it is another record's. */
export function readWrittenTitle(
  title: string,
): { readonly label: string; readonly old: string | null; readonly now: string } | null {
  const [before = '', now, ...more] = title.split(ARROW)
  const at = before.lastIndexOf(': ')
  if (now === undefined || more.length > 0 || at < 0) return null
  const old = before.slice(at + 2)
  return { label: before.slice(0, at), old: old === NOT_READ ? null : old, now }
}

/** Behind the note of a record of a speed: the unit that its numbers are in. */
export function unitNote(kind: SettingKind, { speedUnit }: Pick<Controller, 'speedUnit'>): string {
  return kind === 'topSpeed' ? ` In ${speedUnit}.` : ''
}

/** The unit that such a note names; null where there is none. */
function unitOfNote(note: string): UnitId | null {
  return SPEED_UNITS.find((it) => note.endsWith(` In ${it}.`)) ?? null
}

/** A setting as it stood before, and as the records leave it. */
export interface SettingBefore {
  readonly setting: Setting
  /** Null where it was written without having been read. */
  readonly before: string | null
  readonly now: string
  /** The line that puts it back; null where nothing is known to put back. */
  readonly line: string | null
}

/**
 * The settings that were written from some time on, each with the value it had before the first of them: what a way back
 * has to put back. One that came back to its old value by itself is left away.
 * @param records In the order in which they happened. @param since ISO time; records before it do not count.
 */
export function settingsBefore(
  settings: readonly Setting[],
  records: readonly { readonly at: string; readonly title: string; readonly stage: string; readonly note?: string }[],
  since: string,
  controller: Controller,
): readonly SettingBefore[] {
  const written = records
    .filter((it) => it.stage === 'controller' && it.at >= since)
    .flatMap(({ title, note = '' }) => {
      const said = readWrittenTitle(title)
      return said === null ? [] : [{ ...said, unit: unitOfNote(note) }]
    })
  return settings.flatMap((setting) => {
    const present = unitOfSetting(setting.kind, controller)
    /** In the unit that the card counts in now, where it was written in another. */
    const inPresent = (text: string, unit: UnitId | null): string =>
      unit === null || unit === present ? text : printSetting(setting, toCore(Number.parseFloat(text), unit), controller)
    const own = written
      .filter((it) => it.label === setting.label)
      .map((it) => ({ now: inPresent(it.now, it.unit), old: it.old === null ? null : inPresent(it.old, it.unit) }))
    const [first, last] = [own[0], own.at(-1)]
    if (first === undefined || last === undefined || first.old === last.now) return []
    const line = first.old === null ? null : lineOfSetting(setting, first.old, controller)
    return [{ setting, before: first.old, now: last.now, line }]
  })
}
