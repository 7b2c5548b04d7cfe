import type { Finding } from '../units'
import { shownNumber, type Doubted } from './doubt'
import type { Engine } from './engine'
import type { WithDoubt } from './evaluation'
import { isChoice, isFact } from './fact'
import type { AnyFigure, FigureDef, Unknown } from './figure'
import { getAt, type Path } from './path'

/** What a figure held against a limit comes to. */
export type Mark = 'good' | 'look' | 'stop' | 'unknown'

/** Prints a value of the core with its ±, in the bench's own system. */
export type Say = (value: number, expanded?: number | null) => string

/** The sentence a verdict says, and the one thing to do next. */
export interface Wording {
  /** Bold; the answer in a few words. */
  readonly head: string
  readonly why: string
  readonly next?: Next
}

/** Where something is done: at a fact, or at a part of a stage, “plan/parts”, with a thing of it chosen: “burns.materials.m”. */
export type NextPlace = { readonly path: Path } | { readonly part: string; readonly thing?: Path }
/** What to do, and where. */
export type Next = { readonly words: string } & NextPlace

export interface VerdictDef<B, A extends readonly string[]> {
  readonly id: string
  /** The stage that owns it. */
  readonly stage: string
  /** The part of it that shows it first; without it all parts alike. */
  readonly part?: string
  /** The margin figure: limit and value worked together. It is judged for all that the margin is of. */
  readonly margin: FigureDef<B, A>
  /** Only then is it judged: what nobody has begun to measure is not. */
  readonly when?: (bench: B, ...args: A) => boolean
  /** The margin from which it is good, in the margin's own unit. */
  readonly goodFrom: number
  /** The margin below which it is a stop; between the two, look. */
  readonly stopBelow: number
  /** Where it can hurt, straddling is a stop. */
  readonly hazard?: boolean
  /**
   * Below the limit it is a look all the same: going on costs quality, not the work, the machine or anybody. A stop is kept
   * for what must not be done.
   */
  readonly short?: 'look'
  /** The verdict that it follows from, for the same arguments: as long as that one is bad, this one is no news. */
  readonly follows?: string
  /**
   * Where what stands there settles it, and how well it is known does not matter: two settings that are one number.
   * @param guesses Facts that nobody has checked and that blur the margin.
   */
  readonly settled?: (margin: number, guesses: readonly Path[]) => boolean
  readonly say: (context: {
    readonly mark: Mark
    readonly args: A
    /** The margin as a number; NaN where it is unknown. */
    readonly margin: number
    /** Reads another figure for the sentence: its value and ±, printed. */
    readonly figure: (def: AnyFigure, ...args: string[]) => string
    /** Prints the number of a fact. */
    readonly fact: (path: Path) => string
    /** A plain word of the bench, such as an axis letter. */
    readonly word: (path: Path) => string
    /** Keys of a list of the bench, such as materials that are ticked. */
    readonly keys: (path: Path) => readonly string[]
  }) => Wording
}

