import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { setAt, shownNumber, standardUncertainty } from '../core/bench'
import { rampWaist } from '../core/calibrate'
import type { Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const bench = (): Bench => state.useBenchStore.getState().bench as Bench
const book = () => bench().burns.materials
const edit = (path: string, value: unknown) => state.editBench('a test', (it) => setAt(it, path, value))

beforeEach(async () => {
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
})

describe('the material book', () => {
  it('takes a material once; a second of the name, and one without, are refused with what to do', () => {
    const { id, said } = state.addMaterial(' Alder ')
    expect([said, book()[id]?.name]).toEqual([[], 'Alder'])
    expect(state.reasonOf(state.addMaterial('Alder').said)).toContain('in the book already')
    expect(state.reasonOf(state.addMaterial('  ').said)).toContain('needs a name')
    expect(state.reasonOf(state.renameMaterial(id, 'Cork mat'))).toContain('in the book already')
    expect(state.reasonOf(state.renameMaterial(id, 'x'.repeat(61)))).toContain('at most 60')
    expect([state.renameMaterial(id, 'Alder 4 mm'), book()[id]?.name]).toEqual([[], 'Alder 4 mm'])
    expect(Object.keys(book())).toHaveLength(4)
  })

  it.each([
    ['', 'Nobody has said what it is'],
    ['vinyl', 'hydrogen chloride'],
  ])('of the kind “%s” writes no try down and keeps no speed', async (kind, why) => {
    expect(state.setMaterialKind('ply', kind)).toEqual([])
    const before = Object.keys(book()['ply']!.tries).length
    const refused = state.addTry('ply', { power: 1, speed: 7, passes: 1, isThrough: true })
    expect(state.reasonOf(refused)).toContain(why)
    expect(state.reasonOf(await state.keepSetting('ply', 'cut'))).toContain(why)
    expect(Object.keys(book()['ply']!.tries)).toHaveLength(before)
  })

  it('takes a typed speed in the unit of the bench; what is none is said, and nothing is written down', () => {
    const before = Object.keys(book()['ply']!.tries).length
    expect(state.reasonOf(state.addTypedTry('ply', 'fast', true))).not.toBe('')
    expect(state.reasonOf(state.addTypedTry('ply', '0', true))).toContain('more than 0')
    expect(Object.keys(book()['ply']!.tries)).toHaveLength(before)
    edit('units', 'inch')
    expect(state.addTypedTry('ply', '20 in/min', false)).toEqual([])
    const newest = Object.values(book()['ply']!.tries).sort((p, q) => q.order - p.order)[0]
    // 20 inches of 25.4 mm in 60 s.
    expect(newest).toMatchObject({ speed: expect.closeTo(8.4667, 3) as number, through: 'no' })
    state.undo()
    expect(Object.keys(book()['ply']!.tries)).toHaveLength(before)
  })

  it('keeps a speed never faster than what was learnt, with a record that rests on focus', async () => {
    expect(await state.keepSetting('ply', 'cut')).toEqual([])
    const kept = Object.values(book()['ply']!.settings).sort((p, q) => q.order - p.order)[0]
    expect(kept).toMatchObject({ speed: 5.4, power: 1, passes: 1 })
    const record = state.useBenchStore.getState().records.find((it) => it.title.startsWith('Birch plywood is cut at 5.4'))
    expect(record?.gave.map((it) => it.figure)).toEqual(['burn.settingChance', 'calibrate.gapAtFocus', 'calibrate.peakAtFocus'])
    state.addMaterial('Alder')
    const alder = Object.keys(book()).find((id) => book()[id]?.name === 'Alder')!
    state.setMaterialKind(alder, 'wood')
    expect(state.reasonOf(await state.keepSetting(alder, 'cut'))).toContain('not known yet')
  })
})

describe('how a program came out', () => {
  const came = {
    record: 'r1',
    name: 'program put right',
    materialId: 'ply',
    power: 0.6,
    speed: 20,
    passes: 2,
    outcome: 'good',
    depth: 0.4,
    note: 'even',
  } as const
  const settings = () => Object.values(book()['ply']!.settings)

  it('is written down, and with the material: a setting of its own where the depth was measured, a use of it the next time', async () => {
    const before = settings().length
    expect(await state.noteCameOut(came)).toEqual([])
    expect(settings()).toHaveLength(before + 1)
    const made = settings().find((it) => it.power === 0.6)
    expect(made).toMatchObject({ wanted: 'depth', aim: 0.4, speed: 20, passes: 2, from: 'tried' })
    const { records } = state.useBenchStore.getState()
    expect(records.at(-1)).toMatchObject({ stage: 'work', title: 'Came out well: program put right', beneath: ['r1'] })
    expect(records.at(-1)?.note).toMatch(/60 %.*2 passes on .*deep\. even/)
    expect(await state.noteCameOut({ ...came, speed: 20.2, depth: null, outcome: 'poor' })).toEqual([])
    expect(settings()).toHaveLength(before + 1)
    const uses = Object.values(settings().find((it) => it.power === 0.6)?.uses ?? {})
    expect(uses.map((it) => it.outcome).sort()).toEqual(['good', 'poor'])
  })

  it('without a depth, or on what is never burnt, makes no setting', async () => {
    const before = settings().length
    expect(await state.noteCameOut({ ...came, depth: null })).toEqual([])
    expect(state.setMaterialKind('ply', 'vinyl')).toEqual([])
    expect(await state.noteCameOut(came)).toEqual([])
    expect(settings()).toHaveLength(before)
  })
})

describe('what the beam follows', () => {
  it('is no ramp that says nothing: it says what to read, and the beam stays as it was', async () => {
    edit('calibrate.trials.focus.ramp-1.readings.gap', undefined)
    edit('calibrate.focusBy', '')
    expect(state.reasonOf(await state.followRamp('ramp-1'))).toContain('read how the board lies')
    expect(bench().calibrate.focusBy).toBe('')
    expect(state.reasonOf(await state.followRamp('gone'))).toContain('gone')
  })

  it('enters the spot that a ramp gives where nobody has measured it, and lets a measured one stand', async () => {
    edit('calibrate.focusBy', '')
    edit('optics.spotY', { ...bench().optics.spotY, value: 0.2, typed: '0.2', origin: 'measured' })
    expect(await state.followRamp('ramp-1')).toEqual([])
    const { spotX, spotY } = bench().optics
    const ramp = 2 * (shownNumber(state.engineOf(bench()).value(rampWaist, 'ramp-1', 'x').result) ?? 0)
    expect(spotX).toMatchObject({ origin: 'measured', value: expect.closeTo(ramp, 3) as number })
    expect(standardUncertainty(spotX.doubt)).toBeGreaterThan(0)
    expect(spotY.value).toBe(0.2)
    const gave = state.useBenchStore
      .getState()
      .records.at(-1)
      ?.gave.map((it) => it.figure)
    expect(gave).toEqual(['calibrate.focusOfRamp', 'calibrate.rampWaist', 'calibrate.rampWaist'])
    state.useBenchStore.temporal.getState().undo()
    expect([bench().calibrate.focusBy, bench().optics.spotX.origin]).toEqual(['', 'assumed'])
  })

  it('takes the light at full power as typed, with its ±; without a machine the meter says so', async () => {
    expect(state.addLight('5.0 ± 0.1 W')).toEqual([])
    const newest = Object.values(bench().optics.lights).sort((p, q) => q.order - p.order)[0]
    expect(newest?.light).toMatchObject({ value: 5, doubt: { kind: 'standard', u: 0.05 } })
    expect(state.reasonOf(state.addLight('bright'))).not.toBe('')
    expect(state.reasonOf(await state.addLightByStandIn())).toContain('not connected')
    expect(Object.keys(bench().optics.lights)).toHaveLength(3)
  })
})
