import { figureOf } from '../bench'
import { powerSteps } from './pwm'
import type { ElectricalBench } from './slice'

const figure = figureOf<ElectricalBench>()

export const powerStepsOfTimer = figure({
  id: 'electrical.powerSteps',
  label: 'Steps of power in a period',
  quantity: 'ratio',
  formula: 'n = \\dfrac{\\v{f_c}}{\\v{f}}',
  symbols: { f_c: 'electrical.timerClock', f: 'electrical.pwmFrequency' },
  source: 'By definition: ticks of the timer’s clock in one period of the signal.',
  doubt: 'nudge',
  work: (view): number => powerSteps(view.bench.electrical.timerClock, view.bench.electrical.pwmFrequency),
})

export const stepsForEachWord = figure({
  id: 'electrical.stepsForEachWord',
  label: 'Timer steps for each power word',
  quantity: 'ratio',
  formula: 'r = \\dfrac{\\v{n}}{\\v{W}}',
  symbols: { n: '=electrical.powerSteps', W: 'electrical.fullPower' },
  source: 'By definition; under 1 some words give the same power.',
  doubt: 'nudge',
  work: (view): number => view.figure(powerStepsOfTimer) / view.bench.electrical.fullPower,
})

export const settingFullPower = figure({
  id: 'electrical.settingFullPower',
  label: 'Full power word to set',
  quantity: 'count',
  formula: 'W_s = \\v{W}',
  symbols: { W: 'electrical.fullPower' },
  source: 'As entered.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.fullPower,
})

export const settingFrequency = figure({
  id: 'electrical.settingFrequency',
  label: 'Frequency of the power signal to set',
  quantity: 'frequency',
  formula: 'f_s = \\v{f}',
  symbols: { f: 'electrical.pwmFrequency' },
  source: 'As entered.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.pwmFrequency,
})

export const settingFollows = figure({
  id: 'electrical.settingFollows',
  label: 'Power follows the speed, to set',
  quantity: 'count',
  formula: '1\\ \\text{where power follows the speed, else}\\ 0',
  symbols: {},
  source: 'As chosen.',
  doubt: { none: 'It is a choice.' },
  work: (view): number => (view.bench.electrical.followsSpeed === 'yes' ? 1 : 0),
})
