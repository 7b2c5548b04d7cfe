import type { Quantity, UnitId } from '../units'
import type { Path } from './path'
import type { Subject } from './subject'
import type { Plain } from './view'

/** What a figure works from. Reading a fact nobody entered makes the figure unknown and names the fact. */
export interface View<B> {
  readonly bench: Plain<B>
  /** The bench as it was entered, never nudged: only to tell whether a thing is still the one it was. NaN: not entered. */
  readonly asEntered: Plain<B>
  /**
   * A part of the bench that holds plain rows and no facts, as it stands: read whole and compared as one, where there may
   * be ten thousand of them.
   */
  rows<T>(pick: (bench: B) => T): T
  /** Another figure's value; its reads become this one's. */
  figure<A extends readonly string[], T>(def: FigureDef<never, A, T>, ...args: A): T
  /** The present time, ms since 1970; only figures about due dates may take it. */
  readonly now: number
}

/** How a figure's ± is found: see T8. `own` and `none` give their reason. */
export type DoubtMethod = 'nudge' | 'alternatives' | { readonly own: string } | { readonly none: string }

/** A figure: a pure function of the bench with its formula and its source. */
export interface FigureDef<B, A extends readonly string[] = readonly string[], T = number> {
  /** `domain.name`; once shipped it is never changed, for records name it. */
  readonly id: string
  /** What it is worked for; without it, the bench. */
  readonly of?: Subject<B, A>
  readonly label: string
  readonly quantity: Quantity
  /** Units to show it in, where the system's own would be clumsy (µm for a step). */
  readonly show?: Readonly<Record<'metric' | 'inch', UnitId>>
  /** Where the sign is said in words: “too large by” above 0, “too small by” below; the number then stands without one. */
  readonly signs?: { readonly above: string; readonly below: string }
  /** In TeX, its inputs as `\v{symbol}`. */
  readonly formula: string
  /** Where the formula has several forms (`\\quad\\text{or}\\quad` between them): the choice, or the argument `{0}`, that picks one. */
  readonly forms?: { readonly by: string; readonly of: Readonly<Record<string, number>> }
  /** Symbol → path of the fact, or `=id|arg` of the figure; `{0}` stands for the first argument. */
  readonly symbols: Readonly<Record<string, string>>
  readonly source: string
  readonly doubt: DoubtMethod
  work(view: View<B>, ...args: A): T
}

/** What a figure with its own doubt gives. */
export interface OwnDoubt {
  readonly value: number
  /** Standard uncertainty, core's unit. */
  readonly u: number
  readonly dof?: number
}

/** Defines a figure over a part B of the bench, with everything else inferred. */
export function figureOf<B>() {
  return <A extends string[], T>(def: FigureDef<B, A, T>): FigureDef<B, A, T> => def
}

// The one place where a definition's own types are set aside; `createEngine` hands each what it was written for.
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a list of figures is heterogeneous by nature
export type AnyFigure = FigureDef<any, any, any>

/** Why a figure is not known. */
export type Unknown =
  | { readonly kind: 'missing'; readonly facts: readonly Path[] }
  | { readonly kind: 'ring'; readonly keys: readonly string[] }
  | { readonly kind: 'waiting'; readonly message: string }
  | { readonly kind: 'outside'; readonly message: string }
  | { readonly kind: 'not-converged'; readonly message: string }
  /** A mistake of the program, kept with its cause; no sentence for whoever uses it. */
  | { readonly kind: 'failed'; readonly message: string; readonly cause: unknown }

export type Result<T = unknown> = { readonly known: true; readonly value: T } | { readonly known: false; readonly why: Unknown }

/** A figure and its arguments as one word. */
export type FigureKey = string

/** The key of a figure with its arguments: `motion.stepsPerMm|x`. */
export function keyOf(id: string, args: readonly string[]): FigureKey {
  return args.length === 0 ? id : `${id}|${args.join('|')}`
}

/** Thrown within a figure that waits for something to be done; its message says what: `read two spans of X`. */
export class NotYet extends Error {}

/** Thrown within a figure by a solver that did not come to rest; the engine turns it into a finding. */
export class NotConverged extends Error {}
