import { isChoice, isFact } from './fact'

/** A place on the bench: keys joined by dots. A trailing `/*` stands for the list of keys at that place. */
export type Path = string

export const KEYS = '/*'

/** Behind the path of a fact: the instrument that read it. */
export const BY = '@by'

/** Path of a key below a path. */
export function below(path: Path, key: string): Path {
  return path === '' ? key : `${path}.${key}`
}

/** Behind the path of a part that was read whole: it is the same as long as it is the very same. */
export const WHOLE = '@whole'

/** What stands at a path; undefined where nothing does. */
export function getAt(node: unknown, path: Path): unknown {
  let at = node
  for (const key of keysIn(path)) {
    if (typeof at !== 'object' || at === null || !Object.hasOwn(at, key)) return undefined
    at = (at as Record<string, unknown>)[key]
  }
  return at
}

/** Paths are split once: the same few thousand are asked for at every edit. */
const split = new Map<Path, readonly string[]>()
const MOST_SPLIT = 50_000

function keysIn(path: Path): readonly string[] {
  const known = split.get(path)
  if (known !== undefined) return known
  if (split.size >= MOST_SPLIT) split.clear()
  const keys = path === '' ? [] : path.split('.')
  split.set(path, keys)
  return keys
}

/** A copy with the value at a path replaced; everything beside the path is shared. Undefined removes the key. */
export function setAt<T>(node: T, path: Path, value: unknown): T {
  const [key = '', ...rest] = path.split('.')
  const source = (node ?? {}) as Record<string, unknown>
  const next = rest.length === 0 ? value : setAt(source[key] ?? {}, rest.join('.'), value)
  if (next === undefined) return Object.fromEntries(Object.entries(source).filter(([k]) => k !== key)) as T
  return { ...source, [key]: next } as T
}

/** What a figure sees at a path: a fact's number, a choice's word, a plain value, or the list of keys. */
export function plainAt(bench: unknown, path: Path): unknown {
  if (path.endsWith(KEYS)) return keysOf(getAt(bench, path.slice(0, -KEYS.length)))
  if (path.endsWith(WHOLE)) return getAt(bench, path.slice(0, -WHOLE.length))
  if (path.endsWith(BY)) return readerOf(getAt(bench, path.slice(0, -BY.length)))
  const node = getAt(bench, path)
  if (isFact(node)) return node.value
  if (isChoice(node)) return node.chosen
  return typeof node === 'object' && node !== null ? '{}' : node
}

function readerOf(node: unknown): string | undefined {
  return isFact(node) ? node.instrument : undefined
}

/** The keys at a place as one comparable string. */
export function keysOf(node: unknown): string {
  return typeof node === 'object' && node !== null ? Object.keys(node).join('\n') : ''
}

/**
 * Paths at which two documents differ: facts, choices and plain values whole, and lists of keys.
 * @param asked Whether anything below a place is of interest; what is not is not looked into.
 */
export function diffPaths(before: unknown, after: unknown, asked: (path: Path) => boolean = () => true): Path[] {
  const found: Path[] = []
  differ(before, after, '', found, asked)
  return found
}

function differ(before: unknown, after: unknown, path: Path, into: Path[], asked: (path: Path) => boolean): void {
  if (Object.is(before, after)) return
  const branches = isPart(before) || isPart(after)
  if (!branches || path === '' || isPart(before) !== isPart(after)) into.push(path)
  // What is new has been read by nobody; that it was not there was seen at its own place and in the keys above it.
  if (!branches || before === undefined) return
  into.push(path + WHOLE)
  if (keysOf(isPart(before) ? before : undefined) !== keysOf(isPart(after) ? after : undefined)) into.push(path + KEYS)
  if (!asked(path)) return
  const left = isPart(before) ? before : {}
  const right = isPart(after) ? after : {}
  for (const key in right) if (left[key] !== right[key]) differ(left[key], right[key], below(path, key), into, asked)
  for (const key in left) if (!Object.hasOwn(right, key)) differ(left[key], undefined, below(path, key), into, asked)
}

/** Whether a place holds others: no fact, no choice, no plain value. */
export function isPart(node: unknown): node is Record<string, unknown> {
  return typeof node === 'object' && node !== null && !isFact(node) && !isChoice(node)
}

/** Calls back for every fact and choice of a document, with its path. */
export function eachFact(node: unknown, visit: (path: Path, node: object) => void, path: Path = ''): void {
  if (isFact(node) || isChoice(node)) visit(path, node)
  else if (isPart(node)) for (const [at, fact] of factsBelow(node)) visit(below(path, at), fact)
}

/** Facts and choices below a part, by their place in it. Parts are never altered, so that each is searched once. */
const searched = new WeakMap<object, readonly (readonly [Path, object])[]>()

function factsBelow(node: Record<string, unknown>): readonly (readonly [Path, object])[] {
  const known = searched.get(node)
  if (known !== undefined) return known
  const found: (readonly [Path, object])[] = []
  for (const key in node) {
    const child = node[key]
    if (typeof child !== 'object' || child === null) continue
    if (isFact(child) || isChoice(child)) found.push([key, child])
    else for (const [path, fact] of factsBelow(child as Record<string, unknown>)) found.push([below(key, path), fact])
  }
  searched.set(node, found)
  return found
}

/** One place of a document and what stands there after a change; undefined where it was taken away. */
export interface Change {
  readonly path: Path
  readonly before: unknown
  readonly after: unknown
}

/** What has to be set so that one document becomes another: the fewest places, facts and choices whole. */
export function changesBetween(before: unknown, after: unknown, path: Path = '', into: Change[] = []): readonly Change[] {
  if (before === after) return into
  if (!isPart(before) || !isPart(after)) {
    into.push({ path, before, after })
    return into
  }
  for (const key in after) changesBetween(before[key], after[key], below(path, key), into)
  for (const key in before)
    if (!Object.hasOwn(after, key)) into.push({ path: below(path, key), before: before[key], after: undefined })
  return into
}

/** A document with changes made to it. */
export function withChanges<T>(document: T, changes: readonly Change[]): T {
  return changes.reduce((at, { path, after }) => setAt(at, path, after), document)
}
