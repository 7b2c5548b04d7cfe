import { verdictOf } from '../bench'
import { cutLimit, cutRoom, cutSpeed, nextTry, type CutBench } from './figures'

const verdict = verdictOf<CutBench>()

export const cutKnown = verdict({
  id: 'burn.cutKnown',
  stage: 'burns',
  part: 'cut',
  margin: cutRoom,
  when: ({ burns }, id) => Object.keys(burns.materials[id]?.tries ?? {}).length > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`burns.materials.${id}.name`)
    const next = { words: `Try ${name}`, part: 'burns/cut', thing: `burns.materials.${id}` }
    if (mark === 'good') {
      return { head: `${name} is cut at ${figure(cutSpeed, id)}`, why: `One of two lines still cuts at ${figure(cutLimit, id)}.` }
    }
    if (mark === 'unknown') {
      return {
        head: `How fast is ${name} cut?`,
        why: `Not known yet. The next try: ${figure(nextTry, id)}.`,
        next,
      }
    }
    return {
      head: `The limit of ${name} is known roughly`,
      why: `One of two lines cuts at ${figure(cutLimit, id)}; ${figure(cutSpeed, id)} cuts 95 of 100 as far as is known. A try at ${figure(nextTry, id)} would tell most.`,
      next,
    }
  },
})
