import type { Step } from '../gcode'
import { requireInRange } from '../units'
import { strokesOf, type RunShape } from './layout'

/** How far before its place a line is approached, mm: more than any backlash. */
export const APPROACH = 4

/**
 * The program of a scale run: every line's place is approached from its own side with the beam off.
 * @param power Share of full power, 0…1. @param feed mm/s.
 * @throws {RangeError} naming the value and its range.
 */
export function scaleRunSteps(shape: RunShape, power: number, feed: number): readonly Step[] {
  requireInRange('power', power, 0, 1)
  requireInRange('feed', feed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  const lines = strokesOf(shape).flatMap(({ label, marks, x0, y0, x1, y1, approach }): Step[] => {
    const before = APPROACH * approach
    return [
      { kind: 'remark', text: label },
      { kind: 'rapid', x: marks === 'x' ? x0 - before : x0, y: marks === 'y' ? y0 - before : y0 },
      { kind: 'rapid', x: x0, y: y0 },
      { kind: 'line', x: x1, y: y1, feed, power },
    ]
  })
  return [{ kind: 'remark', text: 'Scale run' }, ...lines, { kind: 'rapid', x: shape.origin.x, y: shape.origin.y }]
}

/** Lines of the faint ramp, their length and distance, mm. */
export const RAMP = { lines: 12, length: 20, apart: 4 } as const

/**
 * Powers of the faint ramp: from the sighting power upwards, each the same share above the one before.
 * @param from Sighting power, share of full power; more than 0. @param to Last power; not below `from`, at most 1.
 * @throws {RangeError} naming the value and its range.
 */
export function rampPowers(from: number, to: number): readonly number[] {
  requireInRange('from', from, Number.MIN_VALUE, 1)
  requireInRange('to', to, from, 1)
  return Array.from({ length: RAMP.lines }, (_, i) => from * (to / from) ** (i / (RAMP.lines - 1)))
}

/**
 * The program of the faint ramp: lines along X, one above the other, the weakest first and lowest.
 * @param feed mm/s. @throws {RangeError} naming the value and its range.
 */
export function rampSteps(
  origin: { readonly x: number; readonly y: number },
  powers: readonly number[],
  feed: number,
): readonly Step[] {
  requireInRange('feed', feed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  const lines = powers.flatMap((power, i): Step[] => {
    const y = origin.y + i * RAMP.apart
    return [
      { kind: 'remark', text: `Line ${i + 1}` },
      { kind: 'rapid', x: origin.x, y },
      { kind: 'line', x: origin.x + RAMP.length, y, feed, power },
    ]
  })
  return [{ kind: 'remark', text: 'Faint ramp' }, ...lines, { kind: 'rapid', x: origin.x, y: origin.y }]
}
