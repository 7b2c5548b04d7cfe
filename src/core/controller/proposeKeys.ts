import { unitOfSetting, type Setting, type SettingKind } from './settings'
import type { Listed } from './listed'
import { isNumber, readYesNo } from './listing'
import { UNIT_IDS, unitOf, type Quantity, type UnitId } from '../units'
import type { Controller } from './slice'

/** A key of a machine's list that is probably a setting's, and why. */
export interface ProposedKey {
  readonly settingId: string
  readonly key: string
  /** What of the line spoke for it, in its own words. */
  readonly because: string
  /** Whether axis and meaning are said there; otherwise it is a guess by the place or by one weak word. */
  readonly sure: boolean
}

/** What a line's words say of each kind of setting, the plainest first (common practice). */
const WORDS: Readonly<Record<SettingKind, readonly RegExp[]>> = {
  steps: [/\b(micro ?)?steps?\b/, /\bpulses?\b/, /\b(resolution|schritte?|pasos?|passi)\b/, /\b(res|scale)\b/],
  topSpeed: [
    /\b(max\w*|top|highest|rapid|limit)\b.*\b(speed|velocity|feed|rate)\b/,
    /\b(speed|velocity|feed|rate) (max\w*|limit)\b/,
    /\b(speed|fastest|rapid)\b/,
    /\b(velocity|vmax|tempo)\b/,
  ],
  acceleration: [/\baccel\w*\b/, /\b(ramp|speeding up|anlauf|beschleunigung)\b/],
  travel: [/\btravel\b/, /\b(soft )?(limit|end)\b/, /\b(axis )?length\b/, /\b(range|way|weg)\b/],
  fullPower: [
    /\b(full|max\w*|highest|top)\b.*\b(power|spindle|laser|beam|word|s)\b/,
    /\b(power|spindle|laser|beam|word|s)\b.*\b(full|max\w*|word|top)\b/,
  ],
  pwmFrequency: [/\bfrequency\b/, /\bfreq\b/, /\bpwm\b.*\b(k? ?hz|period)\b/, /\bsignal\b.*\bhz\b/],
  followsSpeed: [/\bfollows?\b/, /\bproportional\b/, /\bdynamic\b/, /\bscales? with\b/],
}

/** Lines with these words are about something else, whatever else they say (common practice). */
const ELSEWHERE =
  /\b(home|homing|pull|backlash|offset|jerk|junction|minimum|lowest|least|probe|seek|idle|delay|current|hold|invert|direction|tolerance|arc|service|language|jog)\b/

/** Units that only one kind of setting is listed in. */
const UNIT_SPEAKS: Readonly<Partial<Record<UnitId, SettingKind>>> = {
  'steps/mm': 'steps',
  'mm/s': 'topSpeed',
  'mm/min': 'topSpeed',
  'mm/s2': 'acceleration',
  mm: 'travel',
  Hz: 'pwmFrequency',
  kHz: 'pwmFrequency',
}

/** How much a unit speaks; one that many settings have speaks little. */
const BY_UNIT = { alone: 20, shared: 6 }
/** So much louder than the next it has to be. */
const CLEAR = 3
/** From here on a line's words alone are enough. */
const PLAIN = 8

/**
 * Which keys of a machine's list are probably which settings, by the words and units that stand beside them, by the letters
 * of the axes, and where a line holds a value for each axis by their order. None is proposed where two lines speak for one
 * setting alike, or one line for two; what the person named already stays.
 * @param named Ids of settings whose key is in the list already.
 * @param nominal By id of a setting of steps, what the drive train would have, steps/mm: where no words speak, a number that is that
 * times a power of two is guessed to be it, for it doubles when the microsteps do.
 * Valid: lists whose lines say in English, or by their units, what they are. Source: the words of the trade (common practice).
 */
