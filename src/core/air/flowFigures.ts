import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { SMOKE_DUCT, clearTime, faceVelocity, guardedArea, levelsTogether, openHoodFlow } from './box'
import { insideVolume, type HousingView } from '../housing'
import { changesThatHelp, type AirChange } from './changes'
import { ductVelocity } from './duct'
import { fanFlow, fanPressure, type FanCurve } from './fan'
import { inOrder, laidWay, networkOf, openingsOf, openingWay, type LaidWay, type Opening } from './laid'
import { ductNeeds, solveAir, type AirNetwork, type AirSolution } from './network'
import { partGain } from './parts'
import { leakRead } from './readFigures'
import type { AirBench } from './slice'

export type AirView = AirBench & HousingView
const figure = figureOf<AirView>()
const M_PER_S = { metric: 'm/s', inch: 'ft/min' } as const

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

const flowIn = (view: View<AirView>, way: string): number => view.figure(settled).solution.flows[way] ?? Number.NaN
const pressureIn = (view: View<AirView>, place: string): number => view.figure(settled).solution.pressures[place] ?? 0

/** A way as it is laid. @throws {NotYet} where it is gone. */
function wayIn(view: View<AirView>, way: string): LaidWay {
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

/** Velocities in the round parts of a way, m/s. */
function velocitiesOf(view: View<AirView>, way: string): readonly number[] {
  const flow = flowIn(view, way)
  const { name, parts } = wayIn(view, way)
  const pipes = parts.filter((it) => it.kind === 'duct')
  if (pipes.length === 0) throw new NotYet(`“${name}” has no duct in it`)
  return pipes.map((it) => Math.abs(ductVelocity(flow, it.enters ?? Number.NaN)))
}

export const slowest = figure({
  id: 'air.slowest',
  of: smokeWay,
  label: 'Slowest in its duct',
  quantity: 'speed',
  show: M_PER_S,
  formula: 'v = \\dfrac{4\\,\\v{Q}}{\\pi D^2}',
  symbols: { Q: '=air.flow|{0}' },
  source: 'Continuity; D the widest duct of the way.',
  doubt: 'nudge',
  work: (view, way: string): number => 1000 * Math.min(...velocitiesOf(view, way)),
})

export const fastest = figure({
  id: 'air.fastest',
  of: smokeWay,
  label: 'Fastest in its duct',
  quantity: 'speed',
  show: M_PER_S,
  formula: 'v = \\dfrac{4\\,\\v{Q}}{\\pi D^2}',
  symbols: { Q: '=air.flow|{0}' },
  source: 'Continuity; D the narrowest duct of the way.',
  doubt: 'nudge',
  work: (view, way: string): number => 1000 * Math.max(...velocitiesOf(view, way)),
})

/** Fans of a way as they stand one after the other. */
function fansOf(view: View<AirView>, way: string): readonly FanCurve[] {
  const curves = wayIn(view, way).parts.flatMap((it) => it.parts.flatMap((part) => (part.kind === 'fan' ? [part.curve] : [])))
  if (curves.length === 0) throw new NotYet('put a fan into this way')
  return curves
}

export const fanGives = figure({
  id: 'air.fanGives',
  of: fanWay,
  label: 'Static pressure that the fan gives there',
  quantity: 'pressure',
  formula: 'p = p_\\mathrm{fan}(\\v{Q})',
  symbols: { Q: '=air.flow|{0}' },
  source: 'The fan’s curve where it meets the duct’s.',
  doubt: 'nudge',
  work: (view, way: string): number =>
    fansOf(view, way).reduce((sum, it) => sum + fanPressure(it, view.figure(flowOfWay, way)), 0),
})

export const shareLeft = figure({
  id: 'air.shareLeft',
  of: fanWay,
  label: 'Of its flow into free air there is left',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = \\dfrac{\\v{Q}}{Q_0}',
  symbols: { Q: '=air.flow|{0}' },
  source: 'By definition; Q₀ the flow into free air, as a label says it.',
  doubt: 'nudge',
  work: (view, way: string): number => view.figure(flowOfWay, way) / Math.min(...fansOf(view, way).map((it) => fanFlow(it, 0))),
})

export const noise = figure({
  id: 'air.noise',
  of: fanWay,
  label: 'Noise of all fans together, 1 m away',
  quantity: 'level',
  formula: 'L = 10\\log_{10}\\sum 10^{L_i/10},\\quad L_i = L_{100} + 50\\log_{10} n + 10\\log_{10} z',
  symbols: {},
  source: 'Fan laws: 50 dB for each tenfold of speed n, z fans side by side (from memory); energies add.',
  doubt: 'nudge',
  work: (view): number => {
    const fans = Object.values(view.bench.air.ways).flatMap((way) => Object.values(way.parts).filter((it) => it.kind === 'fan'))
    return levelsTogether(fans.map((it) => it.noise + 50 * Math.log10(it.speed) + 10 * Math.log10(it.beside)))
  },
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

export const partTakes = figure({
  id: 'air.partTakes',
  of: aPart,
  label: 'Pressure',
  quantity: 'pressure',
  signs: { above: 'takes', below: 'gives' },
  formula: '\\Delta p = \\sum K\\dfrac{\\rho v^2}{2}',
  symbols: {},
  source: 'Darcy–Weisbach, fittings by velocity pressures, a step before it counted; of a fan its curve.',
  doubt: 'nudge',
  work(view, way: string, part: string): number {
    const flow = flowIn(view, way)
    const found = wayIn(view, way).parts.find((it) => it.id === part)
    if (found === undefined) throw new NotYet('this part is no longer there')
    if (Number.isNaN(flow)) return Number.NaN
    return -found.parts.reduce((sum, it) => sum + partGain(it, flow), 0)
  },
})

/** A place along a way. */
export interface AirJoint {
  readonly part: string
  /** m/s behind the part; null where no part has said a diameter yet. */
  readonly velocity: number | null
  /** Pa against outdoors, before and behind it. */
  readonly before: number
  readonly behind: number
}

export const joints = figure({
  id: 'air.joints',
  of: aWay,
  label: 'Velocity and pressure along it',
  quantity: 'pressure',
  formula: 'p_i = p_{i-1} + \\Delta p_i',
  symbols: {},
  source: 'Kirchhoff’s laws.',
  doubt: { none: 'a picture; each part’s pressure has its own ±' },
  work(view, way: string): readonly AirJoint[] {
    const flow = flowIn(view, way)
    const { from, parts: rows } = wayIn(view, way)
    if (Number.isNaN(flow)) return []
    let behind = pressureIn(view, from)
    let diameter: number | null = null
    return rows.map(({ id, leaves, parts }) => {
      const before = behind
      behind = before + parts.reduce((sum, it) => sum + partGain(it, flow), 0)
      diameter = leaves ?? diameter
      return { part: id, velocity: diameter === null ? null : ductVelocity(flow, diameter), before, behind }
    })
  },
})

/** The fan's curve and the duct's, m³/s and Pa. */
export interface AirCurves {
  readonly fan: readonly (readonly [flow: number, pressure: number])[]
  readonly duct: readonly (readonly [flow: number, pressure: number])[]
}

/** Places at which the duct's curve is worked. */
const STEPS = 12

export const curves = figure({
  id: 'air.curves',
  of: fanWay,
  label: 'Fan and duct',
  quantity: 'pressure',
  formula: 'p_\\mathrm{fan}(Q) = p_\\mathrm{duct}(Q)',
  symbols: {},
  source: 'The duct’s own curve: the pressure that a fan would have to give for each flow.',
  doubt: { none: 'a picture; where the curves meet has its own ±' },
  work(view, way: string): AirCurves {
    const { network, isWhole } = view.figure(settled)
    const fans = fansOf(view, way)
    const most = Math.min(...fans.map((it) => fanFlow(it, 0)))
    if (!isWhole || Number.isNaN(most)) return { fan: [], duct: [] }
    const flows = Array.from({ length: STEPS + 1 }, (_, k) => (most * k) / STEPS)
    const bends = [...new Set([...flows, ...fans.flat().map((it) => it.flow)])].filter((it) => it <= most).sort((p, q) => p - q)
    const top = fans.reduce((sum, it) => sum + fanPressure(it, 0), 0)
    const duct = flows.flatMap((flow) => {
      const needs = ductNeeds(network, way, Math.max(flow, 1e-6))
      return needs.ok && needs.value < 1.3 * top ? [[flow, needs.value] as const] : []
    })
    return { fan: bends.map((flow) => [flow, fans.reduce((sum, it) => sum + fanPressure(it, flow), 0)] as const), duct }
  },
})

export const helps = figure({
  id: 'air.helps',
  of: smokeWay,
  label: 'What would help most',
  quantity: 'flow',
  formula: '\\Delta Q',
  symbols: {},
  source: 'The network worked again with each change.',
  doubt: { none: 'a list in its order; each is worked at the present values' },
  work(view, way: string): readonly (AirChange & { readonly partId: string })[] {
    const { network, ways, isWhole } = view.figure(settled)
    if (!isWhole) return []
    const leave = network.branches.filter((it) => ways[it.id] === undefined && it.id !== 'supply').map((it) => it.id)
    return changesThatHelp(network, way, leave).flatMap((it) => {
      const laid = ways[it.branch]
      if (laid === undefined) return it.branch === 'supply' ? [{ ...it, partId: '' }] : []
      const owner = ownerOf(laid, it.part)
      return owner === null ? [] : [{ ...it, partId: owner }]
    })
  },
})

/** Which laid part a part of the network belongs to. */
function ownerOf({ parts: rows }: LaidWay, index: number): string | null {
  let left = index
  for (const { id, parts } of rows) {
    if (left < parts.length) return id
    left -= parts.length
  }
  return null
}

/** Every way with a fan in it. */
export const aDriven = subjectOf<AirBench>()('way with a fan', ({ air }) =>
  inOrder(air.ways)
    .filter(([, { parts }]) => Object.values(parts).some((it) => it.kind === 'fan'))
    .map(([id]): [wayId: string] => [id]),
)

export const throughFan = figure({
  id: 'air.throughFan',
  of: aDriven,
  label: 'Through its fan',
  quantity: 'flow',
  signs: { above: 'forwards', below: 'backwards' },
  formula: '\\v{Q}',
  symbols: { Q: '=air.flow|{0}' },
  source: 'Kirchhoff’s laws.',
  doubt: 'nudge',
  work: (view, way: string): number => view.figure(flowOfWay, way),
})

/** Slower than this a duct lets smoke settle. */
export const carryRoom = figure({
  id: 'air.carryRoom',
  of: smokeWay,
  label: 'Beyond what carries smoke',
  quantity: 'speed',
  show: M_PER_S,
  signs: { above: 'faster by', below: 'slower by' },
  formula: 'm = \\v{v} - 5\\,\\text{m/s}',
  symbols: { v: '=air.slowest|{0}' },
  source: '5 to 10 m/s in a duct that carries smoke (common practice).',
  doubt: 'nudge',
  work: (view, way: string): number => view.figure(slowest, way) - 1000 * SMOKE_DUCT.least,
})

/** Faster than this a duct only takes pressure. */
export const rushRoom = figure({
  id: 'air.rushRoom',
  of: smokeWay,
  label: 'Below what only takes pressure',
  quantity: 'speed',
  show: M_PER_S,
  signs: { above: 'slower by', below: 'faster by' },
  formula: 'm = 10\\,\\text{m/s} - \\v{v}',
  symbols: { v: '=air.fastest|{0}' },
  source: '5 to 10 m/s in a duct that carries smoke (common practice).',
  doubt: 'nudge',
  work: (view, way: string): number => 1000 * SMOKE_DUCT.most - view.figure(fastest, way),
})

/** Level from which hearing is looked after over a day, dB. (Directive 2003/10/EC, lower action value, from memory) */
const LOUD = 80

export const quietRoom = figure({
  id: 'air.quietRoom',
  of: fanWay,
  label: 'Below what hearing is looked after from',
  quantity: 'level',
  signs: { above: 'quieter by', below: 'louder by' },
  formula: 'm = 80\\,\\text{dB} - \\v{L}',
  symbols: { L: '=air.noise|{0}' },
  source: '80 dB over a day (Directive 2003/10/EC, lower action value, from memory).',
  doubt: 'nudge',
  work: (view, way: string): number => LOUD - view.figure(noise, way),
})
