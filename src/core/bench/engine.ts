import { withDoubt } from './doubting'
import type { Evaluation, WithDoubt } from './evaluation'
import type { FactSpec } from './fact'
import { keyOf, type AnyFigure, type FigureDef } from './figure'
import { Memos, type Memo } from './memo'
import type { Path } from './path'
import { Runner } from './runner'

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

/**
 * The evaluator: figures as pure functions of one immutable document, remembered by what they read (`memo.ts`), run as it
 * stands or with facts moved (`runner.ts`), with their ± (`doubting.ts`).
 * @throws {RangeError} where two figures share an id.
 */
export function createEngine<B extends object>(first: B, config: EngineConfig): Engine<B> {
  const listed = new Listed(config)
  const memos = new Memos<B>(first, evaluate)
  const runner = new Runner<B>(memos, evaluate)
  const find = (id: string): AnyFigure | undefined => listed.find(id)
  const doubting = { memos, runner, evaluate, find, specAt: config.specAt }

  function evaluate(def: AnyFigure, args: readonly string[]): Memo {
    const key = keyOf(def.id, args)
    const known = memos.held(key)
    if (known !== undefined) return known
    const memo = runner.work(def, args, key)
    memos.keep(memo)
    return memo
  }

  return {
    update: (bench) => memos.update(bench),
    setNow: (time) => memos.setNow(time),
    get bench() {
      return memos.bench
    },
    value: (def, ...args) => evaluate(def, args) as Evaluation<never>,
    withDoubt: (def, ...args) => withDoubt(doubting, def, args) as WithDoubt<never>,
    byId: (id, args) => withDoubt(doubting, listed.get(id), args),
    valueById: (id, args) => evaluate(listed.get(id), args),
    add: (figures) => listed.add(figures),
    has: (id) => find(id) !== undefined,
    over: (other) => createEngine(other, { ...config, figures: listed.all() }),
    counts: runner.counts,
  }
}

/** Figures by their ids. */
class Listed {
  private readonly defs = new Map<string, AnyFigure>()

  constructor(private readonly config: EngineConfig) {
    this.add(config.figures)
  }

  add(figures: readonly AnyFigure[]): void {
    for (const def of figures) {
      const other = this.defs.get(def.id)
      if (other !== undefined && other !== def) throw new RangeError(`two figures are called ${def.id}`)
      this.defs.set(def.id, def)
    }
  }

  find(id: string): AnyFigure | undefined {
    return this.defs.get(id) ?? this.defs.get(this.config.renamed?.[id] ?? '')
  }

  get(id: string): AnyFigure {
    const def = this.find(id)
    if (def === undefined) throw new RangeError(`no figure is called ${id}`)
    return def
  }

  all(): readonly AnyFigure[] {
    return [...this.defs.values()]
  }
}
