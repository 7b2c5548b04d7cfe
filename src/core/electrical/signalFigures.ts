import { figureOf } from '../bench'
import { powerStepsOfTimer } from './figures'
import { cornerFrequency, ripple } from './filter'
import type { ElectricalBench } from './slice'

const figure = figureOf<ElectricalBench>()
const HALF = 0.5
/** Ripple of the light that is not seen in the work. (common practice) */
export const MOST_RIPPLE = 0.02
/** Share of power below which pulses may be rounded off. (common practice) */
const LEAST_SHARE = 0.05

export const filterCorner = figure({
  id: 'electrical.filterCorner',
  label: 'Corner of the filter',
  quantity: 'frequency',
  formula: 'f_c = \\dfrac{1}{2\\pi\\,\\v{R}\\cdot \\v{C}}',
  symbols: { R: 'electrical.driver.filterOhms', C: 'electrical.driver.filterFarads' },
  source: 'First-order low pass.',
  doubt: 'nudge',
  work: (view): number => cornerFrequency(view.bench.electrical.driver.filterOhms, view.bench.electrical.driver.filterFarads),
})

export const filterRipple = figure({
  id: 'electrical.filterRipple',
  label: 'Ripple behind the filter at half power',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'r = \\dfrac{0.25}{\\v{f}\\cdot \\v{R}\\cdot \\v{C}}',
  symbols: { f: 'electrical.pwmFrequency', R: 'electrical.driver.filterOhms', C: 'electrical.driver.filterFarads' },
  source: 'Charge of the capacitor in a period; half power ripples most.',
  doubt: 'nudge',
  work(view): number {
    const { filterOhms: ohms, filterFarads: farads } = view.bench.electrical.driver
    return ripple({ volts: 1, duty: HALF, frequency: view.bench.electrical.pwmFrequency, ohms, farads })
  },
})

export const rippleRoom = figure({
  id: 'electrical.rippleRoom',
  label: 'Ripple below 2 % by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.02 - \\v{r}',
  symbols: { r: '=electrical.filterRipple' },
  source: 'Two per cent of light are not seen in the work (common practice).',
  doubt: 'nudge',
  work: (view): number => MOST_RIPPLE - view.figure(filterRipple),
})

export const frequencyForFilter = figure({
  id: 'electrical.frequencyForFilter',
  label: 'Frequency from which the filter is smooth',
  quantity: 'frequency',
  show: { metric: 'kHz', inch: 'kHz' },
  formula: 'f = \\dfrac{0.25}{0.02\\cdot \\v{R}\\cdot \\v{C}}',
  symbols: { R: 'electrical.driver.filterOhms', C: 'electrical.driver.filterFarads' },
  source: 'The ripple, solved for the frequency at 2 %.',
  doubt: 'nudge',
  work(view): number {
    const { filterOhms, filterFarads } = view.bench.electrical.driver
    return (HALF * HALF) / (MOST_RIPPLE * filterOhms * filterFarads)
  },
})

export const frequencyForWords = figure({
  id: 'electrical.frequencyForWords',
  label: 'Frequency up to which every word counts',
  quantity: 'frequency',
  show: { metric: 'kHz', inch: 'kHz' },
  formula: 'f = \\dfrac{\\v{f_c}}{\\v{W}}',
  symbols: { f_c: 'electrical.timerClock', W: 'electrical.fullPower' },
  source: 'Steps of the timer in a period, solved for as many steps as words.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.timerClock / view.bench.electrical.fullPower,
})

export const leastShare = figure({
  id: 'electrical.leastShare',
  label: 'Power below which pulses are rounded off',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = \\v{t_r}\\cdot \\v{f}',
  symbols: { t_r: 'electrical.driver.rise', f: 'electrical.pwmFrequency' },
  source: 'A pulse shorter than the rise time does not come to its full light.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.driver.rise * view.bench.electrical.pwmFrequency,
})

export const leastShareRoom = figure({
  id: 'electrical.leastShareRoom',
  label: 'That power below 5 % by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.05 - \\v{s}',
  symbols: { s: '=electrical.leastShare' },
  source: 'Five per cent is about where wood begins to mark (common practice).',
  doubt: 'nudge',
  work: (view): number => LEAST_SHARE - view.figure(leastShare),
})

export const stepsLeft = figure({
  id: 'electrical.stepsLeft',
  label: 'Steps of power left above it',
  quantity: 'ratio',
  formula: 'n = \\v{N}\\,(1 - \\v{s})',
  symbols: { N: '=electrical.powerSteps', s: '=electrical.leastShare' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(powerStepsOfTimer) * Math.max(0, 1 - view.figure(leastShare)),
})

export const filterSuits = figure({
  id: 'electrical.filterSuits',
  label: 'The filter stands before a level',
  quantity: 'count',
  formula: 'm = 1\\ \\text{where the input takes a level, else}\\ -1',
  symbols: {},
  source: 'A filter turns pulses into a level, which an input for pulses reads as on or off.',
  doubt: { none: 'It is yes or no.' },
  work: (view): number => (view.bench.electrical.driver.input === 'level' ? 1 : -1),
})
