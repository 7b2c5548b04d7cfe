import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { levelsTogether, SMOKE_DUCT } from './box'
import { changesThatHelp, type AirChange } from './changes'
import { ductVelocity } from './duct'
import { fanFlow, fanPressure, type FanCurve } from './fan'
import { airIn, aPart, aWay, fanWay, flowOfWay, M_PER_S, settled, smokeWay, wayIn, type AirView } from './flowFigures'
import { inOrder, type LaidWay } from './laid'
import { ductNeeds } from './network'
import { partGain } from './parts'
import type { AirBench } from './slice'

const figure = figureOf<AirView>()

/** Velocities in the round parts of a way, m/s. */
function velocitiesOf(view: View<AirView>, way: string): readonly number[] {
  const flow = airIn(view).flow(way)
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
    const flow = airIn(view).flow(way)
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
    const flow = airIn(view).flow(way)
    const { from, parts: rows } = wayIn(view, way)
    if (Number.isNaN(flow)) return []
    let behind = airIn(view).pressure(from)
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
