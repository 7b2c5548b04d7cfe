import type { AnyFigure } from './figure'
import { THE_BENCH, type Subject } from './subject'
import type { AnyVerdict } from './verdict'

/** What a domain works and judges, loaded with the stage that shows it. Its slice of the bench stands in its `slice.ts`. */
export interface Domain {
  readonly id: string
  readonly figures: readonly AnyFigure[]
  readonly verdicts: readonly AnyVerdict[]
}

/**
 * A domain from its modules: every figure and every verdict that one of them exports belongs to it, in their order.
 * @throws {RangeError} where two of them share an id.
 */
export function domainOf(id: string, ...modules: readonly object[]): Domain {
  const exported = modules.flatMap((it) => Object.values(it) as unknown[])
  const figures = exported.filter(isFigure)
  const verdicts = exported.filter(isVerdict)
  for (const list of [figures, verdicts]) {
    const twice = list.find((it, i) => list.findIndex((other) => other.id === it.id) !== i)
    if (twice !== undefined) throw new RangeError(`two of ${id} are called ${twice.id}`)
  }
  return { id, figures, verdicts }
}

function isFigure(it: unknown): it is AnyFigure {
  return typeof it === 'object' && it !== null && 'work' in it && 'formula' in it
}

function isVerdict(it: unknown): it is AnyVerdict {
  return typeof it === 'object' && it !== null && 'margin' in it && 'say' in it
}

/** What a figure is of. */
export function subjectOfFigure({ of }: AnyFigure): Subject<unknown, string[]> {
  return (of ?? THE_BENCH) as Subject<unknown, string[]>
}

/** Arguments that a figure is worked for on a bench. */
export function argsOfFigure(def: AnyFigure, bench: unknown): readonly (readonly string[])[] {
  return subjectOfFigure(def).each(bench)
}

/** Arguments that a verdict is judged for: its margin's, as far as its own condition holds. */
export function argsOfVerdict({ margin, when }: AnyVerdict, bench: unknown): readonly (readonly string[])[] {
  const all = argsOfFigure(margin, bench)
  return when === undefined ? all : all.filter((args) => when(bench as never, ...(args as never[])))
}
