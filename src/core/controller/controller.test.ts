import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  createSession,
  halfLastPlace,
  PATIENCE,
  printSetting,
  readListing,
  readSaid,
  settingDiffers,
  settingsFor,
  writeSaid,
  type ControllerLink,
  type Said,
  type SessionEvents,
} from '.'

describe('a list of settings', () => {
  it.each([
    ['equals signs and comments', 'x/steps = 80.000 ; as it came\n# speeds\ny/steps=79.5 (left)'],
    ['colons and units', 'x/steps: 80.000 steps/mm\ny/steps: 79.5 steps/mm'],
    ['commas', 'x/steps,80.000,steps/mm\ny/steps,79.5'],
    ['blanks and tabs', 'x/steps 80.000\ny/steps\t79.5'],
    ['JSON', '{ "x": { "steps": "80.000" }, "y": { "steps": 79.5 } }'],
  ])('is read with %s', (_, text) => {
    const { entries, findings } = readListing(text)
    expect(entries.map(({ key, text: value }) => [key, Number(value)])).toEqual([
      ['x/steps', 80],
      ['y/steps', 79.5],
    ])
    expect(findings).toEqual([])
  })

  it('puts a section before its keys; says what is no pair and what stands twice', () => {
    const { entries, findings } = readListing('[x]\nsteps=80\n[y]\nsteps=79\nsteps=78\nwelcome')
    expect(entries.map((it) => `${it.key} ${it.text} ${it.line}`)).toEqual(['x/steps 80 2', 'y/steps 79 4', 'y/steps 78 5'])
    expect(findings.map((it) => `${it.code} ${it.line}`)).toEqual(['no-pair 6', 'twice 5'])
  })

  it('never throws, whatever is pasted (seed 8)', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
        for (const { key, text: value } of readListing(text).entries)
          expect([typeof key, typeof value]).toEqual(['string', 'string'])
      }),
      { seed: 8, numRuns: 500 },
    )
  })
})

describe('bench against machine', () => {
  it('reads a decimal comma as a point, says so, and never takes it into the key', () => {
    const said = (text: string) => {
      const { entries, findings } = readListing(text)
      return [entries.map((it) => [it.key, it.text]), findings.map((it) => it.code)]
    }
    for (const text of [
      'x/steps 80,41',
      'x/steps = 80,41',
      'x/steps: 80,41 ; as it came',
      'x/steps,80,41',
      '\uFEFFx/steps\t80,41',
    ]) {
      expect(said(text), text).toEqual([[['x/steps', '80.41']], ['decimal-comma']])
    }
    expect(said('axis1,80')).toEqual([[['axis1', '80']], []])
    expect(said('travel = 1.430,5')).toEqual([[['travel', '1430.5']], ['decimal-comma']])
    expect(said('x = 80\ry = 79')[0]).toEqual([
      ['x', '80'],
      ['y', '79'],
    ])
  })

  it('compares at the decimals of the list', () => {
    expect(halfLastPlace('80.41')).toBe(0.005)
    expect(settingDiffers(80.4137, '80.41', 'steps/mm')).toBe(false)
    expect(settingDiffers(80.4137, '80.414', 'steps/mm')).toBe(false)
    expect(settingDiffers(80.4137, '80.413', 'steps/mm')).toBe(true)
    expect(settingDiffers(200, '12000', 'mm/min')).toBe(false)
  })

  it('prints a setting as the machine counts it, and what is printed does not differ', () => {
    const [steps, speed] = settingsFor([{ id: 'x', letter: 'X' }])
    expect(printSetting(speed!, 200, { speedUnit: 'mm/min' })).toBe('12000.0')
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 5000, noNaN: true }), (value) => {
        expect(settingDiffers(value, printSetting(steps!, value, { speedUnit: 'mm/s' }), 'steps/mm')).toBe(false)
      }),
      { seed: 9 },
    )
  })
})

describe('the protocol', () => {
  const id = fc.integer({ min: 1, max: 99_999 })
  const word = fc.stringMatching(/^[a-z0-9/.-]{1,20}$/)
  const number = fc.integer({ min: -500_000, max: 500_000 }).map((it) => it / 1000)
  const share = fc.integer({ min: 0, max: 10_000 }).map((it) => it / 10_000)
  const said: fc.Arbitrary<Said> = fc.oneof(
    fc.record({ kind: fc.constant('yes' as const), id }),
    fc.record({ kind: fc.constant('no' as const), id, line: id, column: id, words: word }),
    fc.record({ kind: fc.constant('item' as const), id, key: word, text: word }),
    fc.record({ kind: fc.constant('here' as const), name: word }),
    fc.record({
      kind: fc.constant('at' as const),
      state: fc.record({ running: fc.boolean(), x: number, y: number, power: share, done: share }),
    }),
  )

  it('what is said reads back exactly; what is none of its words is garbled (seed 4)', () => {
    fc.assert(
      fc.property(said, (it) => {
        expect(readSaid(writeSaid(it))).toEqual(it)
      }),
      { seed: 4 },
    )
    for (const text of ['', '7', 'yes', '7 maybe', 'at run 1 2', '7 no x'])
      expect(readSaid(text)).toEqual({ kind: 'garbled', text })
  })
})

