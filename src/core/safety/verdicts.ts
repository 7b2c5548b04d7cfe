import { verdictOf } from '../bench'
import { densityWatching, eyewearMargin, scaleMargin, scaleNeeded, type SafetyView } from './figures'

const verdict = verdictOf<SafetyView>()

export const eyewearDense = verdict({
  id: 'safety.eyewearDense',
  stage: 'safety',
  part: 'eyewear',
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
        why: `OD ${fact('safety.eyewearDensity')} certified, ${needed} needed to watch a burn. Its scale number is a test of its own. ${defer}`,
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

/** That the density holds is another test: a filter that lets little through may still crack or bleach in the beam. */
export const eyewearWithstands = verdict({
  id: 'safety.eyewearWithstands',
  stage: 'safety',
  part: 'eyewear',
  margin: scaleMargin,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, fact }) => {
    const needed = figure(scaleNeeded)
    const next = { words: 'Enter the scale number on its label', path: 'safety.eyewearScale' }
    const label = `LB ${fact('safety.eyewearScale')}`
    if (mark === 'good') {
      return {
        head: 'Scale number of the eyewear passes',
        why: `${label} on the label, ${needed} needed to withstand the beam for 5 s. What it lets through is the other test: LB alone may leave ten times the limit for watching.`,
      }
    }
    if (mark === 'unknown')
      return { head: 'Does the eyewear withstand the beam?', why: 'Not known yet; keep the beam off until it is.', next }
    return {
      head: 'Eyewear not proved to withstand the beam',
      why: `${label} against ${needed} needed. A label that does not name the wavelength of the diode counts as none.`,
      next,
    }
  },
})
