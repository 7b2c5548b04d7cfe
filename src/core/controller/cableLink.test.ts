import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomCourse, wrongWith } from '../../../tests/randomCable'
import { canRunOver, characters, createCableLink, linkCardFindings, PLAIN_LINK, stateReader, type LinkCard } from '.'

/** A cable link in the test's own hands. */
function wired(more: Partial<LinkCard> = {}) {
  const sent: string[] = []
  const said: (string | null)[] = []
  const due: (() => void)[] = []
  let hear: (text: string | null) => void = () => undefined
  const port = {
    send: (text: string) => void sent.push(text),
    listen: (it: typeof hear) => void (hear = it),
    close: () => undefined,
  }
  const link = createCableLink(port, { ...PLAIN_LINK, ...more }, 'set {key} {value}', (_, act) => {
    due.push(act)
    return () => undefined
  })
  link.listen((line) => said.push(line))
  return { link, sent, said, hear: (text: string | null) => hear(text), tick: () => due.splice(0).forEach((act) => act()) }
}

describe('a controller on a cable', () => {
  it('is asked in its own words, and its answers come back numbered, however they are cut', () => {
    const { link, sent, said, hear } = wired()
    link.send('7 settings')
    hear('x/steps = 80.000\r')
    hear('\nbeam/full = 1000\no')
    hear('k\n')
    expect(sent).toEqual(['list\n'])
    expect(said).toEqual(['7 item x/steps 80.000', '7 item beam/full 1000', '7 yes'])
    link.send('8 set x/steps 80.4')
    hear('error 5: too large\n')
    expect(sent.at(-1)).toBe('set x/steps 80.4\n')
    expect(said.at(-1)).toBe('8 no 1 1 error 5: too large')
  })

  it('gets a program one line at a time, or as far as it holds', () => {
    const one = wired()
    for (const [i, words] of ['sheet', 'load G21', 'load G1 X5', 'load M2', 'run'].entries()) one.link.send(`${i + 1} ${words}`)
    expect(one.sent.filter((it) => it !== 'state\n')).toEqual(['G21\n'])
    one.hear('ok\n')
    expect(one.said.at(-1)).toBe('5 yes')
    expect(one.sent.filter((it) => it !== 'state\n')).toEqual(['G21\n', 'G1 X5\n'])
    const many = wired({ holds: 12 })
    for (const [i, words] of ['load G21', 'load G1 X5', 'load M2', 'run'].entries()) many.link.send(`${i + 1} ${words}`)
    // 4 + 6 signs with their ends, and 3 more would be 13.
    expect(many.sent.filter((it) => it !== 'state\n')).toEqual(['G21\n', 'G1 X5\n'])
  })

  it('has ended when all is taken and it rests twice; a stop is confirmed by its rest', () => {
    const { link, said, hear, tick, sent } = wired()
    for (const [i, words] of ['load M2', 'run'].entries()) link.send(`${i + 1} ${words}`)
    hear('ok\nstate run x 1 y 2 power 0.5\n')
    expect(said.at(-1)).toBe('at run 1.000 2.000 0.5000 0.0000')
    tick()
    hear('state rest x 5 y 0 power 0\n')
    expect(said).not.toContain('ended')
    tick()
    hear('state rest x 5 y 0 power 0\n')
    expect(said.at(-1)).toBe('ended')
    link.send('stop')
    expect(sent.at(-2)).toBe('stop\n')
    hear('state rest x 5 y 0 power 0\n')
    expect(said.at(-1)).toBe('stopped')
  })

  it('says a reset, an answer that nothing waits for, and rubbish; remarks are passed over', () => {
    const { said, hear, link } = wired({ greets: 'Ready', holds: 40 })
    hear('(warm)\nReady 2.1\nok\n\u0000\u0001zz\n')
    expect(said).toEqual(['here Ready 2.1', '0 yes', '\u0000\u0001zz'])
    link.send('3 set a 1')
    link.send('stop')
    // What was on its way before the stop may still be answered.
    hear('ok\nstate rest x 0 y 0 power 0\n')
    expect(said.slice(3)).toEqual(['at rest 0.000 0.000 0.0000 0.0000', 'stopped'])
    hear(null)
    expect(said.at(-1)).toBeNull()
  })

  it('takes the first greeting in the middle of work for the reset that it is', () => {
    const { link, hear, said } = wired({ greets: 'Ready' })
    link.send('1 set a 1')
    hear('Ready 2.1\n')
    expect(said).toEqual(['here Ready 2.1', 'here Ready 2.1'])
  })

  it('runs no program where its state cannot be asked for, and a line that a machine refuses is told with its place', () => {
    const mute = wired({ state: '' })
    mute.link.send('1 load M2')
    mute.link.send('2 run')
    expect(mute.said.at(-1)).toMatch(/^2 no .*take the program as a file/)
    const { link, hear, said } = wired()
    for (const [i, words] of ['load G21', 'load G99', 'run'].entries()) link.send(`${i + 1} ${words}`)
    hear('ok\nerror 20\n')
    expect(said.at(-1)).toBe('line 2 refused: error 20')
  })

  it('reads states by a template, in any order, power as a share of its full word', () => {
    const read = stateReader({ ...PLAIN_LINK, stateIs: '[{state} ({any}) P={power}; {x}/{y}]', fullPower: 255 })
    expect(read('[Run (12 ms) P=51; -1.5/+2.25]')).toEqual({ state: 'Run', x: -1.5, y: 2.25, power: 0.2 })
    expect(read('[Run P=51; 1/2]')).toBeNull()
  })

  it('finds what of a card would not work', () => {
    expect(linkCardFindings(PLAIN_LINK)).toEqual([])
    const codes = (more: Partial<LinkCard>) => linkCardFindings({ ...PLAIN_LINK, ...more }).map((it) => it.code)
    expect(codes({ stop: '' })).toEqual(['no-stop'])
    expect(codes({ refused: 'ok' })).toEqual(['alike'])
    expect(codes({ stateIs: 'state {state} {speed}' })).toEqual(['unknown-field'])
    expect(codes({ state: '' })).toEqual(['no-state'])
    expect([canRunOver(PLAIN_LINK), canRunOver({ ...PLAIN_LINK, state: '' })]).toEqual([true, false])
    expect(characters('a\\x18\\n')).toBe('a\u0018\n')
  })

  it('whatever comes over it, nothing is thrown and stop comes first (2,000 courses, seed 12)', () => {
    fc.assert(
      fc.property(randomCourse, (course) => wrongWith(course) === null),
      { seed: 12, numRuns: 2000 },
    )
  })
})
