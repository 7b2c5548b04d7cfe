import { figureOf } from '../bench'
import { rockingAtSpot } from './level'
import type { MotionBench } from './slice'

const figure = figureOf<MotionBench>()

export const rocking = figure({
  id: 'motion.rocking',
  label: 'Spot wanders in the play by',
  quantity: 'length',
  formula: 'w = \\v{c}\\cdot \\dfrac{\\v{a}}{\\v{b}}',
  symbols: { c: 'motion.play.clearance', a: 'motion.play.lever', b: 'motion.play.spacing' },
  source: 'Similar triangles.',
  doubt: 'nudge',
  work(view): number {
    const { clearance, lever, spacing } = view.bench.motion.play
    return Number.isNaN(clearance) ? Number.NaN : rockingAtSpot(clearance, lever, spacing)
  },
})
