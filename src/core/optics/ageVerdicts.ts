import { verdictOf } from '../bench'
import { cleanRoom, lightLost } from './ageFigures'
import type { OpticsBench } from './slice'

const verdict = verdictOf<OpticsBench>()

export const lensClean = verdict({
  id: 'optics.lensClean',
  stage: 'beam',
  part: 'light',
  margin: cleanRoom,
  when: ({ optics }) => Object.values(optics.lights).filter((it) => it.light.value !== null).length > 1,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) => {
    const lost = `${figure(lightLost)} of the light is gone since the best reading`
    if (mark === 'good') return { head: 'The light is as it was', why: `${lost}.` }
    return {
      head: mark === 'unknown' ? 'Is the light as it was?' : 'The light has fallen off',
      why: `${lost}: clean the lens with supply off and cold, read again. If it stays, the diode ages: every power that was found before gives less.`,
      next: { words: 'See the readings', part: 'beam/light' },
    }
  },
})
