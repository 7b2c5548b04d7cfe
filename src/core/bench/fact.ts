import type { Quantity, UnitId } from '../units'
import type { Placed } from './when'

/** Where a fact comes from: a default nobody has checked, a label or data sheet, or a reading. */
export type Origin = 'assumed' | 'stated' | 'measured'

/**
 * How far a value may be off, in the core's unit.
 * - `exact`: a count known by nature, or a choice made;
 * - `halfWidth` a: stated or assumed, anywhere within ±a; u = a/√3 (JCGM 100:2008, 4.3.7);
 * - `standard` u: measured, with the degrees of freedom where they are few;
 * - `pooled`: measured, one of many alike; their common u is worked by a figure from how they scatter (type A), and
 *   until that is known it is the instrument's own;
 * - `alternatives`: what else it could be; never nudged.
 */
export type Doubt =
  | { readonly kind: 'exact' }
  | { readonly kind: 'halfWidth'; readonly a: number }
  | { readonly kind: 'standard'; readonly u: number; readonly dof?: number | undefined }
  | { readonly kind: 'pooled'; readonly u: number; readonly figure: string; readonly args: readonly string[] }
  | { readonly kind: 'alternatives'; readonly others: readonly (number | string)[] }

interface Provenance {
  readonly origin: Origin
  readonly doubt: Doubt
  /** Id of the instrument that read it, whose scale and zero errors it shares. */
  readonly instrument?: string | undefined
  /** When it was read, ISO 8601. */
  readonly at?: string | undefined
}

/** A number with its unit, where it came from and how far it may be off. */
export interface Fact extends Provenance {
  /** In the core's unit; null if not entered. */
  readonly value: number | null
  /** To the letter; only ever displayed. */
  readonly typed: string
  readonly typedUnit: UnitId
}

/** One of a few words. */
export interface Choice<C extends string = string> extends Provenance {
  readonly chosen: C | null
}

/** What a field of the bench holds: its quantity, range, and the honest guess that a template starts from. */
export interface FactSpec extends Placed {
  readonly label: string
  readonly quantity: Quantity
  /** Accepted range in the core's unit, both ends included. */
  readonly min: number
  readonly max: number
  readonly whole?: boolean
  /** What to assume while nobody has checked: value and half-width, or for a count what else it often is. */
  readonly assume?: {
    readonly value: number
    /** 0: exact by nature, such as a goal somebody sets. */
    readonly halfWidth: number
    readonly others?: readonly number[]
    readonly unit?: UnitId
  }
  /** Known by nature, such as a wish or a sum of money: exact unless a ± is typed. */
  readonly exact?: boolean
  /** Unit offered first, where the system's own would be clumsy (µm, kHz). */
  readonly unit?: UnitId
}

/** What a choice offers, in words. */
export interface ChoiceSpec extends Placed {
  readonly label: string
  readonly options: Readonly<Record<string, string>>
  /** What a template takes while nobody has said, and what else it may be. */
  readonly assume?: { readonly chosen: string; readonly others?: readonly string[] }
}

/** A fact, by the one key nothing else on a bench has. */
export function isFact(node: unknown): node is Fact {
  return typeof node === 'object' && node !== null && 'typedUnit' in node
}

/** A choice, by the one key nothing else on a bench has. */
export function isChoice(node: unknown): node is Choice {
  return typeof node === 'object' && node !== null && 'chosen' in node
}

/**
 * How far a fact is shown to be off, ±: of a reading two standard uncertainties, of a stated or assumed value its half-width.
 * @returns Core's unit; 0 for what is exact, and for alternatives.
 * Valid: any fact. Source: JCGM 100:2008, 6.2.1 (k = 2) and 4.3.7.
 * @example shownSpread({ kind: 'standard', u: 0.02 }) // 0.04
 */
export function shownSpread(doubt: Doubt): number {
  return doubt.kind === 'halfWidth' ? doubt.a : 2 * standardUncertainty(doubt)
}

/**
 * Standard uncertainty of a fact.
 * @returns u in the core's unit; 0 for exact facts and for alternatives, which are never nudged; of a pooled reading
 * the instrument's own.
 * Valid: any fact. Source: JCGM 100:2008, 4.3.7 (rectangular, u = a/√3); T3.
 * @example standardUncertainty({ kind: 'halfWidth', a: 0.3 }) // 0.1732
 */
export function standardUncertainty(doubt: Doubt): number {
  switch (doubt.kind) {
    case 'standard':
    case 'pooled':
      return doubt.u
    case 'halfWidth':
      return doubt.a / Math.sqrt(3)
    case 'exact':
    case 'alternatives':
      return 0
  }
}
