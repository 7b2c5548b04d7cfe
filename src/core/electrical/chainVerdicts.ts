import { verdictOf } from '../bench'
import { ACTUATED, isActuated } from './blockKinds'
import type { BlockId } from './blocks'
import { chainAtRest, chainFaults, chainHasStop, chainLamp, chainLets, chainStops } from './chainFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench>()

const nameAt = (id: string): string => `electrical.blocks.${id}.name`
const CHAIN = 'power/chain'

/** “Emergency stop pressed”, “Lid open”. */
function movedName(id: string, word: (path: string) => string): string {
  const kind = word(`electrical.blocks.${id}.kind`) as BlockId
  return `${word(nameAt(id))} ${isActuated(kind) ? ACTUATED[kind] : 'moved'}`
}

/** A contact that is there to darken the head and does not. */
export const chainDarkens = verdict({
  id: 'electrical.chainDarkens',
  stage: 'power',
  part: 'chain',
  margin: chainStops,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, word }) => {
    const [head, contact] = args
    const moved = movedName(contact, word)
    if (mark === 'good' || mark === 'look')
      return { head: `${moved}: ${word(nameAt(head))} is dark`, why: 'Whatever the controller says, as it is drawn.' }
    return {
      head: mark === 'unknown' ? `${moved}: is ${word(nameAt(head))} dark?` : `${moved}: ${word(nameAt(head))} can still be on`,
      why: 'Lead the head’s rail, or its enable with a pull-down, through this contact: the drawing shows the way that is left open.',
      next: { words: 'See it on the drawing', part: CHAIN },
    }
  },
})

/** A key is no protection against faults; a stop and a lid contact are. */
export const chainBears = verdict({
  id: 'electrical.chainBears',
  stage: 'power',
  part: 'chain',
  margin: chainFaults,
  when: ({ electrical }, _head, contact) => ['stop', 'interlock'].includes(electrical.blocks[contact]?.kind ?? ''),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  follows: 'electrical.chainDarkens',
  say: ({ mark, args, margin, word }) => {
    const [, contact] = args
    const moved = movedName(contact, word)
    if (mark === 'good')
      return { head: `${moved} holds through any single fault`, why: 'Welded, broken or stuck, one at a time.' }
    const faults = Number.isNaN(margin) ? 'A fault' : -margin === 1 ? 'One single fault' : `${-margin} single faults`
    return {
      head: mark === 'unknown' ? `Does ${moved} hold through a fault?` : `${moved} does not hold through a single fault`,
      why: `${faults} would leave the head on. A second contact that moves together with it, in another line, closes that gap.`,
      next: { words: 'See which', part: CHAIN },
    }
  },
})

export const chainDark = verdict({
  id: 'electrical.chainDark',
  stage: 'power',
  part: 'chain',
  margin: chainAtRest,
  // Without a signal nothing could tell it: the table says so in words.
  when: ({ electrical }, _head) => Object.values(electrical.wires).some((it) => it.kind === 'signal'),
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, word }) => {
    const name = word(nameAt(args[0]))
    if (mark === 'good' || mark === 'look')
      return { head: `${name} is dark until it is told`, why: 'With every contact closed and the controller saying off.' }
    return {
      head: mark === 'unknown' ? `Is ${name} dark until it is told?` : `${name} is on without being told`,
      why: 'An input that nothing drives hangs free and may read as on. A pull-down holds it off.',
      next: { words: 'See the pull-down', path: 'electrical.driver.pullDown' },
    }
  },
})

export const chainOpen = verdict({
  id: 'electrical.chainOpen',
  stage: 'power',
  part: 'chain',
  margin: chainLets,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, word }) => {
    const name = word(nameAt(args[0]))
    if (mark === 'good') return { head: `${name} can be told to be on`, why: 'With nothing pressed and the lid closed.' }
    return {
      head: mark === 'unknown' ? `Can ${name} be on at all?` : `${name} can never be on`,
      why: 'As it is drawn something keeps it dark in every state: a contact the wrong way round, a wire that is missing, an enable that nothing feeds.',
      next: { words: 'See it on the drawing', part: CHAIN },
    }
  },
})

export const stopThere = verdict({
  id: 'electrical.stopThere',
  stage: 'power',
  part: 'chain',
  margin: chainHasStop,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark }) =>
    mark === 'good'
      ? { head: 'There is an emergency stop', why: 'What it does is worked below.' }
      : {
          head: 'No emergency stop is drawn',
          why: 'One that a hand finds without looking, in the lead of the head, is the least (common practice).',
          next: { words: 'Draw it', part: 'power/wiring' },
        },
})

export const lampLit = verdict({
  id: 'electrical.lampLit',
  stage: 'power',
  part: 'chain',
  margin: chainLamp,
  when: ({ electrical }, _head) => Object.values(electrical.blocks).some((it) => it.kind === 'lamp'),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark }) =>
    mark === 'good'
      ? { head: 'A lamp shows when the head has power', why: 'In every state of the contacts.' }
      : {
          head:
            mark === 'unknown' ? 'Is the lamp lit whenever the head has power?' : 'The lamp may be out while the head has power',
          why: 'Feed it from where the head is fed, behind the last contact.',
          next: { words: 'Mend it on the drawing', part: 'power/wiring' },
        },
})
