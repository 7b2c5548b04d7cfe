import { choice, fact, group, type When } from '../bench'

/** What takes the diode's heat away. */
export const COOLED = { fan: 'a heat sink with its fan', cooler: 'a thermoelectric cooler on a heat sink' } as const

const hasCooler: When = (see) => see('electrical.cooling.kind') === 'cooler'

/** Guesses count from when the diode's heat is asked for. */
const hasDiode: When = (see) => see('electrical.driver.forward') !== null

/** The way of the heat from the diode to the air. */
export const coolingShape = group(
  {
    kind: choice({ label: 'The diode is cooled by', options: COOLED, assume: { chosen: 'fan' } }),
    air: fact({
      label: 'Air around the head',
      quantity: 'temperature',
      min: -20,
      max: 60,
      assume: { value: 25, halfWidth: 8, unit: 'degC' },
    }),
    humidity: fact({
      label: 'Humidity of that air',
      quantity: 'ratio',
      min: 0.01,
      max: 1,
      unit: 'percent',
      assume: { value: 60, halfWidth: 25, unit: 'percent' },
    }),
    hottest: fact({
      label: 'Case of the diode at most',
      quantity: 'temperature',
      min: 20,
      max: 120,
      assume: { value: 50, halfWidth: 0, unit: 'degC' },
    }),
    share: fact({
      label: 'Beam on, of an hour’s work',
      quantity: 'ratio',
      min: 0.01,
      max: 1,
      unit: 'percent',
      assume: { value: 50, halfWidth: 20, unit: 'percent' },
    }),
    body: fact({
      label: 'From the case to the heat sink',
      quantity: 'thermalResistance',
      min: 0.01,
      max: 50,
      assume: { value: 0.8, halfWidth: 0.4, unit: 'K/W' },
    }),
    sink: fact({
      label: 'From the heat sink to the air',
      quantity: 'thermalResistance',
      min: 0.01,
      max: 50,
      assume: { value: 2, halfWidth: 0.8, unit: 'K/W' },
    }),
    mostAmps: fact({ when: hasCooler, label: 'Most current of the cooler', quantity: 'current', min: 0.1, max: 50 }),
    mostVolts: fact({ when: hasCooler, label: 'Voltage at that current', quantity: 'voltage', min: 0.5, max: 60 }),
    mostStep: fact({ when: hasCooler, label: 'Most difference, moving no heat', quantity: 'temperatureStep', min: 20, max: 100 }),
    ratedAt: fact({
      when: hasCooler,
      label: 'With its hot side at',
      quantity: 'temperature',
      min: 0,
      max: 100,
      assume: { value: 27, halfWidth: 0, unit: 'degC' },
    }),
    amps: fact({ when: hasCooler, label: 'Current of the cooler', quantity: 'current', min: 0.01, max: 50 }),
    activation: fact({
      label: 'Activation energy of its ageing',
      quantity: 'electronVolts',
      min: 0.1,
      max: 1.5,
      assume: { value: 0.6, halfWidth: 0.2, unit: 'eV' },
    }),
    lifeAt: fact({
      label: 'Temperature of its stated life',
      quantity: 'temperature',
      min: 0,
      max: 100,
      assume: { value: 25, halfWidth: 0, unit: 'degC' },
    }),
    life: fact({ label: 'Life stated', quantity: 'time', min: 3600, max: 3.6e9, unit: 'h' }),
    fanSize: fact({ label: 'Size of the fan', quantity: 'length', min: 10, max: 400 }),
    fanSpeed: fact({ label: 'Speed of the fan', quantity: 'frequency', min: 1, max: 1000, unit: 'rpm' }),
    fanFlow: fact({ label: 'Flow of the fan', quantity: 'flow', min: 1e-5, max: 1, unit: 'm3/h' }),
    fanAmps: fact({ label: 'Current of the fan', quantity: 'current', min: 0.001, max: 20 }),
    fanNoise: fact({ label: 'Noise of the fan', quantity: 'level', min: 0, max: 120 }),
    newSize: fact({ label: 'Size of the fan instead', quantity: 'length', min: 10, max: 400 }),
    newSpeed: fact({ label: 'Speed of the fan instead', quantity: 'frequency', min: 1, max: 1000, unit: 'rpm' }),
  },
  { part: 'cooling', begun: hasDiode },
)
