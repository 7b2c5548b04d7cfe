import { verdictOf } from '../bench'
import type { MotionBench } from '../motion'
import type { RotaryView } from './objectFigures'
import { grip, rateRoom, slipFrom, slipRoom, speedRoom, stepsAcross, surfaceStep, torque, torqueRoom } from './turnFigures'

const verdict = verdictOf<RotaryView & MotionBench>()
const TURNING = { stage: 'rotary', part: 'turning' } as const

export const turnsFinely = verdict({
  id: 'rotary.turnsFinely',
  ...TURNING,
  margin: stepsAcross,
  goodFrom: 4,
  stopBelow: 1,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Take more microsteps, or gear it down', path: 'rotary.turn.microsteps' }
    if (mark === 'unknown')
      return {
        head: 'Does it turn finely enough?',
        why: 'Not known yet: the object, or the spot.',
        next: { words: 'Enter the spot', path: 'optics.spotY' },
      }
    const why = `A step moves the surface by ${figure(surfaceStep, id)}: ${figure(stepsAcross, id)} of them across the spot; 4 are enough.`
    return mark === 'good' ? { head: 'It turns finely enough', why } : { head: 'It turns coarsely', why, next }
  },
})

export const turnsFast = verdict({
  id: 'rotary.turnsFast',
  ...TURNING,
  margin: speedRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Turn it slower, or take fewer microsteps', path: 'rotary.turn.surfaceSpeed' }
    if (mark === 'unknown') return { head: 'Does the controller step fast enough?', why: 'Not known yet.', next }
    const why = `It can step the surface at up to ${figure(rateRoom, id)}.`
    return mark === 'good'
      ? { head: 'The controller steps fast enough', why }
      : { head: 'The controller does not step that fast', why: `${why} Beyond it steps are lost.`, next }
  },
})

export const turnsIt = verdict({
  id: 'rotary.turnsIt',
  ...TURNING,
  margin: torqueRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Accelerate it less, or gear it down', path: 'rotary.turn.surfaceAcceleration' }
    if (mark === 'unknown')
      return {
        head: 'Is its motor strong enough?',
        why: 'Not known yet.',
        next: { words: 'Read its motor’s label', path: 'rotary.turn.holdTorque' },
      }
    const why = `It needs ${figure(torque, id)}; half of its holding torque is there while it runs.`
    return mark === 'good' ? { head: 'Its motor is strong enough', why } : { head: 'Its motor may lose steps', why, next }
  },
})

export const doesNotSlip = verdict({
  id: 'rotary.doesNotSlip',
  ...TURNING,
  margin: slipRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Accelerate it less, or cover the rollers', path: 'rotary.turn.surfaceAcceleration' }
    if (mark === 'unknown') return { head: 'Does it slip on the rollers?', why: 'Not known yet.', next }
    const why = `The rollers pass on ${figure(grip, id)}; it slips from ${figure(slipFrom, id)}.`
    return mark === 'good' ? { head: 'It does not slip on the rollers', why } : { head: 'It may slip on the rollers', why, next }
  },
})
