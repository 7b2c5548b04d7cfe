import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { lightness, luminanceOf } from '../core/testcard'
import { setAt } from '../core/bench'
import { axisTemplate, type Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const bench = (): Bench => state.useBenchStore.getState().bench as Bench
const card = () => bench().burns.materials['ply']!.cards['c1']!

beforeEach(async () => {
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
})

describe('a card that is designed', () => {
  it('refuses what cannot be, in words, and stays as it was', () => {
    const before = bench().burns.card
    for (const [change, words] of [
      [{ across: 'speed' }, 'Both sides'],
      [{ columns: 0 }, '1 to 12'],
      [{ rows: 2.5 }, '1 to 12'],
      [{ cell: 90 }, '2 to 30 mm'],
      [{ acrossFrom: 0 }, 'between 1 and 100 %'],
      [{ upTo: Number.NaN }, 'between 0.1 and 1000'],
      [{ pitch: -1 }, 'between 0.02 and 2'],
      [{ passes: 1.5 }, 'whole'],
      [{ markPower: 2 }, 'between 1 and 100 %'],
      [{ markSpeed: 0 }, '1 to 1000'],
    ] as const) {
      expect(state.reasonOf(state.designCard(change)), JSON.stringify(change)).toContain(words)
    }
    expect(bench().burns.card).toBe(before)
    expect(state.reasonOf(state.goThrough('up', 'power'))).toContain('already')
    expect(state.goThrough('up', 'passes')).toEqual([])
    expect(bench().burns.card).toMatchObject({ up: 'passes', upFrom: 1, upTo: 4 })
  })

  it('lies so far from the corner that its run-up stays on the bed; without Z no head is lifted', () => {
    const plan = state.planCard(bench(), bench().burns.card, 'AAAAAA')
    if (!plan.ok) throw new Error('no plan')
    const steps = plan.value.steps()
    const places = steps.flatMap((it) => ('x' in it ? [it.x] : []))
    expect(Math.min(...places)).toBeGreaterThanOrEqual(0)
    const lifted = state.planCard(bench(), { ...bench().burns.card, across: 'focus', acrossFrom: -1, acrossTo: 1 }, 'AAAAAA')
    expect(lifted.ok || lifted.findings[0]?.message).toContain('no Z axis')
  })

  it('is not burnt into what is never burnt', () => {
    state.setMaterialKind('ply', 'vinyl')
    const plan = state.planCard(bench(), bench().burns.card, 'AAAAAA')
    const draft = plan.ok ? state.draftOfCard('ply', plan.value.card) : plan
    expect(draft.ok || draft.findings[0]?.message).toContain('is not burnt')
  })

  it('on a machine with a Z axis goes through heights of the head', () => {
    const router = setAt(bench(), 'motion.axes.z', axisTemplate('Z', 3))
    const plan = state.planCard(router, { ...router.burns.card, across: 'focus', acrossFrom: -1, acrossTo: 1 }, 'AAAAAA')
    if (!plan.ok) throw new Error(plan.findings[0]?.message)
    const heights = new Set(plan.value.steps().flatMap((it) => ('z' in it ? [it.z] : [])))
    expect([...heights].sort((p, q) => p - q)).toEqual([-1, -0.6, -0.2, 0, 0.2, 0.6, 1])
  })
})

describe('what is said of cells', () => {
  it('is kept as a share of the bare material, so that a better word for that moves the tone', () => {
    expect(state.sayCells('ply', 'c1', { '1-1': { tone: { value: 50, u: 1.5, by: 'hand' } } })).toEqual([])
    expect(lightness(card().cells['1-1']!.share! * luminanceOf(72))).toBeCloseTo(50, 9)
    expect(lightness(card().cells['1-1']!.share! * luminanceOf(80))).toBeGreaterThan(55)
  })

  it('by hand outlives a picture; taken back it is gone; a depth stays beside a tone', () => {
    state.sayCells('ply', 'c1', { '2-2': { tone: { value: 40, u: 1.5, by: 'hand' } } })
    const mine = card().cells['2-2']
    const tones = [
      { id: '2-2', share: 0.9, tone: 70, u: 0.6, isThrough: null, flaw: null },
      { id: '3-3', share: 0.5, tone: 55, u: 0.6, isThrough: null, flaw: null },
      { id: '4-4', share: null, tone: null, u: 0, isThrough: null, flaw: 'burnt out' as const },
    ]
    const before = card().cells['4-4']
    expect(state.takeTones('ply', 'c1', tones)).toEqual([])
    expect(card().cells['2-2']).toEqual(mine)
    expect(card().cells['3-3']).toMatchObject({ share: 0.5, by: 'picture' })
    expect(card().cells['4-4']).toEqual(before)
    state.sayCells('ply', 'c1', { '3-3': { depth: 0.4 } })
    expect(card().cells['3-3']).toMatchObject({ share: 0.5, depth: 0.4 })
    state.sayCells('ply', 'c1', { '3-3': { tone: null, depth: null } })
    expect(card().cells['3-3']).toBeUndefined()
    state.undo()
    expect(card().cells['3-3']).toMatchObject({ depth: 0.4 })
  })

  it('of a card or material that is gone is refused', () => {
    expect(state.reasonOf(state.sayCells('ply', 'gone', {}))).toContain('not in the book')
    expect(state.reasonOf(state.takeTones('gone', 'c1', []))).toContain('not in the book')
  })
})

describe('settings of the book', () => {
  it('of a tone rest on what the card says of it, of a cut on its chance; a use is counted', async () => {
    expect(await state.keepSetting('ply', 'tone')).toEqual([])
    const [id, kept] = Object.entries(bench().burns.materials['ply']!.settings).find(([, it]) => it.wanted === 'tone')!
    expect(kept).toMatchObject({ aim: 45, from: 'card', pitch: 0.1 })
    const record = state.useBenchStore.getState().records.find((it) => it.id === kept.record)
    expect(record?.gave[0]).toMatchObject({ figure: 'testcard.settingTone', args: ['ply', id], same: 3 })
    expect(state.noteUse('ply', id, 'poor')).toEqual([])
    expect(Object.values(bench().burns.materials['ply']!.settings[id]!.uses)).toMatchObject([{ outcome: 'poor' }])
  })

  it('that are not known yet say what is lacking, each its own', async () => {
    for (const [want, words] of [
      ['mask', 'cut the tape'],
      ['depth', 'depth of three cells'],
    ] as const) {
      expect(state.reasonOf(await state.keepSetting('ply', want))).toContain(words)
    }
    expect(state.reasonOf(await state.keepSetting('cork', 'tone'))).toContain('burn a card')
  })
})

describe('cards that follow from what is known', () => {
  it('the small card that tells most and the patch that proves a setting are designed from the law, and refused without one', () => {
    expect(state.designNext('ply')).toEqual([])
    const small = bench().burns.card
    expect(small.columns * small.rows).toBeLessThanOrEqual(16)
    expect(small).toMatchObject({ does: 'scan', focus: 0 })
    expect(state.designProof('ply')).toEqual([])
    const proof = bench().burns.card
    // One patch, both ends of both sides the same: the setting itself.
    expect(proof).toMatchObject({ columns: 1, rows: 1, acrossFrom: proof.acrossTo, upFrom: proof.upTo, power: proof.acrossTo })
    expect(state.reasonOf(state.designNext('cork'))).toContain('read a first card')
    expect(state.reasonOf(state.designProof('cork'))).toContain('read a first card')
  })
  it('the card that is shown is the one that was chosen, else the newest; thrown away it is gone, and undo brings it back', () => {
    expect(state.cardShown(bench(), 'ply', null)).toBe('c1')
    expect(state.cardShown(bench(), 'ply', 'gone')).toBe('c1')
    expect(state.cardShown(bench(), 'cork', null)).toBeNull()
    expect(state.dropCard('ply', 'c1')).toEqual([])
    expect(state.cardShown(bench(), 'ply', 'c1')).toBeNull()
    state.undo()
    expect(card()).toBeDefined()
  })
  it('a setting is carried over to another thickness as a guess, wants air or not, and is never carried to what is not burnt', () => {
    expect(state.carrySetting('cork', 4.2)).toEqual([])
    const [id, carried] = Object.entries(bench().burns.materials['cork']!.settings)[0]!
    expect(carried).toMatchObject({ wanted: 'cut', from: 'carried', speed: 4.2, record: '', air: 'on' })
    expect(state.setAir('cork', id, 'off')).toEqual([])
    expect(bench().burns.materials['cork']!.settings[id]!.air).toBe('off')
    expect(state.reasonOf(state.noteUse('cork', 'gone', 'good'))).toContain('not in the book')
    state.setMaterialKind('cork', 'vinyl')
    expect(state.reasonOf(state.carrySetting('cork', 4.2))).toContain('is not burnt')
    expect(state.reasonOf(state.carrySetting('gone', 4.2))).toContain('not in the book')
  })
})
