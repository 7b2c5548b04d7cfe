import { verdictOf } from '../bench'
import {
  coldestRoom,
  coolerWatts,
  dewPointOfAir,
  diodeHeat,
  diodeTemperature,
  shareMost,
  shareRoom,
  workTemperature,
} from './coolingFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench>()
const at = (key: string): string => `electrical.cooling.${key}`
const isBegun = ({ electrical }: ElectricalBench): boolean => electrical.driver.forward.value !== null
const IN_COOLING = { stage: 'power', part: 'cooling' } as const

export const diodeCool = verdict({
  id: 'electrical.diodeCool',
  ...IN_COOLING,
  margin: shareRoom,
  when: isBegun,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    const heat = `${figure(diodeHeat)} at full power; at work its case reaches ${figure(workTemperature)}, of at most ${fact(at('hottest'))}`
    if (mark === 'good' || mark === 'look') return { head: 'The diode stays cool enough at work', why: `${heat}.` }
    return {
      head: mark === 'unknown' ? 'Does the diode stay cool enough at work?' : 'The diode grows too hot at work',
      why: `${heat}. The beam may be on for ${figure(shareMost)} of the time. A larger heat sink, more air, or pauses.`,
      next: { words: 'See its heat sink', path: at('sink') },
    }
  },
})

/** Room in the share from which it may stay on for good. */
export const staysCool = verdict({
  id: 'electrical.staysCool',
  ...IN_COOLING,
  margin: shareMost,
  when: isBegun,
  goodFrom: 1,
  stopBelow: 0,
  short: 'look',
  follows: 'electrical.diodeCool',
  say: ({ mark, figure }) => {
    if (mark === 'good') return { head: 'The beam may be full on for good', why: `Its case reaches ${figure(diodeTemperature)}.` }
    return {
      head: mark === 'unknown' ? 'May the beam be full on for good?' : 'The beam needs its pauses',
      why: `Full on for good the case would reach ${figure(diodeTemperature)}: at most ${figure(shareMost)} of the time.`,
      next: { words: 'See its heat sink', path: at('sink') },
    }
  },
})

export const coldDry = verdict({
  id: 'electrical.coldDry',
  ...IN_COOLING,
  margin: coldestRoom,
  when: ({ electrical }) => electrical.cooling.kind.chosen === 'cooler',
  goodFrom: 2,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const room = `${figure(coldestRoom)} above the ${figure(dewPointOfAir)} at which water condenses, beam off`
    if (mark === 'good') return { head: 'The cold side stays dry', why: `${room}.` }
    return {
      head:
        mark === 'unknown'
          ? 'Does the cold side stay dry?'
          : mark === 'look'
            ? 'The cold side is just dry'
            : 'Water condenses on the cold side',
      why: `${room}: a wet diode fails. Less current (${figure(coolerWatts)} now), or a thermostat that holds it above.`,
      next: { words: 'Run it at less', path: at('amps') },
    }
  },
})