export function proposeKeys(
  entries: readonly Listed[],
  settings: readonly Setting[],
  letters: Readonly<Record<string, string>>,
  named: ReadonlySet<string>,
  nominal: Readonly<Record<string, number>> = {},
): readonly ProposedKey[] {
  const open = settings.filter((it) => !named.has(it.id))
  const found = open.flatMap((setting) => {
    const best = bestOf(entries, setting, letters[setting.axisId ?? '']?.toLowerCase() ?? null)
    return best === null ? [] : [{ setting, ...best }]
  })
  const timesTaken = (key: string): number => found.filter((it) => it.entry.key === key).length
  const bySaid = found
    .filter(({ entry }) => timesTaken(entry.key) === 1)
    .map(({ setting, entry, sure }) => ({ settingId: setting.id, key: entry.key, because: saidOf(entry), sure }))
  const taken = new Set(bySaid.map((it) => it.settingId))
  const left = open.filter((it) => it.kind === 'steps' && !taken.has(it.id) && nominal[it.id] !== undefined)
  return [
    ...bySaid,
    ...bySize(
      entries.filter((it) => !found.some(({ entry }) => entry === it)),
      left,
      nominal,
    ),
  ]
}

/** Share by which calibrated steps are off the nominal ones at most, for a guess by size. */
const CALIBRATED = 0.03
const MOST_DOUBLINGS = 5

/** Steps guessed by size alone: as many numbers as axes, all the same power of two of what the drive train would have. */
function bySize(
  entries: readonly Listed[],
  settings: readonly Setting[],
  nominal: Readonly<Record<string, number>>,
): readonly ProposedKey[] {
  if (settings.length === 0) return []
  const wordless = entries.filter((it) => it.words === '' && isNumber(it.text) && Number(it.text) > 1)
  const fits = doublings().flatMap((times) => {
    const all = settings.map((setting) =>
      wordless.filter((it) => Math.abs(Number(it.text) / ((nominal[setting.id] ?? 0) * times) - 1) <= CALIBRATED),
    )
    // Axes that are alike share their numbers, in the order of the list.
    const picked = settings.map((setting, i) => {
      const before = settings.slice(0, i).filter((it) => nominal[it.id] === nominal[setting.id]).length
      return all[i]?.[before]
    })
    const isWhole = picked.every((it) => it !== undefined) && new Set(all.flat()).size === settings.length
    return isWhole ? [{ times, picked: picked }] : []
  })
  const [fit] = fits
  if (fit === undefined || fits.length > 1) return []
  const factor = fit.times === 1 ? 'what the drive train has' : `${fit.times} times what the drive train has: other microsteps`
  return settings.map((setting, i) => ({
    settingId: setting.id,
    key: fit.picked[i]?.key ?? '',
    because: `${fit.picked[i]?.text ?? ''} is ${factor}`,
    sure: false,
  }))
}

function doublings(): readonly number[] {
  return Array.from({ length: 2 * MOST_DOUBLINGS + 1 }, (_, i) => 2 ** (i - MOST_DOUBLINGS))
}

function saidOf({ key, words }: Listed): string {
  return words === '' ? key : words
}

interface Scored {
  readonly entry: Listed
  readonly score: number
  readonly sure: boolean
}

/** The one line that speaks loudest for a setting; null where none does or two do alike. */
function bestOf(entries: readonly Listed[], setting: Setting, letter: string | null): Scored | null {
  const scored = entries
    .map((entry) => ({ entry, ...scoreOf(entry, setting.kind, letter) }))
    .filter((it) => it.score > 0)
    .sort((p, q) => q.score - p.score)
  const [first, second] = scored
  if (first === undefined || first.score === second?.score) return null
  return { ...first, sure: first.sure && first.score - (second?.score ?? 0) >= CLEAR }
}

const NOTHING = { score: 0, sure: false }

