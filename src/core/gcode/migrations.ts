import type { Migration } from '../bench'

/** Of the slice `output`. */
export const outputMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got an output card',
    up: () => ({
      card: {
        name: 'Plain words',
        about: 'Power as the S word, the beam as the spindle clockwise. Edit it to what your controller wants.',
        units: 'mm',
        decimals: 3,
        powerDecimals: 0,
        header: '',
        footer: 'M2',
        beamOn: 'M3 S{power}',
        beamOff: 'M5',
        dwell: 'G4 P{seconds}',
      },
    }),
  },
]
