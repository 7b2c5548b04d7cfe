import { getAt, isChoice, setAt } from '../core/bench'
import { newId } from '../data/ids'
import {
  halfLastPlace,
  isNumber,
  listedFact,
  readYesNo,
  sentTitle,
  settingDiffers,
  settingsBefore,
  SPEED_UNITS,
  unitIn,
  unitNote,
  unitOfListed,
  unitOfSetting,
  writtenTitle,
  type Answer,
  type Controller,
  type Listed,
  type SettingBefore,
  readListing,
  sameListed,
} from '../core/controller'
import { compareSettings, settingsOf, type Bench, type ComparedSetting } from '../core/document'
import { doubtToCore, toCore, type Finding } from '../core/units'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { askMachine, setInMachine } from './machine'
import { isDone, NO_BENCH, reasonOf, told, type Told } from './told'

const now = (): string => new Date().toISOString()

function settings(): readonly ComparedSetting[] {
  const { bench } = useBenchStore.getState()
  return bench === null ? [] : compareSettings(engineOf(bench))
}

/** Reads the machine's list of settings and takes what it says as facts. @returns What stood in the way. */
export async function readSettings(): Promise<Told> {
  const answer = await askMachine('settings')
  return answer.ok ? takeListing(listedOf(answer.items), {}, textOf(answer.items)) : [answer.finding]
}

/** A list that came over the link, as text. */
function textOf(items: ReadonlyMap<string, string>): string {
  return [...items].map(([key, text]) => `${key} = ${text}`).join('\n')
}

/** A line of the machine's list, as it was pasted or came over the link. */
export type ListedLine = Pick<Listed, 'key' | 'text' | 'words'>

function listedOf(items: ReadonlyMap<string, string>): readonly ListedLine[] {
  return [...items].map(([key, text]) => ({ key, text, words: '' }))
}

/**
 * Takes a machine's list of settings as facts, one undo step: a value that names its unit is taken in that, and where the
 * list counts speed in another unit than the bench thought, that is taken over; what is no setting is kept as it stands.
 * @param lines In their order; of a key that stands twice the last one counts. @param keys Settings that were just named.
 * @param text The list to the letter, to be kept; empty: it is not.
 * @returns A finding for each setting that the list does not have or that is no number.
 */
export function takeListing(lines: readonly ListedLine[], keys: Readonly<Record<string, string>> = {}, text = ''): Told {
  const findings: Finding[] = []
  const at = now()
  const listed = new Map(lines.map((it) => [it.key, it]))
  const keyOf = (it: ComparedSetting): string => keys[it.setting.id] ?? it.key
  const known = new Set(settings().map(keyOf))
  const own = settings().filter((it) => !isRotarys(it))
  const speedUnit = speedUnitOf(settings().flatMap((it) => (it.setting.kind === 'topSpeed' ? (listed.get(keyOf(it)) ?? []) : [])))
  const others = lines.filter((it) => !known.has(it.key)).map((it, order) => [newId(), otherOf(it, order)] as const)
  const take = (before: Bench): Bench =>
    own.reduce(
      (next, it) => {
        const line = listed.get(keyOf(it))
        if (line === undefined) {
          findings.push({
            code: 'not-listed',
            severity: 'warning',
            path: it.path,
            message: `The list has no “${keyOf(it)}” (${it.setting.label}). Say which key it is, or type the value by hand.`,
          })
          return next
        }
        const { text, words } = line
        const value = inMachine(it, text, next, at, `${line.key} ${words}`)
        if (value === null) {
          findings.push({
            code: 'not-a-number',
            severity: 'warning',
            path: it.path,
            message: `“${keyOf(it)}” is “${text}”, which is no value for ${it.setting.label}. It was left as it was.`,
          })
          return next
        }
        return setAt(next, it.path, value)
      },
      withListing(withNames(before, keys, speedUnit, Object.fromEntries(others)), text, at),
    )
  if (speedUnit !== null && speedUnit !== useBenchStore.getState().bench?.controller.speedUnit) {
    findings.push({
      code: 'speed-unit',
      severity: 'warning',
      message: `The list counts speed in ${speedUnit}: so do the lines that are written from here on.`,
    })
  }
  if (own.length < settings().length) {
    findings.push({
      code: 'rotary-in-place',
      severity: 'warning',
      message:
        'The rotary stands in the place of an axis: what the list says of that axis is the rotary’s, and was not taken over.',
    })
  }
  const edited = editBench('the settings read from the machine', take)
  return [...findings, ...edited]
}

