import { getAt, plainAt, type Path } from './path'
import { isChoice, isFact } from './fact'
import { isTold, partAt, shapeAt, type Shape } from './shape'
import type { Act, Placed, See, SeeBeside, When } from './when'

/** Where a fact stands, with all that must hold for it to stand there. */
export interface Place {
  readonly stage: string
  readonly part: string | null
  readonly cell: string | null
  readonly act: Act | null
  /** Each with the place it is asked from. */
  readonly when: readonly Condition[]
  readonly begun: readonly Condition[]
}

interface Condition {
  readonly at: Path
  readonly holds: When
}

const NOWHERE: Place = { stage: '', part: null, cell: null, act: null, when: [], begun: [] }

/** Places are asked for at every drawing, and shapes never change. */
const known = new WeakMap<Shape, Map<Path, Place | null>>()

/** The place of what stands at a path of a shape: what it says itself, else what it stands in; null where nothing does. */
export function placeAt(shape: Shape, path: Path): Place | null {
  const places = known.get(shape) ?? new Map<Path, Place | null>()
  known.set(shape, places)
  const found = places.get(path)
  if (found !== undefined) return found
  const made = placeOf(shape, path)
  // What is not told yet may come.
  if (made !== null) places.set(path, made)
  return made
}

/** What a thing says holds for all that stands in it, so that conditions which are shared are the same one. */
function placeOf(shape: Shape, path: Path): Place | null {
  if (path === '') return placedIn(NOWHERE, shape, '')
  const is = shapeAt(shape, path)
  const above = placeAt(shape, path.slice(0, Math.max(0, path.lastIndexOf('.'))))
  return is === undefined || is.is.kind === 'late' || above === null ? null : placedIn(above, is, path)
}

function placedIn(place: Place, { is }: Shape, at: Path): Place {
  if (is.kind === 'plain' || is.kind === 'late') return place
  const { stage, part, cell, act, when, begun }: Placed = 'spec' in is ? is.spec : is.placed
  const moved = stage !== undefined && stage !== place.stage
  return {
    stage: stage ?? place.stage,
    part: part ?? (moved ? null : place.part),
    cell: cell ?? place.cell,
    act: act ?? place.act,
    when: when === undefined ? place.when : [...place.when, { at, holds: when }],
    begun: begun === undefined ? place.begun : [...place.begun, { at, holds: begun }],
  }
}

/** A reader of a document. */
export function seeing(document: unknown): See {
  const keys = (path: Path): readonly string[] => {
    const node = getAt(document, path)
    return typeof node === 'object' && node !== null ? Object.keys(node) : []
  }
  return Object.assign((path: Path) => plainAt(document, path), { keys })
}

function besideOf(see: See, path: Path): SeeBeside {
  const parent = path.slice(0, Math.max(0, path.lastIndexOf('.')))
  return Object.assign((at: Path) => see(at), {
    at: path,
    keys: see.keys,
    beside: (key: string): unknown => see(parent === '' ? key : `${parent}.${key}`),
  })
}

function hold(conditions: readonly Condition[], see: See): boolean {
  return conditions.every(({ at, holds }) => holds(besideOf(see, at)))
}

/** The same for many places of one document: what they share is asked once. */
function holdingIn(see: See): (conditions: readonly Condition[]) => boolean {
  const asked = new Map<Condition, boolean>()
  const holdsOnce = (condition: Condition): boolean => {
    const known = asked.get(condition)
    if (known !== undefined) return known
    const found = condition.holds(besideOf(see, condition.at))
    asked.set(condition, found)
    return found
  }
  return (conditions) => conditions.every(holdsOnce)
}

/** Whether a fact has a field as the document stands. */
export function hasFieldIn(shape: Shape, document: unknown, path: Path): boolean {
  const place = placeAt(shape, path)
  return place !== null && hold(place.when, seeing(document))
}

/**
 * Facts and choices of a document that were entered but that nobody has checked, by stage; left out what has no field,
 * what stands nowhere, and what belongs to a thing that nobody has begun.
 */
export function assumedIn(shape: Shape, document: unknown): ReadonlyMap<string, readonly Path[]> {
  const found = new Map<string, Path[]>()
  const holds = holdingIn(seeing(document))
  for (const path of guessesBelow(shape, document)) {
    const place = placeAt(shape, path)
    if (place === null || place.stage === '' || !holds(place.when) || !holds(place.begun)) continue
    const stage = found.get(place.stage)
    if (stage === undefined) found.set(place.stage, [path])
    else stage.push(path)
  }
  return found
}

/** Places of what was entered and that nobody has checked, below a part. Parts are never altered: each is searched once. */
const guesses = new WeakMap<object, readonly Path[]>()

function guessesBelow(shape: Shape | undefined, node: unknown): readonly Path[] {
  if (shape === undefined || !holdsFacts(shape) || typeof node !== 'object' || node === null) return NO_GUESS
  if (isFact(node)) return node.value !== null && node.origin === 'assumed' ? ITSELF : NO_GUESS
  if (isChoice(node)) return node.chosen !== null && node.origin === 'assumed' ? ITSELF : NO_GUESS
  const known = guesses.get(node)
  if (known !== undefined) return known
  const found = Object.entries(node).flatMap(([key, child]) =>
    guessesBelow(partAt(shape, key), child).map((path) => (path === '' ? key : `${key}.${path}`)),
  )
  if (isTold(shape)) guesses.set(node, found)
  return found
}

/** Whether facts or choices stand below a shape: plain rows, of which there may be thousands, hold none. */
const withFacts = new WeakMap<Shape, boolean>()

function holdsFacts(shape: Shape): boolean {
  const known = withFacts.get(shape)
  if (known !== undefined) return known
  const { is } = shape
  if (is.kind === 'late') return false
  const holds =
    is.kind === 'group'
      ? Object.values(is.parts).some(holdsFacts)
      : is.kind === 'many'
        ? holdsFacts(is.each)
        : is.kind !== 'plain'
  withFacts.set(shape, holds)
  return holds
}

const ITSELF: readonly Path[] = ['']
const NO_GUESS: readonly Path[] = []

/** Label of the fact or choice at a path, with what it belongs to: “Travel, X”; the path itself where there is none. */
export function labelIn(shape: Shape, document: unknown, path: Path): string {
  const keys = path.split('.')
  const is = shapeAt(shape, path)?.is
  const own = is !== undefined && 'spec' in is ? is.spec.label : path
  const see = seeing(document)
  let at: Shape | undefined = shape
  return keys.reduce((label, id, i) => {
    const list = at?.is
    at = at === undefined ? undefined : partAt(at, id)
    if (list?.kind !== 'many' || list.label === undefined) return label
    const thing = getAt(document, keys.slice(0, i + 1).join('.'))
    return thing === undefined ? label : list.label({ label, id, thing: thing as never, rest: keys.slice(i + 1), see })
  }, own)
}
