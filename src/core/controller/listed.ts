import type { Finding } from '../units'

/** One value of a machine's list of settings. */
export interface Listed {
  readonly key: string
  /** The value, a decimal comma written as a point. */
  readonly text: string
  /** What else stands beside it: a unit, a comment, a comment on the line above, a column's head; often what the key means. */
  readonly words: string
  readonly line: number
  /** Where the value stands in the list, without its quotes: from, and up to. */
  readonly at: Span
  /** Which of how many values of its line it is, where nothing but its place says so. */
  readonly place?: { readonly index: number; readonly of: number }
}

export interface Span {
  readonly start: number
  readonly end: number
}

export interface Listing {
  readonly entries: readonly Listed[]
  /** Lines that hold neither a key nor a value, and keys that come twice. */
  readonly findings: readonly Finding[]
}
