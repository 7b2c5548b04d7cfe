import { verdictOf } from '../bench'
import { densityWatching, scaleNeeded, type SafetyView } from './figures'
import { eyewearMargin, scaleMargin } from './glassesFigures'

const verdict = verdictOf<SafetyView>()

const DEFER = 'Certified eyewear, local rules and licensed practice come first.'
const WHERE = { part: 'safety/eyewear' } as const

export const eyewearDense = verdict({
  id: 'safety.eyewearDense',
  stage: 'safety',
  part: 'eyewear',
  margin: eyewearMargin,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, word }) => {
    const needed = figure(densityWatching)
    const worn = word('safety.worn')
    const name = worn === '' ? '' : word(`safety.glasses.${worn}.name`)
    const label = word(`safety.glasses.${worn}.label`)
    if (mark === 'good') {
      return {
        head: 'Density of the eyewear passes',
        why: `${name}, “${label}”: at this wavelength that is enough for the ${needed} needed to watch a burn. Its scale number is a test of its own. ${DEFER}`,
      }
    }
    if (name === '')
      return {
        head: mark === 'unknown' ? 'Eyewear?' : 'Eyewear not shown to be dense enough',
        why: `${mark === 'unknown' ? 'Not known yet; keep the beam off until it is.' : `None is said to be worn; ${needed} is needed to watch a burn.`} ${DEFER}`,
        next: { words: 'Copy the label of your eyewear', ...WHERE },
      }
    if (mark === 'unknown')
      return {
        head: 'Eyewear?',
        why: `Not known yet whether ${name}, “${label}”, is dense enough: power, wavelength, or what stands behind its label is open. Keep the beam off until it is. ${DEFER}`,
        next: { words: 'Say what stands behind its label', ...WHERE },
      }
    return {
      head: 'Eyewear not shown to be dense enough',
      why: `${name}, “${label}”, is not certified for ${needed} over the whole range that the wavelength may have. ${DEFER}`,
      next: { words: 'Look at the label, or choose another pair', ...WHERE },
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
  say: ({ mark, figure, word }) => {
    const needed = figure(scaleNeeded)
    const isWorn = word('safety.worn') !== '' && word(`safety.glasses.${word('safety.worn')}.name`) !== ''
    const next = { words: isWorn ? 'Look at the label, or choose another pair' : 'Copy the label of your eyewear', ...WHERE }
    const label = word(`safety.glasses.${word('safety.worn')}.label`)
    if (mark === 'good') {
      return {
        head: 'Scale number of the eyewear passes',
        why: `“${label}” on it, ${needed} needed to withstand the beam for 5 s. What it lets through is the other test: LB alone may leave ten times the limit for watching.`,
      }
    }
    if (mark === 'unknown')
      return { head: 'Does the eyewear withstand the beam?', why: 'Not known yet; keep the beam off until it is.', next }
    return {
      head: 'Eyewear not shown to withstand the beam',
      why: `${label === '' ? 'No label is said to be worn' : `“${label}” on it`}; a scale number of ${needed} is needed. A label that does not name the wavelength of the diode counts as none.`,
      next,
    }
  },
})
