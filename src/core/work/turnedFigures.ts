import { figureOf, subjectOf, type View } from '../bench'
import { circumference, theObject, type RotaryBench, type RotaryView } from '../rotary'
import { burntBox, type WorkBench } from './figures'

type TurnedView = WorkBench & RotaryView
const figure = figureOf<TurnedView>()

/** The object in hand, where the order lies round it. */
export const anOrderRound = subjectOf<RotaryBench & WorkBench>()(
  'order round an object',
  (bench): readonly [objectId: string][] =>
    bench.rotary.lays === 'round' && Object.keys(bench.work.pieces).length > 0 ? theObject.each(bench) : [],
)

/** Whether the order goes all the way round and is to close. */
export const closes = ({ rotary }: RotaryBench): boolean => rotary.wraps === 'yes'

/** What is burnt, across the axis of the object, mm. */
function aroundOf(view: View<TurnedView>): number {
  const { left, bottom, right, top } = burntBox(view)
  return view.bench.rotary.stack.axisLies === 'y' ? right - left : top - bottom
}

export const patternAround = figure({
  id: 'work.patternAround',
  of: anOrderRound,
  label: 'The order, around the object',
  quantity: 'length',
  formula: 'w',
  symbols: {},
  source: 'The box around all that is burnt, across the axis.',
  doubt: { none: 'Of the drawing as it is laid out.' },
  work: (view, _id: string): number => aroundOf(view),
})

export const patternRoom = figure({
  id: 'work.patternRoom',
  of: anOrderRound,
  label: 'The order along the object',
  quantity: 'length',
  signs: { above: 'shorter than the work’s stretch by', below: 'longer than the work’s stretch by' },
  formula: 'm = (x_2 - x_1) - \\ell',
  symbols: {},
  source: 'The stretch of the work less the box around all that is burnt, along the axis.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { left, bottom, right, top } = burntBox(view)
    const object = view.bench.rotary.objects[id]
    const along = view.bench.rotary.stack.axisLies === 'y' ? top - bottom : right - left
    return (object?.workTo ?? Number.NaN) - (object?.workFrom ?? Number.NaN) - along
  },
})

export const seam = figure({
  id: 'work.seam',
  of: anOrderRound,
  label: 'Where it meets itself',
  quantity: 'length',
  signs: { above: 'short by', below: 'over by' },
  formula: 'g = \\v{C} - \\v{w}',
  symbols: { C: '=rotary.circumference|{0}', w: '=work.patternAround|{0}' },
  source: 'By definition: once round less what the order takes.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(circumference, id) - view.figure(patternAround, id),
})

export const closingScale = figure({
  id: 'work.closingScale',
  of: anOrderRound,
  label: 'Scale at which it would close',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = \\dfrac{\\v{C}}{\\v{w}}',
  symbols: { C: '=rotary.circumference|{0}', w: '=work.patternAround|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(circumference, id) / view.figure(patternAround, id),
})

export const seamRoom = figure({
  id: 'work.seamRoom',
  of: anOrderRound,
  label: 'Left of the gap that may stay, or of the way round',
  quantity: 'length',
  formula: 'm',
  symbols: {},
  source: 'A pattern that closes may miss by the gap that may stay, whichever way; one that does not must fit.',
  doubt: 'nudge',
  work(view, id: string): number {
    const gap = view.figure(seam, id)
    return view.bench.rotary.wraps === 'yes' ? view.bench.calibrate.gapAllowed - Math.abs(gap) : gap
  },
})

/** The machine as it stands against the order: 1 where they agree, −1 where what leaves would be burnt with the other’s settings. */
export const turnedRoom = figure({
  id: 'work.turnedRoom',
  of: subjectOf<RotaryBench & WorkBench>()('order and rotary', ({ rotary, work }): [][] =>
    Object.keys(work.pieces).length > 0 && (rotary.swap.axis !== '' || rotary.lays === 'round') ? [[]] : [],
  ),
  label: 'Order and machine agree',
  quantity: 'ratio',
  formula: 'm = \\pm 1',
  symbols: {},
  source: 'A flat order wants the axes’ own settings, one round an object those of the rotary.',
  doubt: { none: 'Yes or no.' },
  work(view): number {
    const { lays, swap, turn } = view.bench.rotary
    const wantsSwap = lays === 'round' && turn.standsFor !== 'own'
    return wantsSwap === (swap.axis !== '') ? 1 : -1
  },
})
