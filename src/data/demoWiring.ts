import { templateOf, type Fact } from '../core/bench'
import {
  blockShape,
  bondShape,
  wireShape,
  type Block,
  type BlockId,
  type Electrical,
  type Gauge,
  type Wire,
  type WireKind,
} from '../core/electrical'

type Wiring = Pick<Electrical, 'blocks' | 'wires' | 'bonds'>
type Bond = Electrical['bonds'][string]

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

/** A contact, or what stands on the mains; `withIt` is the contact that it moves together with. */
function small(order: number, kind: BlockId, name: string, x: number, y: number, withIt = ''): Block {
  return { ...templateOf(blockShape, { order, kind, name, x, y }), movesWith: withIt }
}

/** The mains inlet with its fuse. */
function inlet(order: number, x: number, y: number, fuse: number): Block {
  return { ...small(order, 'inlet', 'Inlet, 230 V', x, y), volts: volts(230, 0.1), amps: amps(fuse) }
}

/** A supply on the mains with what its label says besides. */
function onMains(it: Block, efficiency: number, inrush: number): Block {
  const share: Fact = {
    value: efficiency,
    typed: String(efficiency * 100),
    typedUnit: 'percent',
    origin: 'stated',
    doubt: { kind: 'halfWidth', a: 0.02 },
  }
  return { ...it, efficiency: share, inrush: amps(inrush) }
}

/** Any wire that is no rail. */
function line(order: number, kind: WireKind, from: string, to: string, lengthMm: number, colour: string): Wire {
  return { ...pair(order, from, to, lengthMm, kind === 'mains' ? 'mm100' : 'awg24', colour, ''), kind }
}

function bond(order: number, name: string, milliohms: number): Bond {
  const ohms: Fact = {
    value: milliohms / 1000,
    typed: String(milliohms),
    typedUnit: 'mohm',
    origin: 'measured',
    doubt: { kind: 'standard', u: 0.002 },
  }
  return {
    ...templateOf(bondShape, { order, name }),
    ohms,
    method: { chosen: 'four', origin: 'stated', doubt: { kind: 'exact' } },
  }
}

const [FIRST, SECOND, THIRD] = [11 / 6, 13 / 6, 15 / 6]

/**
 * Heron's wiring: one 24 V supply, a converter for the 12 V things. Stop and lid have two contacts each, in the lead of the
 * head and in its signal. That lead is thin, and loses too much.
 */