/** Whether a setting is at present that of the rotary, which stands in the place of its axis. */
function isRotarys({ setting }: ComparedSetting): boolean {
  const swapped = useBenchStore.getState().bench?.rotary.swap.axis ?? ''
  return swapped !== '' && setting.axisId === swapped
}

/** The unit that the lines about speed name, where they name one that a machine may count in. */
function speedUnitOf(lines: readonly ListedLine[]): Controller['speedUnit'] | null {
  const named = new Set(lines.map((it) => unitIn(`${it.key} ${it.words}`)))
  return SPEED_UNITS.find((it) => named.size === 1 && named.has(it)) ?? null
}

/** A line that is no setting, as it is kept; a bench holds no more of it than a line has. */
function otherOf({ key, text, words }: ListedLine, order: number) {
  return { order, key: key.slice(0, 60), text: text.slice(0, 120), words: words.slice(0, 200) }
}

function withNames(bench: Bench, keys: object, speedUnit: Controller['speedUnit'] | null, others: object): Bench {
  const { controller } = bench
  const named = { ...controller, keys: { ...controller.keys, ...keys }, others, speedUnit: speedUnit ?? controller.speedUnit }
  return setAt(bench, 'controller', named)
}

/** So many lists of a machine are kept, the oldest going first. */
const MOST_LISTINGS = 12

/** Keeps a list as it was taken, unless it is the one that was taken last. */
function withListing(bench: Bench, text: string, at: string): Bench {
  const kept = Object.entries(bench.controller.listings).sort(([, p], [, q]) => p.order - q.order)
  const newest = kept.at(-1)?.[1]
  if (text === '' || newest?.text === text) return bench
  const next = [newId(), { order: (newest?.order ?? 0) + 1, at, text }] as const
  return setAt(bench, 'controller.listings', Object.fromEntries([...kept, next].slice(-MOST_LISTINGS)))
}

/** The fact or choice that a listed text becomes; null where it is neither. */
function inMachine({ setting, path }: ComparedSetting, text: string, bench: Bench, at: string, words = ''): object | null {
  if (isChoice(getAt(bench, path))) {
    const chosen = readYesNo(text)
    return chosen === null ? null : { chosen, origin: 'measured', doubt: { kind: 'exact' }, at }
  }
  return isNumber(text) ? listedFact(text, unitOfListed(setting, words, bench.controller), at) : null
}

/** How a setting that was sent to the machine came out. */
type Came =
  | { readonly kind: 'read back' }
  /** The machine refused it: nothing was written. */
  | { readonly kind: 'refused'; readonly why: string }
  /** Sent, and taken or not known whether; what it lists now could not be read, is missing, or is another value. */
  | { readonly kind: 'not confirmed'; readonly why: string }

/**
 * Writes settings into the connected machine one by one, reads its list again, and writes down of each that went out
 * what became of it: only what the machine lists again as it was wanted was “written and read back”.
 * @returns What stood in the way; empty when all were written and every record was kept.
 */
export async function writeSettings(ids: readonly string[]): Promise<Told> {
  const rotarys = settings().find((it) => ids.includes(it.setting.id) && isRotarys(it))
  if (rotarys !== undefined)
    return told(`The rotary stands in the place of that axis: put it back on Rotary before ${rotarys.setting.label} is written.`)
  const sent: { readonly it: ComparedSetting; readonly answer: Answer }[] = []
  for (const it of settings().filter(({ setting }) => ids.includes(setting.id))) {
    if (it.wanted === null) continue
    const answer = await setInMachine(it.key, it.wanted)
    sent.push({ it, answer })
    // After a fault nothing more goes out; a refusal is about this one setting.
    if (!answer.ok && answer.finding.code !== 'refused') break
  }
  if (sent.length === 0) return []
  const list = await askMachine('settings')
  const taken = list.ok ? takeListing(listedOf(list.items), {}, textOf(list.items)) : []
  const findings: Finding[] = taken.filter(({ path }) => ids.some((id) => path === `controller.${id}`))
  for (const { it, answer } of sent) {
    const came = cameOut(it, answer, list)
    if (came.kind !== 'read back') findings.push(sayCame(it, came))
    const kept = await recordWrite(it, came)
    if (!isDone(kept)) findings.push(notKept(it, reasonOf(kept)))
  }
  return findings
}

