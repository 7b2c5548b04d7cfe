import { describe, expect, it } from 'vitest'
import { actuators, lampFollows, truthTable, type BlockId, type Circuit, type Fault } from '.'

// Every right answer below was worked by hand from the circuit, before the program was asked. A row reads
// “what is moved: dark or on, then the single faults that leave it on”; `-` stands for nothing moved, where the beam is told
// to be off. Blocks are called by their kind, a number behind it; `!` behind a contact: it closes when it is moved.

const KINDS: Readonly<Record<string, BlockId>> = { psu: 'supply', mains: 'inlet', board: 'controller', lid: 'interlock' }

/** `psu stop head`: rails; `board ~ lid ~ head`: signals; `mains = stop = psu`: mains; `stop2 with stop1`: moved together. */
function drawn(lines: readonly string[], pulledDown = true): Circuit {
  const blocks = new Map<string, Circuit['blocks'][number]>()
  const wires: Circuit['wires'][number][] = []
  const block = (word: string): string => {
    const id = word.replace('!', '')
    if (!blocks.has(id)) {
      const kind = KINDS[id.replace(/\d/, '')] ?? (id.replace(/\d/, '') as BlockId)
      blocks.set(id, { id, kind, name: id, sense: word.endsWith('!') ? 'closes' : 'opens', movesWith: '' })
    }
    return id
  }
  for (const line of lines) {
    const [slave, master] = line.split(' with ')
    if (slave !== undefined && master !== undefined) {
      const it = blocks.get(slave)
      if (it !== undefined) blocks.set(slave, { ...it, movesWith: master })
      continue
    }
    const words = line.split(' ')
    let from = block(words[0] ?? '')
    for (let i = 1, kind: 'rail' | 'signal' | 'mains' = 'rail'; i < words.length; i++) {
      const word = words[i] ?? ''
      if (word === '~' || word === '=') kind = word === '~' ? 'signal' : 'mains'
      else {
        const to = block(word)
        wires.push({ id: `${from}>${to}`, from, to, kind })
        ;[from, kind] = [to, 'rail']
      }
    }
  }
  return { blocks: [...blocks.values()], wires, pulledDown }
}

function say(fault: Fault): string {
  return fault.kind === 'broken' ? `${fault.wire} off` : `${fault.block} ${fault.kind}`
}

function table(circuit: Circuit): Readonly<Record<string, string>> {
  return Object.fromEntries(
    truthTable(circuit, 'head').map(({ moved, on, untold, defeatedBy }) => [
      moved.join(' ') || '-',
      [(moved.length === 0 ? untold : on) ? 'on' : 'dark', ...defeatedBy.map(say)].join(', '),
    ]),
  )
}

