import { figureOf, NotYet, type Plain } from '../bench'
import { diagnoseClosure, type Diagnosis } from './closureModel'
import { outlinesOf } from './trialOutline'
import type { Trial } from './trialSlice'
import { windingCycle } from './limitFigures'
import { ofKind, trialOf, type TrialBench } from './trialView'

const figure = figureOf<TrialBench>()
const anOutline = ofKind('outline')

/** Standard uncertainty of a gap that is read with calipers or a scale under a lens, mm. (common practice) */
const READ_GAP = 0.03

/** The gaps of a closure trial, of the outlines that were read along both axes. */
function gapsOf(trial: Plain<Trial>) {
  const read = new Map(Object.entries(trial.readings))
  return outlinesOf(trial).flatMap(({ id, side, first }) => {
    const [x, y] = [read.get(`${id}-x`), read.get(`${id}-y`)]
    return x === undefined || y === undefined ? [] : [{ x, y, side, first }]
  })
}

export const worstGap = figure({
  id: 'calibrate.worstGap',
  of: anOutline,
  label: 'Gap of the outlines, on average',
  quantity: 'length',
  formula: 'g = \\dfrac{1}{n}\\sum \\sqrt{g_x^2 + g_y^2}',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view, id: string): number {
    const gaps = gapsOf(trialOf(view, 'outline', id))
    if (gaps.length === 0) throw new NotYet('read where the outlines end')
    return gaps.reduce((sum, it) => sum + Math.hypot(it.x, it.y), 0) / gaps.length
  },
})

export const gapRoom = figure({
  id: 'calibrate.gapRoom',
  of: anOutline,
  label: 'Gap within the accepted one by',
  quantity: 'length',
  formula: 'r = \\v{a} - \\v{g}',
  symbols: { a: 'calibrate.gapAllowed', g: '=calibrate.worstGap|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - view.figure(worstGap, id),
})

/** Outlines that a diagnosis wants: both sizes, both ways round. */
const LEAST_OUTLINES = 4

export const closureDiagnosis = figure({
  id: 'calibrate.closureDiagnosis',
  of: anOutline,
  label: 'What the gaps say',
  quantity: 'ratio',
  formula: 'P(\\text{cause} \\mid \\text{gaps})',
  symbols: {},
  source: 'Bayes’ rule over play, slip, missed steps, a sagging belt and late light; priors of common practice.',
  doubt: { none: 'Probabilities already say how sure they are.' },
  work(view, id: string): Diagnosis {
    const trial = trialOf(view, 'outline', id)
    const gaps = gapsOf(trial)
    if (gaps.length < LEAST_OUTLINES || new Set(gaps.map((it) => it.side)).size < 2) {
      throw new NotYet('read four outlines or more, of both sizes')
    }
    return diagnoseClosure(gaps, {
      u: READ_GAP,
      cycle: { x: view.figure(windingCycle, trial.axes.x), y: view.figure(windingCycle, trial.axes.y) },
    })
  },
})
