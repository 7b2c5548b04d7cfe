import { requireInRange } from '../units'

/** What a laser diode does with its current. */
export interface Diode {
  /** Current from which it lases, A; 0 or more. */
  readonly threshold: number
  /** Light for each ampere beyond that, W/A; more than 0. */
  readonly slope: number
}

/**
 * Light of a laser diode: η·(I − I_th), none below the threshold.
 * @param amps I, A; 0 or more. @returns W. @throws {RangeError} naming the value and its range.
 * Valid: below where it rolls over, at a steady temperature. Source: the usual threshold and slope of a data sheet.
 * @example lightOf(2, { threshold: 0.3, slope: 1.8 }) // 3.06
 */
export function lightOf(amps: number, { threshold, slope }: Diode): number {
  requireInRange('amps', amps, 0, Number.MAX_VALUE, 'A')
  requireInRange('threshold', threshold, 0, Number.MAX_VALUE, 'A')
  requireInRange('slope', slope, 0, Number.MAX_VALUE, 'W/A')
  return Math.max(0, slope * (amps - threshold))
}

/** How the power word reaches the diode. */
export interface Modulated extends Diode {
  readonly input: 'pulses' | 'level'
  readonly fullAmps: number
  /** Current at 0 %, A. */
  readonly restAmps: number
}

/**
 * Mean light at a share of full power. Pulses: the diode is on at full current for that share of the time. A level: its
 * current is that share of the way from rest to full, and below the threshold there is no light.
 * @param share 0…1. @returns W. @throws {RangeError} naming the value and its range.
 * Valid: pulses much longer than the rise time. Source: mean over a period; threshold and slope.
 * @example lightAtShare(0.5, { input: 'level', threshold: 0.3, slope: 1.8, fullAmps: 3.4, restAmps: 0 }) // 2.52
 */
export function lightAtShare(share: number, it: Modulated): number {
  requireInRange('share', share, 0, 1)
  return it.input === 'pulses'
    ? share * lightOf(it.fullAmps, it) + (1 - share) * lightOf(it.restAmps, it)
    : lightOf(it.restAmps + share * (it.fullAmps - it.restAmps), it)
}
