import { figureOf } from '../bench'
import { periodsPerDot, type ElectricalBench } from '../electrical'
import { smallestStep, type MotionBench } from '../motion'
import type { OpticsBench } from './slice'
import { anAxis } from '../motion'

export type OpticsView = OpticsBench & MotionBench & ElectricalBench
const figure = figureOf<OpticsView>()

/** Periods of the power signal for each dot from which dots come out alike (common practice). */
export const ENOUGH_PERIODS = 4

export const spotSmaller = figure({
  id: 'optics.spotSmaller',
  label: 'Smaller side of the spot',
  quantity: 'length',
  formula: 'd_s = \\min(\\v{d_x},\\, \\v{d_y})',
  symbols: { d_x: 'optics.spotX', d_y: 'optics.spotY' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => Math.min(view.bench.optics.spotX, view.bench.optics.spotY),
})

export const stepsAcrossSpot = figure({
  id: 'optics.stepsAcrossSpot',
  of: anAxis,
  label: 'Steps across the spot',
  quantity: 'ratio',
  formula: 'n = \\dfrac{\\v{d_s}}{\\v{d}}',
  symbols: { d_s: '=optics.spotSmaller', d: '=motion.smallestStep|{0}' },
  source: 'Step at most a quarter of the spot is good, more than the spot is a stop (common practice).',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.figure(spotSmaller) / view.figure(smallestStep, axisId),
})

export const periodsForEachDot = figure({
  id: 'optics.periodsPerDot',
  label: 'Signal periods for each dot',
  quantity: 'ratio',
  formula: 'n = \\dfrac{\\v{f}\\cdot \\v{d_x}}{\\v{v}}',
  symbols: { f: 'electrical.pwmFrequency', d_x: 'optics.spotX', v: 'motion.wantedSpeed' },
  source: 'By definition; 4 or more good, under 2 bands (common practice).',
  doubt: 'nudge',
  work: (view): number =>
    periodsPerDot(view.bench.electrical.pwmFrequency, view.bench.optics.spotX, view.bench.motion.wantedSpeed),
})

export const frequencyWithoutBands = figure({
  id: 'optics.frequencyWithoutBands',
  label: 'Frequency without bands',
  quantity: 'frequency',
  show: { metric: 'kHz', inch: 'kHz' },
  formula: 'f_4 = \\dfrac{4\\cdot \\v{v}}{\\v{d_x}}',
  symbols: { v: 'motion.wantedSpeed', d_x: 'optics.spotX' },
  source: 'Periods for each dot, solved for the frequency at 4 (common practice).',
  doubt: 'nudge',
  work: (view): number => (ENOUGH_PERIODS * view.bench.motion.wantedSpeed) / view.bench.optics.spotX,
})

export const speedWithoutBands = figure({
  id: 'optics.speedWithoutBands',
  label: 'Speed without bands',
  quantity: 'speed',
  formula: 'v_4 = \\dfrac{\\v{f}\\cdot \\v{d_x}}{4}',
  symbols: { f: 'electrical.pwmFrequency', d_x: 'optics.spotX' },
  source: 'Periods for each dot, solved for the speed at 4 (common practice).',
  doubt: 'nudge',
  work: (view): number => (view.bench.electrical.pwmFrequency * view.bench.optics.spotX) / ENOUGH_PERIODS,
})
