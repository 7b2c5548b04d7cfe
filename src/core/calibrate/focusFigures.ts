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

/** What was read of a ramp across an axis. */
interface RampRead {
  /** Lines that left a mark. */
  readonly lines: readonly FocusLine[]
  /** Whether gap, block and length of the board are there. */
  readonly isBoardRead: boolean
}

/** What is there to be read, as entered: a line without a mark has no width, and no doubt of it. */
export const rampRead = figure({
  id: 'calibrate.rampRead',
  of: aFocusAlong,
  label: 'Lines of the ramp that left a mark',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'Counted; those without a width left none.',
  doubt: { none: 'a line is there or not' },
  work(view, id: string, across: string): RampRead {
    const trial = view.asEntered.calibrate.trials.focus[id]
    if (trial === undefined) return { lines: [], isBoardRead: false }
    const lines = focusLines(trial, sideOf(across))
    const read = readOf(
      trial,
      lines.map((it) => it.id),
    )
    const widths = new Map(read.map((it) => [it.id, it.value]))
    return {
      lines: lines.filter((it) => (widths.get(it.id) ?? 0) > 0),
      isBoardRead: readOf(trial, BOARD).length === BOARD.length,
    }
  },
})
/** What is read of the board. */
const BOARD = ['gap', 'lift', 'run'] as const
const sideOf = (across: string): 'x' | 'y' => (across === 'x' ? 'x' : 'y')

/** Widths that were read across an axis, with the gap at each. @throws {NotYet} where the board was not read. */
function widthsOf(view: View<FocusBench>, id: string, across: string): readonly FocusWidth[] {
  const trial: Plain<Trial> = trialOf(view, 'focus', id)
  const { lines, isBoardRead } = view.figure(rampRead, id, across)
  const of = (reading: string): number => trial.readings[reading] ?? Number.NaN
  const [gap, lift, run] = isBoardRead ? [of('gap'), of('lift'), of('run')] : [0, 0, 0]
  if (!isBoardRead || run <= 0) {
    throw new NotYet('read how the board lies: the gap at its low edge, the block, and how far it is from one to the other')
  }
  return lines.map((it) => ({ gap: gap - (lift * it.along) / run, energy: it.energy, width: of(it.id) }))
}

/** Order of the side's profile: to be found for the flat one, else a Gaussian's. */
function orderOf(view: View<FocusBench>, across: string): number | Flat {
  const { flatAlong, flatOrder } = view.bench.optics
  return flatAlong === across ? { about: flatOrder } : 2
}

const LIU = 'Liu (1982), D² = 2w²·ln(F/F_th) (from memory), with w through focus by ISO 11146-1; least squares over all lines.'

/** What is fitted to the lines of a side, once for all figures that it gives. */
export const rampFit = figure({
  id: 'calibrate.rampFit',
  of: aFocusAlong,
  label: 'Beam by the ramp',
  quantity: 'length',
  formula: 'g_f, w_0, z_R',
  symbols: {},
  source: LIU,
  doubt: { none: 'each of its numbers has a figure of its own' },
  work: (view, id: string, across: string): FocusFit | null => fitFocus(widthsOf(view, id, across), orderOf(view, across)),
})

function fitOf(view: View<FocusBench>, id: string, across: string): FocusFit {
  const fit = view.figure(rampFit, id, across)
  if (fit === null) throw new NotYet('read lines of two sets or more, at places on both sides of the thinnest')
  return fit
}

/**
 * Whether enough of a ramp was read that more than the place of focus follows. @throws {RangeError} where the ramp lacks a number.
 * Source: by definition.
 */
export function isWhole(view: View<FocusBench>, id: string, across: string): boolean {
  const { lines, isBoardRead } = view.figure(rampRead, id, across)
  return isBoardRead && areEnough(lines, view.bench.optics.flatAlong === across)
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
    const { energy } = largestSet(view.figure(rampRead, id, across).lines)
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
      (across) => isWhole(view, id, across) || largestSet(view.figure(rampRead, id, across).lines).count >= LEAST_FOR_MIDDLE,
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
