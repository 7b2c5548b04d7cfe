import { verdictOf } from '../bench'
import type { RotaryView } from '../rotary'
import type { WorkBench } from './figures'
import { closes, closingScale, patternAround, patternRoom, seam, seamRoom, turnedRoom } from './turnedFigures'

const verdict = verdictOf<WorkBench & RotaryView>()

export const meetsItself = verdict({
  id: 'work.meetsItself',
  stage: 'rotary',
  part: 'unrolled',
  margin: seamRoom,
  when: (bench, _id) => closes(bench),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Measure once round, or scale the artwork', part: 'work/order' }
    if (mark === 'unknown')
      return {
        head: 'Does the pattern close?',
        why: 'Not known yet: how far it is round is not known that well.',
        next: { words: 'Measure the diameter', path: `rotary.objects.${id}.length` },
      }
    const why = `Where it meets itself it is ${figure(seam, id)}.`
    return mark === 'good'
      ? { head: 'The pattern closes', why }
      : { head: 'The pattern does not close', why: `${why} At ${figure(closingScale, id)} of its size it would.`, next }
  },
})

export const goesOnce = verdict({
  id: 'work.goesOnce',
  stage: 'rotary',
  part: 'unrolled',
  margin: seamRoom,
  when: (bench, _id) => !closes(bench),
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Make it smaller', part: 'work/order' }
    if (mark === 'unknown')
      return {
        head: 'Does the order fit around the object?',
        why: 'Not known yet: take in artwork, and measure the object.',
        next,
      }
    const why = `It takes ${figure(patternAround, id)} around it.`
    return mark === 'good'
      ? { head: 'The order fits around the object', why }
      : { head: 'The order goes over its own beginning', why, next }
  },
})

export const staysOnIt = verdict({
  id: 'work.staysOnIt',
  stage: 'rotary',
  part: 'unrolled',
  margin: patternRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Make it shorter, or lay the sheet as the unrolled work', part: 'work/order' }
    if (mark === 'unknown')
      return {
        head: 'Does the order stay on the object?',
        why: 'Not known yet: where the work goes along it.',
        next: { words: 'Say where it begins and ends', path: `rotary.objects.${id}.workFrom` },
      }
    const why = `It is ${figure(patternRoom, id)}.`
    return mark === 'good'
      ? { head: 'The order stays on its stretch of the object', why }
      : { head: 'The order runs off its stretch of the object', why, next }
  },
})

export const settingsAgree = verdict({
  id: 'work.settingsAgree',
  stage: 'work',
  part: 'order',
  margin: turnedRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, word }) => {
    const isRound = word('rotary.lays') === 'round'
    const next = { words: isRound ? 'Write the rotary’s settings' : 'Put the axis back', part: 'rotary/run' }
    if (mark === 'good')
      return {
        head: 'Order and machine agree',
        why: isRound
          ? 'It lies round the object, and the machine is set for that.'
          : 'It is flat, and the axes have their own settings.',
      }
    return isRound
      ? {
          head: 'The machine is not set for the rotary',
          why: 'The order lies round an object, and the axis still has its own settings.',
          next,
        }
      : {
          head: 'The rotary stands in an axis’ place',
          why: 'This order is flat: it would be burnt with the rotary’s settings.',
          next,
        }
  },
})
