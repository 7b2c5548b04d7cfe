import { templateOf, type Fact } from '../core/bench'
import { blockShape, wireShape, type Block, type BlockId, type Electrical, type Gauge, type Wire } from '../core/electrical'

type Wiring = Pick<Electrical, 'blocks' | 'wires'>

function volts(value: number, share = 0.02): Fact {
  return { value, typed: String(value), typedUnit: 'V', origin: 'stated', doubt: { kind: 'halfWidth', a: value * share } }
}

function amps(value: number): Fact {
  return { value, typed: String(value), typedUnit: 'A', origin: 'stated', doubt: { kind: 'halfWidth', a: value * 0.05 } }
}

/** What a label says; `from` and `to` are what a load bears. */
interface Label {
  readonly volts?: number
  readonly amps: number
  readonly from?: number
  readonly to?: number
}

function block(order: number, kind: BlockId, name: string, x: number, y: number, label: Label): Block {
  const { volts: at, amps: current, from, to } = label
  return {
    ...templateOf(blockShape, { order, kind, name, x, y }),
    ...(at === undefined ? {} : { volts: volts(at) }),
    amps: amps(current),
    ...(from === undefined ? {} : { least: volts(from, 0) }),
    ...(to === undefined ? {} : { most: volts(to, 0) }),
  }
}

function pair(order: number, from: string, to: string, lengthMm: number, gauge: Gauge, colour: string, connector: string): Wire {
  const length: Fact = {
    value: lengthMm,
    typed: String(lengthMm),
    typedUnit: 'mm',
    origin: 'measured',
    doubt: { kind: 'standard', u: 5 },
  }
  return {
    ...templateOf(wireShape, { order, from, to, kind: 'rail' as const, colour, connector }),
    length,
    gauge: { chosen: gauge, origin: 'stated', doubt: { kind: 'exact' } },
  }
}

/** Heron's wiring: one 24 V supply, a converter for the 12 V things; the lead to the head loses too much. */
export const HERON_WIRING: Wiring = {
  blocks: {
    psu: block(1, 'motorSupply', 'Supply, 24 V', 0, 1, { amps: 6.25 }),
    buck: block(2, 'converter', 'Converter to 12 V', 1, 1, { volts: 12, amps: 5 }),
    motors: block(3, 'motors', 'Motors and drivers', 1, 0, { volts: 24, amps: 1.8, from: 12, to: 30 }),
    board: block(4, 'controller', 'Controller', 1, 2, { volts: 24, amps: 0.25, from: 9, to: 28 }),
    head: block(5, 'head', 'Diode head', 2, 0, { volts: 12, amps: 2.4, from: 10.5, to: 12.6 }),
    fan: block(6, 'fan', 'Exhaust fan', 2, 1, { volts: 12, amps: 0.15, from: 10, to: 13.2 }),
    pump: block(7, 'pump', 'Air pump', 2, 2, { volts: 12, amps: 0.9, from: 10, to: 13.2 }),
  },
  wires: {
    w1: pair(1, 'psu', 'motors', 350, 'awg18', 'red and black', 'screw terminal'),
    w2: pair(2, 'psu', 'buck', 250, 'awg18', 'red and black', 'screw terminal'),
    w3: pair(3, 'psu', 'board', 300, 'awg20', 'orange and black', 'barrel plug'),
    w4: pair(4, 'buck', 'head', 2900, 'awg22', 'yellow and black', 'three-pole plug'),
    w5: pair(5, 'buck', 'fan', 900, 'awg24', 'yellow and black', 'two-pole plug'),
    w6: pair(6, 'buck', 'pump', 700, 'awg22', 'yellow and black', 'two-pole plug'),
  },
}

/** Plover's wiring: a brick for what is clamped on; it runs near its rating. */
export const PLOVER_WIRING: Wiring = {
  blocks: {
    brick: block(1, 'supply', 'Brick, 12 V', 0, 0, { volts: 12, amps: 1.6 }),
    head: block(2, 'head', 'Diode head', 1, 0, { volts: 12, amps: 1.25, from: 10.8, to: 12.6 }),
    fan: block(3, 'fan', 'Fan on the guard', 1, 1, { volts: 12, amps: 0.12, from: 10, to: 13.2 }),
  },
  wires: {
    w1: pair(1, 'brick', 'head', 900, 'awg18', 'red and black', 'three-pole plug'),
    w2: pair(2, 'brick', 'fan', 700, 'awg22', 'red and black', 'two-pole plug'),
  },
}
