import { z } from '../core/zod'
import { keyOfSetting, SPEED_UNITS, type Controller, type Setting } from '../core/controller'
import { settingsOf, type Bench } from '../core/document'
import { accepted, refused, type Finding, type Outcome } from '../core/units'

const keysSchema = z.strictObject({
  kind: z.literal('fine-kerf.keys'),
  version: z.literal(1),
  about: z.string().max(200),
  line: z.string().min(1).max(120),
  speedUnit: z.enum(SPEED_UNITS),
  /** By what a setting is called, `X steps`, for the ids of axes are a bench's own. */
  keys: z.record(z.string().max(60), z.string().min(1).max(60)),
})

/** How one machine names its settings, as a file that another bench can take. */
export function writeKeys(bench: Bench): string {
  const { controller } = bench
  const keys = Object.fromEntries(settingsOf(bench).map((it) => [it.label, keyOfSetting(it, controller)]))
  const file = {
    kind: 'fine-kerf.keys',
    version: 1,
    about: bench.name,
    line: controller.line,
    speedUnit: controller.speedUnit,
    keys,
  }
  return `${JSON.stringify(file, null, 2)}\n`
}

/** What a file of keys says, for a bench. */
export interface KeysRead extends Pick<Controller, 'keys' | 'line' | 'speedUnit'> {
  readonly count: number
}

/** Reads a file of keys for a bench; one that names two settings alike contradicts itself and is refused. */
export function readKeys(text: string, bench: Bench): Outcome<KeysRead> {
  const raw = asJson(text)
  const read = keysSchema.safeParse(raw)
  if (!read.success) {
    const [issue] = read.error.issues
    const at = issue === undefined || issue.path.length === 0 ? '' : `, at ${issue.path.join('.')}`
    return refused(
      'keys',
      `This is no file of keys${at}: ${issue?.message ?? 'it cannot be read'}. Take one that was saved here.`,
    )
  }
  const { keys, line, speedUnit } = read.data
  const twice = Object.entries(keys).find(([label, key]) =>
    Object.entries(keys).some(([other, it]) => other !== label && it === key),
  )
  if (twice !== undefined) {
    return refused('keys-twice', `The file contradicts itself: “${twice[1]}” would be more than one setting. Mend it there.`)
  }
  const settings = settingsOf(bench)
  const byLabel = new Map(settings.map((it) => [it.label, it]))
  const known = Object.entries(keys).flatMap(([label, key]): (readonly [Setting, string])[] => {
    const setting = byLabel.get(label)
    return setting === undefined ? [] : [[setting, key]]
  })
  const strange = Object.keys(keys).filter((it) => !byLabel.has(it))
  const findings = strange.map((it): Finding => ({
    code: 'no-setting',
    severity: 'warning',
    message: `This bench has no ${it}: its key was left out.`,
  }))
  return accepted(
    { keys: Object.fromEntries(known.map(([it, key]) => [it.id, key])), line, speedUnit, count: known.length },
    findings,
  )
}

function asJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return null
  }
}
