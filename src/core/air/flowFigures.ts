import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { insideVolume, type HousingView } from '../housing'
import { clearTime, faceVelocity, guardedArea, openHoodFlow } from './box'
import { inOrder, laidWay, networkOf, openingsOf, openingWay, type LaidWay, type Opening } from './laid'
import { solveAir, type AirNetwork, type AirSolution } from './network'
import { leakRead } from './readFigures'
import type { AirBench } from './slice'

export type AirView = AirBench & HousingView
const figure = figureOf<AirView>()
/** Air is told in m/s, or in ft/min. */
export const M_PER_S = { metric: 'm/s', inch: 'ft/min' } as const

/** Every way of the air that is laid. */
export const aWay = subjectOf<AirBench>()('way of the air', ({ air }) => inOrder(air.ways).map(([id]): [wayId: string] => [id]))

/** Every part of every way. */
export const aPart = subjectOf<AirBench>()('part of a way', ({ air }) =>
  inOrder(air.ways).flatMap(([way, { parts }]) => inOrder(parts).map(([id]): [wayId: string, partId: string] => [way, id])),
)

/** The way that the smoke goes first: the first that begins where it is caught. */
export const smokeWay = subjectOf<AirBench>()('way of the smoke', ({ air }) =>
  inOrder(air.ways)
    .filter(([, it]) => it.from === 'box')
    .slice(0, 1)
    .map(([id]): [wayId: string] => [id]),
)

/** The way whose fan is looked at: the one that is shown, else the first that has a fan and leads away from the box. */
export const fanWay = subjectOf<AirBench>()('way of the fan', ({ air }) => {
  const withFan = inOrder(air.ways).filter(([, { parts }]) => Object.values(parts).some((it) => it.kind === 'fan'))
  const found = withFan.find(([id]) => id === air.shown) ?? withFan.find(([, it]) => it.to !== 'box') ?? withFan[0]
  return found === undefined ? [] : [[found[0]] as [wayId: string]]
})

const OPENINGS = {
  box: ['gaps', 'inlet'],
  hood: ['foot'],
  table: ['holes'],
  mouth: ['mouth'],
} as const

/** Every opening where smoke is caught. */
export const anOpening = subjectOf<AirBench>()('opening', ({ air }): readonly [opening: string][] => {
  const { chosen } = air.box.caught
  const isShut = air.box.inlet.value === 0
  return chosen === null ? [] : OPENINGS[chosen].filter((it) => it !== 'inlet' || !isShut).map((it): [string] => [it])
})

/** An open mouth, which draws from a distance. */
export const aMouth = subjectOf<AirBench>()('open mouth', ({ air }): readonly [][] =>
  air.box.caught.chosen === 'mouth' ? [[]] : [],
)

/** A box or a hood, which has to clear. */
export const aBox = subjectOf<AirBench>()('box that clears', ({ air }): readonly [][] =>
  air.box.caught.chosen === 'box' || air.box.caught.chosen === 'hood' ? [[]] : [],
)

export const gapsOf = figure({
  id: 'air.gaps',
  label: 'Gaps of the box',
  quantity: 'area',
  formula: 'A',
  symbols: {},
  source: 'As typed, or as it follows from what was read.',
  doubt: 'nudge',
  work: (view): number => (view.bench.air.gapsBy === 'readings' ? view.figure(leakRead).value : view.bench.air.box.gaps),
})

export const openArea = figure({
  id: 'air.openArea',
  label: 'Open where smoke is caught',
  quantity: 'area',
  formula: 'A = \\sum A_i',
  symbols: {},
  source: 'By definition: gaps and inlet of a box, the gap at the foot of a hood, holes that are not covered, a mouth.',
  doubt: 'nudge',
  work: (view): number => openingsOf(view, () => view.figure(gapsOf)).reduce((sum, it) => sum + it.area, 0),
})

/** How the air goes through what is laid. */
export interface SettledAir {
  readonly ways: Readonly<Record<string, LaidWay>>
  readonly network: AirNetwork
  readonly openings: readonly Opening[]
  readonly solution: AirSolution
  /** Whether every number of it was entered; else nothing of it counts. */
  readonly isWhole: boolean
}

const lowerFirst = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1)

export const wayLaid = figure({
  id: 'air.wayLaid',
  of: aWay,
  label: 'Its parts as they are laid',
  quantity: 'pressure',
  formula: '\\Delta p(Q)',
  symbols: {},
  source: 'Ducts, fittings and steps between them by velocity pressures; fans by their curves.',
  doubt: { none: 'a list of parts; each has its own ±' },
  work(view, id: string): LaidWay {
    const way = view.bench.air.ways[id]
    if (way === undefined) throw new NotYet('this way is no longer there')
    return laidWay(way)
  },
})

