import { setAt, templateOf, type Fact, type Path } from '../core/bench'
import { PLACE_WORDS, placeShape, type PlaceFacts, type PlaceKind } from '../core/reach'
import { glassesShape, type GlassesFacts } from '../core/safety'
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
  const order = nextOrder(bench.safety.glasses)
  return editBench('eyewear to compare', (it) =>
    setAt(it, `safety.glasses.${newId()}`, templateOf(glassesShape, { order, name: `Pair ${order}` })),
  )
}

/** Changes plain words of a pair. */
export function setGlasses(id: string, part: Partial<Pick<GlassesFacts, 'name' | 'label' | 'proof' | 'certificate'>>): Told {
  if (part.name?.trim() === '') return told('It needs a name.')
  return editBench('a label', (it) => {
    const glasses = it.safety.glasses[id]
    return glasses === undefined ? it : setAt(it, `safety.glasses.${id}`, { ...glasses, ...unproved(glasses, part), ...part })
  })
}

/** Another label has not been looked at yet: a mark or a certificate stood behind the one before. A seller's word stays one. */
function unproved({ label, proof }: GlassesFacts, part: Partial<GlassesFacts>): Partial<GlassesFacts> {
  return part.label === undefined || part.label === label || proof === 'seller' ? {} : { proof: 'unsaid' }
}

/** Copies a label onto the pair that is worn; where none is, it is a new pair, and worn. */
export function setWornLabel(label: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { worn, glasses } = bench.safety
  if (glasses[worn] !== undefined) return setGlasses(worn, { label })
  const id = newId()
  const order = nextOrder(glasses)
  return editBench('eyewear by its label', (it) =>
    setAt(
      setAt(it, `safety.glasses.${id}`, templateOf(glassesShape, { order, name: `Pair ${order}`, label })),
      'safety.worn',
      id,
    ),
  )
}

/** Says that a pair is worn: its label, at the wavelength of the day, is what the bench is judged by. */
export function wearGlasses(id: string): Told {
  return pointAt('worn', id, 'wearing')
}

/** Says that a label is the window's: what it comes to at the wavelength of the day is what the box is judged by. */
export function lookThrough(id: string): Told {
  return pointAt('window', id, 'as the window:')
}

function pointAt(which: 'worn' | 'window', id: string, words: string): Told {
  const glasses = useBenchStore.getState().bench?.safety.glasses[id]
  if (glasses === undefined) return told('This pair is no longer there.')
  return editBench(`${words} ${glasses.name}`, (it) => setAt(it, `safety.${which}`, id))
}

/** Takes a place or a pair away. @param at Its path. */
export function removeOfReach(at: Path, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}
