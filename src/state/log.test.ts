import 'fake-indexeddb/auto'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { benchSchema, type Bench } from '../core/document'
import { SYMPTOMS } from '../core/faults'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const { useBenchStore } = state
const bench = () => useBenchStore.getState().bench as Bench
const isValid = (): boolean => benchSchema.safeParse(bench()).success

beforeEach(async () => {
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
}, 60_000)
afterAll(() => vi.unstubAllGlobals())

const ENTRY = { kind: 'repair', text: 'done', touched: 'Diode head', minutes: 12, cost: 3.5, pictures: [] } as const
const picture = new File([new Uint8Array([1, 2, 3])], 'plug.png', { type: 'image/png' })

describe('the log', () => {
  it('an entry counts the hours run, is one step of undo, and asks for a title', async () => {
    const before = Object.keys(bench().log.entries).length
    expect(state.reasonOf(await state.addEntry({ ...ENTRY, title: '  ' }))).toContain('in a line')
    expect(await state.addEntry({ ...ENTRY, title: ' Fan chafed ' })).toEqual([])
    const added = Object.values(bench().log.entries).find((it) => it.title === 'Fan chafed')
    expect(added).toMatchObject({ cost: 3.5, minutes: 12, run: bench().calibrate.hours.value })
    expect(isValid()).toBe(true)
    useBenchStore.temporal.getState().undo()
    expect(Object.keys(bench().log.entries)).toHaveLength(before)
  })

  it('what is too long is refused before a record is kept for its pictures', async () => {
    const before = useBenchStore.getState().records.length
    const said = await state.addEntry({ ...ENTRY, title: 'All wires', touched: 'x'.repeat(1010), pictures: [picture] })
    expect(state.reasonOf(said)).toContain('10 signs too long')
    expect(useBenchStore.getState().records).toHaveLength(before)
  })

  it('pictures lie with a record of the same id, which stands on the time line once, and stays when the entry goes', async () => {
    expect(await state.addEntry({ ...ENTRY, title: 'Fan chafed', pictures: [picture] })).toEqual([])
    const [id] = Object.entries(bench().log.entries).find(([, it]) => it.title === 'Fan chafed')!
    const { files, records } = useBenchStore.getState()
    expect(files.filter((it) => it.recordId === id).map((it) => it.name)).toEqual(['plug.png'])
    const rows = (): readonly string[] =>
      state.happenings(bench(), useBenchStore.getState().records).flatMap((it) => (it.id === id ? [it.lane] : []))
    expect(rows()).toEqual(['repair'])
    expect(state.removeEntry(id)).toEqual([])
    expect(rows()).toEqual(['record'])
    expect(records.some((it) => it.id === id)).toBe(true)
  })

  it('with the disk full a repair with pictures is not half kept: nothing stands, and that is said', async () => {
    const { records } = useBenchStore.getState()
    const full = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const said = await state.addEntry({ ...ENTRY, title: 'Fan chafed', pictures: [picture] })
    full.mockRestore()
    expect(state.reasonOf(said)).toContain('The disk is full')
    expect(Object.values(bench().log.entries).some((it) => it.title === 'Fan chafed')).toBe(false)
    expect(useBenchStore.getState().records).toBe(records)
    expect(await state.addEntry({ ...ENTRY, title: 'Fan chafed', pictures: [picture] })).toEqual([])
  })

  it('reckons a job with the time of an order, in one step of undo', () => {
    const before = bench().log.job.beam
    expect(state.reckonJob(754.2)).toEqual([])
    expect(bench().log.job.beam).toMatchObject({ value: 754.2, typed: '12.57', typedUnit: 'min', origin: 'stated' })
    expect(isValid()).toBe(true)
    useBenchStore.temporal.getState().undo()
    expect(bench().log.job.beam).toEqual(before)
  })

  it('gathers records, burns, upkeep and tries from wherever they were written down', () => {
    const lanes = new Set(state.happenings(bench(), useBenchStore.getState().records).map((it) => it.lane))
    expect(lanes).toEqual(new Set(['record', 'burn', 'repair', 'upkeep', 'bought', 'note']))
  })

  it('usual upkeep is added once, keeps what is there, and each is done with a note', () => {
    expect(state.addUsualUpkeep()).toEqual([])
    const kinds = Object.values(bench().log.upkeep).map((it) => it.kind)
    expect(new Set(kinds).size).toBe(kinds.length)
    const many = kinds.length
    state.addUsualUpkeep()
    expect(Object.keys(bench().log.upkeep)).toHaveLength(many)
    expect(state.doUpkeep('rails', 'wiped')).toEqual([])
    expect(Object.values(bench().log.upkeep['rails']!.done)).toMatchObject([
      { note: 'wiped', run: bench().calibrate.hours.value },
    ])
    expect(state.reasonOf(state.renameUpkeep('rails', ' '))).toContain('name')
    expect(isValid()).toBe(true)
  })

  it('names wires by their ends and colours, for a repair', () => {
    const names = state.touchables(bench())
    expect(names).toContain('Diode head')
    expect(names.filter((it) => it.startsWith('wire '))).toHaveLength(Object.keys(bench().electrical.wires).length)
  })

  it('a calendar has a day for each that is known, nine o’clock, never before today', () => {
    const now = Date.parse('2026-11-24T12:00:00.000Z')
    const text = state.upkeepCalendar(bench(), now) ?? ''
    const starts = [...text.matchAll(/DTSTART:(\d{8})T090000/g)].map(([, day]) => Number(day))
    expect(starts).toHaveLength(Object.keys(bench().log.upkeep).length)
    expect(Math.min(...starts)).toBeGreaterThanOrEqual(20_261_124)
    expect(state.upkeepCalendar({ ...bench(), log: { ...bench().log, upkeep: {} } }, now)).toBeNull()
  })
})

