import { verdictOf } from '../bench'
import { scans } from '../motion'
import {
  calibratedStepsOf,
  newestRun,
  runSquareMargin,
  runSquareness,
  sizeErrorNow,
  sizeMargin,
  stepsDiffer,
  stepsMargin,
  type CalibrateView,
} from './figures'

const verdict = verdictOf<CalibrateView>()

const STAGE = 'controller'

/**
 * Whether the steps in the machine are those of the bench, for each axis. The same number agrees, however well it is known,
 * unless it is a guess; another one differs only where it is further off than the bench knows its own.
 */
export const stepsAgree = verdict({
  id: 'calibrate.stepsAgree',
  stage: STAGE,
  margin: stepsMargin,
  when: scans,
  goodFrom: 0,
  stopBelow: 0,
  settled: (margin, guesses) => margin >= 0 && !guesses.some(isOfDrive),
  say: ({ mark, args, margin, figure, fact, word }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const path = `controller.axes.${axis}.steps`
    const both = `${fact(path)} in the machine, ${figure(calibratedStepsOf, axis)} by the bench`
    const next = { words: 'See the setting', path }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: `${letter} steps agree`, why: `${both}.` }
      case 'stop':
        return {
          head: `${letter} steps differ`,
          why: `${both}: ${figure(stepsDiffer, axis)} apart, more than the bench may be off.`,
          next: { words: 'Write the steps into the machine, or change the bench', path },
        }
      case 'unknown':
        return {
          head: `${letter} steps agree?`,
          why:
            margin >= 0
              ? `${both}; but the bench's is a guess, so that this proves nothing. Check the drive train, or burn a scale run.`
              : `${both}: nearer than the bench knows. Leave the machine as it is until the drive train is checked or a scale run was read.`,
          next: margin >= 0 ? { words: 'Check the microsteps', path: `motion.axes.${axis}.microsteps` } : next,
        }
    }
  },
})

/** Facts of the drive train; an instrument's own scale blurs a run, but makes no guess of it. */
function isOfDrive(path: string): boolean {
  return path.startsWith('motion.')
}

/** Whether what is burnt now has its size, for each axis, by the newest run. */
export const sizeTrue = verdict({
  id: 'calibrate.sizeTrue',
  stage: STAGE,
  follows: 'calibrate.stepsAgree',
  margin: sizeMargin,
  when: scans,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure, fact, word }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const error = figure(sizeErrorNow, axis)
    const wanted = fact('calibrate.wantedShare')
    const next = { words: 'See the wanted accuracy', path: 'calibrate.wantedShare' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: `${letter} burns to size`, why: `It is ${error}, within the wanted ${wanted}.` }
      case 'stop':
        return {
          head: `${letter} is off size`,
          why: `It is ${error}, beyond the wanted ${wanted}: proved.`,
          next: { words: 'Apply the run and write the steps', path: `controller.axes.${axis}.steps` },
        }
      case 'unknown':
        return {
          head: `${letter} to size?`,
          why: `Not known yet: ${error}, and that straddles the wanted ${wanted}. Read the spans again, or with a better instrument.`,
          next,
        }
    }
  },
})

/** Whether the newest run's diagonals say that the axes are square. */
export const runSquare = verdict({
  id: 'calibrate.runSquare',
  stage: STAGE,
  margin: runSquareMargin,
  when: ({ calibrate }, run) => newestRun(calibrate) === run,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure, fact }) => {
    const angle = figure(runSquareness, ...args)
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
})

export const runCalibrateVerdicts = [runSquare] as const
