import type { LogicId } from './logicNames'

/** What an output gives and an input wants, V. */
export interface Levels {
  /** Lowest that the output gives for high, under load, and highest that it gives for low. */
  readonly high: number
  readonly low: number
}
export interface Thresholds {
  /** From here on an input reads high; up to here low. */
  readonly high: number
  readonly low: number
}

/** Logic families by their supply. Source: JESD8C for 3.3 V (from memory), JESD7-A for 5 V CMOS (from memory). */
export const LOGIC = {
  lvttl: { volts: 3.3, gives: { high: 2.4, low: 0.4 }, wants: { high: 2, low: 0.8 } },
  ttl: { volts: 5, gives: { high: 2.4, low: 0.4 }, wants: { high: 2, low: 0.8 } },
  cmos5: { volts: 5, gives: { high: 4.4, low: 0.1 }, wants: { high: 3.5, low: 1.5 } },
} as const satisfies Readonly<Record<LogicId, { readonly volts: number; readonly gives: Levels; readonly wants: Thresholds }>>

/**
 * Room of the level that is nearer to failing between an output and an input: min(V_OH − V_IH, V_IL − V_OL).
 * @param output Family of the output. @param input Family of the input. @returns V; below 0 it does not drive it for certain.
 * Valid: within both supplies' ranges. Source: JESD8C, JESD7-A (from memory).
 * @example levelMargin('lvttl', 'cmos5') // -1.1
 */
export function levelMargin(output: LogicId, input: LogicId): number {
  const { gives } = LOGIC[output]
  const { wants } = LOGIC[input]
  return Math.min(gives.high - wants.high, wants.low - gives.low)
}
