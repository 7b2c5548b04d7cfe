import { requireInRange } from '../units'

/**
 * Temperature at the end of a chain of thermal resistances: T + P·ΣR.
 * @param ambientC T, °C. @param watts P, W; 0 or more. @param perWatt Each R, K/W; 0 or more. @returns °C.
 * @throws {RangeError} naming the value and its range.
 * Valid: at rest, resistances that do not change with temperature. Source: thermal Ohm's law.
 * @example chainTemperature(25, 14, [1.5, 0.5, 2.5]) // 88
 */
export function chainTemperature(ambientC: number, watts: number, perWatt: readonly number[]): number {
  requireInRange('ambientC', ambientC, -273.15, 1000, '°C')
  requireInRange('watts', watts, 0, Number.MAX_VALUE, 'W')
  for (const it of perWatt) requireInRange('perWatt', it, 0, Number.MAX_VALUE, 'K/W')
  return ambientC + watts * perWatt.reduce((sum, it) => sum + it, 0)
}

/** Constants of the Magnus formula over water, −45 to 60 °C. Source: WMO-No. 8, annex 4.B (from memory). */
const MAGNUS = { a: 17.62, b: 243.12 }

/**
 * Dew point: the temperature below which water condenses.
 * @param airC Of the air, −45…60 °C. @param humidity Relative, more than 0 up to 1. @returns °C.
 * @throws {RangeError} naming the value and its range.
 * Valid: over water. Source: Magnus formula, WMO-No. 8 (from memory).
 * @example dewPoint(25, 0.5) // 13.9
 */
export function dewPoint(airC: number, humidity: number): number {
  requireInRange('airC', airC, -45, 60, '°C')
  requireInRange('humidity', humidity, 1e-6, 1)
  const g = Math.log(humidity) + (MAGNUS.a * airC) / (MAGNUS.b + airC)
  return (MAGNUS.b * g) / (MAGNUS.a - g)
}

const BOLTZMANN_EV = 8.617333262e-5
const ZERO_C = 273.15

/**
 * How many times longer a diode lives at one temperature than at another: exp(E/k·(1/T₂ − 1/T₁)).
 * @param electronVolts E, activation energy, 0…2 eV. @param fromC T₁, °C. @param toC T₂, °C. @returns A factor.
 * @throws {RangeError} naming the value and its range.
 * Valid: one way of ageing, within its range of temperature. Source: Arrhenius; Boltzmann's constant, SI 2019.
 * @example lifeFactor(0.6, 45, 35) // 2.03
 */
export function lifeFactor(electronVolts: number, fromC: number, toC: number): number {
  requireInRange('electronVolts', electronVolts, 0, 2, 'eV')
  requireInRange('fromC', fromC, -100, 300, '°C')
  requireInRange('toC', toC, -100, 300, '°C')
  return Math.exp((electronVolts / BOLTZMANN_EV) * (1 / (toC + ZERO_C) - 1 / (fromC + ZERO_C)))
}
