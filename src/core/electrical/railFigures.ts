import { figureOf, NotYet, type View } from '../bench'
import type { MotionBench } from '../motion'
import { BLOCKS } from './blockKinds'
import { roleOf } from './blocks'
import { solveRail, type RailLoad, type RailState } from './network'
import type { ElectricalBench } from './slice'
import { aLoad, aRailWire, aSource } from './subjects'
import { carries, sectionOf, wireResistance } from './wire'
import { reachOf, wiringFindings, type WiredBlock, type WiredPair } from './wiring'

type WiredBench = ElectricalBench & MotionBench
const figure = figureOf<WiredBench>()

/** What the drawing joins; plain values of the bench. */
function wiringOf(view: View<WiredBench>): { readonly blocks: readonly WiredBlock[]; readonly wires: readonly WiredPair[] } {
  const { blocks, wires } = view.bench.electrical
  return {
    blocks: Object.keys(blocks).map((id) => ({ id, kind: blockOf(view, id).kind, name: blockOf(view, id).name })),
    wires: Object.keys(wires).map((id) => {
      const { from, to, kind } = wireOf(view, id)
      return { id, from, to, kind }
    }),
  }
}

/** A block as its facts stand. @throws {RangeError} where there is none of that id. */
export function blockOf(view: View<WiredBench>, id: string) {
  const block = view.bench.electrical.blocks[id]
  if (block === undefined) throw new RangeError(`there is no block ${id} on this bench`)
  return block
}

function wireOf(view: View<WiredBench>, id: string) {
  const wire = view.bench.electrical.wires[id]
  if (wire === undefined) throw new RangeError(`there is no wire ${id} on this bench`)
  return wire
}

export const sourceVolts = figure({
  id: 'electrical.sourceVolts',
  of: aSource,
  label: 'Voltage at the source',
  quantity: 'voltage',
  formula: 'V_0 = \\text{as its label says; of the motors, as Motion has it}',
  symbols: {},
  source: 'As entered; the supply of the motors is the one that Motion reckons with.',
  doubt: 'nudge',
  work(view, blockId: string): number {
    const block = blockOf(view, blockId)
    return block.kind === 'motorSupply' ? view.bench.motion.motorVoltage : block.volts
  },
})

/** What a block takes of its rail at the worst moment. */
function loadOf(view: View<WiredBench>, id: string): RailLoad {
  const block = blockOf(view, id)
  const { kind, name } = block
  switch (roleOf(kind)) {
    case 'converter':
      return { node: id, name, watts: view.figure(converterInput, id), amps: 0 }
    case 'load':
      return BLOCKS[kind].takes === 'watts'
        ? { node: id, name, watts: block.volts * block.amps, amps: 0 }
        : { node: id, name, watts: 0, amps: block.amps }
    default:
      return { node: id, name, watts: 0, amps: 0 }
  }
}

export const railState = figure({
  id: 'electrical.railState',
  of: aSource,
  label: 'The rail, solved',
  quantity: 'voltage',
  formula: '\\sum I = 0 \\text{ at each place}',
  symbols: {},
  source: 'Nodal analysis; loads of constant power on the branch of the higher voltage.',
  doubt: { none: 'A set of voltages and currents; each that is shown is a figure of its own.' },
  work(view, source: string): RailState {
    const { blocks, wires } = wiringOf(view)
    const reach = reachOf(source, blocks, wires)
    requireSound(reach.blocks, blocks, wires)
    const pairs = reach.wires.map(({ id, from, to }) => {
      const { length, gauge } = wireOf(view, id)
      return { id, from, to, ohms: 2 * wireResistance(length, sectionOf(gauge)) }
    })
    const loads = reach.blocks.slice(1).map((id) => loadOf(view, id))
    const volts = view.figure(sourceVolts, source)
    if ([volts, ...pairs.map((it) => it.ohms), ...loads.flatMap((it) => [it.watts, it.amps])].some(Number.isNaN)) {
      throw new NotYet('enter what the labels on this rail say')
    }
    const solved = solveRail({ source, volts, wires: pairs, loads })
    if (!solved.ok) throw new RangeError((solved.findings[0]?.message ?? 'the rail has no solution').replace(/\.$/, ''))
    return solved.value
  },
})

