import 'fake-indexeddb/auto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { inOrder, leakRead, throughFan } from '../core/air'
import { shownNumber } from '../core/bench'
import { engineFor, type Bench } from '../core/document'
import { drawAir } from '../core/workshop'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
workerHere(() => import('../workers/workshop.worker'))
const state = await import('.')
const { useBenchStore } = state
const bench = () => useBenchStore.getState().bench as Bench
const ways = () => inOrder(bench().air.ways)
const kinds = (id: string): readonly string[] => inOrder(bench().air.ways[id]?.parts ?? {}).map(([, it]) => it.kind)

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
}, 60_000)
afterAll(() => {
  state.disconnect()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const from = (start: Parameters<typeof state.layAir>[0]): void => {
  useBenchStore.setState({ bench: { ...bench(), air: { ...bench().air, ways: {} } } })
  expect(state.layAir(start, 125)).toEqual([])
}

describe('ways of the air', () => {
  it.each([
    ['open', 'box', 1],
    ['sealed', 'box', 2],
    ['hood', 'hood', 1],
    ['table', 'table', 1],
    ['mouth', 'mouth', 1],
  ] as const)('begin from %s: caught by a %s, %i of them, every part as wide as the duct is sold', (start, caught, count) => {
    from(start)
    expect(bench().air.box.caught.chosen).toBe(caught)
    expect(ways()).toHaveLength(count)
    const parts = Object.values(ways()[0]![1].parts)
    expect(new Set(parts.map((it) => it.diameter.value))).toEqual(new Set([125]))
    expect(parts.every((it) => it.diameter.doubt.kind === 'halfWidth')).toBe(true)
    expect(bench().air.box.inlet.value).toBe(0) // what Heron had, and what a sealed box has
  })

  it('a new part stands before the end that air leaves by, takes over the diameter, and moves one place at a time', () => {
    from('open')
    const [id] = ways()[0]!
    state.addAirPart(id, 'filter')
    expect(kinds(id).slice(-2)).toEqual(['filter', 'end'])
    const filter = inOrder(bench().air.ways[id]!.parts).find(([, it]) => it.kind === 'filter')!
    expect(filter[1].diameter.value).toBe(125)
    state.moveAirPart(id, filter[0], -1)
    expect(kinds(id).slice(-3)).toEqual(['filter', 'flap', 'end'])
    expect(inOrder(bench().air.ways[id]!.parts).map(([, it]) => it.order)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])
    state.removeAirPart(id, filter[0])
    state.undo()
    expect(kinds(id)).toContain('filter')
  })

  it('a junction before the fan parts a way in two, and nothing of what flows is lost', () => {
    const before = shownNumber(engineFor(bench()).value(throughFan, 'out').result)
    expect(state.splitBeforeFan('out')).toEqual([])
    const [first, second] = [bench().air.ways['out']!, ways().find(([, it]) => it.from === 'joinA')!]
    expect(first.to).toBe('joinA')
    expect(Object.values(first.parts).some((it) => it.kind === 'fan')).toBe(false)
    const after = shownNumber(engineFor(bench()).value(throughFan, second[0]).result)
    // The step between hose and what is behind the fan is no longer counted.
    expect(Math.abs((after ?? 0) / (before ?? 1) - 1)).toBeLessThan(0.01)
    state.addAirWay()
    expect(ways().at(-1)![1]).toMatchObject({ from: 'room', to: 'joinA' })
    expect(state.splitBeforeFan('in')[0]?.message).toMatch(/no fan behind/)
  })
})

it('the stand-in’s air is read thrice at three settings; its gaps follow, with a record, and hold the true ones', async () => {
  expect((await state.readAirByStandIn())[0]?.message).toMatch(/Say first where the air is read/)
  const read = (value: number, typedUnit: 'mm' | 'cm2') =>
    ({ value, typed: String(value), typedUnit, origin: 'measured', doubt: { kind: 'exact' } }) as const
  state.setFact('air.meter.outDiameter', read(98.6, 'mm'), 'diameter')
  state.setFact('air.meter.inletArea', read(60, 'cm2'), 'area')
  expect((await state.readAirByStandIn())[0]?.message).toMatch(/No stand-in/)
  state.setClockRate(Infinity)
  expect(await state.connectStandIn(41, null)).toEqual([])
  expect(await state.readAirByStandIn()).toEqual([])
  expect(Object.keys(bench().air.readings)).toHaveLength(9)
  expect(await state.gapsByReadings('readings')).toEqual([])
  const { result, doubt } = engineFor(bench()).withDoubt(leakRead)
  const truth = drawAir(41).gaps * 1e4
  expect(Math.abs((shownNumber(result) ?? 0) - truth)).toBeLessThan(1.6 * (doubt?.expanded ?? 0))
  expect(useBenchStore.getState().records.at(-1)?.title).toBe('Gaps follow the readings')
})
