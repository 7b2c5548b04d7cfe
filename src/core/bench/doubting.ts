import { isOwn, type Doubted } from './doubt'
import type { WithDoubt } from './evaluation'
import { isChoice, isFact, standardUncertainty, type Doubt, type FactSpec } from './fact'
import type { AnyFigure } from './figure'
import { sameDoubt, type Evaluate, type Memo, type Memos } from './memo'
import { getAt, type Path } from './path'
import type { Runner } from './runner'
import { doubtedOver, type Spread } from './spread'

/** What the ± of figures is worked with. */
export interface Doubting<B extends object> {
  readonly memos: Memos<B>
  readonly runner: Runner<B>
  readonly evaluate: Evaluate
  /** A figure by its id; undefined where none is called so. */
  readonly find: (id: string) => AnyFigure | undefined
  readonly specAt: (path: Path) => Pick<FactSpec, 'min' | 'max'> | undefined
}

/** A figure with its ±, remembered while every fact under it stands as it stood, doubts included. */
export function withDoubt<B extends object>(of: Doubting<B>, def: AnyFigure, args: readonly string[]): WithDoubt {
  const memo = of.evaluate(def, args)
  const known = memo.doubt
  if (known !== undefined && holds(of, known)) return known.shown
  const { bench } = of.memos
  const pools = new Set<Memo>()
  const seen = new Set(memo.leaves)
  const doubted = doubtOf(of, memo, pools, seen)
  const { key, result, leaves } = memo
  const shown: WithDoubt = { key, def, args, result, leaves, doubt: doubted }
  const facts = new Map([...seen].map((path) => [path, getAt(bench, path)]))
  of.memos.keepDoubt(memo, { doubted, facts, pools: [...pools], shown, suspect: false })
  return shown
}

function holds<B extends object>({ memos, evaluate }: Doubting<B>, doubt: NonNullable<Memo['doubt']>): boolean {
  const { bench } = memos
  const factsHold = !doubt.suspect || [...doubt.facts].every(([path, was]) => sameDoubt(getAt(bench, path), was))
  if (factsHold) doubt.suspect = false
  return factsHold && doubt.pools.every((was) => evaluate(was.def, was.args) === was)
}

function doubtOf<B extends object>(of: Doubting<B>, memo: Memo, pools: Set<Memo>, seen: Set<Path>): Doubted | null {
  const method = memo.def.doubt
  if (!memo.result.known || (typeof method === 'object' && 'none' in method)) return null
  const nudges = method === 'nudge'
  return doubtedOver({
    at(shift) {
      const run = of.runner.under(memo, shift)
      for (const leaf of run.leaves) seen.add(leaf)
      return run
    },
    spread: (path) => (nudges ? spreadAt(of, path, pools) : null),
    others: (path) => othersOf(getAt(of.memos.bench, path)),
  })
}

/** How far the fact at a place may be off; null where it is exact, not entered, or a choice. */
function spreadAt<B extends object>(of: Doubting<B>, path: Path, pools: Set<Memo>): Spread | null {
  const node = getAt(of.memos.bench, path)
  if (!isFact(node) || node.value === null) return null
  const { u, dof, pool } = spreadOf(of, node.doubt, pools)
  if (!(u > 0)) return null
  const reach = node.doubt.kind === 'halfWidth' ? node.doubt.a : 2 * u
  return { value: node.value, u, dof, pool, reach, rectangular: node.doubt.kind === 'halfWidth', range: of.specAt(path) }
}

/** Standard uncertainty of a fact; that of a pooled reading is the scatter it shares, where that is known. */
function spreadOf<B extends object>(
  { evaluate, find }: Doubting<B>,
  doubt: Doubt,
  pools: Set<Memo>,
): { u: number; dof: number; pool?: string } {
  // A pool that this version does not work leaves the instrument's own.
  const scattered = doubt.kind === 'pooled' ? find(doubt.figure) : undefined
  if (doubt.kind === 'pooled' && scattered !== undefined) {
    const pool = evaluate(scattered, doubt.args)
    pools.add(pool)
    const scatter = pool.result.known ? pool.result.value : null
    if (isOwn(scatter)) return { u: scatter.value, dof: scatter.dof ?? Infinity, pool: pool.key }
  }
  return { u: standardUncertainty(doubt), dof: doubt.kind === 'standard' ? (doubt.dof ?? Infinity) : Infinity }
}

/** What else a count or a choice could be. */
function othersOf(node: unknown): readonly (number | string)[] {
  const isDoubtful = (isFact(node) && node.value !== null) || isChoice(node)
  return isDoubtful && node.doubt.kind === 'alternatives' ? node.doubt.others : []
}
