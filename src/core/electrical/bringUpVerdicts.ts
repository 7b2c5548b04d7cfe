import { verdictOf } from '../bench'
import type { MotionBench } from '../motion'
import { lightReadRoom, readFits, readRoom, sourceReadRoom } from './bringUpFigures'
import { lightFull } from './driverFigures'
import { blockVolts, sourceVolts } from './railFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench & MotionBench>()
const block = (id: string, key: string): string => `electrical.blocks.${id}.${key}`
const isRead = ({ electrical }: ElectricalBench, id: string): boolean => electrical.blocks[id]?.reading.value != null
const IN_BRING_UP = { stage: 'power', part: 'bringUp', goodFrom: 0, stopBelow: 0 } as const
const READINGS = { words: 'See where it is lost', part: 'power/bringUp' }

export const sourceReads = verdict({
  id: 'electrical.sourceReads',
  ...IN_BRING_UP,
  margin: sourceReadRoom,
  when: isRead,
  short: 'look',
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const read = `${fact(block(id, 'reading'))} read, ${figure(sourceVolts, id)} by its label`
    if (mark === 'good') return { head: `${name} gives what its label says`, why: `${read}.` }
    return {
      head: mark === 'unknown' ? `Does ${name} give what its label says?` : `${name} is off its label`,
      why: `${read}. Turn its trimmer with nothing else plugged in, or ask what pulls it down.`,
      next: { words: 'Read it again', path: block(id, 'reading') },
    }
  },
})

export const readingFits = verdict({
  id: 'electrical.readingFits',
  ...IN_BRING_UP,
  margin: readFits,
  when: isRead,
  hazard: true,
  say: ({ mark, args, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const read = `${fact(block(id, 'reading'))} read; it takes ${fact(block(id, 'least'))} to ${fact(block(id, 'most'))}`
    if (mark === 'good' || mark === 'look') return { head: `${name} was read within its range`, why: `${read}.` }
    return {
      head: mark === 'unknown' ? `Was ${name} read within its range?` : `${name} was read outside its range`,
      why: `${read}. Switch it off before anything else is tried.`,
      next: READINGS,
    }
  },
})

export const readingHolds = verdict({
  id: 'electrical.readingHolds',
  ...IN_BRING_UP,
  margin: readRoom,
  when: isRead,
  short: 'look',
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const read = `${fact(block(id, 'reading'))} read, ${figure(blockVolts, id)} expected`
    if (mark === 'good') return { head: `Little is lost on the way to ${name}, by the readings`, why: `${read}.` }
    return {
      head:
        mark === 'unknown'
          ? `Is much lost on the way to ${name}, by the readings?`
          : `Much is lost on the way to ${name}, by the readings`,
      why: `${read}.`,
      next: READINGS,
    }
  },
})

export const lightReads = verdict({
  id: 'electrical.lightReads',
  ...IN_BRING_UP,
  margin: lightReadRoom,
  when: ({ electrical }) => electrical.driver.lightRead.value !== null,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const light = `${fact('electrical.driver.lightRead')} read, ${figure(lightFull)} worked`
    if (mark === 'good') return { head: 'The light agrees with what is worked', why: `${light}.` }
    return {
      head: mark === 'unknown' ? 'Does the light agree with what is worked?' : 'The light does not agree with what is worked',
      why: `${light}. Look at the lens first, then at the current.`,
      next: { words: 'See the current', path: 'electrical.driver.slope' },
    }
  },
})
