import { verdictOf } from '../bench'
import type { ElectricalBench } from '../electrical'
import { tryLeft } from './figures'
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
