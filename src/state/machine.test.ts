import 'fake-indexeddb/auto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { shownNumber } from '../core/bench'
import { readingDefs, scale, type ScaleRun } from '../core/calibrate'
import { otherLines } from '../core/controller'
import { engineFor, type Bench } from '../core/document'
import type { StandInFault } from '../core/workshop'
import { heron } from '../data/heron'
import { HandMachine } from '../../tests/handMachine'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
const workers = workerHere(() => import('../workers/workshop.worker'))
// The stores keep settings of the browser from the moment they are loaded.
const state = await import('.')
const { useBenchStore, useMachine, useSession } = state
const bench = () => useBenchStore.getState().bench as Bench
/** Records that were written since the demo was opened. */
const records = () => useBenchStore.getState().records.slice(heron().records.length)

function open(of: Bench = heron().bench): void {
  state.openInStore({ bench: of, records: [], files: [], revision: 1, savedMarks: {} }, '')
}

const connect = (number = 41, fault: StandInFault | null = null) => at(Infinity, number, fault)
/** Connects a stand-in whose clock runs so fast. */
function at(rate: number, number: number, fault: StandInFault | null) {
  state.setClockRate(rate)
  return state.connectStandIn(number, fault)
}

beforeAll(() =>
  vi.useFakeTimers({
    shouldAdvanceTime: true,
    advanceTimeDelta: 40,
    toFake: ['setTimeout', 'setInterval', 'clearTimeout', 'clearInterval'],
  }),
)
/** The demo as it comes, stored, so that records can rest on it. */
async function fresh(): Promise<void> {
  state.supplyIsCut()
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
}
beforeEach(fresh)
beforeEach(() => useSession.setState({ cautions: 'taken' }))
it('sends no program before the checks were made', async () => {
  await connect()
  useSession.setState({ cautions: 'not asked' })
  expect(await state.runProgram('G21\nM2\n', 'ramp')).toMatchObject({ kind: 'not begun', finding: { code: 'no-cautions' } })
  expect(useMachine.getState().lines.filter((it) => it.way === 'out')).toEqual([])
})

