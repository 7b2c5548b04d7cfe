import { templateOf } from '../bench'
import { PLAIN_LINK } from '../controller'
import { PLAIN_CARD, type BenchCard } from '../gcode'
import './lateSlices'
import { benchShape, type Bench } from './bench'
import { axisSettingsTemplate, axisTemplate, instrument } from './template'

/** An empty bench: X and Y on belts, everything assumed or not entered, and the instruments most people have. */
export function emptyBench(id: string, name: string, createdAt: string, units: Bench['units'] = 'metric'): Bench {
  const bench = templateOf(benchShape, { id, name, about: '', units, createdAt })
  return {
    ...bench,
    instruments: {
      calipers: instrument(1, 'Calipers', 0, 150, 0.01, 0.02, 0.05),
      rule: instrument(2, 'Steel rule', 0, 1000, 0.5, 0.1, 0.03),
      tape: instrument(3, 'Tape measure', 0, 3000, 1, 0.4, 0.1),
    },
    motion: { ...bench.motion, axes: { x: axisTemplate('X', 1), y: axisTemplate('Y', 2) } },
    controller: { ...bench.controller, axes: { x: axisSettingsTemplate(), y: axisSettingsTemplate() } },
    output: { card: plainBenchCard(), link: PLAIN_LINK },
  }
}

function plainBenchCard(): BenchCard {
  const { fullPower: _, ...card } = PLAIN_CARD
  return card
}
