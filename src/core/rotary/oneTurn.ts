import { requireInRange } from '../units'

/**
 * Steps for a turn after the mark overran. @param before Steps that were set for a turn. @param circumference Of the surface, mm. @param overrun For one commanded turn, mm.
 * @throws {RangeError} where a size is not more than 0, or the overrun takes the whole way back. Valid: an overrun of less than a turn. Source: new = old × C/(C + δ); handbook of the trade. @example stepsAfterOverrun(3200, 188.5, 0.935) // 3184
 */
export function stepsAfterOverrun(before: number, circumference: number, overrun: number): number {
  requireInRange('before', before, Number.MIN_VALUE, 1e9)
  requireInRange('circumference', circumference, Number.MIN_VALUE, 1e5, 'mm')
  if (!(circumference + overrun > 0)) throw new RangeError('the mark cannot come back by more than it went')
  return (before * circumference) / (circumference + overrun)
}
