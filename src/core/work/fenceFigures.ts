import { figureOf, NotYet, subjectOf } from '../bench'
import { placesOf } from './fence'
import type { WorkBench } from './figures'
import type { WorkSlice } from './slice'

const figure = figureOf<WorkBench>()

/** The fence, where sheets are placed by it. */
export const aFence = subjectOf<WorkSlice>()('fence', ({ work }): [][] => (work.placedBy === 'fence' ? [[]] : []))
/** Axes along which blanks lie side by side. */
export const aRowOfPlaces = subjectOf<WorkSlice>()('axis with places', ({ work }): [letter: string][] => [
  ...(work.placeColumns > 1 ? [['X'] as [string]] : []),
  ...(work.placeRows > 1 ? [['Y'] as [string]] : []),
])

/** A fence counts as laid along lines that were burnt no further from its place than this, mm. */
const SAME = 0.01

export const fenceOff = figure({
  id: 'work.fenceOff',
  of: aFence,
  label: 'From where its lines were burnt to where the fence is said to lie',
  quantity: 'length',
  formula: 'd = \\sqrt{(\\v{x} - x_b)^2 + (\\v{y} - y_b)^2}',
  symbols: { x: 'work.fenceX', y: 'work.fenceY' },
  source: 'By definition.',
  doubt: { none: 'Both are what the program was told; how well the edge was laid stands with its place.' },
  work(view): number {
    const { fenceBurnt, fenceBurntX, fenceBurntY, fenceX, fenceY } = view.bench.work
    if (fenceBurnt === 'no') throw new NotYet('burn the lines of the fence')
    return Math.hypot(fenceX - fenceBurntX, fenceY - fenceBurntY)
  },
})

export const fenceRoom = figure({
  id: 'work.fenceRoom',
  of: aFence,
  label: 'Fence within 0.01 mm of its lines by',
  quantity: 'length',
  formula: 'm = 0.01\\ \\text{mm} - \\v{d}',
  symbols: { d: '=work.fenceOff' },
  source: 'What a program prints is no finer (common practice).',
  doubt: { none: 'As the distance itself.' },
  work: (view): number => SAME - view.figure(fenceOff),
})

export const placeRoom = figure({
  id: 'work.placeRoom',
  of: aRowOfPlaces,
  label: 'Between blanks side by side',
  signs: { above: 'a gap of', below: 'an overlap of' },
  quantity: 'length',
  formula: 'g = s - w',
  symbols: {},
  source: 'By definition: from one place to the next, less the blank.',
  doubt: 'nudge',
  work(view, letter: string): number {
    const { work } = view.bench
    if (!placesOf(work).some((it) => it.isIn)) throw new NotYet('say which places have a blank')
    return letter === 'X' ? work.placeStepX - work.sheetWidth : work.placeStepY - work.sheetHeight
  },
})