describe('reach and eyewear', () => {
  it('places have names of their own and eyes at their height; what is worn is pointed at, never copied', () => {
    expect(state.addPlace('seat')).toEqual([])
    const added = Object.values(bench().reach.places).find((it) => it.name === 'Seat 2')
    expect(added?.eyes.value).toBe(1200)
    expect(state.reasonOf(state.setRoomPlace('door', { name: '' }))).toContain('name')
    expect(state.wearGlasses('broad')).toEqual([])
    expect(bench().safety.worn).toBe('broad')
    expect(state.lookThrough('given')).toEqual([])
    expect(bench().safety.window).toBe('given')
    expect(state.setWornLabel('D 440-480 LB7')).toEqual([])
    // The mark stood behind the label before; a seller's word is none the better for another.
    expect(bench().safety.glasses['broad']).toMatchObject({ label: 'D 440-480 LB7', proof: 'unsaid' })
    expect(state.setGlasses('given', { label: 'D 440-480 LB7' })).toEqual([])
    expect(bench().safety.glasses['given']?.proof).toBe('seller')
    expect(state.reasonOf(state.wearGlasses('none'))).toContain('no longer there')
    expect(isValid()).toBe(true)
  })

  it('a try is written down, taken away and undone', () => {
    const before = Object.keys(bench().round.tries).length
    expect(state.noteTry('interlock', 'back', 'sticks')).toEqual([])
    const [id] = Object.entries(bench().round.tries).find(([, it]) => it.note === 'sticks')!
    expect(isValid()).toBe(true)
    state.removeSwitchTry(id)
    expect(Object.keys(bench().round.tries)).toHaveLength(before)
  })
})

describe('what is wrong with a burn', () => {
  it('an answer is kept, taken back, and all of it forgotten in one step of undo', () => {
    for (const symptom of SYMPTOMS) state.saySeen(symptom, 'no')
    state.saySeen('open', 'yes')
    state.saySeen('pale', null)
    expect(bench().faults.seen.open.chosen).toBe('yes')
    expect(bench().faults.seen.pale.chosen).toBeNull()
    expect(isValid()).toBe(true)
    state.forgetFaults()
    expect(bench().faults.seen.open.chosen).toBeNull()
    useBenchStore.temporal.getState().undo()
    expect(bench().faults.seen.open.chosen).toBe('yes')
  })
})
