import { setAt, templateOf, type Fact, type Path } from '../core/bench'
import {
  glassesShape,
  labelAt,
  PLACE_WORDS,
  placeShape,
  readLabel,
  type GlassesFacts,
  type LabelAt,
  type PlaceFacts,
  type PlaceKind,
} from '../core/reach'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { nextOrder } from './rotary'
import { NO_BENCH, told, type Told } from './told'

/** Names that places are first called by. */
const CALLED: Readonly<Record<PlaceKind, string>> = { seat: 'Seat', door: 'Door', path: 'Way past', pane: 'Pane' }
/** Eyes of those who sit, and of those who stand, m. (common practice) */
const EYES: Readonly<Record<PlaceKind, string>> = { seat: '1.2', door: '1.6', path: '1.6', pane: '1.6' }

const guessedM = (typed: string, a: number): Fact => ({
  value: Number(typed) * 1000,
  typed,
  typedUnit: 'm',
  origin: 'assumed',
  doubt: { kind: 'halfWidth', a },
})

/** Adds a place where eyes can be. */
export function addPlace(kind: PlaceKind): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const same = Object.values(bench.reach.places).filter((it) => it.kind === kind).length
  const place = templateOf(placeShape, {
    order: nextOrder(bench.reach.places),
    kind,
    name: same === 0 ? CALLED[kind] : `${CALLED[kind]} ${same + 1}`,
    eyes: guessedM(EYES[kind], 200),
  })
  return editBench(`a place: ${PLACE_WORDS[kind]}`, (it) => setAt(it, `reach.places.${newId()}`, place))
}

/** Changes plain words of a place. */
export function setRoomPlace(id: string, part: Partial<Pick<PlaceFacts, 'name' | 'kind'>>): Told {
  if (part.name?.trim() === '') return told('A place needs a name.')
  return editBench('a place', (it) => {
    const place = it.reach.places[id]
    return place === undefined ? it : setAt(it, `reach.places.${id}`, { ...place, ...part })
  })
}

/** Adds a pair of glasses, or a window, to be held against both tests. */
export function addGlasses(): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const order = nextOrder(bench.reach.glasses)
  return editBench('eyewear to compare', (it) =>
    setAt(it, `reach.glasses.${newId()}`, templateOf(glassesShape, { order, name: `Pair ${order}` })),
  )
}

/** Changes name or label of a pair. */
export function setGlasses(id: string, part: Partial<Pick<GlassesFacts, 'name' | 'label'>>): Told {
  if (part.name?.trim() === '') return told('It needs a name.')
  return editBench('a label', (it) => {
    const glasses = it.reach.glasses[id]
    return glasses === undefined ? it : setAt(it, `reach.glasses.${id}`, { ...glasses, ...part })
  })
}

const byLabel = (value: number, typedUnit: Fact['typedUnit']): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})

/** What a label comes to at the wavelength of the diode, with its name; or what stands in the way. */
function labelNow(id: string): (LabelAt & { readonly name: string }) | Told {
  const { bench } = useBenchStore.getState()
  const glasses = bench?.reach.glasses[id]
  if (bench === null || glasses === undefined) return NO_BENCH
  const wavelength = bench.optics.wavelength.value
  if (wavelength === null) return told('Enter the wavelength of the diode first: a label is read at one.')
  return { name: glasses.name, ...labelAt(readLabel(glasses.label), wavelength) }
}

/** Says that a pair is worn: what its label comes to at this wavelength is what the bench is judged by. */
export function wearGlasses(id: string): Told {
  const now = labelNow(id)
  if (!('density' in now)) return now
  return editBench(`wearing ${now.name}`, (it) =>
    setAt(setAt(it, 'safety.eyewearDensity', byLabel(now.density, 'OD')), 'safety.eyewearScale', byLabel(now.scale, 'count')),
  )
}

/** Says that a label is the window's: the density that it comes to at this wavelength is what the box is judged by. */
export function lookThrough(id: string): Told {
  const now = labelNow(id)
  if (!('density' in now)) return now
  return editBench(`${now.name} as the window`, (it) => setAt(it, 'housing.window.density', byLabel(now.density, 'OD')))
}

/** Takes a place or a pair away. @param at Its path. */
export function removeOfReach(at: Path, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}
