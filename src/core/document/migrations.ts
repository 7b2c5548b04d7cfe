import { airMigrations } from '../air'
import { asJson, type Json, type Migration } from '../bench'
import { burnsMigrations } from '../burn'
import { calibrateMigrations } from '../calibrate'
import { controllerMigrations } from '../controller'
import { electricalMigrations } from '../electrical'
import { faultsMigrations } from '../faults'
import { outputMigrations } from '../gcode'
import { housingMigrations } from '../housing'
import { logMigrations } from '../log'
import { motionMigrations } from '../motion'
import { opticsMigrations } from '../optics'
import { planMigrations } from '../schedule'
import { reachMigrations } from '../reach'
import { rotaryMigrations } from '../rotary'
import { roundMigrations } from '../round'
import { safetyMigrations } from '../safety'
import { workMigrations } from '../work'
import { accepted, refused, type Finding, type Outcome } from '../units'
import { BENCH_VERSION, type Bench } from './bench'
import { benchSchema } from './schema'

/** The steps of each slice, by its key on the bench. */
export const SLICE_MIGRATIONS: Readonly<Record<string, readonly Migration[]>> = {
  motion: motionMigrations,
  controller: controllerMigrations,
  electrical: electricalMigrations,
  calibrate: calibrateMigrations,
  optics: opticsMigrations,
  burns: burnsMigrations,
  output: outputMigrations,
  plan: planMigrations,
  rotary: rotaryMigrations,
  housing: housingMigrations,
  air: airMigrations,
  safety: safetyMigrations,
  reach: reachMigrations,
  round: roundMigrations,
  work: workMigrations,
  log: logMigrations,
  faults: faultsMigrations,
}

/** A bench one version on: what concerns all of it first, then each slice by its own step, from the bench as it was. */
function stepTo(version: number, bench: Json): Json {
  const whole = version === 1 ? asJson(standardised(bench)) : bench
  const moved = Object.entries(SLICE_MIGRATIONS).flatMap(([key, steps]) =>
    steps.filter(({ to }) => to === version).map(({ up }) => [key, up(asJson(whole[key]), whole)] as const),
  )
  return { ...whole, ...Object.fromEntries(moved), version }
}

/**
 * To version 1: turns `{ plusMinus }` of a reading, two standard uncertainties, into a doubt, wherever one stands; a reading
 * had been kept with the ± it was shown with.
 */
function standardised(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(standardised)
  if (typeof node !== 'object' || node === null) return node
  const { plusMinus, ...rest } = node as Json
  const children = Object.fromEntries(Object.entries(rest).map(([key, child]) => [key, standardised(child)]))
  if (typeof plusMinus !== 'number' || !('origin' in rest)) return plusMinus === undefined ? children : { ...children, plusMinus }
  if (plusMinus === 0) return { ...children, doubt: { kind: 'exact' } }
  const measured = rest['origin'] === 'measured'
  return { ...children, doubt: measured ? { kind: 'standard', u: plusMinus / 2 } : { kind: 'halfWidth', a: plusMinus } }
}

/**
 * Reads a bench of any version: older ones are migrated, newer ones refused and left untouched.
 * @param raw What was stored or read from a file. @returns The bench, or every finding with its path.
 */
export function readBench(raw: unknown): Outcome<Bench> {
  const json = asJson(raw)
  if (json['kind'] !== 'fine-kerf.bench') {
    return refused(
      'foreign',
      'This is not a Fine Kerf bench: its “kind” is missing or another. Choose a file ending in .bench.zip that was exported here.',
    )
  }
  const version = json['version']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    return refused('no-version', 'The bench does not say its version. The file is damaged; try an earlier export.', {
      path: 'version',
    })
  }
  if (version > BENCH_VERSION) {
    return refused(
      'newer',
      `This bench was written by a newer Fine Kerf (version ${version}; this one reads up to ${BENCH_VERSION}). It was left untouched. Update Fine Kerf, then open it again.`,
      { path: 'version' },
    )
  }
  let migrated = json
  for (let to = version + 1; to <= BENCH_VERSION; to++) migrated = stepTo(to, migrated)
  const read = benchSchema.safeParse(migrated)
  if (read.success) return accepted(read.data)
  return { ok: false, findings: read.error.issues.map(findingOf) }
}

function findingOf(issue: { readonly path: readonly PropertyKey[]; readonly message: string }): Finding {
  const path = issue.path.map(String).join('.')
  return {
    code: 'damaged',
    severity: 'error',
    path,
    message: `${path || 'The file'}: ${issue.message}. Nothing was changed; mend the file or open an earlier export.`,
  }
}
