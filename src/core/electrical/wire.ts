import { requireInRange } from '../units'
import type { Gauge } from './gauges'

/** Resistivity of annealed copper at 20 °C, Ω·m, and its change with temperature, 1/K. Source: IEC 60028. */
const COPPER = { resistivity: 1.7241e-8, perKelvin: 0.00393 }
const AT = 20

/**
 * Diameter of a solid wire by its American gauge: 0.127 mm · 92^((36 − n)/39).
 * @param gauge n, whole, 0…40. @returns mm. @throws {RangeError} for a gauge outside that.
 * Valid: solid conductors. Source: ASTM B258.
 * @example gaugeDiameter(22) // 0.6438
 */
export function gaugeDiameter(gauge: number): number {
  requireInRange('gauge', gauge, 0, 40)
  return 0.127 * 92 ** ((36 - gauge) / 39)
}

/**
 * Section of a wire of the list: of a gauge that of its solid wire.
 * @returns mm². @throws {RangeError} never for a wire of the list.
 * Valid: the wires of the list. Source: ASTM B258; IEC 60228 for the sizes in mm².
 * @example sectionOf('awg22') // 0.3255
 */
export function sectionOf(gauge: Gauge): number {
  return gauge.startsWith('awg') ? (Math.PI / 4) * gaugeDiameter(Number(gauge.slice(3))) ** 2 : Number(gauge.slice(2)) / 100
}

/**
 * Resistance of a copper wire: ρ·l / A, at its temperature.
 * @param lengthMm l, one way, mm; 0 or more. @param sectionMm2 A, mm²; more than 0. @param celsius Of the wire, °C.
 * @returns Ω. @throws {RangeError} naming the value and its range.
 * Valid: annealed copper, −50 to 200 °C; stranded wire is 2 to 5 % more. Source: IEC 60028.
 * @example wireResistance(1000, 0.3255, 20) // 0.05297: a metre of AWG 22
 */
export function wireResistance(lengthMm: number, sectionMm2: number, celsius = AT): number {
  requireInRange('lengthMm', lengthMm, 0, Number.MAX_VALUE, 'mm')
  requireInRange('sectionMm2', sectionMm2, Number.MIN_VALUE, Number.MAX_VALUE, 'mm²')
  requireInRange('celsius', celsius, -50, 200, '°C')
  const resistivity = COPPER.resistivity * (1 + COPPER.perKelvin * (celsius - AT))
  // Ω·m over mm² is 10⁶ Ω/m; a millimetre is a thousandth of that.
  return (resistivity * 1e6 * (lengthMm / 1000)) / sectionMm2
}

/** Current that a wire carries, A; of a gauge between two listed ones, that of the thinner. */
const CARRIES: Readonly<Record<Gauge, number>> = {
  awg26: 1,
  awg24: 2,
  awg22: 3,
  awg20: 5,
  awg18: 7,
  awg16: 10.3,
  awg14: 13.5,
  mm025: 2,
  mm050: 5,
  mm075: 8.6,
  mm100: 10.3,
  mm150: 13.5,
  mm250: 18.3,
}

/**
 * Current that a copper wire may carry.
 * @param gauge Of the list. @returns A. @throws {RangeError} never for a wire of the list.
 * Valid: PVC in a trunk at 40 °C, few loaded circuits together. Source: IEC 60204-1 table 6 B1 from 0.75 mm² on (from
 * memory), AWG 16 and 14 as the next thinner of it; AWG 22, 18 and what is thinner or between (common practice).
 * @example carries('awg22') // 3
 */
export function carries(gauge: Gauge): number {
  return CARRIES[gauge]
}
