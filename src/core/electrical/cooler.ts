import { requireInRange } from '../units'

const ZERO_C = 273.15

/** A thermoelectric cooler as its data sheet has it, with its hot side at a temperature. */
export interface CoolerSheet {
  readonly mostAmps: number
  /** V at the most current. */
  readonly mostVolts: number
  /** Most difference between its sides while no heat is moved, K. */
  readonly mostStepK: number
  /** Hot side that these hold at, °C. */
  readonly ratedAtC: number
}

/** What a cooler is made of: Seebeck coefficient V/K, resistance Ω, heat conducted back W/K. */
export interface Cooler {
  readonly seebeck: number
  readonly ohms: number
  readonly perK: number
}

/**
 * Seebeck coefficient, resistance and conductance of a cooler from its data sheet: α = U/T_h, R = U·T_c/(I·T_h),
 * K = U·I·T_c/(2·T_h·ΔT), with T_c = T_h − ΔT, in kelvin.
 * @throws {RangeError} naming the value and its range.
 * Valid: one stage; properties taken as constant between the sides. Source: the usual one-dimensional model of a cooler,
 * solved for its most current and most difference (from memory).
 * @example coolerFrom({ mostAmps: 6.4, mostVolts: 14.4, mostStepK: 66, ratedAtC: 27 }).ohms // 1.755
 */
export function coolerFrom({ mostAmps: I, mostVolts: U, mostStepK: step, ratedAtC }: CoolerSheet): Cooler {
  requireInRange('mostAmps', I, Number.MIN_VALUE, Number.MAX_VALUE, 'A')
  requireInRange('mostVolts', U, Number.MIN_VALUE, Number.MAX_VALUE, 'V')
  requireInRange('mostStepK', step, 1, 150, 'K')
  requireInRange('ratedAtC', ratedAtC, -50, 150, '°C')
  const hot = ratedAtC + ZERO_C
  const cold = hot - step
  return { seebeck: U / hot, ohms: (U * cold) / (I * hot), perK: (U * I * cold) / (2 * hot * step) }
}

/** A cooler at work. */
export interface Cooled {
  readonly coldC: number
  readonly hotC: number
  /** Power that it takes itself, W. */
  readonly watts: number
  /** Heat that its hot side gives to the air: what it moves and what it takes, W. */
  readonly hotWatts: number
}

/**
 * A cooler that moves a heat into the air through a heat sink: both sides’ temperatures from the balance of each.
 * Cold: Q = α·I·T_c − I²R/2 − K(T_h − T_c). Hot: (T_h − T_a)/R_s = Q + α·I·(T_h − T_c) + I²R.
 * @param heat Q, W; 0 or more. @param amps I, A. @param airC T_a, °C. @param sink R_s, K/W.
 * @throws {RangeError} where the heat sink cannot carry it: the hot side would run away.
 * Valid: at rest; as the model of the cooler. Source: balance of heat at both sides.
 */
export function cooled(it: Cooler, heat: number, amps: number, airC: number, sink: number): Cooled {
  requireInRange('heat', heat, 0, Number.MAX_VALUE, 'W')
  requireInRange('amps', amps, 0, Number.MAX_VALUE, 'A')
  requireInRange('sink', sink, Number.MIN_VALUE, Number.MAX_VALUE, 'K/W')
  const { seebeck, ohms, perK } = it
  const air = airC + ZERO_C
  const pump = seebeck * amps
  const joule = amps * amps * ohms
  // (pump + K)·T_c − K·T_h = Q + joule/2 ;  pump·T_c + (1/R_s − pump)·T_h = T_a/R_s + Q + joule
  const [a, b, c, d] = [pump + perK, -perK, pump, 1 / sink - pump]
  const [p, q] = [heat + joule / 2, air / sink + heat + joule]
  const det = a * d - b * c
  const hot = (a * q - c * p) / det
  const cold = (p * d - b * q) / det
  if (!(det > 0) || hot - ZERO_C > MOST_HOT) {
    throw new RangeError('the hot side runs away: a larger heat sink, more air, or less current through the cooler')
  }
  const watts = pump * (hot - cold) + joule
  return { coldC: cold - ZERO_C, hotC: hot - ZERO_C, watts, hotWatts: heat + watts }
}

/** Beyond it the solder of a cooler melts, °C (common practice). */
const MOST_HOT = 138
