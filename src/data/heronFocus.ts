import type { Fact } from '../core/bench'
import type { Trial } from '../core/calibrate'

const MADE = '2026-11-15T09:30:00.000Z'
export const HERON_FOCUS = 'ramp-1'

/** Widths in mm at the nine places, by axis and set; 0 where a line left no mark. */
const WIDTHS: Readonly<Record<string, string>> = {
  'y-3': '0.430 0.370 0.290 0.215 0.175 0.190 0.245 0.300 0.365',
  'y-2': '0.305 0.270 0.230 0.190 0.150 0.150 0.195 0.235 0.265',
  'y-1': '0 0.060 0.115 0.115 0.105 0.095 0.120 0.100 0',
  'x-3': '0.390 0.325 0.275 0.230 0.190 0.215 0.240 0.300 0.355',
  'x-2': '0.340 0.300 0.245 0.205 0.190 0.195 0.215 0.260 0.300',
  'x-1': '0 0 0.125 0.170 0.150 0.140 0.160 0.140 0',
}
const BOARD: Readonly<Record<string, string>> = { gap: '35.20', lift: '12.01', run: '150.03' }

function reading(typed: string, u: number, instrument: string): Fact {
  const doubt = { kind: 'standard', u } as const
  return { value: Number(typed), typed, typedUnit: 'mm', origin: 'measured', doubt, instrument, at: MADE }
}

/** Heron's focus ramp: three sets of lines on a board with a block under one end, read with the loupe. */
export const heronFocus: Trial = {
  order: 1,
  at: MADE,
  axes: { x: 'x', y: 'y' },
  instrument: 'loupe',
  hours: null,
  origin: { x: 12, y: 12 },
  power: 0.14,
  speed: 20,
  numbers: { lift: 12, run: 150, acceleration: 500, frequency: 1000 },
  readings: Object.fromEntries([
    ...Object.entries(BOARD).map(([id, typed]) => [id, reading(typed, 0.02, 'calipers')] as const),
    ...Object.entries(WIDTHS).flatMap(([set, row]) =>
      row.split(' ').map((typed, i) => [`${set}-${i + 1}`, reading(typed, 0.006, 'loupe')] as const),
    ),
  ]),
  picks: {},
}
