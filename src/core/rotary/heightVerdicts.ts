import { verdictOf } from '../bench'
import {
  alongRoom,
  clearance,
  floorRoom,
  headAt,
  heightRoom,
  levelRoom,
  levelShim,
  lowRoom,
  tiltLeft,
  type Obstacle,
} from './heightFigures'
import type { RotaryView } from './objectFigures'

const verdict = verdictOf<RotaryView>()
const HEIGHT = { stage: 'rotary', part: 'height' } as const

export const goesUnder = verdict({
  id: 'rotary.goesUnder',
  ...HEIGHT,
  margin: heightRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    if (mark === 'unknown')
      return {
        head: 'Does it go in under the head?',
        why: 'Not known yet: heights over the bed, the object, or the gap at focus.',
        next: { words: 'Measure how high the head goes', path: 'rotary.stack.headHigh' },
      }
    const why = `The head must stand ${figure(headAt, id)} over the bed; ${figure(heightRoom, id)}.`
    if (mark === 'good') return { head: 'It goes in under the head', why }
    return {
      head: 'It does not go in under the head',
      why: `${why} Put feet that high under the frame, or let the floor down by as much.`,
      next: { words: 'Put feet under the frame', path: 'rotary.stack.feet' },
    }
  },
})

export const comesDown = verdict({
  id: 'rotary.comesDown',
  ...HEIGHT,
  margin: lowRoom,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Say how far the head goes down', path: 'rotary.stack.headLow' }
    if (mark === 'unknown') return { head: 'Does the head come down to it?', why: 'Not known yet.', next }
    const why = `Further down ${figure(lowRoom, id)}.`
    return mark === 'good'
      ? { head: 'The head comes down to it', why }
      : { head: 'The head stays too high for focus', why: `${why} Take feet away, or put something under the rotary.`, next }
  },
})

const NAMES: Readonly<Record<Obstacle, readonly [name: string, path: string]>> = {
  drive: ['the disc or the jaws', 'rotary.holder.discDiameter'],
  tail: ['the tail disc', 'rotary.holder.tailDiameter'],
  object: ['the object beside the work', 'rotary.objects.{id}.workFrom'],
  handle: ['the handle', 'rotary.objects.{id}.handleAt'],
}

export const clears = verdict({
  id: 'rotary.clears',
  ...HEIGHT,
  margin: clearance,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args: [id, obstacle], figure }) => {
    const [name, path] = NAMES[obstacle as Obstacle]
    const next = { words: 'Change what stands there', path: path.replace('{id}', id) }
    if (mark === 'unknown')
      return { head: `Does the head clear ${name}?`, why: 'Not known yet.', next: { ...next, words: 'Measure it' } }
    const why = `Through the whole turn and travel it is ${figure(clearance, id, obstacle)}.`
    if (mark === 'good') return { head: `The head clears ${name}`, why }
    return {
      head: `The head may hit ${name}`,
      why: `${why} It stands above the top line by more than the gap leaves. Take a smaller disc, move the work away from it, or turn less.`,
      next,
    }
  },
})

export const turnsFree = verdict({
  id: 'rotary.turnsFree',
  ...HEIGHT,
  margin: floorRoom,
  goodFrom: 1,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Raise the rotary', path: 'rotary.stack.axisHeight' }
    if (mark === 'unknown') return { head: 'Does it turn without touching the bed?', why: 'Not known yet.', next }
    const why = `Of the bed it is ${figure(floorRoom, id)}.`
    return mark === 'good'
      ? { head: 'It turns without touching the bed', why }
      : { head: 'Something of it touches the bed as it turns', why, next }
  },
})

export const travelsAlong = verdict({
  id: 'rotary.travelsAlong',
  ...HEIGHT,
  margin: alongRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Shorten the work', path: `rotary.objects.${id}.workTo` }
    if (mark === 'unknown') return { head: 'Is the travel long enough for it?', why: 'Not known yet.', next }
    return mark === 'good'
      ? { head: 'The travel is long enough for the work', why: `${figure(alongRoom, id)} left.` }
      : { head: 'The work is longer than the travel', why: 'The head cannot go from one end of it to the other.', next }
  },
})

export const liesLevel = verdict({
  id: 'rotary.liesLevel',
  ...HEIGHT,
  margin: levelRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Read both heights again', path: 'rotary.stack.heightDriven' }
    if (mark === 'unknown')
      return { head: 'Does its top line lie level?', why: 'Not known yet: both heights, or the depth of focus.', next }
    const why = `Its top line leans: ${figure(tiltLeft, id)}.`
    return mark === 'good'
      ? { head: 'Its top line lies level enough', why }
      : {
          head: 'Its top line leans out of focus',
          why: `${why} Put ${figure(levelShim, id)} under its low end, and read again.`,
          next,
        }
  },
})
