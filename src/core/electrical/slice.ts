import { bare, choice, fact, group, many, text, word, type Labelled, type Of, type SeeBeside, type When } from '../bench'
import { BLOCK_IDS, roleOf, SENSES, WIRE_KINDS, type BlockId, type Role } from './blocks'
import { bondShape } from './bondSlice'
import { coolingShape } from './coolingSlice'
import { driverShape } from './driverSlice'
import { GAUGES } from './gauges'

/** Whether the controller makes the power follow the speed of the head. */
export const FOLLOWS = { yes: 'follows the speed', no: 'stays as commanded' } as const

const isRole =
  (...roles: readonly Role[]): When =>
  (see: SeeBeside) =>
    roles.includes(roleOf(see.beside('kind') as BlockId))
const hasVolts: When = (see) => !isRole('contact')(see) && see.beside('kind') !== 'motorSupply'

/** A block of the wiring: what its label says, and where it is drawn. */
export const blockShape = group(
  {
    order: bare(),
    kind: word(BLOCK_IDS),
    name: text(1, 60),
    /** Where it is drawn, in columns and rows of the drawing. */
    x: bare({ min: -50, max: 50 }),
    y: bare({ min: -50, max: 50 }),
    volts: fact({
      when: hasVolts,
      label: 'Voltage',
      quantity: 'voltage',
      min: 0.5,
      max: 400,
    }),
    least: fact({
      when: isRole('load'),
      label: 'Least voltage',
      quantity: 'voltage',
      min: 0,
      max: 400,
    }),
    most: fact({ when: isRole('load'), label: 'Most voltage', quantity: 'voltage', min: 0.5, max: 400 }),
    amps: fact({
      when: (see) => !isRole('contact')(see),
      label: 'Current',
      quantity: 'current',
      min: 0.001,
      max: 200,
    }),
    efficiency: fact({
      when: isRole('source', 'converter'),
      label: 'Efficiency',
      quantity: 'ratio',
      min: 0.1,
      max: 1,
      unit: 'percent',
      assume: { value: 88, halfWidth: 5, unit: 'percent' },
    }),
    powerFactor: fact({
      when: isRole('source'),
      label: 'Power factor',
      quantity: 'ratio',
      min: 0.2,
      max: 1,
      assume: { value: 0.6, halfWidth: 0.1, unit: 'one' },
    }),
    inrush: fact({ when: isRole('source'), label: 'Inrush', quantity: 'current', min: 0.1, max: 1000 }),
    sag: fact({ when: isRole('source'), label: 'Sag that it may have', quantity: 'voltage', min: 0.001, max: 50 }),
    gap: fact({ when: isRole('source'), label: 'Time without feed', quantity: 'time', min: 1e-6, max: 10, unit: 'ms' }),
    /** What a contact does when it is pressed or opened, and the contact that it moves together with; empty: by itself. */
    sense: word(SENSES, 'opens'),
    movesWith: text(0, 60, ''),
    reading: fact({
      when: isRole('source', 'converter', 'load'),
      part: 'bringUp',
      label: 'Reading under load',
      quantity: 'voltage',
      min: 0,
      max: 400,
    }),
  },
  { part: 'wiring' },
)

/** A pair of wires between two blocks. */
export const wireShape = group(
  {
    order: bare(),
    from: text(1, 60),
    to: text(1, 60),
    kind: word(WIRE_KINDS),
    colour: text(0, 40),
    connector: text(0, 60),
    length: fact({
      label: 'Length, one way',
      quantity: 'length',
      min: 1,
      max: 50_000,
      assume: { value: 500, halfWidth: 200, unit: 'mm' },
    }),
    gauge: choice({ label: 'Wire', options: GAUGES, assume: { chosen: 'awg20', others: ['awg22', 'awg18'] } }),
    fuse: fact({ label: 'Fuse', quantity: 'current', min: 0.05, max: 100 }),
  },
  { part: 'wiring' },
)

/** “Voltage, Diode head”. */
function ofBlock({ label, thing }: Labelled<Block>): string {
  return `${label}, ${thing.name}`
}

/** “Fuse, Supply to Diode head”. */
function ofWire({ label, thing, see }: Labelled<Wire>): string {
  const name = (id: string): string => {
    const said = see(`electrical.blocks.${id}.name`)
    return typeof said === 'string' ? said : 'nothing'
  }
  return `${label}, ${name(thing.from)} to ${name(thing.to)}`
}

/** The wiring, and the signal that carries the power. */
export const electricalShape = group(
  {
    driver: driverShape,
    cooling: coolingShape,
    bonds: many(bondShape, { label: ({ label, thing }) => `${label}, ${thing.name}` }),
    blocks: many(blockShape, { label: ofBlock }),
    wires: many(wireShape, { label: ofWire }),
    timerClock: fact({
      label: 'Clock of the power timer',
      quantity: 'frequency',
      min: 1000,
      max: 1e9,
      unit: 'MHz',
    }),
    pwmFrequency: fact({
      label: 'Frequency of the power signal',
      quantity: 'frequency',
      min: 1,
      max: 1e6,
      unit: 'kHz',
      assume: { value: 1, halfWidth: 0.1, unit: 'kHz' },
    }),
    fullPower: fact({
      label: 'Full power word',
      quantity: 'count',
      min: 1,
      max: 1e6,
      whole: true,
      assume: { value: 1000, halfWidth: 0, others: [255, 100] },
    }),
    followsSpeed: choice({
      label: 'Power and speed',
      options: FOLLOWS,
      assume: { chosen: 'no' },
    }),
  },
  { stage: 'power', part: 'signal' },
)

export type Electrical = Of<typeof electricalShape>
export type Block = Of<typeof blockShape>
export type Wire = Of<typeof wireShape>
export interface ElectricalBench {
  readonly electrical: Electrical
}
