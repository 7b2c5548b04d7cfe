/** A part of a stored document, of any version. */
export type Json = Readonly<Record<string, unknown>>

/**
 * One step of a slice of the bench to a version of the bench. Pure, and never edited once shipped: what it adds stands in
 * it as it was then, so that later changes of the template do not reach it.
 */
export interface Migration {
  /** The version of the bench that it leads to. */
  readonly to: number
  readonly why: string
  /** @param slice As it was; empty where there was none. @param bench All of it, as it was. */
  readonly up: (slice: Json, bench: Json) => Json
}

/** What of a document is an object; empty where it is not. */
export function asJson(node: unknown): Json {
  return typeof node === 'object' && node !== null && !Array.isArray(node) ? (node as Json) : {}
}

/** Every thing of a list with some keys more, or with those that are worked from it. */
export function withEach(list: unknown, more: Json | ((thing: Json, id: string) => Json)): Json {
  const things = Object.entries(asJson(list))
  return Object.fromEntries(
    things.map(([id, thing]) => [id, { ...asJson(thing), ...(typeof more === 'function' ? more(asJson(thing), id) : more) }]),
  )
}

/** A slice with something at a place of it; `*` in the place stands for every thing of a list. */
export function withAt(slice: Json, at: string, value: Json): Json {
  const [key = '', ...rest] = at.split('.')
  if (rest.length === 0) return { ...slice, [key]: value }
  if (key === '*') return withEach(slice, (thing) => withAt(thing, rest.join('.'), value))
  return { ...slice, [key]: withAt(asJson(slice[key]), rest.join('.'), value) }
}

const EXACT = { kind: 'exact' }

/** A fact nobody had entered, as a template gave it then. */
export function thenBlank(typedUnit: string): Json {
  return { value: null, typed: '', typedUnit, origin: 'assumed', doubt: EXACT }
}

/** A guess of a template, as it was then. @param value Core's unit, as @param a its half-width; 0: exact. */
export function thenGuess(value: number, typed: string, typedUnit: string, a = 0): Json {
  return { value, typed, typedUnit, origin: 'assumed', doubt: a === 0 ? EXACT : { kind: 'halfWidth', a } }
}

/** A count that may be another, as a template gave it then. */
export function thenCount(value: number, typed: string, typedUnit: string, others: readonly number[]): Json {
  return { ...thenGuess(value, typed, typedUnit), doubt: { kind: 'alternatives', others } }
}

/** A choice of a template, as it was then; null: nobody had made it. */
export function thenChosen(chosen: string | null, others: readonly string[] = []): Json {
  return { chosen, origin: 'assumed', doubt: others.length === 0 ? EXACT : { kind: 'alternatives', others } }
}