function cameOut({ key, wanted, setting }: ComparedSetting, answer: Answer, list: Answer): Came {
  if (!answer.ok && answer.finding.code === 'refused') return { kind: 'refused', why: answer.finding.message }
  if (!answer.ok) return { kind: 'not confirmed', why: `It was not answered: ${answer.finding.message}` }
  if (!list.ok) return { kind: 'not confirmed', why: `Its list could not be read again: ${list.finding.message}` }
  const text = list.items.get(key)
  if (text === undefined) return { kind: 'not confirmed', why: `Its list has no “${key}”.` }
  const controller = useBenchStore.getState().bench?.controller ?? { speedUnit: 'mm/s' }
  const unit = unitOfSetting(setting.kind, controller)
  const isYesNo = setting.kind === 'followsSpeed'
  const same = isYesNo
    ? readYesNo(text) === readYesNo(wanted ?? '')
    : isNumber(text) && !settingDiffers(toCore(Number(wanted), unit), text, unit)
  return same ? { kind: 'read back' } : { kind: 'not confirmed', why: `Its list says “${text}”.` }
}

function sayCame({ setting, wanted, path }: ComparedSetting, came: Exclude<Came, { kind: 'read back' }>): Finding {
  const message =
    came.kind === 'refused'
      ? `${setting.label} was not written. ${came.why}`
      : `${setting.label}: ${wanted ?? ''} was sent and did not come back. ${came.why} Read the settings again before anything is burnt.`
  return { code: came.kind, severity: 'error', path, message }
}

function notKept({ setting, path }: ComparedSetting, problem: string): Finding {
  const message = `${setting.label}: what was done is not written down. ${problem}`
  return { code: 'not-recorded', severity: 'warning', path, message }
}

/**
 * Puts the machine back to a list that was taken earlier: whatever it lists otherwise now is set line by line, its list read
 * again, and what came of it written down as one record.
 * @returns What stood in the way; empty when all of it reads back.
 */
export async function restoreListing(id: string): Promise<Told> {
  const kept = useBenchStore.getState().bench?.controller.listings[id]
  if (kept === undefined) return told('This list is no longer kept.')
  const now = await askMachine('settings')
  if (!now.ok) return [now.finding]
  const wanted = readListing(kept.text).entries.filter((it) => {
    const text = now.items.get(it.key)
    return text !== undefined && !sameListed(text, it.text)
  })
  if (wanted.length === 0) return told('The machine lists all of it already: nothing was written.')
  const refused: Finding[] = []
  for (const { key, text } of wanted) {
    const answer = await setInMachine(key, text)
    if (!answer.ok) refused.push(answer.finding)
    if (!answer.ok && answer.finding.code !== 'refused') break
  }
  const after = await askMachine('settings')
  if (!after.ok) return [...refused, after.finding]
  const taken = takeListing(listedOf(after.items), {}, textOf(after.items)).filter((it) => it.severity === 'error')
  const missed = wanted.filter((it) => !sameListed(after.items.get(it.key) ?? '', it.text))
  const recorded = await recordRestored(kept.at, wanted.length, missed)
  const findings = missed.map((it): Finding => {
    const is = after.items.get(it.key) ?? 'gone'
    return { code: 'not confirmed', severity: 'error', message: `“${it.key}” was to be ${it.text} and is ${is}. Set it by hand.` }
  })
  return [...refused, ...taken, ...findings, ...recorded]
}

function recordRestored(at: string, count: number, missed: readonly Listed[]): Promise<Told> {
  const day = at.slice(0, 16).replace('T', ' ')
  const left = missed.length === 0 ? 'All of it reads back.' : `Not read back: ${missed.map((it) => it.key).join(', ')}.`
  const title = `Settings put back to the list of ${day}`
  return keepRecord({ stage: 'controller', title, note: `${count} lines set. ${left}`, redo: '', beneath: [] }, [], [])
}

