import { unitOfSetting, type Setting, type SettingKind } from './settings'
import { isNumber, readYesNo, type Listed } from './listing'
import { UNIT_IDS, unitOf, type Quantity, type UnitId } from '../units'
import type { Controller } from './slice'

/** A key of a machine's list that is probably a setting's, and why. */
export interface ProposedKey {
  readonly settingId: string
  readonly key: string
  /** What of the line spoke for it, in its own words. */
  readonly because: string
}

/** What a line's words say of each kind of setting (common practice). */
const WORDS: Readonly<Record<SettingKind, readonly RegExp[]>> = {
  steps: [/\b(micro)?steps?\b/, /\bpulses?\b/, /\bresolution\b/],
  topSpeed: [
    /\b(max\w*|top|highest|rapid|limit)\b.*\b(speed|velocity|feed|rate)\b/,
    /\b(speed|velocity|feed|rate) (max\w*|limit)\b/,
    /\bspeed\b/,
    /\bvelocity\b/,
  ],
  acceleration: [/\baccel\w*\b/, /\bramp\b/],
  travel: [/\btravel\b/, /\b(soft )?limit\b/, /\b(axis )?length\b/, /\brange\b/],
  fullPower: [
    /\b(full|max\w*|highest)\b.*\b(power|spindle|laser|beam|s)\b/,
    /\b(power|spindle|laser|beam|s) (full|max\w*|word)\b/,
  ],
  pwmFrequency: [/\bfrequency\b/, /\bfreq\b/, /\bpwm\b.*\b(hz|khz|period)\b/],
  followsSpeed: [/\bfollows?\b/, /\bproportional\b/, /\bdynamic\b/, /\bscales? with\b/],
}

/** Units that only one kind of setting is listed in. */
const UNIT_SPEAKS: Readonly<Partial<Record<UnitId, SettingKind>>> = {
  'steps/mm': 'steps',
  'mm/s': 'topSpeed',
  'mm/min': 'topSpeed',
  'mm/s2': 'acceleration',
  Hz: 'pwmFrequency',
  kHz: 'pwmFrequency',
}

/**
 * Which keys of a machine's list are probably which settings, by the words and units that stand beside them. None is
 * proposed where two lines speak for one setting alike, or one line for two; what the person named already stays.
 * @param named Ids of settings whose key is in the list already.
 * Valid: lists whose lines say in English what they are. Source: the words of the trade (common practice).
 */
export function proposeKeys(
  entries: readonly Listed[],
  settings: readonly Setting[],
  letters: Readonly<Record<string, string>>,
  named: ReadonlySet<string>,
): readonly ProposedKey[] {
  const open = settings.filter((it) => !named.has(it.id))
  const fits = open.map((setting) => ({ setting, best: bestOf(entries, setting, letters[setting.axisId ?? ''] ?? null) }))
  const found = fits.flatMap(({ setting, best }) => (best === null ? [] : [{ setting, entry: best }]))
  const timesTaken = (key: string): number => found.filter((it) => it.entry.key === key).length
  return found
    .filter(({ entry }) => timesTaken(entry.key) === 1)
    .map(({ setting, entry }) => ({ settingId: setting.id, key: entry.key, because: saidOf(entry) }))
}

function saidOf({ key, words }: Listed): string {
  return words === '' ? key : words
}

/** The one line that speaks loudest for a setting; null where none does or two do alike. */
function bestOf(entries: readonly Listed[], setting: Setting, letter: string | null): Listed | null {
  const scored = entries
    .map((entry) => ({ entry, score: scoreOf(entry, setting.kind, letter) }))
    .filter((it) => it.score > 0)
    .sort((p, q) => q.score - p.score)
  const [first, second] = scored
  return first === undefined || first.score === second?.score ? null : first.entry
}

/** How much a line speaks for a setting; 0: not at all. */
function scoreOf(entry: Listed, kind: SettingKind, letter: string | null): number {
  if (kind === 'followsSpeed' ? readYesNo(entry.text) === null : !isNumber(entry.text)) return 0
  const said = plainWords(`${entry.key} ${entry.words}`)
  if (letter !== null && !new RegExp(`\\b${letter.toLowerCase()}\\b`).test(said)) return 0
  // Of two axes in one line nobody knows which is meant.
  if (letter !== null && 'xyz'.split('').some((it) => it !== letter.toLowerCase() && new RegExp(`\\b${it}\\b`).test(said)))
    return 0
  const unit = unitIn(entry.words)
  const spoken = unit === null ? undefined : UNIT_SPEAKS[unit]
  if (spoken !== undefined && spoken !== kind) return 0
  const rank = WORDS[kind].findIndex((it) => it.test(said))
  const byWords = rank < 0 ? 0 : 10 - rank
  return spoken === kind ? byWords + 20 : byWords
}

/** Lower case, words parted where a key joins them: `maxSpeed_x` → `max speed x`. */
function plainWords(text: string): string {
  return text
    .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
    .replace(/[^A-Za-z0-9]+/g, ' ')
    .toLowerCase()
    .trim()
}

/** Quantities that a machine's settings are listed in. */
const LISTED: readonly Quantity[] = ['stepsPerLength', 'speed', 'acceleration', 'length', 'frequency']

/** Other ways in which lists write units (common practice). */
const ALSO: readonly (readonly [string, UnitId])[] = [
  ['step/mm', 'steps/mm'],
  ['pulses/mm', 'steps/mm'],
  ['pulse/mm', 'steps/mm'],
  ['steps per mm', 'steps/mm'],
  ['steps per millimetre', 'steps/mm'],
  ['mm/sec', 'mm/s'],
  ['mm per second', 'mm/s'],
  ['mm per minute', 'mm/min'],
  ['mm/sec2', 'mm/s2'],
  ['mm/sec^2', 'mm/s2'],
  ['mm/s2', 'mm/s2'],
  ['hertz', 'Hz'],
]

/** Every way to write a unit that a list may hold, the longest first, so that mm/s² is not taken for mm/s. */
const WRITTEN = [
  ...ALSO,
  ...UNIT_IDS.filter((it) => LISTED.includes(unitOf(it).quantity)).flatMap((it) =>
    [unitOf(it).symbol, ...(unitOf(it).words ?? [])].map((written) => [written.toLowerCase(), it] as const),
  ),
]
  .filter(([written]) => /[a-z]/.test(written))
  .sort(([p], [q]) => q.length - p.length)

/**
 * The unit that a line names; null where it names none.
 * @param words What stands beside the value. @example unitIn('X travel, mm/min') // 'mm/min'
 */
export function unitIn(words: string): UnitId | null {
  const said = ` ${words.toLowerCase()} `
  const found = WRITTEN.find(([written]) => {
    for (let at = said.indexOf(written); at >= 0; at = said.indexOf(written, at + 1)) {
      const [before = ' ', after = ' '] = [said[at - 1], said[at + written.length]]
      if (!/[a-z0-9/]/.test(before) && !/[a-z0-9/^²]/.test(after)) return true
    }
    return false
  })
  return found?.[1] ?? null
}

/** In which unit a listed value is taken: the one that it names, where that is of the setting's kind; else the machine's. */
export function unitOfListed(setting: Setting, words: string, controller: Pick<Controller, 'speedUnit'>): UnitId {
  const named = unitIn(words)
  const usual = unitOfSetting(setting.kind, controller)
  return named !== null && unitOf(named).quantity === unitOf(usual).quantity ? named : usual
}
