import { figureOf, NotYet, type View } from '../bench'
import type { MotionBench } from '../motion'
import { diagnose, type Diagnosis, type WayWire } from './diagnose'
import { lightFull } from './driverFigures'
import { blockOf, feederOf, sourceVolts, wireAmps } from './railFigures'
import type { ElectricalBench } from './slice'
import { aLoad, aSource } from './subjects'

type WiredBench = ElectricalBench & MotionBench
const figure = figureOf<WiredBench>()
/** What a supply's trimmer or a cheap meter is off by. (common practice) */
const SUPPLY_OFF = 0.03

/** What was read at a block. @throws {NotYet} where nothing was. */
function readingOf(view: View<WiredBench>, id: string): number {
  return blockOf(view, id).reading
}

/** Whether a block has been read. */
function isRead(view: View<WiredBench>, id: string): boolean {
  return !Number.isNaN(view.asEntered.electrical.blocks[id]?.reading ?? Number.NaN)
}

/** Volts at the source of a rail: as read, else as worked. */
function startOf(view: View<WiredBench>, source: string): number {
  return isRead(view, source) ? readingOf(view, source) : view.figure(sourceVolts, source)
}

export const sourceReadRoom = figure({
  id: 'electrical.sourceReadRoom',
  of: aSource,
  label: 'Read at it, within 3 % by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.03 - \\left|\\dfrac{\\v{V}}{\\v{V_0}} - 1\\right|',
  symbols: { V: 'electrical.blocks.{0}.reading', V_0: '=electrical.sourceVolts|{0}' },
  source: 'Three per cent are within what a supply may be off (common practice).',
  doubt: 'nudge',
  // The label's own ± is what is tried here: it does not blur the trial.
  work(view, id: string): number {
    const { electrical, motion } = view.asEntered
    const block = electrical.blocks[id]
    const label = block?.kind === 'motorSupply' ? motion.motorVoltage : (block?.volts ?? Number.NaN)
    return SUPPLY_OFF - Math.abs(readingOf(view, id) / label - 1)
  },
})

export const readRoom = figure({
  id: 'electrical.readRoom',
  of: aLoad,
  label: 'Share lost by the readings, left of 5 %',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.05 - \\dfrac{V_0 - V}{V_0}',
  symbols: {},
  source: 'IEC 60204-1 12.5 (from memory), with what was read in place of what is worked.',
  doubt: 'nudge',
  work(view, id: string): number {
    const start = startOf(view, feederOf(view, id))
    return 0.05 - (start - readingOf(view, id)) / start
  },
})

export const readFits = figure({
  id: 'electrical.readFits',
  of: aLoad,
  label: 'Read within what it bears',
  quantity: 'voltage',
  formula: 'm = \\min(\\v{V} - \\v{V_1},\\; \\v{V_2} - \\v{V})',
  symbols: {
    V: 'electrical.blocks.{0}.reading',
    V_1: 'electrical.blocks.{0}.least',
    V_2: 'electrical.blocks.{0}.most',
  },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { least, most } = blockOf(view, id)
    return Math.min(readingOf(view, id) - least, most - readingOf(view, id))
  },
})

/** Wires from a source to a block, the first at the source. */
function wayTo(view: View<WiredBench>, source: string, id: string): readonly WayWire[] {
  const found: WayWire[] = []
  for (let at = id; at !== source && found.length < 100;) {
    const entry = Object.keys(view.bench.electrical.wires).find((it) => {
      const wire = view.bench.electrical.wires[it]
      return wire?.kind === 'rail' && wire.to === at
    })
    const wire = entry === undefined ? undefined : view.bench.electrical.wires[entry]
    if (entry === undefined || wire === undefined) throw new NotYet('lead a wire to it from a supply or a converter')
    found.unshift({ wire: entry, to: at, lengthMm: wire.length, gauge: wire.gauge, amps: view.figure(wireAmps, entry) })
    at = wire.from
  }
  return found
}

export const diagnosis = figure({
  id: 'electrical.diagnosis',
  of: aLoad,
  label: 'Where the voltage is lost',
  quantity: 'voltage',
  formula: '\\Delta V_{read} - \\sum I R',
  symbols: {},
  source: 'Ohm’s law between the places that were read.',
  doubt: { none: 'A place and a cure; the voltages are figures of their own.' },
  work(view, id: string): Diagnosis {
    readingOf(view, id)
    const source = feederOf(view, id)
    const blocks = Object.keys(view.bench.electrical.blocks).filter((it) => isRead(view, it))
    const reads = new Map(blocks.map((it) => [it, readingOf(view, it)]))
    if (!reads.has(id)) throw new NotYet('read the voltage at it')
    return diagnose({ block: source, volts: startOf(view, source) }, wayTo(view, source, id), reads)
  },
})

/** Light that is a fifth off what was worked is worth a look. (common practice) */
const LIGHT_OFF = 0.2

export const lightReadRoom = figure({
  id: 'electrical.lightReadRoom',
  label: 'Light read, within 20 % of what is worked by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.2 - \\left|\\dfrac{\\v{P}}{\\v{P_w}} - 1\\right|',
  symbols: { P: 'electrical.driver.lightRead', P_w: '=electrical.lightFull' },
  source: 'By definition; thermal power meters are within a few per cent, data sheets within ten or twenty.',
  doubt: 'nudge',
  work: (view): number => LIGHT_OFF - Math.abs(view.bench.electrical.driver.lightRead / view.figure(lightFull) - 1),
})
