import { verdictOf } from '../bench'
import { boxMass, insideRoom, liftRoom, needed, type HousingView, type Way } from './boxFigures'
import { handForce, handRoom, hingeRoom, staysShut, staysUp, strokeRoom } from './lidFigures'
import { edgeRoom } from './makingFigures'
import { lightRoom, portRoom } from './portFigures'

const verdict = verdictOf<HousingView>()
const BOX = { stage: 'housing', part: 'box' } as const
const LID = { stage: 'housing', part: 'lid' } as const
const PORTS = { stage: 'housing', part: 'ports' } as const

const ALONG: Readonly<Record<Way, string>> = { x: 'along X', y: 'along Y', z: 'in height' }
const MEASURE: Readonly<Record<Way, string>> = {
  x: 'housing.needs.machineX',
  y: 'housing.needs.machineY',
  z: 'housing.needs.machineZ',
}

export const holdsMachine = verdict({
  id: 'housing.holdsMachine',
  ...BOX,
  margin: insideRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [name], figure }) => {
    const way = name as Way
    if (mark === 'unknown')
      return {
        head: `Does it all go in ${ALONG[way]}?`,
        why: 'Not known yet: the machine with its head at every end of travel, or the box.',
        next: { words: 'Measure the machine', path: MEASURE[way] },
      }
    const why = `It needs ${figure(needed, way)} inside; ${figure(insideRoom, way)}.`
    if (mark === 'good') return { head: `It all goes in ${ALONG[way]}`, why }
    return {
      head: `The box is too small ${ALONG[way]}`,
      why: `${why} Make it larger, or take away what asks for the room.`,
      next: { words: 'Change the size', path: `housing.size.${way}` },
    }
  },
})

export const canBeLifted = verdict({
  id: 'housing.canBeLifted',
  ...BOX,
  margin: liftRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Say who lifts it', path: 'housing.size.lift' }
    if (mark === 'unknown') return { head: 'Can the hood be lifted?', why: 'Not known yet: its sheet, or its size.', next }
    const why = `It weighs ${figure(boxMass)}.`
    return mark === 'good'
      ? { head: 'The hood can be lifted', why: `${why} Give it two handles, level with its centre.` }
      : { head: 'The hood is heavy to lift', why: `${why} Take thinner or lighter sheet, lift it by two, or hinge it.`, next }
  },
})

export const edgesHold = verdict({
  id: 'housing.edgesHold',
  stage: 'housing',
  part: 'panels',
  margin: edgeRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Take a thinner screw', path: 'housing.make.screw' }
    if (mark === 'unknown')
      return { head: 'Does the edge of the sheet hold screws?', why: 'Not known yet: the sheet that the box is made of.', next }
    return mark === 'good'
      ? { head: 'The edge of the sheet holds its screws', why: 'Drill a pilot hole all the same, in the middle of the edge.' }
      : {
          head: 'The edge of the sheet splits',
          why: `What it takes is ${figure(edgeRoom)} than the screw. Glue a block behind the joint and screw into that, or take a thinner screw.`,
          next,
        }
  },
})

export const lidStaysUp = verdict({
  id: 'housing.lidStaysUp',
  ...LID,
  margin: staysUp,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure }) => {
    const next = { words: 'See where the springs would hold it', part: 'housing/lid' }
    if (mark === 'unknown')
      return {
        head: 'Does the lid stay up?',
        why: 'Not known yet: the springs, or where they are fixed.',
        next: { words: 'Read the force on their label', path: 'housing.lid.force' },
      }
    const why = `Wide open at the coldest: ${figure(staysUp)}.`
    return mark === 'good'
      ? { head: 'The lid stays up, cold too', why }
      : {
          head: 'The lid may come down on a hand',
          why: `${why} Take stronger springs, or fix them further from the hinge.`,
          next,
        }
  },
})

export const lidStaysShut = verdict({
  id: 'housing.lidStaysShut',
  ...LID,
  margin: staysShut,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'See where the springs would hold it', part: 'housing/lid' }
    if (mark === 'unknown') return { head: 'Does the lid stay shut?', why: 'Not known yet.', next }
    const why = `Shut at the warmest: ${figure(staysShut)}.`
    return mark === 'good'
      ? { head: 'The lid stays shut by itself', why }
      : { head: 'The lid opens by itself', why: `${why} Give it a catch, weaker springs, or fix them nearer to the hinge.`, next }
  },
})