/** A link in the test's own hands, and a clock that stands until it is moved. */
function atHand(events: SessionEvents = {}) {
  const sent: string[] = []
  let hear: (line: string | null) => void = () => undefined
  let timers: { ms: number; act: () => void }[] = []
  const link: ControllerLink = {
    send: (line) => sent.push(line),
    listen: (listener) => (hear = listener),
    close: () => undefined,
  }
  const session = createSession(
    link,
    (ms, act) => {
      const timer = { ms, act }
      timers.push(timer)
      return () => (timers = timers.filter((it) => it !== timer))
    },
    events,
  )
  return {
    session,
    sent,
    hear: (line: string | null) => hear(line),
    pass: () => timers.forEach(({ ms, act }) => ms <= PATIENCE && act()),
  }
}

describe('a session', () => {
  it('gives each answer to its own question, in whatever order they come', async () => {
    const { session, sent, hear } = atHand()
    const [first, second] = [session.ask('settings'), session.ask('set x/steps 1')]
    expect(sent).toEqual(['1 settings', '2 set x/steps 1'])
    hear('2 no 1 5 too few')
    hear('1 item x/steps 80.000')
    hear('1 yes')
    expect(await first).toEqual({ ok: true, items: new Map([['x/steps', '80.000']]) })
    expect(await second).toMatchObject({
      ok: false,
      finding: { code: 'refused', column: 5, message: expect.stringContaining('too few') },
    })
  })

  it.each([
    ['silent', (it: ReturnType<typeof atHand>) => it.pass()],
    ['reset', (it: ReturnType<typeof atHand>) => it.hear('here again')],
    ['garbled', (it: ReturnType<typeof atHand>) => it.hear('1 y\u0000s')],
    ['unasked', (it: ReturnType<typeof atHand>) => it.hear('9 yes')],
    ['gone', (it: ReturnType<typeof atHand>) => it.hear(null)],
  ])('turns the beam off first where the machine is %s, then answers all that waits', async (code, happen) => {
    const faults: string[] = []
    const it = atHand({ onFault: (finding) => faults.push(finding.code) })
    it.hear('here machine')
    const [first, second] = [it.session.ask('load G1 X10'), it.session.ask('run')]
    happen(it)
    expect(it.sent.at(-1)).toBe('stop')
    expect(await first).toMatchObject({ ok: false, finding: { code } })
    expect(await second).toMatchObject({ ok: false, finding: { code } })
    expect(await it.session.ask('run')).toMatchObject({ ok: false, finding: { code } })
    expect([faults, it.sent.length]).toEqual([[code], 3])
  })

  it('says that a stop which a person asked for is not confirmed, sends it again, and ends with the machine’s word', () => {
    const stops: string[] = []
    const it = atHand({ onStop: (stop) => stops.push(stop) })
    it.hear('here machine')
    it.session.stop()
    it.pass()
    it.pass()
    expect([it.sent, stops]).toEqual([
      ['stop', 'stop', 'stop'],
      ['asked', 'not confirmed'],
    ])
    it.hear('stopped')
    expect(stops.at(-1)).toBe('none')
  })

  it('counts the beam as on from the moment the machine is asked to run, whatever was said before', async () => {
    const beams: string[] = []
    const it = atHand({ onBeam: (beam) => beams.push(beam) })
    it.hear('here machine')
    void it.session.ask('run')
    it.hear('at rest 0.000 0.000 0.0000 0.0000')
    expect(it.session.beam).toBe('not known')
    it.hear('1 yes')
    it.hear('at run 1.000 0.000 0.5000 0.1000')
    it.hear('at run 2.000 0.000 0.0000 0.2000')
    it.hear('ended')
    expect(beams).toEqual(['not known', 'on', 'not known', 'off'])
    const refused = it.session.ask('run')
    it.hear('2 no 1 1 not now')
    expect([(await refused).ok, it.session.beam]).toEqual([false, 'off'])
  })
})
