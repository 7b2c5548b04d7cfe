import { z } from 'zod'
import { fact } from '../bench'

const place = z.strictObject({ x: z.number(), y: z.number() })
/** Positions of an axis's ticks from the first one, mm. */
const ticks = z.strictObject({ short: z.number().positive(), middle: z.number().positive(), long: z.number().positive() })

/**
 * A scale run: what was burnt and what was read of it. What was in force when it was burnt is history and stays; every
 * result is a figure over it.
 */
export const runSchema = z.strictObject({
  order: z.number(),
  at: z.iso.datetime(),
  /** Ids of the axes it calibrates. */
  axes: z.strictObject({ x: z.string(), y: z.string() }),
  /** Id of the instrument that its readings are taken with. */
  instrument: z.string(),
  /** Steps per millimetre in the machine when it was burnt, and those of the drive train by the bench of then. */
  inForce: place,
  nominal: place,
  /** Where the first ticks cross, mm of the work's coordinates. */
  origin: place,
  ticks: z.strictObject({ x: ticks, y: ticks }),
  /** How often the short and the long span are read. */
  repeats: z.number().int().min(1).max(6),
  /** Corners for the diagonals, mm from the first ticks. */
  corner: place,
  /** What it was burnt with: share of full power, mm/s. */
  power: z.number().min(0).max(1),
  speed: z.number().positive(),
  /** What was read, by the name of the reading; only those that were. */
  readings: z.record(
    z.string(),
    fact({ label: 'Reading', quantity: 'length', min: 0.01, max: 10_000, how: 'Like edge to like edge, as the plate shows.' }),
  ),
})

/** Calibration of the axes: what is wanted, how it is marked, and the runs. */
export const calibrateSchema = z.strictObject({
  wantedShare: fact({
    label: 'Wanted accuracy of size',
    quantity: 'ratio',
    min: 0.0001,
    max: 0.05,
    unit: 'percent',
    assume: { value: 0.1, halfWidth: 0, unit: 'percent' },
    how: '0.1 % is 0.3 mm over 300 mm.',
  }),
  sightPower: fact({
    label: 'Sighting power',
    quantity: 'ratio',
    min: 0.001,
    max: 0.2,
    unit: 'percent',
    assume: { value: 1, halfWidth: 0, unit: 'percent' },
    how: 'The least power at which the spot can be seen; it marks nothing.',
  }),
  rampTo: fact({
    label: 'Last power of the ramp',
    quantity: 'ratio',
    min: 0.01,
    max: 1,
    unit: 'percent',
    assume: { value: 30, halfWidth: 0, unit: 'percent' },
    how: 'Higher for hard or light material.',
  }),
  markPower: fact({
    label: 'Marking power',
    quantity: 'ratio',
    min: 0.001,
    max: 1,
    unit: 'percent',
    how: 'Burn the ramp and take the first line that can be seen well.',
  }),
  markSpeed: fact({
    label: 'Marking speed',
    quantity: 'speed',
    min: 0.1,
    max: 1000,
    assume: { value: 20, halfWidth: 0, unit: 'mm/s' },
  }),
  startX: fact({
    label: 'Marks begin at X',
    quantity: 'length',
    min: 8,
    max: 5000,
    assume: { value: 12, halfWidth: 0, unit: 'mm' },
  }),
  startY: fact({
    label: 'Marks begin at Y',
    quantity: 'length',
    min: 8,
    max: 5000,
    assume: { value: 12, halfWidth: 0, unit: 'mm' },
  }),
  runs: z.record(z.string(), runSchema),
  /** Which run an axis's steps follow; none: the drive train's. */
  applied: z.record(z.string(), z.string()),
})

export type Calibrate = z.infer<typeof calibrateSchema>
export type ScaleRun = z.infer<typeof runSchema>
export interface CalibrateBench {
  readonly calibrate: Calibrate
}
