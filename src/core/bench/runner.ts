import { NotConverged, NotYet, type AnyFigure, type FigureKey, type Result, type Unknown, type View } from './figure'
import { NOW, useOf, type Evaluate, type Memo, type Memos, type Use } from './memo'
import { getAt, isPart, plainAt, WHOLE, type Path } from './path'
import { entered, Missing, recorder, type Recorder, type Shift } from './recorder'
import type { Shifted } from './spread'
import { viewOf } from './view'

class UsesUnknown extends Error {
  constructor(readonly why: Unknown) {
    super('uses an unknown figure')
  }
}

type UseFigure = (def: AnyFigure, args: readonly string[]) => Result

/** Runs figures over what a bench remembers: as the bench stands, or with facts moved. */
export class Runner<B extends object> {
  /** How often a figure's work ran: on the bench, and under a nudge. */
  readonly counts = { worked: 0, nudged: 0 }
  /** Being worked at the moment; a ring of figures comes back here. */
  private readonly open: FigureKey[] = []

  constructor(
    private readonly memos: Memos<B>,
    private readonly evaluate: Evaluate,
  ) {}

  /** A figure on the bench as it stands. */
  work(def: AnyFigure, args: readonly string[], key: FigureKey): Memo {
    const reads = new Map<Path, unknown>()
    const uses = new Map<FigureKey, Use>()
    const leaves = new Set<Path>()
    const tap = recorder(this.memos.bench, reads, (path) => leaves.add(path), null)
    const use: UseFigure = (used, usedArgs) => {
      const memo = this.evaluate(used, usedArgs)
      uses.set(memo.key, useOf(memo))
      for (const leaf of memo.leaves) leaves.add(leaf)
      return memo.result
    }
    this.counts.worked++
    const result = this.run({ def, args, key }, { tap, reads }, use)
    const beyond = { nudged: new Map(), readsBeyond: new Map(), usesBeyond: new Map(), epoch: 0 }
    return { key, def, args, result, leaves, reads, uses, ...beyond }
  }

  /** A figure with facts moved; what does not rest on any of them is taken as it is. */
  under(memo: Memo, shift: Shift): Shifted {
    let relevant = only(shift, memo.leaves)
    if (relevant.size === 0) return memo
    for (;;) {
      const run = this.moved(memo, relevant)
      // Under one alternative a figure may read a fact that it does not read on the bench.
      const more = only(shift, run.leaves, relevant)
      if (more.size === relevant.size) return run
      relevant = more
    }
  }

  private moved(memo: Memo, shift: Shift): Shifted {
    const id = [...shift].join('|')
    const known = memo.nudged.get(id)
    if (known !== undefined) return known
    const reads = new Map<Path, unknown>()
    const leaves = new Set<Path>()
    const tap = recorder(this.memos.bench, reads, (path) => leaves.add(path), shift)
    const use: UseFigure = (def, args) => {
      const used = this.evaluate(def, args)
      this.memos.keepUseBeyond(memo, used)
      const below = this.under(used, shift)
      for (const leaf of below.leaves) leaves.add(leaf)
      return below.result
    }
    this.counts.nudged++
    const made = { result: this.run(memo, { tap, reads }, use), leaves }
    this.memos.keepBeyond(memo, reads)
    memo.nudged.set(id, made)
    return made
  }

  private run(
    { def, args, key }: Pick<Memo, 'def' | 'args' | 'key'>,
    { tap, reads }: { readonly tap: Recorder; readonly reads: Map<Path, unknown> },
    use: UseFigure,
  ): Result {
    const { open } = this
    if (open.includes(key)) return { known: false, why: { kind: 'ring', keys: [...open.slice(open.indexOf(key)), key] } }
    open.push(key)
    try {
      const value: unknown = def.work(this.viewFor(tap, reads, use), ...args)
      if (tap.missing.length > 0) throw new Missing(tap.missing)
      if (typeof value === 'number' && !Number.isFinite(value)) throw new RangeError(`${def.label} has no finite value here`)
      return { known: true, value }
    } catch (error) {
      return { known: false, why: reasonOf(error, tap.missing) }
    } finally {
      open.pop()
    }
  }

  private viewFor(tap: Recorder, reads: Map<Path, unknown>, use: UseFigure): View<B> {
    const { bench, now } = this.memos
    return {
      bench: viewOf(bench, '', tap) as View<B>['bench'],
      asEntered: viewOf(bench, '', entered(reads)) as View<B>['bench'],
      get now() {
        tap.plain(NOW, now)
        return now
      },
      rows: (pick) => {
        const at = pathOf(pick)
        // A change of a single value is told at its own place, one within a part at the part as a whole.
        const read = isPart(getAt(bench, at)) ? at + WHOLE : at
        reads.set(read, plainAt(bench, read))
        return pick(bench)
      },
      figure: (used, ...usedArgs) => {
        const result = use(used as AnyFigure, usedArgs)
        if (!result.known) throw new UsesUnknown(result.why)
        return result.value as never
      },
    }
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

function reasonOf(error: unknown, missing: readonly Path[]): Unknown {
  if (error instanceof Missing) return { kind: 'missing', facts: error.facts }
  const below = error instanceof UsesUnknown ? error.why : null
  if (missing.length > 0)
    return { kind: 'missing', facts: [...new Set([...missing, ...(below?.kind === 'missing' ? below.facts : [])])] }
  if (below !== null) return below
  const message = error instanceof Error ? error.message : String(error)
  if (error instanceof NotYet) return { kind: 'waiting', message }
  if (error instanceof NotConverged) return { kind: 'not-converged', message }
  if (error instanceof RangeError) return { kind: 'outside', message }
  return { kind: 'failed', message, cause: error }
}
