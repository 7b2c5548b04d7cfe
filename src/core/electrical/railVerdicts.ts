import { verdictOf } from '../bench'
import type { MotionBench } from '../motion'
import { blockRoom, blockVolts, dropRoom, fuseRoom, sourceAmps, supplyRoom, wireAmps, wireRoom } from './railFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench & MotionBench>()

const block = (id: string, key: string): string => `electrical.blocks.${id}.${key}`
const wire = (id: string, key: string): string => `electrical.wires.${id}.${key}`

/** “from Supply to Diode head”; an end that hangs free is said to be nothing. */
function wireName(id: string, word: (path: string) => string): string {
  const end = (key: 'from' | 'to'): string => {
    const name = word(block(word(wire(id, key)), 'name'))
    return name === 'undefined' ? 'nothing' : name
  }
  return `from ${end('from')} to ${end('to')}`
}

/** A fifth of the rating to spare is good, beyond the rating it falls out or burns (common practice). */
export const supplyEnough = verdict({
  id: 'electrical.supplyEnough',
  stage: 'power',
  part: 'wiring',
  margin: supplyRoom,
  goodFrom: 0.2,
  stopBelow: 0,
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const gives = `${figure(sourceAmps, id)} at the worst moment, of ${fact(block(id, 'amps'))}`
    const next = { words: 'See what its label says', path: block(id, 'amps') }
    switch (mark) {
      case 'good':
        return { head: `${name} gives enough`, why: `${gives}.` }
      case 'look':
        return {
          head: `${name} runs near its rating`,
          why: `${gives}: a fifth to spare is usual. A larger one, or a load less.`,
          next,
        }
      case 'stop':
        return {
          head: `${name} is too small`,
          why: `${gives}. It falls out, or burns. A larger one, or a load on a supply of its own.`,
          next,
        }
      case 'unknown':
        return { head: `Does ${name} give enough?`, why: `Not known yet: ${gives}.`, next }
    }
  },
})

/** Too low it does not work, too high it is destroyed. */
export const railFits = verdict({
  id: 'electrical.railFits',
  stage: 'power',
  part: 'wiring',
  margin: blockRoom,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    const reaches = `${figure(blockVolts, id)} reach it; it takes ${fact(block(id, 'least'))} to ${fact(block(id, 'most'))}`
    if (mark === 'good' || mark === 'look') return { head: `${name} has its voltage`, why: `${reaches}.` }
    return {
      head: mark === 'unknown' ? `Does ${name} have its voltage?` : `${name} does not have its voltage`,
      why: `${reaches}. Leave it unplugged: too much destroys it, too little makes it fail in the middle. Another rail, or a converter before it.`,
      next: { words: 'See what it takes', path: block(id, 'most') },
    }
  },
})

export const dropSmall = verdict({
  id: 'electrical.dropSmall',
  stage: 'power',
  part: 'wiring',
  margin: dropRoom,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  follows: 'electrical.railFits',
  say: ({ mark, args, figure, word }) => {
    const [id] = args
    const name = word(block(id, 'name'))
    if (mark === 'good' || mark === 'look')
      return { head: `Little is lost on the way to ${name}`, why: `${figure(blockVolts, id)} reach it.` }
    return {
      head: mark === 'unknown' ? `Much lost on the way to ${name}?` : `Much is lost on the way to ${name}`,
      why: `${figure(blockVolts, id)} reach it, more than five per cent less than the source gives. Thicker or shorter wire: its line on the drawing says how much.`,
      next: { words: 'See the wires', part: 'power/wiring' },
    }
  },
})

/** A wire that carries more than it may grows hot. */
export const wireCarries = verdict({
  id: 'electrical.wireCarries',
  stage: 'power',
  part: 'wiring',
  margin: wireRoom,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args, figure, word }) => {
    const [id] = args
    const name = wireName(id, word)
    if (mark === 'good' || mark === 'look')
      return { head: `The wire ${name} stays cool`, why: `${figure(wireAmps, id)} pass it.` }
    return {
      head: mark === 'unknown' ? `Is the wire ${name} thick enough?` : `The wire ${name} is too thin`,
      why: `${figure(wireAmps, id)} would pass it, ${figure(wireRoom, id)} against what it carries: it grows hot and may set things alight.`,
      next: { words: 'Take a thicker wire', path: wire(id, 'gauge') },
    }
  },
})

export const fuseSuits = verdict({
  id: 'electrical.fuseSuits',
  stage: 'power',
  part: 'wiring',
  margin: fuseRoom,
  when: ({ electrical }, id) => electrical.wires[id]?.fuse.value != null,
  goodFrom: 0,
  stopBelow: 0,
  // A fuse above what the wire carries lets it burn.
  hazard: true,
  say: ({ mark, args, figure, fact, word }) => {
    const [id] = args
    const name = wireName(id, word)
    const fuse = fact(wire(id, 'fuse'))
    if (mark === 'good' || mark === 'look') return { head: `The fuse ${name} suits`, why: `${fuse} for ${figure(wireAmps, id)}.` }
    return {
      head: mark === 'unknown' ? `Does the fuse ${name} suit?` : `The fuse ${name} does not suit`,
      why: `${fuse} for ${figure(wireAmps, id)}: it should stand a quarter above that, and not above what the wire carries.`,
      next: { words: 'Change the fuse', path: wire(id, 'fuse') },
    }
  },
})
