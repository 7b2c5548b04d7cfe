import { requireInRange } from '../units'
import type { ThreadName } from './threads'

/** Thickness of a plain washer, mm. Source: ISO 7089 (from memory). */
export const WASHER: Readonly<Record<ThreadName, number>> = { M3: 0.5, M4: 0.8, M5: 1, M6: 1.6, M8: 1.6 }
/** Shim rings as they are sold, mm. Source: DIN 988 (from memory). */
export const SHIMS = [0.1, 0.2, 0.3, 0.5, 1] as const

/** Washers and shims that fill a gap. */
export interface SpacerStack {
  readonly washers: number
  /** Shims, thickest first, mm. */
  readonly shims: readonly number[]
  /** What stays open (above 0) or is too much, mm. */
  readonly leftMm: number
}

/** Washers beyond this are a spacer to turn or print, not a stack. */
const MOST_WASHERS = 12

/**
 * Washers and shims that bring two mounts into line: as many whole washers as fit, shims for what is left, to a twentieth.
 * @param gapMm By how much one mount stands lower; 0 or more. @returns Null where it is more than a dozen washers.
 * @throws {RangeError} for a gap below 0.
 * Valid: loads that clamp the stack. Source: ISO 7089 and DIN 988 for what there is (from memory).
 * @example spacerFor(2.6, 'M5') // { washers: 2, shims: [0.5, 0.1], leftMm: 0 }
 */
export function spacerFor(gapMm: number, thread: ThreadName): SpacerStack | null {
  requireInRange('gapMm', gapMm, 0, Number.MAX_VALUE, 'mm')
  const washers = Math.floor(gapMm / WASHER[thread] + 1e-9)
  if (washers > MOST_WASHERS) return null
  // In tenths, so that no sum of tenths is off by the last bit.
  let tenths = Math.round((gapMm - washers * WASHER[thread]) * 10)
  const shims: number[] = []
  for (const shim of [...SHIMS].reverse()) {
    while (tenths >= Math.round(shim * 10)) {
      shims.push(shim)
      tenths -= Math.round(shim * 10)
    }
  }
  const filled = washers * WASHER[thread] + shims.reduce((sum, it) => sum + it, 0)
  return { washers, shims, leftMm: Number((gapMm - filled).toFixed(3)) }
}
