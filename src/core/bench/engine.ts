import { isOwn, type Doubted } from './doubt'
import { standardUncertainty, isChoice, isFact, type Doubt, type FactSpec } from './fact'
import {
  keyOf,
  NotConverged,
  NotYet,
  type AnyFigure,
  type FigureDef,
  type FigureKey,
  type Result,
  type Unknown,
  type View,
} from './figure'
import { diffPaths, getAt, plainAt, WHOLE, type Path } from './path'
import { entered, Missing, recorder, type Recorder, type Shift } from './recorder'
import { doubtedOver, type Shifted, type Spread } from './spread'
import { viewOf } from './view'

/** A figure worked: its result, and the facts and choices it rests on through the whole chain. */
export interface Evaluation<T = unknown> {
  readonly key: FigureKey
  readonly def: AnyFigure
  readonly args: readonly string[]
  readonly result: Result<T>
  readonly leaves: ReadonlySet<Path>
}

/** A figure worked together with its ±. */
export interface WithDoubt<T = unknown> extends Evaluation<T> {
  /** Null where the figure is unknown, is not a number, or states that it has none. */
  readonly doubt: Doubted | null
}

export interface EngineConfig {
  readonly figures: readonly AnyFigure[]
  /** Range of the fact at a path, so that a nudge does not leave it. */
  readonly specAt: (path: Path) => Pick<FactSpec, 'min' | 'max'> | undefined
  /** What figures were called before, for records that name them so. */
  readonly renamed?: Readonly<Record<string, string>>
}

export interface Engine<B extends object> {
  /** Takes a new document; figures are worked again only when asked for, and only where a read changed. */
  update(bench: B): void
  /** Takes the present time, ms since 1970; only figures that read it are worked again. */
  setNow(now: number): void
  readonly bench: B
  value<A extends readonly string[], T>(def: FigureDef<B, A, T>, ...args: A): Evaluation<T>
  withDoubt<A extends readonly string[], T>(def: FigureDef<B, A, T>, ...args: A): WithDoubt<T>
  /** The same by id, for records and verdicts. @throws {RangeError} for an id that is not listed. */
  byId(id: string, args: readonly string[]): WithDoubt
  valueById(id: string, args: readonly string[]): Evaluation
  /** Lists more figures, so that they are found by id. @throws {RangeError} where another one has the id. */
  add(figures: readonly AnyFigure[]): void
  /** Whether a figure is listed under an id. */
  has(id: string): boolean
  /** The same figures over another document, with nothing remembered. */
  over(bench: B): Engine<B>
  /** How often a figure's work ran: on the bench, and under a nudge. For tests and benchmarks. */
  readonly counts: { worked: number; nudged: number }
}

/** The place under which a read of the time is recorded. */
const NOW: Path = '@now'

/** A figure that another used, as it was then: its memo, and how often its nudged results had been thrown away. */
interface Use {
  readonly memo: Memo
  readonly epoch: number
}

/**
 * Memo of one figure. Its result is valid while every recorded read, and every used figure with what it rests on,
 * compares equal; its results under nudges only while the used figures are the very same, for one that comes out
 * the same on the bench may answer a nudge differently.
 */
interface Memo extends Evaluation {
  readonly reads: ReadonlyMap<Path, unknown>
  readonly uses: Map<FigureKey, Use>
  /** Runs with facts moved, and what those read and used that the run on the bench did not. */
  readonly nudged: Map<string, Shifted>
  readonly readsBeyond: Map<Path, unknown>
  readonly usesBeyond: Map<FigureKey, Use>
  epoch: number
  doubt?: {
    readonly doubted: Doubted | null
    readonly facts: ReadonlyMap<Path, unknown>
    /** Figures that u of pooled readings was taken from. */
    readonly pools: readonly Memo[]
    readonly shown: WithDoubt
    /** The document whose facts were last found to be the same: many ask for one figure on one document. */
    heldOn: object
  }
}

class UsesUnknown extends Error {
  constructor(readonly why: Unknown) {
    super('uses an unknown figure')
  }
}

/**
 * The evaluator: figures as pure functions of one immutable document, remembered by what they read.
 * @throws {RangeError} where two figures share an id.
 */
