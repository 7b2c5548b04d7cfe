import { figureOf, type OwnDoubt, type View } from '../bench'
import { lightByPower, settingOf, settingsFor, type CutBench } from '../burn'
import { depthLaw } from './depthFigures'
import { toneLaw } from './toneFigures'
import { toneAt } from './toneLearning'

const figure = figureOf<CutBench>()
const NOW = 'What is learnt of this material now, at the power, speed, pitch and passes that are kept.'

/** Dose of a setting that is kept, J/mm², over all its passes. */
function doseOf(view: View<CutBench>, materialId: string, settingId: string): number {
  const { power, speed, pitch, passes } = settingOf(view, materialId, settingId)
  return (view.bench.optics.power * lightByPower(view).at(power) * passes) / (speed * pitch)
}

export const settingTone = figure({
  id: 'testcard.settingTone',
  of: settingsFor('tone'),
  label: 'Tone that this setting comes to now',
  quantity: 'lightness',
  formula: 'L^*(H, v)',
  symbols: {},
  source: NOW,
  doubt: { own: 'The covariance of the fit and the scatter of the cells about it; there is nothing to nudge.' },
  work(view, materialId: string, settingId: string): OwnDoubt {
    const { speed } = settingOf(view, materialId, settingId)
    const { tone, u } = toneAt(view.figure(toneLaw, materialId), doseOf(view, materialId, settingId), speed)
    return { value: tone, u }
  },
})

export const settingDepth = figure({
  id: 'testcard.settingDepth',
  of: settingsFor('depth'),
  label: 'Depth that this setting comes to now',
  quantity: 'length',
  formula: 'd = n\\,c\\,(H - H_0)',
  symbols: {},
  source: NOW,
  doubt: { own: 'The scatter of the cells about the line: no fact to nudge.' },
  work(view, materialId: string, settingId: string): OwnDoubt {
    const { passes } = settingOf(view, materialId, settingId)
    const { slope, from, scatter } = view.figure(depthLaw, materialId)
    const pass = Math.max(0, slope * (doseOf(view, materialId, settingId) / passes - from))
    return { value: passes * pass, u: Math.sqrt(passes) * scatter }
  },
})
