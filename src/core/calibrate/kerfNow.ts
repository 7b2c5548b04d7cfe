import { NotYet, type View } from '../bench'
import { kerf } from './kerfFigures'
import { newestTrial } from './newestTrial'
import type { CalibrateBench } from './slice'

/** What a kerf is read from. */
export type KerfView = View<CalibrateBench>

/**
 * The mean of both axes of the newest kerf trial, as far as both were read, mm; null without one. @param view A figure’s. @throws what a figure throws that cannot be worked.
 */
export function kerfByTrial(view: KerfView): number | null {
  const trials = view.rows(({ calibrate }) => calibrate.trials.kerf)
  const trial = newestTrial({ kerf: trials } as unknown as CalibrateBench['calibrate']['trials'], 'kerf')
  if (trial === null) return null
  const read = (['x', 'y'] as const).flatMap((axis) => {
    try {
      return [view.figure(kerf, trial, axis)]
    } catch (error) {
      if (error instanceof NotYet) return []
      throw error
    }
  })
  return read.length === 0 ? null : read.reduce((sum, it) => sum + it, 0) / read.length
}
