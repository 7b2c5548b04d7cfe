import { verdictOf } from '../bench'
import { filterRipple, filterSuits, frequencyForFilter, leastShare, leastShareRoom, rippleRoom } from './signalFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench>()
const hasFilter = ({ electrical: { driver } }: ElectricalBench): boolean =>
  driver.filterOhms.value !== null && driver.filterFarads.value !== null
const takesLevel = ({ electrical }: ElectricalBench): boolean => electrical.driver.input.chosen === 'level'
const IN_SIGNAL = { stage: 'power', part: 'signal', goodFrom: 0, stopBelow: 0, short: 'look' } as const

export const filterInPlace = verdict({
  id: 'electrical.filterInPlace',
  ...IN_SIGNAL,
  margin: filterSuits,
  when: (bench) => hasFilter(bench) && !takesLevel(bench),
  say: () => ({
    head: 'The filter breaks the signal',
    why: 'The input takes pulses; behind a filter it sees a level that it reads as on or off. Take the filter out, or use an input that takes a level.',
    next: { words: 'See what the input takes', path: 'electrical.driver.input' },
  }),
})

export const rippleSmall = verdict({
  id: 'electrical.rippleSmall',
  ...IN_SIGNAL,
  margin: rippleRoom,
  when: (bench) => hasFilter(bench) && takesLevel(bench),
  say: ({ mark, figure }) => {
    if (mark === 'good') return { head: 'The level is smooth', why: `${figure(filterRipple)} of ripple at half power.` }
    return {
      head: mark === 'unknown' ? 'Is the level smooth?' : 'The level ripples',
      why: `${figure(filterRipple)} at half power: ${figure(frequencyForFilter)} would do, or a larger capacitor.`,
      next: { words: 'Change the frequency', path: 'electrical.pwmFrequency' },
    }
  },
})

export const pulsesWhole = verdict({
  id: 'electrical.pulsesWhole',
  ...IN_SIGNAL,
  margin: leastShareRoom,
  when: (bench) => Object.keys(bench.electrical.blocks).length > 0 && !takesLevel(bench),
  say: ({ mark, figure }) => {
    const share = figure(leastShare)
    if (mark === 'good') return { head: 'Short pulses come through', why: `They are whole from ${share} of power.` }
    return {
      head: mark === 'unknown' ? 'Do short pulses come through?' : 'Short pulses are rounded off',
      why: `Below ${share} of power a pulse is over before the light is up. A lower frequency, or a faster driver.`,
      next: { words: 'See the rise time', path: 'electrical.driver.rise' },
    }
  },
})
