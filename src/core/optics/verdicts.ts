import { verdictOf } from '../bench'
import { scans, smallestStep } from '../motion'
import {
  frequencyWithoutBands,
  periodsForEachDot,
  speedWithoutBands,
  spotSmaller,
  stepsAcrossSpot,
  type OpticsView,
} from './figures'

const verdict = verdictOf<OpticsView>()

/** Limits after common practice: a quarter of the spot, and the spot itself. */
export const fineEnough = verdict({
  id: 'optics.fineEnough',
  stage: 'motion',
  margin: stepsAcrossSpot,
  when: scans,
  goodFrom: 4,
  stopBelow: 1,
  short: 'look',
  say: ({ mark, args, margin, figure, word }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const step = figure(smallestStep, axis)
    const spot = figure(spotSmaller)
    const finer = { words: 'Set finer microsteps', path: `motion.axes.${axis}.microsteps` }
    switch (mark) {
      case 'good':
        return { head: `${letter} steps are fine enough`, why: `${step} each, at most a quarter of the ${spot} spot.` }
      case 'look':
        return margin >= 4
          ? {
              head: `${letter} steps may be coarse`,
              why: `${step} each is within a quarter of the ${spot} spot, but may be more: neither is known well enough.`,
              next: { words: 'Measure the thinnest burnt line', path: 'optics.spotX' },
            }
          : {
              head: `${letter} steps are coarse`,
              why: `${step} each against a spot of ${spot}; a quarter of the spot or less shows no stairs.`,
              next: finer,
            }
      case 'stop':
        return { head: `${letter} steps leave gaps`, why: `${step} each, more than the spot of ${spot}.`, next: finer }
      case 'unknown':
        return {
          head: `${letter} steps fine enough?`,
          why: `Not known yet: ${step} each against a spot of ${spot}.`,
          next: { words: 'Measure the thinnest burnt line', path: 'optics.spotX' },
        }
    }
  },
})

/** Limits after common practice: four periods for each dot, and two. */
export const dotsAlike = verdict({
  id: 'optics.dotsAlike',
  stage: 'power',
  part: 'signal',
  margin: periodsForEachDot,
  goodFrom: 4,
  stopBelow: 2,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const periods = figure(periodsForEachDot)
    const cure = `${figure(frequencyWithoutBands)} would do, or at most ${figure(speedWithoutBands)}.`
    const next = { words: 'Change the frequency', path: 'electrical.pwmFrequency' }
    const at = fact('motion.wantedSpeed')
    switch (mark) {
      case 'good':
        return { head: 'Dots come out alike', why: `${periods} periods of the signal for each dot at ${at}.` }
      case 'look':
        return { head: 'Dots may differ', why: `${periods} periods for each dot at ${at}: ${cure}`, next }
      case 'stop':
        return { head: 'The signal will show as bands', why: `${periods} periods for each dot at ${at}: ${cure}`, next }
      case 'unknown':
        return {
          head: 'Will the signal show as bands?',
          why: `Not known yet: ${periods} periods for each dot at ${at} straddles 2. ${cure}`,
          next,
        }
    }
  },
})
