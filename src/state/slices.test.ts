import { expect, it } from 'vitest'
import { afterDrawing, inSlices } from './slices'

/** Jobs that note their number, and take a while each. */
function* jobsOf(count: number, ms: number, done: number[]): Generator<() => void> {
  for (let i = 0; i < count; i++) {
    yield () => {
      const start = performance.now()
      while (performance.now() - start < ms);
      done.push(i)
    }
  }
}

const turn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0))

it('does every job in its order, lets others come between, and says when it is through', async () => {
  const done: number[] = []
  const state = { isThrough: false, between: 0 }
  inSlices(
    jobsOf(12, 5, done),
    () => false,
    () => (state.isThrough = true),
  )
  expect(done).toEqual([])
  for (; !state.isThrough; state.between++) await turn()
  expect(done).toEqual([...Array(12).keys()])
  // 60 ms of work in slices of 12 ms or a little more: nobody waits for all of it.
  expect(state.between).toBeGreaterThanOrEqual(3)
})

it('stops between two slices once it is overtaken, and never says that it is through', async () => {
  const done: number[] = []
  let isOvertaken = false
  let isThrough = false
  inSlices(
    jobsOf(50, 5, done),
    () => isOvertaken,
    () => (isThrough = true),
  )
  while (done.length === 0) await turn()
  isOvertaken = true
  const before = done.length
  await new Promise((resolve) => setTimeout(resolve, 60))
  expect(done.length).toBe(before)
  expect(before).toBeLessThan(50)
  expect(isThrough).toBe(false)
})

it('waits even where there is nothing to do, so that an edit is drawn first', async () => {
  const order: string[] = []
  await new Promise<void>((resolve) => {
    inSlices(
      [][Symbol.iterator](),
      () => false,
      () => order.push('through'),
    )
    order.push('drawn')
    afterDrawing(resolve)
  })
  expect(order).toEqual(['drawn', 'through'])
})