afterAll(() => {
  state.disconnect()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the link to a stand-in', () => {
  it('reads the machine’s settings as facts, in one step that can be taken back', async () => {
    expect(await connect()).toEqual([])
    expect(useMachine.getState().link).toBe('open')
    const before = bench()
    expect(await state.readSettings()).toEqual([])
    // A stand-in that nobody set anything in is as it comes: nominal steps, by read-back.
    expect(bench().controller.axes['x']?.steps).toMatchObject({ value: 80, typed: '80.000', origin: 'measured' })
    state.undo()
    expect(bench()).toBe(before)
  })

  it('runs as its clock was chosen, before it was connected or while it was', async () => {
    state.setClockRate(Infinity)
    await state.connectDemo()
    expect(useMachine.getState()).toMatchObject({ link: 'open', rate: Infinity })
    const coming = at(1, 41, null)
    state.setClockRate(Infinity)
    expect(await coming).toEqual([])
    // Seven minutes by its own clock.
    expect(await state.runProgram('M3 S500 F6\nG1 X40\nM5\nM2', 'test')).toMatchObject({ kind: 'burnt' })
    expect(useMachine.getState().rate).toBe(Infinity)
  })

  it('writes a setting, reads it back, keeps a record of old and new, and finds it again after a new connection', async () => {
    await connect()
    await state.readSettings()
    expect(await state.writeSettings(['axes.x.acceleration'])).toEqual([])
    expect(bench().controller.axes['x']?.acceleration.value).toBe(900)
    expect(records().map((it) => it.title)).toEqual(['X acceleration: 500.0 → 900.0'])
    const started = workers.started()
    await connect()
    await state.readSettings()
    expect([workers.started(), bench().controller.axes['x']?.acceleration.value]).toEqual([started + 1, 900])
    // Another number is another machine, as it comes.
    await connect(42)
    await state.readSettings()
    expect(bench().controller.axes['x']?.acceleration.value).toBe(500)
  })

  it('names each setting that a pasted list lacks or garbles, and takes the rest', () => {
    const findings = state.takeListing([
      { key: 'x/steps', text: '79.5', words: '' },
      { key: 'x/speed', text: 'fast', words: '' },
      { key: 'beam/follows', text: 'yes', words: '' },
    ])
    expect(bench().controller.axes['x']?.steps.value).toBe(79.5)
    expect(bench().controller.beam.followsSpeed.chosen).toBe('yes')
    expect(findings.find((it) => it.path === 'controller.axes.x.topSpeed')?.code).toBe('not-a-number')
    expect(findings.filter((it) => it.code === 'not-listed').length).toBe(8)
  })

  it('takes a value in the unit it names, speed as the list counts it, and keeps what is no setting', () => {
    const lines = [
      { key: 'q1', text: '12000', words: 'X highest speed, mm/min' },
      { key: 'x/travel', text: '43', words: 'cm' },
      { key: 'fan', text: '25', words: 'delay, s' },
    ]
    state.takeListing(lines, { 'axes.x.topSpeed': 'q1' })
    const { axes, speedUnit, keys, others } = bench().controller
    expect([axes['x']?.topSpeed.value, axes['x']?.topSpeed.typedUnit, speedUnit]).toEqual([200, 'mm/min', 'mm/min'])
    expect([axes['x']?.travel.value, keys['axes.x.topSpeed']]).toEqual([430, 'q1'])
    expect(Object.values(others)).toEqual([{ order: 0, key: 'fan', text: '25', words: 'delay, s' }])
    expect(otherLines(bench().controller)).toEqual(['fan = 25'])
  })

  it('does without travel by saying what is missing, and ends when another bench is opened', async () => {
    const { x, y } = bench().motion.axes
    const none = { ...x!, travel: { ...x!.travel, value: null, typed: '' } }
    open({ ...bench(), motion: { ...bench().motion, axes: { x: none, y: y! } } })
    expect(state.reasonOf(await connect())).toContain('enter drive and travel of X and Y')
    open()
    await connect()
    open({ ...heron().bench, id: 'another' })
    expect(useMachine.getState().link).toBe('none')
    expect(await state.askMachine('settings')).toMatchObject({ ok: false, finding: { code: 'no-link' } })
  })

  it.each<[StandInFault['kind'], RegExp]>([
    ['silent', /answer/],
    ['reset', /again|restart|switched/],
    ['garble', /said something that is no/],
  ])('a machine that goes %s leaves the beam off, the link at fault, and what was typed where it was', async (kind, words) => {
    await connect(41, { kind, at: 4 })
    const before = bench()
    const end = await state.runProgram('G1 X10 F600\nG1 Y10\nM2', 'test')
    expect(end.kind).toBe('not begun')
    expect(useMachine.getState().finding?.message).toMatch(words)
    expect(useMachine.getState()).toMatchObject({ link: 'faulted', running: false })
    expect(useMachine.getState().report?.power ?? 0).toBe(0)
    expect(bench()).toBe(before)
  })
})

it('the stand-ins of two windows are apart: what another sets is not found in this one', async () => {
  await connect()
  await state.readSettings()
  await state.writeSettings(['axes.x.acceleration'])
  const name = 'fine-kerf.stand-ins'
  const kept = JSON.parse(localStorage.getItem(name) ?? '') as { state: { byBench: Record<string, { settings: object }> } }
  // Another window at the same bench sets its own machine.
  kept.state.byBench['heron']!.settings = { 'x/acceleration': '123.0' }
  localStorage.setItem(name, JSON.stringify(kept))
  await state.useStandIns.persist.rehydrate()
  await connect()
  await state.readSettings()
  expect(bench().controller.axes['x']?.acceleration.value).toBe(900)
})