describe('a truth table worked by hand', () => {
  it('1: a supply straight to the head is on whatever anybody does', () => {
    expect(table(drawn(['psu head']))).toEqual({ '-': 'on' })
  })

  it('2: one stop in the rail, no signal: it darkens, until its contact is welded', () => {
    expect(table(drawn(['psu stop head']))).toEqual({ '-': 'on', stop: 'dark, stop welded' })
  })

  it('3: stop and key in series: each welded by itself leaves only its own row on', () => {
    expect(table(drawn(['psu stop key head', 'psu board ~ head']))).toEqual({
      '-': 'dark, board stuck',
      stop: 'dark, stop welded',
      key: 'dark, key welded',
      'stop key': 'dark',
    })
  })

  it('4: two stops side by side: either alone does nothing, both pressed are defeated by either', () => {
    expect(table(drawn(['psu stop1 head', 'psu stop2 head']))).toEqual({
      '-': 'on',
      stop1: 'on',
      stop2: 'on',
      'stop1 stop2': 'dark, stop1 welded, stop2 welded',
    })
  })

  it('5: one stop with two contacts, in the rail and in what the controller reads: no single fault defeats it', () => {
    const circuit = drawn(['psu stop1 head', 'psu board ~ head', 'stop2 ~ board', 'stop2 with stop1'])
    expect(actuators(circuit)).toEqual(['stop1'])
    expect(table(circuit)).toEqual({ '-': 'dark, board stuck', stop1: 'dark' })
  })

  it('6: a stop that the controller alone reads: a welded contact or a stuck output defeats it, a broken wire does not', () => {
    expect(table(drawn(['psu head', 'psu board ~ head', 'stop ~ board']))).toEqual({
      '-': 'dark, board stuck',
      stop: 'dark, stop welded, board stuck',
    })
  })

  it('7: the same with a contact that closes when pressed: its broken wire defeats it unseen, its welding stops', () => {
    expect(table(drawn(['psu head', 'psu board ~ head', 'stop! ~ board']))).toEqual({
      '-': 'dark, board stuck',
      stop: 'dark, board stuck, stop>board off',
    })
  })

  it('8: a lid contact in the signal line with a pull-down: dark when it is open or a wire is off', () => {
    expect(table(drawn(['psu head', 'psu board ~ lid ~ head']))).toEqual({ '-': 'dark, board stuck', lid: 'dark, lid welded' })
  })

  it('9: the same without a pull-down: open it hangs free, and the head is on; so does a wire that is off', () => {
    expect(table(drawn(['psu head', 'psu board ~ lid ~ head'], false))).toEqual({
      '-': 'dark, board stuck, psu>board off, board>lid off, lid>head off',
      lid: 'on',
    })
  })

  it('10: a contactor whose coil hangs on the stop: the stop, or the contactor, welded defeats it; a wire off does not', () => {
    expect(table(drawn(['psu contactor head', 'psu stop', 'stop ~ contactor']))).toEqual({
      '-': 'on',
      stop: 'dark, contactor welded, stop welded',
    })
  })

  it('11: a contactor that holds itself, let go by the stop in its coil’s line', () => {
    expect(table(drawn(['psu contactor head', 'psu stop', 'stop ~ contactor', 'contactor ~ contactor']))).toEqual({
      '-': 'on',
      stop: 'on',
    })
    expect(table(drawn(['psu contactor head', 'contactor stop', 'stop ~ contactor']))).toEqual({
      '-': 'on',
      stop: 'dark, contactor welded, stop welded',
    })
  })

  it('12: a driver told by the controller, the lid in its enable: the driver shorted defeats both', () => {
    expect(table(drawn(['psu switch head', 'psu board ~ switch', 'lid ~ switch']))).toEqual({
      '-': 'dark, switch welded, board stuck',
      lid: 'dark, switch welded, lid welded',
    })
  })

  it('13: a key in the mains lead of the supply; a second supply that it forgets leaves the head on', () => {
    expect(table(drawn(['mains = key = psu head']))).toEqual({ '-': 'on', key: 'dark, key welded' })
    expect(table(drawn(['mains = key = psu1 head', 'mains = psu2 head']))).toEqual({ '-': 'on', key: 'on' })
  })

  it('14: a contact after a converter and one before it stand in series', () => {
    expect(table(drawn(['psu stop converter lid head', 'psu board ~ head']))).toEqual({
      '-': 'dark, board stuck',
      stop: 'dark, stop welded',
      lid: 'dark, lid welded',
      'stop lid': 'dark',
    })
  })

  it('15: a contact drawn the wrong way round in the rail closes when it is pressed', () => {
    expect(table(drawn(['psu stop! head']))).toEqual({ '-': 'dark, stop welded', stop: 'on' })
  })

  it('16: an unpowered controller drives nothing: with a stop in its own lead only the pull-down keeps the head dark', () => {
    const lines = ['psu head', 'psu stop board ~ head']
    expect(table(drawn(lines))).toEqual({ '-': 'dark, board stuck', stop: 'dark, stop welded' })
    expect(table(drawn(lines, false))['stop']).toBe('on')
  })
})

it('a lamp behind the last contact follows the head; one behind the key alone does not, and one on its own rail does', () => {
  expect(lampFollows(drawn(['psu stop key head', 'key lamp']), 'head', 'lamp')).toBe(true)
  expect(lampFollows(drawn(['psu1 key lamp', 'psu2 stop head']), 'head', 'lamp')).toBe(false)
  expect(lampFollows(drawn(['psu stop head', 'psu lamp']), 'head', 'lamp')).toBe(true)
})

it('beyond five contacts each is worked by itself', () => {
  const circuit = drawn(['psu stop1 stop2 stop3 key1 key2 lid head'])
  expect(truthTable(circuit, 'head').map((it) => it.moved.length)).toEqual([0, 1, 1, 1, 1, 1, 1])
})
