import type { z } from 'zod'
import { templateFact } from './enter'
import { partsOf, type Choice } from './fact'

/** A choice somebody, or nobody yet, has made; nobody has checked it. */
export function guessedChoice<C extends string>(chosen: C | null): Choice<C> {
  return { chosen, origin: 'assumed', doubt: { kind: 'exact' } }
}

/**
 * What a part of a bench starts from: every fact's own guess, choices not made, records empty. Anything else (names,
 * order) is left away and is the caller's to add.
 * @param given Values to take instead, by key of the part.
 * @throws {TypeError} for a schema that has no keys.
 */
export function templateOf<T>(schema: z.ZodType<T>, given: Partial<T> = {}): T {
  const parts = partsOf(schema)
  if (parts === null || !('shape' in parts)) throw new TypeError('only a part with keys has a template')
  const made = Object.entries(parts.shape).map(([key, child]): readonly [string, unknown] => {
    const own = partsOf(child)
    if (own === null) return [key, undefined]
    if ('fact' in own) return [key, templateFact(own.fact)]
    if ('choice' in own) return [key, guessedChoice(null)]
    return [key, 'record' in own ? {} : templateOf(child)]
  })
  return { ...Object.fromEntries(made.filter(([, value]) => value !== undefined)), ...given } as T
}
