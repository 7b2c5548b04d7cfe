import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { inOrder } from './laid'
import type { AirBench } from './slice'

const figure = figureOf<AirBench>()

/** The bench, once a way of the air is laid. */
export const laidAir = subjectOf<AirBench>()('air that is laid', ({ air }): readonly [][] =>
  Object.keys(air.ways).length === 0 ? [] : [[]],
)

/** Whether any way leads outdoors: a flap there keeps the cold out. */
export const outdoorsAir = subjectOf<AirBench>()('way outdoors', ({ air }): readonly [][] =>
  Object.values(air.ways).some((it) => it.to === 'outdoors') ? [[]] : [],
)

/** What may be where the smoke is let go. */
const GOES = { outdoors: 1, carbon: 0, room: -1 } as const

export const goesOut = figure({
  id: 'air.goesOut',
  of: laidAir,
  label: 'Where the smoke is let go',
  quantity: 'ratio',
  formula: 'm',
  symbols: {},
  source: 'As it is laid: 1 outdoors, 0 into the room through carbon, −1 into the room as it is.',
  doubt: 'alternatives',
  work(view): number {
    // What comes from outdoors or out of the room carries no smoke yet.
    const ends = inOrder(view.bench.air.ways).filter(
      ([, it]) => (it.to === 'outdoors' || it.to === 'room') && it.from !== 'outdoors' && it.from !== 'room',
    )
    if (ends.length === 0) throw new NotYet('lay a way that leads outdoors')
    const worth = ends.map(([, way]) => {
      if (way.to === 'outdoors') return GOES.outdoors
      const isFiltered = Object.values(way.parts).some((it) => it.kind === 'filter' && it.holds === 'carbon')
      return isFiltered ? GOES.carbon : GOES.room
    })
    return Math.min(...worth)
  },
})

/** What burns where the duct is nearest to the work: 1 nothing. */
export const metalNear = figure({
  id: 'air.metalNear',
  of: laidAir,
  label: 'First duct from the work',
  quantity: 'ratio',
  formula: 'm',
  symbols: {},
  source: 'As it is laid: 1 metal, 0 plastic (common practice).',
  doubt: 'alternatives',
  work(view): number {
    const first = inOrder(view.bench.air.ways).find(([, it]) => it.from === 'box')?.[1]
    if (first === undefined) throw new NotYet('lay the way that begins where the smoke is caught')
    const duct = inOrder(first.parts).find(([, it]) => it.kind === 'duct')?.[1]
    if (duct === undefined) return 1
    return duct.wall === 'metal' || duct.wall === 'foil' ? 1 : 0
  },
})

/** How many parts of a kind stand in the ways that smoke takes. */
function countOf(view: View<AirBench>, kind: 'flap' | 'grille'): number {
  return Object.values(view.bench.air.ways)
    .filter((it) => it.to !== 'box')
    .flatMap((it) => Object.values(it.parts))
    .filter((it) => it.kind === kind).length
}

export const flaps = figure({
  id: 'air.flaps',
  of: outdoorsAir,
  label: 'Flaps against cold air coming back',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'Counted.',
  doubt: 'alternatives',
  work: (view): number => countOf(view, 'flap'),
})

export const grilles = figure({
  id: 'air.grilles',
  of: laidAir,
  label: 'Grilles that keep light pieces in',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'Counted.',
  doubt: 'alternatives',
  work: (view): number => countOf(view, 'grille'),
})

/** Whether something that burns in the room may be starved of air. */
export const burnsInRoom = figure({
  id: 'air.burnsInRoom',
  of: laidAir,
  label: 'Something that burns in the room',
  quantity: 'ratio',
  formula: 'm',
  symbols: {},
  source: 'As it was said: 1 nothing, or tried by a professional with the fan running; −1 there is something.',
  doubt: 'alternatives',
  work: (view): number => (view.bench.air.room.appliance === 'there' ? -1 : 1),
})

/** How the smoke trial went. */
export const smokeTrial = figure({
  id: 'air.smokeTrial',
  of: laidAir,
  label: 'Smoke trial',
  quantity: 'ratio',
  formula: 'm',
  symbols: {},
  source: 'As it was seen: 1 drawn in everywhere, 0 lingers, −1 comes out.',
  doubt: 'alternatives',
  work: (view): number => ({ in: 1, lingers: 0, out: -1 })[view.bench.air.smoke],
})
