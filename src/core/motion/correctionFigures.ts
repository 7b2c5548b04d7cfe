import { figureOf, type View } from '../bench'
import { frameWidth, squareness, steps } from './figures'
import { racking } from './rackingFigures'
import type { MotionBench } from './slice'

const figure = figureOf<MotionBench>()

/** The axis along which the gantry runs. */
function alongY(view: View<MotionBench>): string {
  const { axes } = view.bench.motion
  return Object.keys(axes).find((id) => axes[id]?.letter === 'Y') ?? ''
}

const RAILS = { W: '=motion.frameWidth', t: 'motion.frame.barWidth' }

/** From rail to rail, mm. */
function betweenRails(view: View<MotionBench>): number {
  return view.figure(frameWidth) - view.bench.motion.frame.barWidth
}

export const rackingShift = figure({
  id: 'motion.rackingShift',
  label: 'Right end of the gantry, to the back by',
  quantity: 'length',
  formula: 'e = (\\v{W} - \\v{t})\\cdot \\tan \\v{\\rho}',
  symbols: { ...RAILS, '\\rho': '=motion.racking' },
  source: 'Definition of the tangent: the ends then stand alike; below 0 to the front.',
  doubt: 'nudge',
  work: (view): number => betweenRails(view) * Math.tan(view.figure(racking)),
})

export const rackingSteps = figure({
  id: 'motion.rackingSteps',
  label: 'by the right motor alone, steps',
  quantity: 'count',
  formula: 'n = \\v{e}\\cdot s_Y',
  symbols: { e: '=motion.rackingShift' },
  source: 'By definition, with the nominal steps of Y; the left motor holds.',
  doubt: 'nudge',
  work: (view): number => view.figure(rackingShift) * view.figure(steps, alongY(view)),
})

export const squareShift = figure({
  id: 'motion.squareShift',
  label: 'To square X to Y: right end to the front by',
  quantity: 'length',
  formula: 'e = (\\v{W} - \\v{t})\\cdot \\tan \\v{\\delta}',
  symbols: { ...RAILS, '\\delta': '=motion.outOfSquare' },
  source: 'Definition of the tangent: an angle at the origin under 90° has its right end too far behind; below 0 to the back.',
  doubt: 'nudge',
  work: (view): number => betweenRails(view) * Math.tan(view.figure(squareness)),
})

export const squareSteps = figure({
  id: 'motion.squareSteps',
  label: 'by the right motor alone, steps',
  quantity: 'count',
  formula: 'n = -\\v{e}\\cdot s_Y',
  symbols: { e: '=motion.squareShift' },
  source: 'By definition, with the nominal steps of Y; above 0 to the back.',
  doubt: 'nudge',
  work: (view): number => -view.figure(squareShift) * view.figure(steps, alongY(view)),
})
