import { printFixed, type UnitSystem } from '../../core/units'

/** A distance in a room as it is said on a drawing, m or ft, on the far side. */
export function inLengthUnit(mm: number, system: UnitSystem): string {
  const [unit, per] = system === 'metric' ? ['m', 1000] : ['ft', 304.8]
  const value = mm / per
  const decimals = value >= 10 ? 0 : value >= 1 ? 1 : 2
  const step = 10 ** decimals
  return `${printFixed(Math.ceil(value * step) / step, decimals)} ${unit}`
}
