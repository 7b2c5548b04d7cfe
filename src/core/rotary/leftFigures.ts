import { figureOf, subjectOf } from '../bench'
import { depthOfFocus } from '../calibrate'
import type { MotionBench } from '../motion'
import { aTurned } from './heightFigures'
import { circumference, diameterOfWork, type RotaryView } from './objectFigures'
import { eccentricity, newestDial, newestTurns, ovality, slip, turnStepsOf } from './runFigures'
import type { RotaryBench } from './slice'
import { nominalTurn, turnSteps } from './turnFigures'

const figure = figureOf<RotaryView & MotionBench>()

/** The object in hand with the newest run of turns. */
const aTurnedByRun = subjectOf<RotaryBench>()('object by its newest run', (bench): [objectId: string, runId: string][] =>
  newestTurns.each(bench).flatMap(([run]) => aTurned.each(bench).map(([id]): [string, string] => [id, run])),
)

export const overrunLeft = figure({
  id: 'rotary.overrunLeft',
  of: aTurnedByRun,
  label: 'After one turn the mark stands',
  quantity: 'length',
  signs: { above: 'past itself by', below: 'short of itself by' },
  formula: '\\delta = \\v{C}\\left(\\dfrac{\\v{N}}{N_r} - 1\\right)',
  symbols: { C: '=rotary.circumference|{0}', N: '=rotary.turnSteps|{0}' },
  source: 'Steps that the bench uses against those of the newest run, scaled with the drive since.',
  doubt: 'nudge',
  work(view, id: string, runId: string): number {
    const { nominal } = view.bench.rotary.turnRuns[runId] ?? { nominal: Number.NaN }
    const byRun = (view.figure(turnStepsOf, runId) * view.figure(nominalTurn, id)) / nominal
    return view.figure(circumference, id) * (view.figure(turnSteps, id) / byRun - 1)
  },
})

export const overrunRoom = figure({
  id: 'rotary.overrunRoom',
  of: aTurnedByRun,
  label: 'Below the gap that may stay by',
  quantity: 'length',
  formula: 'm = \\v{g} - |\\v{\\delta}|',
  symbols: { g: 'calibrate.gapAllowed', '\\delta': '=rotary.overrunLeft|{0}|{1}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string, runId: string): number =>
    view.bench.calibrate.gapAllowed - Math.abs(view.figure(overrunLeft, id, runId)),
})

export const slipLeft = figure({
  id: 'rotary.slipLeft',
  of: newestTurns,
  label: 'Lost at a start, below the gap that may stay by',
  quantity: 'length',
  formula: 'm = \\v{g} - |\\v{s}|',
  symbols: { g: 'calibrate.gapAllowed', s: '=rotary.slip|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, runId: string): number => view.bench.calibrate.gapAllowed - Math.abs(view.figure(slip, runId)),
})

export const trueRoom = figure({
  id: 'rotary.trueRoom',
  of: newestDial,
  label: 'Run-out within the depth of focus by',
  quantity: 'length',
  formula: 'm = \\tfrac12\\v{d} - \\v{e} - \\v{o}',
  symbols: { d: '=calibrate.depthOfFocus', e: '=rotary.eccentricity|{1}', o: '=rotary.ovality|{1}' },
  source: 'Both at the same place, at worst; focused at the mean.',
  doubt: 'nudge',
  work(view, _: string, runId: string): number {
    return view.figure(depthOfFocus) / 2 - view.figure(eccentricity, runId).value - view.figure(ovality, runId).value
  },
})

export const widthSwing = figure({
  id: 'rotary.widthSwing',
  of: newestDial,
  label: 'Work around it is stretched and pressed by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = \\dfrac{2\\,\\v{e}}{\\v{D}}',
  symbols: { e: '=rotary.eccentricity|{1}', D: '=rotary.diameter|{0}' },
  source: 'The surface under the beam goes as fast as its own distance from the axis.',
  doubt: 'nudge',
  work: (view, id: string, runId: string): number =>
    (2 * view.figure(eccentricity, runId).value) / view.figure(diameterOfWork, id),
})

/** How long the rotary may stand in an axis' place before it counts as forgotten, s: a long evening. (common practice) */
const FORGOTTEN = 12 * 3600

const aSwapped = subjectOf<RotaryBench>()('axis that the rotary stands for', ({ rotary }): [axisId: string][] =>
  rotary.swap.axis === '' ? [] : [[rotary.swap.axis]],
)

export const swapRoom = figure({
  id: 'rotary.swapRoom',
  of: aSwapped,
  label: 'Until it counts as forgotten',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 'm = 12\\,\\text{h} - (t - t_0)',
  symbols: {},
  source: 'A long evening since its settings were written (common practice).',
  doubt: { none: 'Clock time.' },
  work: (view): number => FORGOTTEN - (view.now - Date.parse(view.bench.rotary.swap.at)) / 1000,
})
