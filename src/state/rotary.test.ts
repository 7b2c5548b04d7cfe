import 'fake-indexeddb/auto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { shownNumber } from '../core/bench'
import { engineFor, judgeAll, rotarySettings, type Bench } from '../core/document'
import { drawRotary, type StandInFault } from '../core/workshop'
import { heron } from '../data/heron'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
workerHere(() => import('../workers/workshop.worker'))
const state = await import('.')
const { useBenchStore, useMachine, useSession } = state
const bench = () => useBenchStore.getState().bench as Bench
const records = () => useBenchStore.getState().records.slice(heron().records.length)
const connect = (fault: StandInFault | null = null) => state.connectStandIn(41, Infinity, fault)

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
  vi.unstubAllGlobals()
})

/** What the machine lists of Y. */
async function listOfY(): Promise<readonly (string | undefined)[]> {
  const list = await state.askMachine('settings')
  if (!list.ok) throw new Error('no list')
  return ['steps', 'speed', 'acceleration', 'travel'].map((it) => list.items.get(`y/${it}`))
}

describe('objects', () => {
  it('are added with room for two diameters, taken in hand, named, taken away and back', () => {
    expect(state.addObject('  ')).not.toEqual([])
    expect(state.addObject('Tool handle')).toEqual([])
    const id = bench().rotary.inHand
    expect(bench().rotary.objects[id]).toMatchObject({ name: 'Tool handle', order: 2 })
    expect(Object.keys(bench().rotary.objects[id]!.sections)).toHaveLength(2)
    state.addSection(id)
    state.addKeepOff(id)
    expect([
      Object.keys(bench().rotary.objects[id]!.sections).length,
      Object.keys(bench().rotary.objects[id]!.keepOff).length,
    ]).toEqual([3, 1])
    expect(state.renameObject(id, '')).not.toEqual([])
    state.removeObject(id)
    expect(bench().rotary.inHand).toBe('mug')
    state.undo()
    expect(bench().rotary.objects[id]?.name).toBe('Tool handle')
  })
})

describe('the rotary in the place of an axis', () => {
  it('writes its settings, reads them back, and puts back to the letter what was there, with both records', async () => {
    await connect()
    const before = await listOfY()
    expect(await state.swapIn()).toEqual([])
    const wanted = rotarySettings(engineFor(bench())).map((it) => it.wanted)
    expect(await listOfY()).toEqual(wanted)
    expect(wanted[0]).not.toBe(before[0])
    expect(Object.values(bench().rotary.swap.before)).toEqual(before)
    // Reading the list meanwhile takes nothing of Y over, and Controller writes nothing there.
    const own = bench().controller.axes['y']
    expect((await state.readSettings()).map((it) => it.code)).toContain('rotary-in-place')
    expect(bench().controller.axes['y']).toBe(own)
    expect(await state.writeSettings(['axes.y.steps'])).toMatchObject([{ severity: 'error' }])
    expect(await state.putBack()).toEqual([])
    expect(await listOfY()).toEqual(before)
    expect(bench().rotary.swap.axis).toBe('')
    expect(records().map((it) => it.title)).toEqual(['The rotary in the place of Y', 'Y put back after the rotary'])
    expect(records()[1]?.note).toContain('All of it reads back.')
  })

  it('for another object keeps what was there first; where a line is refused it stays in place and says so', async () => {
    await connect()
    const before = await listOfY()
    await state.swapIn()
    await state.swapIn()
    expect(Object.values(bench().rotary.swap.before)).toEqual(before)
    state.disconnect()
    await connect({ kind: 'refuse', at: 2 })
    expect((await state.putBack()).some((it) => it.severity === 'error')).toBe(true)
    expect(bench().rotary.swap.axis).toBe('y')
  })

  it('is a stop when it stands there since yesterday, and a look until then', async () => {
    await connect()
    await state.swapIn()
    const marks = (hours: number) => {
      const engine = engineFor(bench())
      engine.setNow(Date.parse(bench().rotary.swap.at) + hours * 3_600_000)
      return judgeAll(engine, 'rotary').find((it) => it.def.id === 'rotary.putBackDue')?.mark
    }
    expect([marks(1), marks(13)]).toEqual(['look', 'stop'])
  })

  it('goes by hand too, with the lines to type, and wants to know the way back first', async () => {
    const lines = rotarySettings(engineFor(bench())).map((it) => it.line)
    expect(lines[0]).toMatch(/^y\/steps = \d+\.\d{3}$/)
    expect(await state.swapByHand()).toEqual([])
    expect(bench().rotary.swap.before['axes.y.steps']).toBe('80.000')
    expect(await state.putBackByHand()).toEqual([])
    expect(records().map((it) => it.note.includes('Typed by hand.'))).toEqual([true, true])
    useBenchStore.setState({ bench: { ...bench(), controller: { ...bench().controller, axes: heronUnread() } } })
    expect(await state.swapByHand()).toMatchObject([{ message: expect.stringContaining('for the way back') }])
  })
})

function heronUnread(): Bench['controller']['axes'] {
  const { axes } = bench().controller
  const y = axes['y']!
  return { ...axes, y: { ...y, steps: { ...y.steps, value: null } } }
}

describe('runs', () => {
  it('turns the stand-in, finds its ratio, and lets the steps follow with a record', async () => {
    await connect()
    expect(useMachine.getState().link).toBe('open')
    state.removeOfRotary('rotary.turnRuns.turns-1', 'gone')
    expect(state.addTurnRun('')).toEqual([])
    const id = Object.keys(bench().rotary.turnRuns)[0]!
    expect(await state.followTurns(id)).toMatchObject([{ severity: 'error' }])
    expect(await state.readTurnsByStandIn(id, 5)).toEqual([])
    expect(await state.followTurns(id)).toEqual([])
    const found = shownNumber(engineFor(bench()).byId('rotary.turnSteps', ['mug']).result) ?? NaN
    expect(found / (9600 * (1 + drawRotary(41).finer))).toBeCloseTo(1, 3)
    expect(records().at(-1)?.title).toBe('Steps for a turn follow a run')
    expect(state.addDialRun('')).toEqual([])
    const round = Object.entries(bench().rotary.dialRuns).find(([, it]) => it.order === 2)![0]
    expect(await state.readDialByStandIn(round)).toEqual([])
    expect(Object.keys(bench().rotary.dialRuns[round]!.readings)).toHaveLength(12)
    // A reading that is none is refused in words, and what is emptied is taken back.
    expect(state.enterOverrun(id, '1x1', 'far')).not.toEqual([])
    expect(state.enterOverrun(id, '1x1', '')).toEqual([])
    expect(bench().rotary.turnRuns[id]?.readings['1x1']).toBeUndefined()
  })
})
