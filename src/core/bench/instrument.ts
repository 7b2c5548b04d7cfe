import { bare, fact, group, many, text, word, type Of } from './shape'

/**
 * Something that reads: its range, resolution and standard uncertainty of one reading, and the two errors that
 * all of its readings share. A reading r of it stands for r × (1 + scale) + zero (T7), so that what is shared
 * cancels wherever a figure divides or subtracts readings.
 */
export const instrumentShape = group({
  order: bare(),
  name: text(1, 60),
  /** What it reads; only lengths so far. */
  quantity: word(['length'] as const),
  /** Range in the core's unit. */
  min: bare(),
  max: bare(),
  /** Smallest division, core's unit. */
  resolution: bare({ above: 0 }),
  /** Standard uncertainty of one reading (repeatability and resolution), core's unit. */
  u: bare({ above: 0 }),
  scale: fact({
    label: 'Scale error of the instrument',
    quantity: 'ratio',
    min: -0.05,
    max: 0.05,
    unit: 'percent',
    assume: { value: 0, halfWidth: 0.1, unit: 'percent' },
  }),
  zero: fact({
    label: 'Zero error of the instrument',
    quantity: 'length',
    min: -5,
    max: 5,
    assume: { value: 0, halfWidth: 0, unit: 'mm' },
  }),
})

/** Guesses of instruments are counted where they blur a verdict, not as facts that wait to be checked. */
export const instrumentsShape = many(instrumentShape, {
  placed: { stage: 'controller', part: 'run', begun: () => false },
  label: ({ label, thing }) => `${label} “${thing.name}”`,
})
export type Instrument = Of<typeof instrumentShape>
export type Instruments = Readonly<Record<string, Instrument>>

/** The instrument at hand with the smallest uncertainty whose range takes in a value, if any does. */
export function bestInstrument(
  instruments: Instruments,
  quantity: string,
  value: number,
): { id: string; instrument: Instrument } | null {
  const fitting = Object.entries(instruments)
    .filter(([, it]) => it.quantity === quantity && value >= it.min && value <= it.max)
    .sort(([, p], [, q]) => p.u - q.u)
  const [first] = fitting
  return first === undefined ? null : { id: first[0], instrument: first[1] }
}
