import { verdictOf } from '../bench'
import { densityWatching, eyewearMargin, type SafetyView } from './figures'

const verdict = verdictOf<SafetyView>()

export const eyewearDense = verdict({
  id: 'safety.eyewearDense',
  stage: 'safety',
  margin: eyewearMargin,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, fact }) => {
    const needed = figure(densityWatching)
    const next = { words: 'Enter the density on its certificate', path: 'safety.eyewearDensity' }
    const defer = 'Certified eyewear, local rules and licensed practice come first.'
    if (mark === 'good') {
      return {
        head: 'Density of the eyewear passes',
        why: `OD ${fact('safety.eyewearDensity')} certified, ${needed} needed to watch a burn. Check its EN 207 scale number too. ${defer}`,
      }
    }
    if (mark === 'unknown') return { head: 'Eyewear?', why: `Not known yet; keep the beam off until it is. ${defer}`, next }
    return {
      head: 'Eyewear not proved dense enough',
      why: `OD ${fact('safety.eyewearDensity')} against ${needed} needed to watch a burn. ${defer}`,
      next,
    }
  },
})
