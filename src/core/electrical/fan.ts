import { requireInRange } from '../units'

/** A fan, by its size, its speed and what was read of it. */
export interface Fan {
  readonly sizeMm: number
  /** Turns a second. */
  readonly turns: number
  /** m³/s, A, dB. */
  readonly flow: number
  readonly amps: number
  readonly noise: number
}

/**
 * What a fan of another size or speed, of the same shape and voltage, would do: flow with D³n, power with D⁵n³, noise
 * 70 dB for each tenfold of size and 50 dB for each tenfold of speed.
 * @param sizeMm D, mm. @param turns n, 1/s. @returns Flow m³/s, current A, noise dB. @throws {RangeError} for a size or speed
 * that is not above 0.
 * Valid: like fans against like ducts, within a factor of about three. Source: fan laws (from memory).
 * @example otherFan({ sizeMm: 40, turns: 100, flow: 0.0036, amps: 0.12, noise: 34 }, 40, 50).amps // 0.015
 */
export function otherFan(fan: Fan, sizeMm: number, turns: number): Pick<Fan, 'flow' | 'amps' | 'noise'> {
  requireInRange('sizeMm', sizeMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('turns', turns, Number.MIN_VALUE, Number.MAX_VALUE, '1/s')
  const size = sizeMm / fan.sizeMm
  const speed = turns / fan.turns
  return {
    flow: fan.flow * size ** 3 * speed,
    amps: fan.amps * size ** 5 * speed ** 3,
    noise: fan.noise + 70 * Math.log10(size) + 50 * Math.log10(speed),
  }
}
