import 'fake-indexeddb/auto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { setAt, shownNumber } from '../core/bench'
import { lateLength, layoutOf, onDelay, TRIAL_KINDS, TRIALS, type TrialKindId } from '../core/calibrate'
import { practiceId, type Bench } from '../core/document'
import { heron } from '../data/heron'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
const workers = workerHere(() => import('../workers/workshop.worker'))
const state = await import('.')
const { useBenchStore, useMachine, useSession } = state
const bench = (): Bench => useBenchStore.getState().bench as Bench

beforeAll(() =>
  vi.useFakeTimers({
    shouldAdvanceTime: true,
    advanceTimeDelta: 40,
    toFake: ['setTimeout', 'setInterval', 'clearTimeout', 'clearInterval'],
  }),
)
beforeEach(async () => {
  state.supplyIsCut()
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
  useSession.setState({ cautions: 'taken' })
})
afterAll(() => {
  state.disconnect()
  vi.useRealTimers()
  expect(workers.started()).toBeGreaterThan(0)
})

/** Lays a trial out, keeps it, and gives its id. */
function made(kind: TrialKindId): string {
  const draft = state.draftTrial(kind, 'calipers')
  if (!draft.ok) throw new Error(draft.findings[0]?.message)
  expect(draft.value.keep()).toEqual([])
  return draft.value.id
}
const of = (kind: TrialKindId, id: string) => bench().calibrate.trials[kind][id]

describe('a trial', () => {
  it.each(TRIAL_KINDS)('“%s” is laid out with what the bench gives, in one step that can be taken back', (kind) => {
    const id = made(kind)
    const trial = of(kind, id)!
    for (const name of Object.keys(TRIALS[kind].facts)) expect(trial.numbers[name]).toBeGreaterThan(0)
    expect(trial).toMatchObject({
      // The demo has burnt one focus ramp.
      order: kind === 'focus' ? 2 : 1,
      axes: { x: 'x', y: 'y' },
      speed: bench().calibrate.markSpeed.value,
      numbers: { acceleration: 500 },
    })
    state.undo()
    expect(of(kind, id)).toBeUndefined()
  })

  it.each([
    ['calibrate.markPower', 'delay', 'no-power'],
    ['calibrate.outlineLarge', 'outline', 'not-known'],
    ['calibrate.startX', 'circle', 'not-known'],
  ] as const)('is not laid out without %s, and says where to enter it', (path, kind, code) => {
    const blank = { value: null, typed: '', typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'exact' } }
    const plan = state.planTrial(setAt(bench(), path, blank), kind)
    expect(plan.ok).toBe(false)
    expect(plan.findings[0]).toMatchObject({ code })
  })

  it('refuses large ones that are not larger, and a fastest line that is not faster', () => {
    const { circleSmall, delaySlowest } = bench().calibrate
    const round = setAt(bench(), 'calibrate.circleLarge', circleSmall)
    expect(state.planTrial(round, 'circle').findings[0]?.message).toContain('larger than the small')
    const slow = setAt(bench(), 'calibrate.delayFastest', delaySlowest)
    expect(state.planTrial(slow, 'delay').findings[0]?.message).toContain('faster than the slowest')
  })

  it('takes readings with their sign and doubt, refuses what is none and keeps the one before, and gives one up again', () => {
    const id = made('outline')
    const [def] = layoutOf('outline', of('outline', id)!).readings
    expect(state.enterTrialReading('outline', id, def!, '-0,21')).toEqual([])
    const read = () => of('outline', id)?.readings[def!.id]
    expect(read()).toMatchObject({ value: -0.21, typed: '-0,21', origin: 'measured', instrument: 'calipers' })
    // 0.02 mm of the calipers, and two marks on steps of 0.0125 mm: √(0.02² + 0.0125²/6).
    expect(read()?.doubt).toEqual({ kind: 'standard', u: expect.closeTo(Math.sqrt(0.0004 + 0.0125 ** 2 / 6), 6) })
    expect(state.enterTrialReading('outline', id, def!, 'a bit')[0]?.severity).toBe('error')
    expect(read()?.value).toBe(-0.21)
    state.enterTrialReading('outline', id, def!, '')
    expect(read()).toBeUndefined()
  })

  it('keeps a line that was picked, none of them, and forgets it again; thrown away it comes back with undo', () => {
    const id = made('bands')
    state.pickTrial('bands', id, 'dotted', 4)
    expect(of('bands', id)?.picks).toEqual({ dotted: 4 })
    state.pickTrial('bands', id, 'dotted', 0)
    expect(of('bands', id)?.picks).toEqual({ dotted: 0 })
    state.pickTrial('bands', id, 'dotted', null)
    expect(of('bands', id)?.picks).toEqual({})
    state.dropTrial('bands', id)
    expect(of('bands', id)).toBeUndefined()
    state.undo()
    expect(of('bands', id)).toBeDefined()
  })

  it('is burnt and read on the stand-in, its delay goes to the output card, and a record says on what it rests', async () => {
    state.setClockRate(Infinity)
    await state.connectStandIn(41, null)
    const draft = state.draftTrial('delay', 'calipers')
    if (!draft.ok) throw new Error('no draft')
    const plan = state.planTrial(bench(), 'delay')
    if (!plan.ok) throw new Error('no plan')
    const program = state.writeThroughCard(bench(), layoutOf('delay', plan.value).steps)
    if (!program.ok) throw new Error(program.findings[0]?.message)
    expect(await state.runProgram(program.value, draft.value.id)).toEqual({ kind: 'burnt' })
    draft.value.keep()
    const { id } = draft.value
    await vi.waitFor(() => expect(useMachine.getState().marks.length).toBe(8))
    expect(await state.readTrial('delay', id)).toEqual([])
    expect(Object.keys(of('delay', id)!.readings)).toHaveLength(12)
    const late = shownNumber(state.engineOf(bench()).value(onDelay, id).result)!
    const missing = () => shownNumber(state.engineOf(bench()).value(lateLength, id).result) ?? Number.NaN
    expect(missing()).toBeGreaterThan(0.05)
    expect(await state.applyDelay(id)).toEqual([])
    // What the card waits is no longer missing.
    expect(missing()).toBeLessThan(0.01)
    expect(bench().output.card.afterOn).toBeCloseTo(late, 4)
    const record = useBenchStore.getState().records.at(-1)
    expect(record?.title).toMatch(/waits \d+(\.\d)? ms behind “on”/)
    expect(JSON.stringify(record)).toContain('calibrate.onDelay')
  })

  it('whose delay is not read yet is not applied, and says what to read', async () => {
    const id = made('delay')
    expect((await state.applyDelay(id))[0]?.message).toContain('three speeds')
    expect(bench().output.card.afterOn).toBe(0)
  })
})

