import { verdictOf } from '../bench'
import type { MotionBench } from '../motion'
import { bondRoom } from './bondFigures'
import { inrushRoom, stripAmps, stripInrush, stripRoom } from './mainsFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench & MotionBench>()
const block = (id: string, key: string): string => `electrical.blocks.${id}.${key}`
const LICENSED = 'Mains is left to licensed hands and local codes.'

export const stripBears = verdict({
  id: 'electrical.stripBears',
  stage: 'power',
  part: 'wiring',
  margin: stripRoom,
  when: ({ electrical }, id) => Object.values(electrical.wires).some((it) => it.kind === 'mains' && it.from === id),
  goodFrom: 0.2,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const passes = `${figure(stripAmps, id)} at the worst moment, of ${fact(block(id, 'amps'))}`
    const next = { words: 'See what it carries', path: block(id, 'amps') }
    switch (mark) {
      case 'good':
        return { head: `${name} carries it all`, why: `${passes}.` }
      case 'look':
        return { head: `${name} carries nearly all it may`, why: `${passes}. Plug something elsewhere.`, next }
      default:
        return {
          head: mark === 'unknown' ? `Does ${name} carry it all?` : `${name} is asked for too much`,
          why: `${passes}. Plug something elsewhere. ${LICENSED}`,
          next,
        }
    }
  },
})

export const inrushPasses = verdict({
  id: 'electrical.inrushPasses',
  stage: 'power',
  part: 'wiring',
  margin: inrushRoom,
  when: ({ electrical }, id) =>
    Object.values(electrical.wires).some(
      (it) => it.kind === 'mains' && it.from === id && electrical.blocks[it.to]?.inrush.value != null,
    ),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const rush = `${figure(stripInrush, id)} for a moment, behind ${fact(block(id, 'amps'))}`
    if (mark === 'good') return { head: `${name} stays in when all is switched on`, why: `${rush}.` }
    return {
      head: mark === 'unknown' ? `Does ${name} stay in when all is switched on?` : `${name} may trip when all is switched on`,
      why: `${rush}: a breaker of type B trips from three times its amps. Switch the supplies on one after another.`,
      next: { words: 'See the inrush', part: 'power/wiring' },
    }
  },
})

export const bondHolds = verdict({
  id: 'electrical.bondHolds',
  stage: 'power',
  part: 'chain',
  margin: bondRoom,
  when: ({ electrical }, id) => electrical.bonds[id]?.ohms.value != null,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, fact, word }) => {
    const [id] = args
    const name = word(`electrical.bonds.${id}.name`)
    const ohms = `electrical.bonds.${id}.ohms`
    if (mark === 'good' || mark === 'look')
      return { head: `${name} is bonded`, why: `${fact(ohms)} to the protective earth, at most 100 mΩ.` }
    return {
      head: mark === 'unknown' ? `Is ${name} bonded?` : `${name} is not bonded`,
      why: `${fact(ohms)} read; at most 100 mΩ at 1 A. Anodised metal insulates: a toothed washer, bare metal beneath, a braid over what moves. ${LICENSED}`,
      next: { words: 'Read it again', path: ohms },
    }
  },
})