/** How much a line speaks for a setting, and whether it says so itself. */
function scoreOf(entry: Listed, kind: SettingKind, letter: string | null): { readonly score: number; readonly sure: boolean } {
  if (kind === 'followsSpeed' ? readYesNo(entry.text) === null : !isNumber(entry.text)) return NOTHING
  const said = plainWords(`${entry.key} ${entry.words}`)
  const axis = letter === null ? 'said' : axisOf(entry, said, letter)
  if (axis === null || ELSEWHERE.test(said)) return NOTHING
  const unit = unitIn(`${entry.key} ${entry.words}`)
  const spoken = unit === null ? undefined : UNIT_SPEAKS[unit]
  if (spoken !== undefined && spoken !== kind) return NOTHING
  const rank = WORDS[kind].findIndex((it) => it.test(said))
  const byWords = rank < 0 ? 0 : 10 - rank
  const byUnit = spoken !== kind ? 0 : unit === 'mm' ? BY_UNIT.shared : BY_UNIT.alone
  return { score: byWords + byUnit, sure: axis === 'said' && (byUnit === BY_UNIT.alone || byWords >= PLAIN) }
}

/** Whether a line is about an axis: it names it, or its values stand in the order of the axes. Null: it is not. */
function axisOf(entry: Listed, said: string, letter: string): 'said' | 'by place' | null {
  const named = ['x', 'y', 'z'].filter((it) => new RegExp(`\\b${it}\\b`).test(said))
  // Of two axes in one line nobody knows which is meant.
  if (named.length > 0) return named.length === 1 && named[0] === letter ? 'said' : null
  return entry.place !== undefined && 'xyz'.charAt(entry.place.index) === letter ? 'by place' : null
}

/** Lower case, words parted where a key joins them: `maxSpeed_x` → `max speed x`. */
function plainWords(text: string): string {
  return text
    .replaceAll('²', '2')
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
  // A word that is also a unit says nothing: “in”, “a”.
  .filter(([written]) => /[a-z]/.test(written) && !/^(in|m|s|h|c|k)$/.test(written))
  .sort(([p], [q]) => q.length - p.length)

/**
 * The unit that a line names; null where it names none.
 * @param words What stands beside the value. @example unitIn('X travel, mm/min') // 'mm/min'
 */
export function unitIn(words: string): UnitId | null {
  const spelt = unitInWords(plainWords(words))
  if (spelt !== null && spelt !== 'mm') return spelt
  const said = ` ${words.toLowerCase()} `
  const found = WRITTEN.find(([written]) => {
    for (let at = said.indexOf(written); at >= 0; at = said.indexOf(written, at + 1)) {
      const [before = ' ', after = ' '] = [said[at - 1], said[at + written.length]]
      if (!/[a-z0-9/]/.test(before) && !/[a-z0-9/^²]/.test(after)) return true
    }
    return false
  })
  return found?.[1] ?? spelt
}

/** Units as keys and sentences have them, the longest first (common practice). */
const SPELT: readonly (readonly [RegExp, UnitId])[] = [
  [/\b(micro ?)?(steps?|pulses?|schritte?) (per |each |je |for (a |one )?)?(mm|millimet\w*)\b/, 'steps/mm'],
  [/\bmm (per )?s(ec)? ?2\b/, 'mm/s2'],
  [/\bmm (per )?min\b/, 'mm/min'],
  [/\bmm (per )?s(ec)?\b/, 'mm/s'],
  [/\bk ?hz\b/, 'kHz'],
  [/\bhz\b/, 'Hz'],
  [/\bmm\b/, 'mm'],
]

function unitInWords(said: string): UnitId | null {
  return SPELT.find(([pattern]) => pattern.test(said))?.[1] ?? null
}

/** In which unit a listed value is taken: the one that it names, where that is of the setting's kind; else the machine's. */
export function unitOfListed(setting: Setting, words: string, controller: Pick<Controller, 'speedUnit'>): UnitId {
  const named = unitIn(words)
  const usual = unitOfSetting(setting.kind, controller)
  return named !== null && unitOf(named).quantity === unitOf(usual).quantity ? named : usual
}