export function createEngine<B extends object>(first: B, config: EngineConfig): Engine<B> {
  const defs = new Map<string, AnyFigure>()
  add(config.figures)
  const memos = new Map<FigureKey, Memo>()
  const readBy = new Map<Path, Set<FigureKey>>()
  const usedBy = new Map<FigureKey, Set<FigureKey>>()
  const suspect = new Set<FigureKey>()
  /** Being compared at the moment; a ring of figures comes back here. */
  const checking = new Set<FigureKey>()
  const counts = { worked: 0, nudged: 0 }
  const open: FigureKey[] = []
  let bench = first
  let now = 0
  const seenAt = (path: Path): unknown => (path === NOW ? now : plainAt(bench, path))

  function add(figures: readonly AnyFigure[]): void {
    for (const def of figures) {
      const other = defs.get(def.id)
      if (other !== undefined && other !== def) throw new RangeError(`two figures are called ${def.id}`)
      defs.set(def.id, def)
    }
  }

  function update(next: B): void {
    if (next === bench) return
    const changed = diffPaths(bench, next)
    bench = next
    doubtReadersOf(changed)
  }

  function setNow(time: number): void {
    if (time === now) return
    now = time
    doubtReadersOf([NOW])
  }

  /** What read a changed place, and all that uses it, is compared again before it is believed. */
  function doubtReadersOf(changed: readonly Path[]): void {
    const queue = changed.flatMap((path) => [...(readBy.get(path) ?? [])])
    for (let key = queue.pop(); key !== undefined; key = queue.pop()) {
      if (suspect.has(key)) continue
      suspect.add(key)
      queue.push(...(usedBy.get(key) ?? []))
    }
  }

  function evaluate(def: AnyFigure, args: readonly string[]): Memo {
    const key = keyOf(def.id, args)
    const known = memos.get(key)
    if (known !== undefined && (!suspect.has(key) || checking.has(key) || stillHolds(known))) return known
    suspect.delete(key)
    const memo = work(def, args, key)
    memos.set(key, memo)
    for (const path of memo.reads.keys()) noteIn(readBy, path, key)
    for (const used of memo.uses.keys()) noteIn(usedBy, used, key)
    return memo
  }

  function stillHolds(memo: Memo): boolean {
    checking.add(memo.key)
    const holds = sameReads(memo.reads) && [...memo.uses.values()].every((it) => sameMemo(again(it), it.memo))
    if (holds) {
      suspect.delete(memo.key)
      const nudgesHold = [...memo.uses.values(), ...memo.usesBeyond.values()].every(isUnmoved) && sameReads(memo.readsBeyond)
      if (!nudgesHold) forgetNudges(memo)
    }
    checking.delete(memo.key)
    return holds
  }

  function sameReads(reads: ReadonlyMap<Path, unknown>): boolean {
    return [...reads].every(([path, was]) => Object.is(seenAt(path), was))
  }

  function again({ memo }: Use): Memo {
    return evaluate(memo.def, memo.args)
  }

  function isUnmoved(use: Use): boolean {
    const now = again(use)
    return now === use.memo && now.epoch === use.epoch
  }

  function forgetNudges(memo: Memo): void {
    memo.epoch++
    memo.nudged.clear()
    memo.readsBeyond.clear()
    memo.usesBeyond.clear()
    delete memo.doubt
    for (const [key, use] of memo.uses) memo.uses.set(key, useOf(again(use)))
  }

  function work(def: AnyFigure, args: readonly string[], key: FigureKey): Memo {
    const reads = new Map<Path, unknown>()
    const uses = new Map<FigureKey, Use>()
    const leaves = new Set<Path>()
    const tap = recorder(bench, reads, (path) => leaves.add(path), null)
    const use = (used: AnyFigure, usedArgs: readonly string[]): Result => {
      const memo = evaluate(used, usedArgs)
      uses.set(memo.key, useOf(memo))
      for (const leaf of memo.leaves) leaves.add(leaf)
      return memo.result
    }
    counts.worked++
    const result = run(def, args, key, { tap, reads }, use)
    return {
      key,
      def,
      args,
      result,
      leaves,
      reads,
      uses,
      nudged: new Map(),
      readsBeyond: new Map(),
      usesBeyond: new Map(),
      epoch: 0,
    }
  }

  /** A figure with facts moved; what does not rest on any of them is taken as it is. */
  function under(memo: Memo, shift: Shift): Shifted {
    let relevant = only(shift, memo.leaves)
    if (relevant.size === 0) return memo
    for (;;) {
      const run = moved(memo, relevant)
      // Under one alternative a figure may read a fact that it does not read on the bench.
      const more = only(shift, run.leaves, relevant)
      if (more.size === relevant.size) return run
      relevant = more
    }
  }

  function moved(memo: Memo, shift: Shift): Shifted {
    const id = [...shift].join('|')
    const known = memo.nudged.get(id)
    if (known !== undefined) return known
    const reads = new Map<Path, unknown>()
    const leaves = new Set<Path>()
    const tap = recorder(bench, reads, (path) => leaves.add(path), shift)
    const use = (def: AnyFigure, args: readonly string[]): Result => {
      const used = evaluate(def, args)
      if (!memo.uses.has(used.key)) {
        memo.usesBeyond.set(used.key, useOf(used))
        noteIn(usedBy, used.key, memo.key)
      }
      const below = under(used, shift)
      for (const leaf of below.leaves) leaves.add(leaf)
      return below.result
    }
    counts.nudged++
    const result = run(memo.def, memo.args, memo.key, { tap, reads }, use)
    for (const [path, was] of reads) {
      if (memo.reads.has(path)) continue
      memo.readsBeyond.set(path, was)
      noteIn(readBy, path, memo.key)
    }
    const made = { result, leaves }
    memo.nudged.set(id, made)
    return made
  }

  function run(
    def: AnyFigure,
    args: readonly string[],
    key: FigureKey,
    { tap, reads }: { readonly tap: Recorder; readonly reads: Map<Path, unknown> },
    use: (def: AnyFigure, args: readonly string[]) => Result,
  ): Result {
    if (open.includes(key)) return { known: false, why: { kind: 'ring', keys: [...open.slice(open.indexOf(key)), key] } }
    open.push(key)
    const view: View<B> = {
      bench: viewOf(bench, '', tap) as View<B>['bench'],
      asEntered: viewOf(bench, '', entered(reads)) as View<B>['bench'],
      get now() {
        tap.plain(NOW, now)
        return now
      },
      rows: (pick) => {
        const whole = pick(bench)
        const path = pathOf(pick)
        reads.set(path + WHOLE, whole)
        return whole
      },
      figure: (used, ...usedArgs) => {
        const result = use(used as AnyFigure, usedArgs)
        if (!result.known) throw new UsesUnknown(result.why)
        return result.value as never
      },
    }
    try {
      const value: unknown = def.work(view, ...args)
      if (tap.missing.length > 0) throw new Missing(tap.missing)
      if (typeof value === 'number' && !Number.isFinite(value)) throw new RangeError(`${def.label} has no finite value here`)
      return { known: true, value }
    } catch (error) {
      return { known: false, why: reasonOf(error, tap.missing) }
    } finally {
      open.pop()
    }
  }

  function withDoubt(def: AnyFigure, args: readonly string[]): WithDoubt {
    const memo = evaluate(def, args)
    const known = memo.doubt
    if (known !== undefined && doubtHolds(known)) return known.shown
    const pools = new Set<Memo>()
    const seen = new Set(memo.leaves)
    const doubted = doubtOf(memo, pools, seen)
    const { key, result, leaves } = memo
    const shown: WithDoubt = { key, def, args, result, leaves, doubt: doubted }
    const facts = new Map([...seen].map((path) => [path, getAt(bench, path)]))
    memo.doubt = { doubted, facts, pools: [...pools], shown, heldOn: bench }
    return shown
  }

  function doubtHolds(doubt: NonNullable<Memo['doubt']>): boolean {
    const factsHold = doubt.heldOn === bench || [...doubt.facts].every(([path, was]) => sameDoubt(getAt(bench, path), was))
    if (factsHold) doubt.heldOn = bench
    return factsHold && doubt.pools.every((was) => evaluate(was.def, was.args) === was)
  }

  /** Standard uncertainty of a fact; that of a pooled reading is the scatter it shares, where that is known. */
  function spreadOf(doubt: Doubt, pools: Set<Memo>): { u: number; dof: number; pool?: string } {
    // A pool that this version does not work leaves the instrument's own.
    const scattered = doubt.kind === 'pooled' ? found(doubt.figure) : undefined
    if (doubt.kind === 'pooled' && scattered !== undefined) {
      const pool = evaluate(scattered, doubt.args)
      pools.add(pool)
      const scatter = pool.result.known ? pool.result.value : null
      if (isOwn(scatter)) return { u: scatter.value, dof: scatter.dof ?? Infinity, pool: pool.key }
    }
    return { u: standardUncertainty(doubt), dof: doubt.kind === 'standard' ? (doubt.dof ?? Infinity) : Infinity }
  }

  function doubtOf(memo: Memo, pools: Set<Memo>, seen: Set<Path>): Doubted | null {
    const method = memo.def.doubt
    if (!memo.result.known || (typeof method === 'object' && 'none' in method)) return null
    const nudges = method === 'nudge'
    return doubtedOver({
      at(shift) {
        const run = under(memo, shift)
        for (const leaf of run.leaves) seen.add(leaf)
        return run
      },
      spread: (path) => (nudges ? spreadAt(path, pools) : null),
      others: (path) => othersOf(getAt(bench, path)),
    })
  }

  /** How far the fact at a place may be off; null where it is exact, not entered, or a choice. */
  function spreadAt(path: Path, pools: Set<Memo>): Spread | null {
    const node = getAt(bench, path)
    if (!isFact(node) || node.value === null) return null
    const { u, dof, pool } = spreadOf(node.doubt, pools)
    if (!(u > 0)) return null
    const reach = node.doubt.kind === 'halfWidth' ? node.doubt.a : 2 * u
    return { value: node.value, u, dof, pool, reach, rectangular: node.doubt.kind === 'halfWidth', range: config.specAt(path) }
  }

  function found(id: string): AnyFigure | undefined {
    return defs.get(id) ?? defs.get(config.renamed?.[id] ?? '')
  }

  function listed(id: string): AnyFigure {
    const def = found(id)
    if (def === undefined) throw new RangeError(`no figure is called ${id}`)
    return def
  }

  return {
    update,
    setNow,
    get bench() {
      return bench
    },
    value: (def, ...args) => evaluate(def, args) as Evaluation<never>,
    withDoubt: (def, ...args) => withDoubt(def, args) as WithDoubt<never>,
    byId: (id, args) => withDoubt(listed(id), args),
    valueById: (id, args) => evaluate(listed(id), args),
    add,
    has: (id) => found(id) !== undefined,
    over: (other) => createEngine(other, { ...config, figures: [...defs.values()] }),
    counts,
  }
}