/** Defines a verdict over a part B of the bench; what it is judged for follows from its margin. */
export function verdictOf<B>() {
  return <A extends string[]>(def: VerdictDef<B, A>): VerdictDef<B, A> => def
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a list of verdicts is heterogeneous by nature
export type AnyVerdict = VerdictDef<any, any>

export interface Verdict {
  readonly def: AnyVerdict
  readonly args: readonly string[]
  readonly mark: Mark
  /** Where the margin lies, whatever the mark makes of it: what the sentence is about. */
  readonly reads: Mark
  /** The margin's interval crosses a limit. */
  readonly straddles: boolean
  readonly margin: WithDoubt
  /** Facts under it that nobody has checked. */
  readonly assumed: readonly Path[]
  readonly unknown: Unknown | null
}

/**
 * Judges one margin: good, look or stop where the whole interval agrees; not known yet where it straddles the stop
 * limit (a hazard: stop); look where it straddles good and look (T9).
 */
export function judge<B extends object>(engine: Engine<B>, def: AnyVerdict, args: readonly string[]): Verdict {
  const margin: WithDoubt = engine.withDoubt(def.margin as FigureDef<B>, ...args)
  const known = judged.get(margin)
  if (known?.def === def) return known
  const made = judgeMargin(engine, def, args, margin)
  judged.set(margin, made)
  return made
}

/** A margin is judged once: it is another one as soon as anything under it is. */
const judged = new WeakMap<WithDoubt, Verdict>()

function judgeMargin<B extends object>(engine: Engine<B>, def: AnyVerdict, args: readonly string[], margin: WithDoubt): Verdict {
  const value = shownNumber(margin.result)
  const assumed = [...margin.leaves].filter((path) => isAssumed(getAt(engine.bench, path)))
  const base = { def, args, margin, assumed }
  if (value === null || !margin.result.known) {
    return {
      ...base,
      mark: 'unknown',
      reads: 'unknown',
      straddles: false,
      unknown: margin.result.known ? null : margin.result.why,
    }
  }
  const isSettled = margin.doubt === null || def.settled?.(value, guessesOf(margin.doubt, assumed)) === true
  const { low, high } = isSettled ? { low: value, high: value } : margin.doubt
  const straddles = low < def.stopBelow && high >= def.stopBelow
  const reads = markOf(def, low, high)
  return { ...base, mark: reads === 'stop' && def.short === 'look' ? 'look' : reads, reads, straddles, unknown: null }
}

function guessesOf({ contributions }: Doubted, assumed: readonly Path[]): readonly Path[] {
  return contributions.filter(({ path, c }) => c > 0 && assumed.includes(path)).map(({ path }) => path)
}

function markOf({ goodFrom, stopBelow, hazard }: AnyVerdict, low: number, high: number): Mark {
  if (low >= goodFrom) return 'good'
  if (high < stopBelow) return 'stop'
  if (low < stopBelow) return hazard === true ? 'stop' : 'unknown'
  return 'look'
}

/** Whether what stands at a place is a guess nobody has checked. */
export function isAssumed(node: unknown): boolean {
  return (isFact(node) || isChoice(node)) && node.origin === 'assumed'
}

const ORDER: readonly Mark[] = ['good', 'unknown', 'look', 'stop']

/** The worst of several marks; null where there are none. */
export function worstMark(marks: readonly Mark[]): Mark | null {
  return marks.reduce<Mark | null>(
    (worst, mark) => (worst === null || ORDER.indexOf(mark) > ORDER.indexOf(worst) ? mark : worst),
    null,
  )
}

/** Verdicts with the worst first; alike ones keep their order. */
export function worstFirst(verdicts: readonly Verdict[]): readonly Verdict[] {
  return [...verdicts].sort((p, q) => ORDER.indexOf(q.mark) - ORDER.indexOf(p.mark))
}

/**
 * Verdicts by what they are about, the worst group first: alike ones of several axes together, and behind a bad one what
 * follows from it.
 */
export function inGroups(verdicts: readonly Verdict[]): readonly (readonly Verdict[])[] {
  const sorted = worstFirst(verdicts)
  const keyOfOne = ({ def, mark }: Verdict): string => `${def.id}|${mark}`
  const leaderOf = ({ def, args }: Verdict): Verdict | undefined =>
    sorted.find((it) => it.def.id === def.follows && it.mark !== 'good' && it.args.join('|') === args.join('|'))
  const groups = new Map<string, Verdict[]>()
  for (const leads of [true, false]) {
    for (const verdict of sorted) {
      const leader = leaderOf(verdict)
      if ((leader === undefined) !== leads) continue
      const key = keyOfOne(leader ?? verdict)
      groups.set(key, [...(groups.get(key) ?? []), verdict])
    }
  }
  return [...groups.values()]
}

/** Why a figure is not known, in one sentence that says what to do. @param nameOf Label of the fact at a path. */
export function sayUnknown(why: Unknown, nameOf: (path: Path) => string): Finding {
  const say = (message: string): Finding => ({ code: why.kind, severity: 'error', message })
  switch (why.kind) {
    case 'missing':
      return { ...say(`Not known yet: enter ${listOf(why.facts.map(nameOf))}.`), path: why.facts[0] ?? '' }
    case 'ring':
      return say(`These figures wait for each other: ${why.keys.join(' → ')}. Enter one of them as a fact.`)
    case 'waiting':
      return say(`Not known yet: ${why.message}.`)
    case 'outside':
      return say(`Outside what the formula covers: ${why.message}.`)
    case 'not-converged':
      return say(`The solution did not come to rest (${why.message}). Check the facts for a value that is far off.`)
    case 'failed':
      return say(
        'This figure could not be worked: the mistake is Fine Kerf’s, not yours. Export the bench file and report it with the figure’s name.',
      )
  }
}

function listOf(words: readonly string[]): string {
  const unique = [...new Set(words.map((word) => word.charAt(0).toLowerCase() + word.slice(1)))]
  return unique.length <= 1
    ? `the ${unique.join('')}`
    : `the ${unique.slice(0, -1).join(', the ')} and the ${unique.at(-1) ?? ''}`
}
