import { figureOf } from '../bench'
import { drawnHole } from '../fasteners'
import { travelOf, type MotionBench } from '../motion'
import { neverBurn } from '../safety'
import type { PlanBench } from './slice'
import { aLetter } from '../motion'

const figure = figureOf<PlanBench & MotionBench>()

/** How far an axis goes beyond the largest work. */
export const reachMargin = figure({
  id: 'plan.reachMargin',
  of: aLetter,
  label: 'Travel beyond the largest work',
  quantity: 'length',
  formula: 'm = \\v{X} - \\v{w} \\quad\\text{or}\\quad m = \\v{Y} - \\v{d} \\quad\\text{or}\\quad m = \\v{Z} - \\v{h}',
  forms: { by: '{0}', of: { Y: 1, Z: 2 } },
  symbols: {
    X: '=motion.travelOf|X',
    w: 'plan.goals.workWidth',
    Y: '=motion.travelOf|Y',
    d: 'plan.goals.workDepth',
    Z: '=motion.travelOf|Z',
    h: 'plan.goals.workHeight',
  },
  source: 'By definition; approach and clamps need some of it (common practice).',
  doubt: 'nudge',
  work(view, letter: string): number {
    const { goals } = view.bench.plan
    const work = letter === 'X' ? goals.workWidth : letter === 'Y' ? goals.workDepth : goals.workHeight
    return view.figure(travelOf, letter) - work
  },
})

/** Materials on the list of goals that must never be burnt, counted below 0. */
export const materialsMargin = figure({
  id: 'plan.materialsMargin',
  label: 'Materials that must never be burnt, short by',
  quantity: 'count',
  formula: 'm = -\\#\\{\\text{never}\\}',
  symbols: {},
  source: 'What the materials give off (common practice); 0 is the limit.',
  doubt: { none: 'A count.' },
  work: (view): number => 0 - neverBurn(Object.keys(view.bench.plan.goals.materials)).length,
})

export const runningHole = figure({
  id: 'plan.runningHole',
  label: 'Hole to draw, shaft running',
  quantity: 'length',
  formula: 'h = \\v{d} + \\v{p} + \\v{a} \\quad\\text{or}\\quad h = \\v{d} + \\v{p} - \\v{a}',
  forms: { by: 'plan.fits.making', of: { cut: 1 } },
  symbols: { d: 'plan.fits.shaft', p: 'plan.fits.play', a: 'plan.fits.allowance' },
  source: 'By definition: a printed hole shrinks by its allowance, a cut one grows by its kerf.',
  doubt: 'nudge',
  work(view): number {
    const { shaft, play, making, allowance } = view.bench.plan.fits
    return Number.isNaN(shaft) ? Number.NaN : drawnHole(shaft + play, making, allowance)
  },
})

export const pressedHole = figure({
  id: 'plan.pressedHole',
  label: 'Hole to draw, bush pressed in',
  quantity: 'length',
  formula: 'h = \\v{D} - \\v{s} + \\v{a} \\quad\\text{or}\\quad h = \\v{D} - \\v{s} - \\v{a}',
  forms: { by: 'plan.fits.making', of: { cut: 1 } },
  symbols: { D: 'plan.fits.bush', s: 'plan.fits.press', a: 'plan.fits.allowance' },
  source: 'The same, with the squeeze taken off.',
  doubt: 'nudge',
  work(view): number {
    const { bush, press, making, allowance } = view.bench.plan.fits
    return Number.isNaN(bush) ? Number.NaN : drawnHole(bush - press, making, allowance)
  },
})
