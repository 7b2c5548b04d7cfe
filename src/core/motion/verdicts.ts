import { verdictOf } from '../bench'
import { speedReserve, squareMargin, squareness, topSpeed } from './figures'
import { scans } from './subjects'
import type { MotionBench } from './slice'

const verdict = verdictOf<MotionBench>()

export const fastEnough = verdict({
  id: 'motion.fastEnough',
  stage: 'motion',
  margin: speedReserve,
  when: scans,
  goodFrom: 1,
  stopBelow: 1,
  say: ({ mark, args, figure, fact, word }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const possible = figure(topSpeed, axis)
    const wanted = fact('motion.wantedSpeed')
    const rate = { words: 'Enter the step rate of the controller', path: 'motion.maxStepRate' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: `${letter} is fast enough`, why: `${wanted} wanted, ${possible} possible by step rate.` }
      case 'stop':
        return {
          head: `${letter} runs out of steps`,
          why: `${wanted} wanted, but the controller gives out at ${possible}. Coarser microsteps or a lower speed would do.`,
          next: { words: 'Change the microsteps', path: `motion.axes.${axis}.microsteps` },
        }
      case 'unknown':
        return {
          head: `${letter} fast enough?`,
          why: `Not known yet: ${possible} possible straddles ${wanted} wanted.`,
          next: rate,
        }
    }
  },
})

export const squareEnough = verdict({
  id: 'motion.squareEnough',
  stage: 'motion',
  margin: squareMargin,
  when: ({ motion }) => motion.kinematics.chosen !== 'mirrors',
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const angle = figure(squareness)
    const limit = fact('motion.squareWithin')
    const measure = { words: 'Measure both diagonals', path: 'motion.corners.fromOrigin' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: 'Square enough', why: `${angle} out, within the accepted ${limit}.` }
      case 'stop':
        return {
          head: 'Out of square',
          why: `${angle} out, beyond the accepted ${limit}. Loosen one end of the gantry, push it square, tighten, measure again.`,
          next: measure,
        }
      case 'unknown':
        return { head: 'Square?', why: `Not known yet: ${angle} straddles the limit of ${limit}.`, next: measure }
    }
  },
})
