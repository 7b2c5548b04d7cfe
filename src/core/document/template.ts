import { templateOf, type Fact, type Instrument } from '../bench'
import { axisSettingsShape, PLAIN_LINK, type AxisSettings } from '../controller'
import { PLAIN_CARD, type BenchCard } from '../gcode'
import { axisShape, type Axis } from '../motion'
import { benchShape, type Bench } from './bench'

/** What an axis starts from: guesses with honest ranges, travel not entered. */
export function axisTemplate(letter: Axis['letter'], order: number): Axis {
  const axis = templateOf(axisShape, { order, letter })
  return letter === 'Z' ? { ...axis, drive: { ...axis.drive, chosen: 'screw' } } : axis
}

/** What nobody has read of a machine's settings yet. */
export function axisSettingsTemplate(): AxisSettings {
  return templateOf(axisSettingsShape)
}

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