export const springsReach = verdict({
  id: 'housing.springsReach',
  ...LID,
  margin: strokeRoom,
  goodFrom: 3,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const next = { words: 'See where the springs would hold it', part: 'housing/lid' }
    if (mark === 'unknown')
      return {
        head: 'Do the springs reach through the travel?',
        why: 'Not known yet: their length and stroke, or where they are fixed.',
        next: { words: 'Measure them from ball to ball', path: 'housing.lid.stretched' },
      }
    const why = `Of their stroke there is left, at the tighter end: ${figure(strokeRoom)}.`
    return mark === 'good'
      ? { head: 'The springs reach through the travel', why }
      : { head: 'The springs do not reach through the travel', why: `${why} They would tear out or hold the lid open.`, next }
  },
})

export const easyByHand = verdict({
  id: 'housing.easyByHand',
  ...LID,
  margin: handRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Say what holds it up', path: 'housing.lid.springs' }
    if (mark === 'unknown') return { head: 'Is the lid easy to open?', why: 'Not known yet.', next }
    const why = `A hand at its edge lifts or holds ${figure(handForce)} at most.`
    return mark === 'good' ? { head: 'The lid is easy to open', why } : { head: 'The lid is heavy by hand', why, next }
  },
})

export const hingeCarries = verdict({
  id: 'housing.hingeCarries',
  ...LID,
  margin: hingeRoom,
  when: ({ housing }) => housing.lid.springs.chosen !== null,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const next = { words: 'Say what the hinge carries', path: 'housing.lid.hinge' }
    if (mark === 'unknown') return { head: 'Does the hinge carry it?', why: 'Not known yet.', next }
    const why = `${figure(hingeRoom)} than it carries.`
    return mark === 'good'
      ? { head: 'The hinge carries the lid and its springs', why: `The load is ${why}` }
      : { head: 'The hinge is too weak', why: `The load is ${why} Take a hinge along the whole edge, or more of them.`, next }
  },
})

export const noLineOut = verdict({
  id: 'housing.noLineOut',
  ...PORTS,
  margin: lightRoom,
  goodFrom: 1,
  stopBelow: 1,
  hazard: true,
  say: ({ mark, args: [id], word }) => {
    const isPort = id !== 'lid' && id !== 'foot'
    const name = isPort ? `“${word(`housing.ports.${id}.name`)}”` : id === 'lid' ? 'the gap of the lid' : 'the foot of the hood'
    const path = isPort ? `housing.ports.${id}.filled` : id === 'lid' ? 'housing.lid.seal' : 'housing.size.foot'
    if (mark === 'unknown')
      return {
        head: `Does a line lead out through ${name}?`,
        why: 'Not known yet: where it is, how large, and what is in it.',
        next: { words: 'Say what is in it', path },
      }
    return mark === 'good'
      ? {
          head: `No straight line leads out through ${name}`,
          why: 'From no place of the work, as far as plates and walls lie as they are entered. Look for light in a dark room too.',
        }
      : {
          head: `The beam can look out through ${name}`,
          why: 'A straight line leads from the work to the outside. Put a matt black baffle before it, make it smaller, or fill it: light that gets out has met two of them.',
          next: { words: `Shut the way out at ${name}`, path },
        }
  },
})

export const portFits = verdict({
  id: 'housing.portFits',
  ...PORTS,
  margin: portRoom,
  goodFrom: 10,
  stopBelow: 0,
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`housing.ports.${id}.name`)
    const next = { words: 'Move it', path: `housing.ports.${id}.x` }
    if (mark === 'unknown')
      return { head: `Does “${name}” lie within its wall?`, why: 'Not known yet: its place and size.', next }
    const why = `Of the wall round it: ${figure(portRoom, id)}.`
    if (mark === 'good') return { head: `“${name}” lies within its wall`, why }
    return mark === 'look'
      ? { head: `“${name}” lies near an edge`, why: `${why} Less than 10 mm breaks out, or meets the joint.`, next }
      : { head: `“${name}” goes over the edge of its wall`, why, next }
  },
})
