import { verdictOf } from '../bench'
import { lightFull } from '../electrical'
import type { OpticsView } from './figures'
import { filterLag, lagRoom, lightRoom } from './signalFigures'

const verdict = verdictOf<OpticsView>()

export const lagShort = verdict({
  id: 'optics.lagShort',
  stage: 'power',
  part: 'signal',
  margin: lagRoom,
  when: ({ electrical: { driver } }) => driver.filterFarads.value !== null && driver.input.chosen === 'level',
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const way = `${figure(filterLag)} at ${fact('motion.wantedSpeed')}, against a spot of ${fact('optics.spotX')}`
    if (mark === 'good') return { head: 'The filter is quick enough for the dots', why: `${way}.` }
    return {
      head: mark === 'unknown' ? 'Is the filter quick enough for the dots?' : 'The filter blurs the dots',
      why: `A change of power takes ${way}. A smaller capacitor with a higher frequency, or a slower scan.`,
      next: { words: 'Change the capacitor', path: 'electrical.driver.filterFarads' },
    }
  },
})

export const lightAsLabelled = verdict({
  id: 'optics.lightAsLabelled',
  stage: 'power',
  part: 'driver',
  margin: lightRoom,
  when: ({ electrical: { driver }, optics }) => driver.slope.value !== null && optics.power.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const light = `${figure(lightFull)} by threshold and slope, ${fact('optics.power')} by the label`
    if (mark === 'good') return { head: 'The light agrees with the label', why: `${light}.` }
    return {
      head: mark === 'unknown' ? 'Does the light agree with the label?' : 'The light does not agree with the label',
      why: `${light}. A label may give the power that goes in: only a power meter decides.`,
      next: { words: 'See the current', path: 'electrical.driver.slope' },
    }
  },
})