/** What to mend before a rail can be worked: two sources on it, or converters in a ring. @throws {NotYet} saying so. */
function requireSound(reached: readonly string[], blocks: readonly WiredBlock[], wires: readonly WiredPair[]): void {
  for (const { code, block } of wiringFindings(blocks, wires)) {
    if (block === undefined || !reached.includes(block)) continue
    const name = blocks.find((it) => it.id === block)?.name ?? ''
    if (code === 'two-sources') throw new NotYet(`leave one source to ${name}, of the two that feed it`)
    if (code === 'converter-loop') throw new NotYet(`feed ${name} from a supply: it stands in a ring of converters`)
  }
}

/** The source that feeds a block. @throws {NotYet} where none does. */
export function feederOf(view: View<WiredBench>, blockId: string): string {
  const { blocks, wires } = wiringOf(view)
  const found = aSourceOf(blocks).find((it) => reachOf(it, blocks, wires).blocks.slice(1).includes(blockId))
  if (found === undefined) throw new NotYet('lead a wire to it from a supply or a converter')
  return found
}

function aSourceOf(blocks: readonly WiredBlock[]): readonly string[] {
  return blocks.filter((it) => roleOf(it.kind) === 'source' || roleOf(it.kind) === 'converter').map((it) => it.id)
}

export const sourceAmps = figure({
  id: 'electrical.sourceAmps',
  of: aSource,
  label: 'Gives at the worst moment',
  quantity: 'current',
  formula: 'I = \\sum \\text{wires that leave it}',
  symbols: {},
  source: 'The rail, solved.',
  doubt: 'nudge',
  work: (view, source: string): number => view.figure(railState, source).given,
})

export const converterInput = figure({
  id: 'electrical.converterInput',
  of: aSource,
  label: 'Takes from the rail before it',
  quantity: 'power',
  formula: 'P = \\dfrac{\\v{V}\\cdot \\v{I}}{\\v{\\eta}}',
  symbols: {
    V: '=electrical.sourceVolts|{0}',
    I: '=electrical.sourceAmps|{0}',
    '\\eta': 'electrical.blocks.{0}.efficiency',
  },
  source: 'Balance of power over a converter.',
  doubt: 'nudge',
  work(view, id: string): number {
    const block = blockOf(view, id)
    if (roleOf(block.kind) !== 'converter') throw new NotYet('only a converter takes from a rail before it')
    return (view.figure(sourceVolts, id) * view.figure(sourceAmps, id)) / block.efficiency
  },
})

export const supplyRoom = figure({
  id: 'electrical.supplyRoom',
  of: aSource,
  label: 'Share of its rating to spare',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 1 - \\dfrac{\\v{I}}{\\v{I_r}}',
  symbols: { I: '=electrical.sourceAmps|{0}', I_r: 'electrical.blocks.{0}.amps' },
  source: 'By definition; a fifth to spare is good (common practice).',
  doubt: 'nudge',
  work: (view, id: string): number => 1 - view.figure(sourceAmps, id) / blockOf(view, id).amps,
})

export const blockVolts = figure({
  id: 'electrical.blockVolts',
  of: aLoad,
  label: 'Voltage that reaches it',
  quantity: 'voltage',
  formula: 'V = V_0 - \\sum I R',
  symbols: {},
  source: 'The rail, solved.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(railState, feederOf(view, id)).volts.get(id) ?? Number.NaN,
})

export const blockWatts = figure({
  id: 'electrical.blockWatts',
  of: aLoad,
  label: 'Takes at the worst moment',
  quantity: 'power',
  formula: 'P = V\\cdot I',
  symbols: {},
  source: 'What regulates takes the power of its label, the rest the current of its label at the voltage that reaches it.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { watts, amps } = loadOf(view, id)
    return watts + amps * view.figure(blockVolts, id)
  },
})

export const inputAmps = figure({
  id: 'electrical.inputAmps',
  of: aLoad,
  label: 'Current into it',
  quantity: 'current',
  formula: 'I = \\dfrac{\\v{P}}{\\v{V}}',
  symbols: { P: '=electrical.blockWatts|{0}', V: '=electrical.blockVolts|{0}' },
  source: 'Power over the voltage that reaches it.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(blockWatts, id) / view.figure(blockVolts, id),
})

