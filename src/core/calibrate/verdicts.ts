import type { VerdictDef } from '../bench'
import { calibratedStepsOf, runSquareMargin, runSquareness, sizeErrorNow, sizeMargin, stepsDiffer, stepsMargin } from './figures'

const STAGE = 'controller'

/** Whether the steps in the machine are those of the bench, for each axis. */
export const stepsAgree: VerdictDef = {
  id: 'calibrate.stepsAgree',
  stage: STAGE,
  margin: stepsMargin,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args, figure, fact, word }) => {
    const axis = args[0] ?? ''
    const letter = word(`motion.axes.${axis}.letter`)
    const path = `controller.axes.${axis}.steps`
    const bench = figure(calibratedStepsOf, axis)
    if (mark === 'good') return { head: `${letter} steps agree`, why: `${fact(path)} in the machine, ${bench} by the bench.` }
    return {
      head: mark === 'unknown' ? `${letter} steps agree?` : `${letter} steps differ`,
      why: `${fact(path)} in the machine, ${bench} by the bench: ${figure(stepsDiffer, axis)} apart. Write them, or change the bench.`,
      next: { words: 'See the setting', path },
    }
  },
}

/** Whether what is burnt now has its size, for each axis, by the newest run. */
export const sizeTrue: VerdictDef = {
  id: 'calibrate.sizeTrue',
  stage: STAGE,
  margin: sizeMargin,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args, figure, fact, word }) => {
    const axis = args[0] ?? ''
    const letter = word(`motion.axes.${axis}.letter`)
    const error = figure(sizeErrorNow, axis)
    const wanted = fact('calibrate.wantedShare')
    const next = { words: 'See the wanted accuracy', path: 'calibrate.wantedShare' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: `${letter} burns to size`, why: `${error} off, within the wanted ${wanted}.` }
      case 'stop':
        return {
          head: `${letter} is off size`,
          why: `${error}, beyond the wanted ${wanted}: proved. Apply the run and write the steps.`,
          next: { words: 'See the steps in the machine', path: `controller.axes.${axis}.steps` },
        }
      case 'unknown':
        return {
          head: `${letter} to size?`,
          why: `Not known yet: ${error} straddles the wanted ${wanted}. Read the spans again, or with a better instrument.`,
          next,
        }
    }
  },
}

/** Whether the newest run's diagonals say that the axes are square. */
export const runSquare: VerdictDef = {
  id: 'calibrate.runSquare',
  stage: STAGE,
  margin: runSquareMargin,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args, figure, fact }) => {
    const angle = figure(runSquareness, args[0] ?? '')
    const limit = fact('motion.squareWithin')
    switch (mark) {
      case 'good':
      case 'look':
        return { head: 'Square by the run', why: `${angle} out, within the accepted ${limit}.` }
      case 'stop':
        return {
          head: 'Out of square by the run',
          why: `${angle} out, beyond the accepted ${limit}: proved. Loosen one end of the gantry, push it square, tighten, burn a new run.`,
          next: { words: 'See what is accepted', path: 'motion.squareWithin' },
        }
      case 'unknown':
        return {
          head: 'Square by the run?',
          why: `Not known yet: ${angle} straddles the accepted ${limit}. Read the diagonals again.`,
          next: { words: 'See what is accepted', path: 'motion.squareWithin' },
        }
    }
  },
}

export const axisCalibrateVerdicts = [stepsAgree, sizeTrue] as const
export const runCalibrateVerdicts = [runSquare] as const
