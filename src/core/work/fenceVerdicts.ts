import { verdictOf } from '../bench'
import { fenceOff, fenceRoom, placeRoom } from './fenceFigures'
import type { WorkBench } from './figures'

const verdict = verdictOf<WorkBench>()

export const fenceLaid = verdict({
  id: 'work.fenceLaid',
  stage: 'work',
  part: 'order',
  margin: fenceRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Burn its lines, and lay it along them', part: 'work/order', fact: 'work.fenceX' }
    if (mark === 'good') return { head: 'The fence lies along its lines', why: 'They were burnt where work is placed from.' }
    if (mark === 'unknown')
      return { head: 'Does the fence lie along its lines?', why: 'Not known yet: they were not burnt on this bench.', next }
    return {
      head: 'The fence was laid elsewhere',
      why: `Its lines were burnt ${figure(fenceOff)} from where it is said to lie.`,
      next,
    }
  },
})

export const placesApart = verdict({
  id: 'work.placesApart',
  stage: 'work',
  part: 'order',
  margin: placeRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [letter], figure }) => {
    const next = { words: 'Put the places further apart', part: 'work/order', fact: 'work.sheetWidth' }
    if (mark === 'good')
      return {
        head: `Blanks lie side by side along ${letter}`,
        why: `From one place to the next they lie with ${figure(placeRoom, letter)}.`,
      }
    if (mark === 'unknown')
      return {
        head: `Is there room between blanks along ${letter}?`,
        why: 'Not known yet: a blank is not measured, or too close to tell.',
        next,
      }
    return {
      head: `Blanks would lie over one another along ${letter}`,
      why: `From one place to the next they lie with ${figure(placeRoom, letter)}.`,
      next,
    }
  },
})
