import { verdictOf } from '../bench'
import type { RotaryView } from './objectFigures'
import { capacity, capacityRoom, stationOff, stationSteps } from './plateFigures'

const verdict = verdictOf<RotaryView>()

export const stationsFit = verdict({
  id: 'rotary.stationsFit',
  stage: 'rotary',
  part: 'plate',
  margin: capacityRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const next = { words: 'Take fewer, or begin them further out', path: 'rotary.plate.stations' }
    if (mark === 'unknown')
      return {
        head: 'Do the stations fit on the plate?',
        why: 'Not known yet: how wide one is, and how far from the middle it begins.',
        next: { words: 'Say how wide a station is', path: 'rotary.plate.size' },
      }
    const why = `${figure(capacity)} of them fit.`
    return mark === 'good'
      ? {
          head: 'The stations fit on the plate',
          why: `${why} From one to the next it is ${figure(stationSteps)} steps; rounding leaves a station at most ${figure(stationOff)} off its place, however long it runs.`,
        }
      : { head: 'The stations overlap', why, next }
  },
})
