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
function connect(fault: StandInFault | null = null) {
  state.setClockRate(Infinity)
  return state.connectStandIn(41, fault)
}

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

describe('undo beside a swap', () => {
  it('takes back what was typed, never what stands in the machine', async () => {
    await connect()
    state.renameObject('mug', 'Blue mug')
    await state.swapIn()
    const swap = bench().rotary.swap
    state.renameObject('mug', 'Green mug')
    state.undo()
    expect([bench().rotary.objects['mug']?.name, bench().rotary.swap]).toEqual(['Blue mug', swap])
    state.undo()
    expect([bench().rotary.objects['mug']?.name, bench().rotary.swap]).toEqual(['Enamel mug', swap])
    expect(await state.putBack()).toEqual([])
    state.redo()
    // Put back is put back, whatever is done again.
    expect([bench().rotary.objects['mug']?.name, bench().rotary.swap.axis]).toEqual(['Blue mug', ''])
  })
})

describe('the shelf', () => {
  it('takes a part with the size that the object wants, is told that it is made, and lends it', () => {
    const before = Object.keys(bench().rotary.holders)
    const added = (kind: 'centring' | 'cup' | 'hub') => {
      const there = new Set(Object.keys(bench().rotary.holders))
      expect(state.addHolder(kind)).toEqual([])
      return Object.keys(bench().rotary.holders).find((id) => !there.has(id))!
    }
    const part = (id: string) => bench().rotary.holders[id]!
    // A bore of 83.1 less 0.2 of clearance; a cup over a rim of 87.8 with as much.
    const disc = added('centring')
    expect([part(disc).outer.value, part(disc).name, part(disc).inner.value]).toEqual([82.9, 'Centring disc Ø82.9', 8])
    const cup = added('cup')
    expect(part(cup).outer.value).toBe(88)
    // Nothing says how large a hub is to be.
    expect(part(added('hub')).outer.value).toBeNull()
    state.setMade(disc, true)
    expect(part(disc).made).toMatch(/^\d{4}-\d\d-\d\d$/)
    state.sitOn(disc)
    expect(bench().rotary.seat).toBe(disc)
    state.setHolder(cup, { count: 3 })
    expect(part(cup).count).toBe(3)
    expect(state.setHolder(cup, { name: '' })).not.toEqual([])
    state.removeHolder(disc)
    expect(bench().rotary.seat).toBe('')
    state.undo()
    expect([bench().rotary.seat, Object.keys(bench().rotary.holders).length]).toEqual([disc, before.length + 3])
  })

  it('makes the sheet the unrolled work, once round where it closes', () => {
    expect(state.sheetAsUnrolled()).toEqual([])
    expect([bench().work.sheetWidth.value, bench().work.sheetHeight.value]).toEqual([30, 70])
    state.setPlain('rotary.wraps', 'yes', 'closes')
    state.sheetAsUnrolled()
    expect(bench().work.sheetHeight.value).toBeCloseTo(Math.PI * 83.4, 2)
    state.takeInHand('nothing')
    expect(state.sheetAsUnrolled()).toMatchObject([{ severity: 'error' }])
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
