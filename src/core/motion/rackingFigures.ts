import { figureOf } from '../bench'
import { frameWidth } from './figures'
import type { MotionBench } from './slice'

const figure = figureOf<MotionBench>()

export const racking = figure({
  id: 'motion.racking',
  label: 'Gantry out of square with its rails',
  quantity: 'angle',
  formula: '\\rho = \\arctan\\dfrac{\\v{l} - \\v{r}}{\\v{W} - \\v{t}}',
  symbols: { l: 'motion.racking.left', r: 'motion.racking.right', W: '=motion.frameWidth', t: 'motion.frame.barWidth' },
  source: 'Definition of the tangent; both ends are measured over the rails.',
  doubt: 'nudge',
  work(view): number {
    const { left, right } = view.bench.motion.racking
    return Math.atan((left - right) / (view.figure(frameWidth) - view.bench.motion.frame.barWidth))
  },
})

export const rackingMargin = figure({
  id: 'motion.rackingMargin',
  label: 'Angle left before the gantry racks too far',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\rho}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\rho': '=motion.racking' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.squareWithin - Math.abs(view.figure(racking)),
})
