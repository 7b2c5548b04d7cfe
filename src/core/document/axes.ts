import { anAxis } from '../motion'
import type { Bench } from './bench'

/** The axes of a bench in their order: ids. */
export function axisIds(bench: Bench): readonly string[] {
  return anAxis.each(bench).map(([id]) => id)
}
