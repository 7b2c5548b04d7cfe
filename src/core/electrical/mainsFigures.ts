import { figureOf, NotYet, type View } from '../bench'
import type { MotionBench } from '../motion'
import { roleOf } from './blocks'
import { reservoir } from './filter'
import { blockOf, converterInput, feederOf, railState, sourceAmps, sourceVolts } from './railFigures'
import type { ElectricalBench } from './slice'
import { aConverter, aMains, aSource, aSupply } from './subjects'

type WiredBench = ElectricalBench & MotionBench
const figure = figureOf<WiredBench>()

/** What hangs on an inlet or a strip: along mains wires, through contacts and further strips. */
function onMains(view: View<WiredBench>, from: string): readonly string[] {
  const wires = Object.keys(view.bench.electrical.wires).flatMap((id) => {
    const wire = view.bench.electrical.wires[id]
    return wire?.kind === 'mains' ? [wire] : []
  })
  const reached = [from]
  for (const at of reached) {
    for (const { from: begin, to } of wires) {
      if (begin === at && !reached.includes(to) && view.bench.electrical.blocks[to] !== undefined) reached.push(to)
    }
  }
  return reached.slice(1)
}

export const supplyInput = figure({
  id: 'electrical.supplyInput',
  of: aSupply,
  label: 'Takes from the mains',
  quantity: 'power',
  formula: 'P = \\dfrac{\\v{V}\\cdot \\v{I}}{\\v{\\eta}}',
  symbols: {
    V: '=electrical.sourceVolts|{0}',
    I: '=electrical.sourceAmps|{0}',
    '\\eta': 'electrical.blocks.{0}.efficiency',
  },
  source: 'Balance of power over a supply.',
  doubt: 'nudge',
  work: (view, id: string): number => (view.figure(sourceVolts, id) * view.figure(sourceAmps, id)) / blockOf(view, id).efficiency,
})

export const stripAmps = figure({
  id: 'electrical.stripAmps',
  of: aMains,
  label: 'Passes at the worst moment',
  quantity: 'current',
  formula: 'I = \\sum \\dfrac{P}{\\lambda\\, V} + \\sum I_k',
  symbols: {},
  source: 'Apparent current of each supply, P over V times its power factor, all in phase: not less than the true sum.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { volts } = blockOf(view, id)
    const taken = onMains(view, id).map((it): number => {
      const block = blockOf(view, it)
      if (roleOf(block.kind) === 'source') return view.figure(supplyInput, it) / (block.powerFactor * volts)
      return roleOf(block.kind) === 'load' ? block.amps : 0
    })
    if (taken.length === 0) throw new NotYet('lead a mains wire from it to what it feeds')
    return taken.reduce((sum, it) => sum + it, 0)
  },
})

export const stripRoom = figure({
  id: 'electrical.stripRoom',
  of: aMains,
  label: 'Share of its amps to spare',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 1 - \\dfrac{\\v{I}}{\\v{I_r}}',
  symbols: { I: '=electrical.stripAmps|{0}', I_r: 'electrical.blocks.{0}.amps' },
  source: 'By definition; a fifth to spare is good (common practice).',
  doubt: 'nudge',
  work: (view, id: string): number => 1 - view.figure(stripAmps, id) / blockOf(view, id).amps,
})

export const stripInrush = figure({
  id: 'electrical.stripInrush',
  of: aMains,
  label: 'Inrush when all is switched on at once',
  quantity: 'current',
  formula: 'I = \\sum I_0',
  symbols: {},
  source: 'Sum of what the labels say: all peaks together, the worst case.',
  doubt: 'nudge',
  work(view, id: string): number {
    const supplies = onMains(view, id).filter((it) => roleOf(blockOf(view, it).kind) === 'source')
    if (supplies.length === 0) throw new NotYet('lead a mains wire from it to a supply')
    return supplies.reduce((sum, it) => sum + blockOf(view, it).inrush, 0)
  },
})

/** A breaker of type B lets three times its amps pass for a moment. Source: IEC 60898-1 (from memory). */
const AT_ONCE = 3

export const inrushRoom = figure({
  id: 'electrical.inrushRoom',
  of: aMains,
  label: 'Inrush below what trips its breaker by',
  quantity: 'current',
  formula: 'm = 3\\,\\v{I_r} - \\v{I}',
  symbols: { I_r: 'electrical.blocks.{0}.amps', I: '=electrical.stripInrush|{0}' },
  source: 'IEC 60898-1, type B: trips at once from three to five times its amps (from memory).',
  doubt: 'nudge',
  work: (view, id: string): number => AT_ONCE * blockOf(view, id).amps - view.figure(stripInrush, id),
})

export const converterAmps = figure({
  id: 'electrical.converterAmps',
  of: aConverter,
  label: 'Asks of the rail before it',
  quantity: 'current',
  formula: 'I = \\dfrac{\\v{P}}{V}',
  symbols: { P: '=electrical.converterInput|{0}' },
  source: 'Power over the voltage that reaches it.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.figure(converterInput, id) / (view.figure(railState, feederOf(view, id)).volts.get(id) ?? Number.NaN),
})

export const reservoirNeeded = figure({
  id: 'electrical.reservoirNeeded',
  of: aSource,
  label: 'Capacitor that holds it up',
  quantity: 'capacitance',
  show: { metric: 'mF', inch: 'mF' },
  formula: 'C = \\dfrac{\\v{I}\\cdot \\v{t}}{\\v{U}}',
  symbols: { I: '=electrical.sourceAmps|{0}', t: 'electrical.blocks.{0}.gap', U: 'electrical.blocks.{0}.sag' },
  source: 'Charge of a capacitor at a constant current.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { gap, sag } = blockOf(view, id)
    return reservoir(view.figure(sourceAmps, id), gap, sag)
  },
})