describe('a machine that goes wrong while its beam is on', () => {
  const LONG = 'M3 S500 F60\nG1 X40\nM5\nM2'

  it.each([
    ['mute', 'no-report', /^Lost at \d+ % or later: /],
    ['wild', 'cannot-be', /^Lost at \d+ % or later: /],
  ] as const)('%s: stop goes out first, until the machine confirms it; written down as lost', async (kind, code, title) => {
    await at(1, 41, { kind, at: 3 })
    const burning = state.runProgram(LONG, 'test')
    await vi.waitFor(() => expect(useMachine.getState().beam).toBe('on'))
    const end = await burning
    expect(end).toMatchObject({ kind: 'lost', finding: { code } })
    const out = useMachine
      .getState()
      .lines.filter((it) => it.way === 'out')
      .map((it) => it.line)
    expect(out.indexOf('stop')).toBe(out.findIndex((it) => it.endsWith(' run')) + 1)
    expect(await state.recordBurn('test', end)).toEqual([])
    expect(records().at(-1)?.title).toMatch(title)
    expect(records().some((it) => it.title.startsWith('Burnt'))).toBe(false)
    if (kind === 'mute') {
      // A machine that says nothing any more confirms nothing: the person is told, and says that the supply is cut.
      await vi.waitFor(() => expect(useMachine.getState()).toMatchObject({ stop: 'not confirmed', link: 'faulted' }))
      expect(useMachine.getState().beam).not.toBe('off')
      expect([state.whyStay(), await state.leaveMachine()]).toEqual(['beam', false])
      state.supplyIsCut()
      expect([useMachine.getState().beam, state.whyStay()]).toEqual(['off', null])
    } else await vi.waitFor(() => expect(useMachine.getState()).toMatchObject({ stop: 'none', beam: 'off' }))
    expect(await state.leaveMachine()).toBe(true)
  })

  it('is stopped before its bench is left, and written down as stopped where it was', async () => {
    await at(1, 41, null)
    const burning = state.runProgram(LONG, 'test')
    await vi.waitFor(() => expect(useMachine.getState().report?.done ?? 0).toBeGreaterThan(0.001))
    expect(state.whyStay()).toBe('beam')
    expect(await state.leaveMachine()).toBe(true)
    const end = await burning
    expect(end).toMatchObject({ kind: 'stopped' })
    expect(await state.recordBurn('test', end)).toEqual([])
    expect(records().at(-1)?.title).toMatch(/^Stopped at \d+ %: test$/)
  })

  it('a stop while the program is still being sent ends it before it runs', async () => {
    await connect()
    const sending = state.runProgram(`${'G1 X1 F600\n'.repeat(50)}M2`, 'test')
    state.stopMachine()
    expect(await sending).toMatchObject({ kind: 'not begun', finding: { code: 'stopped' } })
    expect(useMachine.getState().lines.some((it) => it.line.endsWith(' run'))).toBe(false)
  })

  it('says so where the stand-in’s code cannot be fetched', async () => {
    const Here = globalThis.Worker
    vi.stubGlobal(
      'Worker',
      class extends EventTarget {
        onerror: (() => void) | null = null
        constructor() {
          super()
          setTimeout(() => this.onerror?.(), 5)
        }
        postMessage(): void {}
        terminate(): void {}
      },
    )
    expect(state.reasonOf(await connect())).toMatch(/could not be fetched.*Reload the page/)
    expect(useMachine.getState().link).toBe('none')
    vi.stubGlobal('Worker', Here)
  })
})

