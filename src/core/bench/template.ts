import { templateFact } from './guess'
import type { Choice, ChoiceSpec } from './fact'
import type { Shape } from './shape'

/** A choice somebody, or nobody yet, has made; nobody has checked it. */
export function guessedChoice<C extends string>(chosen: C | null, others: readonly C[] = []): Choice<C> {
  return { chosen, origin: 'assumed', doubt: others.length === 0 ? { kind: 'exact' } : { kind: 'alternatives', others } }
}

/**
 * What a part of a bench starts from: every fact's and choice's own guess, lists as they start, else empty. A plain value
 * that has no start (a name, an order) is left away and is the caller's to add.
 * @param given Values to take instead, by key of the part.
 */
export function templateOf<T>(shape: Shape<T>, given: Partial<T> = {}): T {
  return startOf(shape, given) as T
}

/** Keys stand in the shape's order, whoever gives their values, so that a bench is written alike however it came. */
function startOf({ is }: Shape, given: Readonly<Record<string, unknown>> = {}): unknown {
  switch (is.kind) {
    case 'fact':
      return templateFact(is.spec)
    case 'choice':
      return templateChoice(is.spec)
    case 'group': {
      const made = Object.entries(is.parts).map(
        ([key, part]) => [key, given[key] === undefined ? startOf(part) : given[key]] as const,
      )
      return Object.fromEntries(made.filter(([, value]) => value !== undefined))
    }
    case 'many':
      return is.start ?? {}
    case 'plain':
      return is.start
    case 'late':
      // Left away, and so refused by the schema: who makes a whole bench has its slices told.
      return undefined
  }
}

function templateChoice({ assume }: ChoiceSpec): Choice {
  return assume === undefined ? guessedChoice(null) : guessedChoice(assume.chosen, assume.others)
}
