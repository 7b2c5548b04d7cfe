import type { Fact } from '../core/bench'
import type { ScaleRun } from '../core/calibrate'

/** The day of Heron's scale run. */
export const RUN_MADE = '2026-11-14T11:40:00.000Z'

export const HERON_RUN = 'run-1'

const READ: Readonly<Record<string, string>> = {
  'x-like-short-1': '14.90',
  'x-like-short-2': '14.93',
  'x-like-middle-1': '79.58',
  'x-like-long-1': '143.24',
  'x-like-long-2': '143.29',
  'x-over-short': '15.00',
  'x-over-long': '143.30',
  'x-back-long': '143.31',
  'y-like-short-1': '15.07',
  'y-like-short-2': '15.10',
  'y-like-middle-1': '80.45',
  'y-like-long-1': '144.75',
  'y-like-long-2': '144.75',
  'y-over-short': '15.17',
  'y-over-long': '144.86',
  'y-back-long': '144.79',
  'diagonal-origin': '142.95',
  'diagonal-across': '142.74',
}

function reading(typed: string): Fact {
  return {
    value: Number(typed),
    typed,
    typedUnit: 'mm',
    origin: 'measured',
    doubt: { kind: 'pooled', u: 0.02, figure: 'calibrate.scatter', args: [HERON_RUN] },
    instrument: 'calipers',
    at: RUN_MADE,
  }
}

/** Heron's first scale run: both axes at the steps of the drive train, read with the calipers. */
export const heronRun: ScaleRun = {
  order: 1,
  at: RUN_MADE,
  axes: { x: 'x', y: 'y' },
  instrument: 'calipers',
  inForce: { x: 80, y: 80 },
  nominal: { x: 80, y: 80 },
  origin: { x: 12, y: 12 },
  ticks: { x: { short: 15, middle: 80, long: 144 }, y: { short: 15, middle: 80, long: 144 } },
  repeats: 2,
  corner: { x: 101, y: 101 },
  power: 0.24,
  speed: 20,
  readings: Object.fromEntries(Object.entries(READ).map(([id, typed]) => [id, reading(typed)])),
}
