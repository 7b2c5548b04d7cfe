/** One thing wrong or doubtful in what a user gave: what it is, where, and what to do. */
export interface Finding {
  readonly code: string
  readonly severity: 'error' | 'warning'
  /** What is wrong, where, what to do. */
  readonly message: string
  /** Path of the field, for a form or a document. */
  readonly path?: string
  readonly line?: number
  /** First character concerned, counted from 1. */
  readonly column?: number
}

/** What a reader gives back: a value, or all that stands in its way; never both an exception and a finding. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T; readonly findings: readonly Finding[] }
  | { readonly ok: false; readonly findings: readonly Finding[] }

/** A refused outcome with one error. */
export function refused(code: string, message: string, place: Partial<Finding> = {}): Outcome<never> {
  return { ok: false, findings: [{ code, severity: 'error', message, ...place }] }
}

/** An accepted outcome. */
export function accepted<T>(value: T, findings: readonly Finding[] = []): Outcome<T> {
  return { ok: true, value, findings }
}
