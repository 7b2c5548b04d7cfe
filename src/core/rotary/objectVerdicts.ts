import { verdictOf } from '../bench'
import { aroundRoom, endLift, focusRoom, sectionsRoom, topLine, wall, workRoom, type RotaryView } from './objectFigures'

const verdict = verdictOf<RotaryView>()
const OBJECT = { stage: 'rotary', part: 'object' } as const

export const sectionsLie = verdict({
  id: 'rotary.sectionsLie',
  ...OBJECT,
  margin: sectionsRoom,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args: [id] }) => {
    const next = { words: 'Measure along it again', path: `rotary.objects.${id}.length` }
    if (mark === 'good') return { head: 'Its diameters lie within its length', why: 'All were measured on the object.' }
    if (mark === 'unknown')
      return {
        head: 'What shape is it?',
        why: 'Not known yet: its length, and its diameter at two different places along it.',
        next: { words: 'Measure it along its length', path: `rotary.objects.${id}.length` },
      }
    return { head: 'A diameter lies beyond its end', why: 'A place is further along than the object is long.', next }
  },
})

export const wallThere = verdict({
  id: 'rotary.wallThere',
  ...OBJECT,
  margin: wall,
  goodFrom: 0.3,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Measure its bore again', path: `rotary.objects.${id}.bore` }
    if (mark === 'unknown') return { head: 'How thick is its wall?', why: 'Not known yet: its bore, or its length.', next }
    if (mark === 'stop')
      return {
        head: 'Its bore is wider than its outside',
        why: 'At its mouth there would be no wall left: one of both was misread.',
        next,
      }
    const why = `${figure(wall, id)} at its mouth.`
    return mark === 'good' ? { head: 'Bore and outside agree', why } : { head: 'Its wall is very thin', why, next }
  },
})

export const workOnIt = verdict({
  id: 'rotary.workOnIt',
  ...OBJECT,
  margin: workRoom,
  goodFrom: 1,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Move the work along it', path: `rotary.objects.${id}.workFrom` }
    if (mark === 'unknown')
      return {
        head: 'Where does the work go?',
        why: 'Not known yet: from where to where it goes along the object, or how near that is to what is kept off.',
        next: { ...next, words: 'Say where it begins and ends' },
      }
    const why = `${figure(workRoom, id)} to what is kept off, or to an end.`
    if (mark === 'good') return { head: 'The work keeps off what it must', why }
    return {
      head: mark === 'stop' ? 'The work lies over what is kept off' : 'The work lies close to what is kept off',
      why,
      next,
    }
  },
})

export const goesRound = verdict({
  id: 'rotary.goesRound',
  ...OBJECT,
  margin: aroundRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [id], figure }) => {
    const next = { words: 'Say how far around it goes', path: `rotary.objects.${id}.workAround` }
    if (mark === 'unknown') return { head: 'Does the work fit around it?', why: 'Not known yet.', next }
    if (mark === 'good') return { head: 'The work fits around it', why: `It is ${figure(aroundRoom, id)}.` }
    return {
      head: 'The work would run over its own beginning',
      why: `It goes ${figure(aroundRoom, id)}.`,
      next: { ...next, words: 'Make it narrower' },
    }
  },
})

export const staysInFocus = verdict({
  id: 'rotary.staysInFocus',
  ...OBJECT,
  margin: focusRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure }) => {
    if (mark === 'unknown')
      return {
        head: 'Does it stay in focus along the work?',
        why: 'Not known yet: its shape, its work, or the beam’s depth of focus.',
        next: { words: 'Find the depth of focus', part: 'beam/focus' },
      }
    const why = `Levelled, its top line rises and falls by ${figure(topLine, id)} over the work; tilt it: ${figure(endLift, id)}.`
    if (mark === 'good') return { head: 'The work stays in focus', why }
    return {
      head: 'It leaves focus along the work',
      why,
      next: { words: 'Shorten the work, or burn it in stretches', path: `rotary.objects.${id}.workTo` },
    }
  },
})