/** All that the air does follows from this one solution, so that a fact that is moved is solved once for all of them. */
export const settled = figure({
  id: 'air.settled',
  label: 'The air as it settles',
  quantity: 'flow',
  formula: '\\sum Q = 0,\\quad \\sum \\Delta p = 0',
  symbols: {},
  source: 'Kirchhoff’s laws over ducts (Darcy–Weisbach, Colebrook 1939), fittings and the curves of fans.',
  doubt: { none: 'a whole network; what is read of it has its own ±' },
  work(view): SettledAir {
    if (Object.keys(view.bench.air.ways).length === 0)
      throw new NotYet('lay the way of the air: a fan, and the duct it blows through')
    const openings = openingsOf(view, () => view.figure(gapsOf))
    const ways = Object.fromEntries(inOrder(view.bench.air.ways).map(([id]) => [id, view.figure(wayLaid, id)]))
    const network = networkOf(view, ways, openings)
    const laid = { ways, network, openings }
    // A number that is missing makes all of it unknown; the engine names it.
    if (JSON.stringify(network).includes('null')) return { ...laid, solution: { pressures: {}, flows: {} }, isWhole: false }
    const found = solveAir(network)
    if (!found.ok) throw new NotYet(lowerFirst(found.findings[0]?.message ?? 'the flows do not settle'))
    return { ...laid, solution: found.value, isWhole: true }
  },
})

/** Flows, m³/s, and pressures against outdoors, Pa, of the air as it settles; NaN for a flow that is not known. Valid: ways and places of the network. Source: `settled`. */
export function airIn(view: View<AirView>) {
  const { flows, pressures } = view.figure(settled).solution
  return {
    flow: (way: string): number => flows[way] ?? Number.NaN,
    pressure: (place: string): number => pressures[place] ?? 0,
  }
}

const flowIn = (view: View<AirView>, way: string): number => airIn(view).flow(way)
const pressureIn = (view: View<AirView>, place: string): number => airIn(view).pressure(place)

/** A way as it is laid. @throws {NotYet} where it is gone. */
export function wayIn(view: View<AirView>, way: string): LaidWay {
  const found = view.figure(settled).ways[way]
  if (found === undefined) throw new NotYet('this way is no longer there')
  return found
}

export const flowOfWay = figure({
  id: 'air.flow',
  of: aWay,
  label: 'Flow',
  quantity: 'flow',
  signs: { above: 'forwards', below: 'backwards' },
  formula: '\\sum Q = 0,\\quad \\sum \\Delta p = 0',
  symbols: {},
  source: 'Kirchhoff’s laws over ducts (Darcy–Weisbach, Colebrook 1939), fittings and the curves of fans.',
  doubt: 'nudge',
  work: flowIn,
})

export const below = figure({
  id: 'air.below',
  label: 'Where smoke is caught, against the room',
  quantity: 'pressure',
  signs: { above: 'below it by', below: 'above it by' },
  formula: '\\Delta p = p_\\mathrm{room} - p_\\mathrm{box}',
  symbols: {},
  source: 'Kirchhoff’s laws.',
  doubt: 'nudge',
  work: (view): number => pressureIn(view, 'room') - pressureIn(view, 'box'),
})

export const inward = figure({
  id: 'air.inward',
  of: anOpening,
  label: 'Mean velocity of the air',
  quantity: 'speed',
  show: M_PER_S,
  signs: { above: 'inwards', below: 'outwards' },
  formula: 'v = \\dfrac{Q}{A}',
  symbols: {},
  source: 'Continuity.',
  doubt: 'nudge',
  work(view, id: string): number {
    const found = view.figure(settled).openings.find((it) => it.id === id)
    if (found === undefined) throw new NotYet('nothing can come in there: say how large it is')
    return 1000 * faceVelocity(flowIn(view, openingWay(id)), found.area)
  },
})

export const openingFlow = figure({
  id: 'air.openingFlow',
  of: anOpening,
  label: 'Flow that comes in',
  quantity: 'flow',
  signs: { above: 'inwards', below: 'outwards' },
  formula: 'Q = C A\\sqrt{2\\Delta p/\\rho}',
  symbols: {},
  source: 'Orifice, C = 0.61 (from memory); turns of a baffle as mitred bends.',
  doubt: 'nudge',
  work: (view, id: string): number => flowIn(view, openingWay(id)),
})

export const inwardRoom = figure({
  id: 'air.inwardRoom',
  of: anOpening,
  label: 'Beyond what is wanted',
  quantity: 'speed',
  show: M_PER_S,
  signs: { above: 'faster by', below: 'slower by' },
  formula: 'm = \\v{v} - \\v{w}',
  symbols: { v: '=air.inward|{0}', w: 'air.wanted.inward' },
  source: '0.4 to 0.6 m/s inwards at every opening of an enclosing hood (ACGIH, from memory).',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(inward, id) - view.bench.air.wanted.inward,
})

