import { verdictOf } from '../bench'
import type { HousingBench } from '../housing'
import { densityWatching, type SafetyView } from './figures'
import { windowMargin } from './windowFigures'

const verdict = verdictOf<SafetyView & HousingBench>()

export const windowDense = verdict({
  id: 'safety.windowDense',
  stage: 'housing',
  part: 'ports',
  margin: windowMargin,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure }) => {
    const next = { words: 'Copy the label of the window', part: 'safety/eyewear' }
    if (mark === 'unknown')
      return { head: 'Does the window stop the beam?', why: 'Not known yet: the beam’s power and wavelength.', next }
    return mark === 'good'
      ? {
          head: 'Density of the window passes',
          why: `${figure(densityWatching)} is needed to watch a burn. That it withstands the beam is a test of its own, on the same certificate.`,
        }
      : {
          head: 'The window is not shown to be dense enough',
          why: `${figure(densityWatching)} is needed to watch a burn. Until a certificate says so for this wavelength it counts for nothing: colour proves nothing.`,
          next,
        }
  },
})
