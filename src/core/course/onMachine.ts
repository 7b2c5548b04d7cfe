import { scorePractice } from '../document'
import { drawPractice, type PracticeMachine, type StandInSpec } from '../workshop'
import { faultsOfLesson } from './lessonFaults'
import type { LessonId } from './lessonId'
import { done, NOT_BEGUN, type Lessoned, type LessonWorked } from './score'

/** The stand-in's machine of a lesson. */
export function machineOfLesson(lesson: LessonId, number: number, spec: StandInSpec): PracticeMachine {
  return drawPractice(number, 1, spec, faultsOfLesson(lesson))
}

/** Size, squareness or delay, by the truth of the machine as it is left. @throws never: no outline is tried for these. */
export function workMachine(it: Lessoned): LessonWorked {
  const { lesson, number, spec, bench } = it
  const machine = machineOfLesson(lesson, number, spec)
  const { hidden } = machine
  if (it.settings['x/steps'] === undefined)
    return { aims: {}, truth: ['Its settings were never read: connect it, and read them first.'] }
  const { aspects, inVain } = scorePractice({ ...it, machine }, ['scale', 'square', 'delay'])
  const aimOf = (aspect: 'scale' | 'square' | 'delay') => {
    const { off = null, isProved = false } = aspects.find((one) => one.aspect === aspect) ?? {}
    return { off, isDone: isProved }
  }
  switch (lesson) {
    case 'square':
      return {
        aims: { square: aimOf('square'), vain: it.mends.length === 0 ? NOT_BEGUN : done(inVain.length) },
        truth: [`It leant by ${((hidden.skewRad * 180) / Math.PI).toFixed(3)}° as it came.`],
      }
    case 'delay': {
      const delay = aimOf('delay')
      return {
        aims: { delay, vain: delay.isDone ? done(inVain.length) : NOT_BEGUN },
        truth: [
          `Light came ${(hidden.delay.on * 1000).toFixed(1)} ms behind its word; the card waits ${(bench.output.card.afterOn * 1000).toFixed(1)} ms.`,
        ],
      }
    }
    default:
      return {
        aims: { scale: aimOf('scale') },
        truth: (['x', 'y'] as const).map(
          (axis) =>
            `${axis.toUpperCase()} took ${(1 / hidden.mmPerStep[axis]).toFixed(3)} steps for a millimetre; ${Number(it.settings[`${axis}/steps`]).toFixed(3)} are set.`,
        ),
      }
  }
}
