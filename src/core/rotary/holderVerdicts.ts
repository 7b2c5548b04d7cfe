import { verdictOf, type Fact } from '../bench'
import { seatRoom, seatSpare, spare } from './holderFigures'
import type { RotaryView } from './objectFigures'

const verdict = verdictOf<RotaryView & { readonly work: { readonly kerf: Fact } }>()
const HOLDERS = { stage: 'rotary', part: 'holders', goodFrom: 0, stopBelow: 0 } as const

export const goesOn = verdict({
  id: 'rotary.goesOn',
  ...HOLDERS,
  margin: seatSpare,
  say: ({ mark, args: [id, holder], figure, word }) => {
    const name = word(`rotary.holders.${holder}.name`)
    const next = { words: 'Measure it, or cut one that fits', path: `rotary.holders.${holder}.outer` }
    if (mark === 'unknown') return { head: `Does it go on ${name}?`, why: 'Not known yet: measure both.', next }
    const why = `It is ${figure(spare, id, holder)}.`
    return mark === 'good' ? { head: `It goes on ${name}`, why } : { head: `It does not go on ${name}`, why, next }
  },
})

export const sitsTight = verdict({
  id: 'rotary.sitsTight',
  ...HOLDERS,
  margin: seatRoom,
  short: 'look',
  say: ({ mark, args: [id, holder], figure, word }) => {
    const name = word(`rotary.holders.${holder}.name`)
    const next = { words: 'Wind tape round it, or cut one that fits', path: `rotary.holders.${holder}.outer` }
    if (mark === 'unknown') return { head: `Does it sit firmly on ${name}?`, why: 'Not known yet: measure both.', next }
    const why = `It is ${figure(spare, id, holder)}: it runs out by half of that.`
    return mark === 'good' ? { head: `It sits firmly on ${name}`, why } : { head: `It sits loosely on ${name}`, why, next }
  },
})