describe('spans moved by hand', () => {
  it('are added with or without a unit, refused without one that can be, and followed on demand with a record', async () => {
    for (const typed of ['20', '1.5 in', '60 mm']) expect(state.addSpan('y', typed)).toEqual([])
    expect(state.addSpan('y', 'far')[0]?.severity).toBe('error')
    expect(state.addSpan('y', '-3')[0]?.message).toContain('more than 0')
    const spans = Object.values(bench().calibrate.spans).sort((p, q) => p.order - q.order)
    expect(spans.map((it) => [it.axis, it.inForce, it.commanded])).toEqual([
      ['y', 80, 20],
      ['y', 80, expect.closeTo(38.1, 9)],
      ['y', 80, 60],
    ])
    // Nothing is measured yet: nothing follows, and nothing is applied.
    expect((await state.applySpans('y', true))[0]?.message).toContain('measure two different ones')
    expect(bench().calibrate.applied['y']).toBeUndefined()
    for (const [id, span] of Object.entries(bench().calibrate.spans)) {
      state.setFact(
        `calibrate.spans.${id}.measured`,
        { ...heron().bench.motion.frame.barWidth, value: span.commanded * 1.01, typed: '1' },
        'a span',
      )
    }
    expect(await state.applySpans('y', true)).toEqual([])
    expect(bench().calibrate.applied['y']).toBe('spans')
    expect(useBenchStore.getState().records.at(-1)?.title).toBe('Spans applied to Y')
    expect(await state.applySpans('y', false)).toEqual([])
    expect(bench().calibrate.applied['y']).toBeUndefined()
  })

  it('ask for the steps in the machine first', () => {
    const blank = { ...heron().bench.controller.axes['y']!.steps, value: null, typed: '' }
    state.editBench('test', (it) => setAt(it, 'controller.axes.y.steps', blank))
    expect(state.addSpan('y', '20')[0]?.message).toContain('read its settings')
  })
})

describe('a practice machine', () => {
  it('is opened once a number and grade, is drawn by them, and what is done with a spanner changes it', async () => {
    const opened = await state.openPractice(3, 421)
    expect(opened).toMatchObject({ ok: true, value: practiceId(3, 421) })
    expect(await state.openBench(practiceId(3, 421))).toEqual([])
    expect(state.practiceNow(bench())).toContain('Connect the practice machine')
    // Whatever number is asked for, it is the one of the bench.
    state.setClockRate(Infinity)
    expect(await state.connectStandIn(7, null)).toEqual([])
    const before = state.practiceNow(bench())
    if (before === null || typeof before === 'string') throw new Error('no score')
    expect(before.machine.faults.map((it) => it.fault).sort()).toEqual(['loose', 'skew'])
    expect(await state.mendPractice({ act: 'belt', axis: 'y' })).toEqual([])
    const after = state.practiceNow(bench())
    if (after === null || typeof after === 'string') throw new Error('no score')
    const play = (it: typeof after) => it.score.aspects.find((one) => one.aspect === 'backlash')?.off
    expect(play(after)).toBeLessThan(play(before)!)
    expect(useMachine.getState().link).toBe('open')
  })

  it('is not a bench of one’s own: nothing is mended there, and there is no score', async () => {
    expect(state.practiceNow(bench())).toBeNull()
    expect((await state.mendPractice({ act: 'snug', axis: 'x' }))[0]?.message).toContain('no practice machine')
  })
})
