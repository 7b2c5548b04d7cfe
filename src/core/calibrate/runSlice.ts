import { bare, fact, group, many, moment, text, type Of } from '../bench'

const place = group({ x: bare(), y: bare() })
/** Positions of an axis's ticks from the first one, mm. */
const ticks = group({ short: bare({ above: 0 }), middle: bare({ above: 0 }), long: bare({ above: 0 }) })

/**
 * A scale run: what was burnt and what was read of it. What was in force when it was burnt is history and stays; every
 * result is a figure over it.
 */
export const runShape = group({
  order: bare(),
  at: moment('instant'),
  /** Ids of the axes it calibrates. */
  axes: group({ x: text(0, 200), y: text(0, 200) }),
  /** Id of the instrument that its readings are taken with. */
  instrument: text(0, 200),
  /** Steps per millimetre in the machine when it was burnt, and those of the drive train by the bench of then. */
  inForce: place,
  nominal: place,
  /** Where the first ticks cross, mm of the work's coordinates. */
  origin: place,
  ticks: group({ x: ticks, y: ticks }),
  /** How often the short and the long span are read. */
  repeats: bare({ whole: true, min: 1, max: 6 }),
  /** Corners for the diagonals, mm from the first ticks. */
  corner: place,
  /** What it was burnt with: share of full power, mm/s. */
  power: bare({ min: 0, max: 1 }),
  speed: bare({ above: 0 }),
  /** What was read, by the name of the reading; only those that were. */
  readings: many(
    fact({
      label: 'Reading',
      quantity: 'length',
      min: 0.01,
      max: 10_000,
      // Readings are typed into the list of their run, not into fields of their own.
      when: () => false,
    }),
  ),
})

export type ScaleRun = Of<typeof runShape>
