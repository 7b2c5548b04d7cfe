import type { Choice, ChoiceSpec, Fact, FactSpec } from './fact'
import type { Path } from './path'
import type { Placed, See } from './when'

/**
 * What a part of a bench holds, as plain data: its type, its schema (`schema.ts`), its template and the place of each of
 * its facts follow from it. `type` is never there; it carries the type.
 */
export interface Shape<T = unknown> {
  readonly is: Is
  readonly type?: T
}

/** The value that a shape describes. */
export type Of<S> = S extends Shape<infer T> ? T : never

type Is =
  | { readonly kind: 'fact'; readonly spec: FactSpec }
  | { readonly kind: 'choice'; readonly spec: ChoiceSpec }
  | { readonly kind: 'group'; readonly parts: Readonly<Record<string, Shape>>; readonly placed: Placed }
  | ({ readonly kind: 'many'; readonly each: Shape; readonly keys: readonly string[] | null } & ManySpec<never>)
  | { readonly kind: 'plain'; readonly plain: Plainly; readonly start?: unknown }
  | { readonly kind: 'late' }

/** What stands in a bench without a unit or a doubt: names, orders, days. */
export type Plainly =
  | { readonly as: 'text'; readonly from: number; readonly to: number; readonly say?: string }
  | { readonly as: 'number'; readonly min?: number; readonly above?: number; readonly max?: number; readonly whole?: boolean }
  | { readonly as: 'word'; readonly words: readonly string[] }
  | { readonly as: 'just'; readonly value: string | number | true }
  | { readonly as: 'flag' }
  | { readonly as: 'moment'; readonly of: Moment; readonly orEmpty: boolean }
  | { readonly as: 'orNull'; readonly of: Plainly }

/** An instant of UTC, a day, a clock's hours and minutes, an instant of the local clock; as ISO 8601 has them. */
export type Moment = 'instant' | 'day' | 'clock' | 'local'

/** What a label within a list is made from: the fact's own, the thing it belongs to, and the keys below that. */
export interface Labelled<T> {
  readonly label: string
  readonly id: string
  readonly thing: T
  readonly rest: readonly string[]
  readonly see: See
}

interface ManySpec<T> {
  readonly placed: Placed
  /** What a bench starts with; without it, nothing. */
  readonly start?: Readonly<Record<string, unknown>>
  /** Label of a fact within one of them: “Travel, X”. */
  readonly label?: (it: Labelled<T>) => string
}

/** A shape with keys of its own, all of which there must be. */
export interface Group<P extends Readonly<Record<string, Shape>>> extends Shape<{ readonly [K in keyof P]: Of<P[K]> }> {
  readonly parts: P
}

/** A shape that is told later, so that who opens one stage need not know what another holds. */
export interface LateShape<T> extends Shape<T> {
  /** Says what stands there. The same may be told again. */
  readonly tell: (shape: Shape<T>) => void
}

/** Room for a shape; until it is told, no place below it is known and nothing there is looked at. */
export function late<T>(): LateShape<T> {
  let told: Is = { kind: 'late' }
  return {
    get is() {
      return told
    },
    tell: (shape) => {
      told = shape.is
    },
  }
}

/** Whether all that stands directly below a shape is told: what was found out over one that is not may not be kept. */
export function isTold({ is }: Shape): boolean {
  return is.kind !== 'late' && (is.kind !== 'group' || Object.values(is.parts).every((it) => it.is.kind !== 'late'))
}

/** A number with its unit, origin and doubt. */
export function fact(spec: FactSpec): Shape<Fact> {
  return { is: { kind: 'fact', spec } }
}

/** One of a few words. */
export function choice<const C extends Readonly<Record<string, string>>>(
  spec: ChoiceSpec & { readonly options: C },
): Shape<Choice<keyof C & string>> {
  return { is: { kind: 'choice', spec } }
}

/** Parts side by side. @param placed Where the facts below stand, unless they say otherwise. */
export function group<const P extends Readonly<Record<string, Shape>>>(parts: P, placed: Placed = {}): Group<P> {
  return { is: { kind: 'group', parts, placed }, parts }
}

