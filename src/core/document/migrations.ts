import { accepted, refused, type Finding, type Outcome } from '../units'
import { laterSlicesOfVersion2 } from './version2'
import { motionOfVersion3 } from './version3'
import { planOfVersion4 } from './version4'
import { benchOfVersion5 } from './version5'
import { motionOfVersion6 } from './version6'
import { BENCH_VERSION, type Bench } from './bench'
import { benchSchema } from './schema'

type Json = Record<string, unknown>

/** One step from a version to the next. Pure, without gaps, never edited once shipped. */
interface Migration {
  readonly to: number
  readonly why: string
  readonly up: (bench: Json) => Json
}

const MIGRATIONS: readonly Migration[] = [
  {
    to: 1,
    why: 'axes were a list without ids, and a reading kept the ± it was shown with instead of its standard uncertainty',
    up: (bench) => {
      const { motion, ...rest } = bench
      const { axes, ...others } = asJson(motion)
      const listed = Array.isArray(axes) ? axes.map(asJson) : []
      const byId = listed.map((axis, i) => [`axis${i + 1}`, { order: i + 1, ...axis }] as const)
      return { ...asJson(standardised(rest)), motion: standardised({ ...others, axes: Object.fromEntries(byId) }) }
    },
  },
  {
    to: 2,
    why: 'a bench got the settings in the machine, the power signal, scale runs and an output card',
    up: (bench) => ({ ...bench, ...laterSlicesOfVersion2(Object.keys(asJson(asJson(bench['motion'])['axes']))) }),
  },
  {
    to: 3,
    why: 'Motion got kinematics, the data of the motors, belts, mirrors, racking, play and heights of the bed',
    up: (bench) => ({ ...bench, motion: motionOfVersion3(asJson(bench['motion'])) }),
  },
  {
    to: 4,
    why: 'a bench got a plan: parts, cuts, fasteners, tasks and free time',
    up: (bench) => ({ ...bench, plan: planOfVersion4() }),
  },
  {
    to: 5,
    why: 'a bench got its goals, shared motor drivers, rails and plates, and parts that stand for stock',
    up: benchOfVersion5,
  },
  {
    to: 6,
    why: 'torque was worked as if every driver were set to the effective value; what it is set to became a choice',
    up: (bench) => ({ ...bench, motion: motionOfVersion6(asJson(bench['motion'])) }),
  },
]

/** Turns `{ plusMinus }` of a reading, two standard uncertainties, into a doubt, wherever one stands. */
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

function asJson(value: unknown): Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Json) : {}
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
  const migrated = MIGRATIONS.filter(({ to }) => to > version).reduce<Json>(
    (bench, { to, up }) => ({ ...up(bench), version: to }),
    json,
  )
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
