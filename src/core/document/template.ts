import { blankFact, factSpecAt, templateFact, type Fact, type Instrument } from '../bench'
import { calibrateSchema } from '../calibrate'
import { axisSettingsSchema, controllerSchema, type AxisSettings } from '../controller'
import { electricalSchema } from '../electrical'
import { PLAIN_CARD, type BenchCard } from '../gcode'
import { axisSchema, motionSchema, type Axis } from '../motion'
import { opticsSchema } from '../optics'
import { safetySchema } from '../safety'
import type { z } from 'zod'
import { BENCH_VERSION, type Bench } from './bench'

/** What an axis starts from: guesses with honest ranges, travel not entered. */
export function axisTemplate(letter: Axis['letter'], order: number): Axis {
  const guess = factsOf(axisSchema)
  return {
    order,
    letter,
    travel: guess('travel'),
    motors: guess('motors'),
    drive: { chosen: letter === 'Z' ? 'screw' : 'belt', origin: 'assumed', doubt: { kind: 'exact' } },
    fullSteps: guess('fullSteps'),
    microsteps: guess('microsteps'),
    pulleyTeeth: guess('pulleyTeeth'),
    beltPitch: guess('beltPitch'),
    motorTeeth: guess('motorTeeth'),
    drivenTeeth: guess('drivenTeeth'),
    screwPitch: guess('screwPitch'),
    screwStarts: guess('screwStarts'),
    acceleration: guess('acceleration'),
  }
}

/** What nobody has read of a machine's settings yet. */
export function axisSettingsTemplate(): AxisSettings {
  const unread = factsOf(axisSettingsSchema)
  return {
    steps: unread('steps'),
    topSpeed: unread('topSpeed'),
    acceleration: unread('acceleration'),
    travel: unread('travel'),
  }
}

/** What later slices start from; also what an older bench gets when it is migrated. */
export function laterSlices(axisIds: readonly string[]): Pick<Bench, 'controller' | 'electrical' | 'calibrate' | 'output'> {
  const beam = factsOf(controllerSchema.shape.beam)
  const electrical = factsOf(electricalSchema)
  const calibrate = factsOf(calibrateSchema)
  return {
    controller: {
      axes: Object.fromEntries(axisIds.map((id) => [id, axisSettingsTemplate()])),
      beam: {
        fullPower: beam('fullPower'),
        pwmFrequency: beam('pwmFrequency'),
        followsSpeed: { chosen: null, origin: 'assumed', doubt: { kind: 'exact' } },
      },
      keys: {},
      line: '{key} = {value}',
      speedUnit: 'mm/s',
    },
    electrical: {
      timerClock: electrical('timerClock'),
      pwmFrequency: electrical('pwmFrequency'),
      fullPower: electrical('fullPower'),
      followsSpeed: { chosen: 'no', origin: 'assumed', doubt: { kind: 'exact' } },
    },
    calibrate: {
      wantedShare: calibrate('wantedShare'),
      sightPower: calibrate('sightPower'),
      rampTo: calibrate('rampTo'),
      markPower: calibrate('markPower'),
      markSpeed: calibrate('markSpeed'),
      startX: calibrate('startX'),
      startY: calibrate('startY'),
      runs: {},
      applied: {},
    },
    output: { card: plainBenchCard() },
  }
}

function plainBenchCard(): BenchCard {
  const { fullPower: _, ...card } = PLAIN_CARD
  return card
}

/** An empty bench: X and Y on belts, everything assumed or not entered, and the instruments most people have. */
export function emptyBench(id: string, name: string, createdAt: string, units: Bench['units'] = 'metric'): Bench {
  const motion = factsOf(motionSchema)
  const corners = factsOf(motionSchema.shape.corners)
  const frame = factsOf(motionSchema.shape.frame)
  const optics = factsOf(opticsSchema)
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
    motion: {
      axes: { x: axisTemplate('X', 1), y: axisTemplate('Y', 2) },
      wantedSpeed: motion('wantedSpeed'),
      maxStepRate: motion('maxStepRate'),
      corners: { width: corners('width'), depth: corners('depth'), fromOrigin: corners('fromOrigin'), across: corners('across') },
      squareWithin: motion('squareWithin'),
      frame: { barWidth: frame('barWidth'), carriageWidth: frame('carriageWidth'), carriageDepth: frame('carriageDepth') },
    },
    optics: { power: optics('power'), wavelength: optics('wavelength'), spotX: optics('spotX'), spotY: optics('spotY') },
    safety: { eyewearDensity: factsOf(safetySchema)('eyewearDensity') },
    ...laterSlices(['x', 'y']),
  }
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

function factsOf(schema: z.ZodType): (key: string) => Fact {
  return (key) => {
    const spec = factSpecAt(schema, key)
    return spec === undefined ? blankFact('one') : templateFact(spec)
  }
}
