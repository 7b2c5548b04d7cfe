import { figureOf, NotYet, subjectOf, type Plain, type View } from '../bench'
import { beamQuality, type OpticsBench } from '../optics'
import { areEnough, fitFocus, LEAST_FOR_MIDDLE, middleOfWidths, type Flat, type FocusFit, type FocusWidth } from './focusFit'
import { focusLines, FOCUS_SETS, type FocusLine } from './trialFocus'
import type { Trial } from './trialSlice'
import { ofKind, ofKindAlong, readOf, trialOf, type TrialBench } from './trialView'

export type FocusBench = TrialBench & OpticsBench
const figure = figureOf<FocusBench>()
const aFocus = ofKind('focus')
const aFocusAlong = ofKindAlong('focus')

/** The two sides of the spot: across X and across Y. */
export const aSide = subjectOf<FocusBench>()('side of the spot', (): [axis: string][] => [['x'], ['y']])

const LIU = 'Liu (1982), D² = 2w²·ln(F/F_th) (from memory), with w through focus by ISO 11146-1; least squares over all lines.'

/** Lines across an axis that were read and left a mark, as entered: a line without one has no width, and no doubt of it. */
function linesSeen(view: View<FocusBench>, id: string, across: string): readonly FocusLine[] {
  const trial = view.asEntered.calibrate.trials.focus[id]
  if (trial === undefined) return []
  const read = new Map(
    readOf(
      trial,
      focusLines(trial, sideOf(across)).map((it) => it.id),
    ).map((it) => [it.id, it.value]),
  )
  return focusLines(trial, sideOf(across)).filter((it) => (read.get(it.id) ?? 0) > 0)
}
const sideOf = (across: string): 'x' | 'y' => (across === 'x' ? 'x' : 'y')

/** Widths that were read across an axis, with the gap at each. @throws {NotYet} where the board was not read. */
function widthsOf(view: View<FocusBench>, id: string, across: string): readonly FocusWidth[] {
  const trial: Plain<Trial> = trialOf(view, 'focus', id)
  const board = new Map(readOf(trial, ['gap', 'lift', 'run']).map((it) => [it.id, it.value]))
  const [gap, lift, run] = ['gap', 'lift', 'run'].map((it) => board.get(it))
  if (gap === undefined || lift === undefined || run === undefined || !(run > 0)) {
    throw new NotYet('read how the board lies: the gap at its low edge, the block, and how far it is from one to the other')
  }
  const lines = linesSeen(view, id, across)
  return readOf(
    trial,
    lines.map((it) => it.id),
  ).map(({ at, value }) => {
    const { along = 0, energy = 1 } = lines[at] ?? {}
    return { gap: gap - (lift * along) / run, energy, width: value }
  })
}

/** Order of the side's profile: to be found for the flat one, else a Gaussian's. */
function orderOf(view: View<FocusBench>, across: string): number | Flat {
  const { flatAlong, flatOrder } = view.bench.optics
  return flatAlong === across ? { about: flatOrder } : 2
}

function fitOf(view: View<FocusBench>, id: string, across: string): FocusFit {
  const fit = fitFocus(widthsOf(view, id, across), orderOf(view, across))
  if (fit === null) throw new NotYet('read lines of two sets or more, at places on both sides of the thinnest')
  return fit
}

/**
 * Whether enough of a ramp was read that more than the place of focus follows. @throws {RangeError} where the ramp lacks a number.
 * Source: by definition.
 */
export function isWhole(view: View<FocusBench>, id: string, across: string): boolean {
  const trial = view.asEntered.calibrate.trials.focus[id]
  if (trial === undefined || readOf(trial, ['gap', 'lift', 'run']).length < 3) return false
  return areEnough(linesSeen(view, id, across), view.bench.optics.flatAlong === across)
}

/** Energy of the set of which most lines were read. */
function largestSet(lines: readonly FocusLine[]): { readonly energy: number; readonly count: number } {
  const counts = FOCUS_SETS.map((energy) => ({ energy, count: lines.filter((it) => it.energy === energy).length }))
  return counts.reduce((most, it) => (it.count >= most.count ? it : most))
}

export const focusAcross = figure({
  id: 'calibrate.focusAcross',
  of: aFocusAlong,
  label: 'Gap at focus, by the lines across this axis',
  quantity: 'length',
  formula: 'g_f = \\arg\\min \\sum (D_i - D(g_i, E_i))^2',
  symbols: {},
  source: `${LIU} With too few lines for that: the middle about which the widths of one set are alike.`,
  doubt: 'nudge',
  work(view, id: string, across: string): number {
    const widths = widthsOf(view, id, across)
    if (isWhole(view, id, across)) return fitOf(view, id, across).gap
    const { energy } = largestSet(linesSeen(view, id, across))
    const middle = middleOfWidths(widths.filter((it) => it.energy === energy))
    if (middle === null) throw new NotYet('read five lines of one set or more, at places on both sides of the thinnest')
    return middle
  },
})

export const focusOfRamp = figure({
  id: 'calibrate.focusOfRamp',
  of: aFocus,
  label: 'Gap at focus, by the ramp',
  quantity: 'length',
  formula: 'g_f = \\tfrac12(g_x + g_y)',
  symbols: {},
  source: 'Both sides of the spot, or the one of which enough was read.',
  doubt: 'nudge',
  work(view, id: string): number {
    const read = (['x', 'y'] as const).filter(
      (across) => isWhole(view, id, across) || largestSet(linesSeen(view, id, across)).count >= LEAST_FOR_MIDDLE,
    )
    const gaps = (read.length === 0 ? (['y'] as const) : read).map((across) => view.figure(focusAcross, id, across))
    return gaps.reduce((sum, it) => sum + it, 0) / gaps.length
  },
})

export const rampWaist = figure({
  id: 'calibrate.rampWaist',
  of: aFocusAlong,
  label: 'Radius at focus, by the ramp',
  quantity: 'length',
  formula: 'w_0',
  symbols: {},
  source: LIU,
  doubt: 'nudge',
  work: (view, id: string, across: string): number => fitOf(view, id, across).radius,
})

export const rampRayleigh = figure({
  id: 'calibrate.rampRayleigh',
  of: aFocusAlong,
  label: 'Rayleigh length, by the ramp',
  quantity: 'length',
  formula: 'z_R',
  symbols: {},
  source: LIU,
  doubt: 'nudge',
  work: (view, id: string, across: string): number => fitOf(view, id, across).rayleigh,
})

export const rampQuality = figure({
  id: 'calibrate.rampQuality',
  of: aFocusAlong,
  label: 'Beam quality M², by the ramp',
  quantity: 'ratio',
  formula: 'M^2 = \\dfrac{\\pi w_0^2}{z_R\\,\\v{\\lambda}}',
  symbols: { '\\lambda': 'optics.wavelength' },
  source: 'ISO 11146-1.',
  doubt: 'nudge',
  work: (view, id: string, across: string): number => beamQuality(fitOf(view, id, across), view.bench.optics.wavelength),
})

/** Sets of lines that a ramp has, by their energies. */
export const RAMP_SETS = FOCUS_SETS.length