describe('settings that are written', () => {
  it('are “read back” only where they came back: a machine that forgets is said and written down so', async () => {
    await connect(41, { kind: 'forget', at: 2 })
    await state.readSettings()
    const findings = await state.writeSettings(['axes.x.acceleration', 'axes.y.acceleration'])
    expect(findings.filter((it) => it.code === 'not confirmed').length).toBe(2)
    const titles = records().map((it) => it.title)
    expect(titles.every((it) => it.endsWith('(not confirmed)'))).toBe(true)
    expect(records().some((it) => it.note.includes('read back'))).toBe(false)
  })

  it('that were refused are not written, and those before them have their record', async () => {
    await connect(41, { kind: 'refuse', at: 3 })
    await state.readSettings()
    const findings = await state.writeSettings(['axes.x.topSpeed', 'axes.x.acceleration'])
    expect(findings.map((it) => it.code)).toEqual(['refused'])
    expect(records().map((it) => it.title)).toEqual([
      expect.stringMatching(/^X top speed: .* → [\d.]+$/),
      expect.stringMatching(/^X acceleration not written: .* was refused$/),
    ])
  })

  it('of which one was not answered: all that went out have their record, nothing more goes out but stop', async () => {
    await connect(41, { kind: 'silent', at: 3 })
    await state.readSettings()
    await state.writeSettings(['axes.x.topSpeed', 'axes.x.acceleration', 'axes.y.topSpeed'])
    expect(records().map((it) => it.title)).toEqual([
      expect.stringMatching(/^X top speed: .* \(not confirmed\)$/),
      expect.stringMatching(/^X acceleration: .* \(not confirmed\)$/),
    ])
  })
})

describe('the full power word', () => {
  const program = [{ kind: 'line', x: 1, y: 0, feed: 5, power: 0.3 }] as const
  const code = () => {
    const written = state.writeThroughCard(bench(), program)
    return written.ok ? '' : written.findings[0]?.code
  }

  it('must have been read or typed before a share of it leaves, and be the machine’s own', () => {
    const guess = { ...bench().electrical.fullPower, origin: 'assumed', doubt: { kind: 'alternatives', others: [255] } }
    const none = { value: null, typed: '', typedUnit: 'count', origin: 'assumed', doubt: { kind: 'exact' } }
    expect(code()).toBe('')
    state.setFact('electrical.fullPower', guess, 'a guess')
    expect(code()).toBe('') // the machine was read and says the same
    state.setFact('controller.beam.fullPower', none, 'not read')
    expect(code()).toBe('full-power-assumed')
    state.setFact('controller.beam.fullPower', { ...none, value: 255, origin: 'measured' }, 'read')
    expect(code()).toBe('full-power-differs')
  })
})

