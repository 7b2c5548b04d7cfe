import { requireInRange } from '../units'

/**
 * Corner frequency of a resistor and a capacitor: 1/(2πRC).
 * @param ohms R, Ω; more than 0. @param farads C, F; more than 0. @returns Hz.
 * @throws {RangeError} naming the value and its range.
 * Valid: an unloaded filter. Source: first-order low pass.
 * @example cornerFrequency(10_000, 1e-6) // 15.9
 */
export function cornerFrequency(ohms: number, farads: number): number {
  requireInRange('ohms', ohms, Number.MIN_VALUE, Number.MAX_VALUE, 'Ω')
  requireInRange('farads', farads, Number.MIN_VALUE, Number.MAX_VALUE, 'F')
  return 1 / (2 * Math.PI * ohms * farads)
}

/**
 * Time constant of a resistor and a capacitor: RC; 0 where one of them is not there.
 * @param ohms R, Ω; null: none. @param farads C, F; null: none. @returns s.
 * Valid: an unloaded filter. Source: first-order low pass.
 * @example timeConstant(10_000, 1e-6) // 0.01
 */
export function timeConstant(ohms: number | null, farads: number | null): number {
  return (ohms ?? 0) * (farads ?? 0)
}

/** A pulsed signal through a resistor and a capacitor. */
export interface FilteredSignal {
  /** V when on; more than 0. */
  readonly volts: number
  /** Share of the period that it is on, 0…1. */
  readonly duty: number
  /** Hz; more than 0. */
  readonly frequency: number
  readonly ohms: number
  readonly farads: number
}

/**
 * Ripple behind the filter, peak to peak: V·D(1 − D)/(f·R·C).
 * @returns V. @throws {RangeError} naming the value and its range.
 * Valid: a corner far below the frequency (a tenth and less). Source: charge of the capacitor in one period.
 * @example ripple({ volts: 5, duty: 0.5, frequency: 5000, ohms: 10_000, farads: 1e-6 }) // 0.025
 */
export function ripple({ volts, duty, frequency, ohms, farads }: FilteredSignal): number {
  requireInRange('volts', volts, 0, Number.MAX_VALUE, 'V')
  requireInRange('duty', duty, 0, 1)
  requireInRange('frequency', frequency, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  requireInRange('ohms', ohms, Number.MIN_VALUE, Number.MAX_VALUE, 'Ω')
  requireInRange('farads', farads, Number.MIN_VALUE, Number.MAX_VALUE, 'F')
  return (volts * duty * (1 - duty)) / (frequency * ohms * farads)
}

/**
 * Capacitor that holds a rail up for a time: I·Δt / ΔV.
 * @param amps I, A. @param seconds Δt, s. @param sagVolts ΔV, V; more than 0. @returns F.
 * @throws {RangeError} naming the value and its range.
 * Valid: a constant current. Source: charge of a capacitor.
 * @example reservoir(2, 8.333e-3, 0.5) // 0.0333
 */
export function reservoir(amps: number, seconds: number, sagVolts: number): number {
  requireInRange('amps', amps, 0, Number.MAX_VALUE, 'A')
  requireInRange('seconds', seconds, 0, Number.MAX_VALUE, 's')
  requireInRange('sagVolts', sagVolts, Number.MIN_VALUE, Number.MAX_VALUE, 'V')
  return (amps * seconds) / sagVolts
}
