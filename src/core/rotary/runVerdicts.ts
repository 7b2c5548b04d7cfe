import { verdictOf } from '../bench'
import type { MotionBench } from '../motion'
import { overrunLeft, overrunRoom, slipLeft, swapRoom, trueRoom, widthSwing } from './leftFigures'
import type { RotaryView } from './objectFigures'
import { eccentricity, ovality, slip } from './runFigures'

const verdict = verdictOf<RotaryView & MotionBench>()
const RUN = { stage: 'rotary', part: 'run' } as const

export const comesBack = verdict({
  id: 'rotary.comesBack',
  ...RUN,
  margin: overrunRoom,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args: [id, runId], figure }) => {
    const next = { words: 'Use its steps', part: 'rotary/run' }
    if (mark === 'unknown')
      return {
        head: 'Does a turn bring the mark back on itself?',
        why: 'Not known yet: read the overrun of one turn and of several, more than once each.',
        next: { ...next, words: 'Read the overruns' },
      }
    const why = `After one turn it stands ${figure(overrunLeft, id, runId)}.`
    return mark === 'good'
      ? { head: 'A turn brings the mark back on itself', why }
      : { head: 'A turn does not bring the mark back on itself', why: `${why} It is the ratio: it grows with the turns.`, next }
  },
})

export const startsFirm = verdict({
  id: 'rotary.startsFirm',
  ...RUN,
  margin: slipLeft,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args: [runId], figure }) => {
    const next = { words: 'Accelerate it less, or hold it better', path: 'rotary.turn.surfaceAcceleration' }
    if (mark === 'unknown')
      return {
        head: 'Is anything lost at a start?',
        why: 'Not known yet: what the readings leave open is as much as may stay. Turn it more often.',
        next: { words: 'Read more overruns', part: 'rotary/run' },
      }
    const why = `At each start ${figure(slip, runId)} is lost, however far it turns.`
    return mark === 'good'
      ? { head: 'Nothing is lost at a start', why }
      : { head: 'It slips, or has play', why: `${why} No steps mend that: take up the play, press it on, or start slower.`, next }
  },
})

export const runsTrue = verdict({
  id: 'rotary.runsTrue',
  ...RUN,
  margin: trueRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id, runId], figure }) => {
    const next = { words: 'Read the dial round the turn', part: 'rotary/run' }
    if (mark === 'unknown') return { head: 'Does it run true?', why: 'Not known yet: read a dial at eight places or more.', next }
    const why = `Off centre by ${figure(eccentricity, runId)}, oval by ${figure(ovality, runId)}; work around it is stretched and pressed by ${figure(widthSwing, id, runId)}.`
    return mark === 'good'
      ? { head: 'It runs true enough for focus', why }
      : {
          head: 'It runs out of focus as it turns',
          why: `${why} Centre it again.`,
          next: { ...next, words: 'Centre it, and read again' },
        }
  },
})

export const putBackDue = verdict({
  id: 'rotary.putBackDue',
  ...RUN,
  margin: swapRoom,
  goodFrom: Infinity,
  stopBelow: 0,
  say: ({ mark, args: [axisId], word }) => {
    const letter = word(`motion.axes.${axisId}.letter`)
    const next = { words: `Put ${letter} back`, part: 'rotary/run' }
    return mark === 'stop'
      ? {
          head: `The rotary is still in the place of ${letter}`,
          why: `Its steps have been in the machine since yesterday: anything flat would come out wrong, and may run into the frame.`,
          next,
        }
      : {
          head: `The rotary is in the place of ${letter}`,
          why: `Nothing flat may be burnt before ${letter} has its own settings again.`,
          next,
        }
  },
})