describe('a scale run, from its plan to the machine', () => {
  const newest = (): [string, ScaleRun] => Object.entries(bench().calibrate.runs).sort(([, p], [, q]) => q.order - p.order)[0]!

  it('is refused, with what is missing, before settings are read, power is known, or an instrument chosen', () => {
    const code = (made: ReturnType<typeof state.makeRun>) => (made.ok ? '' : made.findings[0]?.code)
    expect(code(state.makeRun('no such'))).toBe('no-instrument')
    const at = (path: string) => {
      open()
      const fact = { value: null, typed: '', typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'exact' } }
      state.setFact(path, fact, 'cleared')
      return code(state.makeRun('calipers'))
    }
    expect([
      at('controller.axes.x.steps'),
      at('calibrate.markPower'),
      at('motion.axes.y.travel'),
      at('calibrate.startX'),
      at('calibrate.wantedShare'),
    ]).toEqual(['steps-not-read', 'no-power', 'not-known', 'not-known', 'not-known'])
  })

  it('finds the hidden scale of three machines within its ±, and once written they size true', async () => {
    for (const number of [5, 41, 20771]) {
      await fresh()
      await connect(number)
      await state.readSettings()
      const made = state.makeRun('calipers')
      if (!made.ok) throw new Error(made.findings[0]?.message)
      const [id, run] = newest()
      const program = state.writeThroughCard(bench(), state.runSteps({ ...run, power: 0.5, speed: 20 }))
      if (!program.ok) throw new Error(program.findings[0]?.message)
      expect(await state.runProgram(program.value, id), String(number)).toEqual({ kind: 'burnt' })
      await vi.waitFor(() => expect(useMachine.getState().marks.length).toBeGreaterThan(0), { timeout: 20_000 })
      expect(await state.readRun(id), String(number)).toEqual([])
      const found = engineFor(bench()).withDoubt(scale, id, 'x')
      const truth = 1 + new HandMachine(number).sizeError('x')
      expect(Math.abs((shownNumber(found.result) ?? 0) - truth), String(number)).toBeLessThan(1.5 * (found.doubt?.expanded ?? 0))
      expect(await state.applyRun(id, 'x')).toEqual([])
      expect(await state.writeSettings(['axes.x.steps'])).toEqual([])
      const written = bench().controller.axes['x']?.steps.value ?? 0
      expect(Math.abs(written * new HandMachine(number).machine.hidden.mmPerStep.x - 1)).toBeLessThan(0.0015)
      // The record of the write stands on the calibration, and says what it was.
      const [calibration, write] = records().slice(-2)
      expect(write?.title).toMatch(/^X steps: 80\.000 → /)
      expect(write?.beneath).toEqual([calibration?.id])
    }
  })

  it('takes a reading in any unit with its pooled doubt, says what is none, and takes it back', () => {
    state.makeRun('calipers')
    const [id] = newest()
    const [def] = readingDefs(newest()[1])
    const reading = () => newest()[1].readings[def!.id]
    expect(state.enterReading(id, def!, 'about 4')[0]?.code).toBe('not-a-number')
    expect(state.enterReading(id, def!, '9 m')[0]?.code).toMatch(/range/)
    expect(reading()).toBeUndefined()
    expect(state.enterReading(id, def!, '4 cm')).toEqual([])
    expect(reading()).toMatchObject({ value: 40, typed: '4 cm', doubt: { kind: 'pooled', args: [id] } })
    expect(state.enterReading(id, def!, '  ')).toEqual([])
    expect(reading()).toBeUndefined()
  })

  it('cannot be thrown away while steps follow it; undone, they follow nothing and it can', () => {
    const kept = Object.keys(bench().calibrate.runs)[0]!
    state.dropRun(kept)
    expect(bench().calibrate.runs[kept]).toBeDefined()
    state.unapplyRun('x')
    state.dropRun(kept)
    expect(bench().calibrate.runs[kept]).toBeUndefined()
    state.undo()
    state.undo()
    expect(bench().calibrate.applied['x']).toBe(kept)
  })
})

describe('a belt of the stand-in', () => {
  it('is heard at the tone of its hidden pull; without span or stand-in it says what is missing', async () => {
    await connect(41)
    const before = bench()
    expect(await state.listenTo(before, { axisId: 'x', side: 'A' }, 'stand-in')).toEqual([])
    const { pull } = new HandMachine(41).machine.hidden
    // f = √(T/m) / 2L, the ideal string: 8.4 g/m over 372 mm.
    const tone = Math.sqrt(pull.xA / 0.0084) / (2 * 0.372)
    const heard = bench().motion.axes['x']?.toneA
    expect(Math.abs((heard?.value ?? 0) - tone) / tone).toBeLessThan(0.02)
    expect(heard?.origin).toBe('measured')
    const { x } = before.motion.axes
    const unread = { ...before, motion: { ...before.motion, axes: { ...before.motion.axes, x: { ...x!, freeSpan: x!.toneB } } } }
    expect(state.reasonOf(await state.listenTo(unread, { axisId: 'x', side: 'A' }, 'stand-in'))).toContain('free span')
    state.disconnect()
    expect(state.reasonOf(await state.listenTo(before, { axisId: 'x', side: 'A' }, 'stand-in'))).toBe('No stand-in is connected.')
  })
})
