import { figureOf } from '../bench'
import { smallestStep, type MotionBench } from '../motion'
import type { OpticsBench } from './slice'

const figure = figureOf<OpticsBench & MotionBench>()

export const spotSmaller = figure({
  id: 'optics.spotSmaller',
  label: 'Smaller side of the spot',
  quantity: 'length',
  formula: 'd_s = \\min(\\v{d_x},\\, \\v{d_y})',
  symbols: { d_x: 'optics.spotX', d_y: 'optics.spotY' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => Math.min(view.bench.optics.spotX, view.bench.optics.spotY),
})

export const stepsAcrossSpot = figure({
  id: 'optics.stepsAcrossSpot',
  label: 'Steps across the spot',
  quantity: 'ratio',
  formula: 'n = \\dfrac{\\v{d_s}}{\\v{d}}',
  symbols: { d_s: '=optics.spotSmaller', d: '=motion.smallestStep|{0}' },
  source: 'Step at most a quarter of the spot is good, more than the spot is a stop (common practice).',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.figure(spotSmaller) / view.figure(smallestStep, axisId),
})

export const opticsFigures = [spotSmaller, stepsAcrossSpot] as const
