import { templateOf, type Fact, type Instrument } from '../bench'
import { axisSettingsShape, type AxisSettings } from '../controller'
import { axisShape, type Axis } from '../motion'

/** What an axis starts from: guesses with honest ranges, travel not entered. */
export function axisTemplate(letter: Axis['letter'], order: number): Axis {
  const axis = templateOf(axisShape, { order, letter })
  return letter === 'Z' ? { ...axis, drive: { ...axis.drive, chosen: 'screw' } } : axis
}

/** What nobody has read of a machine's settings yet. */
export function axisSettingsTemplate(): AxisSettings {
  return templateOf(axisSettingsShape)
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
