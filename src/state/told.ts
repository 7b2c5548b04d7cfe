import type { Finding } from '../core/units'

/**
 * What stands in the way of an act, each with what to do; empty where it was done. An act that gives nothing else gives
 * this, one that gives something an `Outcome`; nothing in `state` throws for a reason that a person has to hear.
 */
export type Told = readonly Finding[]

/** Nothing stood in the way. */
export const DONE: Told = []

/** One thing that stands in the way. */
export function told(message: string, code = 'refused'): Told {
  return [{ code, severity: 'error', message }]
}

/** There is nothing to act on. */
export const NO_BENCH: Told = told('No bench is open.', 'no-bench')

/** Whether it was done: what else is told are warnings. */
export function isDone(said: Told): boolean {
  return said.every((it) => it.severity !== 'error')
}

/** The first reason why it was not done; empty where it was. */
export function reasonOf(said: Told): string {
  return said.find((it) => it.severity === 'error')?.message ?? ''
}