export const guarded = figure({
  id: 'air.guarded',
  of: smokeWay,
  label: 'Openings that this flow can guard',
  quantity: 'area',
  formula: 'A = \\dfrac{\\v{Q}}{\\v{w}}',
  symbols: { Q: '=air.flow|{0}', w: 'air.wanted.inward' },
  source: 'Continuity.',
  doubt: 'nudge',
  work: (view, way: string): number => guardedArea(Math.max(0, view.figure(flowOfWay, way)), view.bench.air.wanted.inward / 1000),
})

export const mouthNeeds = figure({
  id: 'air.mouthNeeds',
  of: aMouth,
  label: 'Flow that the mouth needs, to draw from the spot',
  quantity: 'flow',
  formula: 'Q = c\\,\\v{w}\\,(10\\,\\v{x}^2 + \\v{A})',
  symbols: { w: 'air.wanted.inward', x: 'air.box.mouthAway', A: 'air.box.mouth' },
  source: 'Dalla Valle; c = 0.75 with a rim, 1 without (ACGIH, from memory).',
  doubt: 'nudge',
  work(view): number {
    const { mouth, mouthAway, rim } = view.bench.air.box
    return openHoodFlow(view.bench.air.wanted.inward / 1000, mouthAway, mouth, rim === 'flanged')
  },
})

export const mouthRoom = figure({
  id: 'air.mouthRoom',
  of: aMouth,
  label: 'Flow against what the mouth needs',
  quantity: 'flow',
  signs: { above: 'more by', below: 'short by' },
  formula: 'm = Q - \\v{n}',
  symbols: { n: '=air.mouthNeeds' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => flowIn(view, openingWay('mouth')) - view.figure(mouthNeeds),
})

export const boxRoom = figure({
  id: 'air.boxRoom',
  of: aBox,
  label: 'Room in the box',
  quantity: 'volume',
  formula: 'V',
  symbols: {},
  source: 'As typed; else the inside of the housing.',
  doubt: 'nudge',
  work: (view): number => (Number.isNaN(view.asEntered.air.box.volume) ? view.figure(insideVolume) : view.bench.air.box.volume),
})

export const clears = figure({
  id: 'air.clears',
  of: aBox,
  label: 'Time to clear, to a hundredth',
  quantity: 'time',
  formula: 't = \\dfrac{\\v{K}\\,\\v{V}\\,\\ln 100}{Q}',
  symbols: { K: 'air.box.mixing', V: '=air.boxRoom' },
  source: 'Dilution; K is 1 where all of it mixes, 3 to 10 is usual (ACGIH, from memory).',
  doubt: 'nudge',
  work(view): number {
    const { mixing } = view.bench.air.box
    const volume = view.figure(boxRoom)
    const { network, solution } = view.figure(settled)
    const flow = network.branches
      .filter((it) => it.to === 'box')
      .reduce((sum, it) => sum + Math.max(0, solution.flows[it.id] ?? Number.NaN), 0)
    if (Number.isNaN(flow + mixing + volume)) return Number.NaN
    if (flow <= 0) throw new NotYet('no air comes in: look at what is open, and at the fan')
    return clearTime(volume, flow, mixing, 0.01)
  },
})

export const clearRoom = figure({
  id: 'air.clearRoom',
  of: aBox,
  label: 'Sooner than wanted by',
  quantity: 'time',
  signs: { above: 'sooner by', below: 'later by' },
  formula: 'm = \\v{w} - \\v{t}',
  symbols: { w: 'air.wanted.clearIn', t: '=air.clears' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.bench.air.wanted.clearIn - view.figure(clears),
})

export const roomBelow = figure({
  id: 'air.roomBelow',
  label: 'The room, against outdoors',
  quantity: 'pressure',
  signs: { above: 'below it by', below: 'above it by' },
  formula: '\\Delta p = \\dfrac{\\rho}{2}\\left(\\dfrac{Q}{C\\,\\v{A}}\\right)^2',
  symbols: { A: 'air.room.supply' },
  source: 'Orifice, C = 0.61 (from memory); Q what leaves the room.',
  doubt: 'nudge',
  work: (view): number => -pressureIn(view, 'room'),
})

/** Below outdoors by more than this a room draws air down its chimneys, Pa. (common practice) */
const ROOM_LIMIT = 4

export const roomRoom = figure({
  id: 'air.roomRoom',
  label: 'Room to the limit for a room',
  quantity: 'pressure',
  formula: 'm = 4\\,\\text{Pa} - \\v{p}',
  symbols: { p: '=air.roomBelow' },
  source: '4 Pa, as for rooms with open flues (common practice).',
  doubt: 'nudge',
  work: (view): number => ROOM_LIMIT - view.figure(roomBelow),
})
