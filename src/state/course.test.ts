import 'fake-indexeddb/auto'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { lessonBenchId, type LessonId } from '../core/course'
import type { Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const bench = () => state.useBenchStore.getState().bench as Bench
const lesson = async (id: LessonId, number: number): Promise<void> => {
  const opened = await state.openLesson(id, number)
  expect(opened).toMatchObject({ ok: true, value: lessonBenchId(id, number) })
  expect(await state.openBench(lessonBenchId(id, number))).toEqual([])
}

beforeEach(() => {
  state.useCourse.setState({ kept: {} })
  state.usePractised.setState({ byBench: {} })
})
afterAll(() => vi.unstubAllGlobals())

describe('a lesson', () => {
  it('is handed in once: the best of all machines is kept, and what was seen of one counts no more', async () => {
    await lesson('head', 5)
    expect(state.switchHeadOn(bench())).toEqual([])
    expect(state.practisedOn(bench().id).tries).toMatchObject([{ kind: 'on', died: true }])
    expect(state.handIn(bench())).toEqual([])
    const first = state.useCourse.getState().kept.head
    expect(first).toMatchObject({ times: 1, best: first?.last })
    expect(first?.best).toBeLessThan(60)
    // The truth is out: whatever is mended now is no practice any more.
    expect(state.handIn(bench())).toEqual([])
    expect(state.useCourse.getState().kept.head?.times).toBe(1)
    await lesson('head', 6)
    expect(state.handIn(bench())).toEqual([])
    const second = state.useCourse.getState().kept.head
    expect(second).toMatchObject({ times: 2, best: Math.max(first?.last ?? 0, second?.last ?? 0) })
  })

  it('keeps a note for what was handed in only, and says when it is too long', async () => {
    expect(state.keepLearnt('wrong', 'before')).toEqual([])
    expect(state.useCourse.getState().kept.wrong).toBeUndefined()
    await lesson('wrong', 3)
    expect(state.readForLesson('gap')).toEqual([])
    expect(bench().faults.read.gap).toMatchObject({ origin: 'measured', typedUnit: 'mm' })
    expect(state.handIn(bench())).toEqual([])
    expect(state.keepLearnt('wrong', 'Two speeds first.')).toEqual([])
    expect(state.reasonOf(state.keepLearnt('wrong', 'x'.repeat(500)))).toContain('400 characters; this one has 500')
    expect(state.useCourse.getState().kept.wrong?.note).toBe('Two speeds first.')
  })

  it('is none on a bench of one’s own: nothing is handed in, switched on or read there', async () => {
    await state.resetDemo()
    await state.openBench('heron')
    expect(state.lessonNow(bench())).toBeNull()
    for (const said of [state.handIn(bench()), state.switchHeadOn(bench()), state.readForLesson('gap')])
      expect(said).not.toEqual([])
    expect([state.useCourse.getState().kept, state.practisedOn('heron').tries]).toEqual([{}, []])
  })
})

it('a guess of the beam’s settings is what was read of the machine, in one step of undo', async () => {
  await state.resetDemo()
  await state.openBench('heron')
  expect(bench().electrical.pwmFrequency.value).toBe(5000)
  expect(state.takeFromMachine('pwmFrequency')).toEqual([])
  expect(bench().electrical.pwmFrequency).toEqual(bench().controller.beam.pwmFrequency)
  state.useBenchStore.temporal.getState().undo()
  expect(bench().electrical.pwmFrequency.value).toBe(5000)
})
