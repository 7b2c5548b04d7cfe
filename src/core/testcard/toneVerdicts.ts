import { verdictOf } from '../bench'
import type { CutBench } from '../burn'
import { toneExpected, tonePower, toneRoom, toneSpeed } from './toneFigures'

const verdict = verdictOf<CutBench>()

export const toneKnown = verdict({
  id: 'testcard.toneKnown',
  stage: 'burns',
  part: 'tone',
  margin: toneRoom,
  when: ({ burns }, id) => Object.keys(burns.materials[id]?.cards ?? {}).length > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`burns.materials.${id}.name`)
    const next = (words: string) => ({ words, part: 'burns/tone', thing: `burns.materials.${id}` })
    if (mark === 'unknown') {
      return {
        head: `What gives ${name} the wanted tone?`,
        why: 'Not known yet: no card of it says so.',
        next: next(`Burn and read a card of ${name}`),
      }
    }
    const why = `${figure(tonePower, id)} at ${figure(toneSpeed, id)} comes to ${figure(toneExpected, id)}.`
    if (mark === 'good') return { head: `The tone of ${name} is known`, why }
    return { head: `The tone of ${name} is known roughly`, why, next: next(`Burn the small card that tells most of ${name}`) }
  },
})
