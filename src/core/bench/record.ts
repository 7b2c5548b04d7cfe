import { shownNumber } from './doubt'
import type { Engine } from './engine'
import { keyOf } from './figure'
import { inOrder } from './order'
import { plainAt, type Path } from './path'

/**
 * Something that happened, with what it rested on. Append-only: nothing here is ever edited, and nothing is flagged
 * as stale; freshness is found by comparing (T11).
 */
export interface BenchRecord {
  readonly id: string
  readonly benchId: string
  /** ISO 8601, UTC. */
  readonly at: string
  /** The stage it belongs to. */
  readonly stage: string
  readonly title: string
  readonly note: string
  /** What to do when it is stale. */
  readonly redo: string
  readonly read: readonly { readonly path: Path; readonly value: number | string | boolean | null }[]
  readonly gave: readonly Gave[]
  /** Records it stands on. */
  readonly beneath: readonly string[]
}

/** A figure as it was when it was written down. */
export interface Gave {
  readonly figure: string
  readonly args: readonly string[]
  readonly value: number
  /** A change up to this counts as the same, core's unit. */
  readonly same: number
}

/** A record's state against the present bench. */
export type Freshness = 'fresh' | 'touched' | 'stale'

export interface Consequence {
  readonly record: BenchRecord
  readonly freshness: Freshness
  readonly moved: readonly {
    readonly figure: string
    readonly args: readonly string[]
    readonly then: number
    /** Null where it is not known, or is not worked by this version at all. */
    readonly now: number | null
  }[]
  readonly touched: readonly { readonly path: Path; readonly then: unknown; readonly now: unknown }[]
  /** Titles of stale records beneath it. */
  readonly because: readonly string[]
}

/** Makes a record of figures as they stand now. @throws {RangeError} if one of them is not known. */
export function recordOf<B extends object>(
  engine: Engine<B>,
  about: Omit<BenchRecord, 'read' | 'gave'>,
  figures: readonly { readonly id: string; readonly args: readonly string[]; readonly same: number }[],
): BenchRecord {
  const evaluations = figures.map(({ id, args, same }) => ({ same, is: engine.valueById(id, args) }))
  const gave = evaluations.map(({ same, is }) => {
    const value = shownNumber(is.result)
    if (value === null) throw new RangeError(`${is.key} is not known, so it cannot be recorded`)
    return { figure: is.def.id, args: [...is.args], value, same }
  })
  const paths = new Set(evaluations.flatMap(({ is }) => [...is.leaves]))
  const read = [...paths].map((path) => ({ path, value: plainAt(engine.bench, path) as number | string | null }))
  return { ...about, gave, read }
}

/**
 * Compares every record with the present bench.
 * @param stageOrder The route: breaks ties after the order of records.
 * @returns Touched and stale records only, those left out that were done again later (same stage, same thing to redo), in the order in which to redo them: what lies beneath first, then the
 * order of the route, then age.
 */
export function consequences<B extends object>(
  engine: Engine<B>,
  records: readonly BenchRecord[],
  stageOrder: readonly string[],
): Consequence[] {
  const ordered = orderOf(records, stageOrder)
  const found = new Map<string, Consequence>()
  const now = lookOnce(engine)
  for (const record of ordered) {
    const because = record.beneath.flatMap((id) =>
      found.get(id)?.freshness === 'stale' ? [found.get(id)?.record.title ?? id] : [],
    )
    const moved = record.gave.flatMap((given) => movedFrom(now.figure(given), given))
    const touched = record.read.flatMap(({ path, value }) => {
      const is = now.fact(path)
      return Object.is(is, value) ? [] : [{ path, then: value, now: is }]
    })
    const freshness = moved.length > 0 || because.length > 0 ? 'stale' : touched.length > 0 ? 'touched' : 'fresh'
    found.set(record.id, { record, freshness, moved, touched, because })
  }
  return ordered.flatMap(({ id }) => found.get(id) ?? []).filter(({ freshness }) => freshness !== 'fresh')
}

/** The order of records rests on them alone, and they are never altered: it is worked once a list. */
const orders = new WeakMap<
  readonly BenchRecord[],
  { readonly stageOrder: readonly string[]; readonly is: readonly BenchRecord[] }
>()

function orderOf(records: readonly BenchRecord[], stageOrder: readonly string[]): readonly BenchRecord[] {
  const known = orders.get(records)
  if (known?.stageOrder === stageOrder) return known.is
  const is = redoOrder(latestOf(records), stageOrder)
  orders.set(records, { stageOrder, is })
  return is
}

/** What facts and figures are now, each looked up once: a thousand records rest on the same few. */
function lookOnce<B extends object>(engine: Engine<B>) {
  const facts = new Map<Path, unknown>()
  const figures = new Map<string, number | null>()
  return {
    fact(path: Path): unknown {
      if (!facts.has(path)) facts.set(path, plainAt(engine.bench, path))
      return facts.get(path)
    },
    figure({ figure, args }: Gave): number | null {
      const key = keyOf(figure, args)
      const known = figures.get(key)
      if (known !== undefined) return known
      const value = engine.has(figure) ? shownNumber(engine.valueById(figure, args).result) : null
      figures.set(key, value)
      return value
    },
  }
}

function movedFrom(now: number | null, { figure, args, value: then, same }: Gave): Consequence['moved'] {
  const moved = now === null || Math.abs(now - then) > same
  return moved ? [{ figure, args, then, now }] : []
}

/** Records that were not done again later: of those with the same stage and the same thing to redo, the last. */
function latestOf(records: readonly BenchRecord[]): readonly BenchRecord[] {
  const last = new Map<string, BenchRecord>()
  for (const record of records) {
    const key = `${record.stage}\n${record.redo === '' ? record.id : record.redo}`
    const known = last.get(key)
    if (known === undefined || known.at <= record.at) last.set(key, record)
  }
  return [...last.values()]
}

/** Topological over `beneath`; among the free ones by route, then by time. Records in a ring come last, by time. */
function redoOrder(records: readonly BenchRecord[], stageOrder: readonly string[]): readonly BenchRecord[] {
  const route = new Map(stageOrder.map((stage, i) => [stage, i]))
  const placeOf = ({ stage }: BenchRecord): number => route.get(stage) ?? -1
  const byRoute = [...records].sort((p, q) => placeOf(p) - placeOf(q) || inText(p.at, q.at) || inText(p.id, q.id))
  return inOrder(
    byRoute.map(({ id }) => id),
    new Map(byRoute.map(({ id, beneath }) => [id, beneath])),
  ).flatMap((i) => byRoute[i] ?? [])
}

/** Order of instants and ids, which hold plain letters only. */
function inText(p: string, q: string): number {
  return p < q ? -1 : p > q ? 1 : 0
}
