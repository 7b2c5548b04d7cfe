import { requireInRange } from '../units'

/** A pulsed signal on its way to the light. */
export interface PulsedLight {
  /** Share of the period that the signal is high, 0…1. */
  readonly duty: number
  /** Hz; more than 0. */
  readonly frequency: number
  /** Time constant of the filter before the driver, s; 0: none. */
  readonly filterS: number
  /** Rise time of the light from a tenth to nine tenths, s; 0: none. */
  readonly riseS: number
}

/** From a tenth to nine tenths a first-order lag takes this many time constants: ln 9. */
const RISE = Math.log(9)

/**
 * One period of the light in the steady state, of full light: the signal through the filter’s lag and the driver’s.
 * @param samples Points in the period, the first at the rising edge; whole, 8…5000.
 * @returns 0…1 each. @throws {RangeError} naming the value and its range.
 * Valid: both are lags of the first order; a level drives the light in proportion. Source: exponential answer of a
 * first-order lag; its steady state is where a period ends as it began.
 */
export function waveform(it: PulsedLight, samples: number): Float64Array {
  requireInRange('duty', it.duty, 0, 1)
  requireInRange('frequency', it.frequency, Number.MIN_VALUE, Number.MAX_VALUE, 'Hz')
  requireInRange('samples', samples, 8, 5000)
  const period = 1 / it.frequency
  const signal = averaged(it.duty, samples)
  return lagged(lagged(signal, it.filterS, period), it.riseS / RISE, period)
}

/** The signal itself, each sample the mean over its time, so that the duty is kept to the last digit. */
function averaged(duty: number, samples: number): Float64Array {
  return Float64Array.from({ length: samples }, (_, i) => Math.min(1, Math.max(0, duty * samples - i)))
}

/** A period through a lag, begun so that it ends as it began. */
function lagged(period: Float64Array, tau: number, seconds: number): Float64Array {
  if (!(tau > 0)) return period
  const keep = Math.exp(-seconds / period.length / tau)
  const run = (start: number): readonly [Float64Array, number] => {
    let level = start
    // Mean of an exponential over a sample, so that the period’s mean stays what it was.
    const gain = (tau * period.length) / seconds
    const out = period.map((wanted) => {
      const before = level
      level = wanted + (before - wanted) * keep
      return wanted + (before - level) * gain
    })
    return [out, level]
  }
  const [, atEnd] = run(0)
  return run(atEnd / (1 - keep ** period.length))[0]
}

/** The least and the most of a waveform. */
export function rangeOf(wave: Float64Array): { readonly least: number; readonly most: number } {
  return { least: wave.reduce((p, q) => Math.min(p, q), Infinity), most: wave.reduce((p, q) => Math.max(p, q), -Infinity) }
}

/**
 * Mean light in each of so many slices along a scan that passes so many periods.
 * @param wave One period. @param periods More than 0. @param slices Whole, 1 or more. @returns 0…1 each.
 * @throws {RangeError} naming the value and its range.
 * Valid: a steady speed. Source: integral of the waveform over each slice.
 */
export function lightAlong(wave: Float64Array, periods: number, slices: number): Float64Array {
  requireInRange('periods', periods, Number.MIN_VALUE, 1e9)
  requireInRange('slices', slices, 1, 1e6)
  const sums = new Float64Array(wave.length + 1)
  for (let i = 0; i < wave.length; i++) sums[i + 1] = (sums[i] ?? 0) + (wave[i] ?? 0) / wave.length
  const whole = sums[wave.length] ?? 0
  // Light up to a place, counted in periods from the start.
  const upTo = (at: number): number => {
    const turns = Math.floor(at)
    const within = (at - turns) * wave.length
    const i = Math.min(wave.length - 1, Math.floor(within))
    return turns * whole + (sums[i] ?? 0) + (within - i) * ((sums[i + 1] ?? 0) - (sums[i] ?? 0))
  }
  const step = periods / slices
  return Float64Array.from({ length: slices }, (_, i) => (upTo((i + 1) * step) - upTo(i * step)) / step)
}