/** The moves of a shift whose places are among those read, beside the ones that are taken already. */
function only(shift: Shift, read: ReadonlySet<Path>, taken?: Shift): Shift {
  return new Map([...shift].filter(([path]) => read.has(path) || taken?.has(path) === true))
}

/** The place that a pick of the bench leads to. */
function pathOf(pick: (bench: never) => unknown): Path {
  const keys: string[] = []
  const follow: object = new Proxy(Object.create(null) as object, {
    get: (_, key) => {
      keys.push(String(key))
      return follow
    },
  })
  pick(follow as never)
  return keys.join('.')
}

/** What else a count or a choice could be. */
function othersOf(node: unknown): readonly (number | string)[] {
  const isDoubtful = (isFact(node) && node.value !== null) || isChoice(node)
  return isDoubtful && node.doubt.kind === 'alternatives' ? node.doubt.others : []
}

function useOf(memo: Memo): Use {
  return { memo, epoch: memo.epoch }
}

function noteIn<K>(index: Map<K, Set<FigureKey>>, at: K, key: FigureKey): void {
  const known = index.get(at)
  if (known === undefined) index.set(at, new Set([key]))
  else known.add(key)
}

function reasonOf(error: unknown, missing: readonly Path[]): Unknown {
  if (error instanceof Missing) return { kind: 'missing', facts: error.facts }
  const below = error instanceof UsesUnknown ? error.why : null
  if (missing.length > 0)
    return { kind: 'missing', facts: [...new Set([...missing, ...(below?.kind === 'missing' ? below.facts : [])])] }
  if (below !== null) return below
  const message = error instanceof Error ? error.message : String(error)
  if (error instanceof NotYet) return { kind: 'waiting', message }
  if (error instanceof NotConverged) return { kind: 'not-converged', message }
  return { kind: error instanceof RangeError ? 'outside' : 'failed', message }
}

/** A figure that comes out the same but rests on other facts is another one: its users' ± would miss them. */
function sameMemo(now: Memo, was: Memo): boolean {
  if (now === was) return true
  return (
    sameResult(now.result, was.result) &&
    now.leaves.size === was.leaves.size &&
    [...now.leaves].every((leaf) => was.leaves.has(leaf))
  )
}

function sameResult(a: Result, b: Result): boolean {
  if (a.known !== b.known) return false
  if (a.known && b.known) return Object.is(a.value, b.value) || (typeof a.value === 'object' && sameJson(a.value, b.value))
  return sameJson(a, b)
}

/** Whether a fact's value and doubt are as they were; what was typed may differ. */
function sameDoubt(now: unknown, was: unknown): boolean {
  if (now === was) return true
  if (isFact(now) && isFact(was))
    return now.value === was.value && now.instrument === was.instrument && sameJson(now.doubt, was.doubt)
  if (isChoice(now) && isChoice(was)) return now.chosen === was.chosen && sameJson(now.doubt, was.doubt)
  return false
}

function sameJson(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}
