import type { Finding } from '../units'
import type { Span } from './fit'

/** What a set of readings is held against before it is fitted. */
export interface ReadingContext {
  /** mm; null where it is not known. */
  readonly travel: number | null
  /** Instrument's range, mm. */
  readonly range: { readonly min: number; readonly max: number } | null
  /** The other axis's commanded spans, to notice that two axes were swapped. */
  readonly other: readonly number[]
}

/** A reading this far from what was commanded is looked at again: more than any drive train is off by. */
const FAR = 0.2
/** A reading nearer than this to another axis's span, and far from its own, looks swapped. */
const NEAR = 0.02

/** Findings of readings that cannot be, or are not likely; the readings themselves are kept as they are. */
export function checkReadings(spans: readonly Span[], { travel, range, other }: ReadingContext): readonly Finding[] {
  return spans.flatMap(({ commanded, measured }, i): Finding[] => {
    const say = (severity: Finding['severity'], code: string, message: string): Finding => ({
      severity,
      code,
      message: `Reading ${i + 1}: ${message}`,
      line: i + 1,
    })
    if (!(measured > 0)) return [say('error', 'not-positive', `${measured} mm cannot be a length. Read it again.`)]
    if (range !== null && (measured < range.min || measured > range.max)) {
      return [
        say(
          'error',
          'beyond-instrument',
          `${measured} mm is beyond the instrument, which reads ${range.min} to ${range.max} mm. Choose another one.`,
        ),
      ]
    }
    if (travel !== null && measured > 2 * travel)
      return [
        say('error', 'beyond-travel', `${measured} mm is more than twice the travel. Check the decimal point and the unit.`),
      ]
    if (Math.abs(measured / commanded - 1) <= FAR) return []
    const swapped = other.some((it) => Math.abs(measured / it - 1) <= NEAR)
    const advice = swapped ? 'It fits a span of the other axis: were the two swapped?' : 'Check which span was measured.'
    return [
      say('warning', swapped ? 'swapped' : 'far-off', `${measured} mm was read where ${commanded} mm were commanded. ${advice}`),
    ]
  })
}
