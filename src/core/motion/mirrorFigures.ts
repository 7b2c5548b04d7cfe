import { figureOf, type Plain } from '../bench'
import { steps, travelOf } from './figures'
import { fieldGrid, fieldPlace, halfFieldInFocus, type FieldGrid, type FieldPlace, type MirrorPair } from './mirrors'
import type { Motion, MotionBench } from './slice'
import { anAxis } from './subjects'

const figure = figureOf<MotionBench>()

function pairOf({ mirrors }: Plain<Motion>): MirrorPair {
  return { heightMm: mirrors.height, apartMm: mirrors.apart, last: mirrors.last }
}

/** What the corner of the field is like. */
export const mirrorCorner = figure({
  id: 'motion.mirrorCorner',
  label: 'The corner of the field',
  quantity: 'ratio',
  formula: '\\text{slopes of the angles at the corner}',
  symbols: {},
  source: 'Reflection at two plane mirrors, tested against ray tracing.',
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view): FieldPlace {
    const [x, y] = [view.figure(travelOf, 'X') / 2, view.figure(travelOf, 'Y') / 2]
    return fieldPlace(pairOf(view.bench.motion), 1, { x, y })
  },
})

/** Places of the field where the plate says how fine it is: three by three. */
export interface FieldMap {
  readonly grid: FieldGrid
  readonly places: readonly { readonly x: number; readonly y: number; readonly stepsX: number; readonly stepsY: number }[]
}

export const fieldMap = figure({
  id: 'motion.fieldMap',
  label: 'The field of the mirrors',
  quantity: 'ratio',
  formula: '\\text{slopes of the angles over the field}',
  symbols: {},
  source: 'Reflection at two plane mirrors, tested against ray tracing.',
  doubt: { none: 'A map; each number that is judged is a figure of its own.' },
  work(view): FieldMap {
    const pair = pairOf(view.bench.motion)
    const [X, Y] = [view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')]
    const ids = Object.keys(view.bench.motion.axes)
    const idOf = (letter: string): string => ids.find((id) => view.bench.motion.axes[id]?.letter === letter) ?? ''
    const middle = fieldPlace(pair, 1, { x: 0, y: 0 })
    const perRadX = view.figure(steps, idOf('X')) / middle.stepsX
    const perRadY = view.figure(steps, idOf('Y')) / middle.stepsY
    const places = [-0.5, 0, 0.5].flatMap((v) =>
      [-0.5, 0, 0.5].map((u) => {
        const at = fieldPlace(pair, 1, { x: u * X, y: v * Y })
        return { x: u * X, y: v * Y, stepsX: perRadX * at.stepsX, stepsY: perRadY * at.stepsY }
      }),
    )
    return { grid: fieldGrid(pair, X, Y), places }
  },
})

export const cornerFocusError = figure({
  id: 'motion.cornerFocusError',
  label: 'Focus error in the corner of the field',
  quantity: 'length',
  formula: '\\Delta z = \\text{way to the corner} - \\text{way to the middle}',
  symbols: {},
  source: 'Reflection at two plane mirrors.',
  doubt: 'nudge',
  work: (view): number => view.figure(mirrorCorner).focusErrorMm,
})

export const cornerSpotGrowth = figure({
  id: 'motion.cornerSpotGrowth',
  label: 'Spot in the corner, longer by a factor of',
  quantity: 'ratio',
  formula: 'g = 1/\\cos^2\\vartheta',
  symbols: {},
  source: 'Projection of a cone on a tilted plane.',
  doubt: 'nudge',
  work: (view): number => view.figure(mirrorCorner).growthAlong,
})

export const focusMargin = figure({
  id: 'motion.focusMargin',
  label: 'Depth of focus left in the corner',
  quantity: 'length',
  formula: 'm = \\v{d} - \\v{z}',
  symbols: { d: 'motion.mirrors.focusDepth', z: '=motion.cornerFocusError' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.mirrors.focusDepth - view.figure(cornerFocusError),
})

export const halfField = figure({
  id: 'motion.halfField',
  label: 'Half field in focus, along an axis',
  quantity: 'length',
  formula: 's = \\sqrt{(\\v{h} + \\v{d})^2 - \\v{h}^2}',
  symbols: { h: 'motion.mirrors.height', d: 'motion.mirrors.focusDepth' },
  source: 'Pythagoras.',
  doubt: 'nudge',
  work: (view): number => halfFieldInFocus(view.bench.motion.mirrors.height, view.bench.motion.mirrors.focusDepth),
})

export const gearWanted = figure({
  id: 'motion.gearWanted',
  of: anAxis,
  label: 'More gear for the wanted resolution',
  quantity: 'ratio',
  formula: 'i = \\dfrac{\\v{w}}{\\v{s}}',
  symbols: { w: 'motion.mirrors.wantedSteps', s: '=motion.stepsPerMm|{0}' },
  source: 'By definition: wanted steps over those in the middle of the field.',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.bench.motion.mirrors.wantedSteps / view.figure(steps, axisId),
})