/** Things alike under ids that are never used again. */
export function many<T>(each: Shape<T>, more: Partial<ManySpec<T>> = {}): Shape<Readonly<Record<string, T>>> {
  return { is: { kind: 'many', each, keys: null, placed: {}, ...more } }
}

/** The same under names that are known. */
export function someOf<K extends string, T>(keys: readonly K[], each: Shape<T>): Shape<Readonly<Partial<Record<K, T>>>> {
  return { is: { kind: 'many', each, keys, placed: {} } }
}

function plain<T>(it: Plainly, start?: T): Shape<T> {
  return { is: { kind: 'plain', plain: it, ...(start === undefined ? {} : { start }) } }
}

/** Text of so many letters. @param say What is wrong with one that is too short. */
export function text(from: number, to: number, start?: string, say?: string): Shape<string> {
  return plain({ as: 'text', from, to, ...(say === undefined ? {} : { say }) }, start)
}

/** A number without a doubt: an order, a place in a layout. */
export function bare(
  range: { readonly min?: number; readonly above?: number; readonly max?: number; readonly whole?: boolean } = {},
  start?: number,
): Shape<number> {
  return plain({ as: 'number', ...range }, start)
}

/** One of a few words, without an origin. */
export function word<const W extends readonly string[]>(words: W, start?: W[number]): Shape<W[number]> {
  return plain<W[number]>({ as: 'word', words }, start)
}

/** This and nothing else. */
export function just<const V extends string | number | true>(value: V): Shape<V> {
  return plain<V>({ as: 'just', value }, value)
}

/** Yes or no. */
export function flag(): Shape<boolean> {
  return plain({ as: 'flag' })
}

/** A moment, as text. */
export function moment(of: Moment): Shape<string> {
  return plain({ as: 'moment', of, orEmpty: false })
}

/** A moment, or nothing. */
export function maybeMoment(of: Moment, start?: string): Shape<string> {
  return plain({ as: 'moment', of, orEmpty: true }, start)
}

/** A plain value, or null where there is none. @throws {TypeError} for a shape that is not plain. */
export function orNull<T>(of: Shape<T>): Shape<T | null> {
  if (of.is.kind !== 'plain') throw new TypeError('only a plain value may be null')
  return plain<T | null>({ as: 'orNull', of: of.is.plain })
}

/** The shape below a key; undefined where there is none. */
export function partAt(shape: Shape, key: string): Shape | undefined {
  const { is } = shape
  if (is.kind === 'group') return Object.hasOwn(is.parts, key) ? is.parts[key] : undefined
  if (is.kind !== 'many') return undefined
  return is.keys === null || is.keys.includes(key) ? is.each : undefined
}

/** The shape at a path. */
export function shapeAt(shape: Shape, path: Path): Shape | undefined {
  return path.split('.').reduce<Shape | undefined>((at, key) => (at === undefined ? undefined : partAt(at, key)), shape)
}

/** The spec of the fact at a path, if there is one. */
export function factSpecAt(shape: Shape, path: Path): FactSpec | undefined {
  const is = shapeAt(shape, path)?.is
  return is?.kind === 'fact' ? is.spec : undefined
}

/** The spec of the choice at a path, if there is one. */
export function choiceSpecAt(shape: Shape, path: Path): ChoiceSpec | undefined {
  const is = shapeAt(shape, path)?.is
  return is?.kind === 'choice' ? is.spec : undefined
}

/** Paths of a type's facts, or of its choices; `${string}` stands for an id. */
export type PathsOf<T, Leaf extends Fact | Choice> = T extends object
  ? {
      [K in keyof T & string]: NonNullable<T[K]> extends Fact | Choice
        ? NonNullable<T[K]> extends Leaf
          ? K
          : never
        : NonNullable<T[K]> extends object
          ? `${K}.${PathsOf<NonNullable<T[K]>, Leaf>}`
          : never
    }[keyof T & string]
  : never

/** The place of a path without its ids: `motion.axes.x.travel` stands at `motion.axes.*.travel`. */
export function patternAt(shape: Shape, path: Path): string {
  let at: Shape | undefined = shape
  return path
    .split('.')
    .map((key) => {
      const within: Shape | undefined = at
      at = within === undefined ? undefined : partAt(within, key)
      return within?.is.kind === 'many' ? '*' : key
    })
    .join('.')
}
