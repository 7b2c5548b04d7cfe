import { getAt, isChoice, setAt } from '../core/bench'
import { halfLastPlace, isNumber, listedFact, readYesNo, settingsBefore, unitOfSetting, writtenTitle } from '../core/controller'
import type { SettingBefore } from '../core/controller'
import { compareSettings, type Bench, type ComparedSetting } from '../core/document'
import { doubtToCore, type Finding } from '../core/units'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { askMachine, setInMachine } from './machine'

const now = (): string => new Date().toISOString()

function settings(): readonly ComparedSetting[] {
  const { bench } = useBenchStore.getState()
  return bench === null ? [] : compareSettings(engineOf(bench))
}

/** Reads the machine's list of settings and takes what it says as facts. @returns What stood in the way. */
export async function readSettings(): Promise<readonly Finding[]> {
  const answer = await askMachine('settings')
  return answer.ok ? takeListing(answer.items) : [answer.finding]
}

/**
 * Takes a machine's list of settings as facts, one undo step.
 * @param listed Text by key. @returns A finding for each setting that the list does not have or that is no number.
 */
export function takeListing(listed: ReadonlyMap<string, string>): readonly Finding[] {
  const findings: Finding[] = []
  const at = now()
  const take = (bench: Bench): Bench =>
    settings().reduce((next, it) => {
      const text = listed.get(it.key)
      if (text === undefined) {
        findings.push({
          code: 'not-listed',
          severity: 'warning',
          path: it.path,
          message: `The list has no “${it.key}” (${it.setting.label}). Say which key it is, or type the value by hand.`,
        })
        return next
      }
      const value = inMachine(it, text, next, at)
      if (value === null) {
        findings.push({
          code: 'not-a-number',
          severity: 'warning',
          path: it.path,
          message: `“${it.key}” is “${text}”, which is no value for ${it.setting.label}. It was left as it was.`,
        })
        return next
      }
      return setAt(next, it.path, value)
    }, bench)
  const refusal = editBench('the settings read from the machine', take)
  if (refusal !== null) findings.push({ code: 'refused', severity: 'error', message: refusal })
  return findings
}

/** The fact or choice that a listed text becomes; null where it is neither. */
function inMachine({ setting, path }: ComparedSetting, text: string, bench: Bench, at: string): object | null {
  if (isChoice(getAt(bench, path))) {
    const chosen = readYesNo(text)
    return chosen === null ? null : { chosen, origin: 'measured', doubt: { kind: 'exact' }, at }
  }
  return isNumber(text) ? listedFact(text, unitOfSetting(setting.kind, bench.controller), at) : null
}

/**
 * Writes settings into the connected machine and reads them back; each is a record with its old and its new value.
 * @returns What stood in the way; empty when all were written.
 */
export async function writeSettings(ids: readonly string[]): Promise<readonly Finding[]> {
  const written: ComparedSetting[] = []
  for (const it of settings().filter(({ setting }) => ids.includes(setting.id))) {
    if (it.wanted === null) continue
    const answer = await setInMachine(it.key, it.wanted)
    if (!answer.ok) return [answer.finding]
    written.push(it)
  }
  const findings = await readSettings()
  for (const it of written) await recordWrite(it, 'written over the link and read back')
  return findings.filter(({ path }) => ids.some((id) => path === `controller.${id}`))
}

/** Takes a setting as typed into the machine by hand, with its record. @returns What stands in the way, or null. */
export async function confirmTyped(id: string): Promise<string | null> {
  const it = settings().find(({ setting }) => setting.id === id)
  if (it?.wanted == null) return 'The bench does not know this setting yet.'
  const { wanted } = it
  const refusal = editBench(`${it.setting.label} typed into the machine`, (bench) => {
    const value = inMachine(it, wanted, bench, now())
    return value === null ? bench : setAt(bench, it.path, value)
  })
  return refusal ?? recordWrite(it, 'typed by hand')
}

/** What was in the machine before, what is in it now; stale when the bench comes to say something else. */
function recordWrite({ setting, figure, wanted, inMachine: old }: ComparedSetting, how: string): Promise<string | null> {
  const { bench, records } = useBenchStore.getState()
  const unit = unitOfSetting(setting.kind, bench?.controller ?? { speedUnit: 'mm/s' })
  const calibration =
    setting.kind === 'steps' ? records.filter((it) => it.redo === calibrationRedo(setting.label)).at(-1) : undefined
  return keepRecord(
    {
      stage: 'controller',
      title: writtenTitle(setting.label, old, wanted ?? ''),
      note: `Old value ${old ?? 'not read'}, new value ${wanted ?? ''}; ${how}.`,
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
export function nameKey(setting: string, key: string): string | null {
  return editBench('the key of a setting', (bench) =>
    setAt(bench, 'controller.keys', { ...bench.controller.keys, [setting]: key }),
  )
}

/** The settings that the way back of a change-over has to put back: written since its first task was done. */
export function settingsToPutBack(): readonly SettingBefore[] {
  const { bench, records } = useBenchStore.getState()
  if (bench === null) return []
  const done = Object.values(bench.plan.tasks).flatMap((it) => (it.done === '' ? [] : [new Date(it.done).toISOString()]))
  const inOrder = [...records].sort((p, q) => (p.at < q.at ? -1 : 1))
  const all = settings().map((it) => it.setting)
  return settingsBefore(all, inOrder, done.sort()[0] ?? '', bench.controller)
}
