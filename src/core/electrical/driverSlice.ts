import { choice, fact, group, type When } from '../bench'
import { LOGIC_NAMES } from './logicNames'

/** What switches or regulates the diode's current. */
export const DRIVERS = {
  ready: 'a ready-made driver with a modulation input',
  transistor: 'a transistor switch',
  linear: 'a linear current source',
  relay: 'a relay',
} as const
export type DriverId = keyof typeof DRIVERS

const INPUTS = { ...LOGIC_NAMES, opto: 'an opto-coupler behind a resistor' } as const
export const YES_NO = { yes: 'yes', no: 'no' } as const
const FITTED = { fitted: 'is fitted', none: 'is not fitted' } as const
/** What an output does while the controller starts. */
export const STARTING = { low: 'is low', floats: 'floats', high: 'is high' } as const

const isDriver =
  (...kinds: readonly DriverId[]): When =>
  (see) =>
    kinds.includes(see('electrical.driver.kind') as DriverId)
const wantsOpto: When = (see) => see('electrical.driver.wants') === 'opto'
const hasPullDown: When = (see) => see('electrical.driver.pullDown') === 'fitted'
/** Guesses count from when the wiring is begun. */
const hasBlocks: When = (see) => see.keys('electrical.blocks').length > 0
const heats = isDriver('linear', 'transistor')

/** What drives the diode, the levels that tell it to, and what light comes of it. */
export const driverShape = group(
  {
    kind: choice({ label: 'The diode is driven by', options: DRIVERS, assume: { chosen: 'ready' } }),
    gives: choice({ label: 'Output of the controller', options: LOGIC_NAMES, assume: { chosen: 'lvttl', others: ['cmos5'] } }),
    wants: choice({ label: 'Input of the driver', options: INPUTS, assume: { chosen: 'ttl', others: ['cmos5'] } }),
    optoOhms: fact({ when: wantsOpto, label: 'Resistor before the opto-coupler', quantity: 'resistance', min: 1, max: 1e5 }),
    optoAmps: fact({
      when: wantsOpto,
      label: 'Current of the opto-coupler',
      quantity: 'current',
      min: 1e-4,
      max: 0.1,
      unit: 'mA',
      assume: { value: 5, halfWidth: 2, unit: 'mA' },
    }),
    pullDown: choice({ label: 'Pull-down at the input', options: FITTED }),
    pullOhms: fact({ when: hasPullDown, label: 'Pull-down', quantity: 'resistance', min: 10, max: 1e7, unit: 'kohm' }),
    starting: choice({ label: 'While the controller starts, its output', options: STARTING, assume: { chosen: 'floats' } }),
    onOhms: fact({
      when: isDriver('transistor'),
      label: 'Resistance when on',
      quantity: 'resistance',
      min: 1e-4,
      max: 10,
      unit: 'mohm',
    }),
    onAt: fact({ when: isDriver('transistor'), label: 'Stated at a gate of', quantity: 'voltage', min: 0.5, max: 20 }),
    sense: fact({ when: isDriver('linear'), label: 'Sense resistor', quantity: 'resistance', min: 0.001, max: 100 }),
    senseVolts: fact({
      when: isDriver('linear'),
      label: 'Volts across it at full power',
      quantity: 'voltage',
      min: 0.001,
      max: 10,
    }),
    senseWatts: fact({ when: isDriver('linear'), label: 'Rating of the sense resistor', quantity: 'power', min: 0.01, max: 100 }),
    fourWire: choice({ when: isDriver('linear'), label: 'The sense resistor is read by its own pair', options: YES_NO }),
    loses: fact({
      when: isDriver('linear'),
      label: 'Voltage that the source loses',
      quantity: 'voltage',
      min: 0,
      max: 10,
      assume: { value: 1.5, halfWidth: 0.5, unit: 'V' },
    }),
    feed: fact({ when: isDriver('linear'), label: 'Supply of the source', quantity: 'voltage', min: 1, max: 100 }),
    perWatt: fact({
      when: heats,
      label: 'From its junction to the air',
      quantity: 'thermalResistance',
      min: 0.05,
      max: 500,
    }),
    hottest: fact({
      when: heats,
      label: 'Junction at most',
      quantity: 'temperature',
      min: 40,
      max: 250,
      assume: { value: 125, halfWidth: 0, unit: 'degC' },
    }),
    forward: fact({ label: 'Forward voltage of the diode', quantity: 'voltage', min: 0.5, max: 30 }),
    fullAmps: fact({
      when: (see) => !isDriver('linear')(see),
      label: 'Current of the diode at full power',
      quantity: 'current',
      min: 0.01,
      max: 50,
    }),
    mostAmps: fact({ label: 'Most current of the diode', quantity: 'current', min: 0.01, max: 50 }),
    threshold: fact({ label: 'Threshold of the diode', quantity: 'current', min: 0, max: 20 }),
    slope: fact({ label: 'Slope of its light', quantity: 'wattsPerAmp', min: 0.05, max: 10 }),
    restAmps: fact({
      label: 'Current of the diode at 0 %',
      quantity: 'current',
      min: 0,
      max: 10,
      unit: 'mA',
      assume: { value: 20, halfWidth: 20, unit: 'mA' },
    }),
    input: choice({
      part: 'signal',
      label: 'Current into the input of the driver',
      options: { pulses: 'the pulses themselves', level: 'a steady level' },
      assume: { chosen: 'pulses' },
    }),
    rise: fact({
      part: 'signal',
      label: 'Rise and fall time of the light',
      quantity: 'time',
      min: 0,
      max: 0.1,
      unit: 'us',
      assume: { value: 10, halfWidth: 8, unit: 'us' },
    }),
    filterOhms: fact({ part: 'signal', label: 'Resistor of the filter', quantity: 'resistance', min: 1, max: 1e7, unit: 'kohm' }),
    filterFarads: fact({
      part: 'signal',
      label: 'Capacitor of the filter',
      quantity: 'capacitance',
      min: 1e-12,
      max: 1,
      unit: 'uF',
    }),
    lightRead: fact({ part: 'bringUp', label: 'Light read at full power', quantity: 'power', min: 0, max: 1000 }),
  },
  { part: 'driver', begun: hasBlocks },
)