export const HERON_WIRING: Wiring = {
  blocks: {
    inlet: inlet(1, 1 / 6, 0, 6),
    psu: onMains(block(2, 'motorSupply', 'Supply, 24 V', 0, 1, { amps: 6.25 }), 0.89, 16),
    motors: block(3, 'motors', 'Motors and drivers', 1, 0, { volts: 24, amps: 1.8, from: 12, to: 30 }),
    buck: block(4, 'converter', 'Converter to 12 V', 1, 1, { volts: 12, amps: 5 }),
    board: block(5, 'controller', 'Controller', 1, 2, { volts: 24, amps: 0.25, from: 9, to: 28 }),
    fan: block(6, 'fan', 'Exhaust fan', 1, 3, { volts: 24, amps: 0.2, from: 20, to: 27.6 }),
    stop: small(7, 'stop', 'Emergency stop', FIRST, 1),
    key: small(8, 'key', 'Key', SECOND, 1),
    lid: small(9, 'interlock', 'Lid contact', THIRD, 1),
    stop2: small(10, 'stop', 'Stop, second', FIRST, 2, 'stop'),
    lid2: small(11, 'interlock', 'Lid, second', THIRD, 2, 'lid'),
    head: block(12, 'head', 'Diode head', 3, 1, { volts: 12, amps: 2.4, from: 10.5, to: 12.6 }),
    lamp: block(13, 'lamp', 'Beam lamp', 3, 0, { volts: 12, amps: 0.02, from: 9, to: 14 }),
    pump: block(14, 'pump', 'Air pump', 2, 0, { volts: 12, amps: 0.9, from: 10, to: 13.2 }),
  },
  wires: {
    m1: line(1, 'mains', 'inlet', 'psu', 300, 'brown and blue'),
    w1: pair(2, 'psu', 'motors', 350, 'awg18', 'red and black', 'screw terminal'),
    w2: pair(3, 'psu', 'buck', 250, 'awg18', 'red and black', 'screw terminal'),
    w3: pair(4, 'psu', 'board', 300, 'awg20', 'orange and black', 'barrel plug'),
    w4: pair(5, 'psu', 'fan', 900, 'awg22', 'orange and black', 'two-pole plug'),
    w5: pair(6, 'buck', 'pump', 700, 'awg22', 'yellow and black', 'two-pole plug'),
    w6: pair(7, 'buck', 'stop', 300, 'awg18', 'yellow and black', 'screw terminal'),
    w7: pair(8, 'stop', 'key', 150, 'awg18', 'yellow and black', 'screw terminal'),
    w8: pair(9, 'key', 'lid', 700, 'awg18', 'yellow and black', 'screw terminal'),
    w9: pair(10, 'lid', 'head', 2600, 'awg22', 'yellow and black', 'three-pole plug'),
    w10: pair(11, 'lid', 'lamp', 400, 'awg24', 'yellow and black', 'two-pole plug'),
    s1: line(12, 'signal', 'board', 'stop2', 400, 'white'),
    s2: line(13, 'signal', 'stop2', 'lid2', 700, 'white'),
    s3: line(14, 'signal', 'lid2', 'head', 2600, 'white'),
  },
  bonds: { case: bond(1, 'Case of the supply', 18), frame: bond(2, 'Frame, left bar', 41), bed: bond(3, 'Bed plate', 36) },
}

/** Plover's wiring: a brick for what is clamped on, which runs near its rating; the router has a supply of its own. */
export const PLOVER_WIRING: Wiring = {
  blocks: {
    psu: block(1, 'motorSupply', 'Router supply', 0, 1, { amps: 8 }),
    motors: block(2, 'motors', 'Router motors', 1, 2, { volts: 24, amps: 4.2, from: 18, to: 36 }),
    board: block(3, 'controller', 'Controller', 1, 1, { volts: 24, amps: 0.2, from: 9, to: 30 }),
    brick: block(4, 'supply', 'Brick, 12 V', 0, 0, { volts: 12, amps: 1.65 }),
    stop: small(5, 'stop', 'Emergency stop', FIRST, 0),
    key: small(6, 'key', 'Key', SECOND, 0),
    stop2: small(7, 'stop', 'Stop, second', FIRST, 1, 'stop'),
    head: block(8, 'head', 'Diode head', 16 / 6, 0, { volts: 12, amps: 1.25, from: 10.8, to: 12.6 }),
    fan: block(9, 'fan', 'Fan on the guard', 16 / 6, 2, { volts: 12, amps: 0.12, from: 10, to: 13.2 }),
    lamp: block(10, 'lamp', 'Beam lamp', 16 / 6, 1, { volts: 12, amps: 0.02, from: 9, to: 14 }),
  },
  wires: {
    w1: pair(1, 'brick', 'stop', 500, 'awg18', 'red and black', 'screw terminal'),
    w2: pair(2, 'stop', 'key', 150, 'awg18', 'red and black', 'screw terminal'),
    w3: pair(3, 'key', 'head', 900, 'awg18', 'red and black', 'three-pole plug'),
    w4: pair(4, 'key', 'lamp', 300, 'awg24', 'red and black', 'two-pole plug'),
    w5: pair(5, 'key', 'fan', 700, 'awg22', 'red and black', 'two-pole plug'),
    w6: pair(6, 'psu', 'board', 300, 'awg18', 'red and black', 'screw terminal'),
    w7: pair(7, 'psu', 'motors', 600, 'awg16', 'red and black', 'screw terminal'),
    s1: line(8, 'signal', 'board', 'stop2', 400, 'white'),
    s2: line(9, 'signal', 'stop2', 'head', 900, 'white'),
  },
  bonds: { table: bond(1, 'Router table', 52) },
}
