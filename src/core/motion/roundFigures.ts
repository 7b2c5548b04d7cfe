import { figureOf, type View } from '../bench'
import { cableLength, controllerReach } from './cables'
import { travelOf } from './figures'
import type { MotionBench } from './slice'
import { wheelAdvice, type WheelAdvice } from './wheels'

const figure = figureOf<MotionBench>()

function runOf(view: View<MotionBench>) {
  return { travelX: view.figure(travelOf, 'X'), travelY: view.figure(travelOf, 'Y'), ...view.bench.motion.cables }
}

const RUN = { X: '=motion.travelOf|X', Y: '=motion.travelOf|Y', u: 'motion.cables.up', s: 'motion.cables.spare' }

export const cableNeeded = figure({
  id: 'motion.cableNeeded',
  label: 'Cable from the head to the controller',
  quantity: 'length',
  formula: 'l = (\\max(|\\v{x}|, |\\v{X} - \\v{x}|) + \\max(|\\v{y}|, |\\v{Y} - \\v{y}|) + \\v{u})\\cdot(1 + \\v{s})',
  symbols: { ...RUN, x: 'motion.cables.controllerX', y: 'motion.cables.controllerY' },
  source: 'Along the bars to the farthest corner of the travel.',
  doubt: 'nudge',
  work(view): number {
    const run = runOf(view)
    return Object.values(run).some((it, i) => i < 6 && Number.isNaN(it)) ? Number.NaN : cableLength(run)
  },
})

export const controllerWithin = figure({
  id: 'motion.controllerWithin',
  label: 'Controller from the middle, along the bars, up to',
  quantity: 'length',
  formula: 'd = \\dfrac{\\v{l}}{1 + \\v{s}} - \\v{u} - \\dfrac{\\v{X} + \\v{Y}}{2}',
  symbols: { ...RUN, l: 'motion.cables.length' },
  source: 'The same, solved for the way from the middle of the travel; nearer than the ends of the travel it is half of them.',
  doubt: 'nudge',
  work: (view): number => controllerReach(view.bench.motion.cables.length, runOf(view)),
})

export const cableMargin = figure({
  id: 'motion.cableMargin',
  label: 'Shortest cable reaches by',
  quantity: 'length',
  formula: 'm = \\v{l} - \\v{n}',
  symbols: { l: 'motion.cables.length', n: '=motion.cableNeeded' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.cables.length - view.figure(cableNeeded),
})

/** What each advice is as a margin: above 0 nothing is to be done. */
const MARGIN_OF: Readonly<Record<WheelAdvice, number>> = { leave: 1, tighten: -1, loosen: -2, 'not the eccentrics': -3 }

export const wheelsMargin = figure({
  id: 'motion.wheelsMargin',
  label: 'Eccentrics: 1 leave, −1 tighten, −2 loosen, −3 another fault',
  quantity: 'count',
  formula: '\\text{rocks or turns freely: tighten; drags or cannot be turned: loosen; both: another fault}',
  symbols: {},
  source: 'Setting of wheeled carriages (common practice).',
  doubt: { none: 'Three choices.' },
  work(view): number {
    const { rock, roll, turn } = view.bench.motion.wheels
    return MARGIN_OF[wheelAdvice({ rock, roll, turn })]
  },
})

/** What the rolling test says, by its margin; null while a part of it was not done. */
export function adviceBy(margin: number): WheelAdvice | null {
  return (Object.keys(MARGIN_OF) as WheelAdvice[]).find((it) => MARGIN_OF[it] === margin) ?? null
}

export const driversNeeded = figure({
  id: 'motion.driversNeeded',
  label: 'Drivers that the motors need',
  quantity: 'count',
  formula: 'n = \\text{one a motor, one for two motors that share it}',
  symbols: {},
  source: 'By addition over the axes.',
  doubt: 'nudge',
  work(view): number {
    const { kinematics, axes } = view.bench.motion
    return Object.values(axes).reduce((sum, axis) => {
      if (kinematics === 'crossed' || kinematics === 'mirrors' || axis.motors !== 2) return sum + 1
      return sum + (axis.drivers === 'each' ? 2 : 1)
    }, 0)
  },
})

export const driversLeft = figure({
  id: 'motion.driversLeft',
  label: 'Drivers left on the controller',
  quantity: 'count',
  formula: 'm = \\v{d} - \\v{n}',
  symbols: { d: 'motion.boardDrivers', n: '=motion.driversNeeded' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.boardDrivers - view.figure(driversNeeded),
})
