import { guessedChoice, templateOf, type Fact, type Instrument } from '../bench'
import { calibrateSchema } from '../calibrate'
import { axisSettingsSchema, controllerSchema, type AxisSettings } from '../controller'
import { electricalSchema } from '../electrical'
import { PLAIN_CARD, type BenchCard } from '../gcode'
import { axisSchema, motionSchema, type Axis, type Drivers } from '../motion'
import { opticsSchema } from '../optics'
import { safetySchema } from '../safety'
import { planSchema } from '../schedule'
import { BENCH_VERSION, type Bench } from './bench'

/** What an axis starts from: guesses with honest ranges, travel not entered. */
export function axisTemplate(letter: Axis['letter'], order: number): Axis {
  const drivers: Axis['drivers'] = { ...guessedChoice<Drivers>('each'), doubt: { kind: 'alternatives', others: ['parallel'] } }
  const currentIs: Axis['currentIs'] = { ...guessedChoice('peak'), doubt: { kind: 'alternatives', others: ['effective'] } }
  return templateOf(axisSchema, { order, letter, drivers, currentIs, drive: guessedChoice(letter === 'Z' ? 'screw' : 'belt') })
}

/** What nobody has read of a machine's settings yet. */
export function axisSettingsTemplate(): AxisSettings {
  return templateOf(axisSettingsSchema)
}

/** An empty bench: X and Y on belts, everything assumed or not entered, and the instruments most people have. */
export function emptyBench(id: string, name: string, createdAt: string, units: Bench['units'] = 'metric'): Bench {
  return {
    kind: 'fine-kerf.bench',
    version: BENCH_VERSION,
    id,
    name,
    about: '',
    units,
    createdAt,
    instruments: {
      calipers: instrument(1, 'Calipers', 0, 150, 0.01, 0.02, 0.05),
      rule: instrument(2, 'Steel rule', 0, 1000, 0.5, 0.1, 0.03),
      tape: instrument(3, 'Tape measure', 0, 3000, 1, 0.4, 0.1),
    },
    motion: templateOf(motionSchema, {
      kinematics: guessedChoice('axes'),
      axes: { x: axisTemplate('X', 1), y: axisTemplate('Y', 2) },
      mirrors: templateOf(motionSchema.shape.mirrors, { last: guessedChoice('y') }),
      frame: templateOf(motionSchema.shape.frame, { guides: guessedChoice('wheels') }),
    }),
    controller: templateOf(controllerSchema, {
      axes: { x: axisSettingsTemplate(), y: axisSettingsTemplate() },
      keys: {},
      line: '{key} = {value}',
      speedUnit: 'mm/s',
    }),
    electrical: templateOf(electricalSchema, { followsSpeed: guessedChoice('no') }),
    optics: templateOf(opticsSchema),
    calibrate: templateOf(calibrateSchema),
    safety: templateOf(safetySchema),
    plan: templateOf(planSchema, {
      build: guessedChoice('new'),
      goals: templateOf(planSchema.shape.goals, { rotary: guessedChoice('no'), portable: guessedChoice('no') }),
      fits: templateOf(planSchema.shape.fits, { making: guessedChoice('printed') }),
      free: freeEvenings(),
      quiet: { from: '20:00', to: '08:00' },
    }),
    output: { card: plainBenchCard() },
  }
}

/** Evenings in the week and the weekend's days, until somebody says otherwise. */
function freeEvenings(): Bench['plan']['free'] {
  const evening = { from: '18:00', to: '21:00' }
  const weekend = { from: '10:00', to: '17:00' }
  return {
    monday: evening,
    tuesday: evening,
    wednesday: evening,
    thursday: evening,
    friday: { from: '', to: '' },
    saturday: weekend,
    sunday: weekend,
  }
}

function plainBenchCard(): BenchCard {
  const { fullPower: _, ...card } = PLAIN_CARD
  return card
}

/** An instrument at hand. Lengths in mm; `scalePercent` is the half-width of its scale error. */
export function instrument(
  order: number,
  name: string,
  min: number,
  max: number,
  resolution: number,
  u: number,
  scalePercent: number,
): Instrument {
  const scale: Fact = {
    value: 0,
    typed: '0',
    typedUnit: 'percent',
    origin: 'assumed',
    doubt: { kind: 'halfWidth', a: scalePercent / 100 },
  }
  const zero: Fact = { value: 0, typed: '0', typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'exact' } }
  return { order, name, quantity: 'length', min, max, resolution, u, scale, zero }
}
