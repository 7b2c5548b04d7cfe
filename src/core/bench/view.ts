import { isChoice, isFact, type Choice, type Fact } from './fact'
import { below, type Path } from './path'

/** The bench as a figure sees it: facts as numbers, choices as words. */
export type Plain<T> = T extends Fact
  ? number
  : T extends Choice<infer C>
    ? C
    : T extends object
      ? { readonly [K in keyof T]: Plain<T[K]> }
      : T

/** Hears everything that is read through a view. */
export interface Tap {
  fact(path: Path, fact: Fact): number
  choice(path: Path, choice: Choice): string
  plain(path: Path, value: unknown): void
  keys(path: Path, keys: readonly string[]): void
}

/**
 * A recording view over a part of the bench. It stands over an empty target, so frozen documents do not trip the
 * proxy's invariants, and it records keys that are listed, so that adding a thing invalidates what counted them.
 * @throws {TypeError} from within, where a figure tries to write.
 */
export function viewOf(node: object, path: Path, tap: Tap): object {
  const source = node as Record<string, unknown>
  const read = (key: string): unknown => {
    const child = Object.hasOwn(source, key) ? source[key] : undefined
    const at = below(path, key)
    if (isFact(child)) return tap.fact(at, child)
    if (isChoice(child)) return tap.choice(at, child)
    if (typeof child === 'object' && child !== null) return viewOf(child, at, tap)
    tap.plain(at, child)
    return child
  }
  const list = (): string[] => {
    const keys = Object.keys(source)
    tap.keys(path, keys)
    return keys
  }
  const refuse = (): never => {
    throw new TypeError(`figures only read: ${path} cannot be written`)
  }
  return new Proxy(Object.create(null) as object, {
    get: (_, key) => (typeof key === 'string' ? read(key) : undefined),
    ownKeys: list,
    has: (_, key) => typeof key === 'string' && list().includes(key),
    getOwnPropertyDescriptor: (_, key) =>
      typeof key === 'string' && Object.hasOwn(source, key)
        ? { enumerable: true, configurable: true, writable: false, value: undefined }
        : undefined,
    set: refuse,
    defineProperty: refuse,
    deleteProperty: refuse,
  })
}

/** A part of a bench as plain numbers and words, for a drawing; a number that nobody entered is NaN. What an instrument is known to be off by is left aside. */
export function plainly<T>(node: T): Plain<T> {
  const plain = (it: unknown): unknown => {
    if (isFact(it)) return it.value ?? Number.NaN
    if (isChoice(it)) return it.chosen
    if (typeof it !== 'object' || it === null) return it
    return Object.fromEntries(Object.entries(it).map(([key, child]) => [key, plain(child)]))
  }
  return plain(node) as Plain<T>
}
