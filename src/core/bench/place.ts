import { eachFact, getAt, plainAt, type Path } from './path'
import { isChoice, isFact } from './fact'
import { partAt, shapeAt, type Shape } from './shape'
import type { Placed, See, SeeBeside, When } from './when'

/** Where a fact stands, with all that must hold for it to stand there. */
export interface Place {
  readonly stage: string
  readonly part: string | null
  readonly cell: string | null
  /** Each with the place it is asked from. */
  readonly when: readonly Condition[]
  readonly begun: readonly Condition[]
}

interface Condition {
  readonly at: Path
  readonly holds: When
}

const NOWHERE: Place = { stage: '', part: null, cell: null, when: [], begun: [] }

/** Places are asked for at every drawing, and shapes never change. */
const known = new WeakMap<Shape, Map<Path, Place | null>>()

/** The place of what stands at a path of a shape: what it says itself, else what it stands in; null where nothing does. */
export function placeAt(shape: Shape, path: Path): Place | null {
  const places = known.get(shape) ?? new Map<Path, Place | null>()
  known.set(shape, places)
  const found = places.get(path)
  if (found !== undefined) return found
  const made = placeOf(shape, path)
  places.set(path, made)
  return made
}

function placeOf(shape: Shape, path: Path): Place | null {
  let place = placedIn(NOWHERE, shape, '')
  let at: Shape | undefined = shape
  const gone: string[] = []
  for (const key of path.split('.')) {
    at = partAt(at, key)
    if (at === undefined) return null
    gone.push(key)
    place = placedIn(place, at, gone.join('.'))
  }
  return place
}

function placedIn(place: Place, { is }: Shape, at: Path): Place {
  if (is.kind === 'plain') return place
  const { stage, part, cell, when, begun }: Placed = 'spec' in is ? is.spec : is.placed
  const moved = stage !== undefined && stage !== place.stage
  return {
    stage: stage ?? place.stage,
    part: part ?? (moved ? null : place.part),
    cell: cell ?? place.cell,
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
    keys: see.keys,
    beside: (key: string): unknown => see(parent === '' ? key : `${parent}.${key}`),
  })
}

function hold(conditions: readonly Condition[], see: See): boolean {
  return conditions.every(({ at, holds }) => holds(besideOf(see, at)))
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
  const see = seeing(document)
  eachFact(document, (path, node) => {
    const entered = (isFact(node) && node.value !== null) || (isChoice(node) && node.chosen !== null)
    if (!entered || node.origin !== 'assumed') return
    const place = placeAt(shape, path)
    if (place === null || place.stage === '' || !hold(place.when, see) || !hold(place.begun, see)) return
    const stage = found.get(place.stage)
    if (stage === undefined) found.set(place.stage, [path])
    else stage.push(path)
  })
  return found
}

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
