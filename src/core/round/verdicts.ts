import { verdictOf } from '../bench'
import type { ElectricalBench } from '../electrical'
import { fireFought, roomKept, tryLeft } from './figures'
import type { RoundBench, Tried } from './slice'

const verdict = verdictOf<RoundBench & ElectricalBench>()

const NAMES: Readonly<Record<Tried, string>> = { interlock: 'the lid’s switch', stop: 'the stop button', key: 'the key' }

export const switchTried = verdict({
  id: 'round.switchTried',
  stage: 'safety',
  part: 'round',
  margin: tryLeft,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [what], figure }) => {
    const name = NAMES[what as Tried]
    const next = { words: `Try ${name}`, part: 'safety/round' }
    if (mark === 'unknown')
      return { head: `Does ${name} darken the beam?`, why: 'Nobody has written down that it was tried on this machine.', next }
    if (mark === 'good')
      return { head: `It was tried that ${name} darkens the beam`, why: `Due again: ${figure(tryLeft, what)}.` }
    return {
      head: `Try ${name} again`,
      why: `Its last good try: ${figure(tryLeft, what)}. A switch that sticks, or is bridged, looks like a good one.`,
      next,
    }
  },
})

export const fireCanBeFought = verdict({
  id: 'round.fireCanBeFought',
  stage: 'safety',
  part: 'round',
  margin: fireFought,
  goodFrom: 1,
  stopBelow: 0,
  hazard: true,
  say: ({ mark }) => {
    const next = { words: 'Put a CO₂ or water mist extinguisher by the machine', path: 'round.extinguisher' }
    if (mark === 'unknown') return { head: 'What is at hand against fire?', why: 'Nobody has said yet.', next }
    if (mark === 'good')
      return { head: 'An extinguisher is at hand', why: 'Within reach from where you watch, and within its date.' }
    if (mark === 'stop')
      return {
        head: 'Nothing is at hand against fire',
        why: 'A burn can flame up within seconds. Do not begin one without.',
        next,
      }
    return {
      head: 'A CO₂ or water mist extinguisher is better',
      why: 'Powder ruins what it meets, and a blanket puts out no fire within a box.',
      next,
    }
  },
})

export const othersKept = verdict({
  id: 'round.othersKept',
  stage: 'safety',
  part: 'round',
  margin: roomKept,
  goodFrom: 1,
  stopBelow: 0,
  hazard: true,
  say: ({ mark }) => {
    const next = { words: 'Say who may be in the room', path: 'round.room' }
    if (mark === 'unknown') return { head: 'Who may be in the room?', why: 'Nobody has said yet.', next }
    if (mark === 'good')
      return { head: 'Others are kept from the beam', why: 'As it was said of the room. It holds as long as it is kept to.' }
    return {
      head: 'Whoever comes in meets the beam',
      why: 'Everybody within its reach wears certified eyewear, or does not come in while it burns: door shut, a sign or a lamp outside.',
      next,
    }
  },
})
