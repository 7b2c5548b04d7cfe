import { diffPaths, plainAt, type Path } from './path'
import { isChoice, isFact, type Fact } from './fact'
import type { AnyFigure, FigureKey, Result } from './figure'
import type { Doubted } from './doubt'
import type { Evaluation, WithDoubt } from './evaluation'
import type { Shifted } from './spread'

/** The place under which a read of the time is recorded. */
export const NOW: Path = '@now'

/** A figure that another used, as it was then: its memo, and how often its nudged results had been thrown away. */
export interface Use {
  readonly memo: Memo
  readonly epoch: number
}

/**
 * Memo of one figure. Its result is valid while every recorded read, and every used figure with what it rests on,
 * compares equal; its results under nudges only while the used figures are the very same, for one that comes out
 * the same on the bench may answer a nudge differently.
 */
export interface Memo extends Evaluation {
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
    /** A fact under it has changed since it was worked, or was last found to be the same. */
    suspect: boolean
  }
}

/** A use of a figure as it is now. */
export function useOf(memo: Memo): Use {
  return { memo, epoch: memo.epoch }
}

/** Works a figure again, or gives what is remembered of it. */
export type Evaluate = (def: AnyFigure, args: readonly string[]) => Memo

/** What is remembered of figures on one document that changes, and by what each was read. */
export class Memos<B extends object> {
  private readonly memos = new Map<FigureKey, Memo>()
  private readonly readBy = new Map<Path, Set<FigureKey>>()
  private readonly usedBy = new Map<FigureKey, Set<FigureKey>>()
  private readonly suspect = new Set<FigureKey>()
  /** Figures whose ± rests on a fact. */
  private readonly doubtedBy = new Map<Path, Set<FigureKey>>()
  /** Places below which something was read, so that thousands of rows that nobody reads one by one are not compared. */
  private readonly readBelow = new Set<Path>()
  /** Being compared at the moment; a ring of figures comes back here. */
  private readonly checking = new Set<FigureKey>()
  private time = 0

  /** @param evaluate Works a figure where it is not remembered, or not any more. */
  constructor(
    private document: B,
    private readonly evaluate: Evaluate,
  ) {}

  get bench(): B {
    return this.document
  }

  get now(): number {
    return this.time
  }

  /** Takes a new document: what read a changed place is compared again before it is believed. */
  update(next: B): void {
    if (next === this.document) return
    const changed = diffPaths(this.document, next, (path) => path === '' || this.readBelow.has(path))
    this.document = next
    this.doubtReadersOf(changed)
    for (const path of changed) for (const key of this.doubtedBy.get(path) ?? []) this.suspectDoubtOf(key)
  }

  setNow(time: number): void {
    if (time === this.time) return
    this.time = time
    this.doubtReadersOf([NOW])
  }

  /** What is remembered under a key and still holds. */
  held(key: FigureKey): Memo | undefined {
    const known = this.memos.get(key)
    if (known === undefined) return undefined
    if (!this.suspect.has(key) || this.checking.has(key) || this.stillHolds(known)) return known
    this.suspect.delete(key)
    return undefined
  }

  /** Remembers a figure that was just worked. */
  keep(memo: Memo): void {
    this.memos.set(memo.key, memo)
    for (const path of memo.reads.keys()) this.noteRead(this.readBy, path, memo.key)
    for (const used of memo.uses.keys()) noteIn(this.usedBy, used, memo.key)
  }

  /** Remembers what a run with facts moved read and used beyond the run on the bench. */
  keepBeyond(memo: Memo, reads: ReadonlyMap<Path, unknown>): void {
    for (const [path, was] of reads) {
      if (memo.reads.has(path)) continue
      memo.readsBeyond.set(path, was)
      this.noteRead(this.readBy, path, memo.key)
    }
  }

  keepUseBeyond(memo: Memo, used: Memo): void {
    if (memo.uses.has(used.key)) return
    memo.usesBeyond.set(used.key, useOf(used))
    noteIn(this.usedBy, used.key, memo.key)
  }

  /** Remembers the ± of a figure, and what it rests on. */
  keepDoubt(memo: Memo, doubt: NonNullable<Memo['doubt']>): void {
    memo.doubt = doubt
    for (const path of doubt.facts.keys()) this.noteRead(this.doubtedBy, path, memo.key)
  }

  private noteRead(index: Map<Path, Set<FigureKey>>, path: Path, key: FigureKey): void {
    noteIn(index, path, key)
    for (let end = path.lastIndexOf('.'); end > 0; end = path.lastIndexOf('.', end - 1)) {
      const above = path.slice(0, end)
      if (this.readBelow.has(above)) break
      this.readBelow.add(above)
    }
  }

  private suspectDoubtOf(key: FigureKey): void {
    const doubt = this.memos.get(key)?.doubt
    if (doubt !== undefined) doubt.suspect = true
  }

  private doubtReadersOf(changed: readonly Path[]): void {
    const queue = changed.flatMap((path) => [...(this.readBy.get(path) ?? [])])
    for (let key = queue.pop(); key !== undefined; key = queue.pop()) {
      if (this.suspect.has(key)) continue
      this.suspect.add(key)
      queue.push(...(this.usedBy.get(key) ?? []))
    }
  }

  private stillHolds(memo: Memo): boolean {
    this.checking.add(memo.key)
    const holds = this.sameReads(memo.reads) && [...memo.uses.values()].every((it) => sameMemo(this.again(it), it.memo))
    if (holds) {
      this.suspect.delete(memo.key)
      const uses = [...memo.uses.values(), ...memo.usesBeyond.values()]
      if (!uses.every((it) => this.isUnmoved(it)) || !this.sameReads(memo.readsBeyond)) this.forgetNudges(memo)
    }
    this.checking.delete(memo.key)
    return holds
  }

  private sameReads(reads: ReadonlyMap<Path, unknown>): boolean {
    return [...reads].every(([path, was]) => Object.is(path === NOW ? this.time : plainAt(this.document, path), was))
  }

  private again({ memo }: Use): Memo {
    return this.evaluate(memo.def, memo.args)
  }

  private isUnmoved(use: Use): boolean {
    const now = this.again(use)
    return now === use.memo && now.epoch === use.epoch
  }

  private forgetNudges(memo: Memo): void {
    memo.epoch++
    memo.nudged.clear()
    memo.readsBeyond.clear()
    memo.usesBeyond.clear()
    delete memo.doubt
    for (const [key, use] of memo.uses) memo.uses.set(key, useOf(this.again(use)))
  }
}

function noteIn<K>(index: Map<K, Set<FigureKey>>, at: K, key: FigureKey): void {
  const known = index.get(at)
  if (known === undefined) index.set(at, new Set([key]))
  else known.add(key)
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

/** Whether a fact's value, origin and doubt are as they were; what was typed may differ. */
export function sameDoubt(now: unknown, was: unknown): boolean {
  if (now === was) return true
  if (isFact(now) && isFact(was)) return now.value === was.value && sameSource(now, was) && sameJson(now.doubt, was.doubt)
  if (isChoice(now) && isChoice(was)) return now.chosen === was.chosen && sameSource(now, was) && sameJson(now.doubt, was.doubt)
  return false
}

type Sourced = Pick<Fact, 'origin' | 'instrument'>

function sameSource(p: Sourced, q: Sourced): boolean {
  return p.origin === q.origin && p.instrument === q.instrument
}

function sameJson(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}