/** Takes a setting as typed into the machine by hand, with its record. @returns What stands in the way. */
export async function confirmTyped(id: string): Promise<Told> {
  const it = settings().find(({ setting }) => setting.id === id)
  if (it?.wanted == null) return told('The bench does not know this setting yet.')
  const { wanted } = it
  const edited = editBench(`${it.setting.label} typed into the machine`, (bench) => {
    const value = inMachine(it, wanted, bench, now())
    return value === null ? bench : setAt(bench, it.path, value)
  })
  return isDone(edited) ? recordWrite(it, 'typed by hand') : edited
}

/**
 * What was in the machine before and what is in it now, stale when the bench comes to say something else; of what was
 * refused, or did not come back, that it was so.
 */
function recordWrite(it: ComparedSetting, came: Came | 'typed by hand'): Promise<Told> {
  const { setting, figure, wanted, inMachine: old } = it
  const { bench, records } = useBenchStore.getState()
  const inUnit = bench === null ? '' : unitNote(setting.kind, bench.controller)
  if (came !== 'typed by hand' && came.kind !== 'read back') {
    const title =
      came.kind === 'refused'
        ? `${setting.label} not written: ${wanted ?? ''} was refused`
        : sentTitle(setting.label, old, wanted ?? '')
    const note = `Old value ${old ?? 'not read'}. ${came.why}${inUnit}`
    return keepRecord({ stage: 'controller', title, note, redo: '', beneath: [] }, [], [])
  }
  const how = came === 'typed by hand' ? came : 'written over the link and read back'
  const unit = unitOfSetting(setting.kind, bench?.controller ?? { speedUnit: 'mm/s' })
  const calibration =
    setting.kind === 'steps' ? records.filter((record) => record.redo === calibrationRedo(setting.label)).at(-1) : undefined
  return keepRecord(
    {
      stage: 'controller',
      title: writtenTitle(setting.label, old, wanted ?? ''),
      note: `Old value ${old ?? 'not read'}, new value ${wanted ?? ''}; ${how}.${inUnit}`,
      redo: `Write ${setting.label} into the machine again and read it back.`,
      beneath: calibration === undefined ? [] : [calibration.id],
    },
    [{ ...figure, same: doubtToCore(halfLastPlace(wanted ?? '0'), unit) }],
    [],
  )
}

/** What to redo when the calibration of an axis is stale; also how its record is found. @param label “X steps”. */
export function calibrationRedo(label: string): string {
  return `Burn a scale run, read it and apply it: ${label}.`
}

/** Remembers which key of the machine's list a setting has. */
export function nameKey(setting: string, key: string): Told {
  return editBench('the key of a setting', (bench) =>
    setAt(bench, 'controller.keys', { ...bench.controller.keys, [setting]: key }),
  )
}

/** The settings that the way back of a change-over has to put back: written since it was planned, or begun before that. */
export function settingsToPutBack(): readonly SettingBefore[] {
  const { bench, records } = useBenchStore.getState()
  if (bench === null) return []
  const { tasks, changeOver } = bench.plan
  const moments = Object.values(tasks).flatMap((it) => [it.begun, it.done].filter((at) => at !== ''))
  const since = [...moments.map((it) => new Date(it).toISOString()), ...(changeOver === '' ? [] : [changeOver])].sort()[0] ?? ''
  const inOrder = [...records].sort((p, q) => (p.at < q.at ? -1 : 1))
  return settingsBefore(settingsOf(bench), inOrder, since, bench.controller)
}

/** What the machine says of its beam, as a bench may have it: nobody but the machine knows. */
export const BEAM_SETTINGS = ['fullPower', 'pwmFrequency', 'followsSpeed'] as const
export type BeamSetting = (typeof BEAM_SETTINGS)[number]

/** Lets a guess of the bench be what was read of the machine. @returns What stands in the way. */
export function takeFromMachine(kind: BeamSetting): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  return editBench('what the machine says of its beam', (it) => setAt(it, `electrical.${kind}`, it.controller.beam[kind]))
}
