import 'fake-indexeddb/auto'
import { beforeEach, expect, it } from 'vitest'
import { mountPlaces, needed } from '../core/housing'
import { shownNumber } from '../core/bench'
import { engineFor, type Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const { useBenchStore } = state
const bench = () => useBenchStore.getState().bench as Bench

beforeEach(async () => {
  state.supplyIsCut()
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
}, 60_000)

it('sizes are fixed so large that what must go in goes in, its ± counted, in whole 5 mm', () => {
  expect(state.fixSizes()).toEqual([])
  for (const way of ['x', 'y', 'z'] as const) {
    const { result, doubt } = engineFor(bench()).withDoubt(needed, way)
    const size = bench().housing.size[way].value ?? 0
    const wanted = (shownNumber(result) ?? 0) + (doubt?.expanded ?? 0)
    expect(size).toBeGreaterThanOrEqual(wanted)
    expect(size).toBeLessThan(wanted + 5)
    expect(size % 5).toBe(0)
  }
})

it('the box goes onto the plan once: parts with their counts, work in its order, and nothing twice', () => {
  const parts = () => Object.values(bench().plan.parts)
  const tasks = () => Object.values(bench().plan.tasks)
  expect(state.boxOntoPlan()).toEqual([])
  const [first, work] = [parts().length, tasks().length]
  expect(parts().find((it) => it.name === 'Gas spring 50 N')).toMatchObject({ count: 2, state: 'needed' })
  expect(tasks().filter((it) => it.name === 'Paint the inside matt black')).toHaveLength(1)
  const glue = Object.entries(bench().plan.tasks).find(([, it]) => it.kind === 'box-glue')!
  expect(glue[1].waitMin).toBe(24 * 60)
  expect(state.boxOntoPlan()).toEqual([])
  expect([parts().length, tasks().length]).toEqual([first, work])
  state.removeOfHousing('housing.sheets.nine', 'a sheet taken away')
  expect(state.boxOntoPlan()[0]?.message).toMatch(/which sheet/)
})

it('sheets, openings and springs are changed, and come back by undo', () => {
  state.addPort('inlet')
  const id = Object.keys(bench().housing.ports).at(-1)!
  expect(bench().housing.ports[id]).toMatchObject({ name: 'Inlet', filled: { chosen: 'no' } })
  state.addBaffle(id)
  state.addBaffle(id)
  expect(Object.values(bench().housing.ports[id]!.baffles).map((it) => it.away.value)).toEqual([40, 80])
  expect(state.setPort(id, { name: ' ' })[0]?.message).toMatch(/needs a name/)
  const places = engineFor(bench()).value(mountPlaces).result
  if (!places.known) throw new Error('no places')
  state.fixMount(places.value[1]!)
  expect(bench().housing.lid.onLid.value).toBe(Math.round(places.value[1]!.onLid))
  state.undo()
  expect(bench().housing.lid.onLid.value).toBe(95)
})
