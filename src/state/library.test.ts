import 'fake-indexeddb/auto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const page = { document: new EventTarget(), window: Object.assign(new EventTarget(), { localStorage }) }
vi.stubGlobal('document', page.document)
vi.stubGlobal('window', page.window)
const state = await import('.')
const { useBenchStore } = state
const bench = () => useBenchStore.getState().bench as Bench
const idOf = (made: Awaited<ReturnType<typeof state.createBench>>): string => {
  if (!made.ok) throw new Error(made.findings[0]?.message)
  return made.value
}
const wanted = (value: number) => ({ ...bench().motion.wantedSpeed, value, typed: String(value) })
const names = async () => (await state.benches()).map((it) => it.name).sort()
const file = (bytes: Uint8Array, name: string) => new File([bytes as Uint8Array<ArrayBuffer>], name)

let stop = (): void => undefined
beforeAll(() => vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true }))
beforeEach(async () => {
  stop()
  for (const { id } of await state.benches()) await state.removeBench(id)
  stop = state.startAutosave()
})
afterAll(() => {
  stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** Saved as it stands in the store. */
const PATIENT = { timeout: 20_000 }
const saved = () => vi.waitFor(() => expect(useBenchStore.getState().save.kind).toBe('saved'), PATIENT)

describe('the benches of this browser', () => {
  it('are made, listed, opened again as they were left, and taken away with a way back', async () => {
    const id = idOf(await state.createBench('Gate', 'inch'))
    expect(await state.openBench(id)).toEqual([])
    expect([bench().name, bench().units]).toEqual(['Gate', 'inch'])
    state.setFact('motion.wantedSpeed', wanted(77), 'speed')
    await saved()
    state.closeInStore()
    await state.openBench(id)
    expect(bench().motion.wantedSpeed.value).toBe(77)
    const putBack = await state.removeBench(id)
    expect([await names(), useBenchStore.getState().bench]).toEqual([[], null])
    expect(idOf(await putBack!())).toBe(id)
    expect(await names()).toEqual(['Gate'])
  })

  it('one that is not here says so, and nothing is opened', async () => {
    state.closeInStore()
    const findings = await state.openBench('no such bench')
    expect(findings).toHaveLength(1)
    expect(useBenchStore.getState().bench).toBeNull()
  })

  it('a file that leaves comes back the same; beside the bench that is here it becomes a copy, and says so', async () => {
    const id = idOf(await state.openDemo())
    await state.openBench(id)
    const left = await state.exportFile(id)
    if (!left.ok) throw new Error('not written')
    expect(left.value.name).toMatch(/^Heron.*\.bench\.zip$/)
    const copy = await state.importFile(file(left.value.bytes, left.value.name))
    expect(copy.findings[0]?.code).toBe('kept-as-copy')
    expect(idOf(copy)).not.toBe(id)
    await state.removeBench(id)
    expect(idOf(await state.importFile(file(left.value.bytes, left.value.name)))).toBe(id)
    expect(await names()).toEqual(['Heron', 'Heron (from file)'])
    await state.openBench(id)
    const before = bench()
    const { ok } = await state.importFile(file(new Uint8Array([1, 2, 3]), 'holiday.png'))
    expect(ok).toBe(false)
    expect(bench()).toBe(before)
    expect(await names()).toEqual(['Heron', 'Heron (from file)'])
  })

  it('the demos are made once; a reset throws changes away', async () => {
    const id = idOf(await state.openDemo())
    expect(idOf(await state.openDemo())).toBe(id)
    idOf(await state.openSecondDemo())
    await state.openBench(id)
    state.setFact('motion.wantedSpeed', wanted(5), 'speed')
    await saved()
    await state.resetDemo()
    await state.openBench(id)
    expect([bench().motion.wantedSpeed.value, await names()]).toEqual([200, ['Heron', 'Plover']])
  })

  it('a copy has its own id, name and records, each under a new id', async () => {
    await state.openBench(idOf(await state.openDemo()))
    const { records } = useBenchStore.getState()
    const id = idOf(await state.keepAsCopy())
    await state.openBench(id)
    const copied = useBenchStore.getState().records
    expect([bench().id, bench().name, copied.length]).toEqual([id, 'Heron (copy)', records.length])
    for (const it of copied) {
      expect(it.benchId).toBe(id)
      expect(records.map((old) => old.id)).not.toContain(it.id)
      for (const under of it.beneath) expect(copied.map((own) => own.id)).toContain(under)
    }
  })
})

describe('saving', () => {
  it('waits for a rest and saves the last of several edits, once; at once when the page is hidden', async () => {
    const id = idOf(await state.createBench('Gate', 'metric'))
    await state.openBench(id)
    const { revision } = useBenchStore.getState()
    for (const speed of [10, 20, 30]) state.setFact('motion.wantedSpeed', wanted(speed), 'speed')
    expect(useBenchStore.getState().save.kind).toBe('saving')
    await saved()
    expect(useBenchStore.getState().revision).toBe(revision + 1)
    state.setFact('motion.wantedSpeed', wanted(40), 'speed')
    page.document.dispatchEvent(new Event('visibilitychange'))
    await state.openBench(id)
    expect([bench().motion.wantedSpeed.value, useBenchStore.getState().revision]).toEqual([40, revision + 2])
  })

  it('a bench that is left for another in the moment of an edit keeps that edit', async () => {
    const [first, second] = [idOf(await state.createBench('Gate', 'metric')), idOf(await state.createBench('Shed', 'metric'))]
    await state.openBench(first)
    state.setFact('motion.wantedSpeed', wanted(10), 'speed')
    await saved()
    state.setFact('motion.wantedSpeed', wanted(20), 'speed')
    await state.openBench(second)
    expect([bench().name, bench().motion.wantedSpeed.value]).toEqual(['Shed', 100])
    await state.openBench(first)
    expect(bench().motion.wantedSpeed.value).toBe(20)
    state.setFact('motion.wantedSpeed', wanted(30), 'speed')
    await saved()
  })

  it('a bench that another window changed is not written over; kept as a copy, neither is lost', async () => {
    const id = idOf(await state.createBench('Gate', 'metric'))
    await state.openBench(id)
    // The other window: the same bench, saved from there.
    const here = useBenchStore.getState()
    state.setFact('motion.wantedSpeed', wanted(11), 'speed')
    await saved()
    useBenchStore.setState({ ...here, save: { kind: 'saved', at: '' } })
    state.setFact('motion.wantedSpeed', wanted(99), 'speed')
    await vi.waitFor(() => expect(useBenchStore.getState().save.kind).toBe('changed-elsewhere'), PATIENT)
    expect(bench().motion.wantedSpeed.value).toBe(99)
    const copy = idOf(await state.keepAsCopy())
    await state.openBench(id)
    expect(bench().motion.wantedSpeed.value).toBe(11)
    await state.openBench(copy)
    expect(bench().motion.wantedSpeed.value).toBe(99)
  })

  it('a record is kept with its pictures, and what it rested on', async () => {
    await state.openBench(idOf(await state.openDemo()))
    const picture = file(new Uint8Array([9, 8, 7]), 'corner.png')
    await state.tickTask('panels', 'all within 0.4 mm', [picture])
    const { records, files } = useBenchStore.getState()
    expect(records.at(-1)).toMatchObject({ stage: 'plan', title: 'Cut the housing’s panels', note: 'all within 0.4 mm' })
    expect(files.at(-1)).toMatchObject({ recordId: records.at(-1)?.id, name: 'corner.png', bytes: new Uint8Array([9, 8, 7]) })
    expect(bench().plan.tasks['panels']?.done).not.toBe('')
    await state.tickTask('panels', '')
    expect(bench().plan.tasks['panels']?.done).toBe('')
    expect(await state.tickTask('no such task', '')).toContain('gone')
  })
})