export const sourceHeat = figure({
  id: 'electrical.sourceHeat',
  of: aSource,
  label: 'Turns into heat',
  quantity: 'power',
  formula: 'Q = \\v{V}\\cdot \\v{I}\\left(\\dfrac{1}{\\v{\\eta}} - 1\\right)',
  symbols: {
    V: '=electrical.sourceVolts|{0}',
    I: '=electrical.sourceAmps|{0}',
    '\\eta': 'electrical.blocks.{0}.efficiency',
  },
  source: 'Balance of power over a supply or a converter.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.figure(sourceVolts, id) * view.figure(sourceAmps, id) * (1 / blockOf(view, id).efficiency - 1),
})

export const blockRoom = figure({
  id: 'electrical.blockRoom',
  of: aLoad,
  label: 'Voltage within what it bears',
  quantity: 'voltage',
  formula: 'm = \\min(\\v{V} - \\v{V_1},\\; \\v{V_2} - \\v{V})',
  symbols: { V: '=electrical.blockVolts|{0}', V_1: 'electrical.blocks.{0}.least', V_2: 'electrical.blocks.{0}.most' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { least, most } = blockOf(view, id)
    const volts = view.figure(blockVolts, id)
    return Math.min(volts - least, most - volts)
  },
})

export const dropRoom = figure({
  id: 'electrical.dropRoom',
  of: aLoad,
  label: 'Share of the voltage lost on the way, left of 5 %',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.05 - \\dfrac{V_0 - V}{V_0}',
  symbols: {},
  source: 'IEC 60204-1 12.5 (from memory): five per cent, there and back.',
  doubt: 'nudge',
  work(view, id: string): number {
    const source = view.figure(sourceVolts, feederOf(view, id))
    return 0.05 - (source - view.figure(blockVolts, id)) / source
  },
})

export const wireAmps = figure({
  id: 'electrical.wireAmps',
  of: aRailWire,
  label: 'Current in the wire',
  quantity: 'current',
  formula: 'I = (V_1 - V_2)/R',
  symbols: {},
  source: 'The rail, solved.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { from, to } = wireOf(view, id)
    const [begin, end] = [from, to].map((it) => view.bench.electrical.blocks[it])
    if (begin === undefined || end === undefined) throw new NotYet('join both ends of this wire')
    const leavesSource = roleOf(begin.kind) === 'source' || roleOf(begin.kind) === 'converter'
    const source = leavesSource ? from : feederOf(view, to)
    return view.figure(railState, source).amps.get(id) ?? Number.NaN
  },
})

export const wireDrop = figure({
  id: 'electrical.wireDrop',
  of: aRailWire,
  label: 'Lost in the wire, there and back',
  quantity: 'voltage',
  formula: '\\Delta V = 2\\,\\v{I}\\cdot \\rho\\,l/A',
  symbols: { I: '=electrical.wireAmps|{0}' },
  source: 'Ohm’s law; copper at 20 °C after IEC 60028.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { length, gauge } = wireOf(view, id)
    return 2 * wireResistance(length, sectionOf(gauge)) * view.figure(wireAmps, id)
  },
})

export const wireRoom = figure({
  id: 'electrical.wireRoom',
  of: aRailWire,
  label: 'Current left in the wire',
  quantity: 'current',
  formula: 'm = I_z - \\v{I}',
  symbols: { I: '=electrical.wireAmps|{0}' },
  source: 'What the wire carries: IEC 60204-1 table 6 (from memory), thin ones by common practice.',
  doubt: 'nudge',
  work: (view, id: string): number => carries(wireOf(view, id).gauge) - Math.abs(view.figure(wireAmps, id)),
})

export const fuseRoom = figure({
  id: 'electrical.fuseRoom',
  of: aRailWire,
  label: 'Fuse between load and wire by',
  quantity: 'current',
  formula: 'm = \\min(F - 1.25\\,I,\\; I_z - F)',
  symbols: {},
  source: 'A quarter above the steady current, and not above what the wire carries (common practice).',
  doubt: 'nudge',
  work(view, id: string): number {
    const { fuse, gauge } = wireOf(view, id)
    return Math.min(fuse - 1.25 * Math.abs(view.figure(wireAmps, id)), carries(gauge) - fuse)
  },
})
