import { verdictOf } from '../bench'
import { burningOf } from './burning'
import { endLight, endLightRoom, evenUpTo, followsOnBench, signalPeriods, type EvenBench } from './evenFigures'

const verdict = verdictOf<EvenBench>()

/** Below how many periods of the signal dots differ. */
const ENOUGH_PERIODS = 4

export const evenLines = verdict({
  id: 'work.evenLines',
  stage: 'work',
  part: 'order',
  margin: endLightRoom,
  when: (bench, pieceId, wayId) => !followsOnBench(bench) && bench.work.pieces[pieceId]?.ways[wayId] !== undefined,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [pieceId, wayId], figure, word }) => {
    const name = `${word(`work.pieces.${pieceId}.name`)}, ${word(`work.pieces.${pieceId}.ways.${wayId}.drawn`)}`
    if (mark === 'unknown') {
      return {
        head: `Do lines of ${name} begin evenly?`,
        why: 'Not known yet: the spot, or the acceleration of an axis, is not known.',
        next: { words: 'Measure the spot', path: 'optics.spotX' },
      }
    }
    const why = `A line that begins from rest, or ends in it, gets ${figure(endLight, pieceId, wayId)} times the light there that it gets along its length.`
    if (mark === 'good') return { head: `Lines of ${name} begin evenly`, why }
    return {
      head: `Lines of ${name} may begin darker`,
      why: `${why} Up to ${figure(evenUpTo)} it is not seen; nor where the power follows the speed.`,
      next: { words: 'Burn it slower, or let the power follow the speed', part: 'work/order', thing: `work.pieces.${pieceId}` },
    }
  },
})

export const evenDots = verdict({
  id: 'work.evenDots',
  stage: 'work',
  part: 'order',
  margin: signalPeriods,
  when: ({ electrical, work, burns }, pieceId, wayId) => {
    const way = work.pieces[pieceId]?.ways[wayId]
    // A level has no pulses, nor has full power.
    return way !== undefined && electrical.driver.input.chosen === 'pulses' && burningOf(work, burns.materials, way).power < 1
  },
  goodFrom: ENOUGH_PERIODS,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [pieceId, wayId], figure, word }) => {
    const name = `${word(`work.pieces.${pieceId}.name`)}, ${word(`work.pieces.${pieceId}.ways.${wayId}.drawn`)}`
    const next = { words: 'Burn it slower, or let the signal be faster', path: 'electrical.pwmFrequency' }
    if (mark === 'unknown') {
      return { head: `Will the signal show in ${name}?`, why: 'Not known yet: its frequency, or the spot, is not known.', next }
    }
    const why = `${figure(signalPeriods, pieceId, wayId)} periods of the power signal for each dot at its speed; 4 are enough.`
    return mark === 'good'
      ? { head: `The signal does not show in ${name}`, why }
      : { head: `The signal may show as bands in ${name}`, why, next }
  },
})
