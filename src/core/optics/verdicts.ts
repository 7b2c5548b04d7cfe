import type { VerdictDef } from '../bench'
import { smallestStep } from '../motion'
import { spotSmaller, stepsAcrossSpot } from './figures'

/** Limits after common practice: a quarter of the spot, and the spot itself. */
export const fineEnough: VerdictDef = {
  id: 'optics.fineEnough',
  stage: 'motion',
  margin: stepsAcrossSpot,
  goodFrom: 4,
  stopBelow: 1,
  say: ({ mark, args, figure, word }) => {
    const axis = args[0] ?? ''
    const letter = word(`motion.axes.${axis}.letter`)
    const step = figure(smallestStep, axis)
    const spot = figure(spotSmaller)
    const finer = { words: 'Set finer microsteps', path: `motion.axes.${axis}.microsteps` }
    switch (mark) {
      case 'good':
        return { head: `${letter} steps are fine enough`, why: `${step} each, at most a quarter of the ${spot} spot.` }
      case 'look':
        return {
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
}

export const opticsVerdicts = [fineEnough] as const
